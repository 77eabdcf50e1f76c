package aficion.diagram;

import aficion.job.ControlKind;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Which way round things are drawn, so that lines need not run round them. */
final class Orientation {
    private final List<Wire> wires;
    private final Map<PartId, Integer> columns;

    /**
     * @param columns where each part stands that is drawn
     */
    Orientation(List<Wire> wires, Map<PartId, Integer> columns) {
        this.wires = wires;
        this.columns = columns;
    }

    /**
     * A coil that is fed from its own column has its feed on the right; what is alike both ways has
     * it on the left.
     */
    Outline turned(Part part, Outline outline) {
        if (part.kind() instanceof ControlKind.Relay && isFedFromBeside(part.terminal("86"))) {
            return outline.exchanged("86", "85");
        }
        return part.kind().alikeBothWays() && isFedOnTheRight(part)
                ? outline.exchanged(part.kind().pins().getFirst(), part.kind().pins().getLast())
                : outline;
    }

    /** Whether it is a joint behind something of its own column: it stands in the channel then. */
    boolean isAside(Part part) {
        return part.kind() instanceof JoinKind.Splice && isFedFromBeside(part.terminal("J"));
    }

    private boolean isFedFromBeside(Terminal at) {
        int own = columns.get(at.part());
        var feeders =
                wires.stream()
                        .filter(wire -> wire.to().terminal().equals(at))
                        .map(wire -> columns.getOrDefault(wire.from().terminal().part(), -1))
                        .toList();
        return !feeders.isEmpty() && feeders.stream().allMatch(from -> from == own);
    }

    private boolean isFedOnTheRight(Part part) {
        int own = columns.get(part.id());
        var pins = part.kind().pins();
        var left = joined(part.terminal(pins.getFirst())).toList();
        var right = joined(part.terminal(pins.getLast())).toList();
        return !left.isEmpty()
                && !right.isEmpty()
                && left.stream().allMatch(column -> column > own)
                && right.stream().allMatch(column -> column < own);
    }

    /** The columns a terminal is joined to; an earth stands with what it earths. */
    private Stream<Integer> joined(Terminal at) {
        return wires.stream()
                .map(Wire::terminals)
                .filter(ends -> ends.contains(at))
                .flatMap(List::stream)
                .filter(end -> !end.equals(at))
                .map(end -> columns.getOrDefault(end.part(), columns.get(at.part())));
    }
}
