package aficion.job;

import java.util.ArrayDeque;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What hangs together, followed from terminal to terminal over a design. */
public final class Joints {
    private Joints() {}

    /** The terminals joined to one by wires, splices and connectors, itself first. */
    public static Set<Terminal> joined(Design design, Terminal start) {
        return reached(design, List.of(start), at -> inPlug(design.part(at.part()), at));
    }

    /**
     * The terminals reached from one through all that does not limit the current, as if it were
     * closed, itself first.
     */
    public static Set<Terminal> reached(Design design, Terminal start) {
        return reached(
                design,
                List.of(start),
                at -> {
                    var part = design.part(at.part());
                    return Stream.concat(across(part, at), guarded(part, at));
                });
    }

    /** The same from several by wires, and by what leads on from a terminal inside its part. */
    static Set<Terminal> reached(
            Design design,
            Collection<Terminal> starts,
            Function<Terminal, Stream<Terminal>> inside) {
        var seen = new LinkedHashSet<>(starts);
        var open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            var at = open.remove();
            Stream.concat(
                            design.wiresAt(at).stream().map(wire -> wire.beyond(at).terminal()),
                            inside.apply(at))
                    .filter(seen::add)
                    .forEach(open::add);
        }
        return seen;
    }

    /** Through a way of a plug. */
    static Stream<Terminal> inPlug(Part part, Terminal at) {
        return part.kind() instanceof JoinKind.Connector ? across(part, at) : Stream.empty();
    }

    /** Through what passes a current inside a part, contacts as if they were closed. */
    static Stream<Terminal> across(Part part, Terminal at) {
        return part.kind().passes().stream()
                .flatMap(pass -> pass.across(at.pin()).stream())
                .map(part::terminal);
    }

    /** Through a guard to its other side. */
    static Stream<Terminal> guarded(Part part, Terminal at) {
        return part.kind().seats().stream()
                .filter(seat -> seat.meets(at.pin()))
                .map(seat -> part.terminal(seat.in().equals(at.pin()) ? seat.out() : seat.in()));
    }
}
