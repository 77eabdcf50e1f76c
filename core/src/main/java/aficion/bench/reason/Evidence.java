package aficion.bench.reason;

import java.util.List;

/**
 * What is known of a trouble.
 *
 * @param readings in the order they were taken
 * @param comesAndGoes whether it is there at times only: then a reading that is right rules nothing
 *     out
 */
public record Evidence(List<Reading> readings, boolean comesAndGoes) {
    public Evidence {
        readings = List.copyOf(readings);
    }

    /** Of a trouble that stays. */
    public static Evidence of(List<Reading> readings) {
        return new Evidence(readings, false);
    }
}
