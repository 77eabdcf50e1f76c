package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.desktop.field.Choice;
import aficion.desktop.theme.Choices;
import aficion.desktop.workbench.Selection;
import aficion.job.Circuit;
import aficion.job.Laid;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Everything of a wire, a part, a terminal, a circuit and the vehicle is changed where it stands.
 */
class InspectorTest extends WindowTest {
    @BeforeEach
    void ready() {
        settle();
    }

    @Test
    void whatAWireIsAndHowItIsLaidIsChosenInPlace() {
        var id = wireNumbered("8.02");
        onScreen(() -> bench.selection().set(new Selection.OfWire(id)));
        var first = bench.design().wire(id).from().terminal();

        pick("change-first-end", new Termination("ring-m6"));
        pick("change-colour", Colour.PINK);
        pick("change-tracer", Optional.of(Colour.SLATE));
        pick("change-cover", Insulation.PTFE200);
        pick("change-zone", Zone.MOVING);
        enter("change-slack", "6 cm");
        enter("change-bundle", "door");
        pick("change-unguarded", Optional.of(Unguarded.SHORT_AND_SLEEVED));

        var wire = bench.design().wire(id);
        assertThat(wire.at(first).termination()).isEqualTo(new Termination("ring-m6"));
        assertThat(wire.colour()).isEqualTo(new WireColour(Colour.PINK, Optional.of(Colour.SLATE)));
        assertThat(wire.insulation()).isEqualTo(Insulation.PTFE200);
        assertThat(wire.laid())
                .isEqualTo(
                        new Laid.Stated(
                                wire.length(),
                                Zone.MOVING,
                                Optional.of("door"),
                                Optional.of(new Metres(0.06))));
        assertThat(wire.unguarded()).contains(Unguarded.SHORT_AND_SLEEVED);
        assertThat(bench.history().get().past().size()).isEqualTo(8);
    }

    @Test
    void escapeLeavesAChoiceAsItWas() {
        var id = wireNumbered("8.02");
        onScreen(() -> bench.selection().set(new Selection.OfWire(id)));
        var before = bench.design();

        open("change-zone");
        push(KeyCode.DOWN);
        push(KeyCode.ESCAPE);
        settle();

        assertThat(bench.design()).isSameAs(before);
        assertThat(bench.selection().get()).isEqualTo(new Selection.OfWire(id));
        assertThat(((ComboBox<?>) node("change-zone")).getValue())
                .isEqualTo(before.wire(id).zone());
    }

    @Test
    void whereAPartStandsItsStudsAndWhatACircuitMayLoseAreChosenInPlace() {
        onScreen(() -> bench.selection().set(new Selection.OfPart(new PartId("X1"))));
        pick("change-place", Zone.UNDERBODY);
        assertThat(bench.design().part(new PartId("X1")).zone()).isEqualTo(Zone.UNDERBODY);

        var post = Terminal.parse("M1.30").orElseThrow();
        onScreen(() -> bench.selection().set(new Selection.OfTerminal(post)));
        pick("change-stud", Optional.of("m10"));
        assertThat(bench.design().part(post.part()).stud("30")).contains("m10");

        focusOn("8");
        onScreen(() -> bench.selection().set(new Selection.Nothing()));
        pick("change-drops", Circuit.Drops.STRICT);
        assertThat(bench.design().circuit(bench.focus().get().orElseThrow()).drops())
                .isEqualTo(Circuit.Drops.STRICT);
        assertThat(text("undo")).contains("strict");
    }

    /** What a choice is about may be gone once its list is closed: then it stays as it was. */
    @Test
    void aChoiceThatDoesNotFitAnyMoreIsTakenBack() {
        interact(() -> {
            var box = Choices.of(List.of("this", "that"), text -> text);
            var choice =
                    new Choice<>(
                            "any",
                            "any",
                            box,
                            _ -> {
                                throw new IllegalArgumentException("gone");
                            });
            box.show();
            box.setValue("that");
            box.hide();
            assertThat(choice.getChildren()).isNotEmpty();
            assertThat(box.getValue()).isEqualTo("this");
        });
    }

    /** A wire that is thinner than its share asks for, on a way that loses little enough. */
    @Test
    void aWireDoesWhereItsWholeWayLosesLittle() {
        onScreen(() -> bench.selection().set(new Selection.OfWire(wireNumbered("5.09"))));
        assertShows("2.5 mm\u00b2 does here");
        assertShows("3 mm\u00b2 would be needed");
        assertShows("Nothing found here");
    }

    /** A positive earthed vehicle with its battery as it was: said outright, and undone. */
    @Test
    void theVehicleItselfIsSaidOtherwiseAndJudgedAnew() {
        var before = bench.design();
        press("job-name");
        push(KeyCode.F1);
        assertThat(text("help-screen")).startsWith("What vehicle it is");
        push(KeyCode.ESCAPE);
        enterOnly("vehicle-year", "long ago");
        press("vehicle-apply");
        assertThat(text("vehicle-trouble")).contains("whole number");

        enterOnly("vehicle-year", "1957");
        enterOnly("vehicle-name", "Other Tern");
        interact(() -> box("vehicle-pole").setValue(Vehicle.Pole.POSITIVE));
        press("vehicle-apply");

        assertThat(bench.design().vehicle())
                .isEqualTo(
                        new Vehicle(
                                "Other Tern",
                                1957,
                                new Volts(12),
                                Vehicle.Pole.POSITIVE,
                                before.vehicle().sort()));
        assertThat(bench.assessed().get().orElseThrow().findings())
                .anyMatch(finding -> finding.rule().equals("BatteryReversed"));
        press("undo");
        assertThat(bench.design()).isEqualTo(before);
    }

    private void enterOnly(String id, String text) {
        interact(() -> ((TextField) node(id)).setText(text));
    }

    @SuppressWarnings("unchecked")
    private <T> ComboBox<T> box(String id) {
        return (ComboBox<T>) node(id);
    }

    /** A list opens where its box is seen: off the screen there is no room for it. */
    private void reveal(Node node) {
        var pane = (ScrollPane) node("inspector").lookup(".scroll-pane");
        var content = pane.getContent();
        double above = content.sceneToLocal(node.localToScene(0, 0)).getY();
        double room = content.getLayoutBounds().getHeight() - pane.getViewportBounds().getHeight();
        pane.setVvalue(Math.clamp((above - pane.getHeight() / 3) / Math.max(1, room), 0, 1));
        pane.layout();
    }

    private void open(String id) {
        interact(() -> reveal(box(id)));
        interact(() -> box(id).requestFocus());
        push(KeyCode.DOWN);
        until(() -> box(id).isShowing());
    }

    private <T> void pick(String id, T value) {
        open(id);
        interact(() -> this.<T>box(id).setValue(value));
        push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void enter(String id, String text) {
        interact(() -> {
            node(id).requestFocus();
            ((TextField) node(id)).setText(text);
        });
        push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }
}
