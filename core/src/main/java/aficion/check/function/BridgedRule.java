package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import java.util.List;
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
    private record Way(Terminal one, Terminal other, int branch) {}

    private static Stream<Finding> found(Assessment assessment, Part part) {
        var design = assessment.design();
        var ways =
                ways(assessment, part)
                        .filter(way -> isWired(design, part, way.one))
                        .filter(way -> isWired(design, part, way.other))
                        .toList();
        var metal = assessment.worst().metal();
        return !ways.isEmpty() && ways.stream().allMatch(way -> metal.bridges(way.branch))
                ? ways.stream()
                        .limit(1)
                        .map(way -> new PathFinding.Bridged(part.id(), remedies(design, way)))
                : Stream.empty();
    }

    private static Stream<Way> ways(Assessment assessment, Part part) {
        var inside = assessment.netlist().inside(part.id());
        if (part.kind() instanceof ControlKind.Points) {
            return Stream.of(new Way(part.terminal("1"), part.terminal("31"), inside.get("body")));
        }
        return part.kind().passes().stream()
                .filter(pass -> inside.containsKey(pass.role()))
                .map(pass -> way(part, pass, inside.get(pass.role())));
    }

    private static Way way(Part part, Kind.Pass pass, int branch) {
        return new Way(part.terminal(pass.one()), part.terminal(pass.other()), branch);
    }

    private static boolean isWired(Design design, Part part, Terminal at) {
        boolean bolted =
                part.mount().isPresent()
                        && part.kind().casePin().filter(at.pin()::equals).isPresent();
        return bolted || !design.wiresAt(at).isEmpty();
    }

    /** The one wire that bridges it is taken out. */
    private static List<Edit> remedies(Design design, Way way) {
        var across =
                design.wiresAt(way.one).stream()
                        .filter(wire -> wire.beyond(way.one).terminal().equals(way.other))
                        .toList();
        return across.size() == 1
                ? List.of(new WireEdit.RemoveWire(across.getFirst().id()))
                : List.of();
    }
}
