package aficion.desktop.board;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.Rectangle2D;
import javafx.scene.shape.Line;

/** Where words still have room on a board. */
final class Room {
    private static final double STEP = 8;
    private static final double[] SHARES = {0.5, 0.38, 0.62, 0.26, 0.74};

    private final List<Rectangle2D> taken = new ArrayList<>();

    void take(Rectangle2D box) {
        taken.add(box);
    }

    /** Takes what a line of some thickness covers. */
    void take(double x1, double y1, double x2, double y2, double thick) {
        int steps = (int) Math.max(1, Math.hypot(x2 - x1, y2 - y1) / STEP);
        for (int i = 0; i <= steps; i++) {
            double x = x1 + (x2 - x1) * i / steps;
            double y = y1 + (y2 - y1) * i / steps;
            take(new Rectangle2D(x - thick / 2, y - thick / 2, thick, thick));
        }
    }

    /** A place beside a line, near its middle, that is taken from then on. */
    Rectangle2D beside(Line line, double thick, double wide, double high) {
        double dx = line.getEndX() - line.getStartX();
        double dy = line.getEndY() - line.getStartY();
        double length = Math.max(1, Math.hypot(dx, dy));
        double away = Math.abs(dy) / length * wide / 2 + Math.abs(dx) / length * high / 2;
        var places = new ArrayList<Rectangle2D>();
        for (double share : SHARES) {
            for (int side : new int[] {-1, 1}) {
                double off = side * (thick / 2 + 3 + away);
                double x = line.getStartX() + dx * share - dy / length * off;
                double y = line.getStartY() + dy * share + dx / length * off;
                places.add(new Rectangle2D(x - wide / 2, y - high / 2, wide, high));
            }
        }
        return best(places.stream());
    }

    /** A place around a point, within a width, that is taken from then on. */
    Rectangle2D around(double x, double y, double wide, double high, double width) {
        var places = new ArrayList<Rectangle2D>();
        for (double far : new double[] {12, 20, 30, 42, 56, 72}) {
            places.add(new Rectangle2D(x + far, y - high / 2, wide, high));
            places.add(new Rectangle2D(x - far - wide, y - high / 2, wide, high));
            places.add(new Rectangle2D(x + far / 2, y + far, wide, high));
            places.add(new Rectangle2D(x + far / 2, y - far - high, wide, high));
            places.add(new Rectangle2D(x - wide / 2, y + far + 4, wide, high));
            places.add(new Rectangle2D(x - wide / 2, y - far - 4 - high, wide, high));
            places.add(new Rectangle2D(x - far / 2 - wide, y + far, wide, high));
            places.add(new Rectangle2D(x - far / 2 - wide, y - far - high, wide, high));
        }
        return best(
                places.stream().filter(box -> box.getMinX() >= 2 && box.getMaxX() <= width - 2));
    }

    private Rectangle2D best(Stream<Rectangle2D> places) {
        var place =
                places.min(Comparator.comparingDouble(this::covered))
                        .orElse(new Rectangle2D(0, 0, 0, 0));
        taken.add(place);
        return place;
    }

    private double covered(Rectangle2D box) {
        double area = 0;
        for (var other : taken) {
            double wide =
                    Math.min(box.getMaxX(), other.getMaxX())
                            - Math.max(box.getMinX(), other.getMinX());
            double high =
                    Math.min(box.getMaxY(), other.getMaxY())
                            - Math.max(box.getMinY(), other.getMinY());
            area += wide > 0 && high > 0 ? wide * high : 0;
        }
        return area;
    }
}
