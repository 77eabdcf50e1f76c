package aficion.job.edit;

import aficion.catalogue.Zone;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.JoinKind.Connector;
import aficion.job.JoinKind.Half;
import aficion.job.JoinKind.Housed;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.quantity.Amps;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/** A change of one part, with the wires that have to follow it. */
public sealed interface PartEdit extends Edit {

    /** Adds a part. */
    record AddPart(Part part) implements PartEdit {
        @Override
        public Design apply(Design design) {
            return design.withParts(Changing.with(design.parts(), part));
        }
    }

    /** Takes a part out, with the wires that end on it; what was bolted to it hangs free. */
    record RemovePart(PartId part) implements PartEdit {
        @Override
        public Design apply(Design design) {
            design.part(part);
            var wires =
                    design.wires().stream()
                            .filter(wire ->
                                    wire.terminals().stream()
                                            .noneMatch(end -> end.part().equals(part)))
                            .toList();
            var parts =
                    design.parts().stream()
                            .filter(kept -> !kept.id().equals(part))
                            .map(kept ->
                                    kept.mount().filter(part::equals).isPresent()
                                            ? kept.unmounted()
                                            : kept)
                            .toList();
            return design.withWires(wires).withParts(parts);
        }
    }

    /** Calls a part otherwise, in words. */
    record Rename(PartId part, String name) implements PartEdit {
        @Override
        public Design apply(Design design) {
            return Changing.part(design, part, found -> found.withName(name));
        }
    }

    /** Puts a part in another place of the vehicle; at a station elsewhere it stands no longer. */
    record Place(PartId part, Zone zone) implements PartEdit {
        @Override
        public Design apply(Design design) {
            var placed = Changing.part(design, part, found -> found.withZone(zone));
            return placed.withBody(placed.body().map(body -> body.within(part, zone)));
        }
    }

    /** Puts a part with the same terminals in the place of one. */
    record Refit(PartId part, Kind kind) implements PartEdit {
        @Override
        public Design apply(Design design) {
            return Changing.part(design, part, found -> found.withKind(kind));
        }
    }

    /** Puts a connector in a body, or in none that is known, with what it takes at every wire. */
    record House(PartId part, Optional<Housed> body) implements PartEdit {
        @Override
        public Design apply(Design design) {
            if (!(design.part(part).kind() instanceof Connector connector)) {
                throw new IllegalArgumentException(part + " is no connector");
            }
            var housed = Changing.part(design, part, found -> found.withKind(connector.in(body)));
            return body.map(known -> housed.withWires(crimped(housed, known))).orElse(housed);
        }

        private List<Wire> crimped(Design design, Housed known) {
            return design.wires().stream()
                    .map(wire ->
                            wire.withFrom(crimped(wire.from(), known))
                                    .withTo(crimped(wire.to(), known)))
                    .toList();
        }

        private End crimped(End end, Housed known) {
            return end.terminal().part().equals(part)
                    ? new End(end.terminal(), known.takes(Half.of(end.terminal().pin())))
                    : end;
        }
    }

    /** States the size of the stud of a terminal, or leaves it open. */
    record StateStud(PartId part, String pin, Optional<String> stud) implements PartEdit {
        @Override
        public Design apply(Design design) {
            return Changing.part(design, part, found -> found.withStud(pin, stud));
        }
    }

    /** Bolts a part's case to an earth point. */
    record Mount(PartId part, PartId earth) implements PartEdit {
        @Override
        public Design apply(Design design) {
            return Changing.part(design, part, found -> found.withMount(earth));
        }
    }

    /** Exchanges the wires of two terminals of a part. */
    record Exchange(PartId part, String one, String other) implements PartEdit {
        @Override
        public Design apply(Design design) {
            var first = design.part(part).terminal(one);
            var second = design.part(part).terminal(other);
            return design.withWires(
                    design.wires().stream()
                            .map(wire ->
                                    wire.terminals().containsAll(List.of(first, second))
                                            ? wire
                                            : wire.withFrom(moved(wire.from(), first, second))
                                                    .withTo(moved(wire.to(), first, second)))
                            .toList());
        }

        private static End moved(End end, Terminal first, Terminal second) {
            if (end.terminal().equals(first)) {
                return new End(second, end.termination());
            }
            return end.terminal().equals(second) ? new End(first, end.termination()) : end;
        }
    }

    /** Puts another fuse into a seat; the way is empty for a single fuse. */
    record FitFuse(PartId part, String way, Amps marking) implements PartEdit {
        @Override
        public Design apply(Design design) {
            return Changing.part(design, part, found -> found.withKind(fitted(found)));
        }

        private Kind fitted(Part found) {
            if (found.kind() instanceof GuardKind guard) {
                for (var seat : guard.seats()) {
                    if (seat.way().equals(way)) {
                        return guard.fitted(way, seat.type(), marking);
                    }
                }
            }
            throw new IllegalArgumentException(part + " holds no fuse " + way);
        }
    }

    /** Whether an edit would make smaller a guard that one of those made before made larger. */
    static boolean takesBack(Edit edit, Collection<Edit> made) {
        return edit instanceof FitFuse(var part, var way, var marking)
                && made.stream()
                        .anyMatch(before ->
                                before instanceof FitFuse(var other, var its, var asked)
                                        && other.equals(part)
                                        && its.equals(way)
                                        && asked.value() > marking.value());
    }

    /**
     * Cuts a wire near one of its ends and puts a part there.
     *
     * @param wire the wire to cut; what is left of it leads from the part to where it went, and
     *     ends at the part as the lead does
     * @param part the part
     * @param in the pin that the lead comes to
     * @param out the pin that what is left of the wire begins at
     * @param lead the piece from the end of the wire that it begins at to the part
     */
    record InsertPart(WireId wire, Part part, String in, String out, Wire lead)
            implements PartEdit {
        @Override
        public Design apply(Design design) {
            var parts = Changing.with(design.parts(), part);
            var rest = design.wire(wire);
            part.terminal(in);
            var behind = new End(part.terminal(out), lead.to().termination());
            boolean first = lead.from().terminal().equals(rest.from().terminal());
            var shortened =
                    Changing.wire(
                            design.withParts(parts),
                            wire,
                            found -> first ? found.withFrom(behind) : found.withTo(behind));
            return shortened.withWires(Changing.with(shortened.wires(), lead));
        }
    }

    /**
     * Puts a relay into a wire: what came from the switch now works the coil, and the relay feeds
     * what the wire went to.
     *
     * @param wire the wire to cut; it stays on the load
     * @param relay the relay as a part
     * @param leads the new wires, to coil, contact and earth
     */
    record InsertRelay(WireId wire, Part relay, List<Wire> leads) implements PartEdit {
        public InsertRelay {
            leads = List.copyOf(leads);
        }

        @Override
        public Design apply(Design design) {
            var parts = Changing.with(design.parts(), relay);
            var load = design.wire(wire);
            var contact = new End(relay.terminal("87"), load.from().termination());
            var next =
                    Changing.wire(design.withParts(parts), wire, found -> found.withFrom(contact));
            var wires = new ArrayList<>(next.wires());
            wires.addAll(leads);
            return next.withWires(wires);
        }
    }

    /** Takes a case off its earth point and returns it by a wire instead. */
    record ReturnByWire(PartId part, Wire wire) implements PartEdit {
        @Override
        public Design apply(Design design) {
            var free = Changing.part(design, part, Part::unmounted);
            return free.withWires(Changing.with(free.wires(), wire));
        }
    }
}
