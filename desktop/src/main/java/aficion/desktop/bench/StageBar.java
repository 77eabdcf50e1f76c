package aficion.desktop.bench;

import aficion.bench.TestStep;
import aficion.desktop.theme.Texts;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** How much of each stage of a run is done. */
final class StageBar extends HBox {
    StageBar() {
        super(8);
    }

    /**
     * Shows the stages that have steps.
     *
     * @param now the step that is shown
     * @param done whether a step is done
     */
    void show(List<TestStep> steps, Optional<TestStep> now, Predicate<TestStep> done) {
        getChildren().clear();
        for (var stage : TestStep.Stage.values()) {
            var of = steps.stream().filter(each -> each.stage() == stage).toList();
            if (!of.isEmpty()) {
                boolean here = now.filter(each -> each.stage() == stage).isPresent();
                getChildren().add(pip(stage, of.stream().filter(done).count(), of.size(), here));
            }
        }
    }

    private static Node pip(TestStep.Stage stage, long done, int all, boolean here) {
        var full = new Region();
        full.getStyleClass().add("bench-pip-done");
        var bar = new HBox(full);
        bar.getStyleClass().add("bench-pip");
        full.prefWidthProperty().bind(bar.widthProperty().multiply((double) done / all));
        var words = Texts.label(Words.of("bench.short", stage), here ? "strong" : "quiet");
        var box = new VBox(3, bar, words);
        HBox.setHgrow(box, Priority.ALWAYS);
        box.setMaxWidth(Double.MAX_VALUE);
        box.setPrefWidth(80);
        return box;
    }
}
