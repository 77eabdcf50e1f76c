package aficion.files.sheet;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.words.DrawingWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Marks as DXF in millimetres, y upwards, for a cutter or a plotter: an ASCII file of release 12
 * (group codes after the published DXF reference), a layer for each sort of ink.
 */
public final class Dxf {
    private static final int CLOSED = 1;

    /** An arch is drawn by as many straight lines. */
    private static final int FACETS = 16;

    private final StringBuilder text = new StringBuilder();
    private final double high;
    private final double millimetre;

    private Dxf(double high, double millimetre) {
        this.high = high;
        this.millimetre = millimetre;
    }

    /**
     * @param high of the drawing, in its units
     * @param millimetre units of the drawing for each millimetre
     */
    public static String of(List<Mark> marks, double high, double millimetre) {
        var dxf = new Dxf(high, millimetre);
        dxf.group(0, "SECTION");
        dxf.group(2, "HEADER");
        dxf.group(9, "$ACADVER");
        dxf.group(1, "AC1009");
        dxf.group(0, "ENDSEC");
        dxf.group(0, "SECTION");
        dxf.group(2, "ENTITIES");
        marks.forEach(dxf::mark);
        dxf.group(0, "ENDSEC");
        dxf.group(0, "EOF");
        return dxf.text.toString();
    }

    private void mark(Mark mark) {
        var layer = mark.pen().ink().name();
        switch (mark) {
            case Mark.Line(var points, _) -> through(points, layer, 0);
            case Mark.Area(var points, _) -> through(points, layer, CLOSED);
            case Mark.Plate(var box, _, var pen) -> {
                if (PrintPen.of(pen).strokes()) {
                    through(corners(box), layer, CLOSED);
                }
            }
            case Mark.Ring(var at, var radius, _) -> {
                entity("CIRCLE", layer);
                at(at);
                group(40, radius / millimetre);
            }
            case Mark.Arch(var at, var across, var up, _) ->
                    through(arch(at, across, up), layer, 0);
            case Mark.Word word -> word(word, layer);
        }
    }

    private static List<Point> corners(Box box) {
        return List.of(
                new Point(box.x(), box.y()),
                new Point(box.right(), box.y()),
                new Point(box.right(), box.bottom()),
                new Point(box.x(), box.bottom()));
    }

    private static List<Point> arch(Point at, double across, double up) {
        var points = new ArrayList<Point>();
        for (int i = 0; i <= FACETS; i++) {
            double angle = Math.PI * i / FACETS;
            points.add(new Point(at.x() - across * Math.cos(angle), at.y() - up * Math.sin(angle)));
        }
        return points;
    }

    private void through(List<Point> points, String layer, int closed) {
        entity("POLYLINE", layer);
        group(66, 1);
        at(new Point(0, high));
        group(70, closed);
        for (var point : points) {
            entity("VERTEX", layer);
            at(point);
        }
        entity("SEQEND", layer);
    }

    /** Words by their left or right edge, or their middle (groups 72 and 73). */
    private void word(Mark.Word word, String layer) {
        entity("TEXT", layer);
        at(word.at());
        group(40, PrintPen.of(word.pen()).size() / millimetre * 0.72);
        group(1, plain(DrawingWords.say(word.phrase())));
        group(72, word.anchor().ordinal());
        var at = word.at();
        group(11, at.x() / millimetre);
        group(21, (high - at.y()) / millimetre);
        group(31, 0.0);
        group(73, 2);
    }

    /** A text on one line, signs beyond ASCII as the format writes them. */
    private static String plain(String words) {
        var plain = new StringBuilder();
        words.codePoints()
                .filter(sign -> sign >= 0x20)
                .forEach(sign -> {
                    if (sign < 0x7F) {
                        plain.appendCodePoint(sign);
                    } else {
                        plain.append(String.format(Locale.ROOT, "\\U+%04X", sign));
                    }
                });
        return plain.toString();
    }

    private void entity(String name, String layer) {
        group(0, name);
        group(8, layer);
    }

    private void at(Point point) {
        group(10, point.x() / millimetre);
        group(20, (high - point.y()) / millimetre);
        group(30, 0.0);
    }

    private void group(int code, double value) {
        group(code, String.format(Locale.ROOT, "%.4f", value + 0.0));
    }

    private void group(int code, int value) {
        group(code, String.valueOf(value));
    }

    private void group(int code, String value) {
        text.append(code).append('\n').append(value).append('\n');
    }
}
