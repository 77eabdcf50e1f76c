package aficion.bench.reason;

import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

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

    /** No table has more values, but for two states of a circuit beyond any vehicle. */
    private static final long MOST = 4_000_000;

    private final Netlist sound;
    private final List<Suspect> suspects;
    private final Readable readable;
    private final List<Measure> measures;

    /** What was asked for besides, each with what every suspect shows of it. */
    private final Map<Asked, double[]> besides = new HashMap<>();

    private @Nullable Conditions asked;
    private List<Optional<OperatingPoint>> points = List.of();

    /** How each state is while all is well. */
    private final Map<Conditions, Optional<OperatingPoint>> well = new HashMap<>();

    /** The guards that a fault opens in some state: what has opened stays so in every other. */
    private final Map<Fault, Set<FuseSeat>> opened = new HashMap<>();

    /** By state, what is read, and suspect. */
    private final double[][][] values;

    private final int[] looks;

    private FaultTable(
            Netlist sound, List<Suspect> suspects, Readable readable, BooleanSupplier wanted) {
        this.sound = sound;
        this.suspects = suspects;
        this.readable = readable;
        this.measures = readable.measures();
        this.values = new double[states().size()][measures.size()][suspects.size()];
        for (int i = 0; i < suspects.size() && wanted.getAsBoolean(); i++) {
            fill(i);
        }
        this.looks = wanted.getAsBoolean() ? looks() : new int[suspects.size()];
    }

    private record Asked(Conditions state, Measure what) {}

    private void fill(int suspect) {
        var solver = new Solver(faulty(sound, suspects.get(suspect)));
        for (int state = 0; state < states().size(); state++) {
            var point = solver.solve(states().get(state)).settled();
            point.ifPresent(found -> open(suspects.get(suspect), found));
            for (int what = 0; what < measures.size(); what++) {
                values[state][what][suspect] =
                        value(suspects.get(suspect), point, measures.get(what));
            }
        }
    }

    private void open(Suspect suspect, OperatingPoint point) {
        var blown = point.blown();
        if (!blown.isEmpty()) {
            suspect.faults()
                    .forEach(fault ->
                            opened.computeIfAbsent(fault, _ -> new HashSet<>()).addAll(blown));
        }
    }

    /** Whether something wrong has opened a guard, here or in another state. */
    private boolean opens(Suspect suspect, FuseSeat guard) {
        return suspect.faults().stream()
                .anyMatch(fault -> opened.getOrDefault(fault, Set.of()).contains(guard));
    }

    /** What a suspect shows; NaN where nothing comes to rest. */
    double value(Suspect suspect, Optional<OperatingPoint> point, Measure what) {
        double without = what instanceof Measure.Told(Telltale.Restless _) ? 1 : Double.NaN;
        return point.map(found -> value(suspect, found, what)).orElse(without);
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
        var readable = Readable.of(sound, circuit);
        long each = (long) suspects.size() * readable.measures().size();
        var table =
                new FaultTable(sound, suspects, readable.upTo(Math.max(2, MOST / each)), wanted);
        return wanted.getAsBoolean() ? Optional.of(table) : Optional.empty();
    }

    /** The same circuit with other suspects. */
    FaultTable of(List<Suspect> others, BooleanSupplier wanted) {
        return new FaultTable(sound, others, readable, wanted);
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

    /** Volts of a terminal as a meter shows them: none where it floats. */
    static double volts(OperatingPoint point, Terminal at) {
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
        return readable.states();
    }

    /** Those of them in which the engine stands. */
    public List<Conditions> standing() {
        return states().stream().filter(state -> state.engine().value() == 0).toList();
    }

    /** The states that must not be tried. */
    public List<Forbidden> forbidden() {
        return readable.forbidden();
    }

    /** The wire that carries most, in which amps are read. */
    public Optional<WireId> feed() {
        return readable.feed();
    }

    /** What can be read in them. */
    public List<Measure> measures() {
        return measures;
    }

    /** What would be read with each suspect; NaN where nothing comes to rest. */
    public double[] predicted(Conditions state, Measure what) {
        int at = states().indexOf(state);
        int known = measures.indexOf(what);
        return at >= 0 && known >= 0
                ? values[at][known]
                : besides.computeIfAbsent(new Asked(state, what), this::besides);
    }

    private double[] besides(Asked asked) {
        var points = points(asked.state);
        return IntStream.range(0, suspects.size())
                .mapToDouble(i -> value(suspects.get(i), points.get(i), asked.what))
                .toArray();
    }

    /**
     * How each suspect is in a state; the last state is kept, since several things are seen in it.
     */
    private List<Optional<OperatingPoint>> points(Conditions state) {
        if (!state.equals(asked)) {
            points =
                    suspects.stream()
                            .map(suspect ->
                                    new Solver(faulty(sound, suspect)).solve(state).settled())
                            .toList();
            asked = state;
        }
        return points;
    }

    private double value(Suspect suspect, OperatingPoint point, Measure what) {
        return switch (what) {
            case Measure.VoltsAt(var at) -> volts(point, at);
            case Measure.AmpsIn(var wire) ->
                    Math.abs(point.through(point.netlist().design().wire(wire)).value());
            case Measure.LightOf(var part, var pin) ->
                    point.light(part, pin).map(light -> light.value()).orElse(0.0);
            case Measure.Told(var telltale) -> told(telltale, suspect, point);
        };
    }

    private double told(Telltale telltale, Suspect suspect, OperatingPoint point) {
        if (telltale instanceof Telltale.FuseGone(var guard) && opens(suspect, guard)) {
            return 1;
        }
        return well.computeIfAbsent(
                        point.conditions(), state -> new Solver(sound).solve(state).settled())
                .map(all -> telltale.holds(suspect, point, all) ? 1.0 : 0.0)
                .orElse(Double.NaN);
    }

    /** What each suspect would show of each measure in a state. */
    double[][] values(int state) {
        return values[state];
    }

    /** Whether a meter tells two values apart. */
    boolean tells(Measure what, double one, double other) {
        if (Double.isNaN(one) || Double.isNaN(other)) {
            return Double.isNaN(one) != Double.isNaN(other);
        }
        return Math.abs(one - other) > near(what, Math.max(Math.abs(one), Math.abs(other)));
    }

    /** How far off a value may be and still be taken for it, volts or amps. */
    double near(Measure what, double value) {
        return what instanceof Measure.AmpsIn
                ? Math.max(NEAR_AMPS, NEAR_AMPS_SHARE * Math.abs(value))
                : nearVolts(value);
    }

    /** How far off a reading of volts may be and still be taken for it. */
    public double nearVolts(double value) {
        double system = sound.design().vehicle().system().value();
        return Math.max(NEAR * system / 12, NEAR_SHARE * Math.abs(value));
    }

    /** Suspects that no voltmeter tells apart have the same number. */
    int look(int suspect) {
        return looks[suspect];
    }

    /** What no voltmeter tells from a suspect, with it. */
    public List<Suspect> looksLike(int suspect) {
        return IntStream.range(0, suspects.size())
                .filter(i -> looks[i] == looks[suspect])
                .mapToObj(suspects::get)
                .toList();
    }

    /** The netlist with some faults in it; as it is where there are none. */
    public Netlist with(List<Fault> faults) {
        return faulty(sound, new Suspect(faults, 1));
    }

    /** Whether those can be at once: what one changes may leave the other nothing to change. */
    public boolean canHave(List<Fault> faults) {
        try {
            with(faults);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** How much is moved from one state to another, in switches that are thrown. */
    public int moved(Conditions from, Conditions to) {
        return Trouble.moved(sound, from, to);
    }

    /** How hard a part is to reach, as a share of a reading at hand. */
    public double reach(PartId part) {
        return Trouble.reach(sound, part);
    }

    private int[] looks() {
        int[] look = IntStream.range(0, suspects.size()).toArray();
        for (int i = 0; i < look.length; i++) {
            for (int j = 0; j < i; j++) {
                if (look[j] != look[i] && alike(i, j)) {
                    int from = look[i];
                    int to = look[j];
                    Arrays.setAll(look, k -> look[k] == from ? to : look[k]);
                }
            }
        }
        return look;
    }

    private boolean alike(int one, int other) {
        for (var shown : values) {
            for (int i = 0; i < readable.places().size(); i++) {
                if (tells(measures.get(i), shown[i][one], shown[i][other])) {
                    return false;
                }
            }
        }
        return true;
    }
}
