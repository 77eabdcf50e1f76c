package aficion.job;

import java.util.List;

/**
 * A fuse box, a plug or a post as it was found: what sits on which way or stud, in order.
 *
 * @param name what it is called; its own
 * @param seats its ways as they are counted, or what lies on the stud from below
 */
public record FoundBox(String name, Sort sort, List<Seat> seats) {
    private static final int LONGEST = 40;

    /** What was found. */
    public enum Sort {
        FUSE_BOX,
        PLUG,
        POST
    }

    /**
     * What sits at one place.
     *
     * @param way its number, letter, or place on the stud
     * @param what what sits there; empty where nothing does
     * @param colour of its wire, in words
     */
    public record Seat(String way, String what, String colour) {
        public Seat {
            Names.requireSaid("a way", way, LONGEST);
            Names.requireLine("what sits there", what, LONGEST);
            Names.requireLine("a colour", colour, LONGEST);
        }
    }

    /**
     * @throws IllegalArgumentException when it has no name
     */
    public FoundBox {
        Names.requireSaid("the name of a box", name, LONGEST);
        seats = List.copyOf(seats);
    }
}
