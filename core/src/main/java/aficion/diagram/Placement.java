package aficion.diagram;

import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Where the parts of a circuit stand on the grid: columns by lane and by distance from the source
 * inside it, rows depth-first along the feed, each part as level with what feeds it as the column
 * allows.
 */
final class Placement {
    private static final int GAP_ROWS = 3;
    private static final int TOP_ROWS = 6;
    private static final int MOST_COLUMNS = 5;

    final Map<PartId, Spot> spots = new LinkedHashMap<>();
    final List<Column> columns = new ArrayList<>();

    private final Job job;
    private final List<Wire> wires;
    private final Map<PartId, Part> parts = new LinkedHashMap<>();
    private final Map<PartId, Outline> outlines = new HashMap<>();

    /** A part on the grid: its column, its outline and its top row. */
    record Spot(Part part, int column, Outline outline, int top) {
        int rowOf(String pin) {
            return top + outline.seat(pin).row();
        }

        Spot at(int row) {
            return new Spot(part, column, outline, row);
        }

        int bottom() {
            return top + outline.height();
        }
    }

    /** A column of the grid: its lane and the width of its widest part. */
    record Column(Lane lane, int width) {}

    Placement(Job job, CircuitId circuit) {
        this.job = job;
        this.wires = job.wiresOf(circuit);
        var drawn = new LinkedHashSet<PartId>();
        for (var wire : wires) {
            var from = job.part(wire.from().terminal().part());
            var to = job.part(wire.to().terminal().part());
            boolean bothEarth = isEarth(from) && isEarth(to);
            if (!isEarth(from) || bothEarth) {
                drawn.add(from.id());
            }
            if (!isEarth(to)) {
                drawn.add(to.id());
            }
        }
        job.parts().stream()
                .filter(part -> drawn.contains(part.id()))
                .forEach(part -> parts.put(part.id(), part));
        parts.values().forEach(part -> outlines.put(part.id(), Outline.of(part, usedPins(part))));
        place();
    }

    static boolean isEarth(Part part) {
        return part.kind() instanceof JoinKind.EarthPoint;
    }

    private Set<String> usedPins(Part part) {
        return wires.stream()
                .flatMap(wire -> wire.terminals().stream())
                .filter(terminal -> terminal.part().equals(part.id()))
                .map(Terminal::pin)
                .collect(Collectors.toSet());
    }

    private void place() {
        var lanes = new LinkedHashMap<PartId, Lane>();
        parts.values().forEach(part -> lanes.put(part.id(), lane(part)));
        var order = visitOrder(lanes);
        var byColumn = new LinkedHashMap<Integer, List<PartId>>();
        for (var lane : Lane.values()) {
            var members = order.stream().filter(part -> lanes.get(part) == lane).toList();
            addColumns(lane, members, mostColumns(lane, lanes), byColumn);
        }
        byColumn.forEach(this::stack);
        for (int pass = 0; pass < 2; pass++) {
            for (int column = columns.size() - 1; column >= 0; column--) {
                straighten(byColumn.get(column));
            }
        }
    }

    private Lane lane(Part part) {
        return lane(part, new HashSet<>());
    }

    /**
     * The lane of a part's kind, unless its feeders say otherwise: a joint stands with what feeds
     * it, a fuse behind a switch with the switch, a switch behind a load with the load it earths.
     */
    private Lane lane(Part part, Set<PartId> onTheWay) {
        var own = ownLane(part);
        if (own == Lane.WORK || !onTheWay.add(part.id())) {
            return own;
        }
        var fed =
                feeders(part.id()).stream()
                        .map(feeder -> lane(parts.get(feeder), onTheWay))
                        .toList();
        onTheWay.remove(part.id());
        if (fed.isEmpty()) {
            return own;
        }
        if (part.kind() instanceof JoinKind.Splice) {
            return Collections.max(fed);
        }
        boolean movedOn =
                own != Lane.SOURCE && fed.stream().allMatch(lane -> lane.compareTo(own) > 0);
        return movedOn ? Collections.min(fed) : own;
    }

    private static Lane ownLane(Part part) {
        return switch (part.kind()) {
            case SourceKind _, JoinKind.Splice _ -> Lane.SOURCE;
            case GuardKind _ -> Lane.GUARD;
            case ControlKind.Points _, ControlKind.IgnitionBox _ -> Lane.WORK;
            case ControlKind _,
                    LoadKind.Ammeter _,
                    JoinKind.Resistor _,
                    JoinKind.Diode _,
                    JoinKind.Stabiliser _,
                    JoinKind.Connector _ ->
                    Lane.CONTROL;
            case LoadKind _, JoinKind.Sender _, JoinKind.Capacitor _, JoinKind.EarthPoint _ ->
                    Lane.WORK;
        };
    }

    private List<PartId> feeders(PartId part) {
        return wires.stream()
                .filter(wire -> wire.to().terminal().part().equals(part))
                .map(wire -> wire.from().terminal().part())
                .filter(parts::containsKey)
                .filter(other -> !other.equals(part))
                .toList();
    }

    private List<PartId> followers(PartId part) {
        return wires.stream()
                .filter(wire -> wire.from().terminal().part().equals(part))
                .sorted(
                        Comparator.comparingInt(wire ->
                                outlines.get(part).seat(wire.from().terminal().pin()).row()))
                .map(wire -> wire.to().terminal().part())
                .filter(parts::containsKey)
                .filter(other -> !other.equals(part))
                .distinct()
                .toList();
    }

    /**
     * Depth-first along the feed, beginning with the leftmost lanes and with what nothing feeds.
     */
    private List<PartId> visitOrder(Map<PartId, Lane> lanes) {
        var order = new LinkedHashSet<PartId>();
        parts.keySet().stream()
                .sorted(
                        Comparator.comparing((PartId part) -> lanes.get(part))
                                .thenComparing(part -> feeders(part).isEmpty() ? 0 : 1))
                .forEach(part -> visit(part, order));
        return List.copyOf(order);
    }

    private void visit(PartId part, Set<PartId> order) {
        if (order.add(part)) {
            followers(part).forEach(next -> visit(next, order));
        }
    }

    /**
     * The lanes of source, guard and work take what they need, up to three columns; control takes
     * what is left.
     */
    private int mostColumns(Lane lane, Map<PartId, Lane> lanes) {
        if (lane != Lane.CONTROL) {
            return lane == Lane.GUARD ? 3 : 2;
        }
        int taken = 0;
        for (var other : List.of(Lane.SOURCE, Lane.GUARD, Lane.WORK)) {
            var members = lanes.keySet().stream().filter(part -> lanes.get(part) == other).toList();
            int deepest =
                    members.stream()
                            .mapToInt(part -> depth(part, members, new HashSet<>()) + 1)
                            .max()
                            .orElse(0);
            taken += Math.min(deepest, mostColumns(other, lanes));
        }
        return Math.max(2, MOST_COLUMNS - taken);
    }

    private void addColumns(
            Lane lane, List<PartId> members, int most, Map<Integer, List<PartId>> byColumn) {
        var depths = new HashMap<PartId, Integer>();
        for (var part : members) {
            depths.put(part, Math.min(depth(part, members, new HashSet<>()), most - 1));
        }
        var used = depths.values().stream().distinct().sorted().toList();
        for (int depth : used) {
            var inColumn = members.stream().filter(part -> depths.get(part) == depth).toList();
            int width =
                    inColumn.stream().mapToInt(part -> outlines.get(part).width()).max().orElse(0);
            byColumn.put(columns.size(), inColumn);
            columns.add(new Column(lane, Math.max(1, width)));
        }
    }

    private int depth(PartId part, Collection<PartId> lane, Set<PartId> onTheWay) {
        if (!onTheWay.add(part)) {
            return 0;
        }
        int depth =
                feeders(part).stream()
                        .filter(lane::contains)
                        .mapToInt(feeder -> depth(feeder, lane, onTheWay) + 1)
                        .max()
                        .orElse(0);
        onTheWay.remove(part);
        return depth;
    }

    private void stack(int column, List<PartId> members) {
        int free = TOP_ROWS;
        for (var id : members) {
            var spot = new Spot(parts.get(id), column, outlines.get(id), 0);
            int top = Math.max(free, wanted(spot, true).orElse(free));
            spots.put(id, spot.at(top));
            free = top + outlines.get(id).height() + GAP_ROWS;
        }
    }

    /**
     * The top row that makes a wire to a placed neighbour straight; the topmost such neighbour
     * decides.
     */
    private Optional<Integer> wanted(Spot spot, boolean fromLeft) {
        return wires.stream()
                .flatMap(wire -> level(wire, spot, fromLeft).stream())
                .min(Comparator.naturalOrder());
    }

    private Optional<Integer> level(Wire wire, Spot spot, boolean fromLeft) {
        var from = wire.from().terminal();
        var to = wire.to().terminal();
        boolean isTo = to.part().equals(spot.part().id());
        boolean isFrom = from.part().equals(spot.part().id());
        if (isTo == isFrom) {
            return Optional.empty();
        }
        var own = isTo ? to : from;
        var other = spots.get((isTo ? from : to).part());
        if (other == null
                || (fromLeft ? other.column() >= spot.column() : other.column() <= spot.column())) {
            return Optional.empty();
        }
        int row = other.rowOf((isTo ? from : to).pin());
        return Optional.of(row - spot.outline().seat(own.pin()).row());
    }

    /**
     * Moves parts down to be level with what they feed, from the lowest up, where there is room.
     */
    private void straighten(List<PartId> members) {
        int ceiling = Integer.MAX_VALUE;
        for (var id : members.reversed()) {
            var spot = spots.get(id);
            int lowest =
                    ceiling == Integer.MAX_VALUE
                            ? ceiling
                            : ceiling - GAP_ROWS - spot.outline().height();
            int top =
                    wanted(spot, false)
                            .filter(row -> row > spot.top())
                            .map(row -> Math.min(row, lowest))
                            .orElse(spot.top());
            spots.put(id, spot.at(Math.max(top, spot.top())));
            ceiling = spots.get(id).top();
        }
    }

    Job job() {
        return job;
    }

    List<Wire> wires() {
        return wires;
    }
}
