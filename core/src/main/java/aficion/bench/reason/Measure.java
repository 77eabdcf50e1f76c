package aficion.bench.reason;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import java.util.ArrayList;
import java.util.List;

/** What a meter or an eye can take in. */
public sealed interface Measure {
    /** Volts of a terminal against the body. */
    record VoltsAt(Terminal at) implements Measure {}

    /** Amps in a wire, whichever way. */
    record AmpsIn(WireId wire) implements Measure {}

    /**
     * All lamps at one glance: what an eye says of each, the first lamp times one, the second times
     * four, and so on.
     */
    record Glance(List<LightOf> lamps) implements Measure {
        /** No number tells of more. */
        private static final int MOST = 24;

        public Glance {
            lamps = List.copyOf(lamps.subList(0, Math.min(MOST, lamps.size())));
        }

        /** The number that tells of what is seen of each lamp. */
        public double of(List<Sight> seen) {
            double code = 0;
            for (int i = seen.size() - 1; i >= 0; i--) {
                code = Sight.values().length * code + seen.get(i).ordinal();
            }
            return code;
        }

        /** What is seen of each lamp by the number that tells of it. */
        public List<Sight> seen(double code) {
            long left = Math.round(code);
            var seen = new ArrayList<Sight>();
            for (int i = 0; i < lamps.size(); i++) {
                seen.add(Sight.values()[(int) (left % Sight.values().length)]);
                left /= Sight.values().length;
            }
            return List.copyOf(seen);
        }
    }

    /** The light of a lamp as a share of what it should give at its rated volts. */
    record LightOf(PartId part, String pin) implements Measure {}
}
