package aficion.bench.reason;

import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/**
 * What each suspect of a circuit would show at every terminal of it, in every state that a person
 * can put it in. To be used by one thread.
 */
public final class FaultTable {
    /** Readings nearer than that are taken for the same, volts at 12 and a share. */
    private static final double NEAR = 0.25;

    private static final double NEAR_SHARE = 0.04;

    /** The same of amps. */
    private static final double NEAR_AMPS = 0.2;

    private static final double NEAR_AMPS_SHARE = 0.08;

    /** No person goes through more states. */
    private static final int MOST_STATES = 24;

    /** No table has more values, but for two states of a circuit beyond any vehicle. */
    private static final long MOST = 4_000_000;

    private final Netlist sound;
    private final List<Suspect> suspects;
    private final List<Conditions> states;
    private final List<Measure> measures;

    /** What was asked for besides, each with what every suspect shows of it. */
    private final Map<Asked, double[]> besides = new HashMap<>();

    /** By state, what is read, and suspect. */
    private final double[][][] values;

    private final Map<Means, int[]> looks = new EnumMap<>(Means.class);

    private FaultTable(
            Netlist sound,
            List<Suspect> suspects,
            List<Conditions> states,
            List<Measure> measures,
            BooleanSupplier wanted) {
        this.sound = sound;
        this.suspects = suspects;
        this.states = states;
        this.measures = measures;
        this.values = new double[states.size()][measures.size()][suspects.size()];
        for (int i = 0; i < suspects.size() && wanted.getAsBoolean(); i++) {
            fill(i);
        }
        for (var means : Means.values()) {
            looks.put(means, wanted.getAsBoolean() ? looks(means) : new int[suspects.size()]);
        }
    }

    private record Asked(Conditions state, Measure what) {}

    private void fill(int suspect) {
        var solver = new Solver(faulty(sound, suspects.get(suspect)));
        for (int state = 0; state < states.size(); state++) {
            var point = point(solver, states.get(state));
            for (int what = 0; what < measures.size(); what++) {
                values[state][what][suspect] = value(point, measures.get(what));
            }
        }
    }

    private static double value(Optional<OperatingPoint> point, Measure what) {
        return point.map(found -> value(found, what)).orElse(Double.NaN);
    }

    /** What may be wrong with a circuit, nothing first. */
    public static List<Suspect> suspects(Netlist sound, CircuitId circuit) {
        return Suspects.of(sound, circuit);
    }

    /** The table of a circuit. */
    public static FaultTable of(Netlist sound, CircuitId circuit) {
        return of(sound, circuit, () -> true).orElseThrow();
    }

    /**
     * The same.
     *
     * @param wanted whether it is still wanted; asked now and then
     * @return empty where it is wanted no longer
     */
    public static Optional<FaultTable> of(
            Netlist sound, CircuitId circuit, BooleanSupplier wanted) {
        var suspects = Suspects.of(sound, circuit);
        var measures = measures(sound, circuit);
        long each = (long) suspects.size() * measures.size();
        var states = states(sound, circuit).stream().limit(Math.max(2, MOST / each)).toList();
        var table = new FaultTable(sound, suspects, states, measures, wanted);
        return wanted.getAsBoolean() ? Optional.of(table) : Optional.empty();
    }

    /** The same circuit with other suspects. */
    FaultTable of(List<Suspect> others, BooleanSupplier wanted) {
        return new FaultTable(sound, others, states, measures, wanted);
    }

    /** The netlist with all that is wrong; another part first, since that makes it anew. */
    static Netlist faulty(Netlist sound, Suspect suspect) {
        var netlist = sound;
        for (boolean anew : new boolean[] {true, false}) {
            for (var fault : suspect.faults()) {
                if (fault instanceof Fault.Another == anew) {
                    netlist = Faulty.of(netlist, fault);
                }
            }
        }
        return netlist;
    }

    private static List<Terminal> places(Netlist netlist, CircuitId circuit) {
        var seen = new HashSet<Integer>();
        return netlist.design().wiresOf(circuit).stream()
                .flatMap(wire -> wire.terminals().stream())
                .filter(at -> seen.add(netlist.node(at)))
                .toList();
    }

    /** Volts where wires end, and all lamps at a glance. */
    private static List<Measure> measures(Netlist netlist, CircuitId circuit) {
        var lamps =
                netlist.design().partsOf(circuit).stream()
                        .flatMap(part ->
                                part.kind().lightPins().stream()
                                        .map(pin -> new Measure.LightOf(part.id(), pin)))
                        .toList();
        var measures = new ArrayList<Measure>();
        places(netlist, circuit).stream().map(Measure.VoltsAt::new).forEach(measures::add);
        feed(netlist, circuit).map(Measure.AmpsIn::new).ifPresent(measures::add);
        if (!lamps.isEmpty()) {
            measures.add(new Measure.Glance(lamps));
        }
        return List.copyOf(measures);
    }

    /** The wire of the circuit that carries most in any state. */
    private static Optional<WireId> feed(Netlist netlist, CircuitId circuit) {
        var solver = new Solver(netlist);
        var most = new HashMap<WireId, Double>();
        for (var state : states(netlist, circuit)) {
            if (solver.solve(state) instanceof Outcome.Solved(var point)) {
                for (var wire : netlist.design().wiresOf(circuit)) {
                    most.merge(wire.id(), Math.abs(point.through(wire).value()), Math::max);
                }
            }
        }
        return most.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
    }

    /** What a person puts the circuit in: no control of another circuit is held for it. */
    private static List<Conditions> states(Netlist netlist, CircuitId circuit) {
        var design = netlist.design();
        var own = Controls.of(design, circuit).controls();
        var all =
                OperatingStates.of(design, circuit, Conditions.REST).stream()
                        .filter(state ->
                                netlist.controls().controls().stream()
                                        .filter(control -> !own.contains(control))
                                        .noneMatch(control ->
                                                control.springs(Controls.position(control, state))))
                        .toList();
        var safe = new Solver(netlist);
        all =
                all.stream()
                        .filter(state ->
                                safe.solve(state) instanceof Outcome.Solved(var point)
                                        && point.blown().isEmpty())
                        .toList();
        var told = all.size() <= MOST_STATES ? all : telling(netlist, circuit, all);
        return charges(design, circuit) ? running(netlist, told) : told;
    }

    private static boolean charges(Design design, CircuitId circuit) {
        return design.partsOf(circuit).stream()
                .anyMatch(part ->
                        part.kind().chargingPin().isPresent()
                                && !(part.kind() instanceof SourceKind.Battery));
    }

    private static List<Conditions> running(Netlist netlist, List<Conditions> states) {
        var both = new ArrayList<>(states);
        states.stream()
                .filter(state -> !OperatingStates.isHeld(netlist.controls(), state))
                .map(state -> state.withEngine(OperatingStates.ROAD))
                .forEach(both::add);
        return both;
    }

    /** The states that look unlike each other while all is well. */
    private static List<Conditions> telling(
            Netlist netlist, CircuitId circuit, List<Conditions> states) {
        var solver = new Solver(netlist);
        var places = places(netlist, circuit);
        Set<List<Long>> seen = new HashSet<>();
        return states.stream()
                .filter(state ->
                        solver.solve(state) instanceof Outcome.Solved(var point)
                                && seen.add(
                                        places.stream()
                                                .map(at -> Math.round(4 * volts(point, at)))
                                                .toList()))
                .limit(MOST_STATES)
                .toList();
    }

    private static double volts(OperatingPoint point, Terminal at) {
        return point.voltsAt(at).map(found -> found.value()).orElse(0.0);
    }

    /** What it is about. */
    public Netlist netlist() {
        return sound;
    }

    /** What may be wrong; first, that nothing is. */
    public List<Suspect> suspects() {
        return suspects;
    }

    /** The states that readings are advised in. */
    public List<Conditions> states() {
        return states;
    }

    /** The wire that carries most, in which amps are read. */
    public Optional<WireId> feed() {
        return measures.stream()
                .filter(Measure.AmpsIn.class::isInstance)
                .map(what -> ((Measure.AmpsIn) what).wire())
                .findFirst();
    }

    /** What can be read in them. */
    public List<Measure> measures() {
        return measures;
    }

    /** What would be read with each suspect; NaN where nothing comes to rest. */
    public double[] predicted(Conditions state, Measure what) {
        int at = states.indexOf(state);
        int known = measures.indexOf(what);
        return at >= 0 && known >= 0
                ? values[at][known]
                : besides.computeIfAbsent(new Asked(state, what), this::besides);
    }

    private double[] besides(Asked asked) {
        return suspects.stream()
                .mapToDouble(suspect ->
                        value(point(new Solver(faulty(sound, suspect)), asked.state), asked.what))
                .toArray();
    }

    static double value(OperatingPoint point, Measure what) {
        return switch (what) {
            case Measure.VoltsAt(var at) -> volts(point, at);
            case Measure.AmpsIn(var wire) ->
                    Math.abs(point.through(point.netlist().design().wire(wire)).value());
            case Measure.LightOf(var part, var pin) -> light(point, part, pin);
            case Measure.Glance glance ->
                    glance.of(
                            glance.lamps().stream()
                                    .map(lamp -> Sight.of(light(point, lamp.part(), lamp.pin())))
                                    .toList());
        };
    }

    private static double light(OperatingPoint point, PartId part, String pin) {
        return point.light(part, pin).map(light -> light.value()).orElse(0.0);
    }

    /** What each suspect would show of each measure in a state. */
    double[][] values(int state) {
        return values[state];
    }

    private static Optional<OperatingPoint> point(Solver solver, Conditions state) {
        return solver.solve(state) instanceof Outcome.Solved(var point)
                ? Optional.of(point)
                : Optional.empty();
    }

    /** Whether a meter or an eye tells two values apart. */
    boolean tells(Measure what, double one, double other) {
        if (Double.isNaN(one) || Double.isNaN(other)) {
            return Double.isNaN(one) != Double.isNaN(other);
        }
        if (what instanceof Measure.LightOf) {
            return Sight.of(one) != Sight.of(other);
        }
        if (what instanceof Measure.Glance) {
            return one != other;
        }
        return Math.abs(one - other) > near(what, Math.max(Math.abs(one), Math.abs(other)));
    }

    /** How far off a value may be and still be taken for it, volts or amps. */
    double near(Measure what, double value) {
        double system = sound.design().vehicle().system().value();
        return what instanceof Measure.AmpsIn
                ? Math.max(NEAR_AMPS, NEAR_AMPS_SHARE * Math.abs(value))
                : Math.max(NEAR * system / 12, NEAR_SHARE * Math.abs(value));
    }

    /** Suspects that no advised reading tells apart have the same number. */
    int look(int suspect, Means means) {
        return looks.get(means)[suspect];
    }

    private int[] looks(Means means) {
        int[] look = IntStream.range(0, suspects.size()).toArray();
        for (int i = 0; i < look.length; i++) {
            for (int j = 0; j < i; j++) {
                if (look[j] != look[i] && alike(i, j, means)) {
                    int from = look[i];
                    int to = look[j];
                    Arrays.setAll(look, k -> look[k] == from ? to : look[k]);
                }
            }
        }
        return look;
    }

    private boolean alike(int one, int other, Means means) {
        for (var shown : values) {
            for (int i = 0; i < shown.length; i++) {
                if (means.has(measures.get(i))
                        && tells(measures.get(i), shown[i][one], shown[i][other])) {
                    return false;
                }
            }
        }
        return true;
    }
}
