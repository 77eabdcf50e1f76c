package aficion.diagram;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.EarthFlag;
import aficion.diagram.Diagram.Jump;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.diagram.Diagram.Stroke;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Plain;
import aficion.diagram.VehicleDiagram.Trunk;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a path looks like, stroke by stroke: the one description that screen, sheet and file draw.
 */
public final class Picture {
    /** Currents below this do not show as live, amps. */
    public static final double LEAST_LIVE = 0.002;

    private static final double CORNER = 5;
    private static final double BARE = 7;
    private static final double DOT = 4.5;
    private static final double TAKE_OFF = 3.5;

    private Picture() {}

    /** A whole path with nothing switched on, from what lies lowest to what lies on top. */
    public static List<Mark> of(Design design, Diagram diagram) {
        var marks = new ArrayList<Mark>();
        diagram.earths().forEach(flag -> marks.addAll(earth(flag)));
        diagram.jumps().forEach(jump -> marks.addAll(jump(jump, design.wire(jump.wire()))));
        for (var stroke : diagram.strokes()) {
            marks.addAll(wire(stroke, design.wire(stroke.wire())));
        }
        diagram.labels().forEach(label -> marks.addAll(label(label)));
        for (var body : diagram.bodies()) {
            marks.addAll(part(design.part(body.part()), body));
        }
        return List.copyOf(marks);
    }

    private static List<Mark> part(Part part, Body body) {
        var marks = new ArrayList<Mark>(List.of(body(body)));
        marks.addAll(symbol(part, body, Optional.empty(), Conditions.REST));
        return marks;
    }

    /** The outline of a part; one that has no size is a spot. */
    public static Mark body(Body body) {
        var box = body.box();
        var pen = Pen.of(Ink.BODY);
        return box.width() > 0
                ? new Mark.Plate(box, CORNER, pen)
                : new Mark.Ring(new Point(box.x(), box.y()), BARE, pen);
    }

    /**
     * The inside of a part's body, after IEC 60617, in the state it is in: switches and relays
     * stand as they really stand, lamps glow as they glow.
     */
    public static List<Mark> symbol(
            Part part, Body body, Optional<OperatingPoint> point, Conditions conditions) {
        return Symbols.of(part, body, point, conditions);
    }

    /** A wire in its own colour and tracer, and where it meets others on its way. */
    public static List<Mark> wire(Stroke stroke, Wire wire) {
        var marks = new ArrayList<>(wire(stroke.points(), wire));
        stroke.dots().forEach(dot -> marks.add(new Mark.Ring(dot, DOT, Pen.of(Ink.DOT))));
        return marks;
    }

    /** A wire in its own colour and tracer through some points. */
    public static List<Mark> wire(List<Point> points, Wire wire) {
        var marks = new ArrayList<Mark>();
        marks.add(new Mark.Line(points, Pen.of(Ink.CASE)));
        marks.add(new Mark.Line(points, Pen.of(Ink.CORE, wire.colour().base())));
        wire.colour()
                .tracer()
                .ifPresent(tracer -> marks.add(new Mark.Line(points, Pen.of(Ink.TRACER, tracer))));
        return marks;
    }

    /** A feed that circuits share, with what takes off from it, named where it does not reach. */
    public static List<Mark> trunk(Trunk trunk, Wire wire) {
        var marks =
                new ArrayList<>(
                        feed(
                                wire,
                                new Point(trunk.x(), trunk.top()),
                                new Point(trunk.x(), trunk.bottom())));
        for (var takeOff : trunk.takeOffs()) {
            var from = new Point(trunk.x(), takeOff.y());
            marks.addAll(feed(wire, from, new Point(takeOff.to(), takeOff.y())));
            marks.add(new Mark.Ring(from, TAKE_OFF, Pen.of(Ink.DOT)));
            if (!takeOff.reaches()) {
                marks.add(
                        new Mark.Word(
                                new Point(takeOff.to() + 8, takeOff.y()),
                                Anchor.LEFT,
                                new Plain(trunk.terminal().toString()),
                                Pen.of(Ink.TEXT, Look.DIM)));
            }
        }
        return marks;
    }

    private static List<Mark> feed(Wire wire, Point from, Point to) {
        var way = List.of(from, to);
        return List.of(
                new Mark.Line(way, Pen.of(Ink.TRUNK_CASE)),
                new Mark.Line(way, Pen.of(Ink.TRUNK_CORE, wire.colour().base())));
    }

    /** The words at a wire, a part or an earth, with paper behind them where they cross a wire. */
    public static List<Mark> label(Label label) {
        var box = label.box();
        var middle = new Point(box.x() + 1, box.y() + box.height() / 2);
        var words = new Mark.Word(middle, Anchor.LEFT, new Plain(label.text()), Pen.of(Ink.TEXT));
        return label.backed()
                ? List.of(new Mark.Plate(box, 0, Pen.of(Ink.BACK)), words)
                : List.of(words);
    }

    /** The sign of earth, and the way to it from a case that is bolted down. */
    public static List<Mark> earth(EarthFlag flag) {
        double direction = flag.at().x() >= flag.from().x() ? 1 : -1;
        var marks = new ArrayList<Mark>();
        if (flag.wire().isEmpty()) {
            marks.add(new Mark.Line(List.of(flag.from(), flag.at()), Pen.of(Ink.EARTH)));
        }
        marks.addAll(earth(flag.at().x(), flag.at().y(), direction));
        return marks;
    }

    /** The sign of earth, its bars growing smaller to the right or the left. */
    public static List<Mark> earth(double x, double y, double direction) {
        var marks = new ArrayList<Mark>();
        for (int bar = 0; bar < 3; bar++) {
            double half = 8 - bar * 2.6;
            double at = x + direction * bar * 4;
            marks.add(
                    new Mark.Line(
                            List.of(new Point(at, y - half), new Point(at, y + half)),
                            Pen.of(Ink.EARTH)));
        }
        return marks;
    }

    /** The flag of a wire that goes on in another circuit, with its number. */
    public static List<Mark> jump(Jump jump, Wire wire) {
        double x = jump.at().x();
        double y = jump.at().y();
        int out = jump.side() == Side.LEFT ? -1 : 1;
        double tip = x + out * 2;
        double neck = x + out * 9;
        double end = x + out * 44;
        var shape =
                out < 0
                        ? List.of(
                                new Point(tip, y),
                                new Point(neck, y - 8),
                                new Point(end, y - 8),
                                new Point(end, y + 8),
                                new Point(neck, y + 8))
                        : List.of(
                                new Point(tip, y - 8),
                                new Point(end - 7, y - 8),
                                new Point(end, y),
                                new Point(end - 7, y + 8),
                                new Point(tip, y + 8));
        return List.of(
                new Mark.Area(shape, Pen.of(Ink.JUMP)),
                new Mark.Word(
                        new Point(out < 0 ? x - 41 : x + 6, y),
                        Anchor.LEFT,
                        new Plain(wire.number()),
                        Pen.of(Ink.TEXT, Look.DIM)));
    }
}
