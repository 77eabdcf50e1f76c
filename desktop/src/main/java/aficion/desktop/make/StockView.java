package aficion.desktop.make;

import aficion.desktop.field.Field;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Workbench;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.stock.Stock.Thing;
import aficion.words.Words;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What lies in the drawer, for every job: counted, added to, and what this job is short of. */
final class StockView extends VBox {
    private final Workbench bench;
    private final Drawer drawer;
    private final TableView<Thing> table = new TableView<>();
    private final FlowPane changing = new FlowPane(12, 8);
    private final Label trouble = Texts.wrapped("", "danger-text");

    StockView(Workbench bench, Drawer drawer) {
        super(10);
        this.bench = bench;
        this.drawer = drawer;
        setId("make-stock");
        setMinWidth(0);
        changing.setAlignment(Pos.CENTER_LEFT);
        table.setId("stock-table");
        Tables.dress(table, Words.of("stock.none"));
        Tables.column(table, Words.of("stock.what"), this::what);
        Tables.column(table, Words.of("stock.left"), this::left);
        Tables.column(table, Words.of("stock.price"), this::price);
        table.getSelectionModel().selectedItemProperty().addListener((_, _, _) -> changing());
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DELETE) {
                chosen().ifPresent(this::remove);
                event.consume();
            }
        });
        VBox.setVgrow(table, Priority.ALWAYS);
        trouble.setId("stock-trouble");
        getChildren()
                .addAll(
                        Texts.label(Words.of("stock.title"), "sheet-title"),
                        new StockForm(bench, drawer),
                        trouble,
                        table,
                        changing,
                        new Shortage(bench, drawer));
        drawer.stock().subscribe(this::refresh);
        drawer.trouble().subscribe(said -> trouble.setText(said.orElse("")));
    }

    private Optional<Thing> chosen() {
        return Optional.ofNullable(table.getSelectionModel().getSelectedItem());
    }

    private String what(Thing thing) {
        var speech = bench.speech();
        return switch (thing) {
            case Thing.OfSpool(var spool) ->
                    Words.of(
                            "stock.spool",
                            spool.number(),
                            speech.size(spool.cut().size()),
                            speech.colour(spool.cut().colour()));
            case Thing.OfTerminal(var terminal) -> speech.termination(terminal);
            case Thing.OfCovering(var size) -> speech.covering(size);
        };
    }

    private String left(Thing thing) {
        var stock = drawer.stock().get();
        return switch (thing) {
            case Thing.OfSpool(var spool) -> bench.units().print(spool.left());
            case Thing.OfTerminal(var terminal) -> String.valueOf(stock.count(terminal));
            case Thing.OfCovering(var size) -> bench.units().print(stock.length(size));
        };
    }

    private String price(Thing thing) {
        return drawer.stock().get().price(thing.key()).map(UserUnits::plain).orElse("");
    }

    private void refresh() {
        int at = table.getSelectionModel().getSelectedIndex();
        table.getItems().setAll(drawer.stock().get().things());
        if (at >= 0) {
            table.getSelectionModel().select(Math.min(at, table.getItems().size() - 1));
        }
        changing();
    }

    /** What is left of what is chosen, and what it costs. */
    private void changing() {
        changing.getChildren().clear();
        chosen().ifPresent(thing ->
                changing.getChildren()
                        .addAll(
                                Texts.label(what(thing), "quiet"),
                                new Field(
                                        "stock-left",
                                        Words.of("stock.change"),
                                        left(thing),
                                        text -> count(thing, text),
                                        Words.of("stock.amount.refused")),
                                new Field(
                                        "stock-price",
                                        Words.of("stock.price.change"),
                                        price(thing),
                                        text -> price(thing, text),
                                        Words.of("stock.price.refused")),
                                Texts.button(
                                        Words.of("stock.remove"),
                                        "plain-button",
                                        () -> remove(thing))));
    }

    private void remove(Thing thing) {
        drawer.change(now -> now.without(thing));
    }

    private boolean count(Thing thing, String text) {
        try {
            var amount =
                    thing instanceof Thing.OfTerminal
                            ? Optional.of((double) Integer.parseInt(text))
                            : bench.units().parseLength(text).map(Metres::value);
            return amount.filter(count -> drawer.change(now -> now.having(thing, count)))
                    .isPresent();
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private boolean price(Thing thing, String text) {
        try {
            double price = text.isBlank() ? 0 : Double.parseDouble(text.replace(',', '.'));
            return drawer.change(now -> now.pricing(thing.key(), price));
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
