package aficion.desktop.bench;

import aficion.bench.AfterFind;
import aficion.bench.RunReadings;
import aficion.bench.StepKey;
import aficion.bench.reason.Belief.Verdict;
import aficion.bench.reason.Diagnosis;
import aficion.bench.reason.NextReading.Advice;
import aficion.bench.reason.Sight;
import aficion.bench.reason.Sign;
import aficion.bench.reason.Telltale;
import aficion.bench.reason.Wiggle;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.fault.Fault;
import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Conditions.FuseSeat;
import aficion.words.ReasonWords;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What it can be after what was read, with weights; what to read next and why; what is seen. */
final class ReasonPanel extends ScrollPane {
    private static final int SHOWN = 4;
    private static final double WIDTH = 260;

    private final Workbench bench;
    private final Runs runs;
    private final RunCard card;
    private final VBox box = new VBox(8);
    private final FlowPane lamps = new FlowPane(6, 6);

    ReasonPanel(Workbench bench, Runs runs, RunCard card) {
        this.bench = bench;
        this.runs = runs;
        this.card = card;
        setId("reason");
        getStyleClass().addAll("bench-scroll", "reason-aside");
        setContent(box);
        setFitToWidth(true);
        setPrefWidth(WIDTH + 40);
        setMinWidth(WIDTH + 40);
        setFocusTraversable(false);
        box.getStyleClass().add("reason");
        bench.plan().addListener((_, _, _) -> ask());
        bench.history().addListener((_, _, _) -> ask());
        bench.conditions().addListener((_, _, _) -> ask());
        bench.outcome().addListener((_, _, _) -> lamps());
        sceneProperty().subscribe(_ -> ask());
    }

    private void ask() {
        if (getScene() == null) {
            return;
        }
        var run = runs.latest();
        if (runs.circuit().isEmpty() || run.isEmpty()) {
            box.getChildren()
                    .setAll(
                            Texts.label(Words.of("reason.title"), "inspector-title"),
                            Texts.wrapped(Words.of("reason.begin"), "quiet"));
            seen();
            return;
        }
        bench.ask().reason(runs.circuit().get(), run.get(), this::show);
    }

    private void show(Diagnosis diagnosis) {
        var words = new ReasonWords(bench.design(), bench.units());
        box.getChildren()
                .setAll(
                        Texts.label(Words.of("reason.title"), "inspector-title"),
                        Texts.wrapped(Words.of("reason.after", diagnosis.read()), "quiet"));
        if (!diagnosis.explained()) {
            box.getChildren().add(Texts.wrapped(Words.of("reason.unexplained"), "danger-text"));
        }
        diagnosis.verdicts().stream().limit(SHOWN).forEach(each -> verdict(each, words));
        diagnosis
                .named()
                .map(verdict -> verdict.suspects().getFirst().faults())
                .filter(faults -> !faults.isEmpty())
                .ifPresent(this::found);
        diagnosis.wiggle().ifPresent(where -> wiggle(where, words));
        box.getChildren().addAll(Texts.rule(), Texts.caption(Words.of("reason.next")));
        diagnosis
                .next()
                .ifPresentOrElse(
                        advice -> advise(advice, words),
                        () -> box.getChildren().add(Texts.wrapped(words.nothingMore(), "quiet")));
        seen();
    }

    /** It is as good as sure: it is mended and read again, or the job is to say it. */
    private void found(List<Fault> faults) {
        var named = Texts.wrapped(Words.of("reason.named"), "strong", "brass-text");
        named.setId("reason-named");
        var mended =
                Texts.button(Words.of("reason.mended"), "main-button", () -> runs.mended(faults));
        mended.setId("reason-mended");
        box.getChildren().addAll(named, mended);
        faults.stream()
                .flatMap(fault -> AfterFind.asBuilt(bench.design(), fault).stream())
                .forEach(edit -> {
                    var stays =
                            Texts.button(
                                    Words.of("reason.stays", bench.speech().edit(edit)),
                                    "plain-button",
                                    () -> bench.perform(edit));
                    stays.setId("reason-stays");
                    stays.setWrapText(true);
                    box.getChildren().add(stays);
                });
    }

    private void verdict(Verdict verdict, ReasonWords words) {
        var first = Texts.wrapped(words.suspect(verdict.suspects().getFirst()), "reason-suspect");
        var full = new Region();
        full.getStyleClass().add("reason-weight");
        full.setPrefWidth((WIDTH - 60) * verdict.weight());
        var bar = new HBox(full);
        bar.getStyleClass().add("reason-bar");
        bar.setPrefWidth(WIDTH - 60);
        bar.setMinWidth(WIDTH - 60);
        var share = Texts.label(Words.of("reason.share", verdict.weight()), "strong");
        var line = new HBox(8, bar, Texts.spring(), share);
        line.setStyle("-fx-alignment: center-left;");
        box.getChildren().addAll(first, line);
        if (!verdict.speaks().isEmpty()) {
            box.getChildren().add(Texts.wrapped(words.speaks(verdict.speaks()), "quiet"));
        }
        int more = verdict.suspects().size() - 1;
        if (more > 0) {
            var alike = Texts.wrapped(Words.of("reason.alike", more), "quiet");
            alike.setTooltip(
                    new Tooltip(
                            String.join(
                                    "\n",
                                    verdict.suspects().stream().map(words::suspect).toList())));
            box.getChildren().add(alike);
        }
    }

    private void advise(Advice advice, ReasonWords words) {
        var read =
                Texts.button(
                        Words.of("reason.read"),
                        "main-button",
                        () ->
                                runs.circuit()
                                        .map(id -> StepKey.step(bench.design(), id, advice))
                                        .ifPresent(card::take));
        read.setId("reason-read");
        var where = Texts.wrapped(words.where(advice), "strong");
        where.setId("reason-where");
        box.getChildren()
                .addAll(
                        where,
                        Texts.wrapped(bench.speech().conditions(advice.state()), "brass-text"),
                        Texts.wrapped(words.why(advice), "quiet"),
                        read);
    }

    /** Where to move leads while it is watched; a press says whether that changes anything. */
    private void wiggle(Wiggle where, ReasonWords words) {
        var moves = new Telltale.Moves(where.part());
        var changes = Texts.button(Words.of("reason.moves"), "key-button", () -> tell(moves, true));
        var steady =
                Texts.button(Words.of("reason.steady"), "key-button", () -> tell(moves, false));
        changes.setId("reason-moves");
        steady.setId("reason-steady");
        box.getChildren()
                .addAll(
                        Texts.rule(),
                        Texts.wrapped(words.wiggle(where), "strong"),
                        new FlowPane(
                                6,
                                6,
                                changes,
                                steady,
                                told("warms", where.part(), new Telltale.Warms(where.part())),
                                told("loads", "", new Telltale.Loads())));
    }

    private void seen() {
        lamps();
        if (!lamps.getChildren().isEmpty()) {
            box.getChildren().addAll(Texts.rule(), Texts.caption(Words.of("reason.seen")), lamps);
        }
        if (runs.circuit().isPresent()) {
            box.getChildren().add(comes());
        }
    }

    /** Whether the trouble is there at times only. */
    private CheckBox comes() {
        var comes = new CheckBox(Words.of("reason.comes"));
        comes.setId("reason-comes");
        comes.setFocusTraversable(false);
        comes.setSelected(runs.latest().filter(RunReadings::comesAndGoes).isPresent());
        comes.setOnAction(_ ->
                runs.keep(RunReadings.comesAndGoes(comes.isSelected(), bench.clock().instant())));
        return comes;
    }

    /**
     * A press says of a lamp, a guard, a flasher or a lead what is noticed as everything stands.
     */
    private void lamps() {
        lamps.getChildren().clear();
        runs.circuit()
                .ifPresent(id -> {
                    bench.design().partsOf(id).forEach(this::lampsOf);
                    FuseSeat.of(bench.design(), id)
                            .forEach(seat ->
                                    lamps.getChildren()
                                            .add(told("gone", seat, new Telltale.FuseGone(seat))));
                    bench.design().partsOf(id).forEach(this::flashers);
                    lamps.getChildren().add(told("restless", "", new Telltale.Restless()));
                    lamps.getChildren().addAll(warm(id), movedLast(id));
                });
    }

    private void flashers(Part part) {
        if (part.kind() instanceof ControlKind.Flasher) {
            lamps.getChildren().add(told("fast", part.id(), new Telltale.Fast(part.id())));
        }
    }

    /** A button that says that something is so, or is not after all. */
    private Button told(String word, Object what, Telltale telltale) {
        boolean so = isSo(telltale);
        var button =
                Texts.button(
                        Words.of(so ? "reason." + word : "reason." + word + ".ask", what),
                        "key-button",
                        () -> tell(telltale, !so));
        button.setId(word + "-" + what);
        button.setFocusTraversable(false);
        return button;
    }

    /** The leads of the circuit, one of which gets warm. */
    private MenuButton warm(CircuitId id) {
        var menu = new MenuButton(Words.of("reason.warm"));
        menu.setId("reason-warm");
        menu.setFocusTraversable(false);
        for (var wire : bench.design().wiresOf(id)) {
            var telltale = new Telltale.Warm(wire.id());
            var item = new CheckMenuItem(wire.number());
            item.setSelected(isSo(telltale));
            item.setOnAction(_ -> tell(telltale, item.isSelected()));
            menu.getItems().add(item);
        }
        return menu;
    }

    /** The parts of the circuit, at one of which somebody worked last. */
    private MenuButton movedLast(CircuitId id) {
        var known = runs.latest().flatMap(RunReadings::movedLast);
        var menu =
                new MenuButton(
                        known.map(part -> Words.of("reason.movedLast.is", part))
                                .orElse(Words.of("reason.movedLast")));
        menu.setId("reason-moved-last");
        menu.setFocusTraversable(false);
        for (var part : bench.design().partsOf(id)) {
            var item = new MenuItem(bench.speech().name(part.id()));
            item.setOnAction(
                    _ -> runs.keep(RunReadings.movedLast(part.id(), bench.clock().instant())));
            menu.getItems().add(item);
        }
        return menu;
    }

    private boolean isSo(Telltale telltale) {
        return runs.latest()
                .flatMap(run -> run.reading(StepKey.told(telltale, state())))
                .flatMap(BenchRun.Reading::value)
                .filter(value -> value > 0)
                .isPresent();
    }

    private void tell(Telltale telltale, boolean so) {
        runs.keep(RunReadings.told(telltale, state(), so, bench.clock().instant()));
    }

    private void lampsOf(Part part) {
        for (var pin : Sign.lit(part.kind())) {
            var at = part.terminal(pin);
            var known = known(at);
            var button =
                    new Button(
                            Words.of(
                                    "reason.lamp",
                                    at,
                                    known.map(sight -> Words.of("sight", sight)).orElse("?")));
            button.getStyleClass().add("key-button");
            button.setFocusTraversable(false);
            button.setId("sees-" + at);
            button.setOnAction(_ -> see(at, next(known)));
            lamps.getChildren().add(button);
        }
    }

    private static Sight next(Optional<Sight> known) {
        return known.map(sight -> Sight.values()[(sight.ordinal() + 1) % Sight.values().length])
                .orElse(Sight.DARK);
    }

    private String state() {
        return StepKey.state(
                bench.design(), runs.circuit().orElseThrow(), bench.conditions().get());
    }

    private Optional<Sight> known(Terminal lamp) {
        return runs.latest()
                .flatMap(run -> run.reading(StepKey.seen(lamp, state())))
                .flatMap(BenchRun.Reading::value)
                .map(Sight::of);
    }

    private void see(Terminal lamp, Sight sight) {
        var light = bench.point().flatMap(point -> point.light(lamp.part(), lamp.pin()));
        runs.keep(RunReadings.seen(lamp, state(), sight, light, bench.clock().instant()));
    }
}
