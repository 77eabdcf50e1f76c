package aficion.desktop.trace;

import aficion.desktop.drawing.Ink;
import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Verb;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Stroke;
import aficion.diagram.Mark;
import aficion.diagram.Pen;
import aficion.diagram.Picture;
import aficion.job.Wire;
import aficion.quantity.Amps;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.paint.Color;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Text;

/**
 * A wire of the drawing in its own colour and tracer. Live, it has weight and ticks that run with
 * the current; chosen, it has a halo. Can be reached with the keyboard and says what it carries.
 */
final class WireNode extends Group {
    static final PseudoClass LIVE = PseudoClass.getPseudoClass("live");
    static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");

    /** Currents below this do not show as live, amps. */
    static final double LEAST_LIVE = Picture.LEAST_LIVE;

    private static final double TICK = 3;
    private static final double TICK_GAP = 13;
    private static final double PILL = 18;

    /** How far a figure stands from its wire where it has no room on it. */
    private static final double BESIDE = PILL / 2 + 5;

    private static final List<Double> SHARES = List.of(0.5, 0.25, 0.75);

    private final Wire wire;
    private final Stroke stroke;
    private final Label label;
    private final ToDoubleFunction<Box> covered;
    private final Polyline tick;
    private final Group pill = new Group();
    private final Group mark = new Group();
    private final Group told = new Group(mark, pill);
    private double direction;

    /**
     * @param covered how much of words and bodies a place covers
     */
    WireNode(Wire wire, Stroke stroke, Label label, ToDoubleFunction<Box> covered) {
        this.wire = wire;
        this.stroke = stroke;
        this.label = label;
        this.covered = covered;
        getStyleClass().add("wire");
        setId("wire-" + wire.number());
        setCursor(Cursor.HAND);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        var halo = Ink.polyline(stroke.points(), "halo");
        var paths = new Group();
        paths.getStyleClass().add("paths");
        var dots = new Group();
        for (var mark : Picture.wire(stroke, wire)) {
            (mark.pen().ink() == Pen.Ink.DOT ? dots : paths).getChildren().add(Ink.of(mark));
        }
        tick = Ink.polyline(stroke.points(), "tick");
        tick.getStrokeDashArray().addAll(TICK, TICK_GAP);
        tick.setStrokeLineCap(StrokeLineCap.BUTT);
        pencil(false);
        tick.setMouseTransparent(true);
        tick.setVisible(false);
        getChildren().addAll(halo, paths, dots);
        addLabel();
        told.setMouseTransparent(true);
    }

    /** The ticks that run along it; they lie on a layer of their own, so that all else can rest. */
    Polyline ticks() {
        return tick;
    }

    /** The figure and the mark on it; they lie over the ticks. */
    Group told() {
        return told;
    }

    /** Draws its ticks paler, as what is not in focus. */
    void pencil(boolean pale) {
        var colour = isPale() ? Color.web("#1F2A33") : Color.WHITE;
        tick.setStroke(pale ? colour.deriveColor(0, 1, 1, 0.55) : colour);
    }

    private boolean isPale() {
        var colour = Theme.colour(wire.colour().base());
        return colour.getBrightness() > 0.8 && colour.getSaturation() < 0.75;
    }

    private void addLabel() {
        for (var mark : Picture.label(label)) {
            var node = Ink.of(mark);
            if (mark instanceof Mark.Word) {
                node.getStyleClass().setAll("label-text");
            }
            getChildren().add(node);
        }
    }

    Wire wire() {
        return wire;
    }

    boolean isLive() {
        return getPseudoClassStates().contains(LIVE);
    }

    /** Shows what the wire carries; no current where there is no operating point. */
    void carry(Optional<Amps> amps) {
        double value = amps.map(Amps::value).orElse(0.0);
        boolean live = Math.abs(value) >= LEAST_LIVE;
        direction = live ? Math.signum(value) : 0;
        pseudoClassStateChanged(LIVE, live);
        tick.setVisible(live);
    }

    /** Shows a figure on the wire in a brass pill; no text takes it away. */
    void tell(Optional<String> figure) {
        pill.getChildren().clear();
        figure.ifPresent(text -> {
            double width = figure(new Point(0, 0), text).getLayoutBounds().getWidth() + 16;
            var place = place(width);
            var back = new Rectangle(place.x() - width / 2, place.y() - PILL / 2, width, PILL);
            back.setArcWidth(PILL);
            back.setArcHeight(PILL);
            back.getStyleClass().add("pill");
            pill.getChildren().addAll(back, figure(place, text));
        });
    }

    /** Shows what is tried on the wire, in red: a gap, an earth it touches, a resistance. */
    void mark(Optional<Verb> tried) {
        mark.getChildren().clear();
        tried.ifPresent(verb -> {
            var at = places().getFirst();
            double x = at.x();
            double y = at.y();
            var gap = Ink.box(x - 9, y - 9, 18, 18, "tried-gap");
            gap.getStyleClass().remove("shape");
            mark.getChildren().add(gap);
            if (verb == Verb.BREAK) {
                mark.getChildren()
                        .addAll(
                                Ink.line(x - 7, y - 7, x + 7, y + 7, "tried-mark"),
                                Ink.line(x - 7, y + 7, x + 7, y - 7, "tried-mark"));
            } else if (verb == Verb.CHAFE) {
                mark.getChildren().add(Ink.line(x, y, x + 8, y, "tried-mark"));
                var sign = Ink.of(Picture.earth(x + 8, y, 1));
                sign.forEach(bar -> bar.getStyleClass().add("tried-mark"));
                mark.getChildren().addAll(sign);
            } else {
                var zigzag =
                        List.of(
                                new Point(x - 8, y),
                                new Point(x - 5, y - 6),
                                new Point(x - 1, y + 6),
                                new Point(x + 3, y - 6),
                                new Point(x + 6, y + 6),
                                new Point(x + 8, y));
                mark.getChildren().add(Ink.polyline(zigzag, "tried-mark"));
            }
        });
    }

    private static Text figure(Point at, String text) {
        var words = Ink.centred(at.x(), at.y(), text);
        words.getStyleClass().setAll("pill-text");
        return words;
    }

    /**
     * The middle of the longest stretch, or another place on the wire where no words and no body
     * are; else beside the wire; in a narrow place where least is covered.
     */
    private Point place(double width) {
        var on = places();
        var beside =
                on.stream()
                        .flatMap(at ->
                                Stream.of(
                                        new Point(at.x(), at.y() + BESIDE),
                                        new Point(at.x(), at.y() - BESIDE),
                                        new Point(at.x() + width / 2 + 6, at.y()),
                                        new Point(at.x() - width / 2 - 6, at.y())));
        return Stream.concat(on.stream(), beside)
                .min(Comparator.comparingDouble(at -> covered.applyAsDouble(pill(at, width))))
                .orElseThrow();
    }

    private static Box pill(Point at, double width) {
        return new Box(at.x() - width / 2, at.y() - PILL / 2, width, PILL);
    }

    /** Middles and quarters of the stretches, longest stretch first. */
    private List<Point> places() {
        var points = stroke.points();
        return IntStream.range(1, points.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -length(points.get(i - 1), points.get(i))))
                .flatMap(i ->
                        SHARES.stream()
                                .map(share -> between(points.get(i - 1), points.get(i), share)))
                .toList();
    }

    private static double length(Point a, Point b) {
        return Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
    }

    private static Point between(Point a, Point b, double share) {
        return new Point(a.x() + share * (b.x() - a.x()), a.y() + share * (b.y() - a.y()));
    }

    /** Moves the ticks; the phase grows with time. */
    void run(double phase) {
        if (direction != 0) {
            tick.setStrokeDashOffset(-direction * phase % (TICK + TICK_GAP));
        }
    }

    void choose(boolean chosen) {
        pseudoClassStateChanged(SELECTED, chosen);
    }
}
