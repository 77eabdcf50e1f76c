package aficion.simulate;

import aficion.catalogue.TimeBand;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.netlist.Branch;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.netlist.SourceCurves;
import aficion.quantity.Seconds;
import aficion.solve.Network;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoublePredicate;

/**
 * Follows a vehicle through a script. Steps are as long as what remembers allows: the number of
 * each {@link Element} at the end of a step is guessed from its rate at the beginning, the network
 * is solved with the guesses, and a step whose rates have turned too much is taken again shorter.
 * Contacts move between steps: coils after their delay, fuses and strips when their heat is full.
 */
public final class Simulation {
    private static final double FIRST_STEP = 1e-4;
    private static final double LEAST_STEP = 1e-6;
    private static final double MOST_STEP = 60;
    private static final double NO_TIME = 1e-9;

    /** What has moved stays for so long at least: no field or armature follows faster. */
    private static final double REST = 0.005;

    private final Netlist netlist;
    private final Script script;
    private final Network network;
    private final Solver solver;
    private final List<Element> elements = new ArrayList<>();
    private final Recorder recorder;
    private final List<SimulationEvent> events = new ArrayList<>();
    private final double[] due;
    private final double[] rested;
    private double now;
    private int steps;

    private Simulation(Network network, Script script, TimeBand.Edge edge, List<Probe> probes) {
        this.netlist = network.netlist();
        this.script = script;
        this.network = network;
        this.solver = new Solver(network);
        this.due = new double[network.coils()];
        Arrays.fill(due, Double.POSITIVE_INFINITY);
        this.rested = new double[due.length];
        for (int i = 0; i < netlist.size(); i++) {
            remember(i, edge);
        }
        recorder = new Recorder(network, probes, this::charge);
    }

    /**
     * What a script comes to.
     *
     * @param edge where in their bands the fuses lie
     * @param probes what to record
     * @param goOn asked before every step with the share done; false ends it early
     */
    public static SimulationResult run(
            Netlist netlist,
            Script script,
            TimeBand.Edge edge,
            List<Probe> probes,
            DoublePredicate goOn) {
        return run(new Network(netlist, script.before()), script, edge, probes, goOn);
    }

    /** The same of a network that is at rest, which is worked on. */
    public static SimulationResult run(
            Network network,
            Script script,
            TimeBand.Edge edge,
            List<Probe> probes,
            DoublePredicate goOn) {
        network.meet(script.before());
        return new Simulation(network, script, edge, probes).run(goOn);
    }

    /** What a script comes to at its end, fuses as they mostly are. */
    public static SimulationResult run(Netlist netlist, Script script, List<Probe> probes) {
        return run(netlist, script, TimeBand.Edge.NOMINAL, probes, _ -> true);
    }

    private void remember(int i, TimeBand.Edge edge) {
        double nominal = netlist.design().vehicle().system().value();
        switch (network.branch(i)) {
            case Branch.Filament lamp -> elements.add(new Elements.Filament(i, lamp));
            case Branch.Motor motor -> elements.add(new Elements.Motor(i, motor));
            case Branch.Warming warming -> elements.add(new Elements.Warming(i, warming, nominal));
            case Branch.Capacitance capacitor -> elements.add(new Elements.Capacitor(i, capacitor));
            case Branch.FuseBranch fuse -> elements.add(new Elements.Fuse(i, fuse, edge));
            case Branch.Blinker(_, _, _, Branch.Rhythm.Heated rhythm) ->
                    elements.add(new Elements.Strip(i, rhythm));
            case Branch.Blinker(_, _, _, Branch.Rhythm.Clocked rhythm) ->
                    elements.add(new Elements.Clock(i, rhythm));
            case Branch.ControlledResistance settling
                    when settling.law() instanceof Branch.Law.MeanVolts law ->
                    elements.add(new Elements.Stabiliser(i, settling, law));
            case Branch.Source _ -> battery(i);
            case Branch.Resistance _,
                    Branch.Contact _,
                    Branch.Driven _,
                    Branch.Rectifier _,
                    Branch.Limited _,
                    Branch.ControlledResistance _ -> {}
        }
    }

    private void battery(int i) {
        netlist.partOf(i)
                .map(netlist.design()::part)
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .map(part -> (SourceKind.Battery) part.kind())
                .ifPresent(battery -> {
                    double nominal = battery.nominal().value();
                    double internal = battery.internal().value();
                    double hours =
                            battery.capacity()
                                    .map(capacity -> capacity.hours().value())
                                    .orElse(SourceCurves.usualCapacity(nominal, internal));
                    double peukert =
                            battery.capacity()
                                    .map(capacity -> capacity.peukert().value())
                                    .orElse(SourceCurves.USUAL_PEUKERT);
                    var charge =
                            new Elements.Charge(
                                    i,
                                    new Elements.Lead(nominal, internal, hours, peukert),
                                    script.before().air().value());
                    charge.value = script.charge().value();
                    elements.add(charge);
                });
    }

    private double charge(PartId battery) {
        for (var element : elements) {
            if (element instanceof Elements.Charge
                    && netlist.partOf(element.branch).filter(battery::equals).isPresent()) {
                return element.value;
            }
        }
        return Double.NaN;
    }

    private SimulationResult run(DoublePredicate goOn) {
        boolean found = solver.comesToRest();
        elements.forEach(element -> element.settle(network));
        network.meet(script.at(0));
        found = found && change(FIRST_STEP);
        recorder.record(0);
        double step = FIRST_STEP;
        double lasts = script.lasts().value();
        while (found && now < lasts - NO_TIME && goOn.test(now / lasts)) {
            double moment = script.next(now + NO_TIME);
            double wanted = Math.min(step, nextEvent(moment) - now);
            double taken = Math.clamp(wanted, LEAST_STEP, MOST_STEP);
            double error = attempt(taken);
            if (Double.isNaN(error)) {
                found = false;
            } else if (error > 1 && taken > LEAST_STEP) {
                step = taken * Math.max(0.2, 0.9 / Math.sqrt(error));
            } else {
                now += taken;
                elements.forEach(element -> element.accept(network));
                recorder.record(now);
                double grown = taken * Math.clamp(0.9 / Math.sqrt(error), 0.5, 2);
                step = wanted < step ? Math.max(step, grown) : grown;
                boolean turned = now >= moment - NO_TIME;
                if (turned) {
                    network.meet(script.at(now + NO_TIME));
                }
                if (moved() || turned) {
                    found = change(FIRST_STEP);
                    recorder.record(now);
                    step = FIRST_STEP;
                }
            }
        }
        if (!found) {
            events.add(new SimulationEvent.Lost(new Seconds(now)));
        }
        return new SimulationResult(recorder.traces(), events, steps);
    }

    /** The end of the script, its next moment, or when a coil or an element wants to move. */
    private double nextEvent(double moment) {
        double next = Math.min(script.lasts().value(), moment);
        for (double at : due) {
            next = Math.min(next, at);
        }
        for (var element : elements) {
            next = Math.min(next, element.due(now));
        }
        return next;
    }

    /** Solves the end of a step; how wrong it is, as a multiple of what is allowed. */
    private double attempt(double step) {
        steps++;
        network.meet(script.at(now + step - NO_TIME));
        for (var element : elements) {
            element.guess(step);
            element.apply(network, element.next, step);
        }
        if (!network.solve()) {
            return Double.NaN;
        }
        solver.relax();
        double worst = 1e-4;
        for (var element : elements) {
            worst = Math.max(worst, element.error(network, step));
        }
        return worst;
    }

    /** Solves once more where nothing that remembers has changed, but a contact has. */
    private boolean change(double step) {
        for (int pass = 0; pass < 8; pass++) {
            steps++;
            for (var element : elements) {
                element.apply(network, element.value, step);
            }
            if (!network.solve()) {
                return false;
            }
            elements.forEach(element -> element.look(network));
            if (!moved()) {
                return true;
            }
        }
        return true;
    }

    /** Moves what is due; whether anything did. */
    private boolean moved() {
        boolean moved = coilsMoved();
        for (var element : elements) {
            if (element.act(network, now)) {
                moved = true;
                tell(element);
            }
        }
        return moved;
    }

    private boolean coilsMoved() {
        boolean moved = false;
        for (int coil = 0; coil < due.length; coil++) {
            boolean wanted = network.wantsIn(coil);
            if (wanted == network.pulled(coil)) {
                due[coil] = Double.POSITIVE_INFINITY;
                continue;
            }
            if (due[coil] == Double.POSITIVE_INFINITY) {
                var felt = network.coil(coil);
                double takes = wanted ? felt.delay() : Math.max(felt.delay(), felt.holds());
                due[coil] = Math.max(now + takes, rested[coil]);
            }
            if (now >= due[coil] - NO_TIME) {
                due[coil] = Double.POSITIVE_INFINITY;
                rested[coil] = now + REST;
                network.pull(coil, wanted);
                events.add(
                        new SimulationEvent.Moved(
                                new Seconds(now), netlist.coilPart(coil), wanted));
                moved = true;
            }
        }
        return moved;
    }

    private void tell(Element element) {
        var at = new Seconds(now);
        var part = netlist.partOf(element.branch).orElseThrow();
        switch (element) {
            case Elements.Fuse _ -> {
                var seat = new FuseSeat(part, netlist.roleOf(element.branch));
                events.add(
                        network.whole(element.branch)
                                ? new SimulationEvent.Reset(at, seat)
                                : new SimulationEvent.Opened(at, seat));
            }
            case Elements.Strip _, Elements.Clock _ ->
                    events.add(
                            new SimulationEvent.Blinked(at, part, network.closed(element.branch)));
            default -> {}
        }
    }
}
