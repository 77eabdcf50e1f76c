package aficion.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.FuseType;
import aficion.catalogue.TimeBand;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Farads;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What changes over time, against values worked out by hand. */
class SimulationTest {
    private static final Volts TWELVE = new Volts(12);
    private static final Conditions ON = Conditions.REST.with("on", "on");

    private static Probe inside(String part, String role) {
        return new Probe.AmpsInside(new PartId(part), role);
    }

    private static Probe volts(String terminal) {
        return new Probe.VoltsAt(Terminal.parse(terminal).orElseThrow());
    }

    private static DesignBuilder switched() {
        return DesignBuilder.twelveVolts().onOff("S1", "on", 30).wire("B1.+", "S1.1", "10mm2", 0.2);
    }

    private static SimulationResult run(DesignBuilder design, double seconds, Probe... probes) {
        return Simulation.run(
                Netlist.of(design.build()),
                Script.of(Conditions.REST, ON, new Seconds(seconds)),
                List.of(probes));
    }

    private static double steady(DesignBuilder design, String part, String role) {
        var outcome = new Solver(Netlist.of(design.build())).solve(ON);
        var point = ((Outcome.Solved) outcome).point();
        return point.through(new PartId(part), role).orElseThrow().value();
    }

    /**
     * Near ten times its current when cold, for some tens of ms; then what the operating point
     * says.
     */
    @Test
    void aLampBeginsNearTenTimesItsCurrentAndSettles() {
        var design = switched().lamp("H1", 55).wire("S1.2", "H1.58", "10mm2", 0.2);
        double settled = steady(design, "H1", "58");

        var result = run(design, 1, inside("H1", "58"));
        var trace = result.traces().getFirst();

        assertThat(trace.most().orElseThrow() / settled).isBetween(7.0, 10.5);
        assertThat(trace.at(0.02) / settled).isBetween(1.5, 6.0);
        assertThat(trace.at(0.2) / settled).isCloseTo(1, within(0.05));
        assertThat(trace.at(1)).isCloseTo(settled, within(0.001 * settled));
    }

    /** Four times 8 A standing, less what the leads take; then the operating point. */
    @Test
    void aMotorBeginsWithItsStandingCurrentAndSpeedsUp() {
        var design =
                switched()
                        .mounted("M1", "E1", new LoadKind.Motor(new Amps(8), TWELVE))
                        .wire("S1.2", "M1.+", "10mm2", 0.2);
        double settled = steady(design, "M1", "body");

        var trace = run(design, 3, inside("M1", "body")).traces().getFirst();

        assertThat(trace.most().orElseThrow()).isBetween(29.0, 34.0);
        assertThat(trace.at(3)).isCloseTo(settled, within(0.005 * settled));
    }

    /** 10 mF behind 100 Ω: after one time constant, 1 s, it has 63.2 % of the volts. */
    @Test
    void aCapacitorChargesByItsTimeConstant() {
        var design =
                switched()
                        .part("R1", new JoinKind.Resistor(new Ohms(100)))
                        .mounted("C1", "E1", new JoinKind.Capacitor(new Farads(0.01)))
                        .wire("S1.2", "R1.1", "1mm2", 0.5)
                        .wire("R1.2", "C1.+", "1mm2", 0.5);

        var trace = run(design, 5, volts("C1.+")).traces().getFirst();

        assertThat(trace.at(1) / 12.7).isCloseTo(1 - Math.exp(-1), within(0.01));
        assertThat(trace.at(5) / 12.7).isCloseTo(1 - Math.exp(-5), within(0.01));
    }

    /**
     * A 10 A blade at 20 A, twice its marking, opens after 0.15 s at the fastest and 5 s at the
     * slowest (ISO 8820-3); mostly after the geometric mean, 0.87 s.
     */
    @ParameterizedTest
    @CsvSource({"FASTEST, 0.15", "NOMINAL, 0.866", "SLOWEST, 5"})
    void aFuseOpensWithinItsBand(TimeBand.Edge edge, double seconds) {
        var design =
                switched()
                        .fuse("F1", 10)
                        .load("X1", 19.69)
                        .wire("S1.2", "F1.1", "10mm2", 0.2)
                        .wire("F1.2", "X1.+", "10mm2", 0.2);

        var result =
                Simulation.run(
                        Netlist.of(design.build()),
                        Script.of(Conditions.REST, ON, new Seconds(20)),
                        edge,
                        List.of(inside("X1", "body")),
                        _ -> true);

        double opened = result.first(SimulationEvent.Opened.class).orElseThrow();
        assertThat(result.traces().getFirst().at(opened / 2)).isCloseTo(20, within(0.2));
        assertThat(opened / seconds).isBetween(0.9, 1.1);
        assertThat(result.traces().getFirst().at(20)).isCloseTo(0, within(1e-9));
    }

    @Test
    void aFuseAtItsMarkingNeverOpens() {
        var design =
                switched()
                        .fuse("F1", 10)
                        .load("X1", 9)
                        .wire("S1.2", "F1.1", "10mm2", 0.2)
                        .wire("F1.2", "X1.+", "10mm2", 0.2);

        assertThat(run(design, 7200).events()).isEmpty();
    }

    /** Every inrush of a lamp passes a fuse that carries it well. */
    @Test
    void anInrushDoesNotBlowTheFuse() {
        var design =
                switched()
                        .fuse("F1", 10)
                        .lamp("H1", 60)
                        .wire("S1.2", "F1.1", "4mm2", 0.5)
                        .wire("F1.2", "H1.58", "4mm2", 1);

        assertThat(run(design, 5).count(SimulationEvent.Opened.class)).isZero();
    }

    private static SimulationResult breaker(FuseType type, double seconds) {
        return run(
                switched()
                        .part("F1", new GuardKind.Fuse(type, new Amps(10)))
                        .load("X1", 60)
                        .wire("S1.2", "F1.1", "10mm2", 0.2)
                        .wire("F1.2", "X1.+", "10mm2", 0.2),
                seconds);
    }

    /** Self-resetting closes every 12 s and opens again; the two others stay open under power. */
    @Test
    void theThreeKindsOfBreakerDifferInHowTheyCloseAgain() {
        var self = breaker(FuseType.BREAKER_SELF, 60);
        var hold = breaker(FuseType.BREAKER_HOLD, 60);
        var manual = breaker(FuseType.BREAKER_MANUAL, 60);

        assertThat(self.count(SimulationEvent.Reset.class)).isBetween(3L, 5L);
        assertThat(self.count(SimulationEvent.Opened.class)).isBetween(4L, 6L);
        assertThat(hold.count(SimulationEvent.Opened.class)).isEqualTo(1);
        assertThat(hold.count(SimulationEvent.Reset.class)).isZero();
        assertThat(manual.count(SimulationEvent.Reset.class)).isZero();
    }

    /** The breaker that holds off closes once the switch before it is off. */
    @Test
    void aBreakerThatHoldsOffClosesWhenThePowerIsTakenAway() {
        var design =
                switched()
                        .part("F1", new GuardKind.Fuse(FuseType.BREAKER_HOLD, new Amps(10)))
                        .load("X1", 60)
                        .wire("S1.2", "F1.1", "10mm2", 0.2)
                        .wire("F1.2", "X1.+", "10mm2", 0.2)
                        .build();
        var script =
                new Script(
                        Conditions.REST,
                        List.of(
                                new Script.Moment(new Seconds(0), ON),
                                new Script.Moment(new Seconds(20), Conditions.REST)),
                        new Seconds(30));

        var result = Simulation.run(Netlist.of(design), script, List.of());

        assertThat(result.first(SimulationEvent.Opened.class).orElseThrow()).isBetween(0.1, 5.0);
        assertThat(result.first(SimulationEvent.Reset.class).orElseThrow())
                .isCloseTo(20, within(0.01));
    }

    private static DesignBuilder flasher(ControlKind.Flasher.Form form, double... watts) {
        var unit = new ControlKind.Flasher(form, new Watts(42), new Volts(13.5), 85);
        var design = switched().part("U1", unit).wire("S1.2", "U1.49", "4mm2", 0.5);
        if (form == ControlKind.Flasher.Form.ELECTRONIC) {
            design.wire("U1.31", "E1.E", "1mm2", 0.5);
        }
        for (int i = 0; i < watts.length; i++) {
            design.lamp("H" + i, watts[i]).wire("U1.49a", "H" + i + ".58", "4mm2", 1);
        }
        return design;
    }

    /** Closings a minute, counted over a minute. */
    private static long rate(DesignBuilder design) {
        return run(design, 60).events().stream()
                .filter(each -> each instanceof SimulationEvent.Blinked(_, _, var on) && on)
                .count();
    }

    @Test
    void aThermalFlasherKeepsItsRateOnlyWithItsLamps() {
        var thermal = ControlKind.Flasher.Form.THERMAL;

        assertThat(rate(flasher(thermal, 21, 21))).isBetween(60L, 120L);
        assertThat(rate(flasher(thermal, 21))).isZero();
        assertThat(rate(flasher(thermal, 5))).isZero();
    }

    @Test
    void anElectronicFlasherKeepsItsRateWithAnyLamp() {
        var clock = ControlKind.Flasher.Form.ELECTRONIC;

        assertThat(rate(flasher(clock, 21, 21))).isBetween(84L, 86L);
        assertThat(rate(flasher(clock, 5))).isBetween(84L, 86L);
    }

    @Test
    void aRelayTakesItsTime() {
        var design =
                switched()
                        .relay("K1")
                        .lamp("H1", 21)
                        .wire("S1.2", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.30", "2.5mm2", 1)
                        .wire("K1.87", "H1.58", "2.5mm2", 1);

        var result = run(design, 0.1, inside("H1", "58"));

        assertThat(result.first(SimulationEvent.Moved.class).orElseThrow())
                .isCloseTo(0.008, within(1e-5));
        assertThat(result.traces().getFirst().at(0.007)).isZero();
        assertThat(result.traces().getFirst().at(0.02)).isGreaterThan(1);
    }

    /** A relay whose break contact feeds its own coil buzzes: 8 ms to pull, 8 ms to let go. */
    @Test
    void aRelayThatFeedsItselfThroughItsBreakContactBuzzes() {
        var relay =
                new ControlKind.Relay(
                        TWELVE,
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.of(new Amps(20)));
        var design =
                switched()
                        .part("K1", relay)
                        .wire("S1.2", "K1.30", "1mm2", 1)
                        .wire("K1.87a", "K1.86", "1mm2", 0.3)
                        .wire("K1.85", "E1.E", "1mm2", 1);

        assertThat(run(design, 1.6).count(SimulationEvent.Moved.class)).isBetween(190L, 201L);
    }

    /**
     * 45 Ah at the twenty-hour rate, 2.25 A, lasts twenty hours; at 9 A, by Peukert's 1.2, 5 h less
     * the factor 4^0.2 = 1.32: 3.79 h. Its rest volts fall from 12.7 to 11.9 meanwhile, and with
     * them the load.
     */
    @ParameterizedTest
    @CsvSource({"2.25, 20", "9, 3.79"})
    void aBatteryRunsDownByPeukert(double amps, double hours) {
        var capacity = new SourceKind.Capacity(new AmpereHours(45), new Ratio(1.2));
        var battery = new SourceKind.Battery(TWELVE, new Ohms(0.008), Optional.of(capacity));
        var design =
                new DesignBuilder(12)
                        .part("B1", battery)
                        .earth("E1")
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .onOff("S1", "on", 30)
                        .wire("B1.+", "S1.1", "10mm2", 0.2)
                        .load("X1", amps * 12 / 12.3)
                        .wire("S1.2", "X1.+", "10mm2", 0.2);

        var result =
                run(
                        design,
                        hours * 3600 / 2,
                        new Probe.ChargeOf(new PartId("B1")),
                        inside("X1", "body"));

        assertThat(result.traces().getFirst().at(hours * 1800)).isCloseTo(0.5, within(0.02));
        assertThat(result.steps()).isLessThan(5000);
    }

    /** The mean output is the 10 V it is set to, though it is either all or nothing. */
    @Test
    void aStabiliserPulsesAndItsMeanIsSteady() {
        var design =
                switched()
                        .mounted("V1", "E1", new JoinKind.Stabiliser(new Volts(10)))
                        .load("X1", 0.3)
                        .wire("S1.2", "V1.B", "1mm2", 1)
                        .wire("V1.I", "X1.+", "1mm2", 1);

        var trace = run(design, 60, volts("X1.+")).traces().getFirst();

        assertThat(trace.most().orElseThrow()).isGreaterThan(12);
        double square = 0;
        for (double at = 20; at < 60; at += 0.01) {
            square += Math.pow(trace.at(at), 2) * 0.01 / 40;
        }
        assertThat(Math.sqrt(square)).isCloseTo(10, within(0.25));
    }

    /** Idle to road in ten seconds: the alternator wakes on the way. */
    @Test
    void theEngineFollowsItsScript() {
        var design =
                DesignBuilder.twelveVolts()
                        .mounted(
                                "G1",
                                "E1",
                                new SourceKind.Alternator(
                                        new Volts(14.2),
                                        new Amps(45),
                                        new Ohms(4),
                                        new Ratio(2),
                                        Optional.of(SourceKind.Alternator.Style.ONE_WIRE)))
                        .load("X1", 10)
                        .wire("G1.B+", "B1.+", "16mm2", 0.5)
                        .wire("B1.+", "X1.+", "4mm2", 0.5)
                        .build();
        var script =
                new Script(
                        Conditions.REST,
                        List.of(
                                new Script.Moment(
                                        new Seconds(10),
                                        Conditions.REST.withEngine(new Rpm(3000)))),
                        new Seconds(12));

        var trace =
                Simulation.run(Netlist.of(design), script, List.of(volts("B1.+")))
                        .traces()
                        .getFirst();

        assertThat(script.at(5).engine().value()).isCloseTo(1500, within(1e-9));
        assertThat(trace.at(1)).isLessThan(12.7);
        assertThat(trace.at(11)).isGreaterThan(13.9);
    }

    @Test
    void aStoppedRunEndsEarly() {
        var design = switched().lamp("H1", 55).wire("S1.2", "H1.58", "10mm2", 0.2);
        var result =
                Simulation.run(
                        Netlist.of(design.build()),
                        Script.of(Conditions.REST, ON, new Seconds(1000)),
                        TimeBand.Edge.NOMINAL,
                        List.of(new Probe.AmpsIn(new WireId("w1"))),
                        _ -> false);

        assertThat(result.steps()).isLessThan(20);
    }

    @ParameterizedTest
    @EnumSource(FuseType.class)
    void everyFuseOpensSoonerAtMoreCurrent(FuseType type) {
        var marking = type.markings().getFirst();
        double before = Double.POSITIVE_INFINITY;
        for (double multiple = 1; multiple < 12; multiple += 0.5) {
            double fast = type.seconds(marking, multiple * marking.value(), TimeBand.Edge.FASTEST);
            double slow = type.seconds(marking, multiple * marking.value(), TimeBand.Edge.SLOWEST);
            assertThat(slow).isLessThanOrEqualTo(before);
            assertThat(fast).isLessThanOrEqualTo(slow);
            before = slow;
        }
        assertThat(before).isLessThan(2);
    }

    @Test
    void aThinnedTraceKeepsItsSpikes() {
        var seconds = java.util.stream.IntStream.range(0, 1000).mapToDouble(i -> i).toArray();
        var values = new double[1000];
        values[617] = -9;
        var probe = new Probe.ChargeOf(new aficion.job.PartId("B1"));

        var thin = new SimulationResult.Trace(probe, seconds, values).thinned(100);

        assertThat(thin.size()).isEqualTo(100);
        assertThat(thin.value(61)).isEqualTo(-9);
        assertThat(thin.second(61)).isEqualTo(617);
    }

    /** A lead behind an open switch is joined to nothing half of the time. */
    @Test
    void whatFloatsAtTimesIsRecordedWhereItDoesNot() {
        var script =
                new Script(
                        ON,
                        List.of(new Script.Moment(new Seconds(0.5), Conditions.REST)),
                        new Seconds(1));
        var end = Terminal.parse("S1.2").orElseThrow();
        var earth = Terminal.parse("B1.-").orElseThrow();

        var result =
                Simulation.run(
                        Netlist.of(switched().build()),
                        script,
                        List.of(new Probe.VoltsAt(end), new Probe.VoltsBetween(end, earth)));

        assertThat(result.traces())
                .allSatisfy(trace -> {
                    assertThat(trace.value(trace.size() - 1)).isNaN();
                    assertThat(trace.most().orElseThrow()).isBetween(12.0, 13.0);
                    assertThat(trace.thinned(3).most().orElseThrow()).isBetween(12.0, 13.0);
                });
    }
}
