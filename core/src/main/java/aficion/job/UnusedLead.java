package aficion.job;

import java.util.Optional;

/**
 * A lead of a bought loom or kit that nothing needs, and what was done with it, so that nobody
 * looks for its other end later.
 *
 * @param name what it is called, by the kit or by its colour; its own
 * @param colour as it is found
 * @param where it ends, in words
 */
public record UnusedLead(String name, Optional<WireColour> colour, String where, Done done) {
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_PLACE = 200;

    /** What was done with it. */
    public enum Done {
        /** Its end is closed, and it stays where it is. */
        SEALED,
        /** It is cut off short, and its end is closed. */
        CUT_BACK,
        /** It is coiled up and tied, for later. */
        COILED
    }

    private static boolean isLine(String text) {
        return text.codePoints().noneMatch(Character::isISOControl);
    }

    /**
     * @throws IllegalArgumentException when it has no name, or a place of more words than a line
     */
    public UnusedLead {
        if (name.isBlank() || name.length() > LONGEST_NAME || !isLine(name)) {
            throw new IllegalArgumentException("a lead has a name of 1 to 40 signs");
        }
        if (where.length() > LONGEST_PLACE || !isLine(where)) {
            throw new IllegalArgumentException("where it ends is told in a line of 200 signs");
        }
    }
}
