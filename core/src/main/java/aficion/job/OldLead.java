package aficion.job;

import aficion.quantity.Metres;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A lead of the old loom as it was found, its ends and what lies between them.
 *
 * @param name what it is called; its own
 * @param from where it begins, in words or as a terminal
 * @param to where it ends
 * @param colour as it is found; empty where it cannot be told any more
 * @param bare diameter of the bare copper, as it was measured
 * @param cover what it is covered with
 * @param states how it is at its first end, along it, and at its last end
 * @param added whether somebody added it later
 * @param verdict what the user does with it; empty while that is open
 * @param photographs their files
 * @param words what else was seen
 */
public record OldLead(
        String name,
        String from,
        String to,
        Optional<WireColour> colour,
        Optional<Metres> bare,
        Cover cover,
        States states,
        boolean added,
        Optional<Verdict> verdict,
        List<String> photographs,
        String words) {
    private static final int LONGEST = 40;
    private static final int LONGEST_WORDS = 400;
    private static final double THICKEST = 0.03;

    /** What a lead is covered with. */
    public enum Cover {
        PLASTIC,
        RUBBER,
        CLOTH
    }

    /** What is seen of a lead. */
    public enum Condition {
        SOUND,
        TAPED,
        BARE,
        BRITTLE,
        MELTED,
        OIL_SOAKED,
        GREEN
    }

    /** What is done with a lead. */
    public enum Verdict {
        KEEP,
        /** Cut back to sound copper, and joined to a new piece. */
        TRIM,
        CONDEMN
    }

    /**
     * How a lead is; nothing is said where nobody looked.
     *
     * @param first at its first end
     * @param along between its ends
     * @param last at its last end
     */
    public record States(Set<Condition> first, Set<Condition> along, Set<Condition> last) {
        /** Nobody looked. */
        public static final States UNSEEN = new States(Set.of(), Set.of(), Set.of());

        public States {
            first = copy(first);
            along = copy(along);
            last = copy(last);
        }

        private static Set<Condition> copy(Set<Condition> seen) {
            return seen.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(seen));
        }

        /** Whether it is so anywhere. */
        public boolean anywhere(Condition condition) {
            return first.contains(condition)
                    || along.contains(condition)
                    || last.contains(condition);
        }
    }

    /**
     * @throws IllegalArgumentException when it has no name or no ends, or is thicker than any
     */
    public OldLead {
        Names.requireSaid("the name of a lead", name, LONGEST);
        Names.requireSaid("where a lead begins", from, LONGEST);
        Names.requireSaid("where a lead ends", to, LONGEST);
        Names.requireLine("what was seen", words, LONGEST_WORDS);
        photographs = List.copyOf(photographs);
        if (bare.filter(d -> !(d.value() > 0 && d.value() <= THICKEST)).isPresent()) {
            throw new IllegalArgumentException("bare copper is 0 to 30 mm thick");
        }
    }

    /** The same with another verdict. */
    public OldLead with(Optional<Verdict> other) {
        return new OldLead(
                name, from, to, colour, bare, cover, states, added, other, photographs, words);
    }

    /** The same with a photograph more. */
    public OldLead and(String photograph) {
        var more = new java.util.ArrayList<>(photographs);
        more.add(photograph);
        return new OldLead(
                name, from, to, colour, bare, cover, states, added, verdict, more, words);
    }
}
