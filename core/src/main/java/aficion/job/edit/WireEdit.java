package aficion.job.edit;

import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Laid;
import aficion.job.Pinned;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.route.RunLength;
import java.util.Optional;

/** A change of one wire, or of which wires there are. */
public sealed interface WireEdit extends Edit {

    /** Gives a wire another size. */
    record Resize(WireId wire, WireSize size) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withSize(size));
        }
    }

    /** Writes another number on a wire's labels. */
    record Renumber(WireId wire, String number) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withNumber(number));
        }
    }

    /** States how long a wire is. */
    record SetLength(WireId wire, RunLength length) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withLength(length));
        }
    }

    /** Paints a wire otherwise. */
    record Recolour(WireId wire, WireColour colour) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withColour(colour));
        }
    }

    /** Takes wire of another cover. */
    record Insulate(WireId wire, Insulation cover) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withInsulation(cover));
        }
    }

    /** Lays a wire otherwise: through another place, in another bundle, with more to spare. */
    record Lay(WireId wire, Laid laid) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withLaid(laid));
        }
    }

    /** States why a wire may go without a guard, or that it may not. */
    record Exempt(WireId wire, Optional<Unguarded> reason) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withUnguarded(reason));
        }
    }

    /** Settles a trait of a wire, or leaves it to the program again. */
    record Pin(WireId wire, Pinned.Trait trait, boolean held) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, found -> found.withPinned(trait, held));
        }
    }

    /** Leads an end of a wire elsewhere. */
    record MoveEnd(WireId wire, boolean first, End end) implements WireEdit {
        /** The end that sits on one terminal, led to another as it is. */
        public static MoveEnd of(Wire wire, Terminal from, Terminal to) {
            return new MoveEnd(
                    wire.id(),
                    wire.from().terminal().equals(from),
                    new End(to, wire.at(from).termination()));
        }

        @Override
        public Design apply(Design design) {
            return Changing.wire(
                    design, wire, found -> first ? found.withFrom(end) : found.withTo(end));
        }
    }

    /** Crimps something else to the end of a wire that sits on a terminal. */
    record Crimp(WireId wire, Terminal at, Termination termination) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, this::crimped);
        }

        private Wire crimped(Wire found) {
            if (!found.terminals().contains(at)) {
                throw new IllegalArgumentException("wire " + wire + " does not end on " + at);
            }
            var end = new End(at, termination);
            return found.from().terminal().equals(at) ? found.withFrom(end) : found.withTo(end);
        }
    }

    /** Turns a wire round: its first end becomes its second. */
    record TurnRound(WireId wire) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return Changing.wire(design, wire, Wire::turned);
        }
    }

    /** Adds a wire. */
    record AddWire(Wire wire) implements WireEdit {
        @Override
        public Design apply(Design design) {
            return design.withWires(Changing.with(design.wires(), wire));
        }
    }

    /** Takes a wire out. */
    record RemoveWire(WireId wire) implements WireEdit {
        @Override
        public Design apply(Design design) {
            design.wire(wire);
            return design.withWires(
                    design.wires().stream().filter(kept -> !kept.id().equals(wire)).toList());
        }
    }
}
