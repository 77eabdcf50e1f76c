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

    /**
     * @throws IllegalArgumentException when it has no name, or a place of more words than a line
     */
    public UnusedLead {
        Names.requireSaid("the name of a lead", name, LONGEST_NAME);
        Names.requireLine("where it ends", where, LONGEST_PLACE);
    }
}
