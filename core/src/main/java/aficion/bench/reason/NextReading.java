package aficion.bench.reason;

import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What is read next: where what is still likely would show unlike readings, so that whatever is
 * read rules out most, for the least trouble. Of the best few the one is taken that is best with
 * the reading after it.
 */
public final class NextReading {
    /** How many of the best are looked at together with what would come after them. */
    private static final int BEAM = 4;

    /** What is less likely is left out of the count. */
    private static final double UNLIKELY = 1e-4;

    private static final double MOVE = 0.08;
    private static final double HOLD = 0.1;
    private static final double START = 0.5;

    private final Belief belief;
    private final FaultTable table;
    private final Conditions now;
    private final Means means;

    private NextReading(Belief belief, Conditions now, Means means) {
        this.belief = belief;
        this.table = belief.table();
        this.now = now;
        this.means = means;
    }

    /**
     * A reading to take.
     *
     * @param expected what is read while all is well, and how far off it may be
     * @param outcomes what may be read, the likeliest first
     * @param bits how much it tells
     */
    public record Advice(
            Conditions state,
            Measure what,
            Expectation expected,
            List<Outcome> outcomes,
            double bits) {
        public Advice {
            outcomes = List.copyOf(outcomes);
        }
    }

    /** What is read while all is well. */
    public record Expectation(double value, double tolerance) {}

    /**
     * Something that may be read.
     *
     * @param weight how likely that is
     * @param suspects how many of what is still likely would show it
     */
    public record Outcome(double value, double weight, int suspects) {}

    /**
     * What is read next; empty where nothing that can be read tells more.
     *
     * @param now where everything stands
     */
    public static Optional<Advice> of(Belief belief, Conditions now, Means means) {
        return new NextReading(belief, now, means).best();
    }

    /** A place in a state, and how it parts what is left. */
    private record Choice(int state, int place, List<int[]> parts, double gain) {}

    private Optional<Advice> best() {
        var living = living();
        var choices = choices(living);
        return choices.stream()
                .sorted(Comparator.comparingDouble(choice -> -choice.gain))
                .limit(BEAM)
                .max(Comparator.comparingDouble(choice -> choice.gain + after(choice)))
                .map(this::advice);
    }

    private int[] living() {
        var weights = belief.weights();
        return IntStream.range(0, weights.length).filter(i -> weights[i] > UNLIKELY).toArray();
    }

    private List<Choice> choices(int[] living) {
        var choices = new ArrayList<Choice>();
        for (int state = 0; state < table.states().size(); state++) {
            for (int place = 0; place < table.measures().size(); place++) {
                if (offered(place) && !taken(state, place)) {
                    var parts = parts(living, state, place);
                    double bits = bits(parts);
                    if (bits > 1e-9) {
                        choices.add(new Choice(state, place, parts, bits / trouble(state, place)));
                    }
                }
            }
        }
        return choices;
    }

    private boolean offered(int place) {
        return means.has(table.measures().get(place));
    }

    private boolean taken(int state, int place) {
        var what = table.measures().get(place);
        return belief.readings().stream()
                .anyMatch(reading ->
                        reading.state().equals(table.states().get(state))
                                && reading.what().equals(what));
    }

    /** What is left, parted where a meter tells: sorted, and cut where the gap is wide enough. */
    private List<int[]> parts(int[] living, int state, int place) {
        var what = table.measures().get(place);
        var volts = table.values(state)[place];
        var sorted =
                IntStream.of(living)
                        .boxed()
                        .sorted(Comparator.comparingDouble(i -> volts[i]))
                        .mapToInt(i -> i)
                        .toArray();
        var parts = new ArrayList<int[]>();
        int from = 0;
        for (int i = 1; i <= sorted.length; i++) {
            boolean cut =
                    i == sorted.length || table.tells(what, volts[sorted[i - 1]], volts[sorted[i]]);
            if (cut) {
                parts.add(Arrays.copyOfRange(sorted, from, i));
                from = i;
            }
        }
        return parts;
    }

    private double bits(List<int[]> parts) {
        double sum = parts.stream().mapToDouble(this::weight).sum();
        double bits = 0;
        for (var part : parts) {
            double share = weight(part) / sum;
            bits -= share > 0 ? share * Math.log(share) / Math.log(2) : 0;
        }
        return bits;
    }

    private double weight(int[] suspects) {
        var weights = belief.weights();
        double sum = 0;
        for (int each : suspects) {
            sum += weights[each];
        }
        return sum;
    }

    /** What the best reading after one would tell, on the whole. */
    private double after(Choice choice) {
        double all = choice.parts.stream().mapToDouble(this::weight).sum();
        double sum = 0;
        for (var part : choice.parts) {
            if (part.length > 1) {
                double best = 0;
                for (int state = 0; state < table.states().size(); state++) {
                    for (int place = 0; place < table.measures().size(); place++) {
                        if (offered(place)) {
                            best =
                                    Math.max(
                                            best,
                                            bits(parts(part, state, place))
                                                    / trouble(state, place));
                        }
                    }
                }
                sum += weight(part) / all * best;
            }
        }
        return sum;
    }

    /** What a reading costs, in plain readings at hand. */
    private double trouble(int state, int place) {
        return 1
                + moves(table.states().get(state))
                + Trouble.reach(table.netlist(), table.measures().get(place));
    }

    private double moves(Conditions state) {
        return moved.computeIfAbsent(state, this::moved);
    }

    private final Map<Conditions, Double> moved = new HashMap<>();

    private double moved(Conditions state) {
        var controls = table.netlist().controls();
        double cost = 0;
        for (var control : controls.controls()) {
            if (!Controls.position(control, state).equals(Controls.position(control, now))) {
                cost += MOVE;
            }
        }
        cost += state.levels().equals(now.levels()) ? 0 : 2 * MOVE;
        cost += OperatingStates.isHeld(controls, state) ? HOLD : 0;
        return cost + (state.engine().value() > 0 && now.engine().value() == 0 ? START : 0);
    }

    private Advice advice(Choice choice) {
        var state = table.states().get(choice.state);
        var volts = table.values(choice.state)[choice.place];
        double all = choice.parts.stream().mapToDouble(this::weight).sum();
        return new Advice(
                state,
                table.measures().get(choice.place),
                new Expectation(volts[0], table.near(table.measures().get(choice.place), volts[0])),
                choice.parts.stream()
                        .map(part ->
                                new Outcome(
                                        IntStream.of(part)
                                                .mapToDouble(i -> volts[i])
                                                .average()
                                                .orElse(0),
                                        weight(part) / all,
                                        part.length))
                        .sorted(Comparator.comparingDouble(each -> -each.weight))
                        .toList(),
                bits(choice.parts));
    }
}
