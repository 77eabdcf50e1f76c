package aficion.desktop.make;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.ScheduleTable;
import aficion.files.sheet.ScheduleTable.Line;
import aficion.make.ScheduleRow;
import aficion.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The wire schedule: every wire a line, to be sorted by any column and filtered by any word. */
final class ScheduleView extends VBox {
    private final Workbench bench;
    private final ObservableList<Line> lines = FXCollections.observableArrayList();
    private final FilteredList<Line> filtered = new FilteredList<>(lines);
    private final TableView<Line> table = new TableView<>();
    private final TextField filter = new TextField();
    private final Label count = Texts.label("", "quiet");

    /**
     * @param exportCsv asks for a file and writes the schedule
     * @param exportPdf asks for a file and writes the schedule as a sheet
     */
    ScheduleView(Workbench bench, Runnable exportCsv, Runnable exportPdf) {
        this.bench = bench;
        setId("make-schedule");
        setSpacing(10);
        filter.setId("make-filter");
        filter.setPromptText(Words.of("make.filter"));
        filter.setPrefWidth(260);
        filter.textProperty().addListener((_, _, _) -> filter());
        var head =
                new HBox(
                        14,
                        Texts.label(Words.of("make.title"), "sheet-title"),
                        filter,
                        count,
                        Texts.spring(),
                        Texts.button(Words.of("make.export.csv"), "plain-button", exportCsv),
                        Texts.button(Words.of("make.export.pdf"), "plain-button", exportPdf));
        head.setStyle("-fx-alignment: center-left;");
        columns();
        var sorted = new SortedList<>(filtered);
        sorted.comparatorProperty().bind(table.comparatorProperty());
        table.setItems(sorted);
        table.setId("schedule");
        table.setPlaceholder(Texts.label(Words.of("make.none"), "empty"));
        table.getSelectionModel()
                .selectedItemProperty()
                .addListener((_, _, line) -> {
                    if (line != null) {
                        bench.selection().set(new Selection.OfWire(line.row().wire().id()));
                    }
                });
        VBox.setVgrow(table, Priority.ALWAYS);
        getChildren().addAll(head, table);
        bench.assessed().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void columns() {
        var number = column("make.number", 58, Line::number);
        number.setComparator(ScheduleRow::byNumber);
        var size =
                measured(
                        "make.size",
                        76,
                        Line::size,
                        line -> line.row().wire().conductor().copper().value());
        var length =
                measured(
                        "make.length",
                        84,
                        Line::length,
                        line -> line.row().wire().length().metres().value());
        table.getColumns()
                .setAll(
                        List.of(
                                number,
                                column("make.from", 66, Line::from),
                                column("make.to", 66, Line::to),
                                column("make.colour", 104, Line::colour),
                                size,
                                length,
                                column("make.ends", 170, Line::ends),
                                column("make.fuse", 106, Line::fuse)));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_LAST_COLUMN);
    }

    private static TableColumn<Line, String> column(
            String key, double width, Function<Line, String> text) {
        var column = new TableColumn<Line, String>(Words.of(key));
        column.setPrefWidth(width);
        column.setCellValueFactory(
                cell -> new ReadOnlyObjectWrapper<>(text.apply(cell.getValue())));
        return column;
    }

    /** A column that reads as text and sorts by a number. */
    private static TableColumn<Line, Line> measured(
            String key, double width, Function<Line, String> text, Function<Line, Double> value) {
        var column = new TableColumn<Line, Line>(Words.of(key));
        column.setPrefWidth(width);
        column.setCellValueFactory(cell -> new ReadOnlyObjectWrapper<>(cell.getValue()));
        column.setComparator(Comparator.comparing(value));
        column.setCellFactory(_ -> new TextCell(text));
        return column;
    }

    private static final class TextCell extends TableCell<Line, Line> {
        private final Function<Line, String> text;

        TextCell(Function<Line, String> text) {
            this.text = text;
        }

        @Override
        protected void updateItem(Line line, boolean empty) {
            super.updateItem(line, empty);
            setText(empty || line == null ? null : text.apply(line));
        }
    }

    private void refresh() {
        bench.assessed()
                .get()
                .ifPresent(assessed -> {
                    lines.setAll(ScheduleTable.lines(assessed.assessment(), bench.units()));
                    filter();
                });
    }

    private static boolean has(Line line, String word) {
        return String.join(" ", line.cells()).toLowerCase(Locale.ROOT).contains(word);
    }

    private void filter() {
        var word = filter.getText().strip().toLowerCase(Locale.ROOT);
        filtered.setPredicate(line -> has(line, word));
        count.setText(Words.of("make.count", filtered.size(), lines.size()));
    }
}
