package aficion.bench;

import aficion.bench.reason.Forbidden;
import aficion.bench.reason.Readable;
import aficion.job.BenchRun.Setting;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.Metal;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes the run of every reading there is, in every state that changes something. */
final class EveryReading {
    private static final double VOLTS_SHARE = 0.03;
    private static final double AMPS_SHARE = 0.08;
    private static final double LEAST_AMPS = 0.05;

    private final Solver solver;
    private final Design design;
    private final CircuitId circuit;
    private final Metal metal;
    private final StepList list;

    EveryReading(Solver solver, CircuitId circuit) {
        this.solver = solver;
        this.design = solver.netlist().design();
        this.circuit = circuit;
        this.metal = new Metal(solver.netlist());
        this.list = new StepList(design, circuit);
    }

    BenchPlan plan() {
        if (!list.wires().isEmpty()) {
            list.wires().forEach(list::look);
            list.wires().forEach(list::continuity);
            list.isolation();
            states();
        }
        return new BenchPlan(
                circuit, Setting.BENCH, list.steps(), Optional.empty(), Optional.empty());
    }

    private void states() {
        var points =
                Readable.states(solver.netlist(), circuit).stream()
                        .flatMap(state -> solved(state).stream())
                        .toList();
        Readable.feed(list.wires(), points)
                .map(design::wire)
                .ifPresent(feed -> {
                    list.quiet(feed.id(), atRest(feed));
                    Set<List<Long>> seen = new HashSet<>();
                    points.stream()
                            .filter(point -> seen.add(signature(point)))
                            .forEach(point -> state(point, feed));
                });
    }

    /** What the design draws with everything off: a clock is no fault. */
    private Amps atRest(Wire feed) {
        return solved(Conditions.REST)
                .map(point -> new Amps(Math.abs(point.through(feed).value())))
                .orElse(new Amps(0));
    }

    /** What the circuit asks for in a state, its guards held closed. */
    private Optional<OperatingPoint> solved(Conditions state) {
        return solver.demand(state).settled();
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
        var forbidden = Forbidden.of(point, metal);
        if (forbidden.isPresent()) {
            list.forbidden(feed.id(), forbidden.get());
            return;
        }
        double amps = Math.abs(point.through(feed).value());
        list.amps(
                feed.id(),
                point.conditions(),
                new Expected.Near(new Amps(amps), Math.max(LEAST_AMPS, AMPS_SHARE * amps)));
        measured()
                .forEach(terminal ->
                        point.voltsAt(terminal)
                                .ifPresent(volts -> volts(terminal, volts, point.conditions())));
    }

    private void volts(Terminal terminal, Volts volts, Conditions conditions) {
        double least = design.vehicle().system().value() / 60;
        list.volts(
                terminal,
                conditions,
                volts,
                Math.max(least, VOLTS_SHARE * Math.abs(volts.value())));
    }

    /** The feed pins of what works in this circuit. */
    private Stream<Terminal> measured() {
        var used =
                list.wires().stream()
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
}
