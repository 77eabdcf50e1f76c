package aficion.desktop.trace;

import aficion.diagram.Diagram.Body;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.solve.OperatingPoint;
import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;

/**
 * A part of the drawing: its body and, inside, its symbol in the state it is in. Can be reached
 * with the keyboard.
 */
final class PartNode extends Group {
    private final Part part;
    private final Body body;
    private final Group symbol = new Group();

    PartNode(Part part, Body body) {
        this.part = part;
        this.body = body;
        getStyleClass().add("part");
        setId("part-" + part.id());
        setCursor(Cursor.HAND);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        var box = body.box();
        if (box.width() > 0) {
            var outline = new Rectangle(box.x(), box.y(), box.width(), box.height());
            outline.getStyleClass().add("body");
            outline.setArcWidth(10);
            outline.setArcHeight(10);
            getChildren().add(outline);
        } else {
            var outline = new Circle(box.x(), box.y(), 7);
            outline.getStyleClass().add("body");
            getChildren().add(outline);
        }
        getChildren().add(symbol);
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
        symbol.getChildren().setAll(Symbols.of(part, body, point, conditions));
    }

    void choose(boolean chosen) {
        pseudoClassStateChanged(WireNode.SELECTED, chosen);
    }
}
