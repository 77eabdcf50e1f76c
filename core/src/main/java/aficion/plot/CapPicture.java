package aficion.plot;

import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase;
import aficion.job.Cap;
import java.util.ArrayList;
import java.util.List;

/**
 * A distributor cap seen from above: its towers clockwise from the first, at the top; in each the
 * cylinder its lead goes to; the rotor, and which way it turns.
 */
public final class CapPicture {
    private static final double TOWER = 17;
    private static final double ARROW = 7;
    private static final int FACETS = 40;

    private CapPicture() {}

    /**
     * The cap within a square.
     *
     * @param halfOut whether the rotor stands half a turn out, as it must not
     */
    public static List<Mark> of(Cap cap, double size, boolean halfOut) {
        var marks = new ArrayList<Mark>();
        var look = halfOut ? Look.WRONG : Look.PLAIN;
        int points = halfOut ? cap.halfOut().first() : cap.first();
        double middle = size / 2;
        double rim = middle - 4;
        double ring = rim - TOWER - 6;
        marks.add(new Mark.Ring(new Point(middle, middle), rim, Pen.of(Ink.BODY)));
        var cylinders = cap.cylinders();
        int count = cylinders.size();
        var pointed = at(middle, ring - TOWER - 4, points - 1, count);
        marks.add(
                new Mark.Line(
                        List.of(new Point(middle, middle), pointed), Pen.of(Ink.CURVE, look)));
        marks.add(new Mark.Ring(new Point(middle, middle), 6, Pen.of(Ink.SOLID)));
        for (int tower = 0; tower < count; tower++) {
            var at = at(middle, ring, tower, count);
            marks.add(new Mark.Ring(at, TOWER, Pen.of(Ink.SHAPE)));
            marks.add(word(at, String.valueOf(cylinders.get(tower))));
            var outside = at(middle, ring - TOWER - 12, tower, count);
            if (tower + 1 != points) {
                marks.add(
                        new Mark.Word(
                                outside,
                                Anchor.MIDDLE,
                                new Phrase.Plain("t" + (tower + 1)),
                                Pen.of(Ink.PIN)));
            }
        }
        marks.addAll(turning(middle, 0.34 * ring, cap.clockwise()));
        return List.copyOf(marks);
    }

    private static Mark word(Point at, String words) {
        return new Mark.Word(at, Anchor.MIDDLE, new Phrase.Plain(words), Pen.of(Ink.TEXT));
    }

    private static Point at(double middle, double radius, int tower, int count) {
        return on(middle, radius, 2 * Math.PI * tower / count);
    }

    /** Clockwise from the top. */
    private static Point on(double middle, double radius, double angle) {
        return new Point(middle + radius * Math.sin(angle), middle - radius * Math.cos(angle));
    }

    /** An arrow round the middle. */
    private static List<Mark> turning(double middle, double radius, boolean clockwise) {
        var points = new ArrayList<Point>();
        double sign = clockwise ? 1 : -1;
        double far = 1.4 * Math.PI;
        for (int i = 0; i <= FACETS; i++) {
            points.add(on(middle, radius, sign * (0.3 * Math.PI + far * i / FACETS)));
        }
        double end = sign * (0.3 * Math.PI + far);
        var tip = points.getLast();
        double back = ARROW / radius * sign;
        return List.of(
                new Mark.Line(points, Pen.of(Ink.LINE)),
                new Mark.Line(
                        List.of(
                                on(middle, radius - ARROW / 1.5, end - back),
                                tip,
                                on(middle, radius + ARROW / 1.5, end - back)),
                        Pen.of(Ink.LINE)));
    }
}
