package aficion.desktop.trace;

import aficion.desktop.drawing.Ink;
import aficion.diagram.Diagram;
import aficion.diagram.VehicleDiagram;
import aficion.words.DrawingWords;
import aficion.words.Words;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import javafx.scene.transform.Scale;

/**
 * The paper a drawing lies on: fits it into the room there is, magnifies about the pointer, is
 * moved by dragging, and stays still when the drawing changes.
 */
final class Sheet extends ScrollPane {
    static final double STEP = 1.2;

    private static final double HEAD = 28;
    private static final double LEAST_FIT = 0.88;
    private static final double MOST_FIT = 1.5;

    /**
     * A whole vehicle begins readable: its width fits, but its words are 11 pixels at the least.
     */
    private static final double LEAST_WHOLE = 11.0 / DrawingWords.SIZE;

    private static final double LEAST = 0.12;
    private static final double MOST = 3;

    private final Pane canvas = new Pane();
    private final Group bands = new Group();
    private final Scale scale = new Scale(1, 1);
    private final Group content = new Group(canvas);
    private Optional<Diagram> one = Optional.empty();
    private Optional<VehicleDiagram> whole = Optional.empty();
    private boolean fitting = true;

    Sheet() {
        getStyleClass().add("trace-scroll");
        setPannable(true);
        setFocusTraversable(false);
        canvas.getTransforms().setAll(scale);
        viewportBoundsProperty()
                .addListener((_, _, _) -> {
                    if (fitting) {
                        fit();
                    } else {
                        paper();
                    }
                });
        addEventFilter(ScrollEvent.SCROLL, this::turned);
    }

    private void turned(ScrollEvent event) {
        if (event.isShortcutDown()) {
            double factor = event.getDeltaY() > 0 ? STEP : 1 / STEP;
            zoom(factor, event.getX(), event.getY());
            event.consume();
        }
    }

    void showEmpty(String text) {
        one = Optional.empty();
        whole = Optional.empty();
        var empty = new Label(text);
        empty.getStyleClass().add("empty");
        setContent(empty);
    }

    /**
     * Shows one circuit.
     *
     * @param same whether it was shown before: then scale and place stay, as far as it still fits
     */
    void showOne(PathDrawing path, boolean same) {
        var diagram = path.diagram();
        boolean keeps = same && one.isPresent() && (!fitting || fits(diagram));
        one = Optional.of(diagram);
        whole = Optional.empty();
        canvas.getChildren().setAll(bands, path);
        show(keeps);
    }

    void showWhole(Node drawing, VehicleDiagram made) {
        boolean keeps = whole.isPresent();
        one = Optional.empty();
        whole = Optional.of(made);
        canvas.getChildren().setAll(drawing);
        show(keeps);
    }

    private void show(boolean keeps) {
        if (getContent() != content) {
            setContent(content);
        }
        if (keeps) {
            paper();
        } else {
            fit();
        }
    }

    /** Whether a drawing fits at the scale that is in use. */
    private boolean fits(Diagram diagram) {
        var room = getViewportBounds();
        return diagram.width() * scale.getX() <= room.getWidth()
                && (diagram.height() + HEAD) * scale.getY() <= room.getHeight();
    }

    private double width() {
        return one.map(Diagram::width).or(() -> whole.map(VehicleDiagram::width)).orElse(0.0);
    }

    private double height() {
        return one.map(diagram -> diagram.height() + HEAD)
                .or(() -> whole.map(VehicleDiagram::height))
                .orElse(0.0);
    }

    /** Scales the drawing to the room there is, within what stays readable. */
    void fit() {
        fitting = true;
        var room = getViewportBounds();
        if (width() == 0 || room.getWidth() < 10) {
            return;
        }
        double wide = (room.getWidth() - 2) / width();
        double high = (room.getHeight() - 2) / height();
        double best =
                one.isPresent()
                        ? Math.clamp(Math.min(wide, high), LEAST_FIT, MOST_FIT)
                        : Math.clamp(wide, LEAST_WHOLE, 1);
        scaleTo(best);
        paper();
    }

    private void scaleTo(double wanted) {
        double kept = Math.clamp(wanted, LEAST, MOST);
        scale.setX(kept);
        scale.setY(kept);
    }

    /** Magnifies about the middle of what is seen. */
    void zoom(double factor) {
        var room = getViewportBounds();
        zoom(factor, room.getWidth() / 2, room.getHeight() / 2);
    }

    /** Magnifies, so that what is under a point of the window stays there. */
    private void zoom(double factor, double x, double y) {
        var before = seen();
        double old = scale.getX();
        double atX = before.getMinX() + x / old;
        double atY = before.getMinY() + y / old;
        fitting = false;
        scaleTo(old * factor);
        paper();
        layout();
        double now = scale.getX();
        moveTo(atX - x / now, atY - y / now);
    }

    /** What of the drawing is seen, in its own units. */
    Bounds seen() {
        var room = getViewportBounds();
        double size = scale.getX();
        double wide = Math.max(0, content.getLayoutBounds().getWidth() - room.getWidth());
        double high = Math.max(0, content.getLayoutBounds().getHeight() - room.getHeight());
        return new BoundingBox(
                getHvalue() * wide / size,
                getVvalue() * high / size,
                room.getWidth() / size,
                room.getHeight() / size);
    }

    /** Puts a point of the drawing into the upper left corner. */
    void moveTo(double x, double y) {
        var room = getViewportBounds();
        double size = scale.getX();
        double wide = content.getLayoutBounds().getWidth() - room.getWidth();
        double high = content.getLayoutBounds().getHeight() - room.getHeight();
        setHvalue(wide <= 0 ? 0 : Math.clamp(x * size / wide, 0, 1));
        setVvalue(high <= 0 ? 0 : Math.clamp(y * size / high, 0, 1));
    }

    /** Follows what has moved down. */
    void moveBy(double down) {
        var now = seen();
        layout();
        moveTo(now.getMinX(), now.getMinY() + down);
    }

    /** Brings a part of the drawing into sight, when it is not all seen already. */
    void reveal(double x, double y, double width, double height) {
        layout();
        var now = seen();
        if (now.getMinY() > y || now.getMaxY() < y + height) {
            double spare = Math.max(0, now.getHeight() - height) / 2;
            moveTo(now.getMinX() <= x ? now.getMinX() : x, y - Math.min(spare, 40));
        }
    }

    /** The lanes of one circuit, over the full height of the window. */
    private void paper() {
        bands.getChildren().clear();
        if (one.isEmpty()) {
            return;
        }
        var diagram = one.get();
        var room = getViewportBounds();
        double height = Math.max(height(), (room.getHeight() - 2) / scale.getY());
        double width = Math.max(diagram.width(), (room.getWidth() - 2) / scale.getX());
        int index = 0;
        for (var band : diagram.bands()) {
            boolean last = index == diagram.bands().size() - 1;
            var paper = new Rectangle(band.x(), 0, last ? width - band.x() : band.width(), height);
            paper.getStyleClass().add(index % 2 == 0 ? "lane-even" : "lane-odd");
            bands.getChildren().addAll(paper, head(band, 16));
            index++;
        }
        // It may be laid out already: what has no style yet would be black for a frame.
        bands.applyCss();
    }

    static Node head(Diagram.Band band, double y) {
        var head =
                Ink.text(band.x() + 10, y, Words.of("lane", band.lane()).toUpperCase(Locale.ROOT));
        head.getStyleClass().setAll("lane-head");
        return head;
    }
}
