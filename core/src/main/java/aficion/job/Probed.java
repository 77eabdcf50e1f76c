package aficion.job;

import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;

/**
 * What a meter showed of switches and leads that nobody knows yet, kept until they are known.
 *
 * @param key volts at the terminals of a key switch, position by position
 * @param contacts whether two terminals of a switch are joined in a position
 * @param leads what single leads draw, or measure to earth
 * @param pairs ohms between two leads of one thing
 */
public record Probed(
        List<KeyVolts> key, List<Closed> contacts, List<OfLead> leads, List<Across> pairs) {

    /** Nothing probed. */
    public static final Probed NONE = new Probed(List.of(), List.of(), List.of(), List.of());

    private static final int LONGEST = 40;

    public Probed {
        key = List.copyOf(key);
        contacts = List.copyOf(contacts);
        leads = List.copyOf(leads);
        pairs = List.copyOf(pairs);
    }

    /** Volts to earth at a terminal of a key switch, in a position. */
    public record KeyVolts(String terminal, String position, Volts volts) {
        /**
         * @throws IllegalArgumentException when a name is none
         */
        public KeyVolts {
            requireName(terminal);
            requireName(position);
        }
    }

    /** Whether two terminals are joined in a position. */
    public record Closed(String one, String other, String position, boolean closed) {
        /**
         * @throws IllegalArgumentException when a name is none, or both are one
         */
        public Closed {
            requireTwo(one, other);
            requireName(position);
        }
    }

    /**
     * A lead.
     *
     * @param colour as it is found
     * @param volts that it was fed with; empty where it was not fed
     * @param amps that it drew then
     * @param ohms to earth, cold and unfed; over the range where it is open
     */
    public record OfLead(
            String lead,
            Optional<WireColour> colour,
            Optional<Volts> volts,
            Optional<Amps> amps,
            Optional<Ohms> ohms) {
        /**
         * @throws IllegalArgumentException when it has no name, nothing was read, or amps without
         *     the volts they are of
         */
        public OfLead {
            requireName(lead);
            if (volts.isPresent() != amps.isPresent() || amps.isEmpty() && ohms.isEmpty()) {
                throw new IllegalArgumentException(
                        "of a lead, volts and amps together, or ohms, are read");
            }
        }
    }

    /** Ohms between two leads; over the range where nothing joins them. */
    public record Across(String one, String other, Ohms ohms) {
        /**
         * @throws IllegalArgumentException when a name is none, or both are one
         */
        public Across {
            requireTwo(one, other);
        }
    }

    private static void requireTwo(String one, String other) {
        requireName(one);
        requireName(other);
        if (one.equals(other)) {
            throw new IllegalArgumentException("\"" + one + "\" stands at both ends");
        }
    }

    private static void requireName(String name) {
        Names.requireSaid("a name", name, LONGEST);
    }

    /** The same with volts read, in place of those read there before. */
    public Probed with(KeyVolts read) {
        return new Probed(
                Listed.in(
                        key,
                        read,
                        each ->
                                each.terminal().equals(read.terminal())
                                        && each.position().equals(read.position())),
                contacts,
                leads,
                pairs);
    }

    /** The same with a contact tried, in place of what it was there before. */
    public Probed with(Closed tried) {
        return new Probed(
                key,
                Listed.in(
                        contacts,
                        tried,
                        each ->
                                isSamePair(each.one(), each.other(), tried.one(), tried.other())
                                        && each.position().equals(tried.position())),
                leads,
                pairs);
    }

    /** The same with a lead read, in place of what was read of it before. */
    public Probed with(OfLead read) {
        return new Probed(
                key,
                contacts,
                Listed.in(leads, read, each -> each.lead().equals(read.lead())),
                pairs);
    }

    /** The same with ohms read between two leads, in place of those read before. */
    public Probed with(Across read) {
        return new Probed(
                key,
                contacts,
                leads,
                Listed.in(
                        pairs,
                        read,
                        each -> isSamePair(each.one(), each.other(), read.one(), read.other())));
    }

    private static boolean isSamePair(String one, String other, String first, String second) {
        return one.equals(first) && other.equals(second)
                || one.equals(second) && other.equals(first);
    }
}
