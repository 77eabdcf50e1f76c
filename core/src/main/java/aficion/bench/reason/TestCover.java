package aficion.bench.reason;

import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The fewest readings that together notice every fault of a circuit that a meter can notice: by the
 * greedy rule, which is never worse than the best by more than the logarithm of their number (V.
 * Chvátal, <i>A greedy heuristic for the set-covering problem</i>, 1979). What turns no key and is
 * at hand comes first.
 *
 * @param readings in the order they are taken, state by state
 * @param noticed how many faults they notice
 * @param unnoticed what no reading shows
 */
public record TestCover(List<Telling> readings, int noticed, List<Suspect> unnoticed) {
    /** Turning anything costs so much of a reading, once for all readings under it. */
    private static final double TURN = 0.6;

    public TestCover {
        readings = List.copyOf(readings);
        unnoticed = List.copyOf(unnoticed);
    }

    /**
     * A reading of the run.
     *
     * @param expected what is read while all is well
     * @param tolerance how far off it may be
     * @param notices how many faults it is the first to notice
     */
    public record Telling(
            Conditions state, Measure what, double expected, double tolerance, int notices) {}

    /** The run of a circuit with the engine still. */
    public static TestCover of(FaultTable table) {
        return new Covering(table).cover();
    }

    private static final class Covering {
        private final FaultTable table;
        private final Set<Conditions> standing;
        private final List<int[]> chosen = new ArrayList<>();
        private final BitSet left;

        Covering(FaultTable table) {
            this.table = table;
            this.standing = Set.copyOf(table.standing());
            this.left = new BitSet(table.suspects().size());
            left.set(1, table.suspects().size());
        }

        TestCover cover() {
            int all = left.cardinality();
            var shown = new BitSet[table.states().size()][table.measures().size()];
            for (int state = 0; state < shown.length; state++) {
                for (int what = 0; what < shown[state].length; what++) {
                    shown[state][what] = shown(state, what);
                }
            }
            for (var best = best(shown); best.length > 0; best = best(shown)) {
                chosen.add(best);
                left.andNot(shown[best[0]][best[1]]);
            }
            var unnoticed = left.stream().mapToObj(table.suspects()::get).toList();
            return new TestCover(ordered(shown), all - unnoticed.size(), unnoticed);
        }

        /** The suspects that a reading tells from nothing; none where an engine has to run. */
        private BitSet shown(int state, int what) {
            var measure = table.measures().get(what);
            var shown = new BitSet(table.suspects().size());
            if (!standing.contains(table.states().get(state))) {
                return shown;
            }
            var values = table.values(state)[what];
            IntStream.range(1, values.length)
                    .filter(i -> table.tells(measure, values[0], values[i]))
                    .forEach(shown::set);
            return shown;
        }

        private int[] best(BitSet[][] shown) {
            int[] best = {};
            double most = 0;
            for (int state = 0; state < shown.length; state++) {
                for (int what = 0; what < shown[state].length; what++) {
                    var gained = (BitSet) shown[state][what].clone();
                    gained.and(left);
                    double gain = gained.cardinality() / trouble(state, what);
                    if (gain > most) {
                        most = gain;
                        best = new int[] {state, what};
                    }
                }
            }
            return best;
        }

        private double trouble(int state, int what) {
            boolean there = chosen.stream().anyMatch(each -> each[0] == state);
            double hold =
                    OperatingStates.isHeld(table.netlist().controls(), table.states().get(state))
                            ? TURN / 2
                            : 0;
            return 1
                    + Trouble.reach(table.netlist(), table.measures().get(what))
                    + (there ? 0 : TURN + hold);
        }

        /** State by state, from rest on to what is moved least each time. */
        private List<Telling> ordered(BitSet[][] shown) {
            var states = new ArrayList<>(chosen.stream().map(each -> each[0]).distinct().toList());
            var told = new BitSet(table.suspects().size());
            var readings = new ArrayList<Telling>();
            var now = Conditions.REST;
            while (!states.isEmpty()) {
                var from = now;
                int next =
                        states.stream()
                                .min(
                                        Comparator.comparingInt(state ->
                                                Trouble.moved(
                                                        table.netlist(),
                                                        from,
                                                        table.states().get(state))))
                                .orElseThrow();
                states.remove(Integer.valueOf(next));
                now = table.states().get(next);
                for (var each : chosen) {
                    if (each[0] == next) {
                        readings.add(telling(each, shown[each[0]][each[1]], told));
                        told.or(shown[each[0]][each[1]]);
                    }
                }
            }
            return readings;
        }

        private Telling telling(int[] each, BitSet shown, BitSet told) {
            var state = table.states().get(each[0]);
            var what = table.measures().get(each[1]);
            double expected = table.values(each[0])[each[1]][0];
            var fresh = (BitSet) shown.clone();
            fresh.andNot(told);
            return new Telling(
                    state, what, expected, table.near(what, expected), fresh.cardinality());
        }
    }
}
