package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.fault.Fault;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Setting;
import aficion.job.BenchRun.Verdict;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is done once it is known what was wrong. */
class AfterFindTest {
    private static final Instant THEN = Instant.EPOCH;
    private static final Instant LATER = THEN.plusSeconds(60);
    private static final BenchPlan PLAN = SmallCar.plan(Setting.BENCH);
    private static final WireId TO_LAMP = new WireId("w10");

    /** A run of the plan in which every step passed but one that failed and one left out. */
    private static BenchRun run() {
        var run = BenchRun.begun(SmallCar.CIRCUIT, Setting.BENCH, Optional.of("Jo"), THEN);
        for (var step : PLAN.steps()) {
            var verdict =
                    switch (step.key()) {
                        case "look at B1" -> Verdict.FAIL;
                        case "look at E1" -> Verdict.NOT_TESTED;
                        default -> Verdict.PASS;
                    };
            run =
                    run.with(
                            new Reading(
                                    step.key(),
                                    Optional.empty(),
                                    Optional.of(Against.of(SmallCar.DESIGN, step)),
                                    verdict,
                                    THEN,
                                    Optional.empty()));
        }
        return run;
    }

    /** What was found is kept in the run, in short and in words, and is no reading. */
    @Test
    void whatWasFoundIsNoted() {
        var broken = new Fault.Broken(TO_LAMP);
        var noted = AfterFind.noted(SmallCar.DESIGN, run(), broken, "wire 10 broken", LATER);

        assertThat(noted.readings().getLast())
                .isEqualTo(
                        new Reading(
                                "found 10=open",
                                Optional.empty(),
                                Optional.empty(),
                                Verdict.FAIL,
                                LATER,
                                Optional.of("wire 10 broken")));
        assertThat(RunReadings.isTaken(noted.readings().getLast())).isFalse();
    }

    /** What was right and is not about what was mended is kept; all else is read again. */
    @Test
    void whatIsNotAboutTheMendingIsKept() {
        var mended =
                AfterFind.mended(
                        SmallCar.DESIGN, PLAN, run(), List.of(new Fault.Broken(TO_LAMP)), LATER);

        assertThat(mended.begun()).isEqualTo(LATER);
        assertThat(mended.by()).contains("Jo");
        assertThat(mended.setting()).isEqualTo(Setting.BENCH);
        assertThat(open(mended))
                .contains("look at B1", "look at E1", "look at S2", "look at H2", "isolation S2.2")
                .doesNotContain("look at M1", "isolation S3.2", "quiet", "ohms w5");
    }

    private static List<String> open(BenchRun run) {
        return PLAN.steps().stream()
                .map(TestStep::key)
                .filter(key -> run.reading(key).isEmpty())
                .toList();
    }

    /** A run that begins no later than the one before it begins a moment after it. */
    @Test
    void oneRunBeginsAfterAnother() {
        var mended = AfterFind.mended(SmallCar.DESIGN, PLAN, run(), List.of(), THEN);

        assertThat(mended.begun()).isEqualTo(THEN.plusMillis(1));
        assertThat(open(mended)).containsExactly("look at B1", "look at E1");
    }

    /** What was read of a lead that is another now is not kept. */
    @Test
    void whatIsStaleIsReadAgain() {
        var step = PLAN.find("look at X1").orElseThrow();
        var other =
                new Reading(
                        step.key(),
                        Optional.empty(),
                        Optional.of("w16/2.5mm2/S4.2/X1.+"),
                        Verdict.PASS,
                        THEN,
                        Optional.empty());
        var mended = AfterFind.mended(SmallCar.DESIGN, PLAN, run().with(other), List.of(), LATER);

        assertThat(open(mended)).containsExactly("look at B1", "look at E1", "look at X1");
    }

    /** Leads that sit the other way round, and another lamp, may stay; the job then says so. */
    @Test
    void whatMayStayIsSaidByTheJob() {
        var one = Terminal.parse("S2.1").orElseThrow();
        var other = Terminal.parse("S2.2").orElseThrow();
        var far = Terminal.parse("S3.1").orElseThrow();
        var lamp = new PartId("H2");
        var small =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("58", new Watts(5))));

        assertThat(AfterFind.asBuilt(SmallCar.DESIGN, new Fault.Exchanged(one, other)))
                .contains(new PartEdit.Exchange(new PartId("S2"), "1", "2"));
        assertThat(AfterFind.asBuilt(SmallCar.DESIGN, new Fault.Another(lamp, small)))
                .contains(new PartEdit.Refit(lamp, small));
        assertThat(
                        List.of(
                                new Fault.Exchanged(one, far),
                                new Fault.Another(
                                        new PartId("B1"),
                                        SmallCar.DESIGN.part(new PartId("B1")).kind()),
                                new Fault.Broken(TO_LAMP),
                                new Fault.Touching(one, other),
                                new Fault.EarthLost(new PartId("E1")),
                                new Fault.Dead(lamp, "58")))
                .allSatisfy(
                        fault -> assertThat(AfterFind.asBuilt(SmallCar.DESIGN, fault)).isEmpty());
    }
}
