package aficion.job;

import aficion.quantity.Celsius;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A way in which the user's vehicle is used, of the user's own.
 *
 * @param name as the user calls it
 * @param set the positions of the controls that stay, by their names
 * @param shares what is worked in between
 * @param turns whether the engine runs
 * @param air how warm it is
 */
public record Usage(
        String name, Map<String, String> set, List<Share> shares, boolean turns, Celsius air) {
    private static final int LONGEST = 40;

    /**
     * A position of a control that is held for a share of the time.
     *
     * @param share 0 to 1
     */
    public record Share(String control, String position, double share) {
        /**
         * @throws IllegalArgumentException when the share is none
         */
        public Share {
            if (!(share >= 0 && share <= 1)) {
                throw new IllegalArgumentException("a share is 0 to 1, not " + share);
            }
        }
    }

    /**
     * @throws IllegalArgumentException when it has no name
     */
    public Usage {
        Names.requireSaid("the name of a situation", name, LONGEST);
        set = Collections.unmodifiableMap(new LinkedHashMap<>(set));
        shares = List.copyOf(shares);
    }
}
