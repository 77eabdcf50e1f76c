package aficion.stock;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Variable;

/**
 * Lengths cut from rolls so that the least is opened: one-dimensional cutting stock with the rolls
 * that are there (P. C. Gilmore, R. E. Gomory, "A linear programming approach to the cutting-stock
 * problem", 1961). Rolls are opened by ever more metres until first-fit decreasing finds room for
 * all; where that is more than could be, an integer programme is asked whether less would do.
 */
final class Packing {
    /** More rolls of one kind are not weighed against each other: the longest are taken. */
    private static final int MOST_ROLLS = 12;

    private static final double ROUNDED = 1e-9;
    private static final long MILLISECONDS = 900;

    private final double[] lengths;
    private final double[] rolls;

    /**
     * @param lengths of the wires
     * @param rolls what is left on each
     */
    Packing(double[] lengths, double[] rolls) {
        this.lengths = lengths.clone();
        this.rolls = rolls.clone();
    }

    /** From which roll each wire is cut; −1 where none has enough left for it. */
    int[] best() {
        var all = usable();
        var bound = Double.POSITIVE_INFINITY;
        for (var opened : subsets(all)) {
            double metres = sum(opened);
            if (metres + ROUNDED < Arrays.stream(lengths).sum()) {
                continue;
            }
            bound = Math.min(bound, metres);
            var packed = firstFit(opened);
            if (packed.isPresent()) {
                return metres > bound + ROUNDED
                        ? better(all, metres).orElse(packed.get())
                        : packed.get();
            }
        }
        return (bound < Double.POSITIVE_INFINITY
                        ? better(all, Double.POSITIVE_INFINITY)
                        : Optional.<int[]>empty())
                .orElseGet(() -> fit(all.reversed()));
    }

    private List<Integer> usable() {
        return IntStream.range(0, rolls.length)
                .filter(roll -> rolls[roll] > 0)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer roll) -> -rolls[roll]))
                .limit(MOST_ROLLS)
                .toList();
    }

    /** Every choice of rolls, the one of the fewest metres first. */
    private List<List<Integer>> subsets(List<Integer> all) {
        var subsets = new ArrayList<List<Integer>>();
        for (int bits = 0; bits < 1 << all.size(); bits++) {
            int chosen = bits;
            subsets.add(
                    IntStream.range(0, all.size())
                            .filter(i -> (chosen >> i & 1) == 1)
                            .mapToObj(all::get)
                            .toList());
        }
        subsets.sort(Comparator.comparingDouble(this::sum));
        return subsets;
    }

    private double sum(List<Integer> opened) {
        return opened.stream().mapToDouble(roll -> rolls[roll]).sum();
    }

    private int[] longestFirst() {
        return IntStream.range(0, lengths.length)
                .boxed()
                .sorted(Comparator.comparingDouble(wire -> -lengths[wire]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /** First-fit decreasing into some rolls, the shortest roll first; empty when one is left. */
    private Optional<int[]> firstFit(List<Integer> opened) {
        var from = fit(opened.reversed());
        return Arrays.stream(from).anyMatch(roll -> roll < 0)
                ? Optional.empty()
                : Optional.of(from);
    }

    private int[] fit(List<Integer> opened) {
        var left = rolls.clone();
        var from = new int[lengths.length];
        Arrays.fill(from, -1);
        for (int wire : longestFirst()) {
            for (int roll : opened) {
                if (from[wire] < 0 && lengths[wire] <= left[roll] + ROUNDED) {
                    from[wire] = roll;
                    left[roll] -= lengths[wire];
                }
            }
        }
        return from;
    }

    /** An assignment that opens fewer metres, if the integer programme finds one in time. */
    private Optional<int[]> better(List<Integer> all, double metres) {
        var model = new ExpressionsBasedModel();
        model.options.time_abort = MILLISECONDS;
        model.options.time_suffice = MILLISECONDS;
        var open = new Variable[rolls.length];
        var cut = new Variable[lengths.length][rolls.length];
        var opened = model.newExpression("opened");
        if (metres < Double.POSITIVE_INFINITY) {
            opened.upper(metres - ROUNDED);
        }
        for (int roll : all) {
            open[roll] = model.newVariable("open" + roll).binary().weight(rolls[roll]);
            opened.set(open[roll], rolls[roll]);
            var room = model.newExpression("room" + roll).upper(0);
            room.set(open[roll], -rolls[roll]);
            for (int wire = 0; wire < lengths.length; wire++) {
                cut[wire][roll] = model.newVariable("cut" + wire + "of" + roll).binary();
                room.set(cut[wire][roll], lengths[wire]);
            }
        }
        for (int wire = 0; wire < lengths.length; wire++) {
            var once = model.newExpression("once" + wire).level(1);
            for (int roll : all) {
                once.set(cut[wire][roll], 1);
            }
        }
        return model.minimise().getState().isFeasible() ? chosen(cut, all) : Optional.empty();
    }

    /** What the programme chose, where it holds to the last millimetre. */
    private Optional<int[]> chosen(Variable[][] cut, List<Integer> all) {
        var from = new int[lengths.length];
        var left = rolls.clone();
        for (int wire = 0; wire < lengths.length; wire++) {
            from[wire] = -1;
            for (int roll : all) {
                if (cut[wire][roll].getValue().doubleValue() > 0.5) {
                    from[wire] = roll;
                    left[roll] -= lengths[wire];
                }
            }
        }
        boolean holds =
                Arrays.stream(from).allMatch(roll -> roll >= 0)
                        && Arrays.stream(left).allMatch(rest -> rest > -1e-6);
        return holds ? Optional.of(from) : Optional.empty();
    }
}
