package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.WarningLamps.Proof;
import aficion.bench.reason.Sign.Look;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Watts;
import aficion.solve.Solver;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * A small car with warning lamps besides: H5 oil pressure, H6 brake fluid, H7 main beam, H8 across
 * the live pole, and H9 behind a switch and the fluid together.
 */
class WarningLampsTest {
    private static final Conditions RUNNING =
            Conditions.REST.with("key", "run").withEngine(new Rpm(3000));

    private static DesignBuilder warning(DesignBuilder builder, String id) {
        return builder.part(id, new LoadKind.WarningLamp(new Watts(2), SmallCar.TWELVE));
    }

    private static ControlKind.LevelSwitch felt(String level, boolean opens) {
        return new ControlKind.LevelSwitch(level, new Ratio(0.5), opens, new Amps(1));
    }

    private static WarningLamps table() {
        var builder = SmallCar.builder();
        for (var id : new String[] {"H5", "H6", "H7", "H8", "H9"}) {
            warning(builder, id);
        }
        builder.part("S6", felt("oil", true))
                .part("S7", felt("fluid", false))
                .onOff("S8", "test", 5)
                .wire("F1.2", "H5.1", "1mm2", 1)
                .wire("H5.2", "S6.1", "1mm2", 1)
                .wire("S6.31", "E1.E", "1mm2", 1)
                .wire("F1.2", "H6.1", "1mm2", 1)
                .wire("H6.2", "S7.1", "1mm2", 1)
                .wire("S7.31", "E1.E", "1mm2", 1)
                .wire("S2.2", "H7.1", "1mm2", 1)
                .wire("H7.2", "E1.E", "1mm2", 1)
                .wire("M1.30", "H8.1", "1mm2", 1)
                .wire("H8.2", "E1.E", "1mm2", 1)
                .wire("F1.2", "S8.1", "1mm2", 1)
                .wire("S8.2", "H9.1", "1mm2", 1)
                .wire("H9.2", "S7.1", "1mm2", 1);
        return WarningLamps.of(
                new Solver(Netlist.of(builder.build())), RUNNING.withLevel("oil", 1));
    }

    private static String row(WarningLamps table, String lamp) {
        return table.rows().get(new PartId(lamp)).stream()
                .map(look -> look == Look.DARK ? "-" : "x")
                .collect(Collectors.joining());
    }

    /** Key off, key on, running, and then what makes one more of them light. */
    @Test
    void everyLampIsLitSomewhere() {
        var table = table();

        assertThat(table.rows().keySet())
                .extracting(PartId::value)
                .containsExactly("H1", "H5", "H6", "H7", "H8", "H9");
        assertThat(table.states().getFirst()).isEqualTo(Conditions.REST);
        assertThat(table.states().get(1))
                .isEqualTo(RUNNING.withLevel("oil", 1).withEngine(new Rpm(0)));
        assertThat(table.states().get(2)).isEqualTo(RUNNING.withLevel("oil", 1));
        assertThat(row(table, "H1")).startsWith("-x-");
        assertThat(row(table, "H8")).doesNotContain("-");
        for (var lamp : table.rows().keySet()) {
            assertThat(row(table, lamp.value())).as(lamp.value()).contains("x");
        }
    }

    /** Which prove themselves with the key, and which only light for their fault. */
    @Test
    void howEachProvesItself() {
        var table = table();

        assertThat(table.proof(new PartId("H1"))).isEqualTo(Proof.WITH_KEY);
        assertThat(table.proof(new PartId("H5"))).isEqualTo(Proof.FAULT_ONLY);
        assertThat(table.proof(new PartId("H6"))).isEqualTo(Proof.FAULT_ONLY);
        assertThat(table.proof(new PartId("H7"))).isEqualTo(Proof.SWITCHED);
        assertThat(table.proof(new PartId("H8"))).isEqualTo(Proof.ALWAYS);
        assertThat(table.proof(new PartId("H9"))).isEqualTo(Proof.FAULT_ONLY);
    }

    /** Each state is there once, and each but the first three changes something. */
    @Test
    void whatChangesNothingIsLeftOut() {
        var table = table();

        assertThat(table.states()).doesNotHaveDuplicates();
        for (int i = 3; i < table.states().size(); i++) {
            int at = i;
            assertThat(table.rows().values())
                    .as(table.states().get(i).toString())
                    .anyMatch(looks -> looks.get(at) != looks.get(2));
        }
        assertThat(table.states())
                .noneMatch(state -> "on".equals(state.positions().get("horn")))
                .anyMatch(state -> state.levels().getOrDefault("fluid", 0.0) > 0.5)
                .anyMatch(state -> "on".equals(state.positions().get("light")));
    }
}
