package aficion.bench.reason;

import aficion.job.PartId;
import java.util.List;
import java.util.Optional;

/**
 * What is known of a trouble.
 *
 * @param readings in the order they were taken
 * @param comesAndGoes whether it is there at times only: then a reading that is right rules nothing
 *     out
 * @param movedLast the part that somebody worked at last: what is wrong is more often there
 */
public record Evidence(List<Reading> readings, boolean comesAndGoes, Optional<PartId> movedLast) {
    public Evidence {
        readings = List.copyOf(readings);
    }

    /** Where nobody says what was moved last. */
    public Evidence(List<Reading> readings, boolean comesAndGoes) {
        this(readings, comesAndGoes, Optional.empty());
    }

    /** Of a trouble that stays. */
    public static Evidence of(List<Reading> readings) {
        return new Evidence(readings, false);
    }
}
