package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.desktop.workbench.Selection;
import aficion.files.JobStore;
import aficion.files.RecipeBook;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.LoadKind;
import aficion.job.Vehicle;
import aficion.job.WorkshopPractice;
import aficion.quantity.Volts;
import aficion.recipe.Insertion;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** From nothing to a whole vehicle without drawing anything. */
class PlanningTest extends WindowTest {
    @TempDir Path folder;

    @BeforeEach
    void ready() {
        settle();
    }

    private void write(String id, String text) {
        clickOn(node(id));
        interact(() -> ((TextField) node(id)).setText(text));
    }

    private String chosen(String box) {
        return ((ComboBox<?>) node(box)).getButtonCell().getText();
    }

    private boolean isOpen(String id) {
        return byId(id).isPresent();
    }

    @Test
    void aMotorcycleIsPlannedFromNothingToNoDangers() throws IOException {
        push(KeyCode.CONTROL, KeyCode.N);
        write("new-job-name", "Quill Trial");
        write("new-job-year", "1971");
        clickOn(node("new-job-sort"));
        push(KeyCode.DOWN);
        push(KeyCode.ENTER);
        assertShows("Tail and instruments");
        assertThat(chosen("new-job-charging"))
                .isEqualTo("Charging, flywheel alternator, two wires");
        assertThat(chosen("new-job-ignition")).isEqualTo("Ignition, points");
        interact(() -> ((ComboBox<?>) node("colouring")).getSelectionModel().select(1));
        clickOn(node("new-job-begin"));
        until(() -> !isOpen("new-job"));
        settle();

        var design = bench.design();
        assertThat(design.vehicle().name()).isEqualTo("Quill Trial");
        assertThat(design.vehicle().year()).isEqualTo(1971);
        assertThat(design.circuits()).hasSize(12);
        assertThat(design.parts()).anyMatch(part -> part.kind() instanceof LoadKind.IgnitionCoil);
        assertThat(bench.assessed().get().orElseThrow().findings())
                .noneMatch(finding -> finding.severity() == Severity.DANGER);
        assertThat(text("dangers")).isEqualTo("no dangers");

        relayForTheHorn();
        oneMoreLamp();
        mendWhatTheyBrought();
        assertThat(bench.design().parts()).hasSize(design.parts().size() + 2);
        assertThat(bench.assessed().get().orElseThrow().findings())
                .noneMatch(finding ->
                        finding.severity() == Severity.DANGER
                                || finding instanceof Finding.ColourNotOfScheme);
        assertThat(text("dangers")).isEqualTo("no dangers");

        answers.write = Optional.of(folder.resolve("trial.aficion"));
        push(KeyCode.CONTROL, KeyCode.S);
        settle();
        assertThat(JobStore.open(folder.resolve("trial.aficion")).job()).isEqualTo(bench.job());
    }

    /** By verbs alone: a relay behind the horn's button, then sizes, colours and numbers. */
    private void relayForTheHorn() {
        var horn = focusOnNamed("Horn");
        var wire =
                bench.design().wiresOf(horn).stream()
                        .filter(each ->
                                bench.design().part(each.from().terminal().part()).kind()
                                        instanceof ControlKind.Switch)
                        .findFirst()
                        .orElseThrow();
        onScreen(() -> bench.selection().set(new Selection.OfWire(wire.id())));
        push(KeyCode.R);
        settle();
        tidy();
    }

    /** A lamp of the shelf onto the tail lamp's terminal. */
    private void oneMoreLamp() {
        focusOnNamed("Tail and instruments");
        var tail =
                bench.design().partsOf(bench.focus().get().orElseThrow()).stream()
                        .filter(part -> part.kind() instanceof LoadKind.Lamp)
                        .findFirst()
                        .orElseThrow()
                        .terminals()
                        .getFirst();
        onScreen(() -> bench.selection().set(new Selection.OfTerminal(tail)));
        push(KeyCode.A);
        interact(() -> ((TextField) node("shelf-search")).setText("plate lamp"));
        clickOn(node("shelf-put"));
        settle();
        tidy();
    }

    /** The first remedy of the worst finding, until there is no danger left. */
    private void mendWhatTheyBrought() {
        push(KeyCode.F);
        for (int i = 0; i < 5 && !text("dangers").equals("no dangers"); i++) {
            until(bench::isOffered);
            interact(() -> ((Button) ((Parent) node("findings")).lookup(".main-button")).fire());
            settle();
        }
        push(KeyCode.ESCAPE);
    }

    private void tidy() {
        for (var key : new KeyCode[] {KeyCode.S, KeyCode.N, KeyCode.C}) {
            push(KeyCode.ALT, key);
            settle();
        }
        // What wires are for is found beside: the colours come a moment later.
        until(() ->
                bench.assessed()
                        .get()
                        .filter(found -> found.design() == bench.design())
                        .filter(found ->
                                found.findings().stream()
                                        .noneMatch(Finding.ColourNotOfScheme.class::isInstance))
                        .isPresent());
    }

    private CircuitId focusOnNamed(String name) {
        var circuit =
                bench.design().circuits().stream()
                        .filter(each -> each.name().equals(name))
                        .findFirst()
                        .orElseThrow()
                        .id();
        onScreen(() -> bench.focus().set(Optional.of(circuit)));
        return circuit;
    }

    @Test
    void aVehicleWithoutNameOrYearIsNotBegun() {
        push(KeyCode.CONTROL, KeyCode.N);
        var before = bench.design();
        clickOn(node("new-job-begin"));
        assertThat(text("new-job-trouble")).isEqualTo("The vehicle needs a name.");
        write("new-job-name", "Quill");
        write("new-job-year", "19x0");
        clickOn(node("new-job-begin"));
        assertThat(text("new-job-trouble")).contains("1885", "2100");
        assertThat(bench.design()).isEqualTo(before);

        push(KeyCode.ESCAPE);
        until(() -> !isOpen("new-job"));
    }

    @Test
    void aRecipeIsFoundAskedShownPutInAndTakenBack() {
        var before = bench.design();
        interact(() -> byId("circuits").orElseThrow().requestFocus());
        push(KeyCode.INSERT);
        write("recipe-search", "work lamp");
        until(() -> !((Button) node("recipe-insert")).isDisabled());
        assertThat(text("recipe-brings")).contains("wires", "parts");
        assertShows("How many watts?");

        clickOn(node("recipe-insert"));
        settle();

        assertThat(bench.design().circuits()).hasSize(before.circuits().size() + 1);
        assertThat(bench.design().circuits().getLast().name()).isEqualTo("Work lamp");
        assertThat(bench.focus().get()).contains(bench.design().circuits().getLast().id());
        assertThat(text("undo")).isEqualTo("Undo: Add circuit Work lamp");
        clickOn("#undo");
        settle();
        assertThat(bench.design()).isEqualTo(before);
    }

    /** Another answer of the house proposes anew, but not what has been left out. */
    @Test
    void whatIsLeftOutStaysLeftOutWhenTheHouseAnswersOtherwise() {
        push(KeyCode.CONTROL, KeyCode.N);
        interact(() -> ((CheckBox) node("propose-turn-signals")).setSelected(false));
        interact(() -> wakes().setValue(WorkshopPractice.ONE_WIRE));
        assertThat(chosen("new-job-charging")).isEqualTo("Charging, one-wire alternator");
        assertThat(((CheckBox) node("propose-turn-signals")).isSelected()).isFalse();
        assertThat(((CheckBox) node("propose-stop-pedal")).isSelected()).isTrue();
    }

    @SuppressWarnings("unchecked")
    private ComboBox<WorkshopPractice> wakes() {
        return (ComboBox<WorkshopPractice>) node("rules-wake-up");
    }

    /** In a house that feeds from the alternator, the feed follows when the alternator comes. */
    @Test
    void whatIsChangedOfWhatIsThereIsSaid() {
        var car =
                new Vehicle(
                        "test",
                        1960,
                        new Volts(12),
                        Vehicle.Pole.NEGATIVE,
                        Optional.of(Vehicle.Sort.CAR));
        var rules = HouseRules.USUAL.withSchool(WorkshopPractice.FROM_ALTERNATOR);
        var design = Design.empty(car, rules);
        for (var proposal : RecipeBook.proposals(Vehicle.Sort.CAR, rules).subList(0, 4)) {
            var fit = Insertion.of(design, proposal.recipe(), proposal.answers());
            design = ((Insertion.Fit.Fits) fit).design();
        }
        var before = design;
        onScreen(() -> bench.take(Job.of(before)));
        push(KeyCode.INSERT);
        write("recipe-search", "alternator with lamp");
        until(() -> !((Button) node("recipe-insert")).isDisabled());
        assertThat(text("recipe-brings")).contains("Leads 2.01 elsewhere.");
    }

    @Test
    void anAnswerThatIsWrongPutsNothingIn() {
        push(KeyCode.INSERT);
        write("recipe-search", "work lamp");
        until(() -> !((Button) node("recipe-insert")).isDisabled());
        var watts =
                all((Parent) node("recipes"))
                        .filter(TextField.class::isInstance)
                        .map(TextField.class::cast)
                        .filter(field -> String.valueOf(field.getId()).startsWith("question-"))
                        .findFirst()
                        .orElseThrow();
        var usual = watts.getText();

        interact(() -> watts.setText("many"));
        assertThat(((Button) node("recipe-insert")).isDisabled()).isTrue();
        assertThat(text("recipe-brings")).doesNotContain("parts");
        interact(() -> watts.setText(usual));
        until(() -> !((Button) node("recipe-insert")).isDisabled());
        push(KeyCode.ESCAPE);
        until(() -> !isOpen("recipes"));
    }

    /** Undo meanwhile is a step like any other; what comes then still comes to its end. */
    @Test
    void undoWhileANewJobFillsLeavesNothingDead() {
        push(KeyCode.CONTROL, KeyCode.N);
        write("new-job-name", "Quill");
        write("new-job-year", "1970");
        clickOn(node("new-job-begin"));
        for (int i = 0; i < 5; i++) {
            interact(bench::undo);
        }
        until(() -> !isOpen("new-job") || !((Button) node("new-job-begin")).isDisabled());
        if (isOpen("new-job")) {
            push(KeyCode.ESCAPE);
            until(() -> !isOpen("new-job"));
        }
        assertThat(bench.design().vehicle().name()).isEqualTo("Quill");
    }

    @Test
    void whatTheVehicleLacksIsSaidInWords() {
        push(KeyCode.INSERT);
        write("recipe-search", "hazard");
        until(() -> text("recipe-brings").contains("lacks"));

        assertThat(text("recipe-brings")).contains("left signal joint");
        assertThat(((Button) node("recipe-insert")).isDisabled()).isTrue();
        push(KeyCode.ESCAPE);
        until(() -> !isOpen("recipes"));
    }

    @Test
    void aCircuitIsTakenOutWithWhatOnlyItReaches() {
        clickOn("Horn");
        settle();
        clickOn("#menu");
        clickOn("#menu-removeCircuit");
        settle();

        assertThat(bench.design().circuits()).extracting(Circuit::name).doesNotContain("Horn");
        assertThat(bench.design().parts())
                .noneMatch(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && hand.control().equals("horn"));
        assertThat(bench.focus().get()).isPresent();
    }

    @Test
    void aWireIsTyped() {
        int wires = bench.design().wires().size();
        push(KeyCode.CONTROL, KeyCode.K);
        interact(() -> ((TextField) node("search")).setText("S5.1 > X1.31"));
        push(KeyCode.ENTER);
        settle();

        assertThat(bench.design().wires()).hasSize(wires + 1);
        var wire = bench.design().wires().getLast();
        assertThat(wire.from().terminal()).hasToString("S5.1");
        assertThat(wire.to().terminal()).hasToString("X1.31");
        assertShows("Wire " + wire.number());
    }

    /** The horn's lead to its earth-side button: chafed, the horn sounds. */
    @Test
    void theFaultsOfAWireAreTriedAndTheJobStaysAsItIs() {
        var before = bench.design();
        onScreen(() -> bench.selection().set(new Selection.OfWire(wireNumbered("8.02"))));
        assertShows("Wire 8.02");
        clickOn(node("what-if-try"));

        until(() ->
                all((Parent) node("what-if"))
                        .anyMatch(each ->
                                each instanceof Labeled label
                                        && label.getText() != null
                                        && label.getText().contains("runs by itself")));
        assertShows("It chafes to the body half way");
        assertThat(bench.design()).isEqualTo(before);
    }

    @Test
    void aSizeIsWrittenInPlaceAndNonsenseIsRefused() {
        var id = wireNumbered("8.02");
        onScreen(() -> bench.selection().set(new Selection.OfWire(id)));
        enter("change-size", "2.5 mm2");
        settle();
        assertThat(bench.design().wire(id).size()).hasToString("2.5mm2");
        assertThat(text("undo")).contains("8.02");

        enter("change-size", "thick");
        assertShows("A size that is made");
        assertThat(bench.design().wire(id).size()).hasToString("2.5mm2");

        enter("change-length", "85 cm");
        settle();
        assertThat(bench.design().wire(id).length().metres().value()).isEqualTo(0.85);
    }

    private void enter(String id, String text) {
        interact(() -> {
            var field = (TextField) node(id);
            field.setText(text);
            field.getOnAction().handle(new ActionEvent());
        });
    }
}
