package aficion.check;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.job.AnyJob;
import aficion.netlist.Netlist;
import aficion.quantity.Seconds;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.sweep.Effect;
import aficion.sweep.Sweep;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No job makes the engine throw, hang or believe what does not add up. */
class FuzzTest {
    private static final int MANY = Integer.getInteger("aficion.fuzz", 3000);
    private static final Duration LONG = Duration.ofMinutes(2 + MANY / 500);

    /**
     * A point that is believed has passed its own check of currents and power; a point that is not
     * says why; nearly all are believed.
     */
    @Test
    void everyJobHasAnHonestOutcome() {
        var outcomes =
                Assertions.assertTimeoutPreemptively(
                        LONG,
                        () ->
                                LongStream.range(0, MANY)
                                        .mapToObj(seed -> {
                                            var design = AnyJob.of(seed);
                                            return new Solver(Netlist.of(design))
                                                    .solve(AnyJob.conditions(design, seed));
                                        })
                                        .toList());

        assertThat(outcomes)
                .allSatisfy(outcome -> {
                    if (outcome instanceof Outcome.Unsolvable unsolvable) {
                        assertThat(unsolvable.reason()).isEqualTo(Outcome.Reason.NOT_SETTLED);
                    }
                });
        assertThat(outcomes.stream().filter(Outcome.Solved.class::isInstance).count())
                .isGreaterThan(MANY * 97L / 100);
        assertThat(outcomes.stream().filter(Outcome.Unsolvable.class::isInstance).count())
                .isLessThan(1 + MANY / 200);
    }

    /** Worst first, and the same when nothing has changed since. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void everyJobIsSizedAndJudged(long seed) {
        for (long each = seed * 1000; each < seed * 1000 + MANY / 300; each++) {
            var design = AnyJob.of(each);
            var assessment = Assessment.of(design);
            var findings = Findings.of(assessment);

            assertThat(findings)
                    .as("seed %d", each)
                    .isSortedAccordingTo(Comparator.comparing(Finding::severity))
                    .isEqualTo(Findings.of(assessment.after(design)));
        }
    }

    /** Worst first; and events one after the other, in the time that was asked for. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void everyJobIsSweptAndFollowed(long seed) {
        for (long each = seed * 1000; each < seed * 1000 + MANY / 300; each++) {
            var design = AnyJob.of(each);
            var netlist = Netlist.of(design);
            var conditions = AnyJob.conditions(design, each);
            var script = Script.of(AnyJob.conditions(design, each + 1), conditions, new Seconds(2));

            assertThat(Sweep.of(netlist).effects(List.of(conditions), _ -> true))
                    .as("seed %d", each)
                    .isSortedAccordingTo(Comparator.comparing(Effect::danger));
            assertThat(Simulation.run(netlist, script, List.of()).events())
                    .as("seed %d", each)
                    .extracting(event -> event.at().value())
                    .isSorted()
                    .allMatch(at -> at >= 0 && at <= 2);
        }
    }
}
