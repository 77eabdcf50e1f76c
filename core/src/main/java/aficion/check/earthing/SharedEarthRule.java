package aficion.check.earthing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Earth points on the body where a sender meets a heavy load: every milliohm of a bad joint there
 * moves the needle when the load comes on.
 */
public final class SharedEarthRule implements Rule {
    private static final double HEAVY = 8;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof JoinKind.EarthPoint(var mass, _)
                                && mass == JoinKind.Mass.BODY)
                .flatMap(earth ->
                        sender(design, earth).stream()
                                .flatMap(sender ->
                                        assessment.worst().steady(earth.id(), "joint").stream()
                                                .filter(peak ->
                                                        Math.abs(peak.amps().value()) > HEAVY)
                                                .map(peak ->
                                                        new Finding.EarthShared(
                                                                earth.id(),
                                                                sender,
                                                                new Amps(
                                                                        Math.abs(
                                                                                peak.amps()
                                                                                        .value()))))));
    }

    private static Optional<PartId> sender(Design design, Part earth) {
        var mounted =
                design.parts().stream()
                        .filter(part -> part.mount().equals(Optional.of(earth.id())));
        var wired =
                design.wiresAt(earth.terminal("E")).stream()
                        .flatMap(wire -> wire.terminals().stream())
                        .map(Terminal::part)
                        .map(design::part);
        return Stream.concat(mounted, wired)
                .filter(part -> part.kind() instanceof JoinKind.Sender)
                .map(Part::id)
                .findFirst();
    }
}
