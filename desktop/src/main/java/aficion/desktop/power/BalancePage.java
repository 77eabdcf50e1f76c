package aficion.desktop.power;

import aficion.charge.Balance;
import aficion.charge.Drawn;
import aficion.charge.Situation;
import aficion.charge.Storage;
import aficion.desktop.drawing.MarksPane;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.files.sheet.PowerSheet;
import aficion.job.Job;
import aficion.job.Speeds;
import aficion.job.edit.WorkEdit.Asked;
import aficion.plot.Plot;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.words.Plots;
import aficion.words.PowerWords;
import aficion.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * A situation chosen by a press, what the source can give and what the loads take over engine
 * speed, the loads one by one, and how the battery fares. Dragging over the plot turns the engine
 * of the whole vehicle.
 */
final class BalancePage extends SumPage {
    private static final int COLUMNS = 2;
    private static final int SHOWN = 10;
    private static final double BAR = 90;
    private static final double LEAST_BAR = 3;
    private static final double HOUR_WIDE = 250;
    private static final double HOUR_HIGH = 92;
    private static final double LEAST_PLOT = 150;
    private static final double STEP = 50;

    private final FlowPane chips = new FlowPane(6, 6);
    private final ToggleGroup group = new ToggleGroup();
    private final MarksPane plot = new MarksPane("power-plot");
    private final MarksPane hour = new MarksPane("power-hour");
    private final GridPane loads = new GridPane(10, 3);
    private final Label battery = Texts.wrapped("", "strong");
    private final Label still = Texts.wrapped("", "sheet-title");
    private final TextField name = field("power-own-name", "power.own.name", 12, this::keep);
    private final Trouble trouble = new Trouble();
    private final Region forget;
    private final AnotherSourceBox another;
    private final SourceBox source;
    private final Papers papers;
    private String chosen = Situation.WET_NIGHT;
    private Optional<Found> found = Optional.empty();
    private Optional<Plot> drawn = Optional.empty();

    /** What was worked out of a job in a situation. */
    private record Found(
            List<Situation> situations, Balance balance, List<Drawn> drawn, Storage storage) {
        static Found of(Job job, String wanted) {
            var sums = job.work().sums();
            var all = Situation.of(job.design(), sums);
            var situation =
                    all.stream()
                            .filter(each -> each.name().equals(wanted))
                            .reduce((_, later) -> later)
                            .orElse(all.getFirst());
            var balance = Balance.of(job.design(), situation, sums);
            return new Found(
                    all,
                    balance,
                    Drawn.of(job.design(), situation, balance.speeds().cruise()),
                    Storage.of(job.design(), all));
        }
    }

    BalancePage(Surroundings with) {
        super(with.bench(), "balance");
        papers = with.papers();
        another = new AnotherSourceBox(with, this::draw);
        source = new SourceBox(with.bench());
        chips.setMinHeight(USE_PREF_SIZE);
        plot.setMinHeight(LEAST_PLOT);
        plot.setPrefHeight(LEAST_PLOT);
        VBox.setVgrow(plot, Priority.ALWAYS);
        plot.addEventHandler(MouseEvent.MOUSE_PRESSED, this::turn);
        plot.addEventHandler(MouseEvent.MOUSE_DRAGGED, this::turn);
        plot.setAccessibleText(Words.of("power.rpm"));
        hour.setMinSize(HOUR_WIDE, HOUR_HIGH);
        hour.setPrefSize(HOUR_WIDE, HOUR_HIGH);
        still.setId("power-still");
        battery.setId("power-battery");
        loads.setId("power-loads");
        loads.setMinHeight(USE_PREF_SIZE);
        for (int i = 0; i < COLUMNS; i++) {
            var says = new ColumnConstraints();
            says.setPercentWidth(20);
            var bar = new ColumnConstraints(BAR);
            var figure = new ColumnConstraints();
            figure.setHgrow(Priority.ALWAYS);
            loads.getColumnConstraints().addAll(says, bar, figure);
        }
        forget = button("power-own-forget", "power.own.forget", "plain-button", this::forget);
        var own =
                row(
                        name,
                        button("power-own-keep", "power.own.keep", "outline-button", this::keep),
                        forget,
                        button("power-svg", "power.svg", "plain-button", this::svg),
                        trouble);
        HBox.setHgrow(battery, Priority.ALWAYS);
        var fares = new HBox(12, battery, hour);
        fares.getStyleClass().add("sum-card");
        fares.setMinHeight(USE_PREF_SIZE);
        getChildren()
                .addAll(
                        chips,
                        plot,
                        still,
                        Texts.caption(Words.of("power.loads")),
                        loads,
                        fares,
                        own);
        bench.conditions().addListener((_, _, _) -> draw());
    }

    @Override
    void work() {
        var wanted = chosen;
        var job = bench.job();
        bench.ask()
                .prepare(
                        design -> Found.of(job.with(design), wanted),
                        made -> {
                            found = Optional.of(made);
                            show(made);
                        });
    }

    private void choose(Situation situation) {
        chosen = situation.name();
        work();
    }

    /** The switches as they stand now are a situation of the user's own. */
    private void keep() {
        var called = name.getText().strip();
        var now = bench.conditions().get();
        found.ifPresent(made -> {
            chosen = called;
            setDown(
                    Asked.USAGE,
                    trouble,
                    "power.own.refused",
                    sums -> sums.with(made.balance().situation().at(now).kept(called)));
        });
    }

    private void forget() {
        sums().usages().stream()
                .filter(each -> each.name().equals(chosen))
                .findFirst()
                .ifPresent(usage ->
                        setDown(
                                Asked.USAGE,
                                trouble,
                                "power.own.refused",
                                sums -> sums.without(usage)));
    }

    /** The plot as a file. */
    private void svg() {
        var units = bench.units();
        found.ifPresent(made ->
                papers.keep(
                        "power.svg",
                        "file.svg",
                        design ->
                                PowerSheet.svg(design, made.balance(), units)
                                        .getBytes(StandardCharsets.UTF_8)));
    }

    private void show(Found made) {
        chips(made);
        boolean turns = made.balance().situation().turns();
        for (var each : List.of(plot, hour)) {
            each.setVisible(turns);
            each.setManaged(turns);
        }
        still.setVisible(!turns);
        still.setManaged(!turns);
        forget.setVisible(made.balance().situation().own());
        if (!turns) {
            still.setText(words().still(made.balance()));
        }
        loads(
                made.drawn(),
                made.balance().cruise().filter(_ -> inWatts()).map(Balance.Point::battery));
        var balance = made.balance();
        battery.setText(
                String.join(
                                " ",
                                words().fares(balance),
                                words().hour(balance),
                                inWatts() ? words().room(balance) : "",
                                words().held(balance))
                        .strip());
        hour.show(new Plots(bench.units()).hour(balance)::marks);
        draw();
        beside(made);
    }

    private void draw() {
        found.filter(made -> made.balance().situation().turns())
                .ifPresent(made -> {
                    var picture =
                            new Plots(bench.units())
                                    .balance(
                                            made.balance(),
                                            another.chosen(),
                                            Optional.of(bench.conditions().get().engine()),
                                            inWatts());
                    drawn = Optional.of(picture);
                    plot.show(picture::marks);
                });
    }

    /** The engine turns as fast as the plot says where the pointer is. */
    private void turn(MouseEvent event) {
        drawn.ifPresent(picture -> {
            double rpm = picture.across(event.getX(), plot.getWidth());
            bench.conditions()
                    .set(
                            bench.conditions()
                                    .get()
                                    .withEngine(new Rpm(STEP * Math.round(rpm / STEP))));
            event.consume();
        });
    }

    private void chips(Found made) {
        chips.getChildren().clear();
        for (var situation : made.situations()) {
            var chip = new ToggleButton(PowerWords.name(situation));
            chip.setId("power-" + situation.name());
            chip.getStyleClass().add("log-chip");
            chip.setToggleGroup(group);
            chip.setSelected(situation.equals(made.balance().situation()));
            chip.setOnAction(_ -> {
                chip.setSelected(true);
                choose(situation);
            });
            chips.getChildren().add(chip);
        }
    }

    private boolean inWatts() {
        return Balance.isInWatts(bench.design().vehicle());
    }

    private void loads(List<Drawn> drawn, Optional<Volts> across) {
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
            var load = Texts.label(bench.design().part(each.part()).name());
            var figure = Texts.label(words().drawn(each, across), "condensed");
            int column = 3 * (i / Math.max(1, rows));
            loads.add(load, column, i % rows);
            loads.add(bar, column + 1, i % rows);
            loads.add(figure, column + 2, i % rows);
        }
    }

    private PowerWords words() {
        return new PowerWords(bench.units());
    }

    private void beside(Found made) {
        var balance = made.balance();
        another.show(made.balance().situation());
        source.show();
        beside.getChildren().setAll(List.of(another, Texts.rule(), source, Texts.rule()));
        beside.getChildren().add(Texts.caption(Words.of("storage.title")));
        beside.getChildren().addAll(lines(words().storage(made.storage(), bench.design())));
        beside.getChildren().add(Texts.wrapped(words().stands(made.storage().stands())));
        if (balance.situation().turns()) {
            beside.getChildren().add(Texts.rule());
            figures("power.at.idle", balance.idle());
            figures("power.at.road", balance.cruise());
        }
        beside.getChildren().addAll(Texts.rule(), speeds(balance.speeds()));
        beside.getChildren()
                .addAll(Texts.rule(), Texts.wrapped(Words.of("power.caution"), "log-caution"));
    }

    private void figures(String head, Optional<Balance.Point> at) {
        at.ifPresent(point ->
                beside.getChildren()
                        .addAll(
                                Texts.caption(Words.of(head, print(point.engine()))),
                                Texts.figure(Words.of("power.source"), print(point.source())),
                                Texts.figure(Words.of("power.load"), print(point.load())),
                                Texts.figure(Words.of("power.net"), print(point.net())),
                                Texts.figure(Words.of("power.volts"), print(point.battery()))));
    }

    /** Idle, cruise and top, to be written over. */
    private VBox speeds(Speeds speeds) {
        var said = new Trouble();
        var idle = field("power-idle", "plot.idle", 5, () -> {});
        var cruise = field("power-cruise", "plot.cruise", 5, () -> {});
        var top = field("power-top", "plot.top", 5, () -> {});
        idle.setText(String.valueOf(Math.round(speeds.idle().value())));
        cruise.setText(String.valueOf(Math.round(speeds.cruise().value())));
        top.setText(String.valueOf(Math.round(speeds.top().value())));
        Runnable note =
                () ->
                        setDown(
                                Asked.SPEEDS,
                                said,
                                "power.speeds.refused",
                                sums ->
                                        sums.with(
                                                new Speeds(
                                                        new Rpm(number(idle)),
                                                        new Rpm(number(cruise)),
                                                        new Rpm(number(top)))));
        List.of(idle, cruise, top).forEach(each -> each.setOnAction(_ -> note.run()));
        return new VBox(
                6,
                Texts.caption(Words.of("power.speeds")),
                row(
                        idle,
                        cruise,
                        top,
                        button("power-speeds", "power.speeds.note", "plain-button", note)),
                said);
    }
}
