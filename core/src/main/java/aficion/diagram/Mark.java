package aficion.diagram;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import java.util.List;

/**
 * A stroke of the pen. Screen, sheet and file draw the same marks, in the units of a {@link
 * Diagram}.
 */
public sealed interface Mark {

    Pen pen();

    /** A line through points, its corners closed. */
    record Line(List<Point> points, Pen pen) implements Mark {
        public Line {
            points = List.copyOf(points);
        }
    }

    /** A closed shape. */
    record Area(List<Point> points, Pen pen) implements Mark {
        public Area {
            points = List.copyOf(points);
        }
    }

    /** An upright rectangle, its corners rounded by a radius. */
    record Plate(Box box, double corner, Pen pen) implements Mark {}

    /** A circle. */
    record Ring(Point at, double radius, Pen pen) implements Mark {}

    /** The upper half of an ellipse. */
    record Arch(Point at, double across, double up, Pen pen) implements Mark {}

    /**
     * Words.
     *
     * @param at the edge they are anchored by, and the middle of their height
     */
    record Word(Point at, Anchor anchor, Phrase phrase, Pen pen) implements Mark {}

    /** The same elsewhere, by so much to the right and down. */
    default Mark moved(double right, double down) {
        return switch (this) {
            case Line(var points, var pen) -> new Line(moved(points, right, down), pen);
            case Area(var points, var pen) -> new Area(moved(points, right, down), pen);
            case Plate(var box, var corner, var pen) ->
                    new Plate(
                            new Box(box.x() + right, box.y() + down, box.width(), box.height()),
                            corner,
                            pen);
            case Ring(var at, var radius, var pen) -> new Ring(moved(at, right, down), radius, pen);
            case Arch(var at, var across, var up, var pen) ->
                    new Arch(moved(at, right, down), across, up, pen);
            case Word(var at, var anchor, var phrase, var pen) ->
                    new Word(moved(at, right, down), anchor, phrase, pen);
        };
    }

    /** The same so many times as large; words keep their size. */
    default Mark scaled(double times) {
        return switch (this) {
            case Line(var points, var pen) -> new Line(scaled(points, times), pen);
            case Area(var points, var pen) -> new Area(scaled(points, times), pen);
            case Plate(var box, var corner, var pen) ->
                    new Plate(
                            new Box(
                                    box.x() * times,
                                    box.y() * times,
                                    box.width() * times,
                                    box.height() * times),
                            corner * times,
                            pen);
            case Ring(var at, var radius, var pen) ->
                    new Ring(scaled(at, times), radius * times, pen);
            case Arch(var at, var across, var up, var pen) ->
                    new Arch(scaled(at, times), across * times, up * times, pen);
            case Word(var at, var anchor, var phrase, var pen) ->
                    new Word(scaled(at, times), anchor, phrase, pen);
        };
    }

    private static List<Point> scaled(List<Point> points, double times) {
        return points.stream().map(at -> scaled(at, times)).toList();
    }

    private static Point scaled(Point at, double times) {
        return new Point(at.x() * times, at.y() * times);
    }

    private static List<Point> moved(List<Point> points, double right, double down) {
        return points.stream().map(at -> moved(at, right, down)).toList();
    }

    private static Point moved(Point at, double right, double down) {
        return new Point(at.x() + right, at.y() + down);
    }

    /** The edge that words are anchored by. */
    enum Anchor {
        LEFT,
        MIDDLE,
        RIGHT
    }
}
