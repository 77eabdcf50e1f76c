package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.Circuit;
import aficion.job.JoinKind;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** What a user keeps for every job: own parts and own recipes. */
class OwnThingsTest extends WindowTest {
    private static final String RECIPE =
            """
            {"format": "aficion-recipe", "version": 1, "id": "own-x", "group": "own", "name": "X",
             "says": "x", "drops": "ordinary", "questions": [], "parts": [], "wires": []}
            """;

    private void write(String field, String text) {
        interact(() -> ((TextField) node(field)).setText(text));
    }

    @Test
    void aPartOfTheShelfIsKeptWithItsFiguresAndPutInAgain() {
        focusOn("5");
        push(KeyCode.A);
        write("shelf-search", "dropping");
        write("figure-resistance", "4.7");
        interact(() -> node("figure-resistance").requestFocus());
        push(KeyCode.ENTER);
        write("shelf-name", "dropper of mine");
        fire("shelf-keep");
        assertThat(text("shelf-trouble")).isEqualTo("Kept: dropper of mine.");
        push(KeyCode.ESCAPE);

        push(KeyCode.A);
        write("shelf-search", "of mine");
        fire("shelf-put");
        var part = bench.design().parts().getLast();
        assertThat(part.name()).isEqualTo("dropper of mine");
        assertThat(((JoinKind.Resistor) part.kind()).resistance().value()).isEqualTo(4.7);
    }

    /** The same circuit again, with stronger lamps, from what was kept of the first. */
    @Test
    void aCircuitIsKeptAsOnesOwnAndGoesInAgainWithOtherAnswers() {
        focusOn("5");
        answers.name = Optional.of("My headlamps");
        clickOn("#menu");
        clickOn("#menu-keepRecipe");
        until(() -> !answers.told.isEmpty());
        assertThat(answers.told.getFirst()).startsWith("Kept as your own recipe");

        interact(() -> byId("circuits").orElseThrow().requestFocus());
        push(KeyCode.INSERT);
        write("recipe-search", "my headlamps");
        until(() -> byId("question-watts1").isPresent());
        write("question-watts1", "35");
        until(() -> !((Button) node("recipe-insert")).isDisabled());
        fire("recipe-insert");

        var added = bench.design().circuits().getLast();
        assertThat(added).extracting(Circuit::name).isEqualTo("My headlamps");
        assertThat(bench.design().partsOf(added.id()))
                .anyMatch(part -> part.kind().toString().contains("Watts[value=35.0]"));
    }

    @Test
    void whatCannotBeReadIsNamedAndLeftWhereItIs() throws IOException {
        Path broken = files.library().keepRecipe("own-x", RECIPE).resolveSibling("broken.json");
        Files.writeString(broken, "{\"format\": \"aficion-recipe\"}");
        interact(() -> byId("circuits").orElseThrow().requestFocus());
        push(KeyCode.INSERT);
        Node unread = node("recipe-unread");
        assertThat(text("recipe-unread")).contains("broken.json", "a recipe is wrong at id");
        assertThat(unread.isManaged()).isTrue();
        assertThat(broken).hasContent("{\"format\": \"aficion-recipe\"}");
    }
}
