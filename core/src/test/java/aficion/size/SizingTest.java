package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.route.RunLength;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.working.Working;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SizingTest {

    private static WireSizing sizing(Design design, int wire) {
        return Assessment.of(design).sizing(new WireId("w" + wire)).orElseThrow();
    }

    private static DesignBuilder fed(String size, double metres, double amps) {
        return DesignBuilder.twelveVolts()
                .load("X1", amps)
                .wire("B1.+", "X1.+", size, metres)
                .stated(Unguarded.SHORT_AND_SLEEVED);
    }

    /**
     * 10 A at 12 V is 1.2 Ω. Out and back 5.3 m of 2.5 mm²: I = 12.7/(1.2 + 0.006 + 0.039 + ...) =
     * 10.19 A; at about 62 °C r = 7.6 · 1.165 = 8.85 mΩ/m; 10.19 · 0.00885 · 5.3 = 0.478 V of the
     * 1.2 V an ordinary circuit may lose.
     */
    @Test
    void theDropIsWorkedOutAndBackOverTheWholeWay() {
        var sizing = sizing(fed("2.5mm2", 5, 10).build(), 2);

        assertThat(sizing.steady().value()).isCloseTo(10.19, within(0.05));
        assertThat(sizing.path().length().value()).isCloseTo(5.3, within(1e-9));
        assertThat(sizing.drop().result().value()).isCloseTo(0.478, within(0.02));
        assertThat(sizing.drop().limit().orElseThrow().value().value()).isBetween(1.1, 1.2);
        assertThat(sizing.losesLittle()).isTrue();
    }

    @Test
    void aStrictCircuitMayLoseThreePercentAndNeedsMoreCopper() {
        var strict = sizing(fed("2.5mm2", 5, 10).strict().build(), 2);

        assertThat(strict.drop().limit().orElseThrow().value().value())
                .isCloseTo(0.36, within(1e-9));
        assertThat(strict.losesLittle()).isFalse();
        assertThat(strict.reason()).isEqualTo(WireSizing.Reason.DROP);
        assertThat(strict.needed().orElseThrow().size()).hasToString("4mm2");
    }

    /** A short wire in the cabin at 30 A: at a rise of 40 K 2.5 mm² carries 28.4 A, 3 mm² 32.5. */
    @Test
    void aShortWireIsDecidedByHeat() {
        var sizing = sizing(fed("1mm2", 0.3, 30).build(), 2);

        assertThat(sizing.coolEnough()).isFalse();
        assertThat(sizing.reason()).isEqualTo(WireSizing.Reason.HEAT);
        assertThat(sizing.needed().orElseThrow().size()).hasToString("3mm2");
    }

    @Test
    void aTinyLoadIsDecidedByStrength() {
        var sizing = sizing(fed("1mm2", 1, 0.2).build(), 2);

        assertThat(sizing.reason()).isEqualTo(WireSizing.Reason.STRENGTH);
        assertThat(sizing.needed().orElseThrow().size()).hasToString("0.5mm2");
    }

    @Test
    void americanSizesStayAmerican() {
        var sizing = sizing(fed("18awg", 5, 10).build(), 2);

        assertThat(sizing.needed().orElseThrow().size().standard())
                .isEqualTo(WireSize.Standard.AWG);
    }

    @Test
    void noSizeIsNamedWhenNoneThatIsSoldWillDo() {
        var sizing = sizing(fed("120mm2", 60, 400).strict().build(), 2);

        assertThat(sizing.needed()).isEmpty();
    }

    @Test
    void onTheEngineTheSameWireCarriesLess() {
        var cabin = sizing(fed("2.5mm2", 1, 5).build(), 2);
        var design =
                DesignBuilder.twelveVolts()
                        .load("X1", 5)
                        .zone(Zone.ON_ENGINE)
                        .insulation(Insulation.XLPE125)
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .build();

        assertThat(sizing(design, 2).carries().result().value())
                .isLessThan(cabin.carries().result().value());
    }

    /**
     * A starter draws 12.7/(0.006 + 0.05 + ...) ≈ 215 A for seconds: 25 mm² carries 150 A for good
     * but 400 A for half a minute.
     */
    @Test
    void aHeldLoadMayUseTheShortTime() {
        var design =
                DesignBuilder.twelveVolts()
                        .push("S1", "start", 20)
                        .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1)))
                        .wire("B1.+", "M1.30", "25mm2", 1)
                        .stated(Unguarded.STARTER_FEED)
                        .wire("B1.+", "S1.1", "2.5mm2", 1)
                        .wire("S1.2", "M1.50", "2.5mm2", 1)
                        .build();
        var sizing = sizing(design, 2);

        assertThat(sizing.steady().value()).isLessThan(1e-6);
        assertThat(sizing.held().value()).isBetween(180.0, 225.0);
        assertThat(sizing.held().value()).isGreaterThan(sizing.carries().result().value());
        assertThat(sizing.coolEnough()).isTrue();
    }

    @Test
    void aPathFollowsTheLargerCurrentFromSourceToSource() {
        var design =
                DesignBuilder.twelveVolts()
                        .part("J1", new JoinKind.Splice())
                        .load("X1", 2)
                        .load("X2", 8)
                        .wire("B1.+", "J1.J", "4mm2", 2)
                        .wire("J1.J", "X1.+", "1mm2", 1)
                        .wire("J1.J", "X2.+", "2.5mm2", 3)
                        .build();
        var point =
                ((Outcome.Solved) new Solver(Netlist.of(design)).solve(Conditions.REST)).point();

        var feed = path(point, "w2");
        var small = path(point, "w3");

        assertThat(feed.wires()).extracting(Wire::number).containsExactly("2", "4", "1");
        assertThat(small.wires()).extracting(Wire::number).containsExactly("2", "3", "1");
        assertThat(feed.lost().value())
                .isCloseTo(
                        feed.wires().stream()
                                .mapToDouble(wire -> Math.abs(point.lostIn(wire).value()))
                                .sum(),
                        within(1e-12));
    }

    private static FlowPath path(OperatingPoint point, String wire) {
        var netlist = point.netlist();
        return FlowPath.through(point, netlist.design().wire(new WireId(wire)), new Metal(netlist));
    }

    @Test
    void aDeadWireIsItsOwnPath() {
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "x", 5)
                        .lamp("H1", 5)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.58", "1mm2", 2)
                        .build();
        var point =
                ((Outcome.Solved) new Solver(Netlist.of(design)).solve(Conditions.REST)).point();

        assertThat(path(point, "w3").wires()).extracting(Wire::number).containsExactly("3");
    }

    private static Map<WireId, Guard> guards(Design design) {
        return Guards.in(design).ofWires();
    }

    @Test
    void aGuardIsTheNearestFuseTowardsTheSource() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 30)
                        .fuse("F2", 10)
                        .onOff("S1", "x", 20)
                        .lamp("H1", 21)
                        .wire("B1.+", "F1.1", "6mm2", 0.2)
                        .wire("F1.2", "S1.1", "4mm2", 1)
                        .wire("S1.2", "F2.1", "2.5mm2", 1)
                        .wire("F2.2", "H1.58", "1mm2", 1)
                        .build();
        var guards = guards(design);

        assertThat(guards.get(new WireId("w1"))).isEqualTo(new Guard.EarthSide());
        assertThat(guards.get(new WireId("w2"))).isEqualTo(new Guard.Unguarded());
        assertThat(guards.get(new WireId("w3")).fuse().orElseThrow().seat()).hasToString("F1");
        assertThat(guards.get(new WireId("w4")).fuse().orElseThrow().seat()).hasToString("F1");
        assertThat(guards.get(new WireId("w5")).fuse().orElseThrow().seat()).hasToString("F2");
    }

    @Test
    void aWireThatTwoFusesCanFeedIsGuardedByTheLarger() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .fuse("F2", 20)
                        .part("J1", new JoinKind.Splice())
                        .lamp("H1", 21)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .wire("B1.+", "F2.1", "2.5mm2", 0.1)
                        .wire("F1.2", "J1.J", "2.5mm2", 1)
                        .wire("F2.2", "J1.J", "2.5mm2", 1)
                        .wire("J1.J", "H1.58", "2.5mm2", 1)
                        .build();

        assertThat(guards(design).get(new WireId("w6")).fuse().orElseThrow().seat())
                .hasToString("F2");
    }

    @Test
    void whatLiesBehindALoadIsNeitherGuardedNorUnguarded() {
        var design =
                DesignBuilder.twelveVolts()
                        .part("R1", new JoinKind.Resistor(new Ohms(1.5)))
                        .lamp("H1", 5)
                        .wire("B1.+", "R1.1", "1mm2", 1)
                        .wire("R1.2", "H1.58", "1mm2", 1)
                        .build();

        assertThat(
                        List.of(
                                guards(design).get(new WireId("w2")),
                                guards(design).get(new WireId("w3"))))
                .containsExactly(new Guard.Unguarded(), new Guard.BehindLoad());
    }

    @Test
    void withThePositivePoleEarthedTheNegativeOneIsLive() {
        var design =
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .lamp("H1", 5)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .wire("B1.-", "H1.58", "1mm2", 1)
                        .build();

        assertThat(guards(design).get(new WireId("w1"))).isEqualTo(new Guard.EarthSide());
        assertThat(guards(design).get(new WireId("w2"))).isEqualTo(new Guard.Unguarded());
    }

    /** A relay that buzzes whatever is done leaves the size of no wire unknown. */
    @Test
    void aBuzzingRelayStopsNoSize() {
        var buzzing =
                DesignBuilder.twelveVolts()
                        .part(
                                "K1",
                                new ControlKind.Relay(
                                        new Volts(12),
                                        new Ohms(85),
                                        new Ratio(0.6),
                                        new Ratio(0.2),
                                        new Amps(30),
                                        Optional.of(new Amps(20))))
                        .load("X1", 8)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87a", "K1.86", "1mm2", 0.2)
                        .wire("K1.85", "E1.E", "1mm2", 0.5)
                        .wire("K1.87", "X1.+", "1mm2", 1)
                        .build();

        var assessment = Assessment.of(buzzing);

        assertThat(assessment.worst().troubles()).isNotEmpty();
        assertThat(assessment.sizings()).hasSameSizeAs(buzzing.wires());
        assertThat(assessment.sizing(buzzing.wires().getLast().id()).orElseThrow().steady().value())
                .isCloseTo(8, within(0.5));
    }

    /** What hangs free of the body is a source all the same. */
    @Test
    void aBatteryThatNothingEarthsGivesWhatItGives() {
        var free =
                new DesignBuilder(12)
                        .part("B1", new SourceKind.Battery(new Volts(12), new Ohms(0.006)))
                        .part(
                                "X1",
                                new LoadKind.Load(new Demand.InAmps(new Amps(10)), new Volts(12)))
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .wire("X1.31", "B1.-", "2.5mm2", 1)
                        .build();
        var outcome = new Solver(Netlist.of(free)).solve(Conditions.REST);

        var supply = Supply.of(((Outcome.Solved) outcome).point());

        assertThat(supply.drawn().value()).isBetween(9.5, 11.0);
        assertThat(supply.volts().orElseThrow().value()).isBetween(12.0, 12.9);
    }

    /** Two batteries side by side share what is drawn. */
    @Test
    void batteriesInParallelAddUp() {
        var battery = new SourceKind.Battery(new Volts(12), new Ohms(0.006));
        var twins =
                new DesignBuilder(12)
                        .part("B1", battery)
                        .part("B2", battery)
                        .earth("E1")
                        .load("X1", 10)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B2.-", "E1.E", "25mm2", 0.3)
                        .wire("B1.+", "B2.+", "25mm2", 0.3)
                        .wire("B2.+", "X1.+", "2.5mm2", 1)
                        .build();
        var outcome = new Solver(Netlist.of(twins)).solve(Conditions.REST);

        var supply = Supply.of(((Outcome.Solved) outcome).point());

        assertThat(supply.drawn().value()).isBetween(9.5, 11.0);
    }

    /** Two batteries of 6 V in series carry one current, and give 12 V. */
    @Test
    void batteriesInSeriesGiveOneCurrent() {
        var six = new SourceKind.Battery(new Volts(6), new Ohms(0.004));
        var series =
                new DesignBuilder(12)
                        .part("B1", six)
                        .part("B2", six)
                        .earth("E1")
                        .load("X1", 10)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B1.+", "B2.-", "25mm2", 0.3)
                        .wire("B2.+", "X1.+", "2.5mm2", 1)
                        .build();
        var outcome = new Solver(Netlist.of(series)).solve(Conditions.REST);

        var supply = Supply.of(((Outcome.Solved) outcome).point());

        assertThat(supply.drawn().value()).isBetween(9.5, 11.0);
        assertThat(supply.volts().orElseThrow().value()).isBetween(12.0, 12.9);
    }

    private static Design with(Design design, int wire, Conductor conductor) {
        return new WireEdit.Resize(new WireId("w" + wire), conductor.size()).apply(design);
    }

    /**
     * What a thin wire no longer loses, once it is thick, drives more through the load: the size
     * that is named does once it is there, and two sizes thinner would not.
     */
    @ParameterizedTest
    @CsvSource({
        "0.5mm2, 0.3, 12",
        "0.5mm2, 1, 12",
        "0.5mm2, 3, 12",
        "0.5mm2, 6, 12",
        "0.5mm2, 12, 12",
        "0.5mm2, 12, 6",
        "1mm2, 3, 6",
        "1mm2, 8, 24",
        "25mm2, 1, 12",
        "25mm2, 6, 24"
    })
    void theSizeThatIsNamedDoesOnceItIsThere(String size, double metres, double system) {
        for (double amps = 2; amps < 40; amps *= 1.21) {
            var design =
                    new DesignBuilder(system)
                            .battery(0.006)
                            .wire("B1.-", "E1.E", "25mm2", 0.3)
                            .load("X1", amps)
                            .wire("B1.+", "X1.+", size, metres)
                            .build();
            var needed = sizing(design, 2).needed().orElseThrow();
            var sold = Conductors.of(needed.size().standard());
            var named = sizing(with(design, 2, needed), 2);

            assertThat(named.coolEnough() && named.losesLittle()).as("%s A", amps).isTrue();
            int thinner = sold.indexOf(needed) - 2;
            if (thinner >= 0 && sold.get(thinner).copper().value() >= 0.5) {
                var thin = sizing(with(design, 2, sold.get(thinner)), 2);
                assertThat(thin.coolEnough() && thin.losesLittle()).as("%s A", amps).isFalse();
            }
        }
    }

    /** The same of what a hand holds, which may be warm for a short time only. */
    @ParameterizedTest
    @CsvSource({"0.5mm2, 0.3", "0.5mm2, 2", "0.5mm2, 6", "25mm2, 2"})
    void theSizeThatIsNamedHoldsWhatAHandHolds(String size, double metres) {
        for (double amps = 4; amps < 60; amps *= 1.3) {
            var design =
                    DesignBuilder.twelveVolts()
                            .push("S1", "horn", 60)
                            .load("X1", amps)
                            .wire("B1.+", "S1.1", "25mm2", 0.3)
                            .wire("S1.2", "X1.+", size, metres)
                            .build();
            var before = sizing(design, 3);
            var named = sizing(with(design, 3, before.needed().orElseThrow()), 3);

            assertThat(before.held().value()).isGreaterThan(before.steady().value());
            assertThat(named.coolEnough() && named.losesLittle()).as("%s A", amps).isTrue();
        }
    }

    private static Working.Origin origin(WireSizing sizing, String given) {
        return sizing.drop().givens().stream()
                .filter(each -> each.symbol().equals(given))
                .map(Working.Given::origin)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLengthThatIsAssumedIsSaidToBe() {
        var measured = fed("2.5mm2", 5, 10).build();
        var assumed =
                measured.withWires(
                        measured.wires().stream()
                                .map(wire ->
                                        wire.withLaid(
                                                new Laid.Stated(
                                                        new RunLength.Assumed(new Metres(5)),
                                                        Zone.CABIN)))
                                .toList());

        assertThat(origin(sizing(measured, 2), "L")).isEqualTo(Working.Origin.MEASURED);
        assertThat(origin(sizing(assumed, 2), "L")).isEqualTo(Working.Origin.ASSUMED);
        assertThat(origin(sizing(measured, 2), "limit")).isEqualTo(Working.Origin.HOUSE_RULE);
    }

    /** r(T) = r(20) · (1 + 0.00393 · (T − 20)), and T never past what the cover stands. */
    @Test
    void theDropIsThatOfTheWarmWire() {
        var warm = sizing(fed("1mm2", 2, 10).build(), 2).drop();
        var burning = sizing(fed("0.5mm2", 0.5, 40).build(), 2).drop();

        assertThat(given(warm, "T")).isBetween(60.0, 90.0);
        assertThat(given(burning, "T")).isEqualTo(105);
        for (var drop : List.of(warm, burning)) {
            double cold = drop == warm ? 0.0185 : 0.0371;
            double perMetre = cold * (1 + 0.00393 * (given(drop, "T") - 20));
            assertThat(drop.steps().getFirst().value().value()).isCloseTo(perMetre, within(1e-5));
            assertThat(drop.result().value())
                    .isCloseTo(given(drop, "I") * perMetre * given(drop, "L"), within(1e-3));
        }
    }

    private static double given(Working working, String symbol) {
        return working.givens().stream()
                .filter(each -> each.symbol().equals(symbol))
                .mapToDouble(each -> each.value().value())
                .findFirst()
                .orElseThrow();
    }
}
