package aficion.desktop.power;

import aficion.desktop.workbench.Workbench;
import aficion.job.Design;
import aficion.job.Sums;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;

/**
 * A page of sums: fields whose figures are kept with the job, what is worked out of them, and what
 * stands beside. It is shown anew whenever the job is another.
 */
abstract class SumPage extends SumBox {
    final VBox beside = new VBox(7);
    private final ScrollPane aside = new ScrollPane(beside);
    private Optional<Design> worked = Optional.empty();
    private Optional<Sums> set = Optional.empty();

    SumPage(Workbench bench, String id) {
        super(bench, 9);
        setId(id);
        aside.getStyleClass().addAll("inspector", "inspector-scroll");
        aside.setFitToWidth(true);
        aside.setFocusTraversable(false);
        beside.getStyleClass().add("inspector-body");
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    final Node aside() {
        return aside;
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        boolean known =
                worked.filter(design -> design == bench.design()).isPresent()
                        && set.filter(sums -> sums == sums()).isPresent();
        if (!known) {
            worked = Optional.of(bench.design());
            set = Optional.of(sums());
            work();
        }
    }

    /** Works out what is shown, and shows it. */
    abstract void work();
}
