package aficion.check.harness;

import aficion.catalogue.Coverings;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.Rule;
import aficion.harness.Dress;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.Edit;
import aficion.quantity.Metres;
import aficion.route.Station;
import aficion.size.Assessment;
import aficion.size.Bundle;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Grommets narrower than {@value Dress#GROMMET_ROOM} of what passes them: every wire whose way
 * leads there, whatever length it was given. The remedy is the next larger one that is sold.
 */
public final class GrommetRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.body().map(Body::plan).stream()
                .flatMap(plan -> plan.stations().stream())
                .filter(station -> station.form() == Station.Form.HOLE)
                .flatMap(station ->
                        station.bore().flatMap(bore -> found(design, station, bore)).stream());
    }

    private static Optional<Finding> found(Design design, Station station, Metres bore) {
        if (Dress.passes(design, station)) {
            return Optional.empty();
        }
        var bundle = Bundle.diameter(Dress.passing(design, station));
        return Optional.of(
                new FitFinding.GrommetTooSmall(
                        station.id(), bundle, bore, larger(station, bundle)));
    }

    private static List<Edit> larger(Station station, Metres bundle) {
        return Coverings.over(Coverings.Sort.GROMMET, bundle, Dress.GROMMET_ROOM).stream()
                .<Edit>map(size -> new BodyEdit.SetStation(station.withBore(size.bore())))
                .toList();
    }
}
