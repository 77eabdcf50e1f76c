package aficion.desktop.make;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.Listing;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.layout.StackPane;

/** A list of the job as it is. */
final class ListingView extends StackPane {
    private final Workbench bench;
    private final BiFunction<Design, UserUnits, Listing> listing;
    private final TableView<List<String>> table = new TableView<>();
    private Optional<Design> shown = Optional.empty();

    ListingView(Workbench bench, BiFunction<Design, UserUnits, Listing> listing) {
        this.bench = bench;
        this.listing = listing;
        table.setPlaceholder(Texts.label(Words.of("make.none"), "empty"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_LAST_COLUMN);
        getChildren().add(table);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private void refresh() {
        var design = bench.design();
        if (getScene() == null || shown.filter(known -> known == design).isPresent()) {
            return;
        }
        shown = Optional.of(design);
        var units = bench.units();
        bench.ask().prepare(now -> listing.apply(now, units), this::show);
    }

    private void show(Listing made) {
        table.setId("list-" + made.name());
        table.getColumns().clear();
        for (int i = 0; i < made.heading().size(); i++) {
            int index = i;
            var column = new TableColumn<List<String>, String>(made.heading().get(i));
            column.setCellValueFactory(
                    cell -> new ReadOnlyObjectWrapper<>(cell.getValue().get(index)));
            column.setSortable(false);
            table.getColumns().add(column);
        }
        table.getItems().setAll(made.rows());
    }
}
