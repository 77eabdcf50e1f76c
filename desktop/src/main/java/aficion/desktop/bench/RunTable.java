package aficion.desktop.bench;

import aficion.bench.BenchPlan;
import aficion.bench.TestStep;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Every step of a run, one a line: what is expected, what was measured and how it compares. */
final class RunTable extends VBox {
    private final Workbench bench;
    private final Runs runs;
    private final VBox list = new VBox();
    private final ScrollPane scroll = new ScrollPane(list);
    private final Map<String, Row> rows = new HashMap<>();
    private Optional<BenchPlan> plan = Optional.empty();

    /** The nodes of a step that change. */
    private record Row(
            TestStep step, HBox box, Optional<TextField> field, Label verdict, Label problem) {}

    RunTable(Workbench bench, Runs runs) {
        this.bench = bench;
        this.runs = runs;
        list.getStyleClass().add("bench-list");
        scroll.getStyleClass().add("bench-scroll");
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().add(scroll);
    }

    /** Shows the run that is worked by. */
    void rebuild() {
        list.getChildren().clear();
        rows.clear();
        plan = runs.plan();
        if (plan.isEmpty() || plan.get().steps().isEmpty()) {
            list.getChildren().add(Texts.label(Words.of("bench.none"), "empty"));
            judge();
            return;
        }
        TestStep.Stage stage = null;
        Conditions position = null;
        for (var step : plan.get().steps()) {
            if (step.stage() != stage) {
                stage = step.stage();
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

    private void seen(TestStep step, Verdict verdict) {
        runs.keep(runs.reading(step, Optional.empty(), verdict, Optional.empty()));
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
        runs.keep(runs.reading(step, value, expected.judge(value.get()), Optional.empty()));
        next(step).ifPresent(key -> rows.get(key).field().ifPresent(TextField::requestFocus));
    }

    private Optional<String> next(TestStep step) {
        var steps = plan.orElseThrow().steps();
        int index = steps.indexOf(step);
        return index + 1 < steps.size()
                ? Optional.of(steps.get(index + 1).key())
                : Optional.empty();
    }

    /** Shows what of it was read, and how it compares. */
    void judge() {
        var run = runs.latest();
        Optional<String> open = Optional.empty();
        for (var step : plan.map(BenchPlan::steps).orElse(List.of())) {
            var reading = run.flatMap(found -> found.reading(step.key()));
            show(rows.get(step.key()), reading);
            if (reading.isEmpty() && open.isEmpty()) {
                open = Optional.of(step.key());
            }
        }
        rows.values().forEach(row -> row.box().getStyleClass().remove("next"));
        open.filter(_ -> run.isPresent())
                .ifPresent(key -> rows.get(key).box().getStyleClass().add("next"));
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
                                reading.flatMap(Reading::value).map(RunTable::plain).orElse("")));
    }

    private static String plain(double value) {
        if (value >= UserUnits.OVER_RANGE_OHMS) {
            return UserUnits.OVER_RANGE;
        }
        return UserUnits.plain(value);
    }
}
