package aficion.desktop.drawing;

import aficion.diagram.Mark;
import java.util.List;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;

/** Marks that are drawn for the room there is, again whenever that is another. */
public final class MarksPane extends Pane {
    private static final double LEAST = 60;

    private final Rectangle edge = new Rectangle();
    private Picture picture = (_, _) -> List.of();
    private double wide;
    private double high;

    /** What is drawn in a room so wide and so high. */
    @FunctionalInterface
    public interface Picture {
        List<Mark> of(double wide, double high);
    }

    public MarksPane(String id) {
        setId(id);
        setMinSize(LEAST, LEAST);
        getStyleClass().addAll("part", "plot");
        edge.widthProperty().bind(widthProperty());
        edge.heightProperty().bind(heightProperty());
        setClip(edge);
    }

    /** Shows a picture in place of what was shown. */
    public void show(Picture shown) {
        picture = shown;
        wide = 0;
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        boolean other = wide != getWidth() || high != getHeight();
        if (other && getWidth() > 0 && getHeight() > 0) {
            wide = getWidth();
            high = getHeight();
            getChildren().setAll(Ink.of(picture.of(wide, high)));
        }
    }
}
