package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.reason.Measure;
import aficion.bench.reason.Sight;
import aficion.bench.reason.Telltale;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Setting;
import aficion.job.BenchRun.Verdict;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Rpm;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is kept of a run, and what it tells of what is wrong. */
class RunReadingsTest {
    private static final Instant NOW = Instant.EPOCH;
    private static final Conditions LIT = Conditions.REST.with("light", "on").with("key", "run");
    private static final String STATE = "key=run,light=on";
    private static final PartId LAMP = new PartId("H2");

    private static BenchRun run(Reading... readings) {
        var run = BenchRun.begun(SmallCar.CIRCUIT, Setting.BENCH, Optional.empty(), NOW);
        for (var reading : readings) {
            run = run.with(reading);
        }
        return run;
    }

    private static List<Measure> told(BenchRun run) {
        return RunReadings.of(SmallCar.DESIGN, run).readings().stream()
                .map(reading -> reading.what())
                .toList();
    }

    private static Reading read(String step, double value) {
        return new Reading(step, Optional.of(value), Verdict.NEAR, NOW);
    }

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    /** Volts, amps and light are read in the state that the step says. */
    @Test
    void metersAndEyes() {
        var run =
                run(
                        read("volts H2.58 " + STATE, 11.9),
                        read("amps w9 " + STATE + ",rpm=3000", 4.1),
                        RunReadings.seen(at("H2.58"), STATE, Sight.DIM, Optional.empty(), NOW));
        var readings = RunReadings.of(SmallCar.DESIGN, run).readings();

        assertThat(readings)
                .containsExactly(
                        new aficion.bench.reason.Reading(
                                LIT, new Measure.VoltsAt(at("H2.58")), 11.9),
                        new aficion.bench.reason.Reading(
                                LIT.withEngine(new Rpm(3000)),
                                new Measure.AmpsIn(new WireId("w9")),
                                4.1),
                        new aficion.bench.reason.Reading(
                                LIT, new Measure.LightOf(LAMP, "58"), Sight.DIM.share()));
    }

    /** What is so or is not, by the key that it is kept under. */
    @Test
    void whatIsNoticed() {
        var all =
                List.of(
                        new Telltale.FuseGone(new FuseSeat(new PartId("F1"), "")),
                        new Telltale.Warm(new WireId("w9")),
                        new Telltale.Fast(new PartId("K1")),
                        new Telltale.Moves(LAMP),
                        new Telltale.Warms(LAMP),
                        new Telltale.Loads(),
                        new Telltale.Restless());
        for (var telltale : all) {
            for (boolean so : new boolean[] {true, false}) {
                var kept = RunReadings.told(telltale, STATE, so, NOW);
                var readings = RunReadings.of(SmallCar.DESIGN, run(kept)).readings();

                assertThat(kept.verdict()).isEqualTo(so ? Verdict.FAIL : Verdict.PASS);
                assertThat(readings)
                        .containsExactly(
                                new aficion.bench.reason.Reading(
                                        LIT, new Measure.Told(telltale), so ? 1 : 0));
            }
        }
    }

    /** A function that passed is as drawn; of one that was near, or left out, nothing is known. */
    @Test
    void aFunctionThatWasWorked() {
        var works = new Measure.Told(new Telltale.AsDrawn(SmallCar.CIRCUIT));
        for (var verdict : Verdict.values()) {
            var run = run(new Reading("works " + STATE, Optional.empty(), verdict, NOW));
            var readings = RunReadings.of(SmallCar.DESIGN, run).readings();

            switch (verdict) {
                case PASS, FAIL ->
                        assertThat(readings)
                                .containsExactly(
                                        new aficion.bench.reason.Reading(
                                                LIT, works, verdict == Verdict.PASS ? 1 : 0));
                case NEAR, NOT_TESTED -> assertThat(readings).isEmpty();
            }
        }
    }

    /** What is of a design no more, is no reading, or was not read, is left out. */
    @Test
    void whatTheDesignHasNoMoreIsLeftOut() {
        assertThat(
                        told(
                                run(
                                        read("volts H9.58 " + STATE, 1),
                                        read("amps w99 " + STATE, 1),
                                        read("sees S2.1 " + STATE, 1),
                                        read("gone F9 " + STATE, 1),
                                        read("warm w99 " + STATE, 1),
                                        read("fast K9 " + STATE, 1),
                                        read("moves H9 " + STATE, 1),
                                        read("volts H2.58 light=dim", 1),
                                        read("volts H2.58 " + STATE + ",rpm=fast", 1),
                                        read("sings H2.58 " + STATE, 1),
                                        read("quiet", 0),
                                        read("works light=dim", 0),
                                        new Reading(
                                                "volts H2.58 " + STATE,
                                                Optional.empty(),
                                                Verdict.PASS,
                                                NOW))))
                .isEmpty();
    }

    /** What is said of a whole run is kept with it, and is no reading of anything. */
    @Test
    void whatIsSaidOfAWholeRun() {
        var comes = RunReadings.comesAndGoes(true, NOW);
        var moved = RunReadings.movedLast(LAMP, NOW);
        var run = run(comes, moved, read("volts H2.58 " + STATE, 1));
        var evidence = RunReadings.of(SmallCar.DESIGN, run);

        assertThat(evidence.comesAndGoes()).isTrue();
        assertThat(evidence.movedLast()).contains(LAMP);
        assertThat(RunReadings.movedLast(run)).contains("H2");
        assertThat(run.readings().stream().filter(RunReadings::isTaken))
                .extracting(Reading::step)
                .containsExactly("volts H2.58 " + STATE);
        var stays = run(comes, RunReadings.comesAndGoes(false, NOW));
        assertThat(RunReadings.comesAndGoes(stays)).isFalse();
        assertThat(RunReadings.comesAndGoes(run())).isFalse();
        assertThat(RunReadings.movedLast(run())).isEmpty();
        var gone = run(RunReadings.movedLast(new PartId("H9"), NOW));
        assertThat(RunReadings.of(SmallCar.DESIGN, gone).movedLast()).isEmpty();
    }

    /** A guard is known by the name of its seat. */
    @Test
    void aGuardByItsName() {
        assertThat(RunReadings.guard(SmallCar.DESIGN, "F2"))
                .contains(new FuseSeat(new PartId("F2"), ""));
        assertThat(RunReadings.guard(SmallCar.DESIGN, "F3")).isEmpty();
    }
}
