package aficion.desktop.make;

import aficion.desktop.theme.Texts;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;

/** Tables that stand in the order they are given in, one text a cell. */
final class Tables {
    private Tables() {}

    /**
     * @param empty what is said where there is no row
     */
    static void dress(TableView<?> table, String empty) {
        table.setPlaceholder(Texts.wrapped(empty, "empty"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS);
    }

    static <T> void column(TableView<T> table, String heading, Function<T, String> text) {
        var column = new TableColumn<T, String>(heading);
        column.setCellValueFactory(
                cell -> new ReadOnlyObjectWrapper<>(text.apply(cell.getValue())));
        column.setSortable(false);
        table.getColumns().add(column);
    }

    /** How wide the columns are beside each other. */
    static void widths(TableView<?> table, double... widths) {
        for (int i = 0; i < widths.length; i++) {
            table.getColumns().get(i).setPrefWidth(widths[i]);
        }
    }
}
