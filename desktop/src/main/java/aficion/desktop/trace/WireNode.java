package aficion.desktop.trace;

import aficion.desktop.theme.Theme;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Stroke;
import aficion.job.Wire;
import aficion.quantity.Amps;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
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
    static final double LEAST_LIVE = 0.002;

    private static final double TICK = 3;
    private static final double TICK_GAP = 13;

    private final Wire wire;
    private final Stroke stroke;
    private final Polyline tick;
    private final Group pill = new Group();
    private double direction;

    WireNode(Wire wire, Stroke stroke, Label label) {
        this.wire = wire;
        this.stroke = stroke;
        getStyleClass().add("wire");
        setId("wire-" + wire.number());
        setCursor(Cursor.HAND);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        var halo = Ink.polyline(stroke.points(), "halo");
        var core = Ink.polyline(stroke.points(), "core");
        core.setStroke(Theme.colour(wire.colour().base()));
        var paths = new Group(Ink.polyline(stroke.points(), "case"), core);
        paths.getStyleClass().add("paths");
        wire.colour()
                .tracer()
                .ifPresent(colour -> {
                    var tracer = Ink.polyline(stroke.points(), "tracer");
                    tracer.setStroke(Theme.colour(colour));
                    tracer.getStrokeDashArray().addAll(9.0, 7.0);
                    paths.getChildren().add(tracer);
                });
        tick = Ink.polyline(stroke.points(), "tick");
        tick.getStrokeDashArray().addAll(TICK, TICK_GAP);
        tick.setStrokeLineCap(StrokeLineCap.BUTT);
        tick.setStroke(isPale() ? Color.web("#1F2A33") : Color.WHITE);
        getChildren().addAll(halo, paths, tick);
        for (var dot : stroke.dots()) {
            var circle = new Circle(dot.x(), dot.y(), 4.5);
            circle.getStyleClass().add("dot");
            getChildren().add(circle);
        }
        addLabel(label);
        getChildren().add(pill);
    }

    private boolean isPale() {
        var colour = Theme.colour(wire.colour().base());
        return colour.getBrightness() > 0.8 && colour.getSaturation() < 0.75;
    }

    private void addLabel(Label label) {
        var box = label.box();
        if (label.backed()) {
            var back = new Rectangle(box.x(), box.y(), box.width(), box.height());
            back.getStyleClass().add("label-back");
            getChildren().add(back);
        }
        var text = new Text(box.x() + 1, box.y() + box.height() - 2.5, label.text());
        text.getStyleClass().add("label-text");
        getChildren().add(text);
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
    }

    /** Shows a figure on the wire in a brass pill; no text takes it away. */
    void tell(Optional<String> figure) {
        pill.getChildren().clear();
        figure.ifPresent(text -> {
            var middle = middle();
            var words = Ink.centred(middle.x(), middle.y(), text);
            words.getStyleClass().setAll("pill-text");
            double width = words.getLayoutBounds().getWidth() + 16;
            var back = new Rectangle(middle.x() - width / 2, middle.y() - 9, width, 18);
            back.setArcWidth(18);
            back.setArcHeight(18);
            back.getStyleClass().add("pill");
            pill.getChildren().addAll(back, words);
        });
    }

    /** The middle of the longest stretch. */
    private Point middle() {
        var points = stroke.points();
        var best = points.getFirst();
        double longest = -1;
        for (int i = 1; i < points.size(); i++) {
            var a = points.get(i - 1);
            var b = points.get(i);
            double length = Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
            if (length > longest) {
                longest = length;
                best = new Point((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
            }
        }
        return best;
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
