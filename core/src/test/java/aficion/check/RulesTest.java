package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Severity;
import aficion.check.finding.SourceFinding;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.SourceKind.RegulatorRectifier.Bridge;
import aficion.job.Unguarded;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Each mistake is found where it is made, is not found where it is not, and its remedy mends it.
 */
class RulesTest {
    private static final Volts TWELVE = new Volts(12);
    private static final LoadKind.Motor FAN = new LoadKind.Motor(new Amps(6), TWELVE);

    /** Battery, a fuse within reach, a switch; what is fed hangs on S1.2. */
    private static DesignBuilder fed() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 15)
                .onOff("S1", "on", 20)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "S1.1", "2.5mm2", 1);
    }

    private static DesignBuilder fed(Kind kind, String live, String back) {
        return fed().part("X1", kind)
                .wire("S1.2", "X1." + live, "2.5mm2", 1)
                .wire("X1." + back, "E1.E", "2.5mm2", 1);
    }

    @Test
    void aDiodeLampTheWrongWayRound() {
        var lamp = new LoadKind.LedLamp(TWELVE, new Watts(5));
        var wrong = fed(lamp, "31", "+");

        mends(wrong, only(wrong, Finding.PolarityReversed.class));
        none(fed(lamp, "+", "31"), Finding.PolarityReversed.class);
    }

    @Test
    void aMotorThatTurnsBackwardsUnlessItsFieldIsWound() {
        var wrong = fed(FAN, "31", "+");
        var wound =
                new LoadKind.Motor(
                        new Amps(6),
                        TWELVE,
                        Optional.empty(),
                        Optional.of(LoadKind.Excitation.WOUND),
                        Optional.empty());
        var turned = FAN.turnedRound();
        var tried = fed(turned, "+", "31");

        mends(wrong, only(wrong, Finding.RunsBackwards.class));
        none(fed(FAN, "+", "31"), Finding.RunsBackwards.class);
        mends(tried, only(tried, Finding.RunsBackwards.class));
        none(fed(turned, "31", "+"), Finding.RunsBackwards.class);
        none(fed(turned.turnedRound(), "+", "31"), Finding.RunsBackwards.class);
        none(fed(wound, "31", "+"), Finding.RunsBackwards.class);
    }

    @Test
    void aCoilFedAtItsTerminalOne() {
        var coil = new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.007));
        var wrong = fed(coil, "1", "15");

        mends(wrong, only(wrong, Finding.CoilReversed.class));
        none(fed(coil, "15", "1"), Finding.CoilReversed.class);
    }

    private static DesignBuilder metered(String battery, String loads) {
        return DesignBuilder.twelveVolts()
                .part("P1", new LoadKind.Ammeter(new Amps(30)))
                .load("X1", 8)
                .wire("B1.+", "P1." + battery, "4mm2", 0.2)
                .wire("P1." + loads, "X1.+", "4mm2", 1);
    }

    /** It reads charge from A to B: the battery must be at B. */
    @Test
    void anAmmeterThatReadsBackwards() {
        var wrong = metered("A", "B");

        mends(wrong, only(wrong, Finding.ReadsBackwards.class));
        none(metered("B", "A"), Finding.ReadsBackwards.class);
    }

    @Test
    void aSuppressionDiodeTheWrongWayRound() {
        var relay =
                new ControlKind.Relay(
                        TWELVE,
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.empty(),
                        Optional.of(ControlKind.Suppression.DIODE_TO_86));
        var wrong = fed(relay, "85", "86");

        var finding = only(wrong, Finding.SuppressionReversed.class);

        assertThat(finding.severity()).isEqualTo(Severity.DANGER);
        mends(wrong, finding);
        none(fed(relay, "86", "85"), Finding.SuppressionReversed.class);
    }

    @ParameterizedTest
    @CsvSource({"6.3, 1", "12, 0", "13.5, 0", "28, 1"})
    void aLampForOtherVolts(double made, int findings) {
        var filament = new LoadKind.Filament("58", new Watts(10));
        var lamp = new LoadKind.Lamp(new Volts(made), List.of(filament));

        assertThat(found(fed(lamp, "58", "31").build(), Finding.WrongVoltage.class))
                .hasSize(findings);
    }

    @Test
    void whatIsSwitchedInItsEarth() {
        var horn = new LoadKind.Load(new aficion.job.Demand.InAmps(new Amps(5)), TWELVE);
        var behind =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 15)
                        .part("X1", horn)
                        .push("S1", "horn", 10)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                        .wire("F1.2", "X1.+", "2.5mm2", 1)
                        .wire("X1.31", "S1.1", "1mm2", 1)
                        .wire("S1.2", "E1.E", "1mm2", 0.5);

        only(behind, Finding.SwitchedInEarth.class);
        none(fed(horn, "+", "31"), Finding.SwitchedInEarth.class);
    }

    @Test
    void whatDrawsWithEverythingOff() {
        var clock = fed().load("X2", 0.5).wire("F1.2", "X2.+", "1mm2", 1);

        assertThat(only(clock, Finding.DrawsAtRest.class).amps().value()).isBetween(0.5, 0.6);
        none(fed(FAN, "+", "31"), Finding.DrawsAtRest.class);
    }

    private static DesignBuilder ignition() {
        var key =
                new ControlKind.Switch(
                        Action.KEY,
                        "key",
                        List.of("30", "15", "54", "50"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position(
                                        "run",
                                        false,
                                        List.of(new Contact("30", "15"), new Contact("30", "54"))),
                                new Position(
                                        "start",
                                        true,
                                        List.of(new Contact("30", "15"), new Contact("30", "50")))),
                        new Amps(30));
        return DesignBuilder.twelveVolts()
                .part("S1", key)
                .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.06), new Ohms(1)))
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.007)))
                .wire("B1.+", "S1.30", "4mm2", 1)
                .wire("B1.+", "M1.30", "35mm2", 1)
                .stated(Unguarded.STARTER_FEED)
                .wire("S1.50", "M1.50", "4mm2", 1)
                .wire("T1.1", "E1.E", "1.5mm2", 1);
    }

    @Test
    void ignitionThatIsLostInStart() {
        var accessory = ignition().wire("S1.54", "T1.15", "1.5mm2", 1);

        assertThat(only(accessory, Finding.LostInStart.class).position()).isEqualTo("start");
        none(ignition().wire("S1.15", "T1.15", "1.5mm2", 1), Finding.LostInStart.class);
    }

    /** The charge lamp leads the alternator's volts back to the coil when the key is off. */
    @Test
    void anEngineThatRunsOnThroughItsChargeLamp() {
        var alternator =
                new SourceKind.Alternator(new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2));
        var design =
                ignition()
                        .wire("S1.15", "T1.15", "1.5mm2", 1)
                        .mounted("G1", "E1", alternator)
                        .wire("G1.B+", "B1.+", "10mm2", 1)
                        .part("L1", new LoadKind.WarningLamp(new Watts(5), TWELVE))
                        .wire("S1.15", "L1.1", "1mm2", 1)
                        .wire("L1.2", "G1.D+", "1mm2", 1)
                        .part("R1", new JoinKind.Resistor(new Ohms(20)))
                        .wire("B1.+", "R1.1", "1mm2", 1)
                        .wire("R1.2", "G1.D+", "1mm2", 1);

        assertThat(only(design, Finding.KeepsRunning.class).severity()).isEqualTo(Severity.DANGER);
        none(ignition().wire("S1.15", "T1.15", "1.5mm2", 1), Finding.KeepsRunning.class);
    }

    @Test
    void aDynamoWithoutItsFieldLeadNeverCharges() {
        var design =
                DesignBuilder.twelveVolts()
                        .mounted(
                                "G1",
                                "E1",
                                new SourceKind.Dynamo(
                                        new Amps(22), new Ohms(6), new Ratio(1.8), new Rpm(1500)))
                        .mounted(
                                "N1",
                                "E1",
                                new SourceKind.ControlBox(
                                        new Volts(14.4), new Volts(12.8), new Amps(25)))
                        .load("X1", 8)
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .wire("G1.D", "N1.D", "4mm2", 1)
                        .wire("N1.A", "B1.+", "4mm2", 1);

        only(design, SourceFinding.NeverCharges.class);
        none(design.wire("G1.F", "N1.F", "1.5mm2", 1), SourceFinding.NeverCharges.class);
    }

    @Test
    void aBatteryOnAnInputOfItsRectifierIsNeverCharged() {
        var crossed = charged("G1", "B+");
        var found = only(crossed, SourceFinding.NeverCharged.class);

        assertThat(found.subject().place()).isEqualTo("B1");
        mends(crossed, found);
        none(charged("B+", "G1"), SourceFinding.NeverCharged.class);
        none(crossed.part("N2", regulator(Bridge.FULL_WAVE)), SourceFinding.NeverCharged.class);
    }

    /** A half-wave rectifier is made for the live side, whichever end of the coil is at earth. */
    @ParameterizedTest
    @CsvSource({"false, G1, G2", "false, G2, G1", "true, G1, G2", "true, G2, G1"})
    void halfAWaveChargesWithEitherPoleAtEarth(boolean positive, String fed, String earthed) {
        var car = new DesignBuilder(12);
        var live = positive ? "-" : "+";
        var back = positive ? "+" : "-";
        var design =
                (positive ? car.positiveEarth() : car)
                        .battery(0.006)
                        .wire("B1." + back, "E1.E", "25mm2", 0.3)
                        .part("G1", flywheel())
                        .part("N1", regulator(Bridge.HALF_WAVE))
                        .wire("B1." + live, "N1.B" + live, "2.5mm2", 1)
                        .wire("G1." + fed, "N1.G1", "2.5mm2", 1)
                        .wire("G1." + earthed, "E1.E", "2.5mm2", 1)
                        .wire("N1.B" + back, "E1.E", "2.5mm2", 1);

        none(design, SourceFinding.NeverCharged.class);
    }

    private static SourceKind flywheel() {
        return new SourceKind.Flywheel(
                SourceKind.Flywheel.Winding.SINGLE, new Amps(10), new Rpm(5000));
    }

    /** A flywheel of two leads, with the battery and its first lead on those pins. */
    private static DesignBuilder charged(String battery, String first) {
        return DesignBuilder.twelveVolts()
                .part("G1", flywheel())
                .part("N1", regulator(Bridge.FULL_WAVE))
                .wire("B1.+", "N1." + battery, "2.5mm2", 1)
                .wire("G1.G1", "N1." + first, "2.5mm2", 1)
                .wire("G1.G2", "N1.G2", "2.5mm2", 1)
                .wire("N1.B-", "E1.E", "2.5mm2", 1);
    }

    private static SourceKind regulator(Bridge bridge) {
        return new SourceKind.RegulatorRectifier(bridge, new Volts(14.4));
    }

    private static DesignBuilder fans(boolean both) {
        var motor =
                new LoadKind.TwoSpeedMotor(
                        new Amps(5), new Amps(9), TWELVE, Optional.empty(), true);
        var hand =
                new ControlKind.Switch(
                        Action.LEVER,
                        "fan",
                        List.of("1", "2", "3"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("low", false, List.of(new Contact("1", "2"))),
                                new Position(
                                        "high",
                                        false,
                                        both
                                                ? List.of(
                                                        new Contact("1", "2"),
                                                        new Contact("1", "3"))
                                                : List.of(new Contact("1", "3")))),
                        new Amps(20));
        return DesignBuilder.twelveVolts()
                .part("S1", hand)
                .mounted("X1", "E1", motor)
                .wire("B1.+", "S1.1", "2.5mm2", 1)
                .wire("S1.2", "X1.53", "2.5mm2", 1)
                .wire("S1.3", "X1.53b", "2.5mm2", 1);
    }

    @Test
    void aHighSpeedThatComesWithoutTheLowOne() {
        only(fans(false), Finding.HighBeforeLow.class);
        none(fans(true), Finding.HighBeforeLow.class);
    }

    /** The high speed alone, on a resistor: it draws less than with the low one, and is found. */
    @Test
    void aHighSpeedThatComesAloneOnAWeakerFeed() {
        var motor =
                new LoadKind.TwoSpeedMotor(
                        new Amps(6), new Amps(10), TWELVE, Optional.empty(), true);
        var hand =
                DesignBuilder.selector(
                        "fan",
                        30,
                        new Position(
                                "both",
                                false,
                                List.of(new Contact("1", "2"), new Contact("1", "3"))),
                        DesignBuilder.joins("high", "1", "4"));
        var wired =
                DesignBuilder.twelveVolts()
                        .part("S1", hand)
                        .part("R1", new JoinKind.Resistor(new Ohms(0.2)))
                        .mounted("X1", "E1", motor)
                        .wire("B1.+", "S1.1", "4mm2", 1)
                        .wire("S1.2", "X1.53", "2.5mm2", 1)
                        .wire("S1.3", "X1.53b", "2.5mm2", 1);
        none(wired, Finding.HighBeforeLow.class);

        only(
                wired.wire("S1.4", "R1.1", "2.5mm2", 1).wire("R1.2", "X1.53b", "2.5mm2", 1),
                Finding.HighBeforeLow.class);
    }

    /** Two speeds on one feed are one speed; behind switches of their own they are two. */
    @Test
    void twoSpeedsOnOneFeed() {
        var wrong = fans(true).wire("X1.53", "X1.53b", "2.5mm2", 0.1);
        var together = found(wrong, PathFinding.FedTogether.class);

        assertThat(together).hasSize(1);
        mends(wrong, together.getFirst());
        none(fans(true), PathFinding.FedTogether.class);
    }

    @Test
    void twoFansOnOneRelay() {
        var one =
                fed().relay("K1")
                        .wire("S1.2", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("F1.2", "K1.30", "2.5mm2", 1)
                        .mounted("X1", "E1", FAN)
                        .wire("K1.87", "X1.+", "2.5mm2", 1);
        none(one, Finding.TwoMotorsOneRelay.class);

        var two = one.mounted("X2", "E1", FAN).wire("K1.87", "X2.+", "2.5mm2", 1);

        assertThat(only(two, Finding.TwoMotorsOneRelay.class).motors()).isEqualTo(2);
    }

    private static DesignBuilder gauge(String wanted, String made) {
        return fed().part(
                        "P1",
                        new LoadKind.Gauge(
                                new Ohms(60), new Amps(0.1), Optional.empty(), Optional.of(wanted)))
                .mounted(
                        "R1",
                        "E1",
                        new JoinKind.Sender(
                                "fuel",
                                new Ohms(240),
                                new Ohms(33),
                                Optional.empty(),
                                Optional.of(made)))
                .wire("S1.2", "P1.B", "1mm2", 1)
                .wire("P1.T", "R1.T", "1mm2", 2);
    }

    @Test
    void aGaugeAndASenderOfDifferentFamilies() {
        assertThat(only(gauge("0-90", "240-33"), Finding.FamiliesDiffer.class).remedies())
                .hasSize(1);
        assertThat(only(gauge("0-90", "240-33"), Finding.FamiliesDiffer.class).sender())
                .hasToString("R1");
        none(gauge("240-33", "240-33"), Finding.FamiliesDiffer.class);
    }

    private static DesignBuilder flasher(ControlKind.Flasher.Form form, double watts) {
        var unit = new ControlKind.Flasher(form, new Watts(42), new Volts(12.8), 85);
        var design =
                fed().part("U1", unit)
                        .lamp("H1", 21)
                        .lamp("H2", watts)
                        .wire("S1.2", "U1.49", "1.5mm2", 1)
                        .wire("U1.49a", "H1.58", "1mm2", 1)
                        .wire("U1.49a", "H2.58", "1mm2", 1);
        return form == ControlKind.Flasher.Form.THERMAL
                ? design
                : design.wire("U1.31", "E1.E", "1mm2", 1);
    }

    @Test
    void aThermalFlasherWithTheWrongLamps() {
        assertThat(
                        only(
                                        flasher(ControlKind.Flasher.Form.THERMAL, 5),
                                        Finding.FlasherLoad.class)
                                .load()
                                .value())
                .isBetween(22.0, 30.0);
        none(flasher(ControlKind.Flasher.Form.THERMAL, 21), Finding.FlasherLoad.class);
        none(flasher(ControlKind.Flasher.Form.ELECTRONIC, 5), Finding.FlasherLoad.class);
    }

    private static DesignBuilder source(double rated) {
        return DesignBuilder.twelveVolts()
                .mounted(
                        "G1",
                        "E1",
                        new SourceKind.Alternator(
                                new Volts(14.2),
                                new Amps(rated),
                                new Ohms(4),
                                new Ratio(2),
                                Optional.of(SourceKind.Alternator.Style.ONE_WIRE)))
                .wire("G1.B+", "B1.+", "16mm2", 0.5)
                .onOff("S1", "on", 40)
                .load("X1", 25)
                .wire("B1.+", "S1.1", "6mm2", 1)
                .wire("S1.2", "X1.+", "6mm2", 1);
    }

    @Test
    void aSourceThatIsTooSmall() {
        var finding = only(source(18), Finding.SourceTooSmall.class);

        assertThat(finding.drawn().value()).isGreaterThan(finding.given().value());
        assertThat(finding.engine().value()).isEqualTo(3000);
        none(source(120), Finding.SourceTooSmall.class);
    }

    /**
     * 45 A at 3 000 rpm, and twice the engine's 800 rpm of idle give some 12 A of the 25 A drawn.
     */
    @Test
    void aSourceThatIsTooSmallOnlyAtIdle() {
        var finding = only(source(45), Finding.SourceTooSmall.class);

        assertThat(finding.engine().value()).isEqualTo(800);
        assertThat(finding.given().value()).isBetween(8.0, 16.0);
    }

    @Test
    void aSenderThatSharesABusyEarth() {
        var shared =
                gauge("240-33", "240-33")
                        .earth("E2")
                        .mounted(
                                "R2",
                                "E2",
                                new JoinKind.Sender("heat", new Ohms(700), new Ohms(22)))
                        .mounted("X1", "E2", FAN)
                        .mounted("X2", "E2", FAN)
                        .wire("S1.2", "X1.+", "4mm2", 1)
                        .wire("S1.2", "X2.+", "4mm2", 1)
                        .wire("P1.T", "R2.T", "1mm2", 1);

        assertThat(found(shared.build(), Finding.EarthShared.class))
                .anyMatch(
                        each -> each.gauge().equals(new PartId("R2")) && each.amps().value() > 12);
        none(gauge("240-33", "240-33"), Finding.EarthShared.class);
    }

    private static DesignBuilder guards(double main) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", main)
                .fuse("F2", 15)
                .load("X1", 8)
                .wire("B1.+", "F1.1", "6mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "F2.1", "6mm2", 0.5)
                .wire("F2.2", "X1.+", "2.5mm2", 1);
    }

    /** 15 A behind 20 A may open together; behind 30 A, twice as much, it opens alone. */
    @Test
    void aMainGuardThatOpensWithItsBranch() {
        assertThat(only(guards(20), Finding.NotSelective.class).branch()).hasToString("F2");
        none(guards(30), Finding.NotSelective.class);
    }

    @Test
    void aGuardFarFromItsSource() {
        var far =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 15)
                        .load("X1", 8)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.9)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "X1.+", "2.5mm2", 1);

        only(far, PathFinding.LeadBeyondItsLimits.class);
        none(fed(FAN, "+", "31"), PathFinding.LeadBeyondItsLimits.class);
    }

    /** A 6 Ω resistor before a 21 W lamp leaves it about half its volts. */
    @Test
    void aLampThatGivesLittleLight() {
        var dim =
                fed().part("R1", new JoinKind.Resistor(new Ohms(3)))
                        .lamp("H1", 21)
                        .wire("S1.2", "R1.1", "1mm2", 1)
                        .wire("R1.2", "H1.58", "1mm2", 1);

        assertThat(only(dim, Finding.LampDim.class).light().value()).isBetween(0.1, 0.6);
        none(fed().lamp("H1", 21).wire("S1.2", "H1.58", "2.5mm2", 1), Finding.LampDim.class);
    }

    private static DesignBuilder magneto(boolean closedAtRest) {
        var hand =
                new ControlKind.Switch(
                        Action.KEY,
                        "key",
                        List.of("1", "2"),
                        closedAtRest
                                ? List.of(
                                        new Position("off", false, List.of(new Contact("1", "2"))),
                                        new Position("run", false, List.of()))
                                : List.of(
                                        new Position("off", false, List.of()),
                                        new Position("run", false, List.of(new Contact("1", "2")))),
                        new Amps(5));
        return DesignBuilder.twelveVolts()
                .part("S1", hand)
                .mounted("T1", "E1", new LoadKind.Magneto(new Ohms(0.8)));
    }

    /** Battery-fed ignition is switched; a magneto is stopped by earthing. */
    @Test
    void aMagnetoThatCannotBeStoppedAndOneThatIsFed() {
        var never =
                magneto(false).wire("T1.kill", "S1.1", "1mm2", 1).wire("S1.2", "E1.E", "1mm2", 1);
        var stops =
                magneto(true).wire("T1.kill", "S1.1", "1mm2", 1).wire("S1.2", "E1.E", "1mm2", 1);
        var fed = magneto(false).wire("T1.kill", "S1.1", "1mm2", 1).wire("S1.2", "B1.+", "1mm2", 1);

        only(never, Finding.MagnetoNeverStops.class);
        none(stops, Finding.MagnetoNeverStops.class);
        none(stops, Finding.MagnetoFed.class);
        only(fed, Finding.MagnetoFed.class);
    }

    private static DesignBuilder bundled(int wires, boolean together) {
        var design = DesignBuilder.twelveVolts().zone(Zone.ENGINE_BAY);
        for (int i = 0; i < wires; i++) {
            design.load("X" + i, 7).wire("B1.+", "X" + i + ".+", "1mm2", 1);
            if (together) {
                design.inBundle("wing");
            }
        }
        return design;
    }

    /** Ten wires of 1 mm² with 7 A each: cool enough alone at 75 °C, not in one bundle. */
    @Test
    void aBundleThatGetsTooHotThoughNoWireWouldAlone() {
        var hot = only(bundled(10, true), Finding.BundleTooHot.class);

        assertThat(hot.reaches().value()).isGreaterThan(hot.limit().value());
        assertThat(hot.severity()).isEqualTo(Severity.DANGER);
        assertThat(hot.remedies())
                .singleElement()
                .satisfies(
                        edit -> assertThat(((WireEdit.Resize) edit).size()).hasToString("1.5mm2"));
        none(bundled(10, true), Finding.WireTooThinByHeat.class);
        none(bundled(10, false), Finding.BundleTooHot.class);
        none(bundled(1, true), Finding.BundleTooHot.class);
    }

    /** A 6.3 mm blade carries 25 A (typical). */
    @Test
    void aBladeThatCarriesTooMuch() {
        var design = DesignBuilder.twelveVolts().load("X1", 30).wire("B1.+", "X1.+", "6mm2", 1);

        assertThat(found(design.build(), Finding.TerminalOverloaded.class))
                .anyMatch(each -> each.terminal().toString().equals("X1.+"))
                .allSatisfy(each -> {
                    var mended = each.remedies().getFirst().apply(design.build());
                    assertThat(found(mended, Finding.TerminalOverloaded.class))
                            .noneMatch(left -> left.terminal().equals(each.terminal()));
                });
        none(
                DesignBuilder.twelveVolts().load("X1", 20).wire("B1.+", "X1.+", "6mm2", 1),
                Finding.TerminalOverloaded.class);
    }

    /** A motor of 4 A starts with twelve times that: a quick 5 A blade may open, a 20 A one not. */
    @ParameterizedTest
    @CsvSource({"5, 1", "20, 0"})
    void aFuseThatOpensOnTheInrush(double marking, int findings) {
        var motor =
                new LoadKind.Motor(
                        new Amps(3.5),
                        TWELVE,
                        Optional.of(new Ratio(12)),
                        Optional.empty(),
                        Optional.empty());
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", marking)
                        .onOff("S1", "on", 20)
                        .mounted("X1", "E1", motor)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "S1.1", "2.5mm2", 1)
                        .wire("S1.2", "X1.+", "2.5mm2", 1);

        assertThat(found(design.build(), Finding.FuseOpensOnInrush.class)).hasSize(findings);
    }

    /**
     * Live at both ends with the key on and its own switch off only: neither at rest nor with all
     * on.
     */
    @Test
    void whatAKeyFeedsAndASwitchEarths() {
        var wired =
                DesignBuilder.twelveVolts()
                        .keyed()
                        .onOff("S2", "fan", 10)
                        .part("M1", FAN)
                        .wire("S1.15", "M1.+", "1.5mm2", 1)
                        .wire("M1.31", "S2.1", "1.5mm2", 1)
                        .wire("S2.2", "E1.E", "1.5mm2", 1);

        assertThat(only(wired, Finding.SwitchedInEarth.class).part()).hasToString("M1");
    }

    /**
     * A window motor that two changeover relays turn either way is live at both ends with both in.
     */
    @Test
    void aMotorThatReversesIsNotSwitchedInItsEarth() {
        var changeover =
                new ControlKind.Relay(
                        TWELVE,
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.of(new Amps(20)));
        var wired = DesignBuilder.twelveVolts().part("M1", FAN);
        for (var way : List.of("1", "2")) {
            wired =
                    wired.part("K" + way, changeover)
                            .onOff("S" + way, "window-" + way, 10)
                            .wire("B1.+", "S" + way + ".1", "1mm2", 1)
                            .wire("S" + way + ".2", "K" + way + ".86", "1mm2", 1)
                            .wire("K" + way + ".85", "E1.E", "1mm2", 1)
                            .wire("B1.+", "K" + way + ".87", "2.5mm2", 1)
                            .wire("K" + way + ".87a", "E1.E", "2.5mm2", 1)
                            .wire(
                                    "K" + way + ".30",
                                    way.equals("1") ? "M1.+" : "M1.31",
                                    "2.5mm2",
                                    1);
        }

        none(wired, Finding.SwitchedInEarth.class);
    }

    /** Two guards that only one position joins, be it held, and not the one that draws most. */
    @ParameterizedTest
    @CsvSource({"true, true, 1", "true, false, 1", "false, false, 0"})
    void twoGuardsThatAPositionJoins(boolean joins, boolean held, int findings) {
        var park =
                joins
                        ? List.of(new Contact("1", "2"), new Contact("1", "4"))
                        : List.of(new Contact("1", "2"));
        var lights =
                new ControlKind.Switch(
                        Action.LEVER,
                        "lights",
                        List.of("1", "2", "3", "4"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("park", held, park),
                                new Position("head", false, List.of(new Contact("1", "3")))),
                        new Amps(20));
        var wired =
                rushing(15)
                        .fuse("F2", 10)
                        .part("S1", lights)
                        .lamp("H1", 10)
                        .lamp("H2", 55)
                        .lamp("H3", 21)
                        .wire("B1.+", "F2.1", "2.5mm2", 0.15)
                        .wire("F1.2", "S1.1", "2.5mm2", 1)
                        .wire("F2.2", "S1.4", "2.5mm2", 1)
                        .wire("F2.2", "H3.58", "1.5mm2", 1)
                        .wire("S1.2", "H1.58", "1.5mm2", 1)
                        .wire("S1.3", "H2.58", "2.5mm2", 1);

        assertThat(found(wired, PathFinding.TwoGuards.class)).hasSize(findings);
    }

    /** What a hand holds and what only one of several positions turns rush as well. */
    @ParameterizedTest
    @CsvSource({"10, 1", "30, 0"})
    void aRushThatComesInSomeStateOnly(double marking, int findings) {
        var motor =
                new LoadKind.Motor(
                        new Amps(7),
                        TWELVE,
                        Optional.of(new Ratio(8)),
                        Optional.empty(),
                        Optional.empty());
        var either =
                DesignBuilder.selector(
                        "either",
                        20,
                        DesignBuilder.joins("motor", "1", "2"),
                        DesignBuilder.joins("heater", "1", "3"));
        var held =
                rushing(marking)
                        .push("S1", "window", 20)
                        .mounted("X1", "E1", motor)
                        .wire("F1.2", "S1.1", "4mm2", 1)
                        .wire("S1.2", "X1.+", "4mm2", 1);
        var chosen =
                rushing(marking)
                        .part("S1", either)
                        .mounted("X1", "E1", motor)
                        .load("X2", 7.8)
                        .wire("F1.2", "S1.1", "4mm2", 1)
                        .wire("S1.2", "X1.+", "4mm2", 1)
                        .wire("S1.3", "X2.+", "4mm2", 1);

        for (var wired : List.of(held, chosen)) {
            assertThat(found(wired, Finding.FuseOpensOnInrush.class))
                    .hasSize(findings)
                    .allMatch(each -> each.load().equals(Optional.of(new PartId("X1"))))
                    .allSatisfy(each -> mends(wired, each));
        }
    }

    private static DesignBuilder rushing(double marking) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", marking)
                .wire("B1.+", "F1.1", "4mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH);
    }

    /** PVC holds 60 V, cross-linked 600 V; a discharge box gives some 400 V to its coil. */
    @ParameterizedTest
    @CsvSource({"PVC105, DISCHARGE, 1", "XLPE125, DISCHARGE, 0", "PVC105, TRANSISTOR, 0"})
    void aCoverThatDoesNotHoldADischargeBox(
            Insulation cover, ControlKind.IgnitionBox.Form form, int findings) {
        var box = new ControlKind.IgnitionBox(form, 4, new Ratio(0.4), new Amps(0.5));
        var design =
                DesignBuilder.twelveVolts()
                        .insulation(cover)
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(1.5), new Henries(0.004)))
                        .mounted("U1", "E1", box)
                        .wire("B1.+", "T1.15", "1mm2", 1)
                        .wire("B1.+", "U1.15", "1mm2", 1)
                        .wire("T1.1", "U1.1", "1mm2", 0.5);

        var found = found(design.build(), Finding.CoverTooWeak.class);
        assertThat(found).hasSize(findings);
        found.forEach(finding ->
                assertThat(finding.remedies())
                        .containsExactly(
                                new WireEdit.Insulate(finding.wire(), Insulation.XLPE125)));
    }
}
