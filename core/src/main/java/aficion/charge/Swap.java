package aficion.charge;

import aficion.charge.AnotherSource.Candidate;
import aficion.charge.AnotherSource.Refusal;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.SourceKind.Alternator;
import aficion.job.SourceKind.Dynamo;
import aficion.job.SourceKind.Flywheel;
import aficion.job.SourceKind.RegulatorRectifier;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.verb.Connection;
import aficion.verb.Earths;
import aficion.verb.Ends;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The edits that take one source out and put another in, its leads led on: what the old one gave at
 * goes to what the new one gives at, the warning lamp to what lights it, and what the new one has
 * no use for comes off. A dynamo's control box leaves a joint in its place.
 */
final class Swap {
    private final List<Edit> edits = new ArrayList<>();
    private final Candidate candidate;
    private Design now;

    private Swap(Design design, Candidate candidate) {
        this.now = design;
        this.candidate = candidate;
    }

    /** What became of it. */
    sealed interface Outcome {
        /** So it is done. */
        record Done(List<Edit> edits) implements Outcome {
            public Done {
                edits = List.copyOf(edits);
            }
        }

        /** It cannot be. */
        record Refused(Refusal why) implements Outcome {}
    }

    /** Puts a source in the place of one. */
    static Outcome of(Design design, Part source, Candidate candidate) {
        var kind = candidate.kind();
        if (source.kind().equals(kind) && rectifies(design, candidate)) {
            return new Outcome.Refused(Refusal.SAME);
        }
        var swap = new Swap(design, candidate);
        return switch (kind) {
            case Alternator alternator when source.kind() instanceof Alternator before ->
                    swap.restyle(source, before, alternator);
            case Alternator alternator when source.kind() instanceof Dynamo ->
                    swap.insteadOfDynamo(source, alternator);
            case Dynamo _ when source.kind() instanceof Dynamo -> swap.refit(source.id(), kind);
            case Flywheel wheel when source.kind() instanceof Flywheel -> swap.wheel(source, wheel);
            case SourceKind _ -> new Outcome.Refused(Refusal.OTHER_SORT);
        };
    }

    private void take(Edit edit) {
        edits.add(edit);
        now = edit.apply(now);
    }

    private Outcome done() {
        return new Outcome.Done(edits);
    }

    private Outcome refit(PartId part, SourceKind kind) {
        take(new PartEdit.Refit(part, kind));
        return done();
    }

    /** Another way to wake an alternator: its leads move from pin to pin, or come off. */
    private Outcome restyle(Part source, Alternator before, Alternator kind) {
        if (before.pins().equals(kind.pins())) {
            return refit(source.id(), kind);
        }
        var lamp =
                Stream.of("D+", "L")
                        .filter(before.pins()::contains)
                        .flatMap(pin -> lampWire(source.terminal(pin)).stream())
                        .findFirst();
        return renew(source, kind, lamp, "B+");
    }

    private Outcome insteadOfDynamo(Part source, Alternator kind) {
        var box =
                now.parts().stream()
                        .filter(part -> part.kind() instanceof SourceKind.ControlBox)
                        .findFirst();
        var lamp =
                box.flatMap(part -> lampWire(part.terminal("D")))
                        .or(() -> lampWire(source.terminal("D")));
        var refused = renew(source, kind, lamp, "D");
        if (refused instanceof Outcome.Refused) {
            return refused;
        }
        box.ifPresent(this::joinedUp);
        return done();
    }

    /** A wire from a terminal that leads to a warning lamp, and the terminal behind the lamp. */
    private record LampWire(WireEnd end, Terminal behind) {}

    /** The end of a wire. */
    private record WireEnd(Wire wire, boolean first) {}

    private Optional<LampWire> lampWire(Terminal at) {
        return now.wiresAt(at).stream()
                .flatMap(wire -> {
                    boolean first = wire.from().terminal().equals(at);
                    var far = (first ? wire.to() : wire.from()).terminal();
                    return now.part(far.part()).kind() instanceof LoadKind.WarningLamp
                            ? Optional.of(
                                    new LampWire(
                                            new WireEnd(wire, first),
                                            new Terminal(
                                                    far.part(), far.pin().equals("1") ? "2" : "1")))
                                    .stream()
                            : Optional.<LampWire>empty().stream();
                })
                .findFirst();
    }

    /** A new part beside the old, its leads led over; then the old one goes. */
    private Outcome renew(Part source, Alternator kind, Optional<LampWire> lamp, String gave) {
        if (kind.wakes() == Alternator.Style.EXTERNAL) {
            return new Outcome.Refused(Refusal.OTHER_SORT);
        }
        boolean wantsLamp = kind.wakes() == Alternator.Style.LAMP;
        if (wantsLamp && lamp.isEmpty()) {
            return new Outcome.Refused(Refusal.NO_LAMP);
        }
        if (kind.wakes() == Alternator.Style.SWITCHED && feed(lamp).isEmpty()) {
            return new Outcome.Refused(Refusal.NO_FEED);
        }
        var made = NewNames.part(now, "G", source.zone(), kind).withName(candidate.name());
        take(new PartEdit.AddPart(made));
        stand(source, made);
        earth(source, made);
        now.wiresAt(source.terminal(gave)).stream()
                .filter(wire ->
                        lamp.filter(each -> each.end().wire().id().equals(wire.id())).isEmpty())
                .forEach(wire -> move(end(wire, source), made, "B+"));
        if (source.kind().pins().contains("W")) {
            now.wiresAt(source.terminal("W")).forEach(wire -> move(end(wire, source), made, "W"));
        }
        lamp.ifPresent(each -> light(each, made, kind));
        if (kind.wakes() == Alternator.Style.SWITCHED) {
            wake(made, feed(lamp).orElseThrow());
        }
        take(new PartEdit.RemovePart(source.id()));
        return done();
    }

    /** Where the old one stands. */
    private void stand(Part old, Part made) {
        now.body()
                .map(body -> body.station(old))
                .ifPresent(station -> take(new BodyEdit.Stand(made.id(), station)));
    }

    private Optional<Terminal> feed(Optional<LampWire> lamp) {
        return lamp.map(LampWire::behind).filter(at -> !now.wiresAt(at).isEmpty());
    }

    /** Earthed as the old one was; one that was not gets the first point there is. */
    private void earth(Part source, Part made) {
        now.wiresAt(source.terminal("31")).forEach(wire -> move(end(wire, source), made, "31"));
        source.mount()
                .or(() ->
                        now.wiresAt(made.terminal("31")).isEmpty()
                                ? Earths.of(now).stream().findFirst().map(Part::id)
                                : Optional.empty())
                .ifPresent(earth -> take(new PartEdit.Mount(made.id(), earth)));
    }

    /** The end of a wire that is at a part. */
    private static WireEnd end(Wire wire, Part part) {
        return new WireEnd(wire, wire.from().terminal().part().equals(part.id()));
    }

    private void light(LampWire lamp, Part made, Alternator kind) {
        switch (kind.wakes()) {
            case LAMP, EXTERNAL -> move(lamp.end(), made, "D+");
            case SWITCHED -> move(lamp.end(), made, "L");
            case ONE_WIRE -> removeLamp(lamp);
        }
    }

    /** Without a terminal of its own the lamp goes, with what leads to it and nothing else. */
    private void removeLamp(LampWire lamp) {
        take(new PartEdit.RemovePart(lamp.behind().part()));
    }

    private void wake(Part made, Terminal feed) {
        var circuit = now.wiresAt(feed).getFirst().circuit();
        take(new WireEdit.AddWire(Connection.between(now, circuit, feed, made.terminal("IG"))));
    }

    private void move(WireEnd end, Part to, String pin) {
        take(new WireEdit.MoveEnd(end.wire().id(), end.first(), Ends.on(to, pin)));
    }

    /** A control box that is a joint from now on: what came from the dynamo goes to the load. */
    private void joinedUp(Part box) {
        var joint = NewNames.part(now, "J", box.zone(), new JoinKind.Splice()).withName(box.name());
        take(new PartEdit.AddPart(joint));
        stand(box, joint);
        for (var pin : List.of("D", "A", "A1")) {
            for (var wire : now.wiresAt(box.terminal(pin))) {
                move(end(wire, box), joint, "J");
            }
        }
        take(new PartEdit.RemovePart(box.id()));
    }

    /**
     * Whether what is there rectifies as a candidate asks; the same coils behind another do not.
     */
    private static boolean rectifies(Design design, Candidate candidate) {
        return candidate
                .with()
                .map(RegulatorRectifier::bridge)
                .map(bridge ->
                        design.parts().stream()
                                .map(Part::kind)
                                .filter(RegulatorRectifier.class::isInstance)
                                .allMatch(kind -> ((RegulatorRectifier) kind).bridge() == bridge))
                .orElse(true);
    }

    /** Other coils on the flywheel, with the regulator that goes with them. */
    private Outcome wheel(Part source, Flywheel kind) {
        var before = (Flywheel) source.kind();
        boolean lamps = before.winding() == Flywheel.Winding.LIGHTING;
        var regulator =
                now.parts().stream()
                        .filter(part -> part.kind() instanceof RegulatorRectifier)
                        .findFirst();
        if (lamps || kind.winding() == Flywheel.Winding.LIGHTING || regulator.isEmpty()) {
            return new Outcome.Refused(Refusal.OTHER_SORT);
        }
        shed(source, kind.pins());
        take(new PartEdit.Refit(source.id(), kind));
        candidate
                .with()
                .ifPresent(fresh -> {
                    shed(regulator.get(), fresh.pins());
                    take(new PartEdit.Refit(regulator.get().id(), fresh));
                    leads(source.id(), regulator.get().id(), fresh, circuit(regulator.get()));
                });
        return done();
    }

    /** Takes off the wires at pins that are no more. */
    private void shed(Part part, List<String> kept) {
        for (var pin : part.kind().pins()) {
            if (!kept.contains(pin)) {
                now.wiresAt(part.terminal(pin))
                        .forEach(wire -> take(new WireEdit.RemoveWire(wire.id())));
            }
        }
    }

    /** Every coil lead that has none yet gets one, and none of them is earthed any more. */
    private void leads(PartId wheel, PartId box, RegulatorRectifier kind, CircuitId circuit) {
        for (var pin : kind.inputs()) {
            var coil = now.part(wheel).terminal(pin);
            now.wiresAt(coil).stream()
                    .filter(wire -> wire.terminals().stream().anyMatch(this::isEarth))
                    .forEach(wire -> take(new WireEdit.RemoveWire(wire.id())));
            if (now.wiresAt(coil).isEmpty()) {
                take(new WireEdit.AddWire(lead(circuit, coil, now.part(box).terminal(pin))));
            }
        }
    }

    /** A lead like those of the other coils, where there is one. */
    private Wire lead(CircuitId circuit, Terminal coil, Terminal to) {
        return now.wires().stream()
                .filter(wire ->
                        wire.terminals().stream()
                                .map(Terminal::part)
                                .toList()
                                .containsAll(List.of(coil.part(), to.part())))
                .findFirst()
                .map(like ->
                        like.like(
                                NewNames.wire(now),
                                NewNames.number(now, circuit),
                                Ends.on(now, coil),
                                Ends.on(now, to)))
                .orElseGet(() -> Connection.between(now, circuit, coil, to));
    }

    private boolean isEarth(Terminal terminal) {
        return now.part(terminal.part()).kind() instanceof JoinKind.EarthPoint;
    }

    private CircuitId circuit(Part part) {
        Predicate<Wire> on =
                wire -> wire.terminals().stream().anyMatch(end -> end.part().equals(part.id()));
        return now.wires().stream()
                .filter(on)
                .findFirst()
                .map(Wire::circuit)
                .or(() -> now.circuits().stream().findFirst().map(Circuit::id))
                .orElseThrow();
    }
}
