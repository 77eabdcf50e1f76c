package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.ColourScheme;
import aficion.catalogue.FuseType;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.job.Colouring;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.WireColour;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What hangs on the post of a coil, what a flasher blinks, what colour a wire wears. */
class PostsAndFlashersTest {
    private static final Volts TWELVE = new Volts(12);
    private static final Amps TWO = new Amps(2);

    private static Arguments at(Kind kind, String pin, boolean found) {
        return Arguments.of(kind, pin, found);
    }

    private static Stream<Arguments> fed() {
        var relay =
                new ControlKind.Relay(
                        TWELVE,
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.empty());
        var full =
                new ControlKind.LevelSwitch(
                        "fuel", Optional.of(new Ratio(0.5)), Optional.empty(), false, TWO);
        var box =
                new ControlKind.IgnitionBox(
                        ControlKind.IgnitionBox.Form.TRANSISTOR, 4, new Ratio(0.4), TWO);
        return Stream.of(
                at(new LoadKind.Lamp(TWELVE, List.of(filament("58"))), "58", true),
                at(new LoadKind.WarningLamp(new Watts(2), TWELVE), "1", true),
                at(new LoadKind.Motor(TWO, TWELVE), "+", true),
                at(new LoadKind.Motor(TWO, TWELVE), "31", false),
                at(new LoadKind.WiperMotor("w", TWO, TWELVE, Optional.empty()), "53", true),
                at(
                        new LoadKind.TwoSpeedMotor(TWO, TWO, TWELVE, Optional.empty(), false),
                        "53b",
                        true),
                at(new LoadKind.Voltmeter(new Volts(16)), "+", true),
                at(new LoadKind.Load(new Demand.InAmps(TWO), TWELVE), "+", true),
                at(new LoadKind.LedLamp(TWELVE, new Watts(5)), "+", true),
                at(new LoadKind.Buzzer(TWELVE, TWO), "+", true),
                at(new LoadKind.Heater(new Ohms(3), new Ohms(6), new Seconds(9)), "+", true),
                at(new LoadKind.Gauge(new Ohms(60), new Amps(0.16)), "B", false),
                at(new LoadKind.Ammeter(new Amps(30)), "A", false),
                at(new LoadKind.Starter(new Ohms(0.05), new Ohms(1)), "50", false),
                at(new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.007)), "15", false),
                at(relay, "86", true),
                at(relay, "30", true),
                at(relay, "87", false),
                at(new ControlKind.LatchingRelay(TWELVE, new Ohms(90), TWO), "S", false),
                at(new ControlKind.Module(TWELVE, TWO, List.of(), List.of()), "15", true),
                at(new ControlKind.Module(TWELVE, TWO, List.of(), List.of()), "31", false),
                at(box, "15", true),
                at(box, "1", false),
                at(full, full.pins().getFirst(), true),
                at(flasher(42), "49", true),
                at(new GuardKind.Fuse(FuseType.BLADE, new Amps(10)), "1", true),
                at(DesignBuilder.lever("spare", 5), "1", true),
                at(DesignBuilder.pedal(), "2", true));
    }

    private static LoadKind.Filament filament(String pin) {
        return new LoadKind.Filament(pin, new Watts(5));
    }

    /** Whatever takes its feed at the post, or leads it on, is found there. */
    @ParameterizedTest
    @MethodSource("fed")
    void whatTakesItsFeedAtACoilsPost(Kind kind, String pin, boolean isFound) {
        var wired =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .onOff("S1", "ignition", 20)
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                        .mounted("P1", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                        .named("Z1", "thing", kind)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                        .wire("F1.2", "S1.1", "1.5mm2", 1)
                        .wire("S1.2", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "P1.1", "1.5mm2", 1)
                        .wire("T1.15", "Z1." + pin, "1mm2", 0.5);
        var feeds = found(wired, PathFinding.CoilPostFeeds.class);
        var boxes = found(wired, PathFinding.BoxOnCoilPost.class);

        assertThat(feeds.size() + boxes.size()).isEqualTo(isFound ? 1 : 0);
        assertThat(boxes).hasSize(isFound && kind instanceof ControlKind.IgnitionBox ? 1 : 0);
        feeds.forEach(each -> {
            assertThat(each.part()).isEqualTo(new PartId("T1"));
            assertThat(each.load()).isEqualTo(new PartId("Z1"));
        });
    }

    private static ControlKind.Flasher flasher(double watts) {
        return new ControlKind.Flasher(
                ControlKind.Flasher.Form.THERMAL, new Watts(watts), TWELVE, 90);
    }

    /** A turn switch with a flasher before it, so many lamps of 21 W left and right. */
    private static DesignBuilder signals(double made, int left, int right) {
        var turn =
                DesignBuilder.selector(
                        "turn",
                        10,
                        DesignBuilder.joins("left", "49a", "L"),
                        DesignBuilder.joins("right", "49a", "R"));
        var wired =
                DesignBuilder.twelveVolts()
                        .keyed()
                        .part("K1", flasher(made))
                        .part("S2", turn)
                        .wire("S1.15", "K1.49", "1.5mm2", 1)
                        .wire("K1.49a", "S2.49a", "1.5mm2", 1);
        for (int i = 0; i < left + right; i++) {
            wired =
                    wired.lamp("H" + i, 21)
                            .wire(i < left ? "S2.L" : "S2.R", "H" + i + ".58", "1mm2", 2);
        }
        return wired;
    }

    /** A flasher for 42 W blinks two lamps of 21; one is too few, three are too many. */
    @ParameterizedTest
    @CsvSource({"42, 2, 2, 0", "42, 1, 2, 21", "42, 2, 3, 63", "63, 2, 3, 42", "21, 1, 1, 0"})
    void aFlasherBlinksWhatItIsMadeFor(double made, int left, int right, double watts) {
        var found = found(signals(made, left, right), Finding.FlasherLoad.class);

        assertThat(found).hasSize(watts == 0 ? 0 : 1);
        found.forEach(each -> {
            assertThat(each.part()).hasToString("K1");
            assertThat(each.load().value()).isCloseTo(watts, within(1e-9));
            assertThat(each.made().value()).isEqualTo(made);
        });
    }

    /** Diodes draw so little that a thermal flasher for lamps does not blink with them. */
    @Test
    void aFlasherForLampsDoesNotBlinkDiodes() {
        var wired = signals(42, 2, 1);
        var diodes =
                wired.mounted("D1", "E1", new LoadKind.LedLamp(TWELVE, new Watts(4)))
                        .mounted("D2", "E1", new LoadKind.LedLamp(TWELVE, new Watts(4)))
                        .onOff("S3", "x", 5)
                        .wire("K1.49a", "S3.1", "1mm2", 1)
                        .wire("S3.2", "D1.+", "1mm2", 1)
                        .wire("S3.2", "D2.+", "1mm2", 1);

        assertThat(found(diodes, Finding.FlasherLoad.class))
                .singleElement()
                .satisfies(each -> assertThat(each.load().value()).isBetween(6.0, 11.0));
    }

    private static DesignBuilder lit(HouseRules rules, WireColour worn) {
        return DesignBuilder.twelveVolts()
                .rules(rules)
                .fuse("F1", 10)
                .onOff("S1", "lights", 10)
                .lamp("H1", 5)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "H1.58", "1mm2", 1)
                .coloured(worn);
    }

    /** A side lamp's wire is red by that scheme; with bands all wires wear that of the reel. */
    @Test
    void aWireWearsTheColourOfTheScheme() {
        var scheme = HouseRules.USUAL.withColours(new Colouring.ByScheme(ColourScheme.BS_AU_7));
        var banded = HouseRules.USUAL.withColours(new Colouring.Banded(Colour.WHITE));
        var red = WireColour.plain(Colour.RED);
        var white = WireColour.plain(Colour.WHITE);

        assertThat(found(lit(scheme, white), Finding.ColourNotOfScheme.class))
                .anySatisfy(each -> {
                    assertThat(each.wire()).hasToString("w4");
                    assertThat(each.wears()).isEqualTo(white);
                    assertThat(each.remedies())
                            .containsExactly(new WireEdit.Recolour(each.wire(), red));
                });
        assertThat(found(lit(scheme, red), Finding.ColourNotOfScheme.class))
                .noneMatch(each -> each.wire().toString().equals("w4"));
        assertThat(found(lit(banded, red), Finding.ColourNotOfScheme.class))
                .anyMatch(each -> each.wire().toString().equals("w4"));
        var tracer = new WireColour(Colour.WHITE, Optional.of(Colour.GREEN));
        assertThat(found(lit(banded, tracer), Finding.ColourNotOfScheme.class))
                .noneMatch(each -> each.wire().toString().equals("w4"));
        none(lit(HouseRules.USUAL, red), Finding.ColourNotOfScheme.class);
    }
}
