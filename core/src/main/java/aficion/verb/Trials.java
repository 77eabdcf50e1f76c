package aficion.verb;

import aficion.fault.Fault;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.quantity.Ohms;
import java.util.Optional;

/** What gives way when a hand breaks, chafes or corrodes something. */
public final class Trials {
    private static final Ohms CORRODED = Fault.BAD.getLast();

    private Trials() {}

    /** A part that passes nothing any more; an earth point that has come off. */
    public static Fault broken(Design design, PartId part) {
        return isEarth(design, part) ? new Fault.EarthLost(part) : new Fault.DeadPart(part);
    }

    /** A wire that lies bare against the body at its second end, where that is not earth itself. */
    public static Fault chafed(Design design, WireId wire) {
        return new Fault.Chafed(
                wire,
                isEarth(design, design.wire(wire).to().terminal().part())
                        ? Fault.Place.FIRST_END
                        : Fault.Place.SECOND_END);
    }

    /** A terminal that touches the body; nothing where no wire ends, or at earth itself. */
    public static Optional<Fault> chafed(Design design, Terminal at) {
        return isEarth(design, at.part())
                ? Optional.empty()
                : wireAt(design, at).map(wire -> new Fault.Chafed(wire.id(), place(wire, at)));
    }

    private static Fault.Place place(Wire wire, Terminal at) {
        return wire.from().terminal().equals(at) ? Fault.Place.FIRST_END : Fault.Place.SECOND_END;
    }

    /** A wire whose joint has gone bad. */
    public static Fault corroded(WireId wire) {
        return new Fault.BadJoint(wire, CORRODED);
    }

    /** A terminal whose joint has gone bad, an earth point that is rusty. */
    public static Optional<Fault> corroded(Design design, Terminal at) {
        return isEarth(design, at.part())
                ? Optional.of(new Fault.PoorEarth(at.part(), CORRODED))
                : wireAt(design, at).map(wire -> corroded(wire.id()));
    }

    private static Optional<Wire> wireAt(Design design, Terminal at) {
        return design.wiresAt(at).stream().findFirst();
    }

    private static boolean isEarth(Design design, PartId part) {
        return design.part(part).kind() instanceof JoinKind.EarthPoint;
    }
}
