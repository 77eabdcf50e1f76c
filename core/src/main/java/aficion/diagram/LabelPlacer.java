package aficion.diagram;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.NamesWire;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Stroke;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Finds room for the words on wires: over a level stroke, under it, beside an upright one, or
 * across the wire itself.
 */
final class LabelPlacer {
    private static final double HEIGHT = 13;
    private static final double LIFT = 5;
    private static final double CLEAR = 3.5;

    private final Shelves taken = new Shelves();
    private final Shelves lines = new Shelves();

    void take(Box box) {
        taken.add(box);
    }

    void take(List<Point> line) {
        for (int i = 1; i < line.size(); i++) {
            lines.add(around(line.get(i - 1), line.get(i)).grown(CLEAR));
        }
    }

    /** The label of a stroke: the long text where there is room for it, else the short one. */
    Label place(Stroke stroke, List<String> texts, Lettering lettering) {
        for (var text : texts) {
            var found = spots(stroke, lettering.width(text)).filter(this::isFree).findFirst();
            if (found.isPresent()) {
                return keep(stroke, text, found.get(), false);
            }
        }
        var text = texts.getLast();
        return keep(stroke, text, onTheWire(stroke, lettering.width(text)), true);
    }

    /** A text near a point and the box it fills. */
    record Near(String text, Box box) {}

    /**
     * A free place near a point for the first text that finds one: over it, under it, to either
     * side, as near as may be; over it and the last text when none does.
     */
    Near around(Point point, List<String> texts, Lettering lettering, double height) {
        for (var text : texts) {
            double width = lettering.width(text);
            var place = spots(point, width, height).filter(this::isFree).findFirst();
            if (place.isPresent()) {
                taken.add(place.get());
                return new Near(text, place.get());
            }
        }
        var text = texts.getLast();
        var place = leastInTheWay(spots(point, lettering.width(text), height).toList());
        taken.add(place);
        return new Near(text, place);
    }

    private static Stream<Box> spots(Point point, double width, double height) {
        var spots = new ArrayList<Box>();
        for (double near : new double[] {9, 13, 18, 24}) {
            for (double y : new double[] {point.y() - near - height, point.y() + near}) {
                for (double x :
                        new double[] {
                            point.x() - width / 2, point.x() + 9, point.x() - 9 - width
                        }) {
                    spots.add(new Box(Math.max(2, x), y, width, height));
                }
            }
        }
        return spots.stream();
    }

    private Label keep(Stroke stroke, String text, Box box, boolean backed) {
        taken.add(box);
        return new Label(new NamesWire(stroke.wire()), text, box, backed);
    }

    private boolean isFree(Box box) {
        return box.x() >= 0 && taken.isFree(box) && lines.isFree(box);
    }

    private static Stream<Box> spots(Stroke stroke, double width) {
        var level = new ArrayList<Box>();
        var upright = new ArrayList<Box>();
        for (int i = 1; i < stroke.points().size(); i++) {
            var from = stroke.points().get(i - 1);
            var to = stroke.points().get(i);
            if (from.y() == to.y()) {
                levelSpots(from, to, width, level);
            } else {
                uprightSpots(from, to, width, upright);
            }
        }
        return Stream.concat(level.stream(), upright.stream());
    }

    private static void levelSpots(Point from, Point to, double width, List<Box> spots) {
        double left = Math.min(from.x(), to.x());
        double length = Math.abs(from.x() - to.x());
        double over = from.y() - LIFT - HEIGHT;
        double under = from.y() + LIFT;
        for (double y : new double[] {over, under}) {
            for (double share : new double[] {0.5, 0, 1, 0.25, 0.75}) {
                spots.add(new Box(left + (length - width) * share, y, width, HEIGHT));
            }
        }
        for (double y : new double[] {over, under, over - LIFT, under + LIFT}) {
            for (double x : new double[] {left + 2, left + length - width - 2}) {
                for (double aside : new double[] {0, -10, 10, -18, 18, -26, 26}) {
                    spots.add(new Box(x + aside, y, width, HEIGHT));
                }
            }
        }
    }

    private static void uprightSpots(Point from, Point to, double width, List<Box> spots) {
        double top = Math.min(from.y(), to.y());
        double length = Math.abs(from.y() - to.y());
        for (double x : new double[] {from.x() + LIFT + 1, from.x() - LIFT - 1 - width}) {
            for (double share : new double[] {0.5, 0.25, 0.75, 0.1, 0.9, -0.2, 1.2}) {
                spots.add(new Box(x, top + length * share - HEIGHT / 2, width, HEIGHT));
            }
        }
    }

    /** Across the wire itself, where it meets the fewest others. */
    private Box onTheWire(Stroke stroke, double width) {
        var places = new ArrayList<Box>();
        for (int i = 1; i < stroke.points().size(); i++) {
            var line = around(stroke.points().get(i - 1), stroke.points().get(i));
            for (double share : new double[] {0.5, 0.25, 0.75, 0.1, 0.9}) {
                places.add(
                        new Box(
                                line.x() + line.width() * share - width / 2,
                                line.y() + line.height() * share - HEIGHT / 2,
                                width,
                                HEIGHT));
            }
        }
        return leastInTheWay(places);
    }

    /** Of some places the first that meets the fewest lines and the least of what stands there. */
    private Box leastInTheWay(List<Box> places) {
        return places.stream()
                .min(
                        Comparator.comparingInt(
                                box -> 2 * taken.overlapping(box) + lines.overlapping(box)))
                .orElseThrow();
    }

    static Box around(Point one, Point other) {
        return new Box(
                Math.min(one.x(), other.x()),
                Math.min(one.y(), other.y()),
                Math.abs(one.x() - other.x()),
                Math.abs(one.y() - other.y()));
    }
}
