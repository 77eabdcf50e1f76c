package aficion.desktop.theme;

import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;

/** Tables that stand in the order they are given in, one text a cell. */
public final class Tables {
    private static final double SHORT = 96;
    private static final double EDGES = 18;

    private Tables() {}

    /**
     * @param empty what is said where there is no row
     */
    public static void dress(TableView<?> table, String empty) {
        table.setPlaceholder(Texts.wrapped(empty, "empty"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS);
    }

    public static <T> void column(TableView<T> table, String heading, Function<T, String> text) {
        var column = new TableColumn<T, String>(heading);
        column.setCellValueFactory(
                cell -> new ReadOnlyObjectWrapper<>(text.apply(cell.getValue())));
        column.setCellFactory(_ -> new Wrapping<>());
        column.setSortable(false);
        table.getColumns().add(column);
    }

    /** The chosen row is ticked by Space, and by a double press. */
    public static void ticks(TableView<?> table, Runnable tick) {
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                tick.run();
                event.consume();
            }
        });
        table.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                tick.run();
            }
        });
    }

    /** How wide the columns are beside each other; what is short is never shortened. */
    public static void widths(TableView<?> table, double... widths) {
        for (int i = 0; i < widths.length; i++) {
            var column = table.getColumns().get(i);
            column.setPrefWidth(widths[i]);
            column.setMinWidth(Math.min(widths[i], SHORT));
        }
    }

    /** A cell whose words go on in a second line where they are many. */
    private static final class Wrapping<T> extends TableCell<T, String> {
        private final Text text = new Text();

        Wrapping() {
            getStyleClass().add("wrapping");
            text.getStyleClass().add("cell-text");
            text.wrappingWidthProperty().bind(widthProperty().subtract(EDGES));
            setGraphic(text);
        }

        @Override
        protected void updateItem(String words, boolean empty) {
            super.updateItem(words, empty);
            text.setText(empty ? "" : words);
        }
    }
}
