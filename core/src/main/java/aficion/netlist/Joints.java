package aficion.netlist;

import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.Terminal;
import java.util.ArrayDeque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What hangs together, followed from terminal to terminal over a design. */
final class Joints {
    private Joints() {}

    /** The terminals joined to one by wires, splices and connectors, itself first. */
    static Set<Terminal> joined(Design design, Terminal start) {
        return reached(
                design,
                start,
                part ->
                        part.kind() instanceof JoinKind.Connector
                                ? part.kind().passes()
                                : List.of());
    }

    /**
     * The terminals reached from one through all that does not limit the current, as if it were
     * closed, itself first.
     */
    static Set<Terminal> reached(Design design, Terminal start) {
        return reached(
                design,
                start,
                part ->
                        Stream.concat(
                                        part.kind().passes().stream(),
                                        part.kind().seats().stream()
                                                .map(seat ->
                                                        Kind.Pass.solid(seat.in(), seat.out())))
                                .toList());
    }

    private static Set<Terminal> reached(
            Design design, Terminal start, Function<Part, List<Kind.Pass>> through) {
        var seen = new LinkedHashSet<>(List.of(start));
        var open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            var terminal = open.remove();
            for (var wire : design.wiresAt(terminal)) {
                var beyond = wire.beyond(terminal).terminal();
                if (seen.add(beyond)) {
                    open.add(beyond);
                }
            }
            var part = design.part(terminal.part());
            for (var pass : through.apply(part)) {
                pass.across(terminal.pin())
                        .map(part::terminal)
                        .filter(seen::add)
                        .ifPresent(open::add);
            }
        }
        return seen;
    }
}
