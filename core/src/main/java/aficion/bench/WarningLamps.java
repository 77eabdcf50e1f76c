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
import aficion.solve.Solver;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

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
    public static WarningLamps of(Solver solver, Conditions running) {
        return new Making(solver, running).made();
    }

    private static final class Making {
        private final Solver solver;
        private final Design design;
        private final Controls controls;
        private final Conditions running;
        private final List<Part> lamps;
        private final Map<Conditions, List<Look>> columns = new LinkedHashMap<>();

        Making(Solver solver, Conditions running) {
            this.solver = solver;
            this.design = solver.netlist().design();
            this.controls = solver.netlist().controls();
            this.running = running;
            this.lamps = design.parts().stream().filter(Making::warns).toList();
        }

        private static boolean warns(Part part) {
            return part.kind() instanceof LoadKind.WarningLamp
                    || part.kind() instanceof LoadKind.LedLamp;
        }

        WarningLamps made() {
            put(Conditions.REST);
            put(running.withEngine(Conditions.REST.engine()));
            var usual = put(running);
            for (var state : moved()) {
                var looks = looks(state);
                if (!looks.equals(usual)) {
                    columns.put(state, looks);
                }
            }
            for (int i = 0; i < lamps.size(); i++) {
                int lamp = i;
                if (columns.values().stream().noneMatch(looks -> isLit(looks.get(lamp)))) {
                    inOwnCircuit(lamp).ifPresent(this::put);
                }
            }
            var rows = new LinkedHashMap<PartId, List<Look>>();
            for (int i = 0; i < lamps.size(); i++) {
                int lamp = i;
                rows.put(
                        lamps.get(i).id(),
                        columns.values().stream().map(looks -> looks.get(lamp)).toList());
            }
            return new WarningLamps(List.copyOf(columns.keySet()), rows);
        }

        private List<Look> put(Conditions state) {
            return columns.computeIfAbsent(state, this::looks);
        }

        /** Everything else moved, one thing at a time. */
        private List<Conditions> moved() {
            var others =
                    controls.controls().stream()
                            .filter(control -> controls.key().filter(control::equals).isEmpty())
                            .flatMap(control ->
                                    control.positions().stream()
                                            .map(position ->
                                                    running.with(control.name(), position.name())));
            var levels =
                    controls.levels().stream()
                            .flatMap(level ->
                                    Controls.values(design, level).stream()
                                            .map(value -> running.withLevel(level, value)));
            return Stream.concat(others, levels)
                    .filter(state -> !state.equals(running))
                    .sorted(DriversOrder.of(controls))
                    .toList();
        }

        /** The first state of its own circuits in which a lamp burns with the engine running. */
        private Optional<Conditions> inOwnCircuit(int lamp) {
            return design.circuits().stream()
                    .map(Circuit::id)
                    .filter(id -> design.partsOf(id).contains(lamps.get(lamp)))
                    .flatMap(id -> OperatingStates.of(design, id, running).stream())
                    .filter(state -> OperatingStates.isSameKey(controls, state, running))
                    .sorted(DriversOrder.of(controls))
                    .filter(state -> isLit(looks(state).get(lamp)))
                    .findFirst();
        }

        /** Of each lamp; dark where nothing comes to rest. */
        private List<Look> looks(Conditions state) {
            return solver.solve(state)
                    .settled()
                    .map(point -> Sign.of(point, lamps).stream().map(Sign::look).toList())
                    .orElseGet(() -> lamps.stream().map(_ -> Look.DARK).toList());
        }
    }
}
