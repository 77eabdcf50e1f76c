package aficion.job;

import aficion.catalogue.Conductor;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import aficion.route.RunLength;
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
 * @param cut what it is cut from
 * @param laid how it is laid
 * @param unguarded why it may go without a guard, when the user has stated that it does
 * @param pinned what of it the user has settled
 */
public record Wire(
        WireId id,
        String number,
        CircuitId circuit,
        End from,
        End to,
        Cut cut,
        Laid laid,
        Optional<Unguarded> unguarded,
        Optional<Pinned> pinned) {

    public Wire {
        Names.require(number);
        if (from.terminal().equals(to.terminal())) {
            throw new IllegalArgumentException(
                    "wire " + number + " has both ends on " + from.terminal());
        }
    }

    /** A wire of which nothing is settled and nothing excused. */
    public Wire(WireId id, String number, CircuitId circuit, End from, End to, Cut cut, Laid laid) {
        this(id, number, circuit, from, to, cut, laid, Optional.empty(), Optional.empty());
    }

    /** Whether it is the same wire of the same circuit between the same terminals. */
    public boolean isLedAs(Wire other) {
        return id.equals(other.id)
                && circuit.equals(other.circuit)
                && from.terminal().equals(other.from.terminal())
                && to.terminal().equals(other.to.terminal());
    }

    /** Whether it has the same length of the same size of copper. */
    public boolean isAsLongAndThickAs(Wire other) {
        return size().equals(other.size()) && length().metres().equals(other.length().metres());
    }

    /** The conductor it is cut from. */
    public Conductor conductor() {
        return cut.conductor();
    }

    /** The size it is bought by. */
    public WireSize size() {
        return cut.size();
    }

    /** Its cover. */
    public Insulation insulation() {
        return cut.cover();
    }

    /** Its colour, with its tracer. */
    public WireColour colour() {
        return cut.colour();
    }

    /** How long it is, measured or assumed, metres. */
    public RunLength length() {
        return laid.length();
    }

    /** The hottest place it runs through. */
    public Zone zone() {
        return laid.zone();
    }

    /** The bundle it lies in; empty where it runs alone. */
    public Optional<String> bundle() {
        return laid.bundle();
    }

    /** What it has to spare where it moves, metres; empty where nothing is said. */
    public Optional<Metres> slack() {
        return laid.slack();
    }

    /** Where its ends sit, the first end first. */
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

    /** Whether the user has settled that. */
    public boolean isSettled(Pinned.Trait trait) {
        return pinned.orElse(Pinned.NONE).settles(trait);
    }

    /** The same by another number. */
    public Wire withNumber(String changed) {
        return like(id, changed, from, to);
    }

    /** The same with another first end. */
    public Wire withFrom(End changed) {
        return like(id, number, changed, to);
    }

    /** The same with another second end. */
    public Wire withTo(End changed) {
        return like(id, number, from, changed);
    }

    /** The same cut from another reel. */
    public Wire withCut(Cut changed) {
        return new Wire(id, number, circuit, from, to, changed, laid, unguarded, pinned);
    }

    /** The same of another size. */
    public Wire withSize(WireSize changed) {
        return withCut(cut.of(changed));
    }

    /** The same in another cover. */
    public Wire withInsulation(Insulation changed) {
        return withCut(cut.of(changed));
    }

    /** The same in another colour. */
    public Wire withColour(WireColour changed) {
        return withCut(cut.of(changed));
    }

    /** The same laid otherwise. */
    public Wire withLaid(Laid changed) {
        return new Wire(id, number, circuit, from, to, cut, changed, unguarded, pinned);
    }

    /** The same of another length, metres. */
    public Wire withLength(RunLength changed) {
        return withLaid(laid.along(changed));
    }

    /** The same with another reason to go without a guard, or none. */
    public Wire withUnguarded(Optional<Unguarded> changed) {
        return new Wire(id, number, circuit, from, to, cut, laid, changed, pinned);
    }

    /** The same wire with one more of its traits settled, or left to the program again. */
    public Wire withPinned(Pinned.Trait trait, boolean held) {
        var settled = pinned.orElse(Pinned.NONE).with(trait, held);
        return new Wire(id, number, circuit, from, to, cut, laid, unguarded, settled);
    }

    /** The same wire with its ends named the other way round. */
    public Wire turned() {
        return like(id, number, to, from);
    }

    /** Another wire of the same kind, between two other ends. */
    public Wire like(WireId identity, String label, End one, End other) {
        return new Wire(identity, label, circuit, one, other, cut, laid, unguarded, pinned);
    }
}
