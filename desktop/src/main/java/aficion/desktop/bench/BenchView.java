package aficion.desktop.bench;

import aficion.bench.BenchPlan;
import aficion.bench.TestStep;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.edit.WorkEdit;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The test run of the circuit in focus: each step with what is expected, beside it what was
 * measured and how it compares.
 */
final class BenchView extends VBox {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH)
                    .withZone(ZoneId.systemDefault());

    private final Workbench bench;
    private final Label title = Texts.label("", "sheet-title");
    private final Label state = Texts.label("", "quiet");
    private final Label progress = Texts.label("", "strong");
    private final Button start = new Button();
    private final VBox list = new VBox();
    private final ScrollPane scroll = new ScrollPane(list);
    private final Map<String, Row> rows = new HashMap<>();
    private Optional<BenchPlan> plan = Optional.empty();

    /** The nodes of a step that change. */
    private record Row(
            TestStep step, HBox box, Optional<TextField> field, Label verdict, Label problem) {}

    BenchView(Workbench bench) {
        this.bench = bench;
        setId("bench");
        getStyleClass().add("sheet");
        progress.setId("bench-progress");
        list.getStyleClass().add("bench-list");
        scroll.getStyleClass().add("bench-scroll");
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        start.setId("bench-start");
        start.getStyleClass().add("main-button");
        start.setOnAction(_ -> start());
        var head = new HBox(14, title, state, Texts.spring(), progress, start);
        head.setStyle("-fx-alignment: center-left;");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, Texts.wrapped(Words.of("bench.caution"), "caution"), scroll);
        bench.plan().addListener((_, _, _) -> rebuild());
        bench.history().addListener((_, _, _) -> judge());
        rebuild();
    }

    /** The circuit that the plan shown is of, while the job has it. */
    private Optional<CircuitId> circuit() {
        return plan.map(BenchPlan::circuit).filter(id -> bench.design().find(id).isPresent());
    }

    private void rebuild() {
        list.getChildren().clear();
        rows.clear();
        plan = bench.plan().get().map(ForJob::made);
        title.setText(
                circuit()
                        .map(id -> bench.design().circuit(id).name())
                        .orElse(Words.of("bench.title")));
        if (plan.isEmpty() || plan.get().steps().isEmpty()) {
            list.getChildren().add(Texts.label(Words.of("bench.none"), "empty"));
            judge();
            return;
        }
        TestStep.Stage stage = null;
        Conditions position = null;
        for (var step : plan.get().steps()) {
            if (step.task().stage() != stage) {
                stage = step.task().stage();
                list.getChildren().add(Texts.label(Words.of("bench.stage", stage), "bench-stage"));
            }
            var needed = step.task().state();
            if (needed.isPresent() && !needed.get().equals(position)) {
                position = needed.get();
                list.getChildren().add(position(position));
            }
            list.getChildren().add(row(step));
        }
        judge();
    }

    private Node position(Conditions conditions) {
        var set =
                Texts.button(
                        Words.of("bench.set"),
                        "plain-button",
                        () -> bench.conditions().set(conditions));
        set.setAccessibleHelp(Words.of("bench.set.help"));
        var box =
                new HBox(
                        Texts.label(bench.speech().conditions(conditions), "strong", "brass-text"),
                        set);
        box.getStyleClass().add("bench-position");
        return box;
    }

    private Node row(TestStep step) {
        var task = Texts.wrapped(bench.speech().task(step.task()));
        HBox.setHgrow(task, Priority.ALWAYS);
        task.setMaxWidth(Double.MAX_VALUE);
        var expected = Texts.label(bench.speech().expected(step.expected()), "condensed");
        expected.setMinWidth(110);
        expected.setStyle("-fx-font-size: 14px;");
        var verdict = Texts.label("", "verdict");
        var problem = Texts.wrapped("", "danger-text");
        problem.setVisible(false);
        problem.setManaged(false);
        var box = new HBox(task, expected);
        box.getStyleClass().add("bench-step");
        box.setId("step-" + step.key());
        Optional<TextField> field = Optional.empty();
        if (step.expected().isPresent()) {
            var text = new TextField();
            text.setPromptText(step.expected().get().unit().symbol());
            text.setAccessibleText(bench.speech().task(step.task()));
            text.setOnAction(_ -> measured(step, text.getText()));
            field = Optional.of(text);
            box.getChildren().add(text);
        } else {
            box.getChildren()
                    .addAll(
                            judging("bench.ok", step, Verdict.PASS),
                            judging("bench.bad", step, Verdict.FAIL));
        }
        verdict.setMinWidth(Region.USE_PREF_SIZE);
        verdict.setPrefWidth(48);
        box.getChildren().add(verdict);
        rows.put(step.key(), new Row(step, box, field, verdict, problem));
        return new VBox(box, problem);
    }

    private Node judging(String words, TestStep step, Verdict verdict) {
        var button = Texts.button(Words.of(words), "plain-button", () -> seen(step, verdict));
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private void start() {
        circuit()
                .ifPresent(id ->
                        bench.perform(
                                new WorkEdit.KeepRun(
                                        new BenchRun(id, bench.clock().instant(), List.of()))));
    }

    private void seen(TestStep step, Verdict verdict) {
        keep(new Reading(step.key(), Optional.empty(), verdict, bench.clock().instant()));
    }

    private void measured(TestStep step, String text) {
        var expected = step.expected().orElseThrow();
        var value = UserUnits.parseReading(text, expected.unit());
        var row = rows.get(step.key());
        row.problem().setVisible(value.isEmpty());
        row.problem().setManaged(value.isEmpty());
        if (value.isEmpty()) {
            row.problem().setText(Words.of("bench.unreadable", text, expected.unit().symbol()));
            return;
        }
        keep(new Reading(step.key(), value, expected.judge(value.get()), bench.clock().instant()));
        next(step).ifPresent(key -> rows.get(key).field().ifPresent(TextField::requestFocus));
    }

    private Optional<String> next(TestStep step) {
        var steps = plan.orElseThrow().steps();
        int index = steps.indexOf(step);
        return index + 1 < steps.size()
                ? Optional.of(steps.get(index + 1).key())
                : Optional.empty();
    }

    private void keep(Reading reading) {
        circuit()
                .ifPresent(id -> {
                    Instant now = bench.clock().instant();
                    var run =
                            bench.job()
                                    .work()
                                    .latestRun(id)
                                    .orElseGet(() -> new BenchRun(id, now, List.of()));
                    bench.perform(new WorkEdit.KeepRun(run.with(reading)));
                });
    }

    private void judge() {
        var run = circuit().flatMap(id -> bench.job().work().latestRun(id));
        state.setText(
                run.map(found -> Words.of("bench.begun", DATE.format(found.begun())))
                        .orElse(Words.of("bench.never")));
        start.setText(Words.of(run.isPresent() ? "bench.again" : "bench.start"));
        String open = null;
        int done = 0;
        for (var step : plan.map(BenchPlan::steps).orElse(List.of())) {
            var row = rows.get(step.key());
            var reading = run.flatMap(found -> found.reading(step.key()));
            show(row, reading);
            done += reading.isPresent() ? 1 : 0;
            if (reading.isEmpty() && open == null) {
                open = step.key();
            }
        }
        for (var row : rows.values()) {
            row.box().getStyleClass().remove("next");
        }
        if (open != null && run.isPresent()) {
            rows.get(open).box().getStyleClass().add("next");
        }
        progress.setText(Words.of("bench.progress", done, rows.size()));
        if (done > 0 && done == rows.size()) {
            progress.setText(summary(run.orElseThrow()));
        }
    }

    private static String summary(BenchRun run) {
        return Words.of(
                "bench.done",
                count(run, Verdict.PASS),
                count(run, Verdict.NEAR),
                count(run, Verdict.FAIL));
    }

    private static long count(BenchRun run, Verdict verdict) {
        return run.readings().stream().filter(reading -> reading.verdict() == verdict).count();
    }

    private static void show(Row row, Optional<Reading> reading) {
        row.verdict().getStyleClass().removeAll("pass", "near", "fail");
        row.verdict()
                .setText(
                        reading.map(found -> Words.of("bench.verdict", found.verdict()))
                                .orElse(""));
        reading.ifPresent(found ->
                row.verdict().getStyleClass().add(found.verdict().name().toLowerCase(Locale.ROOT)));
        row.field()
                .filter(field -> !field.isFocused() || reading.isPresent())
                .ifPresent(field ->
                        field.setText(
                                reading.flatMap(Reading::value).map(BenchView::plain).orElse("")));
    }

    private static String plain(double value) {
        if (value >= UserUnits.OVER_RANGE_OHMS) {
            return UserUnits.OVER_RANGE;
        }
        return UserUnits.plain(value);
    }
}
