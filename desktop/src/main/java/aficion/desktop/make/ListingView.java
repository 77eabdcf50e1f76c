package aficion.desktop.make;

import aficion.desktop.field.Field;
import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.LabelSheet;
import aficion.files.sheet.Listing;
import aficion.files.sheet.Listings.Kind;
import aficion.job.Job;
import aficion.stock.Stock;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.control.TableView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A list of the job as it is. */
final class ListingView extends VBox {
    private static final double SIGN = 8;
    private static final double WIDEST = 380;

    private final Workbench bench;
    private final Kind kind;
    private final Drawer drawer;
    private final TableView<List<String>> table = new TableView<>();
    private Optional<Job> shown = Optional.empty();
    private Optional<Stock> counted = Optional.empty();

    /**
     * @param command does what the window can be asked for, by the key of its words
     */
    ListingView(Workbench bench, Kind kind, Drawer drawer, Consumer<String> command) {
        super(10);
        this.bench = bench;
        this.kind = kind;
        this.drawer = drawer;
        Tables.dress(table, Words.of("make.none"));
        var head = Heads.of(kind.key(), command, Texts.spring());
        if (kind == Kind.LABELS) {
            head.getChildren()
                    .addAll(
                            sheet(),
                            Texts.button(
                                    Words.of("make.sheet.save"),
                                    "plain-button",
                                    () -> command.accept("menu.print.labelSheet")));
        }
        VBox.setVgrow(table, Priority.ALWAYS);
        getChildren().addAll(head, table);
        bench.history().addListener((_, _, _) -> refresh());
        drawer.stock().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    /** The sheet that labels are printed on: columns, rows, and what one measures. */
    private Field sheet() {
        return new Field(
                "label-sheet",
                Words.of("make.sheet"),
                bench.labels().get().toString(),
                text -> {
                    var sheet = LabelSheet.parse(text);
                    sheet.ifPresent(bench.labels()::set);
                    return sheet.isPresent();
                },
                Words.of("make.sheet.refused"));
    }

    private void refresh() {
        var job = bench.job();
        var stock = drawer.stock().get();
        boolean known =
                shown.filter(each -> each == job).isPresent()
                        && counted.filter(each -> each == stock).isPresent();
        if (getScene() == null || known) {
            return;
        }
        shown = Optional.of(job);
        counted = Optional.of(stock);
        var units = bench.units();
        bench.ask().prepare(now -> kind.of(job.with(now), stock, units), this::show);
    }

    private void show(Listing made) {
        table.getColumns().clear();
        for (int i = 0; i < made.heading().size(); i++) {
            int index = i;
            Tables.column(table, made.heading().get(i), row -> row.get(index));
        }
        Tables.widths(table, widths(made));
        table.getItems().setAll(made.rows());
        table.setId("list-" + made.name());
    }

    /** Columns share the table by the longest that each has to hold. */
    private static double[] widths(Listing made) {
        return IntStream.range(0, made.heading().size())
                .mapToDouble(i ->
                        Stream.concat(Stream.of(made.heading()), made.rows().stream())
                                .mapToDouble(row -> SIGN * (2 + row.get(i).length()))
                                .max()
                                .orElse(SIGN))
                .map(wide -> Math.min(wide, WIDEST))
                .toArray();
    }
}
