package aficion.desktop.board;

import aficion.desktop.field.Field;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.harness.Doubt;
import aficion.job.edit.BodyEdit;
import aficion.quantity.Metres;
import aficion.route.RunId;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The runs to measure first, and a field that takes one length after another as they are called
 * out.
 */
final class MeasureFirst extends HBox {
    private static final int SHOWN = 2;

    private final Workbench bench;
    private final HBox ranking = new HBox(12);
    private final Field field;
    private List<Doubt> doubts = List.of();
    private Optional<RunId> next = Optional.empty();

    MeasureFirst(Workbench bench) {
        super(12);
        this.bench = bench;
        field =
                new Field(
                        "next-length",
                        Words.of("board.first.next"),
                        "",
                        text -> bench.units().parseLength(text).flatMap(this::measure).isPresent(),
                        Words.of("change.length.refused"));
        field.pendingProperty().addListener((_, _, _) -> show());
        setId("measure-first");
        setMinWidth(0);
        getStyleClass().add("board-strip");
        getChildren().addAll(ranking, Texts.spring());
        bench.assessed().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    void refresh() {
        if (getScene() == null || bench.assessed().get().isEmpty()) {
            return;
        }
        if (ranking.getChildren().isEmpty()) {
            ranking.getChildren().add(head("board.first.ranking"));
        }
        bench.ask().findDoubts(this::take);
    }

    private void take(List<Doubt> found) {
        doubts = found;
        show();
    }

    /**
     * What is worked out anew is shown once what is being written has been taken or put back. The
     * field itself stays where it is: whoever presses in it is not disturbed.
     */
    private void show() {
        if (field.pendingProperty().get()) {
            return;
        }
        ranking.getChildren()
                .setAll(head(doubts.isEmpty() ? "board.first.none" : "board.first.why"));
        doubts.stream().limit(SHOWN).map(this::entry).forEach(ranking.getChildren()::add);
        next = doubts.stream().map(Doubt::run).findFirst();
        if (next.isEmpty()) {
            getChildren().remove(field);
        } else if (!getChildren().contains(field)) {
            getChildren().add(field);
        }
    }

    private static VBox head(String says) {
        var title = Texts.label(Words.of("board.first"), "figure");
        title.setMinWidth(Region.USE_PREF_SIZE);
        var head = new VBox(2, title, Texts.label(Words.of(says), "quiet"));
        head.setMinWidth(Region.USE_PREF_SIZE);
        return head;
    }

    private VBox entry(Doubt doubt) {
        var speech = bench.speech();
        var run =
                Texts.button(
                        Words.of(
                                "board.first.run",
                                speech.run(doubt.run()),
                                speech.say(doubt.length())),
                        "plain-button",
                        () -> bench.selection().set(new Selection.OfRun(doubt.run())));
        var moves =
                Words.of(
                        "board.first.moves",
                        speech.say(doubt.off()),
                        speech.say(doubt.copper()),
                        doubt.sizes().size());
        var entry = new VBox(2, run, Texts.label(moves, "quiet"));
        entry.setMinWidth(Region.USE_PREF_SIZE);
        return entry;
    }

    /** The next is asked for at once: which that is may change when all is worked out anew. */
    private Optional<RunId> measure(Metres metres) {
        var run = next;
        run.ifPresent(each -> {
            bench.perform(new BodyEdit.Measure(each, Optional.of(metres)));
            doubts = doubts.stream().filter(doubt -> !doubt.run().equals(each)).toList();
            field.empty();
        });
        return run;
    }
}
