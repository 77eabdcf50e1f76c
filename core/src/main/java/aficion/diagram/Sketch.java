package aficion.diagram;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Plain;
import aficion.diagram.Phrase.Said;
import aficion.diagram.Phrase.Saying;
import aficion.job.Part;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What every symbol is drawn with: a part's body, where its pins are, and what flows there. */
abstract class Sketch {
    final Part part;
    final Body body;
    final Optional<OperatingPoint> point;
    private final List<Mark> marks = new ArrayList<>();

    Sketch(Part part, Body body, Optional<OperatingPoint> point) {
        this.part = part;
        this.body = body;
        this.point = point;
    }

    List<Mark> marks() {
        return List.copyOf(marks);
    }

    Point pin(String name) {
        return body.pin(name).map(pin -> pin.at()).orElse(new Point(body.box().x(), middle()));
    }

    double middle() {
        return body.box().y() + body.box().height() / 2;
    }

    double centre() {
        return body.box().x() + body.box().width() / 2;
    }

    boolean flows(String role) {
        return point.flatMap(solved -> solved.through(part.id(), role))
                .map(amps -> Math.abs(amps.value()) >= Picture.LEAST_LIVE)
                .orElse(false);
    }

    static Look live(boolean flows) {
        return flows ? Look.LIVE : Look.PLAIN;
    }

    static Phrase said(Saying saying) {
        return new Said(saying);
    }

    void line(double x1, double y1, double x2, double y2) {
        line(x1, y1, x2, y2, Look.PLAIN);
    }

    void line(double x1, double y1, double x2, double y2, Look look) {
        polyline(List.of(new Point(x1, y1), new Point(x2, y2)), look);
    }

    void polyline(List<Point> points, Look look) {
        marks.add(new Mark.Line(points, Pen.of(Ink.LINE, look)));
    }

    void thin(double x1, double y1, double x2, double y2) {
        var points = List.of(new Point(x1, y1), new Point(x2, y2));
        marks.add(new Mark.Line(points, Pen.of(Ink.THIN)));
    }

    void join(Point from, Point to, boolean flows) {
        polyline(List.of(from, to), live(flows));
    }

    void circle(double x, double y, double radius) {
        circle(x, y, radius, Look.PLAIN);
    }

    void circle(double x, double y, double radius, Look look) {
        marks.add(new Mark.Ring(new Point(x, y), radius, Pen.of(Ink.SHAPE, look)));
    }

    /** A contact. */
    void seat(double x, double y) {
        marks.add(new Mark.Ring(new Point(x, y), 3, Pen.of(Ink.SEAT)));
    }

    void box(double x, double y, double width, double height) {
        box(x, y, width, height, Look.PLAIN);
    }

    void box(double x, double y, double width, double height, Look look) {
        marks.add(new Mark.Plate(new Box(x, y, width, height), 0, Pen.of(Ink.SHAPE, look)));
    }

    /** A box that what it lies on runs through. */
    void hollow(double x, double y, double width, double height, Look look) {
        marks.add(new Mark.Plate(new Box(x, y, width, height), 0, Pen.of(Ink.HOLLOW, look)));
    }

    void area(Point... points) {
        marks.add(new Mark.Area(List.of(points), Pen.of(Ink.SHAPE)));
    }

    /** A triangle that points to the right. */
    void triangle(double x, double y) {
        area(new Point(x - 8, y - 7), new Point(x - 8, y + 7), new Point(x + 6, y));
    }

    void arch(double x, double y, double across, double up, Look look) {
        marks.add(new Mark.Arch(new Point(x, y), across, up, Pen.of(Ink.LINE, look)));
    }

    void solid(double x, double y, double radius) {
        marks.add(new Mark.Ring(new Point(x, y), radius, Pen.of(Ink.SOLID)));
    }

    void add(List<Mark> more) {
        marks.addAll(more);
    }

    void centred(double x, double y, String words) {
        centred(x, y, new Plain(words), Look.PLAIN);
    }

    void centred(double x, double y, String words, Look look) {
        centred(x, y, new Plain(words), look);
    }

    void centred(double x, double y, Phrase words, Look look) {
        word(new Point(x, y), Anchor.MIDDLE, words, Pen.of(Ink.TEXT, look));
    }

    void text(double x, double y, Phrase words, Look look) {
        word(new Point(x, y), Anchor.LEFT, words, Pen.of(Ink.TEXT, look));
    }

    private void word(Point at, Anchor anchor, Phrase words, Pen pen) {
        marks.add(new Mark.Word(at, anchor, words, pen));
    }

    void pinNames() {
        body.pins().forEach(pin -> pinName(pin.name(), pin.at()));
    }

    void pinName(String name, Point at) {
        body.pin(name)
                .ifPresent(pin -> {
                    boolean left = pin.side() == Side.LEFT;
                    word(
                            new Point(at.x() + (left ? 4 : -4), at.y() - 8),
                            left ? Anchor.LEFT : Anchor.RIGHT,
                            new Plain(name),
                            Pen.of(Ink.PIN));
                });
    }

    /** A box with words under it and its pins named inside. */
    void boxed(String words) {
        boxed(new Plain(words));
    }

    void boxed(Phrase words) {
        pinNames();
        centred(centre(), body.box().bottom() + 9, words, Look.DIM);
    }
}
