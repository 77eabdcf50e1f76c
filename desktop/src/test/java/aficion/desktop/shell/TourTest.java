package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.desktop.workbench.Selection;
import aficion.files.Preferences;
import aficion.job.CircuitId;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** On the first start only. */
class TourTest extends WindowTest {
    @Override
    Preferences preferences() {
        return Preferences.USUAL;
    }

    @Test
    void theTourIsThreeStepsAndThenOutOfTheWay() {
        assertThat(text("tour-text")).startsWith("1 of 3");
        onScreen(() -> bench.set("key", "run"));
        until(() -> text("tour-text").startsWith("2 of 3"));
        focusOn("5");
        onScreen(() ->
                bench.selection()
                        .set(
                                new Selection.OfWire(
                                        bench.design()
                                                .wiresOf(new CircuitId("5"))
                                                .getFirst()
                                                .id())));
        until(() -> text("tour-text").startsWith("3 of 3"));
        push(KeyCode.Q);
        until(() -> !node("tour").isVisible());
        assertThat(userState.preferences().toured()).isTrue();
    }
}
