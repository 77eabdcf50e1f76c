package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.DesignBuilder;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.solve.Solver;
import org.junit.jupiter.api.Test;

/** What sources give and batteries take, kind by kind. */
class SupplyTest {
    private static final SourceKind FLYWHEEL =
            new SourceKind.Flywheel(
                    SourceKind.Flywheel.Winding.SINGLE, new Amps(18), new Rpm(1500));

    private static SourceKind rectifier(SourceKind.RegulatorRectifier.Bridge bridge) {
        return new SourceKind.RegulatorRectifier(bridge, new Volts(14.4));
    }

    private static Supply supply(DesignBuilder design, double rpm) {
        var conditions = Conditions.REST.withEngine(new Rpm(rpm));
        return Supply.of(
                new Solver(Netlist.of(design.build())).solve(conditions).settled().orElseThrow());
    }

    /** 10 A at 12 V are 1.2 Ω: at 14 V some 11.7 A and a field of 2.3, all from what charges. */
    private static void charges(DesignBuilder design) {
        var running = supply(design, 3000);
        var still = supply(design, 0);

        assertThat(running.generated().value()).isGreaterThan(11);
        assertThat(running.battery().value()).isLessThan(0);
        assertThat(running.drawn().value())
                .isCloseTo(running.generated().value() + running.battery().value(), within(1e-9))
                .isBetween(11.0, 14.5);
        assertThat(running.volts().orElseThrow().value()).isGreaterThan(13);
        assertThat(still.generated().value()).isCloseTo(0, within(1e-3));
        assertThat(still.battery().value()).isBetween(10.0, 11.0);
        assertThat(still.drawn().value()).isCloseTo(still.battery().value(), within(1e-3));
    }

    private static DesignBuilder loaded() {
        return DesignBuilder.twelveVolts().load("X1", 10).wire("B1.+", "X1.+", "2.5mm2", 1);
    }

    @Test
    void anAlternatorCharges() {
        charges(loaded().alternator("G1", 45).wire("G1.B+", "B1.+", "10mm2", 1));
    }

    @Test
    void aDynamoChargesThroughItsBox() {
        charges(loaded().dynamo("B1.+"));
    }

    /** What its bridge gives less what its regulator takes is what comes out. */
    @Test
    void aFlywheelChargesThroughItsBridge() {
        charges(
                loaded().part("G1", FLYWHEEL)
                        .part("N1", rectifier(SourceKind.RegulatorRectifier.Bridge.FULL_WAVE))
                        .wire("G1.G1", "N1.G1", "2.5mm2", 0.5)
                        .wire("G1.G2", "N1.G2", "2.5mm2", 0.5)
                        .wire("N1.B-", "E1.E", "2.5mm2", 0.5)
                        .wire("N1.B+", "B1.+", "2.5mm2", 0.5));
    }

    /** Half a wave is counted where its one diode stands, on the side of the live pole. */
    @Test
    void halfAWaveIsCountedWithThePositivePoleAtEarth() {
        var design =
                new DesignBuilder(12)
                        .positiveEarth()
                        .battery(0.006)
                        .wire("B1.+", "E1.E", "25mm2", 0.3)
                        .part("G1", FLYWHEEL)
                        .part("N1", rectifier(SourceKind.RegulatorRectifier.Bridge.HALF_WAVE))
                        .wire("G1.G1", "N1.G1", "2.5mm2", 0.5)
                        .wire("G1.G2", "E1.E", "2.5mm2", 0.5)
                        .wire("N1.B+", "E1.E", "2.5mm2", 0.5)
                        .wire("N1.B-", "B1.-", "2.5mm2", 0.5);
        var supply = supply(design, 3000);

        assertThat(supply.battery().value()).isLessThan(-1);
        assertThat(supply.generated().value()).isCloseTo(-supply.battery().value(), within(0.01));
    }

    /** A lighting coil feeds its lamp past the battery, and is counted all the same. */
    @Test
    void aLightingCoilIsCounted() {
        var lit =
                DesignBuilder.twelveVolts()
                        .mounted(
                                "G1",
                                "E1",
                                new SourceKind.Flywheel(
                                        SourceKind.Flywheel.Winding.LIGHTING,
                                        new Amps(3),
                                        new Rpm(3000)))
                        .lamp("H1", 35)
                        .wire("G1.L", "H1.58", "1mm2", 1);
        var supply = supply(lit, 3000);

        assertThat(supply.generated().value()).isBetween(2.0, 3.01);
        assertThat(supply.battery().value()).isCloseTo(0, within(1e-6));
    }

    /** A bench supply stands for a battery; with no battery there are no volts to tell. */
    @Test
    void aBenchSupplyIsABatteryAndNothingIsNone() {
        var bench =
                new DesignBuilder(12)
                        .part("B1", new SourceKind.BenchSupply(new Volts(12.6), new Amps(20)))
                        .earth("E1")
                        .load("X1", 10)
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .wire("B1.-", "E1.E", "2.5mm2", 1);
        var supply = supply(bench, 0);

        assertThat(supply.drawn().value()).isBetween(9.5, 10.6);
        assertThat(supply.volts().orElseThrow().value()).isCloseTo(12.6, within(0.1));
        assertThat(supply(new DesignBuilder(12).earth("E1").load("X1", 10), 0).volts()).isEmpty();
    }
}
