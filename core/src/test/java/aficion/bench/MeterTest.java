package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.UserUnits;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import org.junit.jupiter.api.Test;

class MeterTest {
    private static final Conditions ON = Conditions.REST.with("lights", "on");

    private final Design design =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .onOff("S1", "lights", 10)
                    .lamp("H1", 21)
                    .part("R1", new JoinKind.Resistor(new Ohms(47)))
                    .part("V1", new JoinKind.Diode(new Amps(6)))
                    .part("J1", new JoinKind.Splice())
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 3)
                    .wire("R1.2", "V1.A", "1mm2", 1)
                    .build();

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    private double ohms(Conditions conditions, String red, String black) {
        return Meter.ohms(design, conditions, at(red), at(black))
                .map(Ohms::value)
                .orElse(UserUnits.OVER_RANGE_OHMS);
    }

    @Test
    void voltsAreOfTheRedProbeAboveTheBlackOne() {
        var point = ((Outcome.Solved) new Solver(Netlist.of(design)).solve(ON)).point();

        assertThat(Meter.volts(point, at("S1.2"), at("E1.E")).orElseThrow().value())
                .isBetween(12.3, 12.7);
        assertThat(Meter.volts(point, at("E1.E"), at("S1.2")).orElseThrow().value()).isNegative();
        assertThat(Meter.volts(point, at("R1.1"), at("E1.E"))).isEmpty();
    }

    /** 1 m of 1 mm² is 18.5 mΩ at most (ISO 6722-1), and two crimps of 0.5 mΩ. */
    @Test
    void ohmsAreOfWireAndJoints() {
        assertThat(ohms(Conditions.REST, "F1.2", "S1.1")).isCloseTo(0.0195, within(0.003));
        assertThat(ohms(Conditions.REST, "S1.1", "S1.1")).isZero();
    }

    @Test
    void aResistorThatHangsFreeIsMeasuredAsWell() {
        assertThat(ohms(Conditions.REST, "R1.1", "R1.2")).isCloseTo(47, within(0.2));
    }

    /** A meter's 0.2 V barely open a diode; a switch that is off passes nothing. */
    @Test
    void whatDoesNotPassIsOverTheRange() {
        assertThat(ohms(Conditions.REST, "V1.A", "V1.K")).isGreaterThan(1e5);
        assertThat(ohms(Conditions.REST, "S1.1", "S1.2")).isGreaterThan(1e6);
        assertThat(ohms(ON, "S1.1", "S1.2")).isLessThan(0.1);
    }

    /** 21 W at 13.5 V are 8.7 Ω hot, and about a tenth of that cold. */
    @Test
    void aLampIsMeasuredCold() {
        assertThat(ohms(Conditions.REST, "H1.58", "E1.E")).isBetween(0.5, 1.3);
    }

    @Test
    void aTestLampLightsWhereThereIsVoltageAndLoadsIt() {
        var lit = Meter.lamp(design, ON, at("S1.2"), at("E1.E")).orElseThrow();
        var dark = Meter.lamp(design, Conditions.REST, at("S1.2"), at("E1.E")).orElseThrow();

        assertThat(lit.light().value()).isBetween(0.6, 1.0);
        // 5 W at 13.5 V is 0.37 A; it follows the volts to the power 0.55.
        assertThat(lit.draws().value()).isCloseTo(0.36, within(0.02));
        assertThat(dark.light().value()).isLessThan(0.01);
    }

    /** A job that has parts but no circuit yet is measured as well. */
    @Test
    void partsWithoutACircuitAreMeasured() {
        var loose = design.withWires(List.of()).withCircuits(List.of());

        assertThat(Meter.ohms(loose, Conditions.REST, at("R1.1"), at("R1.2")).orElseThrow().value())
                .isCloseTo(47, within(0.1));
        assertThat(
                        Meter.lamp(loose, Conditions.REST, at("B1.+"), at("B1.-"))
                                .orElseThrow()
                                .light()
                                .value())
                .isGreaterThan(0.7);
    }
}
