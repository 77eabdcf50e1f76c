package aficion.diagram;

import aficion.diagram.Diagram.Band;
import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.EarthFlag;
import aficion.diagram.Diagram.Jump;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.NamesEarth;
import aficion.diagram.Diagram.NamesPart;
import aficion.diagram.Diagram.Pin;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.diagram.Diagram.Stroke;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Draws the path of one circuit: places its parts, runs its wires, finds room for its words.
 * Deterministic.
 */
public final class Layout {
    /** One step of the grid in drawing units. */
    static final double STEP = 12;

    private static final int MARGIN = 1;

    /** Rows under which the names of the lanes stand. */
    private static final int HEAD_ROWS = 2;

    /** Room for tracks and words behind a column, with the earth signs before the work. */
    private static final int COLUMN_GAP = 6;

    private static final int JUMP_ROOM = 4;

    /** Where in the channel behind a column a joint stands, clear of earth signs. */
    private static final int ASIDE = 4;

    private static final int STUB = 7;
    private static final int SHORT_STUB = 2;
    private static final double NAME_HEIGHT = 15;
    private static final double SIGN = 12;

    /** Room under a body for the word that says its state. */
    private static final double CAPTION = 16;

    private final Design design;
    private final CircuitId circuit;
    private final Lettering lettering;
    private final Placement placement;
    private final List<Integer> lefts = new ArrayList<>();
    private final Map<PartId, Body> bodies = new HashMap<>();
    private final List<EarthFlag> earths = new ArrayList<>();
    private final List<Jump> jumps = new ArrayList<>();
    private final List<Label> labels = new ArrayList<>();
    private final List<Stroke> strokes = new ArrayList<>();
    private final LabelPlacer placer = new LabelPlacer();
    private final Router router;
    private int right;
    private final int bottom;

    private Layout(Design design, CircuitId circuit, Lettering lettering, DrawingOptions options) {
        this.design = design;
        this.circuit = circuit;
        this.lettering = lettering;
        this.placement = new Placement(design, circuit, options);
        setColumns();
        this.bottom =
                placement.spots.values().stream().mapToInt(Placement.Spot::bottom).max().orElse(0)
                        + 5;
        this.router = new Router(right + 16, bottom + 1, right - COLUMN_GAP + 1);
    }

    /** The drawing of a circuit; a circuit without wires has an empty one. */
    public static Diagram of(Design design, CircuitId circuit, Lettering lettering) {
        return of(design, circuit, lettering, DrawingOptions.PLAIN);
    }

    /** The drawing of a circuit in a manner. */
    public static Diagram of(
            Design design, CircuitId circuit, Lettering lettering, DrawingOptions options) {
        design.circuit(circuit);
        return new Layout(design, circuit, lettering, options).draw();
    }

    private void setColumns() {
        int left = MARGIN;
        for (int i = 0; i < placement.columns.size(); i++) {
            left += hasJumps(i) ? JUMP_ROOM : 0;
            lefts.add(left);
            left += placement.columns.get(i).width() + COLUMN_GAP;
        }
        right = left;
    }

    private boolean hasJumps(int column) {
        return placement.spots.values().stream()
                .filter(spot -> spot.column() == column)
                .anyMatch(spot ->
                        spot.outline().seats().stream()
                                .anyMatch(seat ->
                                        seat.side() == Side.LEFT
                                                && comesFromElsewhere(
                                                                spot.part().terminal(seat.pin()))
                                                        .isPresent()));
    }

    private Diagram draw() {
        router.block(0, right + 16, 0, HEAD_ROWS);
        placement.spots.values().forEach(this::body);
        placement.spots.values().forEach(this::wall);
        bodies.values().forEach(body -> placer.take(body.box()));
        placement.spots.values().forEach(this::name);
        placement.spots.values().forEach(this::jump);
        var drawn = new ArrayList<Wire>();
        for (var wire : placement.wires()) {
            if (!earthFlag(wire)) {
                drawn.add(wire);
            }
        }
        placement.spots.values().forEach(this::mount);
        drawn.sort(Comparator.comparingDouble(this::distance));
        drawn.forEach(this::stroke);
        strokes.forEach(stroke -> placer.take(stroke.points()));
        placement.spots.values().forEach(this::nameJoint);
        var byWire = new HashMap<Object, Stroke>();
        strokes.forEach(stroke -> byWire.put(stroke.wire(), stroke));
        for (var wire : placement.wires()) {
            labels.add(
                    placer.place(
                            byWire.get(wire.id()),
                            List.of(lettering.wire(wire), lettering.shortWire(wire)),
                            lettering));
        }
        double width = widest();
        double height = bottom * STEP;
        return new Diagram(
                circuit,
                width,
                height,
                bands(width),
                placement.spots.keySet().stream().map(bodies::get).toList(),
                strokes,
                earths,
                jumps,
                labels);
    }

    private double widest() {
        double width = right * STEP;
        for (var label : labels) {
            width = Math.max(width, label.box().right() + STEP);
        }
        for (var stroke : strokes) {
            for (var point : stroke.points()) {
                width = Math.max(width, point.x() + STEP);
            }
        }
        return width;
    }

    private int left(Placement.Spot spot) {
        int wide = placement.columns.get(spot.column()).width();
        int room = wide - spot.outline().width();
        return lefts.get(spot.column()) + (spot.aside() ? wide + ASIDE : room / 2);
    }

    private void body(Placement.Spot spot) {
        int left = left(spot);
        var outline = spot.outline();
        var pins =
                outline.seats().stream()
                        .map(seat ->
                                new Pin(
                                        seat.pin(),
                                        point(
                                                seat.side() == Side.RIGHT
                                                        ? left + outline.width()
                                                        : left,
                                                spot.top() + seat.row()),
                                        seat.side()))
                        .toList();
        var corner = point(left, spot.top());
        bodies.put(
                spot.part().id(),
                new Body(
                        spot.part().id(),
                        new Box(
                                corner.x(),
                                corner.y(),
                                outline.width() * STEP,
                                outline.height() * STEP),
                        pins));
    }

    private void wall(Placement.Spot spot) {
        int left = left(spot);
        if (spot.outline().width() > 0) {
            router.block(left, left + spot.outline().width(), spot.top(), spot.bottom() + 1);
            var box = bodies.get(spot.part().id()).box();
            placer.take(new Box(box.x(), box.bottom(), box.width(), CAPTION));
        }
    }

    private void name(Placement.Spot spot) {
        var box = bodies.get(spot.part().id()).box();
        if (isJoint(spot)) {
            return;
        }
        var text = lettering.part(spot.part());
        var place = new Box(box.x(), box.y() - NAME_HEIGHT - 3, lettering.width(text), NAME_HEIGHT);
        labels.add(new Label(new NamesPart(spot.part().id()), text, place, false));
        placer.take(place);
        int left = left(spot);
        router.block(left, (int) Math.ceil(place.right() / STEP), spot.top() - 1, spot.top() - 1);
    }

    private static boolean isJoint(Placement.Spot spot) {
        return spot.outline().width() == 0;
    }

    /** Names a joint where the wires around it leave room. */
    private void nameJoint(Placement.Spot spot) {
        if (isJoint(spot)) {
            var text = lettering.part(spot.part());
            var at = bodies.get(spot.part().id()).box();
            var near =
                    placer.around(
                            new Point(at.x(), at.y()),
                            List.of(text, spot.part().id().value()),
                            lettering,
                            NAME_HEIGHT);
            labels.add(new Label(new NamesPart(spot.part().id()), near.text(), near.box(), false));
        }
    }

    /** The first wire of another circuit at a pin that no wire of this one reaches. */
    private Optional<Wire> comesFromElsewhere(Terminal terminal) {
        var here = design.wiresAt(terminal);
        return here.stream().anyMatch(wire -> wire.circuit().equals(circuit))
                ? Optional.empty()
                : here.stream().findFirst();
    }

    private void jump(Placement.Spot spot) {
        boolean works = placement.columns.get(spot.column()).lane() == Lane.WORK;
        for (var pin : bodies.get(spot.part().id()).pins()) {
            boolean shown = pin.side() == Side.LEFT || pin.side() == Side.RIGHT && works;
            if (shown) {
                var terminal = spot.part().terminal(pin.name());
                comesFromElsewhere(terminal).ifPresent(wire -> jump(pin, terminal, wire));
            }
        }
    }

    private void jump(Pin pin, Terminal terminal, Wire wire) {
        int direction = pin.side() == Side.LEFT ? -1 : 1;
        jumps.add(new Jump(terminal, wire.id(), wire.circuit(), pin.at(), pin.side()));
        int column = (int) Math.round(pin.at().x() / STEP);
        int row = (int) Math.round(pin.at().y() / STEP);
        int far = column + direction * (JUMP_ROOM - 1);
        router.block(Math.min(column, far), Math.max(column, far), row, row);
        double left = pin.at().x() + (direction < 0 ? -JUMP_ROOM * STEP : 0);
        placer.take(new Box(left, pin.at().y() - STEP, JUMP_ROOM * STEP, 2 * STEP));
    }

    /**
     * Draws a wire that ends at an earth point as a stub with a sign; false when it is no such
     * wire.
     */
    private boolean earthFlag(Wire wire) {
        boolean toEarth = isEarthEnd(wire, wire.to().terminal());
        boolean fromEarth = isEarthEnd(wire, wire.from().terminal());
        if (!toEarth && !fromEarth) {
            return false;
        }
        var pin = toEarth ? wire.from().terminal() : wire.to().terminal();
        var earth = (toEarth ? wire.to() : wire.from()).terminal().part();
        var flag = flag(pin, earth, Optional.of(wire), isLast(pin) ? STUB : SHORT_STUB);
        var points = List.of(flag.from(), flag.at());
        strokes.add(new Stroke(wire.id(), toEarth ? points : points.reversed(), List.of()));
        return true;
    }

    /** An earth point that is not drawn, or is not drawn for this wire. */
    private boolean isEarthEnd(Wire wire, Terminal end) {
        return !bodies.containsKey(end.part())
                || placement.isFlag(wire) && Placement.isEarth(design.part(end.part()));
    }

    private void mount(Placement.Spot spot) {
        spot.part()
                .mount()
                .ifPresent(earth ->
                        spot.outline().seats().stream()
                                .filter(seat ->
                                        spot.part()
                                                .kind()
                                                .casePin()
                                                .equals(Optional.of(seat.pin())))
                                .forEach(seat ->
                                        flag(
                                                spot.part().terminal(seat.pin()),
                                                earth,
                                                Optional.empty(),
                                                1)));
    }

    private EarthFlag flag(Terminal pin, PartId earth, Optional<Wire> wire, int stub) {
        var body = bodies.get(pin.part());
        var seat = body.pin(pin.pin()).orElseThrow();
        long earlier = earths.stream().filter(flag -> flag.pin().equals(pin)).count();
        int direction = seat.side() == Side.LEFT ? -1 : 1;
        double y = seat.at().y() + earlier * 2 * STEP;
        var from = new Point(seat.at().x(), y);
        var at = new Point(from.x() + direction * stub * STEP, y);
        var flag = new EarthFlag(wire.map(Wire::id), pin, earth, from, at);
        earths.add(flag);
        var text = isLast(pin) ? lettering.earth(earth) : earth.value();
        double width = lettering.width(text);
        double aside = wire.isPresent() && isLast(pin) ? 6 : stub * STEP - 4;
        double x = from.x() + (direction > 0 ? aside : -aside - width);
        double under = wire.isPresent() && isLast(pin) ? 4 : 9;
        var box = new Box(x, y + under, width, NAME_HEIGHT - 2);
        labels.add(new Label(new NamesEarth(earth), text, box, false));
        placer.take(box);
        placer.take(new Box(Math.min(at.x(), at.x() + direction * SIGN), y - 9, SIGN, 18));
        int near = (int) Math.round(seat.at().x() / STEP);
        int far = (int) Math.round(at.x() / STEP) + direction;
        int row = (int) Math.round(y / STEP);
        router.block(Math.min(near, far), Math.max(near, far), row, row + 1);
        router.block(
                (int) Math.ceil(box.x() / STEP),
                (int) Math.floor(box.right() / STEP),
                row + 1,
                row + 1);
        return flag;
    }

    private boolean isLast(Terminal pin) {
        return placement.spots.get(pin.part()).column() == placement.columns.size() - 1;
    }

    private double distance(Wire wire) {
        var from = pin(wire.from().terminal());
        var to = pin(wire.to().terminal());
        return Math.abs(from.at().x() - to.at().x()) + 1.5 * Math.abs(from.at().y() - to.at().y());
    }

    private Pin pin(Terminal terminal) {
        return bodies.get(terminal.part()).pin(terminal.pin()).orElseThrow();
    }

    private void stroke(Wire wire) {
        var from = pin(wire.from().terminal());
        var to = pin(wire.to().terminal());
        var start = new Router.Anchor(wire.from().terminal(), beside(from), true);
        var goal = new Router.Anchor(wire.to().terminal(), beside(to), to.side() != Side.ALL);
        var points = new ArrayList<Point>();
        var dots = new ArrayList<Point>();
        var way = router.route(start, goal);
        if (way.isEmpty()) {
            points.addAll(List.of(from.at(), new Point(from.at().x(), to.at().y()), to.at()));
        } else {
            var nodes =
                    way.get().nodes().stream()
                            .map(node -> point(node.column(), node.row()))
                            .toList();
            if (way.get().startsOnTrunk()) {
                dots.add(nodes.getFirst());
            } else {
                points.add(from.at());
            }
            points.addAll(nodes);
            if (way.get().endsOnTrunk()) {
                dots.add(nodes.getLast());
            } else {
                points.add(to.at());
            }
        }
        strokes.add(new Stroke(wire.id(), corners(points), dots));
    }

    private Router.Node beside(Pin pin) {
        int column = (int) Math.round(pin.at().x() / STEP);
        int row = (int) Math.round(pin.at().y() / STEP);
        int shift =
                switch (pin.side()) {
                    case LEFT -> -1;
                    case RIGHT -> 1;
                    case ALL -> 0;
                };
        return new Router.Node(column + shift, row);
    }

    /** The points where a line turns, and its ends. */
    private static List<Point> corners(List<Point> points) {
        var kept = new ArrayList<Point>();
        for (int i = 0; i < points.size(); i++) {
            boolean inner = i > 0 && i < points.size() - 1;
            if (inner && straight(points.get(i - 1), points.get(i), points.get(i + 1))) {
                continue;
            }
            if (kept.isEmpty() || !kept.getLast().equals(points.get(i))) {
                kept.add(points.get(i));
            }
        }
        if (kept.size() == 1) {
            kept.add(kept.getFirst());
        }
        return kept;
    }

    private static boolean straight(Point a, Point b, Point c) {
        return (a.x() == b.x() && b.x() == c.x()) || (a.y() == b.y() && b.y() == c.y());
    }

    private List<Band> bands(double width) {
        var bands = new ArrayList<Band>();
        double left = 0;
        for (int i = 0; i < placement.columns.size(); i++) {
            boolean ends =
                    i == placement.columns.size() - 1
                            || placement.columns.get(i + 1).lane()
                                    != placement.columns.get(i).lane();
            if (ends) {
                double end =
                        (lefts.get(i) + placement.columns.get(i).width() + COLUMN_GAP / 2.0) * STEP;
                double stop = i == placement.columns.size() - 1 ? end - STEP : end;
                bands.add(new Band(placement.columns.get(i).lane(), left, stop - left));
                left = stop;
            }
        }
        if (!bands.isEmpty() && bands.getLast().lane() == Lane.RETURN) {
            left = bands.removeLast().x();
        }
        bands.add(new Band(Lane.RETURN, left, Math.max(0, width - left)));
        return bands;
    }

    private static Point point(int column, int row) {
        return new Point(column * STEP, row * STEP);
    }
}
