package aficion.change;

import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.UnusedLead;
import aficion.job.Wire;
import java.util.Optional;

/** One thing that is another than it was found, or that stays. */
public sealed interface Change {

    /** What is done, in the order in which it is worked. */
    enum Sort {
        /** Comes off. */
        OFF,
        /** Cut back and sealed, where it stays in the loom. */
        SEALED,
        /** Goes from one place, or one terminal, to another. */
        MOVES,
        /** Another in its place. */
        REPLACED,
        NEW,
        STAYS
    }

    Sort sort();

    /** Its name among the changes: what it is of and what is done. */
    String key();

    /**
     * A part.
     *
     * @param was as found; empty for a new one
     * @param is as it shall be; empty for what comes off
     */
    record OfPart(Sort sort, Optional<Part> was, Optional<Part> is) implements Change {
        /** The part, as it shall be where it shall be. */
        public Part part() {
            return is.or(() -> was).orElseThrow();
        }

        @Override
        public String key() {
            return "part/" + part().id() + "/" + sort.name();
        }
    }

    /**
     * A wire.
     *
     * @param was as found; empty for a new one
     * @param is as it shall be; empty for what comes off
     */
    record OfWire(Sort sort, Optional<Wire> was, Optional<Wire> is) implements Change {
        /** The wire, as it shall be where it shall be. */
        public Wire wire() {
            return is.or(() -> was).orElseThrow();
        }

        /** The end it had that moves; empty where none does. */
        public Optional<Terminal> from() {
            return was.flatMap(before ->
                    before.terminals().stream()
                            .filter(end ->
                                    is.filter(now -> now.terminals().contains(end)).isEmpty())
                            .findFirst());
        }

        /** Where that end goes; empty where none does. */
        public Optional<Terminal> to() {
            return is.flatMap(now ->
                    now.terminals().stream()
                            .filter(end ->
                                    was.filter(before -> before.terminals().contains(end))
                                            .isEmpty())
                            .findFirst());
        }

        @Override
        public String key() {
            return "wire/" + wire().id() + "/" + sort.name();
        }
    }

    /** A lead that nothing needs. */
    record OfLead(UnusedLead lead) implements Change {
        @Override
        public Sort sort() {
            return Sort.SEALED;
        }

        @Override
        public String key() {
            return "lead/" + lead.name() + "/SEALED";
        }
    }
}
