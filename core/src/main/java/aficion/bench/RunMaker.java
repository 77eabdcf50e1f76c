package aficion.bench;

import aficion.bench.BenchPlan.Coverage;
import aficion.bench.reason.DriversOrder;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Functions;
import aficion.job.Action;
import aficion.job.BenchRun.Setting;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What every run of a circuit is made with, and the steps that are in most of them. */
final class RunMaker {
    /** Amps beyond what is drawn at rest that flatten a battery between tests. */
    private static final double FLATTENS = 0.1;

    private final FaultTable table;
    private final CircuitId circuit;
    private final Setting setting;
    private final Design design;
    private final Solver solver;
    private final Functions functions;
    private final BatteryChecks battery;
    private final StepList list;

    private RunMaker(FaultTable table, CircuitId circuit, Setting setting) {
        this.setting = setting;
        this.table = table;
        this.circuit = circuit;
        this.design = table.netlist().design();
        this.solver = new Solver(table.netlist());
        this.functions = Functions.of(table.netlist(), circuit);
        this.battery = new BatteryChecks(solver);
        this.list = new StepList(design, circuit);
    }

    /** The run of a circuit for where it is tested; without wires it has no steps. */
    static BenchPlan plan(FaultTable table, CircuitId circuit, Setting setting) {
        var with = new RunMaker(table, circuit, setting);
        Optional<Coverage> coverage = with.list.wires().isEmpty() ? Optional.empty() : with.made();
        return new BenchPlan(
                circuit,
                setting,
                with.list.steps(),
                coverage,
                setting == Setting.RUNNING ? with.lamps() : Optional.empty());
    }

    /** Adds the steps; returns what they notice, where that is what they are chosen by. */
    private Optional<Coverage> made() {
        return switch (setting) {
            case BENCH, STAND_INS -> Optional.of(new TellingRun(this).make(false));
            case STILL -> Optional.of(new TellingRun(this).make(true));
            case RUNNING -> {
                new RunningRun(this).make();
                yield Optional.empty();
            }
            case PROOF -> {
                new RunningRun(this).prove();
                yield Optional.empty();
            }
        };
    }

    /** What the warning lamps of the vehicle show; empty where it has none, or nothing charges. */
    private Optional<WarningLamps> lamps() {
        return battery.running()
                .map(state -> WarningLamps.of(solver, state))
                .filter(found -> !found.rows().isEmpty());
    }

    FaultTable table() {
        return table;
    }

    CircuitId circuit() {
        return circuit;
    }

    Design design() {
        return design;
    }

    Functions functions() {
        return functions;
    }

    BatteryChecks battery() {
        return battery;
    }

    StepList list() {
        return list;
    }

    List<Part> parts() {
        return design.partsOf(circuit);
    }

    /** The states in which readings are advised, in the order a driver works them. */
    Comparator<Conditions> order() {
        return DriversOrder.of(table.netlist().controls());
    }

    /** Key off. */
    void quiet(WireId feed) {
        if (setting == Setting.STAND_INS) {
            list.clipIn(StandIns.of(design, circuit).list());
        }
        var wire = design.wire(feed);
        list.quiet(
                feed,
                demand(Conditions.REST)
                        .map(point -> new Amps(Math.abs(point.through(wire).value())))
                        .orElse(new Amps(0)));
    }

    /** What a state asks for, with every guard held closed. */
    Optional<OperatingPoint> demand(Conditions state) {
        return solver.demand(state).settled();
    }

    /** What would flatten the battery once the circuit is left as it lies there. */
    void leave() {
        list.leave(
                List.copyOf(
                        table.feed().map(design::wire).flatMap(this::drawing).orElse(Set.of())));
    }

    /** The pedals, pushes and felt switches that feed something with the key off. */
    private Optional<Set<PartId>> drawing(Wire feed) {
        var controls = table.netlist().controls();
        return demand(Conditions.REST)
                .map(rest -> Math.abs(rest.through(feed).value()) + FLATTENS)
                .map(most ->
                        table.standing().stream()
                                .filter(state -> isKeyOff(controls, state))
                                .flatMap(state -> demand(state).stream())
                                .filter(point -> Math.abs(point.through(feed).value()) > most)
                                .flatMap(point -> unplugged(point.conditions()))
                                .collect(Collectors.toCollection(LinkedHashSet::new)));
    }

    /** Without a key nothing is off but by its own switch. */
    private static boolean isKeyOff(Controls controls, Conditions state) {
        return controls.key().isEmpty() || OperatingStates.isOff(controls, state);
    }

    /** The switches that no hand turns off: without its pedal a pedal switch closes. */
    private Stream<PartId> unplugged(Conditions state) {
        return design.partsOf(circuit).stream().filter(part -> isMoved(part, state)).map(Part::id);
    }

    private static boolean isMoved(Part part, Conditions state) {
        if (part.kind() instanceof ControlKind.Switch hand) {
            var rest = hand.positions().getFirst().name();
            return hand.action() == Action.PEDAL
                    && !state.positions().getOrDefault(hand.control(), rest).equals(rest);
        }
        return part.kind() instanceof ControlKind.LevelSwitch felt
                && state.levels().containsKey(felt.level());
    }
}
