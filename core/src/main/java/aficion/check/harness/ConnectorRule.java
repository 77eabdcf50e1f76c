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
import aficion.job.edit.CompositeEdit;
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
        int cavities = housed.housing().ways();
        int ways = connector.ways().size();
        if (ways > cavities) {
            found.add(
                    new ConnectorFinding.TooFewCavities(
                            part.id(), ways, cavities, larger(design, part, connector, housed)));
        }
        if (part.zone().isWet() && !housed.housing().sealed()) {
            found.add(
                    new ConnectorFinding.OpenInWet(
                            part.id(), sealed(design, part, connector, housed)));
        }
        int empty = empty(design, part, connector, housed);
        if (housed.housing().sealed() && !housed.blanked() && empty > 0) {
            var blanked = new Housed(housed.body(), housed.sockets(), true);
            found.add(
                    new ConnectorFinding.EmptyCavity(
                            part.id(),
                            empty,
                            List.of(
                                    new PartEdit.Refit(
                                            part.id(), connector.in(Optional.of(blanked))))));
        }
        return found.stream();
    }

    private static Optional<Finding> misfit(Wire wire, End end, Housed housed) {
        var half = Half.of(end.terminal().pin());
        var takes = housed.takes(half);
        if (end.termination().equals(takes)) {
            return Optional.empty();
        }
        var other = housed.takes(half == Half.A ? Half.B : Half.A);
        List<Edit> remedies = List.of(new WireEdit.Crimp(wire.id(), end.terminal(), takes));
        return Optional.of(
                end.termination().equals(other)
                        ? new ConnectorFinding.WrongGender(
                                wire.id(), end.terminal(), end.termination(), takes, remedies)
                        : new ConnectorFinding.CavityDoesNotTake(
                                wire.id(), end.terminal(), end.termination(), takes, remedies));
    }

    /** Cavities in which no wire ends; a half without any wire is not of this vehicle. */
    private static int empty(Design design, Part part, Connector connector, Housed housed) {
        int empty = 0;
        for (var half : Half.values()) {
            int taken =
                    (int)
                            connector.pins().stream()
                                    .filter(pin -> Half.of(pin) == half)
                                    .filter(pin -> !design.wiresAt(part.terminal(pin)).isEmpty())
                                    .count();
            empty += taken == 0 ? 0 : Math.max(0, housed.housing().ways() - taken);
        }
        return empty;
    }

    private static List<Edit> larger(Design design, Part part, Connector connector, Housed housed) {
        return Housings.all().stream()
                .filter(each -> each.isOfTheSort(housed.housing()))
                .filter(each -> each.ways() >= connector.ways().size())
                .limit(1)
                .map(each -> into(design, part, connector, housed, each))
                .toList();
    }

    private static List<Edit> sealed(Design design, Part part, Connector connector, Housed housed) {
        return Housings.least(connector.ways().size(), true).stream()
                .map(each -> into(design, part, connector, housed, each))
                .toList();
    }

    /** Another body, with what it takes crimped to every wire, and its empty cavities plugged. */
    private static Edit into(
            Design design, Part part, Connector connector, Housed housed, Housing body) {
        var other = new Housed(body.key(), housed.sockets(), housed.blanked() || body.sealed());
        return new CompositeEdit(CompositeEdit.Reason.MEND, house(design, part, connector, other));
    }

    /** A connector put in a body, and what that takes crimped to every wire of it. */
    public static List<Edit> house(Design design, Part part, Connector connector, Housed body) {
        var edits = new ArrayList<Edit>();
        edits.add(new PartEdit.Refit(part.id(), connector.in(Optional.of(body))));
        for (var pin : connector.pins()) {
            var terminal = part.terminal(pin);
            for (var wire : design.wiresAt(terminal)) {
                edits.add(new WireEdit.Crimp(wire.id(), terminal, body.takes(Half.of(pin))));
            }
        }
        return edits;
    }
}
