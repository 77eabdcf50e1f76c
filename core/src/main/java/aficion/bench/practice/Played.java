package aficion.bench.practice;

import java.time.Instant;

/**
 * A round that is over, as it is kept for the one who played it.
 *
 * @param vehicle its name
 * @param circuit its name
 * @param minutes what it cost
 * @param acts how many readings, looks and moves it took
 * @param guesses how often something was named that is not
 * @param found whether all was named; a round may be given up
 */
public record Played(
        Instant at,
        String vehicle,
        String circuit,
        Difficulty difficulty,
        double minutes,
        int acts,
        int guesses,
        boolean found) {
    public Played {
        if (!(minutes >= 0) || Double.isInfinite(minutes) || acts < 0 || guesses < 0) {
            throw new IllegalArgumentException("a round takes no less than nothing");
        }
    }
}
