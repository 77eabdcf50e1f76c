package aficion.bench;

import aficion.bench.TestStep.Stage;
import aficion.bench.TestStep.Task;
import aficion.bench.TestStep.Topic;
import aficion.bench.reason.Forbidden;
import aficion.bench.reason.Functions.Function;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.size.Guard;
import aficion.size.Guards;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The steps of a run of one circuit in the making, each with its key and what is expected. */
final class StepList {
    /** What leads and probes add to a reading of a few milliohms, ohms. */
    private static final double PROBES = 0.3;

    /** Least isolation of a net with its loads unplugged. */
    private static final Ohms ISOLATED = new Ohms(1e6);

    /** What a healthy vehicle of this slice may draw with everything off, amps. */
    private static final double QUIET = 0.02;

    private final Design design;
    private final CircuitId circuit;
    private final List<Wire> wires;
    private final List<TestStep> steps = new ArrayList<>();

    StepList(Design design, CircuitId circuit) {
        this.design = design;
        this.circuit = circuit;
        this.wires = design.wiresOf(circuit);
    }

    List<Wire> wires() {
        return wires;
    }

    List<TestStep> steps() {
        return steps;
    }

    void look(Wire wire) {
        add(StepKey.look(wire.id()), Stage.LOOK, new TestStep.Look(wire.id()), Optional.empty());
    }

    void look(PartId part) {
        add(StepKey.look(part), Stage.LOOK, new TestStep.LookAt(part), Optional.empty());
    }

    void continuity(Wire wire) {
        add(
                StepKey.ohms(wire.id()),
                Stage.CONTINUITY,
                new TestStep.Continuity(wire.id()),
                Optional.of(new Expected.AtMost(new Ohms(ohms(wire) + PROBES))));
    }

    /** Wires one after another, at one go. */
    void through(Chains.Chain chain) {
        if (chain.wires().size() == 1) {
            continuity(design.wire(chain.wires().getFirst()));
            return;
        }
        double sum =
                chain.wires().stream().map(design::wire).mapToDouble(this::ohms).sum() + PROBES;
        double all =
                Meter.ohms(design, chain.state(), chain.from(), chain.to())
                        .map(ohms -> ohms.value() + PROBES)
                        .filter(ohms -> ohms < 2 * sum + 1)
                        .orElse(sum);
        add(
                StepKey.through(chain.from(), chain.to()),
                Stage.CONTINUITY,
                new TestStep.Through(chain.wires(), chain.from(), chain.to(), chain.state()),
                Optional.of(new Expected.AtMost(new Ohms(all))));
    }

    private double ohms(Wire wire) {
        return wire.conductor().perMetre().value() * wire.length().metres().value()
                + 2 * design.rules().joint().value();
    }

    /** One step for each live net: the first terminal of wires that hang together. */
    void isolation() {
        Map<WireId, Guard> guards = Guards.in(design).ofWires();
        var measured = new HashSet<Terminal>();
        for (var wire : wires) {
            boolean live = !(guards.get(wire.id()) instanceof Guard.EarthSide);
            if (live && wire.terminals().stream().noneMatch(measured::contains)) {
                var at = wire.from().terminal();
                add(
                        StepKey.isolation(at),
                        Stage.ISOLATION,
                        new TestStep.Isolation(at),
                        Optional.of(new Expected.AtLeast(ISOLATED)));
            }
            measured.addAll(wire.terminals());
        }
    }

    /**
     * Everything off.
     *
     * @param drawn what the design draws then: a clock is no fault
     */
    void quiet(WireId feed, Amps drawn) {
        add(
                "quiet",
                Stage.QUIET,
                new TestStep.Quiet(feed, Conditions.REST),
                Optional.of(new Expected.Near(drawn, QUIET)));
    }

    /** Everything off, in a lead of the battery. */
    void standing(WireId lead, Stage stage, Expected expected) {
        add(
                "standing " + stage.name(),
                stage,
                new TestStep.Quiet(lead, Conditions.REST),
                Optional.of(expected));
    }

    void forbidden(WireId feed, Forbidden why) {
        amps(feed, why.state(), new Expected.Opens(why.guard(), why.demand()));
    }

    /** Returns its key. */
    String amps(WireId wire, Conditions state, Expected expected) {
        return add(
                StepKey.amps(wire, StepKey.state(design, circuit, state)),
                Stage.STATES,
                new TestStep.AmpsIn(wire, state),
                Optional.of(expected));
    }

    /** Returns its key. */
    String volts(Terminal at, Conditions state, Volts volts, double tolerance) {
        return volts(at, state, Stage.STATES, new Expected.Near(volts, tolerance));
    }

    /** Returns its key. */
    String volts(Terminal at, Conditions state, Stage stage, Expected expected) {
        return add(
                StepKey.volts(at, StepKey.state(design, circuit, state)),
                stage,
                new TestStep.VoltsAt(at, state),
                Optional.of(expected));
    }

    /** A function is worked, and what shows is seen. */
    void works(Function function, Stage stage) {
        add(
                StepKey.works(StepKey.state(design, circuit, function.state())),
                stage,
                new TestStep.Works(function.signs(), function.state()),
                Optional.empty());
    }

    void check(Topic topic, PartId part, Conditions state, Stage stage) {
        add(
                StepKey.check(topic, part),
                stage,
                new TestStep.Check(topic, part, state),
                Optional.empty());
    }

    void clipIn(List<StandIns.StandIn> lamps) {
        if (lamps.isEmpty()) {
            return;
        }
        add("clip in", Stage.QUIET, new TestStep.ClipIn(lamps), Optional.empty());
    }

    void leave(List<PartId> parts) {
        if (parts.isEmpty()) {
            return;
        }
        add("leave", Stage.AFTER, new TestStep.Leave(parts), Optional.empty());
    }

    /** What is in the run already is not done again. */
    private String add(String key, Stage stage, Task task, Optional<Expected> expected) {
        if (steps.stream().noneMatch(step -> step.key().equals(key))) {
            steps.add(new TestStep(key, stage, task, expected));
        }
        return key;
    }
}
