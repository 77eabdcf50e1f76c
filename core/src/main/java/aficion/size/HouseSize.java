package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.job.End;
import aficion.job.HouseRules;
import aficion.job.Wire;
import aficion.job.WorkshopPractice;
import java.util.Optional;

/**
 * The size a house gives a wire that is left to the program: the one it needs, or the largest that
 * both its ends take; never thinner than its guard allows, as long as the wire it takes the place
 * of was not.
 */
public final class HouseSize {
    /** What an ordinary barrel of a blade takes, mm² (blue, docs/SOURCES.md). */
    private static final double BARREL = 2.5;

    private HouseSize() {}

    /** Empty when no wire that is sold will do. */
    public static Optional<Conductor> of(Assessment assessment, WireSizing sizing) {
        return sizing.needed()
                .map(needed -> ample(assessment.design().rules(), sizing.wire(), needed))
                .map(wanted -> guarded(assessment, sizing.wire(), wanted));
    }

    private static Conductor ample(HouseRules rules, Wire wire, Conductor needed) {
        if (!rules.workBy(WorkshopPractice.LARGEST_SIZE)) {
            return needed;
        }
        double takes = Math.min(takes(wire.from()), takes(wire.to()));
        return Conductors.of(wire.size().standard()).stream()
                .filter(each -> each.copper().value() <= takes)
                .reduce((_, thicker) -> thicker)
                .filter(largest -> largest.copper().value() > needed.copper().value())
                .orElse(needed);
    }

    /** What an end takes with ease; a lug or a clamp is chosen to the wire, not the wire to it. */
    private static double takes(End end) {
        var fitting = end.termination().fitting();
        return switch (fitting.family()) {
            case BLADE, BULLET, CAVITY -> Math.min(fitting.takes().value(), BARREL);
            case RING, JOINT -> fitting.takes().value();
            case LUG, CLAMP -> 0;
        };
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
