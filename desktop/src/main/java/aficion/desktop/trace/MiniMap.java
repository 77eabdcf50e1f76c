package aficion.desktop.trace;

import aficion.diagram.VehicleDiagram;
import aficion.job.CircuitId;
import aficion.words.Words;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

/** The whole vehicle in small: where one is, and the way to everywhere else. */
final class MiniMap extends Pane {
    private static final double WIDE = 150;
    private static final double HIGH = 260;

    private final Sheet sheet;
    private final Group bodies = new Group();
    private final Rectangle frame = new Rectangle();
    private double scale = 1;

    MiniMap(Sheet sheet) {
        this.sheet = sheet;
        setId("mini-map");
        getStyleClass().add("mini-map");
        setAccessibleText(Words.of("trace.map"));
        setVisible(false);
        frame.getStyleClass().add("mini-frame");
        frame.setMouseTransparent(true);
        getChildren().addAll(bodies, frame);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::go);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::go);
        sheet.vvalueProperty().addListener((_, _, _) -> frame());
        sheet.hvalueProperty().addListener((_, _, _) -> frame());
        sheet.viewportBoundsProperty().addListener((_, _, _) -> frame());
    }

    private void go(MouseEvent event) {
        var seen = sheet.seen();
        sheet.moveTo(
                event.getX() / scale - seen.getWidth() / 2,
                event.getY() / scale - seen.getHeight() / 2);
        event.consume();
    }

    void show(VehicleDiagram whole, Optional<CircuitId> focus) {
        scale = Math.min(WIDE / whole.width(), HIGH / whole.height());
        setPrefSize(whole.width() * scale, whole.height() * scale);
        bodies.getChildren().clear();
        for (var placed : whole.circuits()) {
            boolean inInk = focus.equals(Optional.of(placed.diagram().circuit()));
            if (inInk) {
                var back =
                        new Rectangle(
                                0,
                                placed.at().y() * scale,
                                whole.width() * scale,
                                placed.diagram().height() * scale);
                back.getStyleClass().add("mini-focus");
                bodies.getChildren().add(back);
            }
            for (var body : placed.diagram().bodies()) {
                var box = body.box();
                var dot =
                        new Rectangle(
                                (placed.at().x() + box.x()) * scale,
                                (placed.at().y() + box.y()) * scale,
                                Math.max(1.5, box.width() * scale),
                                Math.max(1.5, box.height() * scale));
                dot.getStyleClass().add("mini-body");
                bodies.getChildren().add(dot);
            }
        }
        frame();
    }

    private void frame() {
        var seen = sheet.seen();
        frame.setX(Math.max(0, seen.getMinX() * scale));
        frame.setY(Math.max(0, seen.getMinY() * scale));
        frame.setWidth(Math.min(getPrefWidth(), seen.getWidth() * scale));
        frame.setHeight(Math.min(getPrefHeight(), seen.getHeight() * scale));
    }
}
