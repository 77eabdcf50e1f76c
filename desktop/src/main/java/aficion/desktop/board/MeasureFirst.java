package aficion.desktop.board;

import aficion.desktop.field.Field;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.harness.Doubt;
import aficion.job.edit.BodyEdit;
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
        bench.ask().findDoubts(this::show);
    }

    private void show(List<Doubt> doubts) {
        var focused = getScene() == null ? null : getScene().getFocusOwner();
        boolean writing = focused != null && "next-length".equals(focused.getId());
        getChildren().clear();
        var title = Texts.label(Words.of("board.first"), "figure");
        title.setMinWidth(Region.USE_PREF_SIZE);
        var head = new VBox(2, title);
        head.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().add(head);
        if (doubts.isEmpty()) {
            head.getChildren().add(Texts.label(Words.of("board.first.none"), "quiet"));
            return;
        }
        head.getChildren().add(Texts.label(Words.of("board.first.why"), "quiet"));
        doubts.stream().limit(SHOWN).forEach(doubt -> getChildren().add(entry(doubt)));
        getChildren().add(Texts.spring());
        var next = next(doubts.getFirst());
        getChildren().add(next);
        if (writing) {
            next.lookup("#next-length").requestFocus();
        }
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

    private Field next(Doubt doubt) {
        return new Field(
                "next-length",
                Words.of("board.first.next"),
                "",
                text ->
                        bench.units()
                                .parseLength(text)
                                .map(metres -> {
                                    bench.perform(
                                            new BodyEdit.Measure(doubt.run(), Optional.of(metres)));
                                    return true;
                                })
                                .orElse(false),
                Words.of("change.length.refused"));
    }
}
