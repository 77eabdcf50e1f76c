package aficion.desktop.practice;

import aficion.bench.practice.Act;
import aficion.bench.practice.Difficulty;
import aficion.bench.practice.Hidden;
import aficion.bench.practice.Played;
import aficion.bench.practice.Practice;
import aficion.bench.practice.Round;
import aficion.bench.reason.FaultTable;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Part;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.words.PracticeWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.random.RandomGenerator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/**
 * A fault is hidden in the circuit in focus. The switches of the vehicle are thrown as everywhere;
 * every reading, look and move costs its minutes; what is wrong is named, and then the way that was
 * gone stands beside the reasoner's.
 */
public final class PracticeView extends VBox {
    private static final double SIDE = 380;

    private final Workbench bench;
    private final CircuitId circuit;
    private final Rounds rounds;
    private final Supplier<RandomGenerator> chance;
    private final Label says = Texts.wrapped("", "strong");
    private final Label cost = Texts.label("", "bench-figure");
    private final Label trouble = Texts.wrapped("", "danger-text");
    private final HBox levels = new HBox(10);
    private final VBox parts = new VBox(6);
    private final VBox done = new VBox(4);
    private final NamingPane naming = new NamingPane(this::name, this::giveUp);
    private final ToggleButton lamp = new ToggleButton(Words.of("practice.lamp"));
    private final Subscription following;

    /** What was out before. */
    private final Set<FuseSeat> pulled;

    private @Nullable Playing playing;

    /** A round that is played, with what plays it. */
    private record Playing(Design design, FaultTable table, Practice practice, Round round) {
        Playing with(Round next) {
            return new Playing(design, table, practice, next);
        }

        PracticeWords words(Workbench bench) {
            return new PracticeWords(design, bench.units());
        }
    }

    /**
     * @param chance what hides the faults
     * @param back leaves
     */
    public PracticeView(
            Workbench bench,
            CircuitId circuit,
            Rounds rounds,
            Supplier<RandomGenerator> chance,
            Runnable back) {
        super(12);
        this.bench = bench;
        this.circuit = circuit;
        this.rounds = rounds;
        this.chance = chance;
        this.pulled = bench.conditions().get().pulled();
        this.following = bench.history().subscribe(_ -> edited());
        setId("practice");
        bench.practising().set(true);
        getStyleClass().add("sheet");
        cost.setId("practice-cost");
        says.setId("practice-says");
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        var leave = Texts.button(Words.of("practice.back"), "plain-button", back);
        leave.setId("practice-back");
        var title =
                Texts.label(
                        Words.of("practice.title", bench.design().circuit(circuit).name()),
                        "sheet-title");
        var head = new HBox(14, title, Texts.spring(), cost, leave);
        head.setAlignment(Pos.CENTER_LEFT);
        for (var difficulty : Difficulty.values()) {
            var begin =
                    Texts.button(
                            Words.of("practice.begin", difficulty),
                            "key-button",
                            () -> begin(difficulty));
            begin.setId("practice-" + difficulty.name().toLowerCase(Locale.ROOT));
            levels.getChildren().add(begin);
        }
        lamp.getStyleClass().add("key-button");
        lamp.setId("practice-lamp");
        getChildren().addAll(head, levels, says, trouble, board());
        done.setId("practice-done");
        says.setText(Words.of("practice.start"));
        records();
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                event.consume();
                back.run();
            }
        });
    }

    private Node board() {
        var left = scroll(parts);
        HBox.setHgrow(left, Priority.ALWAYS);
        var right = new VBox(12, naming, scroll(done));
        VBox.setVgrow(right.getChildren().getLast(), Priority.ALWAYS);
        right.setMinWidth(SIDE);
        right.setPrefWidth(SIDE);
        var board = new HBox(18, left, right);
        VBox.setVgrow(board, Priority.ALWAYS);
        board.setMinHeight(0);
        return board;
    }

    private static ScrollPane scroll(Node content) {
        var scroll = new ScrollPane(content);
        scroll.getStyleClass().add("bench-scroll");
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        return scroll;
    }

    /** A round is of the design it began with. */
    private void edited() {
        var now = playing;
        if (now != null && now.design != bench.design()) {
            playing = null;
            pushBack();
            naming.rest();
            parts.getChildren().clear();
            says.setText(Words.of("practice.edited"));
        }
    }

    /** Hides a fault, beside. */
    private void begin(Difficulty difficulty) {
        pushBack();
        says.setText(Words.of("practice.hides"));
        trouble.setText("");
        var random = chance.get();
        if (bench.design().find(circuit).isEmpty()) {
            says.setText(Words.of("practice.none"));
            return;
        }
        bench.ask()
                .prepare(
                        design -> hide(design, difficulty, random),
                        (Optional<Playing> begun) ->
                                begun.ifPresentOrElse(
                                        this::begun,
                                        () -> says.setText(Words.of("practice.none"))));
    }

    private Optional<Playing> hide(Design design, Difficulty difficulty, RandomGenerator random) {
        var table = FaultTable.of(Netlist.of(design), circuit);
        return Hidden.in(table, difficulty, random)
                .map(hidden ->
                        new Playing(
                                design,
                                table,
                                new Practice(table, circuit, random),
                                Round.of(difficulty, hidden)));
    }

    private void begun(Playing begun) {
        playing = begun;
        says.setText(Words.of("practice.go", begun.round.hidden().faults().size()));
        done.getChildren().clear();
        parts(begun);
        naming.ask(begun.table, begun.words(bench));
        cost();
    }

    private void cost() {
        var now = playing;
        cost.setText(now == null ? "" : now.words(bench).minutes(now.round.minutes()));
    }

    private void parts(Playing now) {
        parts.getChildren().clear();
        var glance = act(Words.of("practice.glance"), new Act.Glance());
        glance.setId("practice-glance");
        var first = new HBox(8, glance, lamp);
        now.table
                .feed()
                .ifPresent(feed -> {
                    var amps =
                            act(
                                    Words.of("practice.amps", now.design.wire(feed).number()),
                                    new Act.Amps(feed));
                    amps.setId("practice-amps");
                    first.getChildren().add(amps);
                });
        parts.getChildren().add(first);
        now.design.partsOf(circuit).forEach(part -> parts.getChildren().add(row(now, part)));
    }

    private Node row(Playing now, Part part) {
        var name = Texts.wrapped(bench.speech().name(part.id()), "strong");
        name.setMinWidth(150);
        name.setPrefWidth(150);
        var buttons = new FlowPane(6, 6);
        HBox.setHgrow(buttons, Priority.ALWAYS);
        part.terminals().stream()
                .filter(at ->
                        now.design.wiresAt(at).stream()
                                .anyMatch(wire -> wire.circuit().equals(circuit)))
                .forEach(at -> {
                    var probe =
                            Texts.button(
                                    at.pin(),
                                    "key-button",
                                    () ->
                                            does(
                                                    lamp.isSelected()
                                                            ? new Act.Lamp(at)
                                                            : new Act.Volts(at)));
                    probe.setId("probe-" + at);
                    buttons.getChildren().add(probe);
                });
        var look = act(Words.of("practice.look"), new Act.Look(part.id()));
        look.setId("look-" + part.id());
        var move = act(Words.of("practice.move"), new Act.Wiggle(part.id()));
        move.setId("move-" + part.id());
        for (var each : List.of(look, move)) {
            each.getStyleClass().setAll("button", "plain-button");
            each.setMinWidth(USE_PREF_SIZE);
        }
        pulls(now, part, buttons);
        var row = new HBox(10, name, buttons, look, move);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("bench-step");
        return row;
    }

    /** Fuses of the circuit are pulled and put back as they are looked for. */
    private void pulls(Playing now, Part part, FlowPane buttons) {
        FuseSeat.of(now.design, circuit).stream()
                .filter(fuse -> fuse.part().equals(part.id()))
                .map(this::pull)
                .forEach(buttons.getChildren()::add);
    }

    private ToggleButton pull(FuseSeat fuse) {
        var pull = new ToggleButton(Words.of("practice.pull"));
        pull.getStyleClass().add("key-button");
        pull.setId("pull-" + fuse);
        pull.setOnAction(_ -> {
            pull.setText(Words.of(pull.isSelected() ? "practice.push" : "practice.pull"));
            bench.conditions().set(bench.conditions().get().withPulled(fuse, pull.isSelected()));
        });
        return pull;
    }

    /** Leaves everything as it was: what was pulled is put back. */
    public void dispose() {
        following.unsubscribe();
        pushBack();
        bench.practising().set(false);
    }

    private void pushBack() {
        var now = bench.conditions().get();
        var state = now;
        for (var fuse : now.pulled()) {
            state = state.withPulled(fuse, pulled.contains(fuse));
        }
        bench.conditions().set(state);
    }

    private Button act(String text, Act act) {
        return Texts.button(text, "key-button", () -> does(act));
    }

    private void does(Act act) {
        var now = playing;
        if (now == null || now.round.isFound()) {
            return;
        }
        var state = bench.conditions().get();
        bench.ask()
                .prepare(
                        _ -> now.practice.does(now.round, act, state),
                        (Round next) -> took(now, next));
    }

    private void took(Playing before, Round next) {
        var now = playing;
        if (now == null || now.round != before.round) {
            return;
        }
        playing = now.with(next);
        var last = next.done().getLast();
        var line = Texts.wrapped(now.words(bench).done(last));
        done.getChildren().addFirst(line);
        cost();
    }

    private void name(Fault fault) {
        var now = playing;
        if (now == null) {
            return;
        }
        var next = now.round.naming(fault);
        playing = now.with(next);
        boolean right = next.named().contains(fault);
        says.setText(Words.of(right ? "practice.right" : "practice.wrong"));
        cost();
        if (next.isFound()) {
            over(now.with(next));
        }
    }

    private void giveUp() {
        var now = playing;
        if (now != null) {
            over(now);
        }
    }

    /** Shows what it was, and the way that was gone beside the reasoner's. */
    private void over(Playing now) {
        playing = null;
        pushBack();
        naming.rest();
        parts.getChildren().clear();
        keep(now);
        bench.ask()
                .prepare(
                        _ -> {
                            var own = now.practice.way(now.round);
                            var reasoned = now.practice.reasoned(now.round.hidden());
                            return new Ways(own, reasoned, now.practice.minutes(reasoned));
                        },
                        ways -> compare(now, ways));
    }

    private record Ways(List<Practice.Step> own, List<Practice.Step> reasoned, double minutes) {}

    private void compare(Playing over, Ways ways) {
        var round = over.round;
        var words = over.words(bench);
        says.setText(words.was(round));
        var own =
                way(
                        Words.of(
                                "practice.yours",
                                round.done().size(),
                                words.minutes(round.minutes())),
                        words,
                        ways.own);
        var reasoned =
                way(
                        Words.of(
                                "practice.reasoner",
                                ways.reasoned.size(),
                                words.minutes(ways.minutes)),
                        words,
                        ways.reasoned);
        parts.getChildren().setAll(new HBox(24, own, reasoned));
    }

    private static VBox way(String title, PracticeWords words, List<Practice.Step> steps) {
        var box = new VBox(3, Texts.label(title, "strong"));
        steps.forEach(step -> box.getChildren().add(Texts.wrapped(words.step(step))));
        HBox.setHgrow(box, Priority.ALWAYS);
        box.setPrefWidth(SIDE);
        return box;
    }

    private void keep(Playing over) {
        var round = over.round;
        try {
            rounds.keep(
                    new Played(
                            bench.clock().instant(),
                            over.design.vehicle().name(),
                            over.design.circuit(circuit).name(),
                            round.difficulty(),
                            round.minutes(),
                            round.done().size(),
                            round.guesses(),
                            round.isFound()));
            records();
        } catch (IOException e) {
            trouble.setText(Words.of("practice.unkept", String.valueOf(e.getMessage())));
        }
    }

    /** One's own best and last times. */
    private void records() {
        try {
            done.getChildren().setAll(Texts.caption(Words.of("practice.record")));
            var lines = new PracticeWords(bench.design(), bench.units()).record(rounds.played());
            lines.forEach(line -> done.getChildren().add(Texts.wrapped(line, "quiet")));
        } catch (IOException e) {
            trouble.setText(Words.of("practice.unread", String.valueOf(e.getMessage())));
        }
    }
}
