package aficion.job;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.List;
import java.util.Optional;

/**
 * A wire, cut from one reel, between two terminals.
 *
 * @param id its identity, which never changes
 * @param number what its labels say
 * @param circuit the circuit it is worked with
 * @param from one end, towards the source
 * @param to the other end
 * @param colour main colour and tracer
 * @param size the size it is bought by
 * @param insulation what it is covered with
 * @param length how long it is
 * @param zone the hottest place it runs through
 * @param unguarded why it may go without a guard, when the user has stated that it does
 * @param bundle the name of the bundle it runs in, where it does
 * @param pinned what of it the user has settled
 * @param slack what it has to spare where it runs through a moving place
 */
public record Wire(
        WireId id,
        String number,
        CircuitId circuit,
        End from,
        End to,
        WireColour colour,
        WireSize size,
        Insulation insulation,
        RunLength length,
        Zone zone,
        Optional<Unguarded> unguarded,
        Optional<String> bundle,
        Optional<Pinned> pinned,
        Optional<Metres> slack) {
    private static final double MOST_SLACK = 10;

    public Wire {
        Names.require(number);
        bundle.ifPresent(Names::require);
        Conductors.get(size);
        if (from.terminal().equals(to.terminal())) {
            throw new IllegalArgumentException(
                    "wire " + number + " has both ends on " + from.terminal());
        }
        slack.ifPresent(spare -> {
            if (!(spare.value() >= 0 && spare.value() <= MOST_SLACK)) {
                throw new IllegalArgumentException(
                        "wire " + number + " has 0 to 10 m to spare, not " + spare.value());
            }
        });
    }

    /** A wire that runs alone. */
    public Wire(
            WireId id,
            String number,
            CircuitId circuit,
            End from,
            End to,
            WireColour colour,
            WireSize size,
            Insulation insulation,
            RunLength length,
            Zone zone,
            Optional<Unguarded> unguarded) {
        this(
                id,
                number,
                circuit,
                from,
                to,
                colour,
                size,
                insulation,
                length,
                zone,
                unguarded,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    public Conductor conductor() {
        return Conductors.get(size);
    }

    public List<Terminal> terminals() {
        return List.of(from.terminal(), to.terminal());
    }

    /** Its end on a terminal, which is one of its two. */
    public End at(Terminal terminal) {
        return from.terminal().equals(terminal) ? from : to;
    }

    /** Its other end, seen from a terminal of its two. */
    public End beyond(Terminal terminal) {
        return from.terminal().equals(terminal) ? to : from;
    }

    public boolean holds(Pinned.Trait trait) {
        return pinned.orElse(Pinned.NONE).holds(trait);
    }

    public Wire withNumber(String changed) {
        return like(id, changed, from, to);
    }

    public Wire withSize(WireSize changed) {
        return with(new Cut(colour, changed, insulation, length, pinned), laid(), unguarded);
    }

    public Wire withLength(RunLength changed) {
        return with(new Cut(colour, size, insulation, changed, pinned), laid(), unguarded);
    }

    public Wire withFrom(End changed) {
        return like(id, number, changed, to);
    }

    public Wire withTo(End changed) {
        return like(id, number, from, changed);
    }

    public Wire withColour(WireColour changed) {
        return with(new Cut(changed, size, insulation, length, pinned), laid(), unguarded);
    }

    public Wire withInsulation(Insulation changed) {
        return with(new Cut(colour, size, changed, length, pinned), laid(), unguarded);
    }

    /** The same wire with one more of its traits settled, or left to the program again. */
    public Wire withPinned(Pinned.Trait trait, boolean held) {
        var settled = pinned.orElse(Pinned.NONE).with(trait, held);
        return with(new Cut(colour, size, insulation, length, settled), laid(), unguarded);
    }

    /** Where it runs, with what, and what it has to spare there. */
    public Laid laid() {
        return new Laid(zone, bundle, slack);
    }

    public Wire withLaid(Laid changed) {
        return with(cut(), changed, unguarded);
    }

    public Wire withUnguarded(Optional<Unguarded> changed) {
        return with(cut(), laid(), changed);
    }

    /** The same wire with its ends named the other way round. */
    public Wire turned() {
        return like(id, number, to, from);
    }

    /** Another wire of the same kind, between two other ends. */
    public Wire like(WireId identity, String label, End one, End other) {
        return new Wire(
                identity,
                label,
                circuit,
                one,
                other,
                colour,
                size,
                insulation,
                length,
                zone,
                unguarded,
                bundle,
                pinned,
                slack);
    }

    /** What is cut from a reel. */
    private record Cut(
            WireColour colour,
            WireSize size,
            Insulation insulation,
            RunLength length,
            Optional<Pinned> pinned) {}

    private Cut cut() {
        return new Cut(colour, size, insulation, length, pinned);
    }

    private Wire with(Cut cut, Laid laid, Optional<Unguarded> reason) {
        return new Wire(
                id,
                number,
                circuit,
                from,
                to,
                cut.colour,
                cut.size,
                cut.insulation,
                cut.length,
                laid.zone(),
                reason,
                laid.bundle(),
                cut.pinned,
                laid.slack());
    }
}
