package aficion.sweep;

import aficion.job.PartId;
import aficion.job.WireId;
import aficion.quantity.Ohms;

/** One thing that gives way. */
public sealed interface Fault {

    /** A wire that is broken. */
    record Broken(WireId wire) implements Fault {}

    /** A wire that lies bare against the body. */
    record Chafed(WireId wire, Place place) implements Fault {}

    /** Where along a wire, from its first end to its second. */
    enum Place {
        FIRST_END,
        MIDDLE,
        SECOND_END
    }

    /** An earth point that has come off. */
    record EarthLost(PartId earth) implements Fault {}

    /** A joint of a wire that has gone bad by that much. */
    record BadJoint(WireId wire, Ohms more) implements Fault {}
}
