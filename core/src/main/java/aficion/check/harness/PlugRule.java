package aficion.check.harness;

import aficion.check.finding.ConnectorFinding;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Body;
import aficion.job.edit.Edit;
import aficion.route.Station;
import aficion.size.Assessment;
import aficion.verb.Attempt;
import aficion.verb.Plugging;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Wires that pass a separable plug in one piece: they would be cut whole, and what should come
 * apart there would not. The remedy parts them and joins them by a connector.
 */
public final class PlugRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().body().map(Body::plan).stream()
                .flatMap(plan -> plan.stations().stream())
                .filter(station -> station.form() == Station.Form.PLUG)
                .flatMap(station -> found(assessment, station).stream());
    }

    private static Optional<Finding> found(Assessment assessment, Station station) {
        var whole = Plugging.undivided(assessment, station.id());
        return whole.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new ConnectorFinding.UndividedAtPlug(
                                station.id(),
                                whole.size(),
                                remedies(Plugging.at(assessment, station.id()))));
    }

    private static List<Edit> remedies(Attempt attempt) {
        return switch (attempt) {
            case Attempt.Possible(var edit) -> List.of(edit);
            case Attempt.Refused _ -> List.of();
        };
    }
}
