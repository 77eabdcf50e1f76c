package aficion.bench;

import aficion.bench.reason.DriversOrder;
import aficion.bench.reason.Sign;
import aficion.bench.reason.Sign.Look;
import aficion.job.Circuit;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What every warning lamp shows with the key off, with the key on, with the engine running, and
 * then with whatever else makes one of them light: which lamps prove themselves with the key, and
 * which only light for their fault.
 *
 * @param states in the order a driver comes to them: key off, key on, running, then the rest
 * @param rows of each lamp what it shows, state by state
 */
public record WarningLamps(List<Conditions> states, Map<PartId, List<Look>> rows) {
    private static final int ON = 1;
    private static final int RUNNING = 2;

    public WarningLamps {
        states = List.copyOf(states);
        var copied = new LinkedHashMap<PartId, List<Look>>();
        rows.forEach((lamp, looks) -> copied.put(lamp, List.copyOf(looks)));
        rows = Collections.unmodifiableMap(copied);
    }

    /** How a lamp shows that it is alive itself. */
    public enum Proof {
        /** It lights with the key and goes out with the engine. */
        WITH_KEY,
        /** It is dark with the key and with the engine: it only lights for its fault. */
        FAULT_ONLY,
        /** It shows what a hand has switched on. */
        SWITCHED,
        /** It burns with the engine running as everything is sound. */
        ALWAYS
    }

    /** How a lamp of the table proves itself. */
    public Proof proof(PartId lamp) {
        var looks = rows.get(lamp);
        if (isLit(looks.get(RUNNING))) {
            return Proof.ALWAYS;
        }
        if (isLit(looks.get(ON))) {
            return Proof.WITH_KEY;
        }
        boolean byHand =
                IntStream.range(RUNNING + 1, states.size())
                        .filter(i -> isLit(looks.get(i)))
                        .mapToObj(states::get)
                        .anyMatch(state -> state.levels().equals(states.get(RUNNING).levels()));
        return byHand ? Proof.SWITCHED : Proof.FAULT_ONLY;
    }

    private static boolean isLit(Look look) {
        return look != Look.DARK;
    }

    /**
     * The table of a vehicle.
     *
     * @param running how everything stands while the engine runs
     */
    static WarningLamps of(Solver solver, Conditions running) {
        var design = solver.netlist().design();
        var lamps = design.parts().stream().filter(WarningLamps::warns).toList();
        var states = new ArrayList<Conditions>();
        states.add(Conditions.REST);
        states.add(running.withEngine(Conditions.REST.engine()));
        states.add(running);
        var usual = looks(solver, running, lamps);
        moved(design, solver, running).stream()
                .filter(state -> !looks(solver, state, lamps).equals(usual))
                .forEach(states::add);
        for (var lamp : lamps) {
            if (states.stream().noneMatch(state -> isLit(look(solver, state, lamp)))) {
                inOwnCircuit(solver, running, lamp).ifPresent(states::add);
            }
        }
        var columns = states.stream().map(state -> looks(solver, state, lamps)).toList();
        var rows = new LinkedHashMap<PartId, List<Look>>();
        IntStream.range(0, lamps.size())
                .forEach(i ->
                        rows.put(
                                lamps.get(i).id(),
                                columns.stream().map(column -> column.get(i)).toList()));
        return new WarningLamps(states, rows);
    }

    private static boolean warns(Part part) {
        return part.kind() instanceof LoadKind.WarningLamp
                || part.kind() instanceof LoadKind.LedLamp;
    }

    /** Everything else moved, one thing at a time. */
    private static List<Conditions> moved(Design design, Solver solver, Conditions running) {
        var controls = Controls.of(design);
        var states = new ArrayList<Conditions>();
        for (var control : controls.controls()) {
            boolean key = controls.key().filter(control::equals).isPresent();
            control.positions().stream()
                    .map(position -> running.with(control.name(), position.name()))
                    .filter(state -> !key && !state.equals(running))
                    .forEach(states::add);
        }
        for (var level : controls.levels()) {
            Controls.values(design, level).stream()
                    .map(value -> running.withLevel(level, value))
                    .filter(state -> !state.equals(running))
                    .forEach(states::add);
        }
        return states.stream().sorted(new DriversOrder(solver.netlist().controls())).toList();
    }

    /** The first state of its own circuits in which a lamp burns with the engine running. */
    private static Optional<Conditions> inOwnCircuit(Solver solver, Conditions running, Part lamp) {
        var design = solver.netlist().design();
        var key = solver.netlist().controls().key();
        return design.circuits().stream()
                .map(Circuit::id)
                .filter(id -> design.partsOf(id).contains(lamp))
                .flatMap(id -> OperatingStates.of(design, id, running).stream())
                .filter(state ->
                        key.filter(found ->
                                        !Controls.position(found, state)
                                                .equals(Controls.position(found, running)))
                                .isEmpty())
                .sorted(new DriversOrder(solver.netlist().controls()))
                .filter(state -> isLit(look(solver, state, lamp)))
                .findFirst();
    }

    private static Look look(Solver solver, Conditions state, Part lamp) {
        return looks(solver, state, List.of(lamp)).getFirst();
    }

    /** Of each lamp; dark where nothing comes to rest. */
    private static List<Look> looks(Solver solver, Conditions state, List<Part> lamps) {
        return solver.solve(state) instanceof Outcome.Solved(var point)
                ? Sign.of(point, lamps).stream().map(Sign::look).toList()
                : lamps.stream().map(_ -> Look.DARK).toList();
    }
}
