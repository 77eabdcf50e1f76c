package aficion.bench.reason;

import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Volts;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
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

    /** What the reading after is worth, so that none is put off that tells as much now. */
    private static final double LATER = 0.7;

    /** What is less likely is left out of the count. */
    private static final double UNLIKELY = 1e-4;

    /** Bits that are none. */
    private static final double NOTHING = 1e-9;

    private static final double MOVE = 0.08;
    private static final double HOLD = 0.1;

    private final Belief belief;
    private final FaultTable table;
    private final List<Spot> spots = new ArrayList<>();

    private NextReading(Belief belief, Conditions now) {
        this.belief = belief;
        this.table = belief.table();
        for (int state = 0; state < table.states().size(); state++) {
            double moves = moves(now, table.states().get(state));
            for (int what = 0; what < table.measures().size(); what++) {
                var measure = table.measures().get(what);
                if (measure instanceof Measure.VoltsAt(var at)) {
                    double reach = Trouble.reach(table.netlist(), measure);
                    spots.add(new Spot(state, what, at, 1 + moves + reach));
                }
            }
        }
    }

    /** Where volts can be read, and what that costs in plain readings at hand. */
    private record Spot(int state, int what, Terminal at, double trouble) {}

    private double moves(Conditions from, Conditions to) {
        boolean held = OperatingStates.isHeld(table.netlist().controls(), to);
        return MOVE * Trouble.moved(table.netlist(), from, to) + (held ? HOLD : 0);
    }

    /**
     * Volts to read.
     *
     * @param expected what is read while all is well
     * @param tolerance how far off it may be, volts
     * @param outcomes what may be read, the likeliest first
     * @param bits how much it tells
     */
    public record Advice(
            Conditions state,
            Terminal at,
            Volts expected,
            double tolerance,
            List<Outcome> outcomes,
            double bits) {
        public Advice {
            outcomes = List.copyOf(outcomes);
        }
    }

    /**
     * Something that may be read.
     *
     * @param volts empty where the reading comes to no rest
     * @param weight how likely that is
     * @param suspects how many of what is still likely would show it
     */
    public record Outcome(Optional<Volts> volts, double weight, int suspects) {}

    /**
     * What is read next; empty where nothing that can be read tells more.
     *
     * @param now where everything stands
     */
    public static Optional<Advice> of(Belief belief, Conditions now) {
        return new NextReading(belief, now).best();
    }

    /** How a spot parts what is left, and what that is worth. */
    private record Choice(Spot spot, List<int[]> parts, double gain) {}

    private Optional<Advice> best() {
        return choices(living()).stream()
                .sorted(Comparator.comparingDouble(choice -> -choice.gain))
                .limit(BEAM)
                .max(Comparator.comparingDouble(choice -> choice.gain + LATER * after(choice)))
                .map(this::advice);
    }

    private int[] living() {
        var weights = belief.weights();
        return IntStream.range(0, weights.length).filter(i -> weights[i] > UNLIKELY).toArray();
    }

    private List<Choice> choices(int[] living) {
        var choices = new ArrayList<Choice>();
        for (var spot : spots) {
            var parts = parts(living, spot);
            double bits = bits(parts);
            if (bits > NOTHING && !taken(spot)) {
                choices.add(new Choice(spot, parts, bits / spot.trouble));
            }
        }
        return choices;
    }

    private boolean taken(Spot spot) {
        var state = table.states().get(spot.state);
        var what = table.measures().get(spot.what);
        return belief.readings().stream()
                .anyMatch(reading -> reading.state().equals(state) && reading.what().equals(what));
    }

    /** What is left, parted where a meter tells: sorted, and cut where the gap is wide enough. */
    private List<int[]> parts(int[] living, Spot spot) {
        var what = table.measures().get(spot.what);
        var volts = table.values(spot.state)[spot.what];
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

    /** What the best reading after one would be worth, on the whole. */
    private double after(Choice choice) {
        double sum = 0;
        for (var part : choice.parts) {
            if (part.length > 1) {
                sum +=
                        weight(part)
                                * spots.stream()
                                        .mapToDouble(spot -> bits(parts(part, spot)) / spot.trouble)
                                        .max()
                                        .orElse(0);
            }
        }
        return sum / choice.parts.stream().mapToDouble(this::weight).sum();
    }

    /** Empty where nothing comes to rest. */
    private static Optional<Volts> mean(int[] part, double[] volts) {
        double mean = IntStream.of(part).mapToDouble(i -> volts[i]).average().orElseThrow();
        return Double.isNaN(mean) ? Optional.empty() : Optional.of(new Volts(mean));
    }

    private Advice advice(Choice choice) {
        var what = table.measures().get(choice.spot.what);
        var volts = table.values(choice.spot.state)[choice.spot.what];
        double all = choice.parts.stream().mapToDouble(this::weight).sum();
        return new Advice(
                table.states().get(choice.spot.state),
                choice.spot.at,
                new Volts(volts[0]),
                table.near(what, volts[0]),
                choice.parts.stream()
                        .map(part ->
                                new Outcome(mean(part, volts), weight(part) / all, part.length))
                        .sorted(Comparator.comparingDouble(each -> -each.weight))
                        .toList(),
                bits(choice.parts));
    }
}
