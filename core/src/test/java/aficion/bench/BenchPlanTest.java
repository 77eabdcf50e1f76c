package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.quantity.Unit;
import aficion.quantity.Volts;
import aficion.solve.Solver;
import java.util.List;
import org.junit.jupiter.api.Test;

class BenchPlanTest {
    private static final CircuitId CIRCUIT = new CircuitId("1");

    private final Design design =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .onOff("S1", "lights", 10)
                    .lamp("H1", 21)
                    .wire("B1.+", "F1.1", "1mm2", 0.2)
                    .wire("F1.2", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 2)
                    .build();
    private final BenchPlan plan = BenchPlan.of(new Solver(Netlist.of(design)), CIRCUIT);

    @Test
    void theRunIsWorkedInTheOrderOfTheTrade() {
        var stages = plan.steps().stream().map(step -> step.stage()).toList();

        assertThat(stages)
                .isSorted()
                .contains(
                        TestStep.Stage.LOOK,
                        TestStep.Stage.CONTINUITY,
                        TestStep.Stage.ISOLATION,
                        TestStep.Stage.QUIET,
                        TestStep.Stage.STATES);
        assertThat(plan.steps()).extracting(TestStep::key).doesNotHaveDuplicates();
    }

    /** 2 m of 1 mm² and two crimps are 38 mΩ, and leads and probes may add 0.3 Ω. */
    @Test
    void continuityAllowsForTheProbes() {
        var step = plan.find("ohms w4").orElseThrow();

        assertThat(step.expected())
                .contains(new Expected.AtMost(new Ohms(2 * 0.0185 + 0.001 + 0.3)));
    }

    @Test
    void everyLiveNetIsIsolatedOnceAndTheEarthSideIsNot() {
        assertThat(
                        plan.steps().stream()
                                .filter(step -> step.stage() == TestStep.Stage.ISOLATION)
                                .map(TestStep::key))
                .containsExactly("isolation B1.+", "isolation F1.2", "isolation S1.2");
    }

    @Test
    void withEverythingOffNothingMayFlow() {
        var quiet = plan.find("quiet").orElseThrow();

        assertThat(quiet.expected().orElseThrow().judge(0)).isEqualTo(Verdict.PASS);
        assertThat(quiet.expected().orElseThrow().judge(0.5)).isEqualTo(Verdict.FAIL);
        assertThat(quiet.task().state()).isPresent();
    }

    /** 21 W of 13.5 V at about 12.5 V: 1.5556 · (12.5/13.5)^0.55 = 1.49 A. */
    @Test
    void everyPositionSaysWhatTheMeterShouldShow() {
        var amps =
                plan.steps().stream()
                        .filter(step -> step.task() instanceof TestStep.AmpsIn)
                        .toList();
        var volts = plan.find("volts H1.58 lights=on").orElseThrow();

        assertThat(amps).hasSize(2);
        var on = (Expected.Near) amps.getLast().expected().orElseThrow();
        assertThat(on.value().value()).isCloseTo(1.49, within(0.02));
        assertThat(on.unit()).isEqualTo(Unit.AMPERE);
        assertThat(((Expected.Near) volts.expected().orElseThrow()).value().value())
                .isBetween(12.3, 12.7);
    }

    @Test
    void aCircuitWithoutWiresHasNothingToTest() {
        assertThat(
                        BenchPlan.of(new Solver(Netlist.of(new DesignBuilder(12).build())), CIRCUIT)
                                .steps())
                .isEmpty();
    }

    @Test
    void readingsPassAreNearOrFail() {
        var near = new Expected.Near(new Volts(12), 0.3);
        var least = new Expected.AtLeast(new Ohms(1e6));
        var most = new Expected.AtMost(new Ohms(0.3));

        assertThat(List.of(near.judge(12.3), near.judge(11.5), near.judge(11.3)))
                .containsExactly(Verdict.PASS, Verdict.NEAR, Verdict.FAIL);
        assertThat(List.of(least.judge(1e9), least.judge(6e5), least.judge(100)))
                .containsExactly(Verdict.PASS, Verdict.NEAR, Verdict.FAIL);
        assertThat(List.of(most.judge(0.1), most.judge(0.5), most.judge(0.7)))
                .containsExactly(Verdict.PASS, Verdict.NEAR, Verdict.FAIL);
    }

    /** 1.2 A that a clock and its like draw all day are what the design draws. */
    @Test
    void whatTheDesignDrawsAtRestIsExpected() {
        var clock =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .load("X1", 1.2)
                        .wire("B1.+", "F1.1", "1mm2", 0.2)
                        .wire("F1.2", "X1.+", "1mm2", 1)
                        .build();
        var quiet =
                BenchPlan.of(new Solver(Netlist.of(clock)), CIRCUIT)
                        .find("quiet")
                        .flatMap(TestStep::expected)
                        .orElseThrow();

        assertThat(quiet.judge(1.25)).isEqualTo(Verdict.PASS);
        assertThat(quiet.judge(0)).isEqualTo(Verdict.FAIL);
    }
}
