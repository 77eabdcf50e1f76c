package aficion.desktop.inspect;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Subject;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.PartId;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.words.Words;
import aficion.working.Working;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What is said of something that is chosen: figures, findings, workings, and what can be done. */
abstract class Card extends VBox {
    final Workbench bench;
    final Verbs verbs;
    private final Workings shown;
    private List<Finding> waiting = List.of();

    /** Whether workings are shown in full, and what prints them. */
    static final class Workings {
        private final Inspector.Printing printing;
        private final Runnable again;
        private boolean full;

        /**
         * @param again shows everything anew
         */
        Workings(Inspector.Printing printing, Runnable again) {
            this.printing = printing;
            this.again = again;
        }
    }

    Card(Workbench bench, Verbs verbs, Workings shown) {
        super(6);
        this.bench = bench;
        this.verbs = verbs;
        this.shown = shown;
    }

    void add(Node... nodes) {
        getChildren().addAll(nodes);
    }

    void section(String caption, Node... beside) {
        var head = new HBox(Texts.caption(caption), Texts.spring());
        head.setAlignment(Pos.CENTER_LEFT);
        head.getChildren().addAll(beside);
        add(Texts.rule(), head);
    }

    /** The operating point, when it has a part: what is tried may lack it. */
    Optional<OperatingPoint> pointWith(PartId part) {
        return bench.point().filter(point -> point.netlist().design().find(part).isPresent());
    }

    Optional<Assessment> assessment() {
        return bench.assessed()
                .get()
                .map(Assessed::assessment)
                .filter(found -> found.design() == bench.design());
    }

    /**
     * The workings in full where the user has asked for them, else the one that decides in brief.
     */
    void workings(Working deciding, List<Working> all) {
        var speech = bench.speech();
        if (shown.full) {
            all.forEach(working -> add(WorkingBox.full(working, speech)));
            var print =
                    Texts.button(
                            Words.of("inspect.working.print"),
                            "plain-button",
                            () ->
                                    shown.printing.print(
                                            Words.of(
                                                    "sheet.working",
                                                    speech.place(bench.selection().get().place())),
                                            all));
            print.setId("print-working");
            add(print);
        } else {
            add(WorkingBox.brief(deciding, speech));
        }
    }

    /** Shows all there is to the workings, or only what decides. */
    Hyperlink workingToggle() {
        var toggle =
                new Hyperlink(Words.of(shown.full ? "inspect.working.hide" : "inspect.working"));
        toggle.setId("show-working");
        toggle.getStyleClass().add("plain-button");
        toggle.setOnAction(_ -> {
            shown.full = !shown.full;
            shown.again.run();
        });
        return toggle;
    }

    static List<Finding> about(Assessed assessed, Subject subject) {
        return assessed.findings().stream()
                .filter(finding -> finding.subject().equals(subject))
                .toList();
    }

    void findings(List<Finding> findings, boolean withPlace) {
        waiting = findings.stream().filter(finding -> !bench.isTried(finding)).toList();
        if (findings.isEmpty()) {
            add(Texts.label(Words.of("inspect.findings.none"), "quiet"));
        }
        for (var group : Findings.grouped(bench.offered(findings))) {
            add(
                    withPlace
                            ? FindingBox.placed(bench, group, this::choose)
                            : new FindingBox(bench, group.first()));
        }
    }

    /** Whether remedies of what is found here have been tried since. */
    boolean isOvertaken() {
        return waiting.stream().anyMatch(bench::isTried);
    }

    private void choose(Finding finding) {
        bench.selection().set(Selection.of(finding.subject()));
    }
}
