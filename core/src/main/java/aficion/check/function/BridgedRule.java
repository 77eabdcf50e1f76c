package aficion.check.function;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.polarity.Exchanges;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.size.Assessment;
import java.util.stream.Stream;

/**
 * Switches, relays, points and flashers that metal bridges whatever they do: what is behind them is
 * never off, an engine whose points are bridged never sparks. One that still opens some way that is
 * wired is left alone, and so is one that only a guard leads past, as it does past an isolator for
 * a clock. Likewise what has two leads and finds both on the same metal: a meter, a resistor, a
 * diode, a condenser.
 */
public final class BridgedRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind() instanceof ControlKind
                                ? found(assessment, part)
                                : ends(part)
                                        .filter(way -> isWired(assessment.design(), part, way))
                                        .filter(way -> isBridged(assessment, way))
                                        .map(_ -> new PathFinding.OnSameMetal(part.id())));
    }

    /** A way that it opens and closes. */
    private record Way(Terminal one, Terminal other) {}

    private static Stream<Finding> found(Assessment assessment, Part part) {
        var design = assessment.design();
        var ways = ways(part).filter(way -> isWired(design, part, way)).toList();
        return !ways.isEmpty() && ways.stream().allMatch(way -> isBridged(assessment, way))
                ? ways.stream()
                        .limit(1)
                        .map(way ->
                                new PathFinding.Bridged(
                                        part.id(), Exchanges.parted(design, way.one, way.other)))
                : Stream.empty();
    }

    /** The two leads of what has no more. */
    private static Stream<Way> ends(Part part) {
        var pins = part.terminals();
        return switch (part.kind()) {
            case JoinKind.Resistor _, JoinKind.Diode _, JoinKind.Capacitor _, LoadKind.Ammeter _ ->
                    Stream.of(new Way(pins.getFirst(), pins.getLast()));
            case JoinKind _, LoadKind _, ControlKind _, GuardKind _, SourceKind _ -> Stream.empty();
        };
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

    private static boolean isWired(Design design, Part part, Way way) {
        return isWired(design, part, way.one) && isWired(design, part, way.other);
    }

    private static boolean isWired(Design design, Part part, Terminal at) {
        boolean bolted =
                part.mount().isPresent()
                        && part.kind().casePin().filter(at.pin()::equals).isPresent();
        return bolted || !design.wiresAt(at).isEmpty();
    }
}
