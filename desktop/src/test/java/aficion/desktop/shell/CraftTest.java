package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.files.JobStore;
import aficion.job.CircuitId;
import aficion.job.Colouring;
import aficion.job.HouseRules;
import aficion.job.WireId;
import aficion.job.WorkshopPractice;
import aficion.job.edit.WireEdit;
import aficion.words.Wording;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Units and words, recent jobs, two windows, house rules, findings that stand, lists taken in. */
class CraftTest extends WindowTest {
    @TempDir private Path folder;

    /** A wire whose guard is too large. */
    private WireId thin() {
        return bench.design().wires().stream()
                .filter(wire -> wire.number().equals("5.13"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private void search(String text) {
        push(KeyCode.CONTROL, KeyCode.K);
        interact(() -> ((TextField) node("search")).setText(text));
        push(KeyCode.ENTER);
        settle();
    }

    @SuppressWarnings("unchecked")
    private <T> void choose(String id, T value) {
        interact(() -> ((ComboBox<T>) node(id)).setValue(value));
    }

    @Test
    void unitsAndWordsChangeAtOnceAndNothingIsLost() {
        focusOn("5");
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.99")));
        onScreen(() -> bench.selection().set(new Selection.OfWire(thin())));
        var design = bench.design();
        search("Metres and");
        settle();

        assertThat(bench.design()).isSameAs(design);
        assertThat(((TextField) node("change-length")).getText()).endsWith("ft");
        assertShows("Undo: Label it 1.99");
        search("British or American");
        settle();
        assertShows("12 V, negative ground");
        assertThat(userState.preferences().wording()).isEqualTo(Wording.AMERICAN);
        assertThat(userState.preferences().feet()).isTrue();
        push(KeyCode.CONTROL, KeyCode.Z);
        settle();
        assertThat(bench.design().wire(new WireId("w1")).number()).isNotEqualTo("1.99");
    }

    @Test
    void aJobOpenElsewhereIsRefusedKindlyAndRecentJobsAreOffered() throws Exception {
        var path = folder.resolve("tern.aficion");
        answers.write = Optional.of(path);
        push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
        settle();
        assertThat(userState.recent()).containsExactly(path);
        assertThat(userState.lock(path)).isEmpty();

        var other = folder.resolve("other.aficion");
        JobStore.save(other, bench.job(), Optional.empty());
        var elsewhere = userState.lock(other).orElseThrow();
        answers.open = Optional.of(other);
        push(KeyCode.CONTROL, KeyCode.O);
        settle();
        assertThat(answers.told).singleElement().asString().contains("open in another window");
        assertThat(bench.document().get().path()).contains(path);
        elsewhere.close();
        push(KeyCode.CONTROL, KeyCode.O);
        settle();
        assertThat(bench.document().get().path()).contains(other);

        clickOn("#menu");
        clickOn("tern.aficion");
        settle();
        assertThat(bench.document().get().path()).contains(path);
        userState.lock(other).orElseThrow().close();
    }

    @Test
    void houseRulesAreAnsweredAndKept() {
        push(KeyCode.CONTROL, KeyCode.R);
        settle();
        choose("rules-return", WorkshopPractice.WIRE_RETURN);
        choose("rules-overload", WorkshopPractice.SELF_RESETTING);
        interact(() -> ((ComboBox<?>) node("colouring")).getSelectionModel().select(1));
        interact(() -> ((TextArea) node("rules-law")).setText("Two stop lamps."));
        clickOn(node("rules-apply"));
        settle();

        var rules = bench.design().rules();
        assertThat(rules.school(WorkshopPractice.Question.RETURN))
                .isEqualTo(WorkshopPractice.WIRE_RETURN);
        assertThat(rules.law()).contains("Two stop lamps.");
        assertThat(rules.colours().orElseThrow()).isInstanceOf(Colouring.ByScheme.class);
        assertThat(text("undo")).isEqualTo("Undo: Change the house rules");
        assertThat(bench.assessed().get().orElseThrow().findings())
                .extracting(Finding::rule)
                .contains("ColourNotOfScheme", "FuseNotBreaker", "ReturnsByBody");
        push(KeyCode.CONTROL, KeyCode.Z);
        settle();
        assertThat(bench.design().rules()).isEqualTo(HouseRules.USUAL.withLaw(""));
    }

    @Test
    void aRemedyShowsWhatItChangesAndAFindingStandsWithAReason() throws Exception {
        focusOn("5");
        onScreen(() -> bench.selection().set(new Selection.OfWire(thin())));
        var design = bench.design();
        clickOn(button("Preview"));
        until(() ->
                all(stage.getScene().getRoot())
                        .anyMatch(each ->
                                each instanceof Label label
                                        && label.getText() != null
                                        && label.getText().startsWith("Mends: ")));
        assertThat(bench.design()).isSameAs(design);

        long dangers = bench.assessed().get().orElseThrow().dangers();
        settle();
        interact(button("Let it stand ...")::fire);
        until(() -> stage.getScene().getFocusOwner() instanceof TextField);
        write("as the maker left it");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench.assessed().get().orElseThrow().dangers()).isEqualTo(dangers - 1);
        answers.write = Optional.of(folder.resolve("findings.pdf"));
        clickOn("#print");
        clickOn("#menu-print-findings");
        settle();
        push(KeyCode.ENTER);
        push(KeyCode.ESCAPE);
        assertThat(Files.size(folder.resolve("findings.pdf"))).isGreaterThan(2000);

        interact(() -> node("dangers").requestFocus());
        clickOn(node("dangers"));
        assertShows("It stands: as the maker left it");
        interact(button("Ask again")::fire);
        settle();
        assertThat(bench.assessed().get().orElseThrow().dangers()).isEqualTo(dangers);
    }

    /** Remedies are tried where one looks before they are tried everywhere. */
    @Test
    void remediesOfTheCircuitInFocusComeFirst() {
        var circuit = new CircuitId("5");
        focusOn(circuit.value());
        until(bench::isOffered);
        var offers = new ArrayList<List<Finding>>();
        onScreen(() -> {
            bench.offered()
                    .addListener((_, _, now) ->
                            now.map(Assessed::found)
                                    .filter(found -> !found.isEmpty())
                                    .ifPresent(offers::add));
            bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77"));
        });
        until(bench::isOffered);

        assertThat(offers.getFirst())
                .allMatch(each -> each.subject().circuits(bench.design()).contains(circuit))
                .hasSizeLessThan(offers.getLast().size());
        assertThat(offers.getLast()).hasSameSizeAs(bench.assessed().get().orElseThrow().findings());
    }

    /** A reason that is being written stays while all is judged anew. */
    @Test
    void aReasonIsWrittenWhileRemediesAreTried() {
        clickOn(node("dangers"));
        interact(button("Let it stand ...")::fire);
        until(() -> stage.getScene().getFocusOwner() instanceof TextField);
        write("as the");
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
        until(bench::isOffered);
        write(" maker left it");
        push(KeyCode.ENTER);
        settle();

        assertShows("It stands: as the maker left it");
    }

    @Test
    void aWireListIsMatchedLookedAtAndTakenIn() throws Exception {
        answers.open =
                Optional.of(
                        Files.writeString(
                                folder.resolve("loom.csv"),
                                "number,from,to,shade,size\n1,H1.56b,S3.56b,blue/red,1.5\n2,H1.56b,,red,1\n"));
        int wires = bench.design().wires().size();
        search("Take in a wire list");
        until(() -> text("import-says").startsWith("1 of 2 rows"));
        assertThat(((ListView<?>) node("import-problems")).getItems().getFirst().toString())
                .contains("Row 2 is left out");
        choose("import-colour", 3);
        until(() -> !node("import-take").isDisabled());
        clickOn(node("import-take"));
        settle();

        assertThat(bench.design().wires()).hasSize(wires + 1);
        assertThat(bench.design().wires().getLast().colour().british()).isEqualTo("UR");
        assertThat(bench.design().circuits().getLast().name()).isEqualTo("loom");

        answers.open = Optional.of(Files.writeString(folder.resolve("no.csv"), "nothing"));
        search("Take in a wire list");
        assertThat(answers.told).singleElement().asString().contains("is no wire list");
    }

    /** Whoever hears the screen hears a name for everything that can be pressed or written in. */
    @Test
    void everythingThatCanBePressedHasAName() {
        focusOn("5");
        onScreen(() -> bench.selection().set(new Selection.OfWire(thin())));
        for (var command : List.of("", "Part from the shelf", "House rules", "New job", "Help")) {
            if (!command.isEmpty()) {
                search(command);
            }
            assertThat(all(stage.getScene().getRoot()).filter(CraftTest::isNameless))
                    .as(command)
                    .isEmpty();
            push(KeyCode.ESCAPE);
            settle();
        }
    }

    private static boolean isNameless(Node node) {
        boolean used =
                node instanceof ButtonBase
                        || node instanceof TextInputControl
                        || node instanceof ComboBoxBase<?>;
        boolean inside =
                node.getStyleClass().contains("arrow-button")
                        || node.getParent() instanceof ComboBoxBase<?>
                        || node.getStyleClass().contains("increment-button");
        if (!used || inside || !node.isVisible() || !node.isFocusTraversable()) {
            return false;
        }
        var said = node.getAccessibleText();
        var text = node instanceof Labeled labeled ? labeled.getText() : "";
        return (said == null || said.isBlank()) && (text == null || text.isBlank());
    }
}
