package aficion.desktop.power;

import aficion.charge.Balance;
import aficion.charge.Drawn;
import aficion.charge.Situation;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Design;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Quantity;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.words.PowerWords;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * A situation chosen by a press, what the source can give and what the loads take over engine
 * speed, the loads one by one, and how the battery fares. The engine speed of the conditions is
 * marked on the plot and moves with it.
 */
final class PowerView extends VBox {
    private static final int COLUMNS = 2;
    private static final int SHOWN = 12;
    private static final double BAR = 120;
    private static final double LEAST_BAR = 3;

    private final Workbench bench;
    private final HBox chips = new HBox(6);
    private final ToggleGroup group = new ToggleGroup();
    private final NumberAxis speed = new NumberAxis();
    private final NumberAxis amps = new NumberAxis();
    private final LineChart<Number, Number> chart = new LineChart<>(speed, amps);
    private final GridPane loads = new GridPane(14, 5);
    private final Label battery = Texts.wrapped("", "strong");
    private final Label still = Texts.wrapped("", "sheet-title");
    private final VBox beside = new VBox(7);
    private final ScrollPane aside = new ScrollPane(beside);
    private Optional<Design> shown = Optional.empty();
    private String chosen = Situation.WET_NIGHT;
    private Optional<Found> found = Optional.empty();

    /** What was worked out of a design in a situation. */
    private record Found(
            List<String> names, Balance balance, List<Drawn> drawn, Optional<Seconds> standing) {}

    PowerView(Workbench bench) {
        super(12);
        this.bench = bench;
        setId("power");
        getStyleClass().add("sheet");
        chips.setMinHeight(USE_PREF_SIZE);
        speed.setLabel(Words.of("power.rpm"));
        amps.setLabel(Words.of("power.amps"));
        speed.setForceZeroInRange(true);
        chart.setId("power-chart");
        chart.setCreateSymbols(false);
        chart.setAnimated(false);
        chart.setLegendVisible(true);
        chart.setMinHeight(200);
        chart.getStyleClass().add("power-chart");
        VBox.setVgrow(chart, Priority.ALWAYS);
        still.setId("power-still");
        battery.setId("power-battery");
        loads.setId("power-loads");
        for (int i = 0; i < COLUMNS; i++) {
            var name = new ColumnConstraints();
            name.setPercentWidth(22);
            var bar = new ColumnConstraints(BAR);
            var figure = new ColumnConstraints();
            figure.setHgrow(Priority.ALWAYS);
            loads.getColumnConstraints().addAll(name, bar, figure);
        }
        var fares = new VBox(4, battery);
        fares.getStyleClass().add("log-card");
        fares.setMinHeight(USE_PREF_SIZE);
        loads.setMinHeight(USE_PREF_SIZE);
        getChildren()
                .addAll(chips, chart, still, Texts.caption(Words.of("power.loads")), loads, fares);
        aside.getStyleClass().addAll("inspector", "inspector-scroll");
        aside.setFitToWidth(true);
        aside.setFocusTraversable(false);
        beside.getStyleClass().add("inspector-body");
        bench.history().addListener((_, _, _) -> refresh());
        bench.conditions().addListener((_, _, _) -> found.ifPresent(this::mark));
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    Node aside() {
        return aside;
    }

    private void refresh() {
        boolean known = shown.filter(design -> design == bench.design()).isPresent();
        if (getScene() != null && !known) {
            ask();
        }
    }

    private void ask() {
        var wanted = chosen;
        bench.ask()
                .prepare(
                        design -> find(design, wanted),
                        made -> {
                            shown = Optional.of(bench.design());
                            found = Optional.of(made);
                            show(made);
                        });
    }

    private static Found find(Design design, String wanted) {
        var all = Situation.of(design);
        var situation =
                all.stream()
                        .filter(each -> each.name().equals(wanted))
                        .findFirst()
                        .orElse(all.getFirst());
        var parked = all.stream().filter(each -> each.name().equals(Situation.PARKED)).findFirst();
        var standing =
                parked.map(each -> Balance.of(design, each))
                        .flatMap(rest -> rest.points().stream().findFirst().flatMap(rest::lasts));
        return new Found(
                all.stream().map(Situation::name).toList(),
                Balance.of(design, situation),
                Drawn.of(design, situation, OperatingStates.ROAD),
                standing);
    }

    private void show(Found made) {
        chips(made);
        boolean turns = made.balance().situation().turns();
        chart.setVisible(turns);
        chart.setManaged(turns);
        still.setVisible(!turns);
        still.setManaged(!turns);
        if (turns) {
            plot(made.balance());
        } else {
            still.setText(words().still(made.balance()));
        }
        loads(made.drawn());
        var balance = made.balance();
        battery.setText((words().fares(balance) + " " + words().held(balance)).strip());
        beside(made);
        mark(made);
    }

    private void chips(Found made) {
        var names = made.names();
        chips.getChildren().clear();
        for (var name : names) {
            var chip = new ToggleButton(Words.of("situation." + name));
            chip.setId("power-" + name);
            chip.getStyleClass().add("log-chip");
            chip.setToggleGroup(group);
            chip.setSelected(name.equals(made.balance().situation().name()));
            chip.setOnAction(_ -> {
                chip.setSelected(true);
                chosen = name;
                ask();
            });
            chips.getChildren().add(chip);
        }
    }

    private void plot(Balance balance) {
        chart.getData()
                .setAll(
                        List.of(
                                line("power.source", balance, Balance.Point::source),
                                line("power.load", balance, Balance.Point::load),
                                new XYChart.Series<>(
                                        Words.of("power.now"),
                                        FXCollections.observableArrayList())));
    }

    private static XYChart.Series<Number, Number> line(
            String words, Balance balance, Function<Balance.Point, Amps> figure) {
        var series = new XYChart.Series<Number, Number>();
        series.setName(Words.of(words));
        balance.points()
                .forEach(point ->
                        series.getData()
                                .add(
                                        new XYChart.Data<>(
                                                point.engine().value(),
                                                figure.apply(point).value())));
        return series;
    }

    /** Where the engine turns now: a line from nothing to what the source can give. */
    private void mark(Found made) {
        if (chart.getData().size() < 3) {
            return;
        }
        var now = chart.getData().get(2);
        double rpm = bench.conditions().get().engine().value();
        now.getData().clear();
        made.balance()
                .at(new Rpm(rpm))
                .filter(_ -> rpm > 0)
                .ifPresent(point -> {
                    double top = Math.max(point.source().value(), point.load().value());
                    now.getData().add(new XYChart.Data<>(rpm, 0));
                    now.getData().add(new XYChart.Data<>(rpm, top));
                });
    }

    private void loads(List<Drawn> drawn) {
        loads.getChildren().clear();
        double most = drawn.stream().mapToDouble(each -> each.mean().value()).max().orElse(1);
        int count = Math.min(SHOWN, drawn.size());
        int rows = (count + COLUMNS - 1) / COLUMNS;
        for (int i = 0; i < count; i++) {
            var each = drawn.get(i);
            var bar = new Region();
            bar.getStyleClass().add("power-bar");
            bar.setMaxSize(Math.max(LEAST_BAR, BAR * each.mean().value() / most), 9);
            bar.setPrefSize(bar.getMaxWidth(), 9);
            var name = Texts.label(bench.design().part(each.part()).name());
            var figure = Texts.label(words().drawn(each), "condensed");
            int column = 3 * (i / Math.max(1, rows));
            loads.add(name, column, i % rows);
            loads.add(bar, column + 1, i % rows);
            loads.add(figure, column + 2, i % rows);
        }
    }

    private PowerWords words() {
        return new PowerWords(bench.units());
    }

    private String print(Quantity quantity) {
        return bench.units().print(quantity);
    }

    private void beside(Found made) {
        var balance = made.balance();
        beside.getChildren()
                .setAll(
                        Texts.wrapped(
                                Words.of("situation." + balance.situation().name()),
                                "inspector-title"),
                        Texts.rule());
        if (balance.situation().turns()) {
            beside.getChildren()
                    .add(
                            Texts.wrapped(
                                    words().even(balance),
                                    balance.breaksEven().isPresent()
                                            ? "good-text"
                                            : "danger-text"));
            figures(balance, "power.at.idle", OperatingStates.IDLE);
            figures(balance, "power.at.road", OperatingStates.ROAD);
        }
        beside.getChildren().addAll(Texts.rule(), Texts.caption(Words.of("power.standing")));
        beside.getChildren().add(Texts.wrapped(words().stands(made.standing())));
        beside.getChildren()
                .addAll(Texts.rule(), Texts.wrapped(Words.of("power.caution"), "log-caution"));
    }

    private void figures(Balance balance, String head, Rpm engine) {
        balance.at(engine)
                .ifPresent(point ->
                        beside.getChildren()
                                .addAll(
                                        Texts.rule(),
                                        Texts.caption(Words.of(head, print(point.engine()))),
                                        Texts.figure(
                                                Words.of("power.source"), print(point.source())),
                                        Texts.figure(Words.of("power.load"), print(point.load())),
                                        Texts.figure(Words.of("power.net"), print(point.net())),
                                        Texts.figure(
                                                Words.of("power.volts"), print(point.battery()))));
    }
}
