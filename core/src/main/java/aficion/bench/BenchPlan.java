package aficion.bench;

import aficion.bench.TestStep.Task;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Measure;
import aficion.bench.reason.TestCover;
import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Volts;
import aficion.size.Guard;
import aficion.size.Guards;
import aficion.size.Metal;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The test run of one circuit, in the order it is worked: look, continuity of every wire, isolation
 * of every live net, key off, then every state of the key and the circuit's own switches that
 * changes something. What the meter should show comes from the solver, with the battery alone.
 *
 * @param circuit the circuit on the bench
 * @param steps in order
 * @param coverage what a run of few readings notices
 */
public record BenchPlan(CircuitId circuit, List<TestStep> steps, Optional<Coverage> coverage) {
    /** What leads and probes add to a reading of a few milliohms, ohms. */
    private static final double PROBES = 0.3;

    /** Least isolation of a net with its loads unplugged. */
    private static final Ohms ISOLATED = new Ohms(1e6);

    /** What a healthy vehicle of this slice may draw with everything off, amps. */
    private static final double QUIET = 0.02;

    private static final double VOLTS_SHARE = 0.03;
    private static final double AMPS_SHARE = 0.08;
    private static final double LEAST_AMPS = 0.05;

    public BenchPlan {
        steps = List.copyOf(steps);
    }

    /**
     * What a run notices.
     *
     * @param noticed how many faults its readings show
     * @param unnoticed how many no reading shows: a look, a tug or ohms is all there is
     * @param notices how many faults a step is the first to show, by its key
     * @param drawn the most that the vehicle draws in any state of the run
     */
    public record Coverage(int noticed, int unnoticed, Map<String, Integer> notices, Amps drawn) {
        public Coverage {
            notices = Map.copyOf(notices);
        }
    }

    /**
     * The run that a person will really do: a look and a tug at each part, ohms for what volts do
     * not show, isolation, key off, and the fewest readings that notice all that can be noticed.
     */
    public static BenchPlan telling(FaultTable table, CircuitId circuit) {
        return new Planning(new Solver(table.netlist()), circuit)
                .telling(table, TestCover.of(table));
    }

    /** The plan for a circuit of the solver's design; without wires it has no steps. */
    public static BenchPlan of(Solver solver, CircuitId circuit) {
        return new Planning(solver, circuit).plan();
    }

    /** The step of a key; empty when the plan has none. */
    public Optional<TestStep> find(String key) {
        return steps.stream().filter(step -> step.key().equals(key)).findFirst();
    }

    private static final class Planning {
        private final Solver solver;
        private final Design design;
        private final CircuitId circuit;
        private final List<Wire> wires;
        private final Metal metal;
        private final List<TestStep> steps = new ArrayList<>();

        Planning(Solver solver, CircuitId circuit) {
            this.solver = solver;
            this.design = solver.netlist().design();
            this.circuit = circuit;
            this.wires = design.wiresOf(circuit);
            this.metal = new Metal(solver.netlist());
        }

        BenchPlan plan() {
            if (!wires.isEmpty()) {
                wires.forEach(wire ->
                        add(
                                StepKey.look(wire.id()),
                                new TestStep.Look(wire.id()),
                                Optional.empty()));
                wires.forEach(this::continuity);
                isolation();
                states();
            }
            return new BenchPlan(circuit, steps, Optional.empty());
        }

        BenchPlan telling(FaultTable table, TestCover cover) {
            if (wires.isEmpty()) {
                return new BenchPlan(circuit, List.of(), Optional.empty());
            }
            var ours = new LinkedHashSet<PartId>();
            wires.forEach(wire -> wire.terminals().forEach(at -> ours.add(at.part())));
            ours.forEach(
                    part -> add(StepKey.look(part), new TestStep.LookAt(part), Optional.empty()));
            var unseen =
                    cover.unnoticed().stream()
                            .flatMap(suspect -> suspect.faults().stream())
                            .filter(Fault.OfWire.class::isInstance)
                            .filter(fault -> !(fault instanceof Fault.Chafed))
                            .map(fault -> ((Fault.OfWire) fault).wire())
                            .collect(Collectors.toSet());
            wires.stream().filter(wire -> unseen.contains(wire.id())).forEach(this::continuity);
            isolation();
            table.feed().map(design::wire).ifPresent(this::quiet);
            var notices = new HashMap<String, Integer>();
            for (var reading : cover.readings()) {
                notices.put(reading(reading), reading.notices());
            }
            return new BenchPlan(
                    circuit,
                    steps,
                    Optional.of(
                            new Coverage(
                                    cover.noticed(),
                                    cover.unnoticed().size(),
                                    notices,
                                    drawn(cover))));
        }

        private Amps drawn(TestCover cover) {
            return new Amps(
                    cover.readings().stream()
                            .map(TestCover.Telling::state)
                            .distinct()
                            .flatMap(state -> solved(state).stream())
                            .mapToDouble(point -> Supply.of(point).drawn().value())
                            .max()
                            .orElse(0));
        }

        private void quiet(Wire feed) {
            add(
                    "quiet",
                    new TestStep.Quiet(feed.id(), Conditions.REST),
                    Optional.of(new Expected.Near(atRest(feed), QUIET)));
        }

        /** Adds a telling reading and returns its key. */
        private String reading(TestCover.Telling reading) {
            var state = reading.state();
            return switch (reading.what()) {
                case Measure.VoltsAt(var at) -> {
                    var key = StepKey.volts(at, name(state));
                    add(
                            key,
                            new TestStep.VoltsAt(at, state),
                            near(new Volts(reading.expected()), reading.tolerance()));
                    yield key;
                }
                case Measure.AmpsIn(var wire) -> {
                    var key = StepKey.amps(wire, name(state));
                    add(
                            key,
                            new TestStep.AmpsIn(wire, state),
                            near(new Amps(reading.expected()), reading.tolerance()));
                    yield key;
                }
                case Measure.LightOf _ ->
                        throw new IllegalArgumentException("no meter reads " + reading.what());
            };
        }

        private static Optional<Expected> near(Quantity value, double tolerance) {
            return Optional.of(new Expected.Near(value, tolerance));
        }

        private void continuity(Wire wire) {
            double ohms =
                    wire.conductor().perMetre().value() * wire.length().metres().value()
                            + 2 * design.rules().joint().value();
            add(
                    StepKey.ohms(wire.id()),
                    new TestStep.Continuity(wire.id()),
                    Optional.of(new Expected.AtMost(new Ohms(ohms + PROBES))));
        }

        /** One step for each live net: the first terminal of wires that hang together. */
        private void isolation() {
            Map<WireId, Guard> guards = Guards.in(design).ofWires();
            var measured = new HashSet<Terminal>();
            for (var wire : wires) {
                boolean live = !(guards.get(wire.id()) instanceof Guard.EarthSide);
                if (live && wire.terminals().stream().noneMatch(measured::contains)) {
                    add(
                            StepKey.isolation(wire.from().terminal()),
                            new TestStep.Isolation(wire.from().terminal()),
                            Optional.of(new Expected.AtLeast(ISOLATED)));
                }
                measured.addAll(wire.terminals());
            }
        }

        private void states() {
            var points =
                    OperatingStates.of(design, circuit, Conditions.REST).stream()
                            .filter(this::isOurs)
                            .flatMap(state -> solved(state).stream())
                            .toList();
            if (points.isEmpty()) {
                return;
            }
            var feed = feed(points);
            add(
                    "quiet",
                    new TestStep.Quiet(feed.id(), Conditions.REST),
                    Optional.of(new Expected.Near(atRest(feed), QUIET)));
            Set<List<Long>> seen = new HashSet<>();
            points.stream()
                    .filter(point -> seen.add(signature(point)))
                    .forEach(point -> state(point, feed));
        }

        /** What the design draws with everything off: a clock is no fault. */
        private Amps atRest(Wire feed) {
            return solved(Conditions.REST)
                    .map(point -> new Amps(Math.abs(point.through(feed).value())))
                    .orElse(new Amps(0));
        }

        /**
         * Whether all that a hand has to hold in a state belongs to this circuit: nobody cranks to
         * test a stop lamp.
         */
        private boolean isOurs(Conditions state) {
            var own = Controls.of(design, circuit).controls();
            return Controls.of(design).controls().stream()
                    .filter(control -> !own.contains(control))
                    .noneMatch(control -> control.springs(Controls.position(control, state)));
        }

        /** What the circuit asks for in a state, its guards held closed. */
        private Optional<OperatingPoint> solved(Conditions state) {
            return solver.demand(state) instanceof Outcome.Solved(var point)
                    ? Optional.of(point)
                    : Optional.empty();
        }

        /**
         * Why a state must not be tried: a guard that opens there, or a battery that is shorted.
         */
        private Optional<Expected> refused(OperatingPoint point) {
            var opens = Guards.opened(point);
            if (opens.isEmpty() && !metal.in(point).shorted()) {
                return Optional.empty();
            }
            double given = Supply.of(point).drawn().value();
            return Optional.of(
                    opens.map(peak -> new Expected.Opens(Optional.of(peak.seat()), peak.demand()))
                            .orElseGet(
                                    () -> new Expected.Opens(Optional.empty(), new Amps(given))));
        }

        private Wire feed(List<OperatingPoint> points) {
            return wires.stream()
                    .max(
                            Comparator.comparingDouble(wire ->
                                    points.stream()
                                            .mapToDouble(
                                                    point -> Math.abs(point.through(wire).value()))
                                            .max()
                                            .orElse(0)))
                    .orElseThrow();
        }

        /** What a meter would see of a state, in tenths of a volt. */
        private List<Long> signature(OperatingPoint point) {
            return measured()
                    .map(terminal ->
                            point.voltsAt(terminal)
                                    .map(volts -> Math.round(volts.value() * 10))
                                    .orElse(Long.MIN_VALUE))
                    .toList();
        }

        private void state(OperatingPoint point, Wire feed) {
            var conditions = point.conditions();
            var name = name(conditions);
            var refused = refused(point);
            if (refused.isPresent()) {
                add(
                        StepKey.amps(feed.id(), name),
                        new TestStep.AmpsIn(feed.id(), conditions),
                        refused);
                return;
            }
            double amps = Math.abs(point.through(feed).value());
            add(
                    StepKey.amps(feed.id(), name),
                    new TestStep.AmpsIn(feed.id(), conditions),
                    Optional.of(
                            new Expected.Near(
                                    new Amps(amps), Math.max(LEAST_AMPS, AMPS_SHARE * amps))));
            measured()
                    .forEach(terminal ->
                            point.voltsAt(terminal)
                                    .ifPresent(volts -> volts(terminal, volts, conditions)));
        }

        private void volts(Terminal terminal, Volts volts, Conditions conditions) {
            double least = design.vehicle().system().value() / 60;
            double tolerance = Math.max(least, VOLTS_SHARE * Math.abs(volts.value()));
            add(
                    StepKey.volts(terminal, name(conditions)),
                    new TestStep.VoltsAt(terminal, conditions),
                    Optional.of(new Expected.Near(volts, tolerance)));
        }

        /** The feed pins of what works in this circuit. */
        private Stream<Terminal> measured() {
            var used =
                    wires.stream()
                            .flatMap(wire -> wire.terminals().stream())
                            .collect(Collectors.toSet());
            return design.partsOf(circuit).stream()
                    .flatMap(part -> feedPins(part).map(part::terminal))
                    .filter(used::contains);
        }

        private static Stream<String> feedPins(Part part) {
            return switch (part.kind()) {
                case LoadKind.IgnitionCoil _ -> Stream.of("15");
                case ControlKind.Relay _ -> Stream.of("86", "30", "87");
                case JoinKind.Stabiliser _ -> Stream.of("B", "I");
                case JoinKind.Resistor _ -> Stream.of("2");
                case SourceKind.Battery _,
                        SourceKind.BenchSupply _,
                        GuardKind _,
                        ControlKind.Points _,
                        JoinKind _ ->
                        Stream.empty();
                case SourceKind _,
                        ControlKind _,
                        LoadKind.Lamp _,
                        LoadKind.WarningLamp _,
                        LoadKind.Motor _,
                        LoadKind.WiperMotor _,
                        LoadKind.TwoSpeedMotor _,
                        LoadKind.Starter _,
                        LoadKind.Gauge _,
                        LoadKind.Ammeter _,
                        LoadKind.Voltmeter _,
                        LoadKind.Load _,
                        LoadKind.LedLamp _,
                        LoadKind.Buzzer _,
                        LoadKind.Heater _,
                        LoadKind.Magneto _ ->
                        part.kind().pins().stream()
                                .filter(pin -> !part.kind().casePin().equals(Optional.of(pin)));
            };
        }

        private String name(Conditions conditions) {
            return StepKey.state(design, circuit, conditions);
        }

        private void add(String key, Task task, Optional<Expected> expected) {
            steps.add(new TestStep(key, task, expected));
        }
    }
}
