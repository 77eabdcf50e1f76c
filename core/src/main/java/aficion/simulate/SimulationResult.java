package aficion.simulate;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * What a vehicle did over time.
 *
 * @param traces one for each probe, in the order they were asked for
 * @param events in order of time
 * @param steps how many steps were solved, rejected ones among them
 */
public record SimulationResult(List<Trace> traces, List<SimulationEvent> events, int steps) {
    public SimulationResult {
        traces = List.copyOf(traces);
        events = List.copyOf(events);
    }

    /** What a probe read, in order of time. */
    public static final class Trace {
        private final Probe probe;
        private final double[] seconds;
        private final double[] values;

        Trace(Probe probe, double[] seconds, double[] values) {
            this.probe = probe;
            this.seconds = seconds;
            this.values = values;
        }

        /** What was recorded. */
        public Probe probe() {
            return probe;
        }

        /** How many samples there are. */
        public int size() {
            return seconds.length;
        }

        /** When a sample was taken, s. */
        public double second(int i) {
            return seconds[i];
        }

        /** What was read then: volts, amps or a share; not a number where there was none. */
        public double value(int i) {
            return values[i];
        }

        /** The value at a time, straight between the samples. */
        public double at(double time) {
            int after = 0;
            while (after < seconds.length && seconds[after] < time) {
                after++;
            }
            if (after == 0) {
                return values[0];
            }
            if (after == seconds.length) {
                return values[after - 1];
            }
            double span = seconds[after] - seconds[after - 1];
            double share = span > 0 ? (time - seconds[after - 1]) / span : 1;
            return values[after - 1] + share * (values[after] - values[after - 1]);
        }

        /**
         * The same with about so many samples: of each few the one furthest from nothing, so that
         * no spike is lost.
         */
        public Trace thinned(int samples) {
            int step = Math.max(1, seconds.length / samples);
            var kept =
                    IntStream.range(0, (seconds.length + step - 1) / step)
                            .map(i -> furthest(i * step, Math.min((i + 1) * step, values.length)))
                            .toArray();
            return new Trace(
                    probe,
                    IntStream.of(kept).mapToDouble(i -> seconds[i]).toArray(),
                    IntStream.of(kept).mapToDouble(i -> values[i]).toArray());
        }

        private int furthest(int from, int to) {
            int best = from;
            for (int i = from; i < to; i++) {
                if (Double.isNaN(values[best]) || Math.abs(values[i]) > Math.abs(values[best])) {
                    best = i;
                }
            }
            return best;
        }

        /** The largest value; nothing where there was none at any time. */
        public OptionalDouble most() {
            return DoubleStream.of(values).filter(value -> !Double.isNaN(value)).max();
        }

        /** The mean over time from one time to another. */
        public double mean(double from, double to) {
            double sum = 0;
            double span = 0;
            for (int i = 1; i < seconds.length; i++) {
                double start = Math.max(from, seconds[i - 1]);
                double end = Math.min(to, seconds[i]);
                if (end > start) {
                    sum += (at(start) + at(end)) / 2 * (end - start);
                    span += end - start;
                }
            }
            return span > 0 ? sum / span : 0;
        }
    }

    /** When the first thing of a kind happened. */
    public OptionalDouble first(Class<? extends SimulationEvent> kind) {
        return events.stream()
                .filter(kind::isInstance)
                .mapToDouble(event -> event.at().value())
                .findFirst();
    }

    /** How often something of a kind happened. */
    public long count(Class<? extends SimulationEvent> kind) {
        return events.stream().filter(kind::isInstance).count();
    }
}
