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
    private List<Doubt> doubts = List.of();
    private Optional<Next> next = Optional.empty();

    /** The field that takes the length of a run. */
    private record Next(RunId run, Field field) {
        boolean isPending() {
            return field.pendingProperty().get();
        }

        boolean isIn(List<Doubt> doubts) {
            return doubts.stream().anyMatch(doubt -> doubt.run().equals(run));
        }
    }

    MeasureFirst(Workbench bench) {
        super(12);
        this.bench = bench;
        setId("measure-first");
        setMinWidth(0);
        getStyleClass().add("board-strip");
        bench.assessed().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    void refresh() {
        if (getScene() == null || bench.assessed().get().isEmpty()) {
            return;
        }
        if (getChildren().isEmpty()) {
            getChildren().add(head("board.first.ranking"));
        }
        bench.ask().findDoubts(this::take);
    }

    /** What is worked out anew is shown once what is being written has been taken. */
    private void take(List<Doubt> found) {
        doubts = found;
        if (next.filter(Next::isPending).filter(each -> each.isIn(found)).isEmpty()) {
            show();
        }
    }

    private void show() {
        var focused = getScene() == null ? null : getScene().getFocusOwner();
        boolean writing = focused != null && "next-length".equals(focused.getId());
        getChildren().clear();
        next = Optional.empty();
        getChildren().add(head(doubts.isEmpty() ? "board.first.none" : "board.first.why"));
        if (doubts.isEmpty()) {
            return;
        }
        doubts.stream().limit(SHOWN).forEach(doubt -> getChildren().add(entry(doubt)));
        getChildren().add(Texts.spring());
        var field = field(doubts.getFirst().run());
        next = Optional.of(new Next(doubts.getFirst().run(), field));
        getChildren().add(field);
        if (writing) {
            field.lookup("#next-length").requestFocus();
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

    private Field field(RunId run) {
        return new Field(
                "next-length",
                Words.of("board.first.next"),
                "",
                text ->
                        bench.units()
                                .parseLength(text)
                                .map(metres -> {
                                    measure(run, metres);
                                    return true;
                                })
                                .orElse(false),
                Words.of("change.length.refused"));
    }

    /** The next is asked for at once: which that is may change when all is worked out anew. */
    private void measure(RunId run, Metres metres) {
        bench.perform(new BodyEdit.Measure(run, Optional.of(metres)));
        doubts = doubts.stream().filter(doubt -> !doubt.run().equals(run)).toList();
        show();
    }
}
