package aficion.diagram;

import aficion.diagram.Rows.Item;
import aficion.diagram.Rows.Link;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
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
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Where the parts of a circuit stand on the grid: columns by lane and by distance from the source
 * inside it, rows depth-first along the feed, each part as level with what feeds it as the column
 * allows.
 */
final class Placement {
    private static final int MOST_COLUMNS = 5;

    final Map<PartId, Spot> spots = new LinkedHashMap<>();
    final List<Column> columns = new ArrayList<>();

    private final Design design;
    private final boolean returns;
    private final List<Wire> wires;
    private final Map<PartId, Part> parts = new LinkedHashMap<>();
    private final Map<PartId, Outline> outlines = new HashMap<>();

    /**
     * A part on the grid: its column, its outline and its top row.
     *
     * @param aside whether it stands in the channel behind its column rather than in it
     */
    record Spot(Part part, int column, Outline outline, int top, boolean aside) {
        int rowOf(String pin) {
            return top + outline.seat(pin).row();
        }

        int bottom() {
            return top + outline.height();
        }
    }

    private final Map<PartId, List<PartId>> feeders = new HashMap<>();

    /** A column of the grid: its lane and the width of its widest part. */
    record Column(Lane lane, int width) {}

    Placement(Design design, CircuitId circuit, DrawingOptions options) {
        this.design = design;
        this.returns = options.returns();
        this.wires = design.wiresOf(circuit);
        var drawn = new LinkedHashSet<PartId>();
        for (var wire : wires) {
            var from = design.part(wire.from().terminal().part());
            var to = design.part(wire.to().terminal().part());
            boolean bothEarth = isEarth(from) && isEarth(to);
            if (!isEarth(from) || bothEarth || returns) {
                drawn.add(from.id());
            }
            if (!isEarth(to) || returns) {
                drawn.add(to.id());
            }
        }
        design.parts().stream()
                .filter(part -> drawn.contains(part.id()))
                .forEach(part -> parts.put(part.id(), part));
        parts.values().forEach(part -> outlines.put(part.id(), outline(part, options)));
        for (var wire : wires) {
            var from = wire.from().terminal().part();
            var to = wire.to().terminal().part();
            boolean drawnThere = parts.containsKey(from) && parts.containsKey(to);
            if (drawnThere && !from.equals(to) && !isFlag(wire)) {
                feeders.computeIfAbsent(to, _ -> new ArrayList<>()).add(from);
            }
        }
        place();
    }

    static boolean isEarth(Part part) {
        return part.kind() instanceof JoinKind.EarthPoint;
    }

    private Outline outline(Part part, DrawingOptions options) {
        boolean folded = options.folded().contains(part.id());
        var outline = Outline.of(part, usedPins(part), folded);
        return returns && isEarth(part) ? outline.mirrored() : outline;
    }

    /** Whether a wire to earth has a flag at its part rather than a line to its earth point. */
    boolean isFlag(Wire wire) {
        return !returns
                && isEarth(design.part(wire.from().terminal().part()))
                        != isEarth(design.part(wire.to().terminal().part()));
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
        parts.values().forEach(part -> lane(part, lanes, new HashSet<>()));
        var order = visitOrder(lanes);
        var byColumn = new LinkedHashMap<Integer, List<PartId>>();
        for (var lane : Lane.values()) {
            var members = order.stream().filter(part -> lanes.get(part) == lane).toList();
            addColumns(lane, members, mostColumns(lane, lanes), byColumn);
        }
        stand(byColumn, order);
    }

    /** Gives every part its row, with the wires that pass a column on their way. */
    private void stand(Map<Integer, List<PartId>> byColumn, List<PartId> order) {
        var columnOf = new HashMap<PartId, Integer>();
        byColumn.forEach((column, members) -> members.forEach(id -> columnOf.put(id, column)));
        var orientation = new Orientation(wires, columnOf);
        parts.values()
                .forEach(part ->
                        outlines.computeIfPresent(
                                part.id(), (_, outline) -> orientation.turned(part, outline)));
        var items = new ArrayList<List<Item>>();
        for (int column = 0; column < columns.size(); column++) {
            items.add(new ArrayList<>(byColumn.get(column).stream().map(this::item).toList()));
        }
        var links = new LinkedHashSet<Link>();
        for (var wire : wires) {
            var from = wire.from().terminal();
            var to = wire.to().terminal();
            boolean drawn = columnOf.containsKey(from.part()) && columnOf.containsKey(to.part());
            if (drawn && !isFlag(wire)) {
                boolean onwards = columnOf.get(from.part()) <= columnOf.get(to.part());
                link(onwards ? from : to, onwards ? to : from, columnOf, items, links, order);
            }
        }
        var tops = Rows.of(items, List.copyOf(links));
        byColumn.forEach((column, members) ->
                members.forEach(id ->
                        spots.put(
                                id,
                                new Spot(
                                        parts.get(id),
                                        column,
                                        outlines.get(id),
                                        tops.get(item(id)),
                                        orientation.isAside(parts.get(id))))));
    }

    private Item item(PartId part) {
        return new Item(part, outlines.get(part).height(), false);
    }

    /** Joins two terminals over the columns between them; wires of one terminal go together. */
    private void link(
            Terminal left,
            Terminal right,
            Map<PartId, Integer> columnOf,
            List<List<Item>> items,
            Set<Link> links,
            List<PartId> order) {
        var before = item(left.part());
        int row = outlines.get(left.part()).seat(left.pin()).row();
        int last = columnOf.get(right.part());
        for (int column = columnOf.get(left.part()) + 1; column < last; column++) {
            var passing = new Item(new Passing(left, column), 0, true);
            var members = items.get(column);
            if (!members.contains(passing)) {
                members.add(place(members, right.part(), order), passing);
            }
            links.add(new Link(before, row, passing, 0));
            before = passing;
            row = 0;
        }
        if (columnOf.get(left.part()) < last) {
            links.add(
                    new Link(
                            before,
                            row,
                            item(right.part()),
                            outlines.get(right.part()).seat(right.pin()).row()));
        }
    }

    /** The wires of a terminal where they pass a column. */
    private record Passing(Terminal terminal, int column) {}

    /** Before the first part of a column that comes later on the path than where a line goes. */
    private static int place(List<Item> members, PartId goal, List<PartId> order) {
        for (int i = 0; i < members.size(); i++) {
            if (members.get(i).key() instanceof PartId id
                    && order.indexOf(id) > order.indexOf(goal)) {
                return i;
            }
        }
        return members.size();
    }

    /**
     * The lane of a part's kind, unless its feeders say otherwise: a joint stands with what feeds
     * it, a fuse behind a switch with the switch, a switch behind a load with the load it earths.
     * Where parts feed one another round, the one met first is taken by its kind.
     */
    private Lane lane(Part part, Map<PartId, Lane> known, Set<PartId> onTheWay) {
        var lane = known.get(part.id());
        if (lane == null) {
            lane = laneByFeeders(part, known, onTheWay);
            if (!onTheWay.contains(part.id())) {
                known.put(part.id(), lane);
            }
        }
        return lane;
    }

    private Lane laneByFeeders(Part part, Map<PartId, Lane> known, Set<PartId> onTheWay) {
        var own = returns && isEarth(part) ? Lane.RETURN : ownLane(part);
        if (own == Lane.WORK || own == Lane.RETURN || !onTheWay.add(part.id())) {
            return own;
        }
        var fed =
                feeders(part.id()).stream()
                        .map(feeder -> lane(parts.get(feeder), known, onTheWay))
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
            case LoadKind.Lamp _,
                    LoadKind.WarningLamp _,
                    LoadKind.Motor _,
                    LoadKind.WiperMotor _,
                    LoadKind.TwoSpeedMotor _,
                    LoadKind.Starter _,
                    LoadKind.IgnitionCoil _,
                    LoadKind.Gauge _,
                    LoadKind.Voltmeter _,
                    LoadKind.Load _,
                    LoadKind.LedLamp _,
                    LoadKind.Buzzer _,
                    LoadKind.Heater _,
                    LoadKind.Magneto _,
                    JoinKind.Sender _,
                    JoinKind.Capacitor _,
                    JoinKind.EarthPoint _ ->
                    Lane.WORK;
        };
    }

    private List<PartId> feeders(PartId part) {
        return feeders.getOrDefault(part, List.of());
    }

    private List<PartId> followers(PartId part) {
        return wires.stream()
                .filter(wire -> wire.from().terminal().part().equals(part) && !isFlag(wire))
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
                    depths(members).values().stream().mapToInt(depth -> depth + 1).max().orElse(0);
            taken += Math.min(deepest, mostColumns(other, lanes));
        }
        return Math.max(2, MOST_COLUMNS - taken);
    }

    private void addColumns(
            Lane lane, List<PartId> members, int most, Map<Integer, List<PartId>> byColumn) {
        var depths = depths(members);
        depths.replaceAll((_, depth) -> Math.min(depth, most - 1));
        var used = depths.values().stream().distinct().sorted().toList();
        for (int depth : used) {
            var inColumn = members.stream().filter(part -> depths.get(part) == depth).toList();
            int width =
                    inColumn.stream().mapToInt(part -> outlines.get(part).width()).max().orElse(0);
            byColumn.put(columns.size(), inColumn);
            columns.add(new Column(lane, Math.max(1, width)));
        }
    }

    /** How many parts of a lane stand before each on the longest way through it. */
    private Map<PartId, Integer> depths(Collection<PartId> members) {
        var lane = Set.copyOf(members);
        var depths = new HashMap<PartId, Integer>();
        members.forEach(part -> depth(part, lane, depths, new HashSet<>()));
        return depths;
    }

    private int depth(
            PartId part, Set<PartId> lane, Map<PartId, Integer> known, Set<PartId> onTheWay) {
        var depth = known.get(part);
        if (depth != null || !onTheWay.add(part)) {
            return depth == null ? 0 : depth;
        }
        int deepest =
                feeders(part).stream()
                        .filter(lane::contains)
                        .mapToInt(feeder -> depth(feeder, lane, known, onTheWay) + 1)
                        .max()
                        .orElse(0);
        onTheWay.remove(part);
        known.put(part, deepest);
        return deepest;
    }

    Design design() {
        return design;
    }

    List<Wire> wires() {
        return wires;
    }
}
