package aficion.desktop.shell;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.desktop.workbench.Workbench.Failure;
import aficion.words.Words;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** Says what the engine could not work out, until it can; there is nothing where all went well. */
final class FailureBar extends HBox {
    private final Label text = Texts.wrapped("", "strong");

    FailureBar(Workbench bench) {
        super(14);
        setId("failure");
        getStyleClass().add("failure");
        setAlignment(Pos.CENTER_LEFT);
        var again = Texts.button(Words.of("failure.again"), "plain-button", bench::askAgain);
        again.setId("failure-again");
        again.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(text, Texts.spring(), again);
        bench.failure().addListener((_, _, failure) -> show(failure));
        show(bench.failure().get());
    }

    private void show(Optional<Failure> failure) {
        setVisible(failure.isPresent());
        setManaged(failure.isPresent());
        failure.ifPresent(
                found -> text.setText(Words.of("failure", Words.of("asked", found.question()))));
    }
}
