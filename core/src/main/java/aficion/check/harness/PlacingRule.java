package aficion.check.harness;

import aficion.catalogue.Placings;
import aficion.catalogue.Placings.Placing;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.Rule;
import aficion.harness.FittingList;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Vehicle;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.route.Station;
import aficion.size.Assessment;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Parts that stand where they do not last: in air hotter than they stand, in spray, where people
 * sit, too near to what disturbs them (docs/SOURCES.md, {@code placing.csv}). The remedy is the
 * nearest place of the body that is none of these.
 */
public final class PlacingRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .flatMap(part ->
                        Placings.of(part.kind().getClass().getSimpleName()).stream()
                                .flatMap(placing ->
                                        Stream.concat(
                                                found(design, part, placing).stream(),
                                                tooNear(design, part, placing).stream())));
    }

    private static Optional<Finding> tooNear(Design design, Part part, Placing placing) {
        return placing.apart()
                .flatMap(apart ->
                        FittingList.tooNear(design, part, apart)
                                .map(other ->
                                        new FitFinding.PlacedTooNear(
                                                part.id(),
                                                other.id(),
                                                apart.least(),
                                                elsewhere(design, part, placing))));
    }

    private static Optional<Finding> found(Design design, Part part, Placing placing) {
        var zone = part.zone();
        if (!placing.lasts(zone)) {
            return Optional.of(
                    new FitFinding.PlacedTooHot(
                            part.id(),
                            zone.ambient(),
                            placing.hottest(),
                            elsewhere(design, part, placing)));
        }
        if (crowds(design, placing, zone)) {
            return Optional.of(
                    new FitFinding.PlacedInCabin(part.id(), elsewhere(design, part, placing)));
        }
        return spoils(design, placing, zone)
                ? Optional.of(
                        new FitFinding.PlacedInSpray(part.id(), elsewhere(design, part, placing)))
                : Optional.empty();
    }

    private static boolean spoils(Design design, Placing placing, Zone zone) {
        return placing.dry() && zone.isWet() && isRoomy(design);
    }

    private static boolean crowds(Design design, Placing placing, Zone zone) {
        return !placing.cabin() && zone.isCabin() && isRoomy(design);
    }

    /** Whether it has a dry place, and one to sit in. */
    private static boolean isRoomy(Design design) {
        return design.vehicle().sort().filter(sort -> sort != Vehicle.Sort.MOTORCYCLE).isPresent();
    }

    private static List<Edit> elsewhere(Design design, Part part, Placing placing) {
        return design.body()
                .map(body -> nearest(design, body, part, placing))
                .orElseGet(() -> List.of(new PartEdit.Place(part.id(), Zone.BULKHEAD)));
    }

    private static List<Edit> nearest(Design design, Body body, Part part, Placing placing) {
        var here = body.plan().station(body.station(part)).at();
        return body.plan().stations().stream()
                .filter(station -> station.form() != Station.Form.HOLE)
                .filter(station ->
                        placing.lasts(station.zone())
                                && !spoils(design, placing, station.zone())
                                && !crowds(design, placing, station.zone())
                                && station.zone() != Zone.MOVING
                                && quiet(design, part, placing, station))
                .min(Comparator.comparingDouble(station -> station.at().to(here).value()))
                .stream()
                .<Edit>map(station -> new BodyEdit.Stand(part.id(), station.id()))
                .toList();
    }

    private static boolean quiet(Design design, Part part, Placing placing, Station station) {
        return placing.apart()
                .flatMap(apart ->
                        FittingList.tooNear(
                                new BodyEdit.Stand(part.id(), station.id()).apply(design),
                                part,
                                apart))
                .isEmpty();
    }
}
