package aficion.bench;

import aficion.bench.BenchPlan.Coverage;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Forbidden;
import aficion.bench.reason.Measure;
import aficion.bench.reason.TestCover;
import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes the run of few readings that notice all a meter can notice. */
final class TellingRun {
    private final FaultTable table;
    private final TestCover cover;
    private final CircuitId circuit;
    private final Solver solver;
    private final StepList list;

    TellingRun(FaultTable table, CircuitId circuit) {
        this.table = table;
        this.cover = TestCover.of(table);
        this.circuit = circuit;
        this.solver = new Solver(table.netlist());
        this.list = new StepList(table.netlist().design(), circuit);
    }

    BenchPlan plan() {
        if (list.wires().isEmpty()) {
            return new BenchPlan(circuit, list.steps(), Optional.empty());
        }
        var ours = new LinkedHashSet<PartId>();
        list.wires().forEach(wire -> wire.terminals().forEach(at -> ours.add(at.part())));
        ours.forEach(list::look);
        var unseen = unseen();
        list.wires().stream().filter(wire -> unseen.contains(wire.id())).forEach(list::continuity);
        list.isolation();
        table.feed().ifPresent(this::powered);
        var notices = new HashMap<String, Integer>();
        cover.readings().forEach(reading -> notices.put(read(reading), reading.notices()));
        return new BenchPlan(
                circuit,
                list.steps(),
                Optional.of(
                        new Coverage(cover.noticed(), cover.unnoticed().size(), notices, drawn())));
    }

    /** The wires of which no reading shows that they are broken, or a joint of them bad. */
    private Set<WireId> unseen() {
        return cover.unnoticed().stream()
                .flatMap(suspect -> suspect.faults().stream())
                .filter(Fault.OfWire.class::isInstance)
                .filter(fault -> !(fault instanceof Fault.Chafed))
                .map(fault -> ((Fault.OfWire) fault).wire())
                .collect(Collectors.toSet());
    }

    /** Key off, and what must not be tried after it. */
    private void powered(WireId feed) {
        var wire = table.netlist().design().wire(feed);
        var drawn =
                demand(Conditions.REST)
                        .map(point -> new Amps(Math.abs(point.through(wire).value())))
                        .orElse(new Amps(0));
        list.quiet(feed, drawn);
        for (Forbidden state : table.forbidden()) {
            list.forbidden(feed, state);
        }
    }

    private String read(TestCover.Telling reading) {
        var state = reading.state();
        return switch (reading.what()) {
            case Measure.VoltsAt(var at) ->
                    list.volts(at, state, new Volts(reading.expected()), reading.tolerance());
            case Measure.AmpsIn(var wire) ->
                    list.amps(
                            wire,
                            state,
                            new Expected.Near(new Amps(reading.expected()), reading.tolerance()));
            case Measure.LightOf _ ->
                    throw new IllegalArgumentException("no meter reads " + reading.what());
        };
    }

    private Amps drawn() {
        return new Amps(
                cover.readings().stream()
                        .map(TestCover.Telling::state)
                        .distinct()
                        .flatMap(state -> demand(state).stream())
                        .mapToDouble(point -> Supply.of(point).drawn().value())
                        .max()
                        .orElse(0));
    }

    private Optional<OperatingPoint> demand(Conditions state) {
        return solver.demand(state) instanceof Outcome.Solved(var point)
                ? Optional.of(point)
                : Optional.empty();
    }
}
