package aficion.change;

import aficion.job.FoundBox.Fed;
import aficion.job.FoundBox.Seat;
import java.util.Locale;
import java.util.Optional;

/**
 * A way of a plug.
 *
 * @param way its number or letter
 * @param function what it is for, as the book calls it; empty where nothing is in it
 * @param alias what another book calls it
 * @param colour the colour of its wire, in words of whoever wrote it; empty where it has none
 * @param blocked whether it is closed, so that no pin goes in
 * @param fed what the function is given; empty where nobody said
 * @param proves whether its lamp lights with the key and goes out; empty where nobody said
 */
public record PlugWay(
        String way,
        String function,
        String alias,
        String colour,
        boolean blocked,
        Optional<Fed> fed,
        Optional<Boolean> proves) {
    private static final int LONGEST = 60;

    /**
     * @throws IllegalArgumentException when it has no number, or is closed and used
     */
    public PlugWay {
        if (way.isBlank()) {
            throw new IllegalArgumentException("a way of a plug has a number or a letter");
        }
        if (blocked && !function.isBlank()) {
            throw new IllegalArgumentException("way " + way + " is blocked and used");
        }
        if (way.length() > LONGEST || function.length() > LONGEST || alias.length() > LONGEST) {
            throw new IllegalArgumentException("way " + way + " says more than 60 signs");
        }
    }

    /** A way as it was found. */
    public static PlugWay of(Seat seat) {
        return new PlugWay(
                seat.way(),
                seat.isBlocked() ? "" : seat.what(),
                seat.alias().orElse(""),
                seat.colour(),
                seat.isBlocked(),
                seat.fed(),
                seat.proves());
    }

    /** A way by its number, its function and the colour of its wire. */
    public static PlugWay of(String way, String function, String colour) {
        return new PlugWay(way, function, "", colour, false, Optional.empty(), Optional.empty());
    }

    /** A way that is closed. */
    public static PlugWay blocked(String way) {
        return new PlugWay(way, "", "", "", true, Optional.empty(), Optional.empty());
    }

    /** Whether something is in it. */
    public boolean isUsed() {
        return !function.isBlank();
    }

    /** Whether both are for the same, whatever the books call it. */
    boolean isFor(PlugWay other) {
        return isUsed()
                && other.isUsed()
                && (same(function, other.function)
                        || same(function, other.alias)
                        || same(alias, other.function));
    }

    private static boolean same(String one, String other) {
        return !plain(one).isEmpty() && plain(one).equals(plain(other));
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}+-]+", " ").strip();
    }
}
