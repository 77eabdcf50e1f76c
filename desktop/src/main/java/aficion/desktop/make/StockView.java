package aficion.desktop.make;

import aficion.catalogue.Colour;
import aficion.catalogue.Conductors;
import aficion.catalogue.Coverings;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.WireSize;
import aficion.desktop.field.Choice;
import aficion.desktop.field.Field;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Swatches;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Workbench;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.Work;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.stock.Cutting;
import aficion.stock.Cutting.Remedy;
import aficion.stock.Cutting.Shortfall;
import aficion.stock.Stock;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What lies in the drawer, for every job: counted, added to, and what this job is short of. */
final class StockView extends VBox {
    private final Workbench bench;
    private final Drawer drawer;
    private final TableView<Line> table = new TableView<>();
    private final FlowPane adding = new FlowPane(12, 8);
    private final FlowPane changing = new FlowPane(12, 8);
    private final VBox lacks = new VBox(3);
    private final Label trouble = Texts.wrapped("", "danger-text");
    private Sort sort = Sort.WIRE;
    private WireSize size = new WireSize(WireSize.Standard.METRIC, "1");
    private Colour colour = Colour.RED;
    private Optional<Colour> tracer = Optional.empty();
    private Termination terminal = new Termination(Terminals.all().getFirst().key());
    private Coverings.Size sleeve = Coverings.of(Coverings.Sort.SHRINK).getFirst();

    /** What can be counted. */
    private enum Sort {
        WIRE,
        TERMINAL,
        SLEEVE
    }

    /**
     * One thing in the drawer.
     *
     * @param key what its price is kept by
     * @param change to so many of it
     */
    private record Line(
            String what, String left, String key, Function<Double, UnaryOperator<Stock>> change) {}

    StockView(Workbench bench, Drawer drawer) {
        super(10);
        this.bench = bench;
        this.drawer = drawer;
        setId("make-stock");
        adding.setAlignment(Pos.CENTER_LEFT);
        changing.setAlignment(Pos.CENTER_LEFT);
        setMinWidth(0);
        table.setId("stock-table");
        table.setPlaceholder(Texts.wrapped(Words.of("stock.none"), "empty"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_LAST_COLUMN);
        column("stock.what", Line::what);
        column("stock.left", Line::left);
        column("stock.price", line -> price(line).map(UserUnits::plain).orElse(""));
        table.getSelectionModel().selectedItemProperty().addListener((_, _, _) -> changing());
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DELETE) {
                chosen().ifPresent(line -> drawer.change(line.change.apply(-1.0)));
                event.consume();
            }
        });
        VBox.setVgrow(table, Priority.ALWAYS);
        trouble.setId("stock-trouble");
        lacks.setId("stock-lacks");
        getChildren()
                .addAll(
                        Texts.label(Words.of("stock.title"), "sheet-title"),
                        adding,
                        trouble,
                        table,
                        changing,
                        lacks);
        adding();
        drawer.stock().addListener((_, _, _) -> refresh());
        drawer.trouble().addListener((_, _, _) -> refresh());
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private void column(String words, Function<Line, String> text) {
        var column = new TableColumn<Line, String>(Words.of(words));
        column.setCellValueFactory(
                cell -> new ReadOnlyObjectWrapper<>(text.apply(cell.getValue())));
        column.setSortable(false);
        table.getColumns().add(column);
    }

    private Optional<Line> chosen() {
        return Optional.ofNullable(table.getSelectionModel().getSelectedItem());
    }

    private Optional<Double> price(Line line) {
        return Optional.ofNullable(drawer.stock().get().prices().get(line.key));
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        trouble.setText(drawer.trouble().get().orElse(""));
        int at = table.getSelectionModel().getSelectedIndex();
        table.getItems().setAll(lines());
        if (at >= 0) {
            table.getSelectionModel().select(Math.min(at, table.getItems().size() - 1));
        }
        changing();
        var stock = drawer.stock().get();
        var work = bench.job().work();
        bench.ask().prepare(design -> cut(design, work, stock), this::show);
    }

    private static Cutting cut(Design design, Work work, Stock stock) {
        return Cutting.of(design, work, stock);
    }

    private List<Line> lines() {
        var stock = drawer.stock().get();
        var speech = bench.speech();
        var lines = new ArrayList<Line>();
        for (var spool : stock.spools()) {
            lines.add(
                    new Line(
                            Words.of("stock.spool", spool.number()) + "   " + wire(spool.cut()),
                            speech.say(spool.left()),
                            spool.cut().size().toString(),
                            amount ->
                                    now ->
                                            amount < 0
                                                    ? now.without(spool.number())
                                                    : now.holding(
                                                            spool.number(), new Metres(amount))));
        }
        stock.terminals()
                .forEach((key, count) -> {
                    var termination = new Termination(key);
                    lines.add(
                            new Line(
                                    speech.termination(termination),
                                    String.valueOf(count),
                                    key,
                                    amount ->
                                            now ->
                                                    now.counting(
                                                            termination,
                                                            (int) Math.max(0, amount))));
                });
        sleeves()
                .filter(each -> stock.sleeves().containsKey(Stock.key(each)))
                .forEach(each ->
                        lines.add(
                                new Line(
                                        name(each),
                                        speech.say(stock.length(each)),
                                        Stock.key(each),
                                        amount ->
                                                now ->
                                                        now.holding(
                                                                each,
                                                                new Metres(Math.max(0, amount))))));
        return lines;
    }

    private String wire(Cut cut) {
        return bench.speech().size(cut.size()) + " " + bench.speech().colour(cut.colour());
    }

    private static Stream<Coverings.Size> sleeves() {
        return Stream.of(Coverings.Sort.SHRINK, Coverings.Sort.LOOM_TUBE, Coverings.Sort.BRAID)
                .flatMap(each -> Coverings.of(each).stream());
    }

    private String name(Coverings.Size each) {
        return Words.of(
                "buy.covering",
                Words.of("covering.sort", each.sort()),
                bench.speech().say(each.bore()));
    }

    /** What is added: of which sort, which one, and how much. */
    private void adding() {
        var sorts = Choices.of(List.of(Sort.values()), each -> Words.of("stock.kind", each));
        sorts.setValue(sort);
        adding.getChildren()
                .setAll(
                        new Choice<>(
                                "stock-kind",
                                Words.of("stock.kind"),
                                sorts,
                                chosen -> {
                                    sort = chosen;
                                    adding();
                                }));
        switch (sort) {
            case WIRE -> wireChoices();
            case TERMINAL -> {
                var box =
                        Choices.of(
                                Terminals.all().stream()
                                        .map(each -> new Termination(each.key()))
                                        .toList(),
                                bench.speech()::termination);
                box.setValue(terminal);
                adding.getChildren()
                        .add(
                                new Choice<>(
                                        "stock-what",
                                        Words.of("stock.what"),
                                        box,
                                        chosen -> terminal = chosen));
            }
            case SLEEVE -> {
                var box = Choices.of(sleeves().toList(), this::name);
                box.setValue(sleeve);
                adding.getChildren()
                        .add(
                                new Choice<>(
                                        "stock-what",
                                        Words.of("stock.what"),
                                        box,
                                        chosen -> sleeve = chosen));
            }
        }
        adding.getChildren()
                .add(
                        new Field(
                                "stock-amount",
                                Words.of("stock.amount"),
                                "",
                                this::add,
                                Words.of("stock.amount.refused")));
    }

    private void wireChoices() {
        var standard = bench.design().rules().sizes();
        var sizes =
                Choices.of(
                        Conductors.of(standard).stream().map(each -> each.size()).toList(),
                        bench.speech()::size);
        if (!sizes.getItems().contains(size)) {
            size = sizes.getItems().getFirst();
        }
        sizes.setValue(size);
        var colours =
                Choices.of(
                        List.of(Colour.values()),
                        each -> Words.of("colour", each),
                        each -> Optional.of(Swatches.of(WireColour.plain(each))));
        colours.setValue(colour);
        var tracers = new ArrayList<Optional<Colour>>();
        tracers.add(Optional.empty());
        Arrays.stream(Colour.values()).map(Optional::of).forEach(tracers::add);
        var traced =
                Choices.of(
                        tracers,
                        each ->
                                each.map(found -> Words.of("colour", found))
                                        .orElse(Words.of("stock.tracer.none")));
        traced.setValue(tracer);
        adding.getChildren()
                .addAll(
                        new Choice<>(
                                "stock-size",
                                Words.of("stock.size"),
                                sizes,
                                chosen -> size = chosen),
                        new Choice<>(
                                "stock-colour",
                                Words.of("stock.colour"),
                                colours,
                                chosen -> colour = chosen),
                        new Choice<>(
                                "stock-tracer",
                                Words.of("stock.tracer"),
                                traced,
                                chosen -> tracer = chosen));
    }

    private boolean add(String text) {
        if (text.isBlank()) {
            return true;
        }
        try {
            boolean taken =
                    switch (sort) {
                        case WIRE ->
                                bench.units()
                                        .parseLength(text)
                                        .filter(length ->
                                                drawer.change(now -> now.adding(cut(), length)))
                                        .isPresent();
                        case TERMINAL ->
                                drawer.change(now ->
                                        now.counting(
                                                terminal,
                                                now.count(terminal) + Integer.parseInt(text)));
                        case SLEEVE ->
                                bench.units()
                                        .parseLength(text)
                                        .filter(length ->
                                                drawer.change(now ->
                                                        now.holding(
                                                                sleeve,
                                                                new Metres(
                                                                        now.length(sleeve).value()
                                                                                + length.value()))))
                                        .isPresent();
                    };
            if (taken) {
                adding();
            }
            return taken;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private Cut cut() {
        var as = new WireColour(colour, tracer);
        return new Cut(size, cover(as), as);
    }

    /** The cover that wires of this job have, those of the same colour first. */
    private Insulation cover(WireColour as) {
        return bench.design().wires().stream()
                .min(Comparator.comparing(wire -> !wire.colour().equals(as)))
                .map(Wire::insulation)
                .orElse(Insulation.PVC105);
    }

    /** What is left of what is chosen, and what it costs. */
    private void changing() {
        changing.getChildren().clear();
        chosen().ifPresent(line ->
                changing.getChildren()
                        .addAll(
                                Texts.label(line.what, "quiet"),
                                new Field(
                                        "stock-left",
                                        Words.of("stock.change"),
                                        line.left,
                                        text -> changed(line, text),
                                        Words.of("stock.amount.refused")),
                                new Field(
                                        "stock-price",
                                        Words.of("stock.price.change"),
                                        price(line).map(UserUnits::plain).orElse(""),
                                        text -> priced(line, text),
                                        Words.of("stock.price.refused")),
                                Texts.button(
                                        Words.of("stock.remove"),
                                        "plain-button",
                                        () -> drawer.change(line.change.apply(-1.0)))));
    }

    private boolean changed(Line line, String text) {
        try {
            double amount =
                    Terminals.find(line.key).isPresent()
                            ? Integer.parseInt(text)
                            : bench.units().parseLength(text).orElseThrow().value();
            return amount >= 0 && drawer.change(line.change.apply(amount));
        } catch (IllegalArgumentException | NoSuchElementException e) {
            return false;
        }
    }

    private boolean priced(Line line, String text) {
        try {
            double price = text.isBlank() ? 0 : Double.parseDouble(text.replace(',', '.'));
            return drawer.change(now -> now.pricing(line.key, price));
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private void show(Cutting cutting) {
        var speech = bench.speech();
        lacks.getChildren().clear();
        if (drawer.stock().get().spools().isEmpty()) {
            return;
        }
        if (cutting.shortfalls().isEmpty()) {
            lacks.getChildren()
                    .add(
                            Texts.wrapped(
                                    Words.of(
                                            "stock.enough",
                                            (int)
                                                    cutting.from().values().stream()
                                                            .distinct()
                                                            .count(),
                                            speech.say(cutting.opened()),
                                            speech.say(cutting.left())),
                                    "quiet"));
        }
        cutting.shortfalls().stream()
                .limit(5)
                .map(lacking -> Texts.wrapped(says(lacking, speech), "quiet"))
                .forEach(lacks.getChildren()::add);
    }

    private static String says(Shortfall lacking, Speech speech) {
        return Words.of(
                "stock.lacks",
                speech.size(lacking.cut().size()),
                speech.colour(lacking.cut().colour()),
                speech.say(lacking.length()),
                lacking.wires().size(),
                lacking.remedies().stream()
                        .map(remedy -> says(remedy, speech))
                        .collect(Collectors.joining(" ")),
                Words.of("insulation", lacking.cut().cover()));
    }

    private static String says(Remedy remedy, Speech speech) {
        return switch (remedy) {
            case Remedy.OtherColour(var spool) ->
                    Words.of(
                            "stock.help.OtherColour",
                            spool.number(),
                            speech.colour(spool.cut().colour()));
            case Remedy.Thicker(var spool) ->
                    Words.of("stock.help.Thicker", spool.number(), speech.size(spool.cut().size()));
            case Remedy.Buy(var metres, var roll, var price) ->
                    Words.of(
                            "stock.help.Buy"
                                    + (roll.isPresent() ? ".roll" : "")
                                    + (price.isPresent() ? ".price" : ""),
                            speech.say(metres),
                            roll.map(speech::say).orElse(""),
                            price.map(UserUnits::plain).orElse(""));
        };
    }
}
