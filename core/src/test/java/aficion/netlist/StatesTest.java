package aficion.netlist;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Position;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import java.util.List;
import org.junit.jupiter.api.Test;

class StatesTest {
    private static final CircuitId CIRCUIT = new CircuitId("1");

    private static DesignBuilder keyed() {
        var off = new Position("off", false, List.of());
        var run = new Position("run", false, List.of(new Contact("30", "15")));
        var start = new Position("start", true, List.of(new Contact("30", "50")));
        return DesignBuilder.twelveVolts()
                .part(
                        "S1",
                        new ControlKind.Switch(
                                Action.KEY,
                                "key",
                                List.of("30", "15", "50"),
                                List.of(off, run, start),
                                new Amps(30)))
                .onOff("S2", "lights", 10)
                .push("S3", "horn", 10)
                .onOff("S9", "elsewhere", 10)
                .wire("B1.+", "S1.30", "4mm2", 1)
                .wire("S1.15", "S2.1", "1mm2", 1)
                .wire("S1.15", "S3.1", "1mm2", 1);
    }

    @Test
    void aCircuitIsTriedInEveryPositionOfTheKeyAndItsOwnSwitches() {
        var states = OperatingStates.of(keyed().build(), CIRCUIT, Conditions.REST);

        assertThat(states).hasSize(3 * 2 * 2).doesNotHaveDuplicates();
        assertThat(states).noneMatch(state -> state.positions().containsKey("elsewhere"));
        assertThat(states.getFirst().positions()).containsEntry("key", "off");
    }

    /** Two to the power of 64 is nothing in 64 bits; the combinations are still too many. */
    @Test
    void soManySwitchesThatTheirCombinationsOverflowAreMovedOneAtATime() {
        var builder = keyed();
        for (int i = 0; i < 64; i++) {
            builder.onOff("T" + i, "t" + i, 5).wire("S1.15", "T" + i + ".1", "1mm2", 1);
        }

        assertThat(OperatingStates.of(builder.build(), CIRCUIT, Conditions.REST))
                .hasSize(1 + 2 + 66);
    }

    /** At rest; 2 positions of the key and 11 of switches; 2 · 11 and 11 · 10 / 2 pairs of them. */
    @Test
    void tooManySwitchesAreMovedTwoAtATime() {
        var builder = keyed();
        for (int i = 0; i < 9; i++) {
            builder.onOff("T" + i, "t" + i, 5).wire("S1.15", "T" + i + ".1", "1mm2", 1);
        }

        assertThat(OperatingStates.of(builder.build(), CIRCUIT, Conditions.REST))
                .hasSize(1 + 13 + 22 + 55)
                .anyMatch(state ->
                        state.positions().get("t3").equals("on")
                                && state.positions().get("t8").equals("on"));
    }

    /** Whatever a file says of it: else no state would be driven in, and none judged charging. */
    @Test
    void thePositionOfRestIsNotHeld() {
        var held =
                new ControlKind.Switch(
                        Action.PEDAL,
                        "brake",
                        List.of("1", "2"),
                        List.of(
                                new Position("off", true, List.of()),
                                new Position("on", true, List.of(new Contact("1", "2")))),
                        new Amps(10));
        var controls = Controls.of(DesignBuilder.twelveVolts().part("S1", held).build());

        assertThat(OperatingStates.isHeld(controls, Conditions.REST)).isFalse();
        assertThat(OperatingStates.withSources(controls, Conditions.REST)).hasSize(3);
        assertThat(OperatingStates.isHeld(controls, Conditions.REST.with("brake", "on"))).isTrue();
    }

    @Test
    void aPositionThatSpringsBackIsHeld() {
        var design = keyed().build();

        assertThat(
                        OperatingStates.isHeld(
                                Controls.of(design), Conditions.REST.with("key", "start")))
                .isTrue();
        assertThat(OperatingStates.isHeld(Controls.of(design), Conditions.REST.with("horn", "on")))
                .isTrue();
        assertThat(OperatingStates.isHeld(Controls.of(design), Conditions.REST.with("key", "run")))
                .isFalse();
    }

    @Test
    void aLastingStateMeetsEverySourceAHeldOneTheBatteryAlone() {
        var design = keyed().build();

        assertThat(
                        OperatingStates.withSources(
                                Controls.of(design), Conditions.REST.with("key", "run")))
                .hasSize(3);
        assertThat(
                        OperatingStates.withSources(
                                Controls.of(design), Conditions.REST.with("key", "start")))
                .hasSize(1);
    }

    @Test
    void theHeaviestStateLeavesOutWhatAHandHolds() {
        var heaviest =
                OperatingStates.heaviest(
                        keyed().build(),
                        Conditions.REST,
                        state ->
                                (double)
                                        state.positions().values().stream()
                                                .filter("on"::equals)
                                                .count());

        assertThat(heaviest.positions())
                .containsEntry("lights", "on")
                .containsEntry("elsewhere", "on")
                .doesNotContainKey("horn");
    }

    @Test
    void controlsAreThoseOfTheSwitchesAndLevelsThoseOfTheSenders() {
        Design design =
                keyed().mounted(
                                "R1",
                                "E1",
                                new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                        .build();
        var controls = Controls.of(design);

        assertThat(controls.controls())
                .extracting(Controls.Control::name)
                .containsExactly("key", "lights", "horn", "elsewhere");
        assertThat(controls.levels()).containsExactly("fuel");
        assertThat(controls.key().orElseThrow().rest()).isEqualTo("off");
        assertThat(
                        Controls.position(
                                controls.key().orElseThrow(), Conditions.REST.with("key", "run")))
                .isEqualTo("run");
    }

    @Test
    void conditionsOutOfReasonAreRefused() {
        assertThatThrownBy(() -> Conditions.REST.withEngine(new Rpm(-1)))
                .hasMessageContaining("rpm");
        assertThatThrownBy(() -> Conditions.REST.withCharge(new Ratio(1.2)))
                .hasMessageContaining("charged");
        assertThatThrownBy(() -> Conditions.REST.withLevel("fuel", 2))
                .hasMessageContaining("level fuel");
        assertThatThrownBy(() -> Conditions.REST.withAir(new aficion.quantity.Celsius(400)))
                .hasMessageContaining("air");
    }

    /** The quarters of the trade: 11.9, 12.05, 12.2, 12.45, 12.7; halved for 6 V. */
    @Test
    void aRestedBatteryStandsAtTheVoltsOfItsCharge() {
        assertThat(SourceCurves.restVolts(12, 1)).isCloseTo(12.7, within(1e-9));
        assertThat(SourceCurves.restVolts(12, 0.75)).isCloseTo(12.45, within(1e-9));
        assertThat(SourceCurves.restVolts(12, 0.5)).isCloseTo(12.2, within(1e-9));
        assertThat(SourceCurves.restVolts(12, 0.125)).isCloseTo(11.975, within(1e-9));
        assertThat(SourceCurves.restVolts(6, 1)).isCloseTo(6.35, within(1e-9));
    }

    @Test
    void anAlternatorGivesNothingAtACrawlAndItsRatingAtSpeed() {
        assertThat(SourceCurves.alternatorAmps(45, 1000)).isZero();
        assertThat(SourceCurves.alternatorAmps(45, 6000)).isCloseTo(45, within(1e-9));
        assertThat(SourceCurves.alternatorAmps(45, 12000)).isEqualTo(45);
        assertThat(SourceCurves.alternatorAmps(45, 2500)).isBetween(20.0, 35.0);
    }

    @Test
    void aTerminalThatIsNotThereIsACallersMistake() {
        var netlist = Netlist.of(keyed().build());

        assertThatThrownBy(() ->
                        netlist.node(new aficion.job.Terminal(new aficion.job.PartId("Z9"), "1")))
                .hasMessageContaining("no terminal Z9.1");
        assertThat(netlist.inside(new aficion.job.PartId("Z9"))).isEmpty();
    }

    /** Of two keys the one that cranks is the ignition's; the other is moved like any control. */
    @Test
    void aSecondKeyIsMovedLikeALever() {
        var cabinet =
                new ControlKind.Switch(
                        Action.KEY,
                        "cabinet",
                        List.of("1", "2"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("on", false, List.of(new Contact("1", "2")))),
                        new Amps(10));
        var design =
                DesignBuilder.twelveVolts()
                        .part("S2", cabinet)
                        .load("X1", 5)
                        .wire("B1.+", "S2.1", "1mm2", 1)
                        .wire("S2.2", "X1.+", "1mm2", 1)
                        .keyed()
                        .build();

        assertThat(Controls.of(design).key().orElseThrow().name()).isEqualTo("key");
        assertThat(
                        OperatingStates.heaviest(
                                        design,
                                        Conditions.REST,
                                        state -> state.positions().containsValue("on") ? 1.0 : 0)
                                .positions())
                .containsEntry("cabinet", "on");
    }
}
