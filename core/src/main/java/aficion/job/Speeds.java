package aficion.job;

import aficion.quantity.Rpm;

/**
 * How fast an engine turns where it matters.
 *
 * @param idle standing
 * @param cruise on the road for hours
 * @param top the fastest it is run
 */
public record Speeds(Rpm idle, Rpm cruise, Rpm top) {
    /**
     * @throws IllegalArgumentException when they do not rise from above nothing
     */
    public Speeds {
        boolean rise =
                idle.value() > 0 && cruise.value() > idle.value() && top.value() > cruise.value();
        if (!rise || top.value() > 20_000) {
            throw new IllegalArgumentException(
                    "an engine cruises faster than it idles, and its top speed is above both");
        }
    }
}
