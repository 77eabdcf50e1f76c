package aficion.plot;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase;
import aficion.ignite.Marks;
import aficion.job.Damper;
import aficion.job.Panel;
import aficion.quantity.Metres;
import aficion.shape.Chords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Shapes at full size, to be printed, cut out and laid on: the outline first, then all that is on
 * it.
 *
 * @param wide of the drawing, in its units
 * @param high of the drawing
 */
public record FullSize(double wide, double high, List<Mark> marks) {
    /** Drawing units for each metre: half a millimetre each. */
    public static final double UNITS = 2000;

    private static final double TAPE = units(0.024);
    private static final double TAB = units(0.012);
    private static final double EDGE = units(0.006);
    private static final double CROSS = units(0.003);
    private static final double ARROW = units(0.012);

    /** Every other name stands a line lower, so that neighbours do not run into each other. */
    private static final double LINE = 14;

    public FullSize {
        marks = List.copyOf(marks);
    }

    private static double units(double metres) {
        return metres * UNITS;
    }

    private static double units(Metres metres) {
        return units(metres.value());
    }

    /**
     * A tape that goes once round a damper, to be read from above, standing where the engine is
     * read from, with its dead centre, its marks, an arrow as the rim moves, and a tab to stick it
     * together by. The rim of a damper that turns clockwise moves to the right there; what passes
     * the pointer before dead centre does lies ahead of it, to the right.
     */
    public static FullSize tape(Damper damper) {
        double round = units(Marks.round(damper));
        double wide = round + TAB + 2 * EDGE;
        double high = TAPE + 2 * EDGE;
        double zero = EDGE + round / 2;
        double ahead = damper.clockwise() ? 1 : -1;
        var marks = new ArrayList<Mark>();
        marks.add(new Mark.Plate(new Box(0, 0, wide, high), 0, Pen.of(Ink.HOLLOW)));
        marks.add(new Mark.Plate(new Box(EDGE, EDGE, round, TAPE), 0, Pen.of(Ink.HOLLOW)));
        marks.add(
                new Mark.Plate(
                        new Box(EDGE + round, EDGE, TAB, TAPE), 0, Pen.of(Ink.HOLLOW, Look.DIM)));
        tick(marks, zero, TAPE, "0");
        for (double degrees : damper.degrees()) {
            if (degrees != 0) {
                double way = units(Marks.arc(damper.diameter(), degrees));
                tick(marks, zero + ahead * way, 0.6 * TAPE, degrees(degrees));
            }
        }
        marks.addAll(arrow(zero - ahead * ARROW, zero - ahead * 3 * ARROW, ahead));
        return new FullSize(wide, high, marks);
    }

    /** An arrow along the tape, behind dead centre. */
    private static List<Mark> arrow(double tip, double tail, double ahead) {
        double y = EDGE + TAPE / 4;
        return List.of(
                new Mark.Line(List.of(new Point(tail, y), new Point(tip, y)), Pen.of(Ink.EARTH)),
                new Mark.Line(
                        List.of(
                                new Point(tip - ahead * CROSS, y - CROSS),
                                new Point(tip, y),
                                new Point(tip - ahead * CROSS, y + CROSS)),
                        Pen.of(Ink.EARTH)));
    }

    private static String degrees(double degrees) {
        boolean whole = degrees == Math.rint(degrees);
        return String.format(Locale.ROOT, whole ? "%.0f" : "%.1f", degrees) + "\u00b0";
    }

    private static void tick(List<Mark> marks, double x, double high, String words) {
        marks.add(
                new Mark.Line(
                        List.of(new Point(x, EDGE), new Point(x, EDGE + high)), Pen.of(Ink.LINE)));
        marks.add(
                new Mark.Word(
                        new Point(x + 3, EDGE + TAPE - 8),
                        Anchor.LEFT,
                        new Phrase.Plain(words),
                        Pen.of(Ink.TEXT)));
    }

    /** A panel with its holes, a cross in the middle of each, its name and its bore. */
    public static FullSize panel(Panel panel) {
        double wide = units(panel.width());
        double high = units(panel.height());
        var marks = new ArrayList<Mark>();
        marks.add(new Mark.Plate(new Box(0, 0, wide, high), 0, Pen.of(Ink.HOLLOW)));
        int lower = 0;
        for (var hole : panel.holes()) {
            var at = new Point(units(hole.x()), high - units(hole.y()));
            double half = units(hole.diameter()) / 2;
            marks.add(new Mark.Ring(at, half, Pen.of(Ink.HOLLOW)));
            cross(marks, at);
            var says =
                    hole.name()
                            + "  "
                            + String.format(Locale.ROOT, "%.1f mm", 1000 * hole.diameter().value());
            marks.add(
                    new Mark.Word(
                            new Point(at.x(), at.y() + half + 9 + LINE * (lower++ % 2)),
                            Anchor.MIDDLE,
                            new Phrase.Plain(says),
                            Pen.of(Ink.TEXT)));
        }
        return new FullSize(wide, high, marks);
    }

    private static void cross(List<Mark> marks, Point at) {
        marks.add(
                new Mark.Line(
                        List.of(
                                new Point(at.x() - CROSS, at.y()),
                                new Point(at.x() + CROSS, at.y())),
                        Pen.of(Ink.LINE)));
        marks.add(
                new Mark.Line(
                        List.of(
                                new Point(at.x(), at.y() - CROSS),
                                new Point(at.x(), at.y() + CROSS)),
                        Pen.of(Ink.LINE)));
    }

    /** A shaft from its end, its marks numbered in the order they are struck. */
    public static FullSize shaft(Chords chords) {
        double across = units(chords.diameter());
        double side = across + 6 * EDGE;
        var middle = new Point(side / 2, side / 2);
        var marks = new ArrayList<Mark>();
        marks.add(new Mark.Plate(new Box(0, 0, side, side), 0, Pen.of(Ink.HOLLOW)));
        marks.add(new Mark.Ring(middle, across / 2, Pen.of(Ink.HOLLOW)));
        cross(marks, middle);
        for (int i = 0; i < chords.marks().size(); i++) {
            var mark = chords.marks().get(i);
            var at = on(middle, across / 2, mark.degrees());
            marks.add(
                    new Mark.Line(
                            List.of(
                                    on(middle, across / 2 - 8, mark.degrees()),
                                    on(middle, across / 2 + 8, mark.degrees())),
                            Pen.of(Ink.LINE)));
            if (i > 0) {
                var from =
                        chords.marks().stream()
                                .filter(each -> each.place() == mark.from())
                                .findFirst()
                                .orElseThrow();
                marks.add(
                        new Mark.Line(
                                List.of(on(middle, across / 2, from.degrees()), at),
                                Pen.of(Ink.THIN)));
            }
            marks.add(
                    new Mark.Word(
                            on(middle, across / 2 + 18, mark.degrees()),
                            Anchor.MIDDLE,
                            new Phrase.Plain(String.valueOf(i + 1)),
                            Pen.of(Ink.TEXT, mark.back() ? Look.DIM : Look.PLAIN)));
        }
        return new FullSize(side, side, marks);
    }

    private static Point on(Point middle, double radius, double degrees) {
        double angle = Math.toRadians(degrees);
        return new Point(
                middle.x() + radius * Math.sin(angle), middle.y() - radius * Math.cos(angle));
    }
}
