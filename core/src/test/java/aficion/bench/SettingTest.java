package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.TestStep.Stage;
import aficion.bench.reason.FaultTable;
import aficion.catalogue.WireSize;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Setting;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A lamp of 55 W and a motor of 8 A behind one fuse, and an alternator on the battery. */
class SettingTest {
    private static final Volts TWELVE = new Volts(12);

    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .part(
                            "G1",
                            new SourceKind.Alternator(
                                    new Volts(14.2),
                                    new Amps(45),
                                    new Ohms(4),
                                    new Ratio(2.5),
                                    Optional.of(SourceKind.Alternator.Style.ONE_WIRE)))
                    .fuse("F1", 20)
                    .onOff("S1", "light", 20)
                    .onOff("S2", "fan", 20)
                    .lamp("H1", 55)
                    .part("M1", new LoadKind.Motor(new Amps(8), TWELVE))
                    .wire("G1.B+", "B1.+", "10mm2", 1)
                    .wire("G1.31", "E1.E", "10mm2", 0.2)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "S1.1", "2.5mm2", 1)
                    .wire("S1.2", "H1.58", "2.5mm2", 1)
                    .wire("F1.2", "S2.1", "2.5mm2", 1)
                    .wire("S2.2", "M1.+", "2.5mm2", 1)
                    .wire("M1.31", "E1.E", "2.5mm2", 1)
                    .build();

    private static final CircuitId CIRCUIT = DESIGN.circuits().getFirst().id();

    private static BenchPlan plan(Setting setting) {
        var there = BenchPlan.tested(setting, DESIGN, CIRCUIT);
        return BenchPlan.of(setting, FaultTable.of(Netlist.of(there), CIRCUIT), CIRCUIT);
    }

    private static List<TestStep.Works> worked(BenchPlan plan) {
        return plan.steps().stream()
                .map(TestStep::task)
                .filter(TestStep.Works.class::isInstance)
                .map(TestStep.Works.class::cast)
                .toList();
    }

    private static Optional<Expected> expected(BenchPlan plan, Stage stage, String where) {
        return plan.steps().stream()
                .filter(step -> step.stage() == stage && step.key().startsWith(where))
                .findFirst()
                .flatMap(TestStep::expected);
    }

    /** The functions are worked one by one, each with all that works in it. */
    @Test
    void everyFunctionIsWorkedAsADriverWorksIt() {
        var works = worked(plan(Setting.BENCH));

        assertThat(works)
                .extracting(each -> String.valueOf(new TreeMap<>(each.conditions().positions())))
                .startsWith("{fan=off, light=on}", "{fan=on, light=off}");
        assertThat(works.getFirst().signs())
                .extracting(sign -> sign.part() + " " + sign.look())
                .containsExactlyInAnyOrder("H1 BURNS", "M1 STILL");
        assertThat(works.get(1).signs())
                .extracting(sign -> sign.part() + " " + sign.look())
                .containsExactlyInAnyOrder("H1 DARK", "M1 WORKS");
    }

    /** A motor of 96 W and a lamp of 55 W have a lamp of 21 W each in their place. */
    @Test
    void standInsAreSmallerAndWhatIsExpectedFollows() {
        var lamps = StandIns.of(DESIGN, CIRCUIT).list();
        var own = plan(Setting.BENCH);
        var plan = plan(Setting.STAND_INS);

        assertThat(lamps)
                .extracting(each -> each.part() + "." + each.pin() + " " + each.lamp())
                .containsExactlyInAnyOrder("H1.58 " + new Watts(21), "M1.+ " + new Watts(21));
        assertThat(plan.steps()).extracting(TestStep::task).contains(new TestStep.ClipIn(lamps));
        assertThat(plan.coverage().orElseThrow().drawn().value())
                .isLessThan(0.5 * own.coverage().orElseThrow().drawn().value());
    }

    /** 12.5 to 12.7 V at rest, 13.8 to 14.6 charging, 13.2 with all on; 50 mA at a stand. */
    @Test
    void onTheVehicleTheBatteryIsReadByTheTradesFigures() {
        var still = plan(Setting.STILL);
        var running = plan(Setting.RUNNING);

        assertThat(expected(still, Stage.BATTERY, "volts B1.+"))
                .contains(new Expected.Between(new Volts(12.5), new Volts(12.7)));
        assertThat(expected(running, Stage.RUNNING, "volts B1.+"))
                .contains(new Expected.Between(new Volts(13.8), new Volts(14.6)));
        assertThat(running.steps())
                .extracting(TestStep::expected)
                .contains(Optional.of(new Expected.Between(new Volts(13.2), new Volts(14.6))));
        assertThat(running.steps())
                .filteredOn(step -> step.task() instanceof TestStep.Check)
                .extracting(step -> ((TestStep.Check) step.task()).topic())
                .contains(TestStep.Topic.TURNING, TestStep.Topic.RATIO, TestStep.Topic.WARMTH);
        assertThat(running.steps()).extracting(TestStep::stage).isSorted();
    }

    /** Key off nothing, on battery volts, running, and that it works. */
    @Test
    void aChangedCircuitIsProvedInFewSteps() {
        var proof = plan(Setting.PROOF);

        assertThat(proof.steps()).hasSizeBetween(4, 7);
        assertThat(proof.steps().getFirst().task()).isInstanceOf(TestStep.Quiet.class);
        assertThat(worked(proof)).hasSize(2);
    }

    /** 9.6 V while cranking, 4.8 V of a vehicle of 6 V. */
    @Test
    void readingsBetweenTwoFiguresAreJudgedByBoth() {
        var band = new Expected.Between(new Volts(12.5), new Volts(12.7));

        assertThat(band.judge(12.5)).isEqualTo(Verdict.PASS);
        assertThat(band.judge(12.45)).isEqualTo(Verdict.NEAR);
        assertThat(band.judge(12.75)).isEqualTo(Verdict.NEAR);
        assertThat(band.judge(12.1)).isEqualTo(Verdict.FAIL);
        assertThat(band.judge(14.2)).isEqualTo(Verdict.FAIL);
        var wide = new Expected.Between(new Volts(9.6), new Volts(12.7));
        assertThat(wide.judge(9.5)).isEqualTo(Verdict.NEAR);
        assertThat(wide.judge(8.5)).isEqualTo(Verdict.FAIL);
        var below = new Expected.Between(new Volts(-12.7), new Volts(-9.6));
        assertThat(below.judge(-9.5)).isEqualTo(Verdict.NEAR);
        assertThat(below.judge(-8.5)).isEqualTo(Verdict.FAIL);
    }

    /** What was read of a lead that is another since is stale; what it does not touch is not. */
    @Test
    void whatWasReadBeforeAChangeIsStaleWhereTheChangeCounts() {
        var plan = plan(Setting.BENCH);
        var other =
                new WireEdit.Resize(new WireId("w6"), WireSize.parse("1mm2").orElseThrow())
                        .apply(DESIGN);
        var now = BenchPlan.of(Setting.BENCH, FaultTable.of(Netlist.of(other), CIRCUIT), CIRCUIT);

        assertThat(stale(plan, plan, DESIGN)).isEmpty();
        assertThat(stale(plan, now, other))
                .contains("look at H1", "look at S1")
                .doesNotContain("look at M1", "look at F1", "isolation S2.2");
    }

    /** The steps of a plan whose readings of an earlier one are stale. */
    private static List<String> stale(BenchPlan then, BenchPlan now, Design design) {
        var taken =
                then.steps().stream()
                        .map(step ->
                                new BenchRun.Reading(
                                        step.key(),
                                        Optional.empty(),
                                        Optional.of(Against.of(DESIGN, step)),
                                        Verdict.PASS,
                                        Instant.EPOCH,
                                        Optional.empty()))
                        .reduce(
                                BenchRun.begun(
                                        CIRCUIT, Setting.BENCH, Optional.empty(), Instant.EPOCH),
                                BenchRun::with,
                                (one, _) -> one);
        return now.steps().stream()
                .filter(step ->
                        taken.reading(step.key())
                                .filter(reading -> Against.isStale(design, step, reading))
                                .isPresent())
                .map(TestStep::key)
                .toList();
    }

    /** A pedal switch that is fed without the key is unplugged before the battery is left. */
    @Test
    void whatWouldFlattenTheBatteryIsUnpluggedAtTheEnd() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .part("S1", DesignBuilder.pedal())
                        .lamp("H1", 21)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .wire("F1.2", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.58", "1mm2", 1)
                        .build();
        var table = FaultTable.of(Netlist.of(design), CIRCUIT);

        assertThat(BenchPlan.telling(table, CIRCUIT).steps().getLast().task())
                .isEqualTo(new TestStep.Leave(List.of(new PartId("S1"))));
        assertThat(plan(Setting.BENCH).steps())
                .noneMatch(step -> step.task() instanceof TestStep.Leave);
    }

    /** Two wires with a switch between them are one reading, with the switch worked. */
    @Test
    void wiresAreMeasuredAtOneGoThroughTheWorkedSwitch() {
        var off = Conditions.REST.with("light", "off");
        var on = Conditions.REST.with("light", "on");
        var wires = DESIGN.wires().subList(4, 6);
        var chains = Chains.of(DESIGN, wires, List.of(off, on));

        assertThat(wires)
                .extracting(wire -> wire.from().terminal() + " " + wire.to().terminal())
                .containsExactly("F1.2 S1.1", "S1.2 H1.58");
        assertThat(chains)
                .singleElement()
                .satisfies(chain -> {
                    assertThat(chain.from()).hasToString("F1.2");
                    assertThat(chain.to()).hasToString("H1.58");
                    assertThat(chain.state()).isEqualTo(on);
                });
        assertThat(Chains.of(DESIGN, wires, List.of(off))).hasSize(2);
    }

    /** A run on the vehicle does not stand for one on the bench. */
    @Test
    void runsAreKeptByWhereTheyAreTaken() {
        var bench = BenchRun.begun(CIRCUIT, Setting.BENCH, Optional.of("A. Tester"), Instant.EPOCH);
        var still = BenchRun.begun(CIRCUIT, Setting.STILL, Optional.empty(), Instant.EPOCH);
        var work = Work.NONE.with(bench).with(still);

        assertThat(work.bench()).containsExactly(bench, still);
        assertThat(work.latestRun(CIRCUIT, Setting.BENCH)).contains(bench);
        assertThat(work.latestRun(CIRCUIT, Setting.RUNNING)).isEmpty();
        assertThat(work.latestRun(CIRCUIT)).contains(still);
    }
}
