package aficion.desktop.bench;

import aficion.bench.BenchPlan;
import aficion.bench.RunReadings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Setting;
import aficion.job.BenchRun.Verdict;
import aficion.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The test run of the circuit in focus: one step at a time in large type, or all of them in a
 * table.
 */
final class BenchView extends VBox {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH)
                    .withZone(ZoneId.systemDefault());

    private static final int LONGEST_NAME = 60;

    private final Workbench bench;
    private final Runs runs;
    private final Label title = Texts.label("", "sheet-title");
    private final Label state = Texts.label("", "quiet");
    private final Label caution = Texts.wrapped("", "caution");
    private final Label progress = Texts.label("", "strong");
    private final Button start = new Button();
    private final CheckBox whole = new CheckBox(Words.of("bench.whole"));
    private final StackPane middle = new StackPane();
    private final ScrollPane cardScroll = new ScrollPane();
    private final RunTable table;
    private final RunCard card;
    private final ReasonPanel aside;

    /**
     * @param command does what the window can be asked for, by the key of its words
     */
    BenchView(Workbench bench, Consumer<String> command) {
        this.bench = bench;
        this.runs = new Runs(bench);
        this.table = new RunTable(bench, runs);
        this.card = new RunCard(bench, runs, command);
        this.aside = new ReasonPanel(bench, runs, card);
        setId("bench");
        getStyleClass().add("sheet");
        progress.setId("bench-progress");
        whole.setId("bench-whole");
        whole.selectedProperty().bindBidirectional(bench.everyReading());
        start.setId("bench-start");
        start.getStyleClass().add("main-button");
        start.setOnAction(_ -> runs.start());
        var head = new HBox(14, title, state, Texts.spring(), progress, start);
        head.setStyle("-fx-alignment: center-left;");
        var practice =
                Texts.button(
                        Words.of("bench.practice"),
                        "plain-button",
                        () -> command.accept("menu.practice"));
        practice.setId("bench-practice");
        practice.setFocusTraversable(false);
        var how = new HBox(14, where(), by(), Texts.spring(), practice, whole);
        how.setStyle("-fx-alignment: center-left;");
        middle.setMinSize(0, 0);
        VBox.setVgrow(middle, Priority.ALWAYS);
        getChildren().addAll(head, how, caution, middle);
        for (var each : List.of(head, how, caution)) {
            each.setMinHeight(USE_PREF_SIZE);
        }
        cardScroll.setContent(card);
        cardScroll.getStyleClass().add("bench-scroll");
        cardScroll.setFitToWidth(true);
        cardScroll.setFitToHeight(true);
        cardScroll.setFocusTraversable(false);
        bench.plan().addListener((_, _, _) -> rebuild());
        bench.history().addListener((_, _, _) -> judge());
        sceneProperty().subscribe(scene -> bench.testing().set(scene != null));
        rebuild();
    }

    /** Where the circuit is tested. */
    private Node where() {
        var choice =
                Choices.of(
                        List.of(Setting.values()), setting -> Words.of("bench.setting", setting));
        choice.setId("bench-where");
        choice.valueProperty().bindBidirectional(bench.setting());
        choice.disableProperty().bind(whole.selectedProperty());
        choice.setFocusTraversable(false);
        return choice;
    }

    /** Who tests. */
    private Node by() {
        var name = new TextField(lastTester().orElse(""));
        name.setId("bench-by");
        name.setPromptText(Words.of("bench.by"));
        name.setAccessibleText(Words.of("bench.by"));
        name.setPrefColumnCount(12);
        name.setTextFormatter(
                new TextFormatter<>(change ->
                        change.getControlNewText().length() <= LONGEST_NAME ? change : null));
        name.textProperty()
                .subscribe(text ->
                        bench.tester()
                                .set(Optional.of(text.strip()).filter(given -> !given.isEmpty())));
        return name;
    }

    /** Who took the latest run of the job that says so. */
    private Optional<String> lastTester() {
        return bench.job().work().bench().reversed().stream()
                .flatMap(run -> run.by().stream())
                .findFirst();
    }

    /** What stands beside it. */
    ReasonPanel aside() {
        return aside;
    }

    private void rebuild() {
        boolean empty = runs.plan().filter(plan -> !plan.steps().isEmpty()).isEmpty();
        title.setText(
                runs.circuit()
                        .map(id -> bench.design().circuit(id).name())
                        .orElse(Words.of("bench.title")));
        caution.setText(Words.of("bench.caution.at", bench.setting().get()));
        if (empty) {
            middle.getChildren().setAll(Texts.label(Words.of(waits()), "empty"));
        } else if (bench.everyReading().get()) {
            middle.getChildren().setAll(table);
            table.rebuild();
        } else {
            middle.getChildren().setAll(cardScroll);
            card.rebuild();
        }
        judge();
    }

    /** What is said where there is no step: the run is being worked out, or there is nothing. */
    private String waits() {
        boolean wired =
                bench.focus()
                        .get()
                        .filter(id -> bench.design().find(id).isPresent())
                        .filter(id -> !bench.design().wiresOf(id).isEmpty())
                        .isPresent();
        return wired && runs.plan().isEmpty() ? "bench.waits" : "bench.none";
    }

    private void judge() {
        var run = runs.latest();
        state.setText(
                run.map(found -> Words.of("bench.begun", DATE.format(found.begun())))
                        .orElse(Words.of("bench.never")));
        start.setText(Words.of(run.isPresent() ? "bench.again" : "bench.start"));
        var steps = runs.plan().map(BenchPlan::steps).orElse(List.of());
        long done =
                steps.stream()
                        .filter(step -> run.flatMap(found -> found.reading(step.key())).isPresent())
                        .count();
        progress.setText(
                done > 0 && done == steps.size()
                        ? summary(run.orElseThrow())
                        : Words.of("bench.progress", done, steps.size()));
        table.judge();
        card.judge();
    }

    private static String summary(BenchRun run) {
        return Words.of(
                "bench.done",
                count(run, Verdict.PASS),
                count(run, Verdict.NEAR),
                count(run, Verdict.FAIL));
    }

    private static long count(BenchRun run, Verdict verdict) {
        return run.readings().stream()
                .filter(RunReadings::isTaken)
                .filter(reading -> reading.verdict() == verdict)
                .count();
    }
}
