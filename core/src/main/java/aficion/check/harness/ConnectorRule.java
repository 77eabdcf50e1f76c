package aficion.check.harness;

import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.check.finding.ConnectorFinding;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind.Connector;
import aficion.job.JoinKind.Half;
import aficion.job.JoinKind.Housed;
import aficion.job.Part;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Connectors whose body is known: what sits in it, whether it is enough, whether it is closed. */
public final class ConnectorRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .flatMap(part ->
                        part.kind() instanceof Connector connector
                                ? connector.housed().stream()
                                        .flatMap(housed -> found(design, part, connector, housed))
                                : Stream.of());
    }

    private static Stream<Finding> found(
            Design design, Part part, Connector connector, Housed housed) {
        var found = new ArrayList<Finding>();
        for (var wire : design.wires()) {
            for (var end : List.of(wire.from(), wire.to())) {
                if (end.terminal().part().equals(part.id())) {
                    misfit(wire, end, housed).ifPresent(found::add);
                }
            }
        }
        var body = housed.housing();
        int ways = connector.ways().size();
        if (ways > body.ways()) {
            found.add(
                    new ConnectorFinding.TooFewCavities(
                            part.id(),
                            ways,
                            body.ways(),
                            into(part, housed, Housings.least(ways, body::isOfTheSort))));
        }
        if (part.zone().isWet() && !body.sealed()) {
            found.add(
                    new ConnectorFinding.OpenInWet(
                            part.id(), into(part, housed, Housings.least(ways, Housing::sealed))));
        }
        int empty = empty(design, part, connector, body);
        if (body.sealed() && !housed.blanked() && empty > 0) {
            found.add(
                    new ConnectorFinding.EmptyCavity(
                            part.id(),
                            empty,
                            List.of(
                                    new PartEdit.House(
                                            part.id(), Optional.of(housed.withBlanks(true))))));
        }
        return found.stream();
    }

    private static Optional<Finding> misfit(Wire wire, End end, Housed housed) {
        var half = Half.of(end.terminal().pin());
        var takes = housed.takes(half);
        if (end.termination().equals(takes)) {
            return Optional.empty();
        }
        var other = housed.takes(half.mate());
        List<Edit> remedies = List.of(new WireEdit.Crimp(wire.id(), end.terminal(), takes));
        return Optional.of(
                end.termination().equals(other)
                        ? new ConnectorFinding.WrongGender(
                                wire.id(), end.terminal(), end.termination(), takes, remedies)
                        : new ConnectorFinding.CavityDoesNotTake(
                                wire.id(), end.terminal(), end.termination(), takes, remedies));
    }

    /** Cavities in which no wire ends; a half without any wire is not of this vehicle. */
    private static int empty(Design design, Part part, Connector connector, Housing body) {
        int empty = 0;
        for (var half : Half.values()) {
            int taken =
                    (int)
                            connector.ways().stream()
                                    .map(half::pin)
                                    .filter(pin -> !design.wiresAt(part.terminal(pin)).isEmpty())
                                    .count();
            empty += taken == 0 ? 0 : Math.max(0, body.ways() - taken);
        }
        return empty;
    }

    /** Another body, its empty cavities plugged where it is sealed. */
    private static List<Edit> into(Part part, Housed housed, Optional<Housing> body) {
        return body.stream()
                .<Edit>map(other ->
                        new PartEdit.House(
                                part.id(),
                                Optional.of(
                                        housed.in(other.key())
                                                .withBlanks(housed.blanked() || other.sealed()))))
                .toList();
    }
}
