package aficion.check;

import static aficion.check.Mistake.comesWithALongLead;
import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.PathFinding;
import aficion.check.finding.PathFinding.Tale;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.quantity.Amps;
import aficion.quantity.Farads;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What hangs on the wrong terminal and works, only not when or not as it should. */
class WhereItHangsTest {
    private static DesignBuilder keyed() {
        return DesignBuilder.twelveVolts().keyed().dynamo("B1.+");
    }

    /** A lamp of the charge is lit with the key on and the engine still, and then alone. */
    @ParameterizedTest
    @CsvSource({
        "charge lamp, S1.15, N1.D,",
        "Dynamo warning, S1.15, N1.A, CHARGE_LIT",
        "charging lamp, S1.15, E1.E, CHARGE_LIT",
        "charge lamp, B1.+, N1.D, CHARGE_LIT",
        "charge lamp, S1.50, N1.D, CHARGE_DARK",
        "oil lamp, S1.15, E1.E,"
    })
    void aLampThatTellsOfTheCharge(String name, String feed, String back, Tale tale) {
        var wired =
                keyed().named("L1", name, new LoadKind.WarningLamp(new Watts(2), new Volts(13.5)))
                        .load("X2", 2)
                        .wire("S1.15", "X2.+", "1mm2", 1)
                        .wire(feed, "L1.1", "1mm2", 1)
                        .wire("L1.2", back, "1mm2", 1);

        assertThat(found(wired, PathFinding.TellsWrongly.class))
                .extracting(PathFinding.TellsWrongly::tale)
                .isEqualTo(tale == null ? List.of() : List.of(tale));
    }

    /** With the key at run the lamp is fed by a lead that leaves it next to nothing. */
    @Test
    void aLampThatItsLeadLeavesToTheStart() {
        comesWithALongLead(
                keyed().lamp("H1", 150)
                        .wire("S1.50", "H1.58", "2.5mm2", 1)
                        .wire("S1.15", "H1.58", "4mm2", 1),
                "H1.58",
                PathFinding.OnlyWhileHeld.class);
    }

    /** Its lamp dark, a tell-tale of a side tells what is not so. */
    @Test
    void aTellTaleWhoseLampGetsTooLittle() {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("L", new Watts(150))));
        var turns =
                DesignBuilder.selector(
                        "turn",
                        20,
                        DesignBuilder.joins("left", "49a", "L"),
                        DesignBuilder.joins("right", "49a", "R"));
        comesWithALongLead(
                DesignBuilder.twelveVolts()
                        .part("S1", turns)
                        .named(
                                "L1",
                                "left turn lamp",
                                new LoadKind.WarningLamp(new Watts(2), new Volts(13.5)))
                        .mounted("H1", "E1", lamp)
                        .wire("B1.+", "S1.49a", "4mm2", 1)
                        .wire("S1.L", "L1.1", "1mm2", 1)
                        .wire("L1.2", "E1.E", "1mm2", 1)
                        .wire("S1.L", "H1.L", "4mm2", 1),
                "H1.L",
                PathFinding.TellsWrongly.class);
    }

    /** What is for the road has to work on the road; a starter or a plug may want to be held. */
    @Test
    void lampsThatWorkOnlyWhileTheKeyIsHeld() {
        var held =
                keyed().lamp("H1", 5)
                        .lamp("H2", 5)
                        .load("X1", 5)
                        .wire("S1.50", "H1.58", "1mm2", 1)
                        .wire("S1.50", "H2.58", "1mm2", 1)
                        .wire("S1.50", "X1.+", "1mm2", 1);
        var found = only(held, PathFinding.OnlyWhileHeld.class);

        assertThat(found.position()).isEqualTo("start");
        assertThat(found.parts()).containsExactly(new PartId("H1"), new PartId("H2"));
        none(
                held.wire("S1.15", "H1.58", "1mm2", 1).wire("B1.+", "H2.58", "1mm2", 1),
                PathFinding.OnlyWhileHeld.class);
    }

    /** One lamp fed past the switch of its number; a switch of its own that has none excuses it. */
    @ParameterizedTest
    @CsvSource({"S2.58, 0", "S1.15, 1", "S3.2, 0", "S4.56, 1"})
    void aLampThatDoesNotFollowItsSwitch(String feed, int findings) {
        var design =
                keyed().part(
                                "S2",
                                DesignBuilder.selector(
                                        "lights", 10, DesignBuilder.joins("side", "30", "58")))
                        .onOff("S3", "other", 10)
                        .lamp("H1", 5)
                        .lamp("H2", 5)
                        .load("X1", 1)
                        .wire("B1.+", "S2.30", "1mm2", 1)
                        .wire("B1.+", "S3.1", "1mm2", 1)
                        .wire("S3.2", "X1.+", "1mm2", 1)
                        .wire("S2.58", "H1.58", "1mm2", 1)
                        .part(
                                "S4",
                                DesignBuilder.selector(
                                        "head", 10, DesignBuilder.joins("on", "30", "56")))
                        .wire("B1.+", "S4.30", "1mm2", 1)
                        .load("X2", 1)
                        .wire("S4.56", "X2.+", "1mm2", 1)
                        .wire(feed, "H2.58", "1mm2", 1);
        var found = found(design, PathFinding.NotSwitched.class);

        assertThat(found).hasSize(findings);
        assertThat(found)
                .allSatisfy(each -> {
                    assertThat(each.part()).isEqualTo(new PartId("H2"));
                    assertThat(each.by()).isEqualTo(new PartId("S2"));
                });
    }

    /** A gauge reads with the key, and needs no other switch. */
    @ParameterizedTest
    @CsvSource({"S1.15, 0", "S3.2, 1"})
    void aGaugeThatNeedsMoreThanTheKey(String feed, int findings) {
        var design =
                keyed().onOff("S3", "other", 10)
                        .load("X1", 1)
                        .wire("S1.15", "S3.1", "1mm2", 1)
                        .wire("S3.2", "X1.+", "1mm2", 1)
                        .part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.1)))
                        .part("R1", new JoinKind.Resistor(new Ohms(60)))
                        .wire(feed, "P1.B", "1mm2", 1)
                        .wire("P1.T", "R1.1", "1mm2", 1)
                        .wire("R1.2", "E1.E", "1mm2", 1);

        assertThat(found(design, PathFinding.NeedsOther.class)).hasSize(findings);
    }

    /** A main switch is on at rest: no gauge is said to need it. */
    @Test
    void aGaugeBehindAMainSwitch() {
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S3", "main", 100)
                        .wire("B1.+", "S3.1", "10mm2", 1)
                        .part("S1", DesignBuilder.offRunStart())
                        .wire("S3.2", "S1.30", "2.5mm2", 1)
                        .part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.1)))
                        .part("R1", new JoinKind.Resistor(new Ohms(60)))
                        .wire("S1.15", "P1.B", "1mm2", 1)
                        .wire("P1.T", "R1.1", "1mm2", 1)
                        .wire("R1.2", "E1.E", "1mm2", 1)
                        .onOff("S2", "light", 10)
                        .lamp("H1", 21)
                        .wire("S3.2", "S2.1", "1mm2", 1)
                        .wire("S2.2", "H1.58", "1mm2", 1);

        none(design, PathFinding.NeedsOther.class);
    }

    /** What hangs at earth with a part that is found otherwise is not excused by it. */
    @Test
    void aLampBesideAnotherMistakeAtEarth() {
        var lamp = new LoadKind.WarningLamp(new Watts(2), new Volts(13.5));
        var dead =
                DesignBuilder.twelveVolts()
                        .load("X1", 2)
                        .wire("B1.+", "X1.+", "1mm2", 1)
                        .part("L1", lamp)
                        .wire("L1.1", "E1.E", "1mm2", 1)
                        .wire("L1.2", "E1.E", "1mm2", 1);
        var beside =
                dead.part("H2", new LoadKind.LedLamp(new Volts(12), new Watts(2)))
                        .wire("B1.+", "H2.31", "1mm2", 1)
                        .wire("H2.+", "E1.E", "1mm2", 1);

        only(beside, PathFinding.NeverWorks.class);
    }

    static Stream<Arguments> ofTwoLeads() {
        return Stream.of(
                Arguments.of(new JoinKind.Resistor(new Ohms(2)), "1", "2"),
                Arguments.of(new JoinKind.Diode(new Amps(3)), "A", "K"),
                Arguments.of(new JoinKind.Capacitor(new Farads(2e-7)), "+", "31"),
                Arguments.of(new LoadKind.Ammeter(new Amps(30)), "A", "B"));
    }

    @ParameterizedTest
    @MethodSource("ofTwoLeads")
    void bothLeadsOnTheSameMetal(Kind kind, String one, String other) {
        var hung =
                DesignBuilder.twelveVolts()
                        .part("Y1", kind)
                        .part("J1", new JoinKind.Splice())
                        .load("X1", 2)
                        .wire("J1.J", "X1.+", "1mm2", 1)
                        .wire("B1.+", "J1.J", "1mm2", 1)
                        .wire("J1.J", "Y1." + one, "1mm2", 0.2);

        none(hung, PathFinding.OnSameMetal.class);
        only(hung.wire("Y1." + other, "J1.J", "1mm2", 0.2), PathFinding.OnSameMetal.class);
    }
}
