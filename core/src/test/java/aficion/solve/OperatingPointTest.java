package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Supply;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class OperatingPointTest {

    private static OperatingPoint solved(Design design, Conditions conditions) {
        var outcome = new Solver(Netlist.of(design)).solve(conditions);
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return ((Outcome.Solved) outcome).point();
    }

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    private static double volts(OperatingPoint point, String terminal) {
        return point.voltsAt(at(terminal)).orElseThrow().value();
    }

    private static double amps(OperatingPoint point, int wire) {
        var design = point.netlist().design();
        return point.through(design.wire(new WireId("w" + wire))).value();
    }

    /** Before anything is found all volts are 0: the battery gives what nothing takes. */
    @Test
    void whatDoesNotSumIsNotBelieved() {
        var netlist = Netlist.of(DesignBuilder.twelveVolts().lamp("H1", 21).build());
        var unsolved = new Network(netlist, Conditions.REST);

        assertThat(OperatingPoint.checked(Conditions.REST, unsolved))
                .isEqualTo(
                        new Outcome.Unsolvable(
                                Outcome.Reason.CURRENTS_DO_NOT_SUM,
                                List.of(at("B1.+"), at("B1.-"))));
        assertThat(OperatingPoint.of(Conditions.REST, unsolved)).isEmpty();
        assertThat(unsolved.solve()).isTrue();
        assertThat(OperatingPoint.of(Conditions.REST, unsolved)).isPresent();
    }

    /** Half the light at 0.5^(1/3.4) of the volts: 0.8156. */
    @Test
    void halfTheLightNeedsFourFifthsOfTheVolts() {
        assertThat(OperatingPoint.volts(new Branch.Filament(0, 1, 12, 2), new Ratio(0.5)).value())
                .isCloseTo(12 * 0.8156, within(0.001));
    }

    private static DesignBuilder twoLamps() {
        return DesignBuilder.twelveVolts()
                .part("J1", new JoinKind.Splice())
                .lamp("H1", 21)
                .lamp("H2", 21)
                .wire("B1.+", "J1.J", "1mm2", 5)
                .wire("J1.J", "H1.58", "1mm2", 0)
                .wire("J1.J", "H2.58", "1mm2", 0);
    }

    /**
     * Worked by hand: 5 m of 1 mm² are 5 · 18.5 mΩ + 1 mΩ of crimps = 93.5 mΩ, the strap 0.3 ·
     * 0.743 + 1 = 1.2229 mΩ, battery 6 mΩ: 100.7229 mΩ for the sum of the currents. Each lamp sits
     * behind 1 mΩ of crimps and 1 mΩ of mount. With i = 21/13.5 · (v/13.5)^0.55 and v = 12.7 − 2i ·
     * 0.1007229 − i · 0.002 the fixed point is i = 1.48438 A.
     */
    @Test
    void twoLampsOnFiveMetresOfOneSquareMillimetre() {
        double current = 1.5;
        double volts = 0;
        for (int i = 0; i < 60; i++) {
            volts = 12.7 - 2 * current * (0.0935 + 0.0012229 + 0.006) - current * 0.002;
            current = 21 / 13.5 * Math.pow(volts / 13.5, 0.55);
        }

        var point = solved(twoLamps().build(), Conditions.REST);

        assertThat(current).isCloseTo(1.48438, within(0.00001));
        assertThat(amps(point, 2)).isCloseTo(2 * current, within(1e-6));
        assertThat(point.across(new PartId("H1"), "58").orElseThrow().value())
                .isCloseTo(volts, within(1e-6));
        assertThat(point.lostIn(point.netlist().design().wire(new WireId("w2"))).value())
                .isCloseTo(2 * current * 0.0935, within(1e-6));
    }

    @Test
    void eitherEarthPolarityGivesTheSameCurrentsTheOtherWayRound() {
        var negative = solved(twoLamps().build(), Conditions.REST);
        var turned =
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .part("J1", new JoinKind.Splice())
                        .lamp("H1", 21)
                        .lamp("H2", 21)
                        .wire("B1.-", "J1.J", "1mm2", 5)
                        .wire("J1.J", "H1.58", "1mm2", 0)
                        .wire("J1.J", "H2.58", "1mm2", 0)
                        .build();
        var positive = solved(turned, Conditions.REST);

        assertThat(amps(positive, 2)).isCloseTo(-amps(negative, 2), within(1e-9));
        assertThat(volts(positive, "H1.58")).isCloseTo(-volts(negative, "H1.58"), within(1e-9));
    }

    private static Kind headlamp() {
        return new LoadKind.Lamp(
                new Volts(13.2), List.of(new LoadKind.Filament("56b", new Watts(55))));
    }

    private static DesignBuilder headlamps() {
        return DesignBuilder.twelveVolts()
                .onOff("S1", "lights", 30)
                .mounted("H1", "E1", headlamp())
                .mounted("H2", "E1", headlamp());
    }

    private static Design switchFed() {
        return headlamps()
                .wire("B1.+", "S1.1", "1mm2", 3)
                .wire("S1.2", "H1.56b", "1mm2", 3)
                .wire("S1.2", "H2.56b", "1mm2", 3)
                .build();
    }

    private static Design relayFed() {
        return headlamps()
                .relay("K1")
                .wire("B1.+", "S1.1", "1mm2", 3)
                .wire("S1.2", "K1.86", "0.75mm2", 3)
                .wire("E1.E", "K1.85", "0.75mm2", 0.5)
                .wire("B1.+", "K1.30", "2.5mm2", 0.5)
                .wire("K1.87", "H1.56b", "1.5mm2", 1)
                .wire("K1.87", "H2.56b", "1.5mm2", 1)
                .build();
    }

    /**
     * Fixed point by hand. Switch-fed: 3 m of 1 mm² and a switch contact carry both lamps (55.5 + 1
     * + 5 = 61.5 mΩ), each has 56.5 mΩ of its own. Relay-fed: 0.5 m of 2.5 mm² and the contact
     * carry both (3.8 + 1 + 3 = 7.8 mΩ), each has 13.7 mΩ.
     */
    @Test
    void aRelayGivesHeadlampsTheLightThatTheSwitchTook() {
        double bySwitch = lightByHand(0.0565 + 0.005, 0.0565);
        double byRelay = lightByHand(0.0048 + 0.003, 0.0137);
        var on = Conditions.REST.with("lights", "on");

        var switched = solved(switchFed(), on).light(new PartId("H1"), "56b").orElseThrow();
        var relayed = solved(relayFed(), on).light(new PartId("H1"), "56b").orElseThrow();

        assertThat(switched.value()).isCloseTo(bySwitch, within(0.001));
        assertThat(relayed.value()).isCloseTo(byRelay, within(0.001));
        assertThat(relayed.value() / switched.value()).isGreaterThan(1.17);
    }

    private static double lightByHand(double common, double own) {
        double current = 4;
        double across = 0;
        for (int i = 0; i < 100; i++) {
            across = 12.7 - 2 * current * (common + 0.006 + 0.0012229) - current * (own + 0.001);
            current = 55 / 13.2 * Math.pow(across / 13.2, 0.55);
        }
        return Math.pow(across / 13.2, 3.4);
    }

    @Test
    void aRelayWhoseSwitchIsOpenLeavesTheLampsDark() {
        var point = solved(relayFed(), Conditions.REST);

        assertThat(point.pulledIn(new PartId("K1"))).isFalse();
        assertThat(volts(point, "H1.56b")).isCloseTo(0, within(1e-9));
        assertThat(volts(point, "K1.30")).isCloseTo(12.7, within(1e-9));
    }

    private static DesignBuilder fusedLoad(double amps) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 5)
                .load("X1", amps)
                .wire("B1.+", "F1.1", "1mm2", 0.2)
                .wire("F1.2", "X1.+", "1mm2", 2);
    }

    /** A 5 A blade opens for certain at 6.75 A (ISO 8820-3, 1.35 times). */
    @Test
    void aFuseOpensAboveItsLimitAndTakesTheLoadWithIt() {
        var holds = solved(fusedLoad(6).build(), Conditions.REST);
        var opens = solved(fusedLoad(8).build(), Conditions.REST);

        assertThat(holds.blown()).isEmpty();
        assertThat(opens.blown()).hasToString("[F1]");
        assertThat(amps(opens, 3)).isCloseTo(0, within(1e-9));
        assertThat(volts(opens, "F1.1")).isCloseTo(12.7, within(1e-9));
        assertThat(volts(opens, "F1.2")).isCloseTo(0, within(1e-9));
    }

    @Test
    void aPulledFuseIsNotABlownOne() {
        var seat = new Conditions.FuseSeat(new PartId("F1"), "");
        var point = solved(fusedLoad(2).build(), Conditions.REST.withPulled(seat, true));

        assertThat(point.blown()).isEmpty();
        assertThat(amps(point, 3)).isZero();
    }

    @Test
    void aGaugeFeedBehindAnOpenSwitchFloatsWhenItsSenderIsNotEarthed() {
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "key", 5)
                        .part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.16)))
                        .part("R1", new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "P1.B", "0.5mm2", 1)
                        .wire("P1.T", "R1.T", "0.5mm2", 3)
                        .build();

        var off = solved(design, Conditions.REST);
        var on = solved(design, Conditions.REST.with("key", "on"));

        assertThat(off.voltsAt(at("P1.B"))).isEmpty();
        assertThat(off.voltsAt(at("R1.T"))).isEmpty();
        assertThat(amps(off, 3)).isZero();
        assertThat(volts(on, "R1.31")).isCloseTo(12.7, within(1e-6));
    }

    @Test
    void aRelayThatCutsItsOwnCoilChatters() {
        var design =
                DesignBuilder.twelveVolts()
                        .part(
                                "K1",
                                new ControlKind.Relay(
                                        new Volts(12),
                                        new Ohms(90),
                                        new Ratio(0.6),
                                        new Ratio(0.2),
                                        new Amps(30),
                                        java.util.Optional.of(new Amps(20))))
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87a", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .build();

        var outcome = new Solver(Netlist.of(design)).solve(Conditions.REST);

        assertThat(outcome).isEqualTo(new Outcome.Chattering(List.of(new PartId("K1"))));
    }

    @Test
    void aDeadShortWithoutAFuseDrawsWhatBatteryAndLeadAllow() {
        var design = DesignBuilder.twelveVolts().wire("B1.+", "E1.E", "2.5mm2", 1).build();

        var point = solved(design, Conditions.REST);

        // 12.7 V / (6 mΩ + 7.6 + 1 mΩ + 0.2229 + 1 mΩ)
        assertThat(amps(point, 2)).isCloseTo(12.7 / 0.0158229, within(1e-6));
    }

    private static Design charging(double loadAmps) {
        return DesignBuilder.twelveVolts()
                .onOff("S1", "key", 10)
                .part("L1", new LoadKind.WarningLamp(new Watts(2.2), new Volts(13.5)))
                .mounted(
                        "G1",
                        "E1",
                        new SourceKind.Alternator(
                                new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2.5)))
                .load("X1", loadAmps)
                .wire("G1.B+", "B1.+", "10mm2", 1.5)
                .wire("B1.+", "S1.1", "1mm2", 1)
                .wire("S1.2", "L1.1", "0.5mm2", 1)
                .wire("L1.2", "G1.D+", "0.5mm2", 2)
                .wire("B1.+", "X1.+", "6mm2", 1)
                .build();
    }

    @Test
    void theWarningLampLightsWithTheKeyAndGoesOutWhenItCharges() {
        var key = Conditions.REST.with("key", "on");
        var still = solved(charging(5), key);
        var running = solved(charging(5), key.withEngine(new Rpm(2500)));

        assertThat(still.pulledIn(new PartId("G1"))).isFalse();
        assertThat(still.light(new PartId("L1"), "1").orElseThrow().value()).isGreaterThan(0.3);
        assertThat(running.pulledIn(new PartId("G1"))).isTrue();
        assertThat(running.light(new PartId("L1"), "1").orElseThrow().value()).isLessThan(1e-3);
        assertThat(Supply.of(running).volts().orElseThrow().value()).isBetween(13.8, 14.2);
        assertThat(Supply.of(running).battery().value()).isNegative();
    }

    @Test
    void withThePositivePoleEarthedItChargesTheSame() {
        var design =
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .onOff("S1", "key", 10)
                        .part("L1", new LoadKind.WarningLamp(new Watts(2.2), new Volts(13.5)))
                        .mounted(
                                "G1",
                                "E1",
                                new SourceKind.Alternator(
                                        new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2.5)))
                        .load("X1", 5)
                        .wire("G1.B+", "B1.-", "10mm2", 1.5)
                        .wire("B1.-", "S1.1", "1mm2", 1)
                        .wire("S1.2", "L1.1", "0.5mm2", 1)
                        .wire("L1.2", "G1.D+", "0.5mm2", 2)
                        .wire("B1.-", "X1.+", "6mm2", 1)
                        .build();
        var conditions = Conditions.REST.with("key", "on").withEngine(new Rpm(2500));

        var negative = Supply.of(solved(charging(5), conditions));
        var positive = Supply.of(solved(design, conditions));

        assertThat(positive.generated().value())
                .isCloseTo(negative.generated().value(), within(1e-6));
        assertThat(positive.battery().value()).isCloseTo(negative.battery().value(), within(1e-6));
        assertThat(positive.volts().orElseThrow().value())
                .isCloseTo(negative.volts().orElseThrow().value(), within(1e-6));
        assertThat(positive.drawn().value()).isCloseTo(negative.drawn().value(), within(1e-6));
    }

    @Test
    void anAlternatorWithoutItsLampFeedNeverWakes() {
        var point = solved(charging(5), Conditions.REST.withEngine(new Rpm(3000)));

        assertThat(point.pulledIn(new PartId("G1"))).isFalse();
        assertThat(Supply.of(point).generated().value()).isLessThan(1e-6);
    }

    /** 5000 alternator rpm: 45 · (1 − e^(−3900/1600)) / (1 − e^(−4900/1600)) = 43.1 A by hand. */
    @Test
    void anOverloadedAlternatorGivesItsLimitAndTheBatteryTheRest() {
        var point =
                solved(charging(80), Conditions.REST.with("key", "on").withEngine(new Rpm(2000)));

        assertThat(Supply.of(point).generated().value()).isCloseTo(43.13, within(0.05));
        assertThat(Supply.of(point).battery().value()).isPositive();
        assertThat(Supply.of(point).drawn().value())
                .isCloseTo(Math.abs(amps(point, 6)) + amps(point, 3), within(0.05));
    }

    private static Design ignition() {
        return DesignBuilder.twelveVolts()
                .part("R1", new JoinKind.Resistor(new Ohms(1.5)))
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(1.5), new Henries(0.004)))
                .mounted("D1", "E1", new ControlKind.Points(4, new Ratio(0.6)))
                .wire("B1.+", "R1.1", "1.5mm2", 0)
                .wire("R1.2", "T1.15", "1.5mm2", 0)
                .wire("T1.1", "D1.1", "1.5mm2", 0)
                .build();
    }

    /**
     * 3000 rpm, four cylinders: a spark every 10 ms, closed 6 ms. R = 3 Ω and what leads add (20.2
     * mΩ); τ = 4 mH / R; mean = V/R · 0.6 · (1 − (1 − e^(−x))/x).
     */
    @Test
    void theMeanCoilCurrentFollowsFromTheDwell() {
        double resistance = 3 + 3 * 0.001 + 0.001 + 0.0012229 + 0.001 + 0.006;
        double x = 0.006 * (resistance - 0.001) / 0.004;
        double mean = 12.7 / resistance * 0.6 * (1 - (1 - Math.exp(-x)) / x);

        var running = solved(ignition(), Conditions.REST.withEngine(new Rpm(3000)));
        var standing = solved(ignition(), Conditions.REST);

        assertThat(amps(running, 2)).isCloseTo(mean, within(0.002));
        assertThat(amps(standing, 2)).isCloseTo(12.7 / (resistance - 0.001 + 0.005), within(0.01));
    }

    /** So slow a coil that what it draws in a dwell is a triangle: V · t / L, and a hair less. */
    @ParameterizedTest
    @ValueSource(doubles = {1.81, 1.85, 40})
    void aSlowCoilHardlyBeginsToDraw(double henries) {
        var slow =
                DesignBuilder.twelveVolts()
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3), new Henries(henries)))
                        .mounted("D1", "E1", new ControlKind.Points(4, new Ratio(0.6)))
                        .wire("B1.+", "T1.15", "1.5mm2", 0)
                        .wire("T1.1", "D1.1", "1.5mm2", 0)
                        .build();
        var point = solved(slow, Conditions.REST.withEngine(new Rpm(3000)));
        double amps = amps(point, 2);
        double resistance = 3 + 2 * 0.001 + 0.0012229 + 0.001 + 0.006;
        double x = 0.006 * resistance / henries;
        double mean = 12.7 / resistance * 0.6 * (1 + Math.expm1(-x) / x);

        assertThat(amps).isCloseTo(mean, within(1e-7 * mean));
    }

    private static DesignBuilder stabilised() {
        return DesignBuilder.twelveVolts()
                .part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.16)))
                .mounted("R1", "E1", new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                .wire("B1.+", "V1.B", "1mm2", 1)
                .wire("V1.I", "P1.B", "0.5mm2", 0)
                .wire("P1.T", "R1.T", "0.5mm2", 0);
    }

    @Test
    void aStabiliserHoldsTenVoltsAndAFullTankGivesTheCurrentOfItsOhms() {
        var design = stabilised().mounted("V1", "E1", new JoinKind.Stabiliser(new Volts(10)));
        var full = solved(design.build(), Conditions.REST.withLevel("fuel", 1));

        assertThat(volts(full, "V1.I")).isCloseTo(10, within(0.001));
        assertThat(amps(full, 3)).isCloseTo(10 / (60 + 33 + 0.002), within(1e-4));
    }

    @Test
    void aStabiliserWithoutItsEarthPassesTheFullVoltsAndTheGaugeReadsHigh() {
        var design = stabilised().part("V1", new JoinKind.Stabiliser(new Volts(10)));
        var full = solved(design.build(), Conditions.REST.withLevel("fuel", 1));

        assertThat(amps(full, 3)).isGreaterThan(12.6 / 93.1);
    }

    /**
     * Gauge, sender and its own heater of 65 Ω take 38.3 Ω together: fed past it by 5 Ω they get
     * 12.7 · 38.3/43.3 V and it lets go; by 500 Ω it makes up for all but 2.7/500 A.
     */
    @ParameterizedTest
    @CsvSource({"5, 11.23, 0", "500, 10, 0.256"})
    void aStabiliserThatIsFedFromBehind(double ohms, double volts, double passes) {
        var design =
                stabilised()
                        .mounted("V1", "E1", new JoinKind.Stabiliser(new Volts(10)))
                        .part("R2", new JoinKind.Resistor(new Ohms(ohms)))
                        .wire("B1.+", "R2.1", "1mm2", 1)
                        .wire("R2.2", "V1.I", "1mm2", 1)
                        .build();
        var full = solved(design, Conditions.REST.withLevel("fuel", 1));

        assertThat(volts(full, "V1.I")).isCloseTo(volts, within(0.02));
        assertThat(amps(full, 2)).isCloseTo(passes, within(0.001));
    }

    /** 1.35 mΩ more or less: the diode loses about 0.8 V on the way and nothing flows back. */
    @Test
    void aDiodeConductsOneWay() {
        var forward =
                DesignBuilder.twelveVolts()
                        .part("D1", new JoinKind.Diode(new Amps(6)))
                        .load("X1", 2)
                        .wire("B1.+", "D1.A", "1mm2", 0)
                        .wire("D1.K", "X1.+", "1mm2", 0)
                        .build();
        var backward =
                DesignBuilder.twelveVolts()
                        .part("D1", new JoinKind.Diode(new Amps(6)))
                        .load("X1", 2)
                        .wire("B1.+", "D1.K", "1mm2", 0)
                        .wire("D1.A", "X1.+", "1mm2", 0)
                        .build();

        assertThat(
                        solved(forward, Conditions.REST)
                                .across(new PartId("D1"), "A-K")
                                .orElseThrow()
                                .value())
                .isBetween(0.7, 1.0);
        assertThat(amps(solved(backward, Conditions.REST), 3)).isCloseTo(0, within(1e-6));
    }

    @Test
    void theStarterTurnsOnlyWhileItsSolenoidIsFed() {
        var design =
                DesignBuilder.twelveVolts()
                        .push("S1", "start", 20)
                        .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1)))
                        .wire("B1.+", "M1.30", "25mm2", 1)
                        .wire("B1.+", "S1.1", "2.5mm2", 1)
                        .wire("S1.2", "M1.50", "2.5mm2", 1)
                        .build();

        // 12.7 V over battery, cable, contact, motor, case, joint and strap, by hand
        double resistance = 0.006 + 0.000743 + 0.001 + 0.0005 + 0.05 + 0.001 + 0.0012229;
        assertThat(amps(solved(design, Conditions.REST), 2)).isZero();
        assertThat(amps(solved(design, Conditions.REST.with("start", "on")), 2))
                .isCloseTo(12.7 / resistance, within(12.0));
    }

    @Test
    void anEmptyJobIsSolvedToNothing() {
        assertThat(new Solver(Netlist.of(new DesignBuilder(12).build())).solve(Conditions.REST))
                .isInstanceOf(Outcome.Solved.class);
    }
}
