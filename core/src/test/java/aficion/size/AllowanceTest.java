package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.solve.Solver;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a way may lose, in its wires and in all. */
class AllowanceTest {
    private static FlowPath path(Design design, Conditions conditions, String wire) {
        var netlist = Netlist.of(design);
        var point = new Solver(netlist).demand(conditions).settled().orElseThrow();
        return FlowPath.through(point, design.wire(new WireId(wire)), new Metal(netlist));
    }

    private static Allowance allowance(Design design, String wire) {
        return Allowance.of(
                design,
                design.wire(new WireId(wire)),
                path(design, Conditions.REST.with("start", "on"), wire));
    }

    private static DesignBuilder cranking(double system) {
        return new DesignBuilder(system)
                .battery(0.006)
                .push("S1", "start", 20)
                .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1)))
                .wire("B1.-", "E1.E", "25mm2", 0.3)
                .wire("B1.+", "M1.30", "25mm2", 1)
                .wire("B1.+", "S1.1", "2.5mm2", 1)
                .wire("S1.2", "M1.50", "2.5mm2", 1);
    }

    /** Half a volt of twelve while a starter turns, and in proportion. */
    @ParameterizedTest
    @CsvSource({"6, 0.25", "12, 0.5", "24, 1"})
    void aStartersCableMayLoseHalfAVoltOfTwelve(double system, double volts) {
        var allowance = allowance(cranking(system).build(), "w2");

        assertThat(allowance.wires()).isCloseTo(volts, within(1e-12));
        assertThat(allowance.total()).isCloseTo(volts, within(1e-12));
    }

    private static DesignBuilder fed(double system) {
        return new DesignBuilder(system)
                .battery(0.006)
                .fuse("F1", 20)
                .load("X1", 10)
                .wire("B1.-", "E1.E", "25mm2", 0.3)
                .wire("B1.+", "F1.1", "2.5mm2", 0.3)
                .wire("F1.2", "X1.+", "2.5mm2", 1);
    }

    /** A tenth in an ordinary circuit, less what its joints take; half a volt of 12 in all. */
    @ParameterizedTest
    @CsvSource({"6", "12", "24"})
    void theHouseSaysWhatAWayMayLose(double system) {
        var design = fed(system).build();
        var joints = path(design, Conditions.REST, "w3").joints().value();
        var ordinary = allowance(design, "w3");
        var strict = allowance(fed(system).strict().build(), "w3");

        assertThat(joints).isBetween(0.01, 0.2);
        assertThat(ordinary.total()).isCloseTo(0.1 * system, within(1e-12));
        assertThat(ordinary.wires()).isCloseTo(0.1 * system - joints, within(1e-12));
        assertThat(strict.total()).isCloseTo(0.5 / 12 * system, within(1e-12));
        assertThat(strict.wires())
                .isCloseTo(Math.min(0.03 * system, 0.5 / 12 * system - joints), within(1e-12));
    }

    /** What is lost in wires is held to their share, what is lost in all to the whole. */
    @ParameterizedTest
    @CsvSource({"10, 10, true", "0.001, 10, false", "10, 0.001, false"})
    void bothAreKept(double wires, double total, boolean kept) {
        var path = path(fed(12).build(), Conditions.REST, "w3");

        assertThat(new Allowance(wires, total).kept(path)).isEqualTo(kept);
        assertThat(new Allowance(path.lost().value(), 10).kept(path)).isTrue();
        double all = path.lost().value() + path.joints().value();
        assertThat(new Allowance(10, all).kept(path)).isTrue();
        assertThat(new Allowance(10, all - 1e-6).kept(path)).isFalse();
    }
}
