package aficion.desktop.theme;

import aficion.check.finding.Severity;
import aficion.job.Work;
import java.util.Set;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;

/** Small shapes that say what words say: shape first, colour second. */
public final class Marks {
    private Marks() {}

    /** A triangle for danger, a diamond for what must be mended, a ring for advice. */
    public static Node of(Severity severity) {
        return switch (severity) {
            case DANGER -> triangle();
            case FIX -> diamond();
            case ADVISE, NOTE -> ring();
        };
    }

    private static Node triangle() {
        var outline = new Polygon(7.5, 0.5, 15, 14, 0, 14);
        outline.getStyleClass().addAll("mark", "danger");
        var bar = new Line(7.5, 5, 7.5, 9.5);
        var dot = new Line(7.5, 11.8, 7.5, 11.9);
        bar.getStyleClass().addAll("mark", "danger");
        dot.getStyleClass().addAll("mark", "danger");
        return new Group(outline, bar, dot);
    }

    private static Node diamond() {
        var outline = new Polygon(7.5, 0.5, 14.5, 7.5, 7.5, 14.5, 0.5, 7.5);
        outline.getStyleClass().addAll("mark", "fix");
        return new Group(outline);
    }

    private static Node ring() {
        var ring = new Circle(7.5, 7.5, 6.5);
        ring.getStyleClass().addAll("mark", "advice");
        return new Group(ring);
    }

    /** One pip for each stage of the work, filled when it is done. */
    public static HBox pips(Set<Work.Stage> done) {
        var box = new HBox(3);
        box.getStyleClass().add("pips");
        for (var stage : Work.Stage.values()) {
            var pip = new Region();
            pip.getStyleClass().add("pip");
            if (done.contains(stage)) {
                pip.getStyleClass().add("done");
            }
            box.getChildren().add(pip);
        }
        return box;
    }
}
