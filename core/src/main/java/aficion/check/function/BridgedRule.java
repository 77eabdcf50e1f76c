package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.check.polarity.Exchanges;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.size.Assessment;
import java.util.stream.Stream;

/**
 * Switches, relays, points and flashers that metal bridges whatever they do: what is behind them is
 * never off, an engine whose points are bridged never sparks. One that still opens some way that is
 * wired is left alone, and so is one that only a guard leads past, as it does past an isolator for
 * a clock.
 */
public final class BridgedRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof ControlKind)
                .flatMap(part -> found(assessment, part));
    }

    /** A way that it opens and closes. */
    private record Way(Terminal one, Terminal other) {}

    private static Stream<Finding> found(Assessment assessment, Part part) {
        var design = assessment.design();
        var ways =
                ways(part)
                        .filter(way -> isWired(design, part, way.one))
                        .filter(way -> isWired(design, part, way.other))
                        .toList();
        return !ways.isEmpty() && ways.stream().allMatch(way -> isBridged(assessment, way))
                ? ways.stream()
                        .limit(1)
                        .map(way ->
                                new PathFinding.Bridged(
                                        part.id(), Exchanges.parted(design, way.one, way.other)))
                : Stream.empty();
    }

    private static boolean isBridged(Assessment assessment, Way way) {
        var netlist = assessment.netlist();
        return assessment
                .worst()
                .metal()
                .alwaysJoins(netlist.node(way.one), netlist.node(way.other));
    }

    private static Stream<Way> ways(Part part) {
        var ways =
                part.kind() instanceof ControlKind.Points
                        ? Stream.of(Kind.Pass.solid("1", "31"))
                        : part.kind().passes().stream();
        return ways.map(pass -> new Way(part.terminal(pass.one()), part.terminal(pass.other())));
    }

    private static boolean isWired(Design design, Part part, Terminal at) {
        boolean bolted =
                part.mount().isPresent()
                        && part.kind().casePin().filter(at.pin()::equals).isPresent();
        return bolted || !design.wiresAt(at).isEmpty();
    }
}
