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

    /** The edge that words are anchored by. */
    enum Anchor {
        LEFT,
        MIDDLE,
        RIGHT
    }
}
