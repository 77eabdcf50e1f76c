package aficion.job;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

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

    /** What a function is given for it to act. */
    public enum Fed {
        LIVE,
        EARTH
    }

    /**
     * What sits at one place.
     *
     * @param way its number, letter, or place on the stud
     * @param what what sits there; empty where nothing does
     * @param colour of its wire, in words
     * @param alias what another book calls it
     * @param fed what it is given, where somebody said
     * @param proves whether its lamp lights with the key and goes out, where somebody said
     */
    public record Seat(
            String way,
            String what,
            String colour,
            Optional<String> alias,
            Optional<Fed> fed,
            Optional<Boolean> proves) {
        /** What a way is called that no pin goes into. */
        private static final String BLOCKED = "blocked";

        public Seat {
            Names.requireSaid("a way", way, LONGEST);
            Names.requireLine("what sits there", what, LONGEST);
            Names.requireLine("a colour", colour, LONGEST);
            alias.ifPresent(text -> Names.requireLine("another name", text, LONGEST));
        }

        /** One of which no more is said. */
        public Seat(String way, String what, String colour) {
            this(way, what, colour, Optional.empty(), Optional.empty(), Optional.empty());
        }

        /** One that is closed. */
        public static Seat blocked(String way) {
            return new Seat(way, BLOCKED, "");
        }

        /** Whether it is closed, so that no pin goes in. */
        public boolean isBlocked() {
            return what.equalsIgnoreCase(BLOCKED);
        }

        /** What it is for; empty where nothing is in it. */
        public String function() {
            return isBlocked() ? "" : what;
        }

        /** Whether something is in it. */
        public boolean isUsed() {
            return !function().isBlank();
        }

        /** Whether both are for the same, whatever the books call it. */
        public boolean isFor(Seat other) {
            return isUsed()
                    && other.isUsed()
                    && (isSame(what, other.what)
                            || other.alias.filter(text -> isSame(what, text)).isPresent()
                            || alias.filter(text -> isSame(text, other.what)).isPresent());
        }

        private static boolean isSame(String one, String other) {
            return !plain(one).isEmpty() && plain(one).equals(plain(other));
        }

        private static String plain(String text) {
            return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}+-]+", " ").strip();
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
