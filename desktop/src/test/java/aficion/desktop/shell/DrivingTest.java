package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.desktop.workbench.Selection;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Conditions.FuseSeat;
import aficion.size.Supply;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Turning the key, pulling switches, looking at what is live. */
class DrivingTest extends WindowTest {

    @BeforeEach
    void ready() {
        settle();
    }

    private void headlamps() {
        clickOn("Headlamps");
        settle();
    }

    @Test
    void dippedTheDipWiresAreLiveAndTheMainWiresDead() {
        headlamps();
        press("set-key-run");
        press("set-lights-head");

        assertThat(List.of("5.03", "5.09", "5.11", "5.12", "5.17")).allMatch(this::isLive);
        assertThat(List.of("5.04", "5.10", "5.13", "5.14")).noneMatch(this::isLive);

        press("set-dip-main");

        assertThat(List.of("5.04", "5.10", "5.13", "5.14", "5.05")).allMatch(this::isLive);
        assertThat(List.of("5.03", "5.09", "5.11", "5.12")).noneMatch(this::isLive);
    }

    @Test
    void theAmpsInTheBarAreTheSolvers() {
        headlamps();
        press("set-key-run");
        press("set-lights-head");
        var supply = Supply.of(point());

        assertThat(text("drawn")).isEqualTo(bench.units().print(supply.drawn()));
        assertThat(text("at-battery")).isEqualTo(bench.units().print(supply.volts().orElseThrow()));
        assertThat(supply.drawn().value()).isBetween(10.0, 20.0);
    }

    @Test
    void aSwitchInTheDrawingIsThrownByPressingIt() {
        headlamps();

        clickOn(byId("part-S2").orElseThrow());
        settle();
        assertThat(bench.conditions().get().positions()).containsEntry("lights", "side");

        interact(() -> byId("part-S2").orElseThrow().requestFocus());
        type(KeyCode.SPACE);
        settle();
        assertThat(bench.conditions().get().positions()).containsEntry("lights", "head");
        type(KeyCode.ENTER);
        settle();
        assertThat(bench.conditions().get().positions()).containsEntry("lights", "off");
    }

    @Test
    void everyWireAndPartIsReachedByTabAndSaysWhatItIs() {
        headlamps();
        press("set-key-run");
        press("set-lights-head");
        var drawn =
                all(stage.getScene().getRoot())
                        .filter(node ->
                                node.getId() != null
                                        && (node.getId().startsWith("wire-")
                                                || node.getId().startsWith("part-")))
                        .toList();

        assertThat(drawn).hasSize(18 + 11);
        assertThat(drawn).allMatch(Node::isFocusTraversable);
        assertThat(drawn).allSatisfy(node -> assertThat(node.getAccessibleText()).isNotBlank());
        assertThat(wire("5.12").getAccessibleText())
                .contains("5.12", "blue with red", "K1.87", "H2.56b", "A, loses");
        assertThat(wire("5.13").getAccessibleText()).contains("dead");
        assertThat(byId("part-S2").orElseThrow().getAccessibleText())
                .contains("light switch", "head");
    }

    @Test
    void tabWalksFromWireToWire() {
        headlamps();
        interact(() -> wire("5.01").requestFocus());
        var reached = new java.util.ArrayList<String>();
        for (int i = 0; i < 27; i++) {
            type(KeyCode.TAB);
            var owner = stage.getScene().getFocusOwner();
            reached.add(owner == null ? "" : String.valueOf(owner.getId()));
        }

        assertThat(reached).contains("wire-5.02", "wire-5.12", "part-K1", "part-H2");
    }

    @Test
    void theEngineChargesWhenItTurnsAndTheLampGoesOut() {
        clickOn("Charging");
        settle();
        press("set-key-run");
        assertThat(isLive("2.03")).isTrue();

        onScreen(() -> ((Slider) byId("engine").orElseThrow()).setValue(2500));

        assertThat(bench.conditions().get().engine().value()).isEqualTo(2500);
        assertThat(text("given")).isNotEqualTo("0.00 A");
        assertThat(point().pulledIn(new PartId("G1"))).isTrue();
    }

    @Test
    void batteryAndAirAreSteppedWithinReason() {
        for (int i = 0; i < 3; i++) {
            clickOn(
                    all(stage.getScene().getRoot())
                            .filter(node -> "Less Battery".equals(node.getAccessibleText()))
                            .findFirst()
                            .orElseThrow());
        }
        clickOn(
                all(stage.getScene().getRoot())
                        .filter(node -> "More Air".equals(node.getAccessibleText()))
                        .findFirst()
                        .orElseThrow());
        settle();

        assertThat(bench.conditions().get().charge().value()).isEqualTo(0.85);
        assertThat(bench.conditions().get().air().value()).isEqualTo(25);
    }

    @Test
    void aLevelMovesItsGauge() {
        clickOn("Fuel and temperature");
        settle();
        press("set-key-run");
        double before = point().through(new PartId("P2"), "body").orElseThrow().value();

        onScreen(() -> ((Slider) byId("level-temperature").orElseThrow()).setValue(1));

        assertThat(point().through(new PartId("P2"), "body").orElseThrow().value())
                .isGreaterThan(before * 1.5);
    }

    @Test
    void aPulledFuseTakesItsLampsWithIt() {
        headlamps();
        press("set-key-run");
        press("set-lights-head");
        clickOn(byId("part-F5").orElseThrow());
        settle();
        clickOn(button("Pull the fuse"));
        settle();

        assertThat(bench.conditions().get().pulled())
                .containsExactly(new FuseSeat(new PartId("F5"), ""));
        assertThat(isLive("5.11")).isFalse();
        clickOn(button("Put the fuse back"));
        settle();
        assertThat(isLive("5.11")).isTrue();
    }

    @Test
    void pressingAWireShowsWhatItCarriesAndWhyItsSize() {
        headlamps();
        press("set-key-run");
        press("set-lights-head");
        clickOn(wire("5.11"));
        settle();

        assertThat(bench.selection().get()).isEqualTo(new Selection.OfWire(new WireId("w31")));
        assertShows("Wire 5.11");
        assertShows(bench.units().print(point().through(wireOf("w31"))));
        clickOn("#show-working");
        assertShows("\u0394V = I \u00b7 r(T) \u00b7 L");
        assertShows("Churchill");
        type(KeyCode.ESCAPE);
        assertThat(bench.selection().get()).isEqualTo(new Selection.Nothing());
    }

    @Test
    void voltsAreShownAtThePinsOnDemand() {
        headlamps();
        press("set-key-run");
        interact(() -> wire("5.01").requestFocus());
        type(KeyCode.V);
        settle();

        assertThat(
                        all(stage.getScene().getRoot())
                                .filter(node -> node instanceof javafx.scene.text.Text)
                                .map(node -> ((javafx.scene.text.Text) node).getText()))
                .contains(
                        bench.units()
                                .print(
                                        point().voltsAt(
                                                        bench.design()
                                                                .part(new PartId("K1"))
                                                                .terminal("30"))
                                                .orElseThrow()));
    }

    @Test
    void numbersSwitchTheViewAndPagesTheCircuit() {
        interact(() -> byId("circuits").orElseThrow().requestFocus());
        type(KeyCode.DIGIT4);
        assertThat(byId("make")).isPresent();
        type(KeyCode.DIGIT1);
        assertThat(byId("trace")).isPresent();
        // On the bench figures are readings.
        type(KeyCode.DIGIT5);
        assertThat(byId("bench")).isPresent();
        push(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
        settle();
        assertThat(bench.focus().get()).contains(new CircuitId("2"));
        push(KeyCode.CONTROL, KeyCode.PAGE_UP);
        settle();
        assertThat(bench.focus().get()).contains(new CircuitId("1"));
    }

    @Test
    void theSearchFieldFindsWiresPartsAndFindings() {
        push(KeyCode.CONTROL, KeyCode.K);
        write("5.12");
        type(KeyCode.ENTER);
        settle();
        assertThat(bench.selection().get()).isEqualTo(new Selection.OfWire(new WireId("w32")));
        assertThat(bench.focus().get()).contains(new CircuitId("5"));

        push(KeyCode.CONTROL, KeyCode.K);
        write("fuel sender");
        type(KeyCode.ENTER);
        settle();
        assertThat(bench.selection().get()).isEqualTo(new Selection.OfPart(new PartId("R2")));

        push(KeyCode.CONTROL, KeyCode.K);
        write("horn");
        type(KeyCode.ENTER);
        settle();
        assertThat(bench.focus().get()).contains(new CircuitId("8"));

        push(KeyCode.CONTROL, KeyCode.K);
        write("without a guard");
        type(KeyCode.ENTER);
        settle();
        assertThat(bench.focus().get()).contains(new CircuitId("10"));
    }

    @Test
    void aJumpFlagLeadsToTheOtherCircuit() {
        clickOn("Horn");
        settle();
        clickOn(byId("jump-FB1.3a").orElseThrow());
        settle();

        assertThat(bench.focus().get()).contains(new CircuitId("3"));
    }

    @Test
    void everyCircuitOfTheDemoIsDrawn() {
        for (var circuit : bench.design().circuits()) {
            focusOn(circuit.id().value());
            for (var wire : bench.design().wiresOf(circuit.id())) {
                assertThat(byId("wire-" + wire.number())).isPresent();
            }
        }
        onScreen(() -> bench.focus().set(Optional.empty()));
        assertShows("This circuit has no wires yet.");
    }

    private String key() {
        return bench.conditions().get().positions().getOrDefault("key", "off");
    }

    /** Cranking lasts as long as the start position is held, by hand and by key. */
    @Test
    void startIsHeldNotThrown() {
        press("set-key-run");

        interact(() -> node("set-key-start").requestFocus());
        press(KeyCode.SPACE);
        settle();
        assertThat(key()).isEqualTo("start");
        release(KeyCode.SPACE);
        settle();
        assertThat(key()).isEqualTo("run");

        moveTo(node("set-key-start")).press(MouseButton.PRIMARY);
        settle();
        assertThat(key()).isEqualTo("start");
        release(MouseButton.PRIMARY);
        settle();
        assertThat(key()).isEqualTo("run");

        press("set-key-off");
        moveTo(node("set-key-start")).press(MouseButton.PRIMARY);
        release(MouseButton.PRIMARY);
        settle();
        assertThat(key()).as("a key springs back to run").isEqualTo("run");
    }
}
