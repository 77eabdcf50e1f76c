package aficion.desktop.bench;

import aficion.bench.BenchPlan;
import aficion.bench.RightThough;
import aficion.bench.TestStep;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * One step of a run in large type, what it should show beside what is measured, and the next three.
 * Space passes it, N is near, F fails it, U leaves it untested with a reason, B goes back; a number
 * and Enter is judged by itself.
 */
final class RunCard extends VBox {
    private static final int THEN = 2;

    private final Workbench bench;
    private final Runs runs;
    private final StageBar pips = new StageBar();
    private final Label position = Texts.label("", "caption", "brass-text");
    private final Button set = Texts.button(Words.of("bench.set"), "plain-button", this::set);
    private final Label task = Texts.wrapped("", "bench-task");
    private final Label expected = Texts.label("", "bench-figure");
    private final Label verdict = Texts.label("", "verdict");
    private final TextField field = new TextField();
    private final Label problem = Texts.wrapped("", "danger-text");
    private final Label caution = Texts.wrapped("", "caution");
    private final Label right = Texts.wrapped("", "quiet");
    private final VBox then = new VBox(3);
    private final LampTable lamps = new LampTable();
    private final Label coverage = Texts.wrapped("", "quiet");
    private final InstrumentBar instruments;
    private Optional<TestStep> advised = Optional.empty();
    private boolean asksWhy;

    /** Whether the key that is down has done something. */
    private boolean acted;

    private int at;

    /**
     * @param command does what the window can be asked for, by the key of its words
     */
    RunCard(Workbench bench, Runs runs, Consumer<String> command) {
        super(12);
        this.bench = bench;
        this.runs = runs;
        setId("bench-card");
        field.setId("bench-field");
        field.getStyleClass().add("bench-measured");
        caution.setId("bench-caution");
        right.managedProperty().bind(right.textProperty().isNotEmpty());
        caution.managedProperty().bind(caution.textProperty().isNotEmpty());
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        field.setOnAction(_ -> entered());
        set.setAccessibleHelp(Words.of("bench.set.help"));
        set.setId("bench-set");
        task.setId("bench-task");
        expected.setId("bench-expected");
        coverage.setId("bench-coverage");
        var onPath = shown("bench.show", "view.trace", command);
        var onBoard = shown("bench.board", "view.board", command);
        onBoard.setVisible(bench.design().body().isPresent());
        onBoard.setManaged(bench.design().body().isPresent());
        var where = new HBox(14, position, Texts.spring(), set, onPath, onBoard);
        where.setAlignment(Pos.CENTER_LEFT);
        var figures =
                new HBox(
                        40,
                        new VBox(4, Texts.caption(Words.of("bench.expected")), expected),
                        new VBox(4, Texts.caption(Words.of("bench.measured")), field),
                        verdict);
        figures.setAlignment(Pos.BOTTOM_LEFT);
        var card = new VBox(14, where, task, figures, right, caution, problem);
        card.setMinHeight(USE_PREF_SIZE);
        card.getStyleClass().add("bench-card");
        var buttons =
                new HBox(
                        10,
                        act("pass", "main-button", () -> judged(Verdict.PASS)),
                        act("near", "key-button", () -> judged(Verdict.NEAR)),
                        act("fail", "key-button", () -> judged(Verdict.FAIL)),
                        act("untested", "key-button", this::askWhy),
                        act("back", "key-button", this::back));
        var spring = new Region();
        VBox.setVgrow(spring, Priority.ALWAYS);
        instruments = new InstrumentBar(bench, runs, this::read);
        getChildren().addAll(pips, card, buttons, instruments, then, lamps, spring, coverage);
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        bench.conditions().addListener((_, _, _) -> judge());
        sceneProperty()
                .subscribe(scene -> {
                    if (scene != null) {
                        judge();
                        field.requestFocus();
                    }
                });
    }

    private Button act(String name, String style, Runnable action) {
        var button = Texts.button(Words.of("bench.act." + name), style, action);
        button.setId("bench-" + name);
        button.setFocusTraversable(false);
        return button;
    }

    /** Shows where the step is on another screen. */
    private Button shown(String words, String screen, Consumer<String> command) {
        var button =
                Texts.button(
                        Words.of(words),
                        "plain-button",
                        () -> {
                            choose();
                            command.accept(screen);
                        });
        button.setId(words.replace('.', '-'));
        button.setFocusTraversable(false);
        return button;
    }

    /** Begins with the first step that is open. */
    void rebuild() {
        advised = Optional.empty();
        at = 0;
        lamps.show(bench.speech(), runs.plan().flatMap(BenchPlan::lamps));
        forward();
        judge();
        field.requestFocus();
    }

    /** Takes up a reading that is advised. */
    void take(TestStep step) {
        advised = Optional.of(step);
        set();
        judge();
        field.requestFocus();
    }

    private List<TestStep> steps() {
        return runs.plan().map(BenchPlan::steps).orElse(List.of());
    }

    private Optional<TestStep> step() {
        return runs.plan().isEmpty()
                ? Optional.empty()
                : advised.or(() -> steps().stream().skip(at).findFirst());
    }

    private Optional<Reading> reading(TestStep step) {
        return runs.latest().flatMap(run -> run.reading(step.key()));
    }

    private void forward() {
        var steps = steps();
        while (at < steps.size() - 1 && reading(steps.get(at)).isPresent()) {
            at++;
        }
    }

    /** Shows the step as it is. */
    void judge() {
        if (getScene() == null || step().isEmpty()) {
            return;
        }
        var step = step().get();
        var speech = bench.speech();
        var state = step.task().state();
        position.setText(
                state.map(speech::conditions).orElse(Words.of("bench.stage", step.stage())));
        set.setVisible(state.filter(wanted -> !stands(wanted)).isPresent());
        task.setText(speech.task(step.task()));
        expected.setText(speech.expected(step.expected()));
        caution.setText(caution(step.task()).map(Words::of).orElse(""));
        right.setText(right(step.task()).orElse(""));
        var known = reading(step);
        boolean stale = runs.isStale(step);
        verdict.setText(
                known.map(found ->
                                stale
                                        ? Words.of("bench.stale")
                                        : Words.of("bench.verdict", found.verdict()))
                        .orElse(""));
        verdict.getStyleClass().removeAll("pass", "near", "fail", "not_tested");
        known.filter(_ -> !stale)
                .ifPresent(found ->
                        verdict.getStyleClass()
                                .add(found.verdict().name().toLowerCase(Locale.ROOT)));
        field.setText(known.flatMap(Reading::value).map(UserUnits::plain).orElse(""));
        field.setPromptText(prompt(step));
        instruments.at(step());
        pips.show(steps(), step(), each -> reading(each).isPresent());
        then();
        coverage.setText(
                runs.plan()
                        .flatMap(BenchPlan::coverage)
                        .map(found ->
                                Words.of(
                                        "bench.coverage",
                                        found.noticed(),
                                        found.noticed(),
                                        found.unnoticed()))
                        .orElse(""));
    }

    /** What is right though it looks wrong. */
    private Optional<String> right(TestStep.Task task) {
        return RightThough.at(bench.design(), bench.setting().get(), task)
                .map(right -> Words.of("bench.right", right));
    }

    /** What has to be minded at a step. */
    private static Optional<String> caution(TestStep.Task task) {
        return switch (task) {
            case TestStep.AmpsIn _, TestStep.Quiet _ -> Optional.of("bench.caution.amps");
            case TestStep.Continuity _, TestStep.Through _ -> Optional.of("bench.caution.ohms");
            case TestStep.Isolation _ -> Optional.of("bench.caution.isolation");
            case TestStep.Works(_, var state) ->
                    state.engine().value() > 0
                            ? Optional.of("bench.caution.running")
                            : Optional.empty();
            case TestStep.Check(var topic, _, _) -> Optional.of("bench.caution." + topic);
            case TestStep.VoltsAt(_, var state) ->
                    state.engine().value() > 0
                            ? Optional.of("bench.caution.running")
                            : Optional.empty();
            case TestStep.Look _, TestStep.LookAt _, TestStep.ClipIn _, TestStep.Leave _ ->
                    Optional.empty();
        };
    }

    private boolean stands(Conditions wanted) {
        var now = bench.conditions().get();
        return now.positions().equals(wanted.positions())
                && now.levels().equals(wanted.levels())
                && now.engine().equals(wanted.engine());
    }

    private String prompt(TestStep step) {
        if (asksWhy) {
            return Words.of("bench.why");
        }
        return step.expected().map(should -> should.unit().symbol()).orElse("");
    }

    private void then() {
        then.getChildren().clear();
        int from = advised.isPresent() ? at : at + 1;
        steps().stream()
                .skip(from)
                .limit(THEN)
                .map(each -> Texts.label(next(each), "quiet"))
                .forEach(then.getChildren()::add);
        if (!then.getChildren().isEmpty()) {
            then.getChildren().addFirst(Texts.caption(Words.of("bench.then")));
        }
    }

    /** What is done next, and how everything stands where that is not as it is now. */
    private String next(TestStep step) {
        var task = bench.speech().task(step.task());
        var now = step().flatMap(each -> each.task().state());
        return step.task()
                .state()
                .filter(state -> !Optional.of(state).equals(now))
                .map(state -> Words.of("bench.then.in", bench.speech().conditions(state), task))
                .orElse(task);
    }

    /** Chooses what the step is about, so that the path and the board show where it is. */
    private void choose() {
        set();
        step().map(step -> step.task().about())
                .map(RunCard::selection)
                .ifPresent(bench.selection()::set);
    }

    private static Selection selection(TestStep.Subject about) {
        return switch (about) {
            case TestStep.Subject.OfWire(var wire) -> new Selection.OfWire(wire);
            case TestStep.Subject.OfPart(var part) -> new Selection.OfPart(part);
            case TestStep.Subject.OfTerminal(var at) -> new Selection.OfTerminal(at);
        };
    }

    private void set() {
        step().flatMap(step -> step.task().state()).ifPresent(bench.conditions()::set);
    }

    private void pressed(KeyEvent event) {
        acted = false;
        if (instruments.isWritten()
                || !field.getText().isEmpty()
                || asksWhy
                || event.isShortcutDown()
                || event.isAltDown()) {
            return;
        }
        boolean done = true;
        switch (event.getCode()) {
            case SPACE -> judged(Verdict.PASS);
            case N -> judged(Verdict.NEAR);
            case F -> judged(Verdict.FAIL);
            case U -> askWhy();
            case B -> back();
            default -> done = false;
        }
        acted = done;
        if (done) {
            event.consume();
        }
    }

    /** The letter of a key that has done something is not written. */
    private void typed(KeyEvent event) {
        if (acted) {
            acted = false;
            event.consume();
        }
    }

    private void entered() {
        problem.setText("");
        if (asksWhy) {
            keep(Optional.empty(), Verdict.NOT_TESTED, Optional.of(field.getText().strip()));
            return;
        }
        step().ifPresent(step -> {
            if (step.expected().isEmpty()) {
                problem.setText(Words.of("bench.unjudged"));
                return;
            }
            var should = step.expected().get();
            var value = UserUnits.parseReading(field.getText(), should.unit());
            if (value.isEmpty()) {
                problem.setText(
                        Words.of("bench.unreadable", field.getText(), should.unit().symbol()));
            } else {
                keep(value, should.judge(value.get()), Optional.empty());
            }
        });
    }

    /** A reading of an instrument, judged as if it were written. */
    private void read(double value) {
        if (!asksWhy && step().filter(step -> step.expected().isPresent()).isPresent()) {
            field.setText(UserUnits.plain(value));
            entered();
        }
    }

    private void judged(Verdict verdict) {
        step().ifPresent(step ->
                keep(
                        Optional.empty(),
                        step.expected().map(should -> should.said(verdict)).orElse(verdict),
                        Optional.empty()));
    }

    private void askWhy() {
        asksWhy = true;
        judge();
        field.requestFocus();
    }

    private void keep(Optional<Double> value, Verdict verdict, Optional<String> note) {
        step().ifPresent(step -> {
            asksWhy = false;
            var kept = runs.reading(step, value, verdict, note.filter(text -> !text.isBlank()));
            if (advised.isPresent()) {
                advised = Optional.empty();
            } else if (at < steps().size() - 1) {
                at++;
            }
            runs.keep(kept);
            forward();
            judge();
            field.requestFocus();
        });
    }

    private void back() {
        asksWhy = false;
        if (advised.isPresent()) {
            advised = Optional.empty();
        } else {
            at = Math.max(0, at - 1);
        }
        judge();
        field.requestFocus();
    }
}
