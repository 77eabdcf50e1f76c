package aficion.desktop.inspect;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.WorkEdit;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Every finding of the job, worst first, each with the way to its place and its remedies. */
public final class FindingsView extends BorderPane {
    private static final int COLUMNS = 2;

    private final Workbench bench;
    private final Runnable close;
    private final VBox list = new VBox(14);
    private final UnlessWriting unlessWriting = new UnlessWriting(this, this::refresh);
    private final ChangeListener<Optional<Assessed>> following = (_, _, _) -> unlessWriting.show();

    /**
     * @param close puts this view away
     */
    public FindingsView(Workbench bench, Runnable close) {
        this.bench = bench;
        this.close = close;
        setId("findings");
        getStyleClass().add("recipes");
        list.getStyleClass().add("recipe-head");
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
        bench.offered().addListener(following);
        refresh();
    }

    private void refresh() {
        list.getChildren().clear();
        var assessed = bench.assessed().get();
        if (assessed.isEmpty()) {
            return;
        }
        if (assessed.get().findings().isEmpty()) {
            list.getChildren().add(Texts.label(Words.of("findings.none"), "quiet"));
        }
        for (var severity : Severity.values()) {
            var found =
                    bench.offered(assessed.get().findings()).stream()
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
                list.getChildren().add(inColumns(Findings.grouped(found)));
            }
        }
        standing(assessed.get().standing());
    }

    /** Two columns, read across: the window is wide and a finding is not. */
    private GridPane inColumns(List<Findings.Group> groups) {
        var grid = new GridPane(40, 14);
        for (int i = 0; i < COLUMNS; i++) {
            var column = new ColumnConstraints();
            column.setPercentWidth(100.0 / COLUMNS);
            grid.getColumnConstraints().add(column);
        }
        for (int i = 0; i < groups.size(); i++) {
            var box = new VBox(14, FindingBox.placed(bench, groups.get(i), this::go), Texts.rule());
            grid.add(box, i % COLUMNS, i / COLUMNS);
        }
        return grid;
    }

    /** What the user lets stand, with the reason and the way to ask for it again. */
    private void standing(List<Findings.Standing> standing) {
        if (standing.isEmpty()) {
            return;
        }
        list.getChildren().add(Texts.caption(Words.of("findings.standing", standing.size())));
        for (var each : standing) {
            var speech = bench.findingSpeech();
            var again =
                    Texts.button(
                            Words.of("stand.again"),
                            "plain-button",
                            () -> bench.perform(new WorkEdit.Reject(each.acceptance())));
            var head =
                    new HBox(
                            8,
                            Texts.label(speech.title(each.finding()), "strong"),
                            Texts.label(speech.where(each.finding().subject()), "quiet"),
                            Texts.spring(),
                            again);
            head.setAlignment(Pos.CENTER_LEFT);
            list.getChildren()
                    .addAll(
                            new VBox(
                                    2,
                                    head,
                                    Texts.wrapped(speech.reason(each.finding()), "quiet"),
                                    Texts.wrapped(
                                            Words.of("stand.because", each.acceptance().reason()))),
                            Texts.rule());
        }
    }

    /** Goes to what a finding is about. */
    private void go(Finding finding) {
        close.run();
        finding.subject().circuits(bench.design()).stream()
                .findFirst()
                .ifPresent(circuit -> bench.focus().set(Optional.of(circuit)));
        bench.selection().set(Selection.of(finding.subject()));
    }

    /** Follows the job no longer; the view is not to be shown again. */
    public void dispose() {
        bench.assessed().removeListener(following);
        bench.offered().removeListener(following);
    }
}
