package aficion.bench.reason;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;

/**
 * How likely each suspect is after all that was read, by Bayes' rule: a reading is off by the meter
 * and by what a vehicle is not quite as drawn, normally; a small share of readings is a slip, and
 * may be anything.
 */
public final class Belief {
    /** Readings that are slips: the wrong terminal, the wrong range, misread. */
    private static final double SLIPS = 0.01;

    /** What a meter and a vehicle are off, volts at 12 V or amps, and a share. */
    private static final double OFF = 0.06;

    private static final double OFF_SHARE = 0.012;

    /** How often an eye says of a lamp what is so, what is next to it, or what is not. */
    private static final double[] SEEN = {0.93, 0.05, 0.01, 0.01};

    /** What is less likely than that share of what looks the same is ruled out. */
    private static final double RULED = 0.05;

    /** Where somebody worked last something is wrong so much more often. */
    private static final double MOVED_LAST = 4;

    /** A reading that counts less for or against something is not told. */
    private static final double TELLS = 0.7;

    private static final int TELLING = 3;

    /** How often a person is right about something that is so or is not. */
    private static final double TOLD = 0.96;

    /** The same of a fuse, which is held against the light. */
    private static final double SURE = 0.998;

    /** How often a bad joint shows while it is moved, and nothing else does. */
    private static final double MOVED = 0.85;

    /** What is less likely is out. */
    private static final double LIVING = 1e-3;

    private final FaultTable table;
    private final List<Reading> readings;
    private final Evidence about;
    private final double[] log;
    private final double[] weights;

    private Belief(FaultTable table, List<Reading> readings, Evidence about, double[] log) {
        this.table = table;
        this.readings = List.copyOf(readings);
        this.about = about;
        this.log = log;
        this.weights = shares(log);
    }

    /** Before anything is read. */
    public static Belief of(FaultTable table) {
        return before(table, Evidence.of(List.of()));
    }

    /** After all that is known. */
    public static Belief of(FaultTable table, Evidence evidence) {
        var belief = before(table, evidence);
        for (var reading : evidence.readings()) {
            belief = belief.after(reading);
        }
        return belief;
    }

    /** What is known before the first reading. */
    private static Belief before(FaultTable table, Evidence evidence) {
        return new Belief(
                table,
                List.of(),
                evidence,
                table.suspects().stream()
                        .mapToDouble(each -> Math.log(weight(table, each, evidence)))
                        .toArray());
    }

    private static double weight(FaultTable table, Suspect suspect, Evidence evidence) {
        var design = table.netlist().design();
        boolean moved =
                evidence.movedLast()
                        .filter(part ->
                                suspect.faults().stream()
                                        .flatMap(fault -> fault.parts(design))
                                        .anyMatch(part::equals))
                        .isPresent();
        return moved ? MOVED_LAST * suspect.weight() : suspect.weight();
    }

    private static double[] shares(double[] log) {
        double most = Double.NEGATIVE_INFINITY;
        for (double each : log) {
            most = Math.max(most, each);
        }
        double sum = 0;
        var shares = new double[log.length];
        for (int i = 0; i < log.length; i++) {
            shares[i] = Math.exp(log[i] - most);
            sum += shares[i];
        }
        for (int i = 0; i < log.length; i++) {
            shares[i] /= sum;
        }
        return shares;
    }

    /** The same after one reading more. */
    public Belief after(Reading reading) {
        var next = log.clone();
        var predicted = table.predicted(reading.state(), reading.what());
        for (int i = 0; i < next.length; i++) {
            next[i] += Math.log(likely(predicted, i, reading));
        }
        var all = new ArrayList<>(readings);
        all.add(reading);
        return new Belief(table, all, about, next);
    }

    /** Of what comes and goes a reading shows the trouble as often as it shows none. */
    private double likely(double[] predicted, int suspect, Reading reading) {
        double there = likelihood(predicted[suspect], reading);
        boolean provoked = reading.what() instanceof Measure.Told(var told) && told.provokes();
        return about.comesAndGoes() && !provoked
                ? (there + likelihood(predicted[0], reading)) / 2
                : there;
    }

    /** How likely a reading is where a value is predicted, for each volt or amp. */
    private double likelihood(double predicted, Reading reading) {
        double system = table.netlist().design().vehicle().system().value();
        double anything = 1 / (1.5 * system);
        if (Double.isNaN(predicted)) {
            return anything;
        }
        return switch (reading.what()) {
            case Measure.VoltsAt _ ->
                    measured(
                            predicted,
                            reading.value(),
                            Math.hypot(OFF * system / 12, OFF_SHARE * predicted),
                            anything);
            case Measure.AmpsIn _ ->
                    measured(
                            predicted,
                            reading.value(),
                            Math.hypot(OFF, 4 * OFF_SHARE * predicted),
                            anything);
            case Measure.Told(var told) -> told(told, predicted == reading.value());
            case Measure.LightOf _ -> {
                int apart = Sight.of(predicted).ordinal() - Sight.of(reading.value()).ordinal();
                yield SEEN[Math.abs(apart)];
            }
        };
    }

    /** What does not change while it is moved may sit there all the same. */
    private static double told(Telltale telltale, boolean agrees) {
        double right =
                switch (telltale) {
                    case Telltale.FuseGone _, Telltale.Restless _ -> SURE;
                    case Telltale.Moves _, Telltale.Warms _, Telltale.Loads _ -> MOVED;
                    case Telltale.Warm _, Telltale.Fast _, Telltale.AsDrawn _ -> TOLD;
                };
        return agrees ? right : 1 - right;
    }

    private static double measured(double predicted, double value, double off, double anything) {
        double z = (value - predicted) / off;
        return (1 - SLIPS) * Math.exp(-z * z / 2) / (off * Math.sqrt(2 * Math.PI))
                + SLIPS * anything;
    }

    /** The same readings with other suspects. */
    Belief over(FaultTable other) {
        return of(other, new Evidence(readings, about.comesAndGoes(), about.movedLast()));
    }

    /**
     * How badly the best suspect fits what was read, in natural logarithms below a perfect fit: a
     * slip of the meter costs about ten.
     */
    public double misfit() {
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < log.length; i++) {
            best = Math.max(best, log[i] - Math.log(table.suspects().get(i).weight()));
        }
        double perfect = readings.stream().mapToDouble(this::perfect).sum();
        return perfect - best - (about.comesAndGoes() ? readings.size() * Math.log(2) : 0);
    }

    /** The logarithm of the likelihood of a reading that is just as predicted. */
    private double perfect(Reading reading) {
        return Math.log(likelihood(reading.value(), reading));
    }

    /** What a reading counts for a suspect that predicts a value, below a perfect fit. */
    double against(double predicted, Reading reading) {
        return perfect(reading) - Math.log(likelihood(predicted, reading));
    }

    /** What it is about. */
    public FaultTable table() {
        return table;
    }

    /** Whether the trouble is there at times only. */
    public boolean comesAndGoes() {
        return about.comesAndGoes();
    }

    /** What was read, in order. */
    public List<Reading> readings() {
        return readings;
    }

    /** How many of all that may be wrong are still likely. */
    public int living() {
        return (int) Arrays.stream(weights).filter(each -> each > LIVING).count();
    }

    /** How likely each suspect is; all together are 1. */
    double[] weights() {
        return weights;
    }

    /**
     * Suspects that look the same.
     *
     * @param weight how likely it is that it is one of them, 0 to 1
     * @param suspects that nothing is wrong first, then the likeliest
     * @param speaks the readings that tell most for the first of them or against it
     */
    public record Verdict(double weight, List<Suspect> suspects, List<Speaks> speaks) {
        public Verdict {
            suspects = List.copyOf(suspects);
            speaks = List.copyOf(speaks);
        }
    }

    /**
     * What a reading says of a suspect.
     *
     * @param tells how much likelier it is with it than on the whole, as a natural logarithm: below
     *     zero it speaks against it
     */
    public record Speaks(Reading reading, double tells) {}

    /** What may be wrong, the likeliest first, those that look the same together. */
    public List<Verdict> verdicts() {
        var groups = new HashMap<Integer, List<Integer>>();
        for (int i = 0; i < weights.length; i++) {
            groups.computeIfAbsent(table.look(i), _ -> new ArrayList<>()).add(i);
        }
        var weighed = readings.stream().map(this::weighed).toList();
        return groups.values().stream()
                .map(group -> verdict(group, weighed))
                .sorted(Comparator.comparingDouble(each -> -each.weight))
                .toList();
    }

    private Verdict verdict(List<Integer> group, List<Weighed> weighed) {
        double most = group.stream().mapToDouble(i -> weights[i]).max().orElse(0);
        var ordered =
                group.stream()
                        .sorted(
                                Comparator.comparing((Integer i) -> !isAsLikelyNothing(i, most))
                                        .thenComparing(i -> -weights[i]))
                        .toList();
        return new Verdict(
                group.stream().mapToDouble(i -> weights[i]).sum(),
                ordered.stream().map(table.suspects()::get).toList(),
                speaks(ordered.getFirst(), weighed));
    }

    /**
     * A reading, and how likely it is.
     *
     * @param likely with each suspect
     * @param mean on the whole
     */
    private record Weighed(Reading reading, double[] likely, double mean) {
        Speaks of(int suspect) {
            return new Speaks(reading, Math.log(likely[suspect] / mean));
        }
    }

    private Weighed weighed(Reading reading) {
        var predicted = table.predicted(reading.state(), reading.what());
        var likely = new double[predicted.length];
        double all = 0;
        double sum = 0;
        for (int i = 0; i < likely.length; i++) {
            likely[i] = likely(predicted, i, reading);
            double weight = table.suspects().get(i).weight();
            all += weight;
            sum += weight * likely[i];
        }
        return new Weighed(reading, likely, sum / all);
    }

    private static List<Speaks> speaks(int suspect, List<Weighed> weighed) {
        return weighed.stream()
                .map(each -> each.of(suspect))
                .filter(each -> Math.abs(each.tells) > TELLS)
                .sorted(Comparator.comparingDouble(each -> -Math.abs(each.tells)))
                .limit(TELLING)
                .toList();
    }

    /** Where nothing wrong looks the same, that is said first, unless an eye has ruled it out. */
    private boolean isAsLikelyNothing(int suspect, double most) {
        return table.suspects().get(suspect).faults().isEmpty() && weights[suspect] > RULED * most;
    }
}
