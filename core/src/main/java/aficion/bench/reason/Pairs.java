package aficion.bench.reason;

import aficion.netlist.Conditions;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Two faults at once, looked for when no single one explains what was read: each of the singles
 * that explain most, with every other.
 */
public final class Pairs {
    /** A misfit beyond that is more than one slip of the meter. */
    private static final double UNEXPLAINED = 13;

    /** How many singles are joined with all others. */
    private static final int FIRST = 14;

    private static final int KEPT = 70;
    private static final int SINGLES = 20;

    /** Two faults are met so much less often than one. */
    private static final double RARER = 0.005;

    private final Belief belief;
    private final FaultTable table;
    private final BooleanSupplier wanted;

    private Pairs(Belief belief, BooleanSupplier wanted) {
        this.belief = belief;
        this.table = belief.table();
        this.wanted = wanted;
    }

    /**
     * The same readings with pairs among the suspects, where no single one explains them; else as
     * it is.
     *
     * @param singles the table that the circuit began with
     */
    public static Belief where(Belief belief, FaultTable singles, BooleanSupplier wanted) {
        if (explained(belief) || belief.comesAndGoes()) {
            return belief;
        }
        return new Pairs(belief.over(singles), wanted).joined();
    }

    /** Whether something that is looked for explains what was read, but for a slip. */
    public static boolean explained(Belief belief) {
        return belief.misfit() <= UNEXPLAINED;
    }

    private record Scored(Suspect suspect, double misfit) {}

    private Belief joined() {
        var singles = singles();
        var first = singles.stream().limit(FIRST).map(Scored::suspect).toList();
        var all = table.suspects().subList(1, table.suspects().size());
        var pairs = new ArrayList<Scored>();
        for (int i = 0; i < first.size() && wanted.getAsBoolean(); i++) {
            var one = first.get(i);
            for (var other : all) {
                if (!first.subList(0, i + 1).contains(other)) {
                    score(one.with(other, RARER)).ifPresent(pairs::add);
                }
            }
        }
        var suspects =
                Stream.of(
                                Stream.of(Suspect.NOTHING),
                                singles.stream().limit(SINGLES).map(Scored::suspect),
                                pairs.stream()
                                        .sorted(Comparator.comparingDouble(Scored::misfit))
                                        .limit(KEPT)
                                        .map(Scored::suspect))
                        .flatMap(some -> some)
                        .toList();
        return belief.over(table.of(suspects, wanted));
    }

    /** The singles, those first that explain most of what was read. */
    private List<Scored> singles() {
        return IntStream.range(1, table.suspects().size())
                .mapToObj(i -> new Scored(table.suspects().get(i), misfit(i)))
                .sorted(Comparator.comparingDouble(Scored::misfit))
                .toList();
    }

    private double misfit(int suspect) {
        double sum = 0;
        for (var reading : belief.readings()) {
            double predicted = table.predicted(reading.state(), reading.what())[suspect];
            sum += belief.against(predicted, reading);
        }
        return sum;
    }

    private Optional<Scored> score(Suspect pair) {
        try {
            var solver = new Solver(FaultTable.faulty(table.netlist(), pair));
            Map<Conditions, Optional<OperatingPoint>> points = new HashMap<>();
            double sum = 0;
            for (var reading : belief.readings()) {
                var point =
                        points.computeIfAbsent(
                                reading.state(), state -> solver.solve(state).settled());
                double predicted = table.value(pair, point, reading.what());
                sum += belief.against(predicted, reading);
            }
            return Optional.of(new Scored(pair, sum));
        } catch (IllegalArgumentException e) {
            // What one fault changed may leave the other nothing to change.
            return Optional.empty();
        }
    }
}
