package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Terminals;
import aficion.job.End;
import aficion.job.HouseRules;
import aficion.job.School;
import aficion.job.Wire;
import java.util.Optional;

/**
 * The size a house gives a wire that is left to the program: the one it needs, or the largest that
 * both its ends take; never thinner than its guard allows, as long as the wire it takes the place
 * of was not.
 */
public final class HouseSize {
    private HouseSize() {}

    /** Empty when no wire that is sold will do. */
    public static Optional<Conductor> of(Assessment assessment, WireSizing sizing) {
        return sizing.needed()
                .map(needed -> ample(assessment.job().rules(), sizing.wire(), needed))
                .map(wanted -> guarded(assessment, sizing.wire(), wanted));
    }

    private static Conductor ample(HouseRules rules, Wire wire, Conductor needed) {
        if (!rules.workBy(School.LARGEST_SIZE)) {
            return needed;
        }
        double takes = Math.min(takes(wire.from()), takes(wire.to()));
        return Conductors.of(wire.size().standard()).stream()
                .filter(each -> each.copper().value() <= takes)
                .reduce((_, thicker) -> thicker)
                .filter(largest -> largest.copper().value() > needed.copper().value())
                .orElse(needed);
    }

    private static double takes(End end) {
        return Terminals.takes(end.termination().key()).value();
    }

    private static Conductor guarded(Assessment assessment, Wire wire, Conductor wanted) {
        var fuse = assessment.guard(wire.id()).fuse();
        var now = wire.conductor();
        if (fuse.isEmpty() || wanted.copper().value() >= now.copper().value()) {
            return wanted;
        }
        return Conductors.of(wire.size().standard()).stream()
                .filter(each -> each.copper().value() >= wanted.copper().value())
                .filter(each -> each.copper().value() < now.copper().value())
                .filter(each -> assessment.carries(wire, each, fuse.get()))
                .findFirst()
                .orElse(now);
    }
}
