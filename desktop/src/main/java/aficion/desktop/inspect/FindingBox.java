package aficion.desktop.inspect;

import aficion.check.Finding;
import aficion.check.Severity;
import aficion.desktop.theme.Marks;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What is wrong, why, and its remedies as buttons, the first one first. */
final class FindingBox extends VBox {
    private final HBox head;

    FindingBox(Workbench bench, Finding finding) {
        var speech = bench.speech();
        getStyleClass().add("finding");
        var title =
                Texts.wrapped(
                        speech.title(finding),
                        "finding-title",
                        finding.severity() == Severity.DANGER ? "danger" : "fix");
        head = new HBox(8, Marks.of(finding.severity()), title);
        getChildren().addAll(head, Texts.wrapped(speech.reason(finding)));
        var remedies = finding.remedies();
        for (int i = 0; i < remedies.size(); i++) {
            var remedy = remedies.get(i);
            var button =
                    Texts.button(
                            speech.edit(remedy),
                            i == 0 ? "main-button" : "plain-button",
                            () -> bench.perform(remedy));
            button.setWrapText(true);
            getChildren().add(button);
        }
    }

    /** The same with the place it is about, to be pressed. */
    static FindingBox placed(Workbench bench, Finding finding, Runnable go) {
        var box = new FindingBox(bench, finding);
        Button place = Texts.button(bench.speech().where(finding.subject()), "plain-button", go);
        box.head.getChildren().addAll(Texts.spring(), place);
        return box;
    }
}
