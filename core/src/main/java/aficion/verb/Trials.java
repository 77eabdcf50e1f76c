package aficion.verb;

import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Ohms;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.Optional;

/**
 * What gives way, as an edit of a copy that is never kept: an operating point of the copy shows
 * what then happens.
 */
public final class Trials {
    /** A joint gone bad (docs/SOURCES.md: good ones lose 0.1 V). */
    private static final Ohms CORRODED = new Ohms(0.5);

    /** An earth that holds no more; what is bolted together there stays together. */
    private static final Ohms LOST = new Ohms(1e6);

    private Trials() {}

    /** A wire that is broken. */
    public static Attempt broken(WireId wire) {
        return new Possible(new WireEdit.RemoveWire(wire));
    }

    /** A part that passes nothing any more; an earth point that has come off. */
    public static Attempt broken(Design design, PartId part) {
        return new Possible(
                design.part(part).kind() instanceof JoinKind.EarthPoint(var mass, _)
                        ? new PartEdit.Refit(part, new JoinKind.EarthPoint(mass, LOST))
                        : new PartEdit.RemovePart(part));
    }

    /** A wire that lies bare against the body at its second end, where that is not earth itself. */
    public static Attempt chafed(Design design, WireId wire) {
        var found = design.wire(wire);
        var end = found.to().terminal();
        boolean earthed = design.part(end.part()).kind() instanceof JoinKind.EarthPoint;
        return chafed(design, found, earthed ? found.from().terminal() : end);
    }

    /** A terminal that touches the body. */
    public static Attempt chafed(Design design, Terminal at) {
        return design.wiresAt(at).stream()
                .findFirst()
                .map(wire -> chafed(design, wire, at))
                .orElse(new Refused(Refusal.NOTHING_TO_DO));
    }

    private static Attempt chafed(Design design, Wire wire, Terminal at) {
        var earth = Earths.nearest(design, wire.zone());
        if (earth.isEmpty()) {
            return new Refused(Refusal.NO_EARTH_POINT);
        }
        var touch = earth.get().terminal("E");
        if (touch.equals(at)) {
            return new Refused(Refusal.NOTHING_TO_DO);
        }
        return new Possible(
                new WireEdit.AddWire(
                        wire.like(
                                NewNames.wire(design),
                                wire.number(),
                                new End(at, wire.to().termination()),
                                new End(touch, wire.to().termination()))));
    }

    /** A wire whose first joint has gone bad. */
    public static Attempt corroded(Design design, WireId wire) {
        return Placing.into(design, wire, "bad joint", new JoinKind.Resistor(CORRODED));
    }

    /** A terminal whose joint has gone bad, an earth point that is rusty. */
    public static Attempt corroded(Design design, Terminal at) {
        if (design.part(at.part()).kind() instanceof JoinKind.EarthPoint(var mass, _)) {
            return new Possible(
                    new PartEdit.Refit(at.part(), new JoinKind.EarthPoint(mass, CORRODED)));
        }
        Optional<Wire> wire = design.wiresAt(at).stream().findFirst();
        return wire.map(found -> corroded(design, found.id()))
                .orElse(new Refused(Refusal.NOTHING_TO_DO));
    }
}
