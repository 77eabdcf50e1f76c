package aficion.check.practice;

import aficion.catalogue.Purpose;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.Rule;
import aficion.job.Colouring;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.size.Assessment;
import aficion.size.Guard;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a look shows: live wires in the colour of the earths, the same bands twice in a bundle, and
 * wires that bend with a door or a lid and have nothing to spare.
 */
public final class LookRule implements Rule {
    private static final int FEW = 2;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return Stream.of(earthColours(assessment), bands(design), slack(design))
                .flatMap(found -> found);
    }

    private static Stream<Finding> earthColours(Assessment assessment) {
        var design = assessment.design();
        return earths(assessment).stream()
                .flatMap(earth ->
                        design.wires().stream()
                                .filter(wire -> wire.colour().equals(earth))
                                .filter(wire -> isLive(assessment.guard(wire.id())))
                                .map(wire ->
                                        new FitFinding.EarthColourOnLive(
                                                wire.id(), wire.colour())));
    }

    private static boolean isLive(Guard guard) {
        return guard instanceof Guard.Guarded || guard instanceof Guard.Unguarded;
    }

    /** The colour of earths: the scheme's, or the one that all earths of the design wear. */
    private static Optional<WireColour> earths(Assessment assessment) {
        var colouring = assessment.design().rules().colours();
        if (colouring.isPresent()) {
            return colouring.get() instanceof Colouring.Banded
                    ? Optional.empty()
                    : colouring.get().colour(Purpose.EARTH);
        }
        var worn =
                assessment.design().wires().stream()
                        .filter(wire -> assessment.guard(wire.id()) instanceof Guard.EarthSide)
                        .map(Wire::colour)
                        .toList();
        return worn.size() >= FEW && worn.stream().distinct().count() == 1
                ? worn.stream().findFirst()
                : Optional.empty();
    }

    private static Stream<Finding> bands(Design design) {
        if (!(design.rules().colours().orElse(null) instanceof Colouring.Banded)) {
            return Stream.empty();
        }
        var found = new ArrayList<Finding>();
        var seen = new HashMap<List<Object>, Wire>();
        for (var wire : design.wires()) {
            wire.bundle()
                    .ifPresent(bundle -> {
                        var known = seen.putIfAbsent(List.of(bundle, wire.colour()), wire);
                        if (known != null) {
                            found.add(new FitFinding.SameBands(wire.id(), known.id(), bundle));
                        }
                    });
        }
        return found.stream();
    }

    private static Stream<Finding> slack(Design design) {
        return design.wires().stream()
                .filter(wire -> wire.zone() == Zone.MOVING && wire.slack().isEmpty())
                .map(wire -> new FitFinding.NoSlack(wire.id()));
    }
}
