package aficion.fault;

import aficion.job.Design;
import aficion.job.Kind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Ohms;
import java.util.List;
import java.util.stream.Stream;

/** One thing that gives way, or was put together wrongly. */
public sealed interface Fault {
    /** What bare metal against bare metal resists (typical). */
    Ohms DEAD_SHORT = new Ohms(0.002);

    /** What a joint or an earth gone bad adds, slight and serious (docs/SOURCES.md). */
    List<Ohms> BAD = List.of(new Ohms(0.1), new Ohms(1));

    /** The parts of a design at which it sits. */
    default Stream<PartId> parts(Design design) {
        return switch (this) {
            case OfWire of ->
                    design.find(of.wire()).stream()
                            .flatMap(wire -> wire.terminals().stream())
                            .map(at -> at.part());
            case Exchanged(var one, var other) -> Stream.of(one.part(), other.part());
            case Touching(var one, var other) -> Stream.of(one.part(), other.part());
            case EarthLost(var earth) -> Stream.of(earth);
            case PoorEarth(var earth, _) -> Stream.of(earth);
            case Blown(var guard) -> Stream.of(guard.part());
            case DeadCoil(var part) -> Stream.of(part);
            case Stuck(var part, _) -> Stream.of(part);
            case Burnt(var part, _, _) -> Stream.of(part);
            case Dead(var part, _) -> Stream.of(part);
            case DeadPart(var part) -> Stream.of(part);
            case Another(var part, _) -> Stream.of(part);
        };
    }

    /** Something of one wire. */
    sealed interface OfWire extends Fault {
        WireId wire();
    }

    /** A wire that is broken. */
    record Broken(WireId wire) implements OfWire {}

    /** A wire that lies bare against the body. */
    record Chafed(WireId wire, Place place) implements OfWire {}

    /** Where along a wire, from its first end to its second. */
    enum Place {
        FIRST_END,
        MIDDLE,
        SECOND_END
    }

    /** A joint of a wire that has gone bad by that much. */
    record BadJoint(WireId wire, Ohms more) implements OfWire {}

    /** All leads of one terminal sit at another, and the other way round. */
    record Exchanged(Terminal one, Terminal other) implements Fault {}

    /** Two terminals that touch. */
    record Touching(Terminal one, Terminal other) implements Fault {}

    /** An earth point that has come off; what is bolted together there stays together. */
    record EarthLost(PartId earth) implements Fault {}

    /** An earth point that is rusty, by that much. */
    record PoorEarth(PartId earth, Ohms more) implements Fault {}

    /** A guard that has opened. */
    record Blown(FuseSeat guard) implements Fault {}

    /** A coil that is burnt through: what it moves stays at rest. */
    record DeadCoil(PartId part) implements Fault {}

    /**
     * A contact that stays closed whatever works it.
     *
     * @param contact what it is inside its part ({@code 30-87})
     */
    record Stuck(PartId part, String contact) implements Fault {}

    /** A contact that resists so much more than it should. */
    record Burnt(PartId part, String contact, Ohms more) implements Fault {}

    /**
     * One branch inside a part that passes nothing: a filament, a winding, a contact.
     *
     * @param role what it is inside its part
     */
    record Dead(PartId part, String role) implements Fault {}

    /** A part that passes nothing at all any more. */
    record DeadPart(PartId part) implements Fault {}

    /**
     * Another part than was meant: a lamp of other watts, a guard of another size, a sender of
     * another family, a battery that is tired.
     *
     * @param kind with the pins of the part that was meant
     */
    record Another(PartId part, Kind kind) implements Fault {}
}
