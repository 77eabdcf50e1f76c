package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.WireSize;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verb;
import aficion.desktop.workbench.Verbs;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.chart.LineChart;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What hands do on the drawing: verbs by key, menu and name, trials, meter and recorder. */
class HandsTest extends WindowTest {
    private static final String HEADLAMPS = "5";

    @TempDir private Path folder;

    private void choose(String number) {
        onScreen(() -> bench.selection().set(new Selection.OfWire(wireNumbered(number))));
    }

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    private Verbs verbs() {
        return new Verbs(bench, _ -> {});
    }

    private void key(KeyCode... keys) {
        push(keys);
        settle();
    }

    private Node pin(String terminal) {
        return byId("pin-" + terminal).orElseThrow();
    }

    private void search(String text) {
        push(KeyCode.CONTROL, KeyCode.K);
        interact(() -> ((TextField) node("search")).setText(text));
        push(KeyCode.ENTER);
        settle();
    }

    @Test
    void keysPutPartsIntoTheChosenWireAndUndoNamesThem() {
        focusOn(HEADLAMPS);
        choose("5.09");
        var before = bench.design();

        key(KeyCode.D);
        assertThat(bench.design().parts().getLast().kind()).isInstanceOf(JoinKind.Diode.class);
        assertThat(text("undo")).isEqualTo("Undo: Put a diode into wire 5.09");
        key(KeyCode.G);
        assertThat(bench.design().parts().getLast().kind()).isInstanceOf(GuardKind.Fuse.class);
        key(KeyCode.R);
        assertThat(bench.design().parts().getLast().kind()).isInstanceOf(ControlKind.Relay.class);
        for (int i = 0; i < 3; i++) {
            key(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(bench.design()).isEqualTo(before);
    }

    /** Keys go on working on what was pressed, whatever is drawn anew. */
    @Test
    void theKeyboardStaysWithTheDrawing() {
        focusOn(HEADLAMPS);
        clickOn(wire("5.09"));
        settle();
        key(KeyCode.D);
        key(KeyCode.D);
        assertThat(bench.history().get().past()).hasSize(2);
        key(KeyCode.E);
        until(() -> byId("wire-2.01").isPresent());
        key(KeyCode.J);
        assertThat(bench.history().get().past()).hasSize(3);
        assertThat(((TextField) node("search")).getText()).isEmpty();
    }

    /** A key that is held down sends itself again and again; the verb acts once. */
    @Test
    void aVerbActsOnceHoweverLongItsKeyIsHeld() {
        focusOn(HEADLAMPS);
        choose("5.09");
        press(KeyCode.D);
        var again =
                new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.D, false, false, false, false);
        interact(() -> window(0).getScene().getRoot().fireEvent(again));
        settle();
        assertThat(bench.history().get().past()).hasSize(1);
        release(KeyCode.D);
        key(KeyCode.D);
        assertThat(bench.history().get().past()).hasSize(2);
    }

    /** What takes a moment is done for the job as it then is, whatever was edited meanwhile. */
    @Test
    void sizesAreChosenThoughTheJobIsEditedMeanwhile() {
        focusOn(HEADLAMPS);
        choose("5.09");
        onScreen(() -> {
            bench.perform(
                    new WireEdit.Resize(
                            wireNumbered("5.09"), WireSize.parse("10mm2").orElseThrow()));
            verbs().perform(Verb.RESIZE);
            bench.perform(new WireEdit.Renumber(wireNumbered("5.09"), "5.90"));
        });
        until(() -> !bench.design().wire(wireNumbered("5.90")).size().designation().equals("10"));
    }

    @Test
    void aGroupOfStepsIsOneToUndo() {
        focusOn(HEADLAMPS);
        choose("5.09");
        var before = bench.design();
        key(KeyCode.ALT, KeyCode.G);
        key(KeyCode.D);
        key(KeyCode.X);
        key(KeyCode.ALT, KeyCode.G);

        assertThat(bench.history().get().past()).hasSize(1);
        key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(bench.design()).isEqualTo(before);
    }

    @Test
    void twoPinsThatArePickedAreConnected() {
        focusOn(HEADLAMPS);
        int wires = bench.design().wires().size();
        clickOn(pin("S3.56a"));
        settle();
        assertThat(bench.selection().get()).isEqualTo(new Selection.OfTerminal(at("S3.56a")));
        assertShows("S3.56a");
        key(KeyCode.C);
        until(() -> byId("bubble").orElseThrow().isVisible());
        assertThat(text("bubble")).contains("Pick the terminal");
        clickOn(pin("S3.56a"));
        settle();
        assertThat(text("bubble")).contains("Both ends would be on one terminal");
        assertThat(bench.design().wires()).hasSize(wires);

        key(KeyCode.C);
        clickOn(pin("K1.86"));
        settle();
        assertThat(bench.design().wires()).hasSize(wires + 1);
        assertThat(bench.design().wires().getLast().to().terminal()).isEqualTo(at("K1.86"));
    }

    @Test
    void aVerbIsFoundByItsNameAndAnEndIsLedToATerminalThatIsTyped() {
        focusOn(HEADLAMPS);
        choose("5.03");
        search("Lead second end");
        search("terminal K2.86");

        assertThat(bench.design().wire(wireNumbered("5.03")).to().terminal())
                .isEqualTo(at("K2.86"));
    }

    @Test
    void whatGivesWayIsSeenLiveAndNeverKept() {
        focusOn(HEADLAMPS);
        onScreen(() -> {
            bench.set("key", "run");
            bench.set("lights", "head");
        });
        assertThat(isLive("5.11")).isTrue();
        var before = bench.design();
        choose("5.11");
        key(KeyCode.Q);

        until(() -> !isLive("5.11"));
        assertThat(text("undo")).isEqualTo("Undo");
        assertThat(bench.design()).isSameAs(before);
        assertShows("Tried: 5.11 is broken");
        key(KeyCode.H);
        until(() -> bench.point().filter(point -> !point.blown().isEmpty()).isPresent());
        clickOn(node("trial-end"));
        settle();
        until(() -> isLive("5.11"));
        assertThat(bench.trial().get()).isEmpty();
        assertThat(bench.isUnsaved()).isFalse();
    }

    @Test
    void aPartOfTheShelfIsChangedThenPutIn() {
        focusOn(HEADLAMPS);
        choose("5.06");
        key(KeyCode.A);
        interact(() -> ((TextField) node("shelf-search")).setText("dropping"));
        clickOn(node("figure-resistance"));
        interact(() -> ((TextField) node("figure-resistance")).setText("nonsense"));
        push(KeyCode.ENTER);
        assertShows("A number that will do");
        interact(() -> ((TextField) node("figure-resistance")).setText("2.2"));
        push(KeyCode.ENTER);
        clickOn(node("shelf-put"));
        settle();

        var resistor = (JoinKind.Resistor) bench.design().parts().getLast().kind();
        assertThat(resistor.resistance().value()).isEqualTo(2.2);
    }

    @Test
    void anotherPartIsTriedAndOneThatDoesNotFitIsRefusedAtThePlace() {
        focusOn(HEADLAMPS);
        onScreen(() -> bench.selection().set(new Selection.OfPart(new PartId("F6"))));
        var before = bench.design();
        key(KeyCode.P);
        interact(() -> ((TextField) node("shelf-search")).setText("diode silicon"));
        clickOn(node("shelf-put"));
        settle();
        until(() -> byId("bubble").orElseThrow().isVisible());
        assertThat(text("bubble")).contains("pins that part does not have");
        assertThat(bench.design()).isSameAs(before);

        key(KeyCode.P);
        interact(() -> ((TextField) node("shelf-search")).setText("ballast resistor"));
        clickOn(node("shelf-try"));
        until(() -> bench.trial().get().isPresent());
        assertThat(bench.design()).isSameAs(before);
        clickOn(node("trial-keep"));
        settle();
        assertThat(bench.design().part(new PartId("F6")).kind())
                .isInstanceOf(JoinKind.Resistor.class);
    }

    @Test
    void returnsAreDrawnOutToTheirEarthPointsAndPutAway() {
        focusOn(HEADLAMPS);
        assertThat(byId("part-E2")).isEmpty();
        key(KeyCode.Y);
        until(() -> byId("part-E2").isPresent());
        clickOn(node("part-E2"));
        settle();
        assertShows("earth point");
        key(KeyCode.Y);
        until(() -> byId("part-E2").isEmpty());
    }

    @Test
    void theWholeVehicleIsDrawnWithTheFocusInInk() throws Exception {
        key(KeyCode.E);
        until(() -> bench.vehicleDiagram().get().isPresent() && byId("mini-map").isPresent());
        assertThat(byId("mini-map").orElseThrow().isVisible()).isTrue();
        focusOn(HEADLAMPS);
        until(() -> byId("wire-5.09").isPresent() && byId("wire-2.01").isPresent());

        answers.write = Optional.of(folder.resolve("whole.svg"));
        clickOn("#print");
        clickOn("#menu-print-svg");
        settle();
        assertThat(Files.readString(folder.resolve("whole.svg")))
                .contains("<svg")
                .contains("Headlamps")
                .contains("Charging");
        key(KeyCode.E);
        until(() -> byId("wire-2.01").isEmpty());
    }

    @Test
    void theMeterTellsVoltsOhmsAndLight() {
        focusOn(HEADLAMPS);
        onScreen(() -> {
            bench.set("key", "run");
            bench.set("lights", "head");
        });
        interact(() -> wire("5.09").requestFocus());
        push(KeyCode.M);
        clickOn(pin("H1.56b"));
        until(() -> text("meter-volts").startsWith("12."));
        assertThat(text("meter-lamp")).contains("%");
        clickOn(node("meter-black"));
        clickOn(pin("J1.J"));
        until(() -> text("meter-volts").startsWith("-0."));
        assertThat(text("meter-black")).contains("J1.J");
        assertThat(bench.selection().get()).isEqualTo(new Selection.Nothing());
        choose("5.09");
        until(() -> text("meter-clamp").equals("8.0 A"));
        clickOn(node("meter-close"));
        assertThat(byId("meter")).isEmpty();
    }

    @Test
    void aProbeOnAPartThatIsTriedBrokenReadsWhatIsThere() {
        focusOn(HEADLAMPS);
        onScreen(() -> {
            bench.set("key", "run");
            bench.set("lights", "head");
        });
        interact(() -> wire("5.09").requestFocus());
        push(KeyCode.M);
        clickOn(pin("K1.87"));
        until(() -> text("meter-volts").startsWith("12."));
        onScreen(() -> bench.selection().set(new Selection.OfPart(new PartId("K1"))));
        key(KeyCode.Q);
        until(() -> bench.trial().get().isPresent());
        until(() -> !text("meter-volts").startsWith("12."));
        clickOn(node("trial-end"));
        until(() -> text("meter-volts").startsWith("12."));
    }

    /** The headlamps begin cold: their first current is many times what they take for good. */
    @Test
    void theRecorderShowsTheInrushOfTheHeadlamps() {
        focusOn(HEADLAMPS);
        onScreen(() -> {
            bench.set("key", "run");
            bench.set("lights", "head");
        });
        interact(() -> wire("5.09").requestFocus());
        push(KeyCode.T);
        choose("5.09");
        clickOn(node("recorder-take-A"));
        clickOn(node("recorder-start"));
        var chart = (LineChart<?, ?>) node("recorder-A");
        until(() -> !chart.getData().isEmpty());
        var values =
                chart.getData().getFirst().getData().stream()
                        .mapToDouble(point -> ((Number) point.getYValue()).doubleValue())
                        .toArray();
        double last = values[values.length - 1];
        double most = java.util.Arrays.stream(values).max().orElseThrow();

        assertThat(last).isBetween(6.0, 10.0);
        assertThat(most / last).isBetween(3.0, 12.0);
        assertThat(((Button) node("recorder-start")).getText()).isEqualTo("Record");
    }

    @Test
    void helpListsEveryKeyAndTheWordsOfTheTrade() {
        key(KeyCode.CONTROL, KeyCode.R);
        key(KeyCode.F1);
        assertThat(text("help-screen")).startsWith("How this house works.");
        key(KeyCode.ESCAPE);
        assertThat(byId("rules")).isPresent();
        key(KeyCode.ESCAPE);
        key(KeyCode.F1);
        assertThat(text("help-screen")).startsWith("The path of the circuit in focus");
        assertShows("Relay here");
        assertShows("Ctrl+Z");
        assertShows("Tracer");
        key(KeyCode.ESCAPE);
        assertThat(byId("help")).isEmpty();
    }

    @Test
    void aLoosePartLiesBesideUntilItIsJoined() {
        focusOn(HEADLAMPS);
        onScreen(() ->
                bench.perform(
                        new PartEdit.AddPart(
                                aficion.job.edit.NewNames.part(
                                        bench.design(),
                                        "V",
                                        aficion.catalogue.Zone.CABIN,
                                        new JoinKind.Diode(new aficion.quantity.Amps(3))))));
        var loose = bench.design().parts().getLast().id();
        clickOn(pin("S3.56a"));
        key(KeyCode.C);
        clickOn(byId("loose-" + loose).orElseThrow());
        settle();

        assertThat(bench.design().wires().getLast().to().terminal()).isEqualTo(at(loose + ".A"));
        until(() -> byId("loose-" + loose).isEmpty());
    }

    /** The keyboard is where it was before the help, and the next key does what it says. */
    @Test
    void escapeFromHelpGivesTheKeyboardBack() {
        interact(() -> byId("circuits").orElseThrow().requestFocus());
        key(KeyCode.F1);
        key(KeyCode.ESCAPE);

        assertThat(stage.getScene().getFocusOwner()).isEqualTo(byId("circuits").orElseThrow());
    }
}
