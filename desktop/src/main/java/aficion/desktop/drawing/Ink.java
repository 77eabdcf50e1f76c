package aficion.desktop.drawing;

import aficion.desktop.theme.Theme;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Pen;
import aficion.words.DrawingWords;
import java.util.List;
import java.util.Locale;
import java.util.stream.DoubleStream;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.shape.Arc;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.Shape;
import javafx.scene.text.Text;

/** The marks of a drawing as the screen shows them. Looks come from the style sheet. */
public final class Ink {
    private static final List<Double> TRACER = List.of(9.0, 7.0);

    private Ink() {}

    /** Marks as they are shown. */
    public static List<Node> of(List<Mark> marks) {
        return marks.stream().map(Ink::of).toList();
    }

    /** A mark as it is shown. */
    public static Node of(Mark mark) {
        return switch (mark) {
            case Mark.Line(var points, var pen) -> dressed(through(points), pen);
            case Mark.Area(var points, var pen) -> dressed(new Polygon(corners(points)), pen);
            case Mark.Plate(var box, var corner, var pen) -> {
                var plate = new Rectangle(box.x(), box.y(), box.width(), box.height());
                plate.setArcWidth(2 * corner);
                plate.setArcHeight(2 * corner);
                yield dressed(plate, pen);
            }
            case Mark.Ring(var at, var radius, var pen) ->
                    dressed(new Circle(at.x(), at.y(), radius), pen);
            case Mark.Arch(var at, var across, var up, var pen) ->
                    dressed(new Arc(at.x(), at.y(), across, up, 0, 180), pen);
            case Mark.Word(var at, var anchor, var phrase, var pen) -> {
                var words = anchored(at.x(), at.y(), DrawingWords.say(phrase), anchor);
                words.getStyleClass().addAll(styles(pen));
                yield words;
            }
        };
    }

    private static Shape through(List<Point> points) {
        return points.size() == 2
                ? new Line(
                        points.getFirst().x(),
                        points.getFirst().y(),
                        points.getLast().x(),
                        points.getLast().y())
                : new Polyline(corners(points));
    }

    private static double[] corners(List<Point> points) {
        return points.stream().flatMapToDouble(at -> DoubleStream.of(at.x(), at.y())).toArray();
    }

    private static Shape dressed(Shape shape, Pen pen) {
        shape.getStyleClass().addAll(styles(pen));
        pen.colour().map(Theme::colour).ifPresent(shape::setStroke);
        if (pen.ink() == Pen.Ink.TRACER) {
            shape.getStrokeDashArray().addAll(TRACER);
        }
        if (pen.ink() == Pen.Ink.HOLLOW) {
            shape.setFill(null);
        }
        return shape;
    }

    /** What the style sheet knows a pen by. */
    private static List<String> styles(Pen pen) {
        var look =
                pen.look() == Pen.Look.PLAIN
                        ? ""
                        : " " + pen.look().name().toLowerCase(Locale.ROOT);
        var ink =
                switch (pen.ink()) {
                    case LINE -> "line";
                    case THIN -> "line thin";
                    case SHAPE -> "shape";
                    case HOLLOW -> "shape";
                    case SEAT -> "seat";
                    case SOLID -> "solid";
                    case BODY -> "body";
                    case CASE -> "case";
                    case CORE -> "core";
                    case TRACER -> "tracer";
                    case TRUNK_CASE -> "trunk-case";
                    case TRUNK_CORE -> "trunk-core";
                    case DOT -> "dot";
                    case EARTH -> "earth-sign";
                    case JUMP -> "jump";
                    case TEXT -> "drawing-text";
                    case PIN -> "drawing-text pin";
                    case BACK -> "label-back";
                    case CURVE -> "curve";
                    case GROUND -> "ground";
                    case GRID -> "grid";
                    case MARKER -> "marker";
                };
        return List.of((ink + look).split(" "));
    }

    public static Line line(double x1, double y1, double x2, double y2, String... styles) {
        var line = new Line(x1, y1, x2, y2);
        line.getStyleClass().add("line");
        line.getStyleClass().addAll(styles);
        return line;
    }

    public static Circle circle(double x, double y, double radius, String... styles) {
        var circle = new Circle(x, y, radius);
        circle.getStyleClass().add("shape");
        circle.getStyleClass().addAll(styles);
        return circle;
    }

    public static Rectangle box(double x, double y, double width, double height, String... styles) {
        var box = new Rectangle(x, y, width, height);
        box.getStyleClass().add("shape");
        box.getStyleClass().addAll(styles);
        return box;
    }

    public static Polyline polyline(List<Point> points, String... styles) {
        var polyline = new Polyline();
        points.forEach(point -> polyline.getPoints().addAll(point.x(), point.y()));
        polyline.getStyleClass().addAll(styles);
        return polyline;
    }

    /** A text by its left edge and the middle of its height. */
    public static Text text(double x, double y, String words, String... styles) {
        var text = anchored(x, y, words, Mark.Anchor.LEFT);
        text.getStyleClass().add("drawing-text");
        text.getStyleClass().addAll(styles);
        return text;
    }

    /** A text centred on a point. */
    public static Text centred(double x, double y, String words, String... styles) {
        var text = anchored(x, y, words, Mark.Anchor.MIDDLE);
        text.getStyleClass().add("drawing-text");
        text.getStyleClass().addAll(styles);
        return text;
    }

    private static Text anchored(double x, double y, String words, Mark.Anchor anchor) {
        double share =
                switch (anchor) {
                    case LEFT -> 0;
                    case MIDDLE -> 0.5;
                    case RIGHT -> 1;
                };
        var text = new Text(x, y, words);
        text.setTextOrigin(VPos.CENTER);
        if (share > 0) {
            text.layoutBoundsProperty()
                    .addListener((_, _, bounds) -> text.setX(x - share * bounds.getWidth()));
            text.setX(x - share * text.getLayoutBounds().getWidth());
        }
        return text;
    }
}
