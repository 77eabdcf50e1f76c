package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.SourceKind.Alternator.Style;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Farads;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.simulate.Probe;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every kind of part at an operating point, against values worked out by hand. */
class KindsTest {
    private static final Volts TWELVE = new Volts(12);
    private static final Conditions ROAD = Conditions.REST.withEngine(new Rpm(3000));

    private static OperatingPoint solved(DesignBuilder design, Conditions conditions) {
        var outcome = new Solver(Netlist.of(design.build())).solve(conditions);
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return ((Outcome.Solved) outcome).point();
    }

    private static OperatingPoint solved(DesignBuilder design) {
        return solved(design, Conditions.REST);
    }

    private static double volts(OperatingPoint point, String terminal) {
        return point.voltsAt(Terminal.parse(terminal).orElseThrow()).orElseThrow().value();
    }

    private static double amps(OperatingPoint point, String part, String role) {
        return point.through(new PartId(part), role).orElseThrow().value();
    }

    // --- sources

    /** 2.4 Ω would draw 5 A; limited to 2 A it has 4.8 V. Limited to 8 A it has its 12 V. */
    @ParameterizedTest
    @CsvSource({"2, 2, 4.8", "8, 5, 12"})
    void aBenchSupplyHoldsItsVoltsUpToItsLimit(double limit, double drawn, double across) {
        var supply = new SourceKind.BenchSupply(TWELVE, new Amps(limit));
        var design =
                new DesignBuilder(12)
                        .part("Q1", supply)
                        .earth("E1")
                        .load("X1", 5)
                        .wire("Q1.-", "E1.E", "25mm2", 0.1)
                        .wire("Q1.+", "X1.+", "25mm2", 0.1);

        var point = solved(design);

        assertThat(amps(point, "X1", "body")).isCloseTo(drawn, within(0.02));
        assertThat(volts(point, "X1.+")).isCloseTo(across, within(0.05));
    }

    private static DesignBuilder charging(SourceKind source) {
        return DesignBuilder.twelveVolts()
                .mounted("G1", "E1", source)
                .load("X1", 10)
                .wire("G1.B+", "B1.+", "16mm2", 0.5)
                .wire("B1.+", "X1.+", "4mm2", 0.5);
    }

    private static SourceKind.Alternator alternator(Style style) {
        return new SourceKind.Alternator(
                new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2), Optional.of(style));
    }

    /**
     * Key on and engine still: the driver earths the lamp. Running, it charges and the lamp is out.
     */
    @Test
    void aSwitchedAlternatorWakesByItsFeedAndDrivesItsLamp() {
        var design =
                charging(alternator(Style.SWITCHED))
                        .onOff("S1", "key", 10)
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "G1.IG", "1mm2", 1)
                        .wire("S1.2", "L1.1", "1mm2", 1)
                        .wire("L1.2", "G1.L", "1mm2", 1);

        var still = solved(design, Conditions.REST.with("key", "on"));
        var running = solved(design, ROAD.with("key", "on"));
        var off = solved(design, ROAD);

        assertThat(still.light(new PartId("L1"), "1").orElseThrow().value()).isGreaterThan(0.9);
        assertThat(running.light(new PartId("L1"), "1").orElseThrow().value()).isZero();
        assertThat(volts(running, "B1.+")).isBetween(13.9, 14.2);
        assertThat(volts(off, "B1.+")).isLessThan(12.7);
    }

    /**
     * A thin output lead loses volts; with its sense lead on the battery the battery still has
     * 14.2.
     */
    @Test
    void aSenseLeadHoldsTheVoltsWhereItIsJoined() {
        var plain =
                DesignBuilder.twelveVolts()
                        .mounted("G1", "E1", alternator(Style.SWITCHED))
                        .load("X1", 10)
                        .wire("G1.B+", "B1.+", "4mm2", 3)
                        .wire("B1.+", "X1.+", "4mm2", 0.5)
                        .wire("B1.+", "G1.IG", "1mm2", 1);
        assertThat(volts(solved(plain, ROAD), "B1.+")).isLessThan(14.0);

        var sensed = plain.wire("G1.S", "B1.+", "1mm2", 1);

        assertThat(volts(solved(sensed, ROAD), "B1.+")).isCloseTo(14.2, within(0.03));
        assertThat(volts(solved(sensed, ROAD), "G1.B+")).isGreaterThan(14.3);
    }

    /** Half a volt in its sense lead is half a volt less that it gives. */
    @Test
    void aSenseLeadThatIsLiftedLowersItsSource() {
        var design =
                charging(alternator(Style.SWITCHED))
                        .part("Q1", new SourceKind.BenchSupply(new Volts(0.5), new Amps(1)))
                        .wire("B1.+", "G1.IG", "1mm2", 1)
                        .wire("Q1.-", "B1.+", "1mm2", 1)
                        .wire("Q1.+", "G1.S", "1mm2", 1);

        var point = solved(design, ROAD);

        assertThat(volts(point, "G1.S")).isCloseTo(14.2, within(0.03));
        assertThat(volts(point, "B1.+")).isCloseTo(13.7, within(0.03));
    }

    @Test
    void aOneWireAlternatorWakesByItsSpeedAlone() {
        var design = charging(alternator(Style.ONE_WIRE));

        assertThat(volts(solved(design, ROAD), "B1.+")).isBetween(13.9, 14.2);
        var idle = Conditions.REST.withEngine(new Rpm(700));
        assertThat(volts(solved(design, idle), "B1.+")).isLessThan(12.7);
    }

    /**
     * Held at 14.1 V at the regulator; with its field straight on D+ it runs away to 1.3 × 14.2.
     */
    @Test
    void anExternalRegulatorGovernsTheField() {
        var design =
                charging(alternator(Style.EXTERNAL))
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "G1.D+", "1mm2", 1);
        var regulator = new SourceKind.FieldRegulator(new Volts(14.1));
        var governed =
                charging(alternator(Style.EXTERNAL))
                        .mounted("N1", "E1", regulator)
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "G1.D+", "1mm2", 1)
                        .wire("G1.D+", "N1.D+", "1mm2", 0.5)
                        .wire("N1.DF", "G1.DF", "1mm2", 0.5);

        assertThat(volts(solved(governed, ROAD), "N1.D+")).isCloseTo(14.1, within(0.03));
        assertThat(volts(solved(design, ROAD), "B1.+")).isLessThan(12.7);
        var straight = design.wire("G1.D+", "G1.DF", "1mm2", 0.3);
        assertThat(volts(solved(straight, ROAD), "G1.B+")).isGreaterThan(16);
    }

    /**
     * 7 mV/K at 14 V: at 70 °C 14.2 V have become 13.845 V at the terminals, less what it gives.
     */
    @Test
    void aWarmRegulatorHoldsLess() {
        var design = charging(alternator(Style.ONE_WIRE));
        double cold = volts(solved(design, ROAD), "G1.B+");
        double warm = volts(solved(design, ROAD.withAir(new Celsius(70))), "G1.B+");

        assertThat(cold - warm).isCloseTo(14.2 * 0.0005 * 50, within(0.05));
    }

    /**
     * Its field diodes feed D+ and its own field: shorted, what is left is what they give at once.
     */
    @Test
    void aShortedLampTerminalEndsTheField() {
        var design =
                charging(alternator(Style.LAMP))
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "G1.D+", "1mm2", 1);
        assertThat(volts(solved(design, ROAD), "B1.+")).isBetween(13.9, 14.3);

        var shorted = design.wire("G1.D+", "E1.E", "1mm2", 1).build();
        var point = solved(design, ROAD);

        assertThat(Math.abs(point.through(shorted.wires().getLast()).value())).isLessThan(6);
        assertThat(volts(point, "B1.+")).isLessThan(12.7);
    }

    /** A dynamo feeds its own field: shorted at D it collapses, in speed as at rest. */
    @Test
    void aShortedDynamoCollapses() {
        var design = dynamo().wire("G1.F", "N1.F", "1mm2", 1).wire("G1.D", "E1.E", "1mm2", 0.5);
        var shorted = design.build().wires().getLast();

        assertThat(Math.abs(solved(design, ROAD).through(shorted).value())).isLessThan(22);
        assertThat(volts(solved(design, ROAD), "G1.D")).isLessThan(1);
    }

    /** The emptier and the colder a battery is, the more it sags under the same load. */
    @Test
    void aFlatBatteryInTheColdSags() {
        var design = DesignBuilder.twelveVolts().load("X1", 200).wire("B1.+", "X1.+", "35mm2", 0.5);
        double full = volts(solved(design), "B1.+");
        double half = volts(solved(design, Conditions.REST.withCharge(new Ratio(0.5))), "B1.+");
        double cold = volts(solved(design, Conditions.REST.withAir(new Celsius(-18))), "B1.+");

        assertThat(half).isLessThan(full);
        assertThat(cold).isLessThan(full - 0.3);
        assertThat(volts(solved(design, Conditions.REST.withCharge(new Ratio(0))), "B1.+"))
                .isLessThan(half);
    }

    private static DesignBuilder dynamo() {
        return DesignBuilder.twelveVolts()
                .mounted(
                        "G1",
                        "E1",
                        new SourceKind.Dynamo(
                                new Amps(22), new Ohms(6), new Ratio(1.8), new Rpm(1500)))
                .mounted(
                        "N1",
                        "E1",
                        new SourceKind.ControlBox(new Volts(14.4), new Volts(12.8), new Amps(22)))
                .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                .load("X1", 10)
                .wire("G1.D", "N1.D", "4mm2", 1)
                .wire("N1.A", "B1.+", "4mm2", 1)
                .wire("B1.+", "X1.+", "4mm2", 0.5)
                .wire("B1.+", "L1.1", "1mm2", 1)
                .wire("L1.2", "N1.D", "1mm2", 1);
    }

    /**
     * Still, the lamp returns through the armature and lights; charging, both its ends are live.
     */
    @Test
    void aDynamoBuildsUpThroughItsFieldAndItsCutOutCloses() {
        var design = dynamo().wire("G1.F", "N1.F", "1mm2", 1);

        var still = solved(design);
        var running = solved(design, ROAD);
        var idle = solved(design, Conditions.REST.withEngine(new Rpm(700)));

        assertThat(still.light(new PartId("L1"), "1").orElseThrow().value()).isGreaterThan(0.8);
        assertThat(still.closed(new PartId("N1"), "D-A")).isFalse();
        assertThat(running.closed(new PartId("N1"), "D-A")).isTrue();
        assertThat(volts(running, "G1.D")).isBetween(13.6, 14.4);
        assertThat(running.light(new PartId("L1"), "1").orElseThrow().value()).isLessThan(0.01);
        assertThat(amps(running, "N1", "D-A")).isBetween(12.0, 22.0);
        assertThat(idle.closed(new PartId("N1"), "D-A")).isFalse();
    }

    /**
     * Without its field lead it has only the magnetism it kept: 8 % of 12 V at cut-in speed, twice
     * that from twice the speed on.
     */
    @Test
    void aDynamoWithoutItsFieldLeadGivesNothing() {
        var point = solved(dynamo(), ROAD);

        assertThat(point.closed(new PartId("N1"), "D-A")).isFalse();
        assertThat(volts(point, "G1.D")).isBetween(1.4, 2.0);
    }

    private static DesignBuilder flywheel(String one, String other) {
        return DesignBuilder.twelveVolts()
                .load("X1", 6)
                .flywheel(one, other)
                .wire("N1.B-", "E1.E", "2.5mm2", 0.5)
                .wire("N1.B+", "B1.+", "2.5mm2", 0.5)
                .wire("B1.+", "X1.+", "2.5mm2", 0.5);
    }

    /**
     * All of its 10 A come through the bridge whichever way its leads are; half that at a quarter.
     */
    @Test
    void aFlywheelAlternatorChargesThroughItsBridgeEitherWayRound() {
        var point = solved(flywheel("G1", "G2"), ROAD);
        var turned = solved(flywheel("G2", "G1"), ROAD);

        assertThat(Math.abs(amps(point, "G1", "output"))).isCloseTo(10, within(0.01));
        assertThat(volts(point, "B1.+")).isCloseTo(volts(turned, "B1.+"), within(1e-6));
        assertThat(volts(point, "B1.+")).isBetween(13.0, 14.6);
        double half = Math.expm1(-2.5 / 2) / Math.expm1(-2.5);
        var slow = solved(flywheel("G1", "G2"), Conditions.REST.withEngine(new Rpm(1500)));
        assertThat(Math.abs(amps(slow, "G1", "output"))).isCloseTo(10 * half, within(0.01));
    }

    /** Three phases of 10 A and their shunt, with 2 A of load and no battery. */
    private static DesignBuilder shunted() {
        return new DesignBuilder(12)
                .earth("E1")
                .part(
                        "G1",
                        new SourceKind.Flywheel(
                                SourceKind.Flywheel.Winding.THREE_PHASE,
                                new Amps(10),
                                new Rpm(3000)))
                .part(
                        "N1",
                        new SourceKind.RegulatorRectifier(
                                SourceKind.RegulatorRectifier.Bridge.THREE_PHASE, new Volts(14.4)))
                .load("X1", 2)
                .wire("G1.G1", "N1.G1", "2.5mm2", 0.5)
                .wire("G1.G2", "N1.G2", "2.5mm2", 0.5)
                .wire("G1.G3", "N1.G3", "2.5mm2", 0.5)
                .wire("N1.B-", "E1.E", "2.5mm2", 0.5)
                .wire("N1.B+", "X1.+", "2.5mm2", 0.5);
    }

    /**
     * With the load off and the battery full, the shunt takes what is too much and holds 14.4 V.
     */
    @Test
    void theRegulatorTakesWhatIsTooMuch() {
        var point = solved(shunted(), ROAD);

        double drawn = amps(point, "X1", "body");
        assertThat(amps(point, "N1", "shunt")).isCloseTo(10 - drawn, within(0.05));
        assertThat(volts(point, "N1.B+") - volts(point, "N1.B-"))
                .isCloseTo(14.4 + 0.02 * (10 - drawn), within(0.01));
    }

    /** Felt at the load, behind a thin lead, the shunt takes so little that the load has 14.4 V. */
    @Test
    void theRegulatorHoldsWhatItsSenseLeadFeels() {
        var far =
                shunted()
                        .load("X2", 4)
                        .wire("X1.+", "X2.+", "0.5mm2", 3)
                        .wire("N1.S", "X2.+", "0.5mm2", 3);

        var point = solved(far, ROAD);

        assertThat(volts(point, "N1.S") - volts(point, "N1.B-")).isCloseTo(14.4, within(0.01));
        assertThat(volts(point, "N1.B+") - volts(point, "N1.B-")).isGreaterThan(14.7);
        assertThat(amps(point, "N1", "shunt")).isBetween(1.0, 4.0);
    }

    /** Speeds ever closer to the one from which the shunt takes something: each is found. */
    @Test
    void theRegulatorIsFoundWhereItBeginsToTake() {
        var solver = new Solver(Netlist.of(shunted().build()));
        double idle = 300;
        double busy = 3000;
        for (int i = 0; i < 50; i++) {
            double rpm = (idle + busy) / 2;
            var outcome = solver.solve(Conditions.REST.withEngine(new Rpm(rpm)));
            assertThat(outcome).as("at %s rpm", rpm).isInstanceOf(Outcome.Solved.class);
            if (amps(((Outcome.Solved) outcome).point(), "N1", "shunt") > 1e-9) {
                busy = rpm;
            } else {
                idle = rpm;
            }
        }
        assertThat(busy).isBetween(301.0, 2999.0);
    }

    /** A lighting coil of 3 A over a 6 V 18 W lamp: (3 A / 2.667 A)^(1/0.55) × 6.75 V = 8.36 V. */
    @Test
    void aLightingCoilPushesItsCurrentThroughWhateverLampIsThere() {
        var filament = new LoadKind.Filament("56", new Watts(18));
        var design =
                new DesignBuilder(6)
                        .earth("E1")
                        .mounted(
                                "G1",
                                "E1",
                                new SourceKind.Flywheel(
                                        SourceKind.Flywheel.Winding.LIGHTING,
                                        new Amps(3),
                                        new Rpm(3000)))
                        .mounted("H1", "E1", new LoadKind.Lamp(new Volts(6.75), List.of(filament)))
                        .wire("G1.L", "H1.56", "2.5mm2", 0.2);

        var point = solved(design, ROAD);

        assertThat(amps(point, "H1", "56")).isCloseTo(3, within(0.001));
        assertThat(volts(point, "H1.56"))
                .isCloseTo(6.75 * Math.pow(3 / (18 / 6.75), 1 / 0.55), within(0.02));
    }

    // --- controls

    private static DesignBuilder relay(
            ControlKind.Suppression suppression, String live, String back) {
        var relay =
                new ControlKind.Relay(
                        TWELVE,
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.empty(),
                        Optional.of(suppression));
        return DesignBuilder.twelveVolts()
                .fuse("F1", 5)
                .part("K1", relay)
                .wire("B1.+", "F1.1", "1mm2", 0.2)
                .wire("F1.2", "K1." + live, "1mm2", 1)
                .wire("K1." + back, "E1.E", "1mm2", 1);
    }

    /** 90 Ω beside 680 Ω are 79.48 Ω. */
    @Test
    void aSuppressionResistorDrawsBesideTheCoil() {
        var point = solved(relay(ControlKind.Suppression.RESISTOR, "86", "85"));
        double across = volts(point, "K1.86") - volts(point, "K1.85");

        assertThat(amps(point, "F1", "")).isCloseTo(across / 79.48, within(1e-4));
    }

    @Test
    void aSuppressionDiodeTheWrongWayRoundIsAShort() {
        var right = solved(relay(ControlKind.Suppression.DIODE_TO_86, "86", "85"));
        var wrong = solved(relay(ControlKind.Suppression.DIODE_TO_86, "85", "86"));
        var other = solved(relay(ControlKind.Suppression.DIODE_TO_85, "85", "86"));

        assertThat(right.blown()).isEmpty();
        assertThat(right.pulledIn(new PartId("K1"))).isTrue();
        assertThat(wrong.blown()).hasToString("[F1]");
        assertThat(other.blown()).isEmpty();
    }

    @Test
    void aLatchingRelayClosesByOnePulseAndTheOtherWins() {
        var design =
                DesignBuilder.twelveVolts()
                        .push("S1", "set", 5)
                        .push("S2", "reset", 5)
                        .mounted(
                                "K1",
                                "E1",
                                new ControlKind.LatchingRelay(TWELVE, new Ohms(60), new Amps(20)))
                        .lamp("H1", 21)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("B1.+", "S2.1", "1mm2", 1)
                        .wire("S1.2", "K1.S", "1mm2", 1)
                        .wire("S2.2", "K1.R", "1mm2", 1)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "H1.58", "1mm2", 1);
        var set = Conditions.REST.with("set", "on");

        assertThat(solved(design).closed(new PartId("K1"), "30-87")).isFalse();
        assertThat(solved(design, set).closed(new PartId("K1"), "30-87")).isTrue();
        assertThat(solved(design, set.with("reset", "on")).closed(new PartId("K1"), "30-87"))
                .isFalse();
    }

    /** A fan switch closes when it is hot; an oil pressure switch opens when there is pressure. */
    @ParameterizedTest
    @CsvSource({"false, 0.5, false", "false, 0.9, true", "true, 0.5, true", "true, 0.9, false"})
    void aLevelSwitchFollowsItsLevel(boolean opens, double level, boolean closed) {
        var design =
                DesignBuilder.twelveVolts()
                        .mounted(
                                "S1",
                                "E1",
                                new ControlKind.LevelSwitch(
                                        "heat", new Ratio(0.7), opens, new Amps(10)))
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), TWELVE))
                        .wire("B1.+", "L1.1", "1mm2", 1)
                        .wire("L1.2", "S1.1", "1mm2", 1);

        var point = solved(design, Conditions.REST.withLevel("heat", level));

        assertThat(point.closed(new PartId("S1"), "1-31")).isEqualTo(closed);
        assertThat(amps(point, "L1", "1") > 0.1).isEqualTo(closed);
    }

    @Test
    void anElectronicFlasherNeedsItsEarth() {
        var flasher =
                new ControlKind.Flasher(
                        ControlKind.Flasher.Form.ELECTRONIC, new Watts(42), TWELVE, 85);
        var design =
                DesignBuilder.twelveVolts()
                        .part("U1", flasher)
                        .lamp("H1", 21)
                        .wire("B1.+", "U1.49", "1mm2", 1)
                        .wire("U1.49a", "H1.58", "1mm2", 1);
        assertThat(amps(solved(design), "H1", "58")).isCloseTo(0, within(1e-6));

        var earthed = design.wire("U1.31", "E1.E", "1mm2", 0.5);

        assertThat(amps(solved(earthed), "H1", "58")).isGreaterThan(1.4);
    }

    /** The valve is earthed only while the brake is off and the set input is on. */
    @ParameterizedTest
    @CsvSource({"off, off, false", "on, off, true", "on, on, false"})
    void aModuleEngagesOnlyIfItsNeedsAreMet(String set, String brake, boolean engaged) {
        var module =
                new ControlKind.Module(
                        TWELVE,
                        new Amps(0.02),
                        List.of("set", "brake"),
                        List.of(
                                new ControlKind.Output(
                                        "valve",
                                        ControlKind.Side.EARTH,
                                        new Amps(5),
                                        List.of(
                                                new ControlKind.Need("set", true),
                                                new ControlKind.Need("brake", false)))));
        var design =
                DesignBuilder.twelveVolts()
                        .mounted("U1", "E1", module)
                        .onOff("S1", "set", 5)
                        .onOff("S2", "brake", 5)
                        .part(
                                "X1",
                                new LoadKind.Load(
                                        new aficion.job.Demand.InAmps(new Amps(2)), TWELVE))
                        .wire("B1.+", "U1.15", "1mm2", 1)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "U1.set", "1mm2", 1)
                        .wire("B1.+", "S2.1", "1mm2", 1)
                        .wire("S2.2", "U1.brake", "1mm2", 1)
                        .wire("B1.+", "X1.+", "1mm2", 1)
                        .wire("X1.31", "U1.valve", "1mm2", 1);

        var point = solved(design, Conditions.REST.with("set", set).with("brake", brake));

        assertThat(amps(point, "X1", "body") > 1.9).isEqualTo(engaged);
        assertThat(amps(point, "U1", "rest")).isCloseTo(0.0211, within(0.0005));
    }

    private static DesignBuilder delayed() {
        return DesignBuilder.twelveVolts()
                .mounted(
                        "U1",
                        "E1",
                        new ControlKind.Module(
                                TWELVE,
                                new Amps(0.02),
                                List.of("key"),
                                List.of(
                                        new ControlKind.Output(
                                                "out",
                                                ControlKind.Side.LIVE,
                                                new Amps(5),
                                                List.of(new ControlKind.Need("key", true)),
                                                Optional.of(new Seconds(30))))))
                .onOff("S1", "feed", 5)
                .onOff("S2", "key", 5)
                .mounted(
                        "X1",
                        "E1",
                        new LoadKind.Load(new aficion.job.Demand.InAmps(new Amps(2)), TWELVE))
                .wire("B1.+", "S1.1", "1mm2", 1)
                .wire("S1.2", "U1.15", "1mm2", 1)
                .wire("B1.+", "S2.1", "1mm2", 1)
                .wire("S2.2", "U1.key", "1mm2", 1)
                .wire("U1.out", "X1.+", "1mm2", 1);
    }

    /** It stays on with what was before, not from rest, and not without its supply. */
    @ParameterizedTest
    @CsvSource({"on, off, false", "on, on, true", "off, on, false"})
    void aDelayModuleStaysOnAfterItsKey(String feed, String before, boolean on) {
        var first = Conditions.REST.with("feed", feed).with("key", before);

        var point = solved(delayed(), Conditions.REST.with("feed", feed).after(first));

        assertThat(amps(point, "X1", "body") > 1.9).isEqualTo(on);
        assertThat(point.holdsForAWhile()).isEqualTo(before.equals("on"));
    }

    /** Thirty seconds after its key it goes off. */
    @Test
    void aDelayModuleGoesOffInTime() {
        var on = Conditions.REST.with("feed", "on").with("key", "on");
        var drawn = new Probe.AmpsInside(new PartId("X1"), "body");
        var script = Script.of(on, on.with("key", "off"), new Seconds(32));

        var result = Simulation.run(Netlist.of(delayed().build()), script, List.of(drawn));

        assertThat(result.traces().getFirst().at(29)).isGreaterThan(1.9);
        assertThat(result.traces().getFirst().at(31)).isCloseTo(0, within(1e-9));
    }

    /**
     * 3 Ω and 7 mH, four cylinders at 3000 rpm, dwell 0.6: period 10 ms, closed 6 ms; with 0.1 Ω of
     * transistor τ = 2.26 ms, so the mean is V/R·0.6·(1 − (1 − e^−2.66)/2.66) = 1.58 A at 12.66 V.
     */
    @Test
    void aTransistorBoxSwitchesTheCoilWithItsDwellAndRestsWhenTheEngineStands() {
        var box =
                new ControlKind.IgnitionBox(
                        ControlKind.IgnitionBox.Form.TRANSISTOR, 4, new Ratio(0.6), new Amps(0.1));
        var design =
                DesignBuilder.twelveVolts()
                        .mounted("U1", "E1", box)
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.007)))
                        .wire("B1.+", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "U1.1", "1.5mm2", 1)
                        .wire("B1.+", "U1.15", "1.5mm2", 1);

        assertThat(amps(solved(design, ROAD), "T1", "body")).isCloseTo(1.58, within(0.12));
        assertThat(amps(solved(design), "T1", "body")).isLessThan(0.001);
    }

    /** 3 A at full speed; 0.2 + 0.8/2 of it at 3000 rpm. */
    @Test
    void aDischargeBoxDrawsMoreWithSpeed() {
        var box =
                new ControlKind.IgnitionBox(
                        ControlKind.IgnitionBox.Form.DISCHARGE, 4, new Ratio(0.6), new Amps(3));
        var design =
                DesignBuilder.twelveVolts()
                        .mounted("U1", "E1", box)
                        .wire("B1.+", "U1.15", "1.5mm2", 1);

        assertThat(amps(solved(design, ROAD), "U1", "body"))
                .isCloseTo(3 * 0.6 * 12.65 / 12, within(0.02));
    }

    // --- loads

    private static DesignBuilder fed(LoadKind load, String in, String out) {
        return DesignBuilder.twelveVolts()
                .part("X1", load)
                .wire("B1.+", "X1." + in, "10mm2", 0.2)
                .wire("X1." + out, "E1.E", "10mm2", 0.2);
    }

    /**
     * 12 V 5 W draws 0.417 A there; with a quarter of the volts in its resistor, more at 12.7 V.
     */
    @Test
    void anLedLampIsDarkWhenItsLeadsAreExchanged() {
        var lamp = new LoadKind.LedLamp(TWELVE, new Watts(5));
        var right = solved(fed(lamp, "+", "31"));
        var wrong = solved(fed(lamp, "31", "+"));

        assertThat(amps(right, "X1", "body")).isBetween(0.42, 0.52);
        assertThat(right.light(new PartId("X1"), "+").orElseThrow().value()).isGreaterThan(1);
        assertThat(amps(wrong, "X1", "body")).isCloseTo(0, within(1e-6));
        assertThat(wrong.light(new PartId("X1"), "+").orElseThrow().value()).isZero();
    }

    @Test
    void aBuzzerIsSilentWhenItsLeadsAreExchanged() {
        var buzzer = new LoadKind.Buzzer(TWELVE, new Amps(0.03));

        assertThat(amps(solved(fed(buzzer, "+", "31")), "X1", "body")).isBetween(0.028, 0.032);
        assertThat(amps(solved(fed(buzzer, "31", "+")), "X1", "body")).isCloseTo(0, within(1e-6));
    }

    @Test
    void theCurrentOfAMotorTellsItsDirection() {
        var motor = new LoadKind.Motor(new Amps(8), TWELVE);

        assertThat(amps(solved(fed(motor, "+", "31")), "X1", "body")).isBetween(8.0, 9.0);
        assertThat(amps(solved(fed(motor, "31", "+")), "X1", "body")).isBetween(-9.0, -8.0);
    }

    @Test
    void aTwoSpeedMotorDrawsByTheSpeedThatIsFed() {
        var motor =
                new LoadKind.TwoSpeedMotor(
                        new Amps(5), new Amps(9), TWELVE, Optional.empty(), true);

        var point = solved(fed(motor, "53b", "31"));

        assertThat(amps(point, "X1", "53b")).isBetween(9.0, 10.0);
        assertThat(amps(point, "X1", "53")).isCloseTo(0, within(1e-9));
    }

    @Test
    void theBallastIsBypassedWhileTheStarterCranks() {
        var design =
                DesignBuilder.twelveVolts()
                        .push("S1", "start", 20)
                        .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.06), new Ohms(1)))
                        .wire("B1.+", "M1.30", "25mm2", 0.5)
                        .wire("B1.+", "S1.1", "2.5mm2", 1)
                        .wire("S1.2", "M1.50", "2.5mm2", 1)
                        .load("X1", 4)
                        .wire("M1.15a", "X1.+", "2.5mm2", 1);

        assertThat(amps(solved(design), "X1", "body")).isCloseTo(0, within(1e-9));
        assertThat(amps(solved(design, Conditions.REST.with("start", "on")), "X1", "body"))
                .isGreaterThan(3);
    }

    /** 60 mV at 30 A are 2 mΩ; 10 A from A to B lose 20 mV. */
    @Test
    void anAmmeterLosesSixtyMillivoltsAtFullScale() {
        var design =
                DesignBuilder.twelveVolts()
                        .part("P1", new LoadKind.Ammeter(new Amps(30)))
                        .load("X1", 10)
                        .wire("B1.+", "P1.A", "10mm2", 0.2)
                        .wire("P1.B", "X1.+", "10mm2", 0.2);
        var point = solved(design);

        assertThat(volts(point, "P1.A") - volts(point, "P1.B"))
                .isCloseTo(0.002 * amps(point, "P1", "A-B"), within(1e-9));
        assertThat(amps(point, "P1", "A-B")).isBetween(10.0, 10.6);
    }

    /** 50 Ω for each of 16 V. */
    @Test
    void aVoltmeterDrawsNextToNothing() {
        var point = solved(fed(new LoadKind.Voltmeter(new Volts(16)), "+", "31"));

        assertThat(amps(point, "X1", "body")).isCloseTo(12.7 / 800, within(1e-4));
    }

    @Test
    void aHeaterHasItsWarmResistanceAtAnOperatingPoint() {
        var heater = new LoadKind.Heater(new Ohms(0.6), new Ohms(1.2), new Seconds(8));
        var point = solved(fed(heater, "+", "31"));

        assertThat(amps(point, "X1", "body"))
                .isCloseTo((volts(point, "X1.+") - volts(point, "X1.31")) / 1.2, within(1e-9));
    }

    @Test
    void nothingFlowsThroughACapacitorAtAnOperatingPoint() {
        var design =
                DesignBuilder.twelveVolts()
                        .mounted("C1", "E1", new JoinKind.Capacitor(new Farads(0.01)))
                        .wire("B1.+", "C1.+", "1mm2", 1);

        assertThat(amps(solved(design), "C1", "body")).isZero();
    }

    /** 700 Ω cold, 100 Ω at half, 22 Ω hot: a quarter is 400 Ω, three quarters 61 Ω. */
    @Test
    void aSenderFollowsItsCurve() {
        var sender =
                new JoinKind.Sender(
                        "heat",
                        new Ohms(700),
                        new Ohms(22),
                        Optional.of(
                                new JoinKind.Curve(
                                        List.of(
                                                new JoinKind.CurvePoint(
                                                        new Ratio(0.5), new Ohms(100))))),
                        Optional.empty());

        assertThat(sender.at(0)).isEqualTo(new Ohms(700));
        assertThat(sender.at(0.25)).isEqualTo(new Ohms(400));
        assertThat(sender.at(0.5)).isEqualTo(new Ohms(100));
        assertThat(sender.at(0.75)).isEqualTo(new Ohms(61));
        assertThat(sender.at(1)).isEqualTo(new Ohms(22));
    }

    @Test
    void anEarthedKillLeadIsAPathToEarth() {
        var design =
                new DesignBuilder(12)
                        .earth("E1")
                        .mounted("T1", "E1", new LoadKind.Magneto(new Ohms(0.8)))
                        .onOff("S1", "kill", 5)
                        .wire("T1.kill", "S1.1", "1mm2", 1)
                        .wire("S1.2", "E1.E", "1mm2", 1);

        var point = solved(design, Conditions.REST.with("kill", "on"));

        assertThat(volts(point, "T1.kill")).isZero();
        assertThat(point.closed(new PartId("S1"), "1-2")).isTrue();
    }
}
