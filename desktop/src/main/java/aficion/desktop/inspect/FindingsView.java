package aficion.desktop.inspect;

import aficion.check.Finding;
import aficion.check.Severity;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.words.Words;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Every finding of the job, worst first, each with the way to its place and its remedies. */
public final class FindingsView extends BorderPane {
    private static final double WIDE = 720;

    private final Workbench bench;
    private final Runnable close;
    private final VBox list = new VBox(14);
    private final ChangeListener<Optional<Assessed>> following = (_, _, _) -> refresh();

    /**
     * @param close puts this view away
     */
    public FindingsView(Workbench bench, Runnable close) {
        this.bench = bench;
        this.close = close;
        setId("findings");
        getStyleClass().add("recipes");
        list.getStyleClass().add("recipe-head");
        list.setMaxWidth(WIDE);
        var scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bench-scroll");
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        back.setId("findings-close");
        var head =
                new HBox(
                        12,
                        Texts.label(Words.of("findings.title"), "sheet-title"),
                        Texts.spring(),
                        back);
        head.getStyleClass().add("recipe-head");
        setTop(head);
        setCenter(scroll);
        bench.assessed().addListener(following);
        refresh();
    }

    private void refresh() {
        list.getChildren().clear();
        var assessed = bench.assessed().get();
        if (assessed.isEmpty() || assessed.get().findings().isEmpty()) {
            list.getChildren().add(Texts.label(Words.of("findings.none"), "quiet"));
            return;
        }
        for (var severity : Severity.values()) {
            var found =
                    assessed.get().findings().stream()
                            .filter(finding -> finding.severity() == severity)
                            .toList();
            if (!found.isEmpty()) {
                list.getChildren()
                        .add(
                                Texts.caption(
                                        Words.of(
                                                "findings.group",
                                                Words.of("severity", severity),
                                                found.size())));
                found.forEach(finding ->
                        list.getChildren()
                                .addAll(
                                        FindingBox.placed(bench, finding, () -> go(finding)),
                                        Texts.rule()));
            }
        }
    }

    /** Goes to what a finding is about. */
    private void go(Finding finding) {
        close.run();
        finding.subject().circuits(bench.job()).stream()
                .findFirst()
                .ifPresent(circuit -> bench.focus().set(Optional.of(circuit)));
        bench.selection().set(Selection.of(finding.subject()));
    }

    /** Follows the job no longer; the view is not to be shown again. */
    public void dispose() {
        bench.assessed().removeListener(following);
    }
}
