package aficion.desktop.make;

import aficion.desktop.drawing.Faces;
import aficion.desktop.field.Choice;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Swatches;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.forming.Face;
import aficion.forming.Loom;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.JoinKind.Half;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.edit.WorkEdit;
import aficion.make.EndWork;
import aficion.make.Making;
import aficion.make.Making.Step;
import aficion.make.Making.WireWork;
import aficion.words.StepWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * One wire, one step at a time, in large type for dirty hands: Space is always the next thing, B
 * takes one back.
 */
final class StepsView extends VBox {
    private static final PseudoClass NOW = PseudoClass.getPseudoClass("now");
    private static final PseudoClass DONE = PseudoClass.getPseudoClass("done");

    /** From this height on letters grow, pixels. */
    private static final double HEIGHT = 600;

    private static final double MOST_LARGER = 1.6;
    private static final double NAME_WIDTH = 150;

    private final Workbench bench;
    private final Drawer drawer;

    /** All that is made, then loom by loom, then what lies in none. */
    private List<Share> shares = List.of(new Share("steps.looms", 0, new Making(List.of())));

    private int chosen;
    private Making making = shares.getFirst().making;
    private @Nullable Design shown;
    private @Nullable Design asked;
    private int at;
    private double larger = 1;

    StepsView(Workbench bench, Drawer drawer) {
        super(10);
        this.bench = bench;
        this.drawer = drawer;
        setId("make-steps");
        setFocusTraversable(true);
        addEventHandler(KeyEvent.KEY_PRESSED, this::press);
        bench.history().addListener((_, _, _) -> refresh());
        drawer.cutting().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> begin());
        setOnMouseClicked(_ -> requestFocus());
        heightProperty().addListener((_, _, _) -> grow());
    }

    /** Letters as large as there is height for: what is read from the bench is read from afar. */
    private void grow() {
        double larger = Math.clamp(getHeight() / HEIGHT, 1, MOST_LARGER);
        if (larger != this.larger) {
            this.larger = larger;
            setStyle("-fx-font-size: " + larger + "em;");
            refresh();
        }
    }

    private void begin() {
        if (getScene() != null) {
            at = next();
            refresh();
        }
    }

    /** The place of the next wire to be made. */
    private int next() {
        return making.next(work()).map(making.wires()::indexOf).orElse(0);
    }

    /** How the job as it is is made, worked out beside, once for each design. */
    private boolean isKnown() {
        var design = bench.design();
        if (asked != design) {
            asked = design;
            bench.ask().prepare(Share::of, this::show);
        }
        return shown == design;
    }

    /**
     * What may be made for itself.
     *
     * @param key of the words that name it
     * @param number of the loom
     */
    private record Share(String key, int number, Making making) {
        static List<Share> of(Design design) {
            var whole = Making.of(design);
            var looms = Loom.of(design);
            var shares = new ArrayList<Share>();
            shares.add(new Share("steps.looms", 0, whole));
            for (var loom : looms) {
                shares.add(new Share("steps.loom", loom.number(), whole.of(loom.wires(design))));
            }
            var apart = Loom.apart(design, looms);
            if (!apart.isEmpty()) {
                shares.add(new Share("steps.apart", 0, whole.of(apart)));
            }
            return List.copyOf(shares);
        }

        /** Its name, and how much of it is made. */
        String says(Work work) {
            return Words.of(key, number, making.made(work), making.wires().size());
        }
    }

    private void show(List<Share> made) {
        var before = making.wires().stream().skip(at).findFirst().map(work -> work.wire().id());
        shown = bench.design();
        shares = made;
        make(Math.min(chosen, shares.size() - 1));
        at = before.flatMap(this::place).orElseGet(this::next);
        refresh();
    }

    private Optional<Integer> place(WireId wire) {
        return IntStream.range(0, making.wires().size())
                .boxed()
                .filter(i -> making.wires().get(i).wire().id().equals(wire))
                .findFirst();
    }

    private void make(int share) {
        chosen = share;
        making = shares.get(share).making;
    }

    /** Which loom is made, each with how much of it is; nothing to choose where there is one. */
    private Node loom() {
        if (shares.size() < 3) {
            return new Region();
        }
        var box =
                Choices.of(
                        IntStream.range(0, shares.size()).boxed().toList(),
                        share -> shares.get(share).says(work()));
        box.setValue(chosen);
        return new Choice<>("steps-loom", Words.of("forming.loom"), box, this::choose);
    }

    /** Goes on with a loom, by the keys of the steps: its list closes first. */
    private void choose(int share) {
        make(share);
        at = next();
        refresh();
        Platform.runLater(this::requestFocus);
    }

    private Work work() {
        return bench.job().work();
    }

    private void press(KeyEvent event) {
        switch (event.getCode()) {
            case SPACE -> step(1);
            case B -> step(-1);
            case PAGE_DOWN, RIGHT -> turn(1);
            case PAGE_UP, LEFT -> turn(-1);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void turn(int by) {
        at = Math.clamp(at + by, 0, Math.max(0, making.wires().size() - 1));
        refresh();
    }

    /** One step done, or taken back; behind the last one comes the next wire. */
    private void step(int by) {
        if (!isKnown() || making.wires().isEmpty()) {
            return;
        }
        var wire = making.wires().get(at);
        int done = wire.done(work());
        if (by > 0 && done == wire.steps().size()) {
            turn(1);
        } else if (by < 0 && done == 0) {
            turn(-1);
        } else {
            var circuit = wire.wire().circuit();
            boolean before = isMade(circuit);
            bench.perform(new WorkEdit.Make(wire.wire().id(), done + by));
            finish(circuit, before);
            if (by > 0 && wire.isMade(work())) {
                at = making.next(work()).map(making.wires()::indexOf).orElse(at);
                refresh();
            }
        }
    }

    /** A circuit is made once all of its wires are; what was marked by hand stays as it is. */
    private void finish(CircuitId circuit, boolean before) {
        boolean now = isMade(circuit);
        if (now != before && now != work().done(circuit).contains(Work.Stage.MADE)) {
            bench.perform(new WorkEdit.SetStage(circuit, Work.Stage.MADE, now));
        }
    }

    private boolean isMade(CircuitId circuit) {
        return shares.getFirst().making.wires().stream()
                .filter(each -> each.wire().circuit().equals(circuit))
                .allMatch(each -> each.isMade(work()));
    }

    private void refresh() {
        if (getScene() == null || !isKnown()) {
            return;
        }
        getChildren().clear();
        if (making.wires().isEmpty()) {
            getChildren().add(Texts.label(Words.of("steps.none"), "empty"));
            return;
        }
        at = Math.clamp(at, 0, making.wires().size() - 1);
        var wire = making.wires().get(at);
        var made = making.made(work());
        var bar = new ProgressBar((double) made / making.wires().size());
        bar.setMaxWidth(Double.MAX_VALUE);
        var head =
                new HBox(
                        12,
                        Texts.label(Words.of("steps.made", made, making.wires().size()), "figure"),
                        Texts.spring(),
                        loom());
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, bar, card(wire), keys(), comingUp());
    }

    private VBox card(WireWork work) {
        var speech = bench.speech();
        var words =
                new StepWords(
                        bench.design(),
                        drawer.stock().get(),
                        drawer.cutting().get(),
                        bench.units());
        var wire = work.wire();
        var cut = Texts.label(speech.say(work.cut().cut()), "steps-length");
        cut.setId("step-length");
        var number = Texts.label(wire.number(), "steps-number");
        number.setId("step-wire");
        var head =
                new HBox(
                        12,
                        Swatches.piece(wire.colour().base()),
                        number,
                        Texts.label(
                                speech.colour(wire.colour()) + ", " + speech.size(wire.size()),
                                "steps-says"),
                        Texts.spring(),
                        cut);
        head.setAlignment(Pos.CENTER_LEFT);
        var card =
                new VBox(
                        6,
                        head,
                        Texts.wrapped(words.leads(work), "steps-says"),
                        Texts.label(words.sum(work), "quiet"),
                        Texts.rule());
        card.getStyleClass().add("steps-card");
        int done = work.done(work());
        var steps = work.steps();
        var end = now(work, done);
        card.getChildren()
                .add(
                        Texts.caption(
                                Words.of(
                                        "steps.end",
                                        work.ends().indexOf(end) + 1,
                                        end.at(),
                                        speech.termination(end.termination()))));
        face(end).ifPresent(card.getChildren()::add);
        for (int i = 0; i < steps.size(); i++) {
            var at = steps.get(i).end().orElse(work.ends().getFirst());
            if (at.equals(end)) {
                card.getChildren()
                        .add(
                                line(
                                        words.says(work, steps.get(i)),
                                        steps.get(i),
                                        i < done,
                                        i == done));
            }
        }
        return card;
    }

    /** The half of the connector that the end goes into, its cavity standing out. */
    private Optional<VBox> face(EndWork end) {
        var pin = end.at().pin();
        return Face.of(bench.design(), bench.design().part(end.at().part()), Half.of(pin))
                .map(face -> Faces.of(face, Optional.of(pin)));
    }

    /** The end that is worked at: that of the next step, or of the last one done. */
    private static EndWork now(WireWork work, int done) {
        int next = Math.min(done, work.steps().size() - 1);
        return work.steps().get(next).end().orElse(work.ends().getFirst());
    }

    private HBox line(String says, Step step, boolean done, boolean now) {
        var name = Texts.label((done ? "\u2713 " : "") + Words.of("act", step.act()), "steps-act");
        name.setMinWidth(NAME_WIDTH * larger);
        var line = new HBox(12, name, Texts.wrapped(says, "steps-says"));
        line.getStyleClass().add("steps-line");
        line.pseudoClassStateChanged(DONE, done);
        line.pseudoClassStateChanged(NOW, now);
        return line;
    }

    private HBox keys() {
        var done = Texts.button(Words.of("steps.done"), "main-button", () -> step(1));
        done.setId("step-done");
        var back = Texts.button(Words.of("steps.back"), "plain-button", () -> step(-1));
        back.setId("step-back");
        var show =
                Texts.button(
                        Words.of("steps.show"),
                        "plain-button",
                        () ->
                                bench.selection()
                                        .set(
                                                new Selection.OfWire(
                                                        making.wires().get(at).wire().id())));
        done.setFocusTraversable(false);
        back.setFocusTraversable(false);
        show.setFocusTraversable(false);
        return new HBox(10, done, back, show);
    }

    private Node comingUp() {
        var names =
                making.wires().stream()
                        .skip(at + 1L)
                        .filter(each -> !each.isMade(work()))
                        .limit(3)
                        .map(each -> bench.speech().label(each.wire()))
                        .toList();
        return Texts.wrapped(
                names.isEmpty()
                        ? Words.of("steps.last")
                        : Words.of("steps.next", String.join(" \u00b7 ", names)),
                "quiet");
    }
}
