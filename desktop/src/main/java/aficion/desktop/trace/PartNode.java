package aficion.desktop.trace;

import aficion.desktop.drawing.Ink;
import aficion.desktop.workbench.Selection;
import aficion.diagram.Diagram.Body;
import aficion.diagram.Picture;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.solve.OperatingPoint;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.shape.Circle;

/**
 * A part of the drawing: its body, its symbol in the state it is in, and pins that can be picked.
 * Can be reached with the keyboard.
 */
final class PartNode extends Group {
    private static final PseudoClass OFFERED = PseudoClass.getPseudoClass("offered");
    private static final PseudoClass TRIED = PseudoClass.getPseudoClass("tried");
    private static final double PIN = 8;

    private final Part part;
    private final Body body;
    private final Group symbol = new Group();
    private final Group probes = new Group();
    private final Map<Terminal, Circle> pins = new HashMap<>();

    PartNode(Part part, Body body) {
        this.part = part;
        this.body = body;
        getStyleClass().add("part");
        setId("part-" + part.id());
        setCursor(Cursor.HAND);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        getChildren().add(Ink.of(Picture.body(body)));
        getChildren().add(symbol);
        body.pins().forEach(pin -> addPin(pin.name(), pin.at().x(), pin.at().y()));
        probes.setMouseTransparent(true);
        getChildren().add(probes);
    }

    private void addPin(String name, double x, double y) {
        var spot = new Circle(x, y, PIN);
        spot.getStyleClass().add("pin-spot");
        spot.setId("pin-" + part.id() + "." + name);
        pins.put(new Terminal(part.id(), name), spot);
        getChildren().add(spot);
    }

    /**
     * What is to be done when a pin is picked.
     *
     * @param picked told the terminal, and whether Shift was held
     */
    void onPin(BiConsumer<Terminal, Boolean> picked) {
        pins.forEach((terminal, spot) ->
                spot.setOnMouseClicked(event -> {
                    picked.accept(terminal, event.isShiftDown());
                    event.consume();
                }));
    }

    /** Shows the probes of a meter where they touch this part. */
    void touch(Optional<Terminal> red, Optional<Terminal> black) {
        probes.getChildren().clear();
        red.ifPresent(at -> probe(at, "+", "red"));
        black.ifPresent(at -> probe(at, "\u2212", "black"));
    }

    private void probe(Terminal at, String sign, String style) {
        var spot = pins.get(at);
        if (spot != null) {
            var tip = Ink.circle(spot.getCenterX(), spot.getCenterY(), 8, "probe-tip", style);
            tip.getStyleClass().remove("shape");
            var text = Ink.centred(spot.getCenterX(), spot.getCenterY(), sign, "probe-sign");
            probes.getChildren().addAll(tip, text);
        }
    }

    Part part() {
        return part;
    }

    Body body() {
        return body;
    }

    /** The control that pressing this part moves, when it is a switch. */
    Optional<String> control() {
        return part.kind() instanceof ControlKind.Switch hand
                ? Optional.of(hand.control())
                : Optional.empty();
    }

    void show(Optional<OperatingPoint> point, Conditions conditions) {
        symbol.getChildren().setAll(Ink.of(Picture.symbol(part, body, point, conditions)));
    }

    /** Whether a selection is this part or one of its terminals. */
    boolean isIt(Selection selection) {
        return switch (selection) {
            case Selection.OfPart(var id) -> id.equals(part.id());
            case Selection.OfTerminal(var at) -> at.part().equals(part.id());
            case Selection.Nothing _,
                    Selection.OfWire _,
                    Selection.OfRun _,
                    Selection.OfStation _ ->
                    false;
        };
    }

    void choose(Selection selection) {
        pseudoClassStateChanged(
                WireNode.SELECTED, selection.equals(new Selection.OfPart(part.id())));
        pins.forEach((terminal, spot) ->
                spot.pseudoClassStateChanged(
                        WireNode.SELECTED, selection.equals(new Selection.OfTerminal(terminal))));
    }

    /** Shows or hides the pins as something to be picked. */
    void offerPins(boolean offered) {
        pins.values().forEach(spot -> spot.pseudoClassStateChanged(OFFERED, offered));
    }

    /** Shows that something is tried on it. */
    void mark(boolean tried) {
        pseudoClassStateChanged(TRIED, tried);
    }
}
