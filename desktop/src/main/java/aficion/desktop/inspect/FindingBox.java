package aficion.desktop.inspect;

import aficion.check.Findings;
import aficion.check.Preview;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.desktop.theme.Marks;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.Edit;
import aficion.words.Words;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What is wrong, why, and its remedies as buttons, the first one first, each with what it would
 * change; or a reason to let it stand.
 */
final class FindingBox extends VBox {
    private static final int MOST_WIRES = 4;

    private final Workbench bench;
    private final Finding finding;
    private final HBox head;

    FindingBox(Workbench bench, Finding finding) {
        this.bench = bench;
        this.finding = finding;
        var speech = bench.findingSpeech();
        getStyleClass().add("finding");
        var title =
                Texts.wrapped(
                        speech.title(finding),
                        "finding-title",
                        finding.severity() == Severity.DANGER ? "danger" : "fix");
        head = new HBox(8, Marks.of(finding.severity()), title);
        getChildren().addAll(head, Texts.wrapped(speech.reason(finding)));
        Findings.accepted(bench.job().work(), finding)
                .filter(before -> !before.covers(finding.figures()))
                .map(before -> Words.of("stand.before", before.reason()))
                .ifPresent(text -> getChildren().add(Texts.wrapped(text, "quiet")));
        if (!bench.isTried(finding)) {
            getChildren().add(Texts.wrapped(Words.of("remedy.trying"), "quiet"));
        }
        var remedies = finding.remedies();
        for (int i = 0; i < remedies.size(); i++) {
            remedy(remedies.get(i), i == 0);
        }
        stand();
    }

    private void remedy(Edit remedy, boolean first) {
        var button =
                Texts.button(
                        bench.findingSpeech().edit(remedy),
                        first ? "main-button" : "outline-button",
                        () -> take(remedy));
        button.setWrapText(true);
        var effect = Texts.wrapped("", "preview");
        effect.setManaged(false);
        var ask = Texts.button(Words.of("preview.ask"), "plain-button", () -> {});
        ask.setMinWidth(USE_PREF_SIZE);
        ask.setOnAction(_ -> bench.ask().preview(remedy, preview -> show(effect, preview)));
        HBox.setHgrow(button, Priority.SOMETIMES);
        var row = new HBox(8, button, ask);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(row, effect);
    }

    /** A remedy of the design before would mend what is no more. */
    private void take(Edit remedy) {
        if (bench.isFoundOfNow()) {
            bench.perform(remedy);
        }
    }

    private void show(Label effect, Preview preview) {
        effect.setText(words(preview));
        effect.setManaged(true);
    }

    private String words(Preview preview) {
        var speech = bench.speech();
        var wires =
                preview.changed().stream()
                        .limit(MOST_WIRES)
                        .map(speech::label)
                        .collect(Collectors.joining(", "));
        return Words.of("preview.mends", titles(preview.mended()))
                + "\n"
                + Words.of("preview.brings", titles(preview.brought()))
                + (wires.isEmpty() ? "" : "\n" + Words.of("preview.wires", wires))
                + (preview.parts() == 0 ? "" : "\n" + Words.of("preview.parts", preview.parts()));
    }

    private String titles(List<Finding> findings) {
        return findings.isEmpty()
                ? Words.of("preview.nothing")
                : findings.stream()
                        .map(each -> bench.speech().title(each))
                        .distinct()
                        .collect(Collectors.joining(", "));
    }

    /** A reason has to be written before a finding may stand. */
    private void stand() {
        var reason = new TextField();
        reason.setPromptText(Words.of("stand.reason"));
        reason.setAccessibleText(Words.of("stand.reason"));
        reason.getStyleClass().add("stand-reason");
        reason.setManaged(false);
        reason.setVisible(false);
        var let = Texts.button(Words.of("stand.let"), "plain-button", () -> {});
        let.getStyleClass().add("stand-let");
        let.setOnAction(_ -> {
            reason.setManaged(true);
            reason.setVisible(true);
            reason.requestFocus();
        });
        reason.setOnAction(_ -> {
            if (!reason.getText().isBlank()) {
                reason.setVisible(false);
                bench.perform(Findings.accept(finding, reason.getText().strip()));
            }
        });
        getChildren().addAll(let, reason);
    }

    /** Findings that stand as one, with each place to be pressed. */
    static FindingBox placed(Workbench bench, Findings.Group group, Consumer<Finding> go) {
        var box = new FindingBox(bench, group.first());
        box.head.getChildren().add(Texts.spring());
        for (var finding : group.findings()) {
            Button place =
                    Texts.button(
                            bench.findingSpeech().where(finding.subject()),
                            "plain-button",
                            () -> go.accept(finding));
            place.setMinWidth(USE_PREF_SIZE);
            box.head.getChildren().add(place);
        }
        return box;
    }
}
