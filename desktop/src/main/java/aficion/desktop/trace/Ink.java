package aficion.desktop.trace;

import aficion.diagram.Diagram.Point;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.Group;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** The strokes every symbol is made of. Looks come from the style sheet. */
final class Ink {
    private Ink() {}

    static Line line(double x1, double y1, double x2, double y2, String... styles) {
        var line = new Line(x1, y1, x2, y2);
        line.getStyleClass().add("line");
        line.getStyleClass().addAll(styles);
        return line;
    }

    static Circle circle(double x, double y, double radius, String... styles) {
        var circle = new Circle(x, y, radius);
        circle.getStyleClass().add("shape");
        circle.getStyleClass().addAll(styles);
        return circle;
    }

    static Rectangle box(double x, double y, double width, double height, String... styles) {
        var box = new Rectangle(x, y, width, height);
        box.getStyleClass().add("shape");
        box.getStyleClass().addAll(styles);
        return box;
    }

    static Polyline polyline(List<Point> points, String... styles) {
        var polyline = new Polyline();
        points.forEach(point -> polyline.getPoints().addAll(point.x(), point.y()));
        polyline.getStyleClass().addAll(styles);
        return polyline;
    }

    /** The sign of earth, its bars growing smaller to the right or the left. */
    static Group earth(double x, double y, double direction) {
        var sign = new Group();
        for (int bar = 0; bar < 3; bar++) {
            double half = 8 - bar * 2.6;
            double at = x + direction * bar * 4;
            var line = line(at, y - half, at, y + half);
            line.getStyleClass().setAll("earth-sign");
            sign.getChildren().add(line);
        }
        return sign;
    }

    /** A text by its left edge and the middle of its height. */
    static Text text(double x, double y, String words, String... styles) {
        var text = new Text(x, y, words);
        text.setTextOrigin(VPos.CENTER);
        text.getStyleClass().add("drawing-text");
        text.getStyleClass().addAll(styles);
        return text;
    }

    /** A text centred on a point. */
    static Text centred(double x, double y, String words, String... styles) {
        var text = text(x, y, words, styles);
        text.layoutBoundsProperty()
                .addListener((_, _, bounds) -> text.setX(x - bounds.getWidth() / 2));
        text.setX(x - text.getLayoutBounds().getWidth() / 2);
        return text;
    }
}
