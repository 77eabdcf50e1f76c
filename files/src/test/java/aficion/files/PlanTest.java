package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.CircuitId;
import aficion.job.Diary;
import aficion.job.Job;
import aficion.job.Work;
import aficion.job.edit.Step;
import aficion.job.edit.WorkEdit;
import aficion.plan.Plan;
import aficion.plan.Task;
import aficion.plan.Task.Kind;
import aficion.plan.Why;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The plan of the demos: an order with reasons, and evenings that end safe. */
class PlanTest {
    private static final Instant NOW = Instant.parse("2026-05-01T18:00:00Z");

    private static Job demo(String name) {
        return DemoJobs.find(name).orElseThrow();
    }

    private static Step ticked(Task task) {
        return new WorkEdit.Write(WorkEdit.About.TICK, diary -> diary.with(task.key(), true));
    }

    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void everyTaskComesAfterWhatItWaitsFor(String name) {
        var plan = Plan.of(demo(name));
        var seen = new HashSet<String>();

        for (var task : plan.tasks()) {
            task.after().forEach(before -> assertThat(seen).contains(before.key()));
            seen.add(task.key());
        }
        assertThat(plan.now()).isNotEmpty();
        assertThat(plan.waiting()).allSatisfy(task -> assertThat(plan.waits(task)).isNotEmpty());
        assertThat(plan.longest()).isNotEmpty();
        assertThat(plan.left())
                .isGreaterThanOrEqualTo(
                        plan.longest().stream().mapToDouble(plan.pace()::left).sum());
    }

    /** Evening after evening until all is done: nothing ever is half done that cannot be. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void everyEveningEndsSafeUntilAllIsDone(String name) {
        var job = demo(name);
        double all = Plan.of(job).left();
        int evenings = 0;
        while (Plan.of(job).left() > 0) {
            var plan = Plan.of(job);
            var evening = plan.evening(5 * 60);
            assertThat(evening.picks()).as("evening %s", evenings).isNotEmpty();
            assertThat(evening.minutes()).isLessThanOrEqualTo(5 * 60 + 1);
            requireSafe(plan, evening);
            for (var pick : evening.picks()) {
                job = pick.whole() ? ticked(pick.task()).apply(job) : partly(job, pick);
            }
            evenings++;
        }
        assertThat((double) evenings).isBetween(Math.floor(all / 300), 3 + 2 * all / 300);
    }

    /** What is done of a task in parts is ticked whole here, at the end of the next evening. */
    private static Job partly(Job job, Plan.Pick pick) {
        return pick.units() * 2 > pick.task().left() ? ticked(pick.task()).apply(job) : job;
    }

    private static void requireSafe(Plan plan, Plan.Evening evening) {
        var done = new HashSet<String>();
        plan.tasks().stream().filter(Task::isDone).map(Task::key).forEach(done::add);
        for (var pick : evening.picks()) {
            var task = pick.task();
            task.after().forEach(before -> assertThat(done).contains(before.key()));
            if (task.kind().isOnVehicle()) {
                assertThat(done).contains("battery-off").doesNotContain("power");
            }
            if (pick.whole()) {
                done.add(task.key());
            } else {
                assertThat(task.kind().isParted()).isTrue();
            }
        }
        if (evening.powered()) {
            assertThat(
                            plan.tasks().stream()
                                    .filter(task -> task.kind() == Kind.PROVE)
                                    .filter(task -> !done.contains(task.key())))
                    .isEmpty();
        }
    }

    @Test
    void aTaskSaysWhyItWaits() {
        var plan = Plan.of(demo("roadster"));
        var make = plan.find("make/5").orElseThrow();

        assertThat(plan.waits(make))
                .extracting(Task.Before::why)
                .contains(Why.PART_BEFORE_WIRE, Why.LABEL_BEFORE_TERMINAL, Why.LENGTH_BEFORE_CUT);
        assertThat(plan.waits(plan.find("fit/5").orElseThrow()))
                .contains(new Task.Before("guards/5", Why.RELAY_BEFORE_SWITCH));
        assertThat(plan.find("make/2").orElseThrow().isDone()).isTrue();
        assertThat(plan.next(make)).extracting(Task::key).contains("bench/5", "lay/1");
    }

    /** 18 wires in 144 minutes: 8 a wire instead of 9, and so the rest of the wires. */
    @Test
    void thePaceIsTheUsersOwnOnceItIsKnown() {
        var demo = demo("roadster");
        var job = demo.with(demo.work().with(Diary.NONE));
        var entry =
                new Diary.Entry(
                        NOW,
                        Diary.Sort.WORK,
                        Optional.of(new CircuitId("5")),
                        Optional.of("make/5"),
                        144,
                        "",
                        "",
                        List.of(),
                        false);
        var timed =
                new WorkEdit.Write(
                                WorkEdit.About.ENTRY,
                                diary -> diary.with(entry).with("make/5", true))
                        .apply(job);

        assertThat(Plan.of(job).pace().minutes(Kind.MAKE)).isEqualTo(9);
        assertThat(Plan.of(timed).pace().minutes(Kind.MAKE)).isCloseTo(8, within(1e-9));
        assertThat(Plan.of(timed).pace().units()).containsEntry(Kind.MAKE, 18);
        var make = Plan.of(timed).find("make/6").orElseThrow();
        assertThat(Plan.of(timed).pace().left(make)).isCloseTo(88, within(1e-9));
        var forgotten =
                new WorkEdit.Write(
                                WorkEdit.About.ENTRY,
                                diary ->
                                        diary.without(entry)
                                                .with(
                                                        new Diary.Entry(
                                                                NOW,
                                                                Diary.Sort.WORK,
                                                                Optional.empty(),
                                                                Optional.of("make/5"),
                                                                1440,
                                                                "",
                                                                "",
                                                                List.of(),
                                                                false)))
                        .apply(timed);
        assertThat(Plan.of(forgotten).pace().minutes(Kind.MAKE)).isEqualTo(9);
    }

    /** A design that is as it was found leaves nothing to make; a part that moves does. */
    @Test
    void whatStaysIsNotWorked() {
        var job = demo("motorcycle");
        var same =
                new WorkEdit.NoteSurvey(
                                WorkEdit.About.FOUND,
                                survey -> survey.with(Optional.of(job.design())))
                        .apply(job.with(Work.NONE));

        assertThat(Plan.of(same).tasks())
                .extracting(Task::kind)
                .doesNotContain(Kind.MAKE, Kind.BENCH, Kind.LABEL, Kind.TRY, Kind.GUARDS);
    }

    @Test
    void whatIsLeftOpenIsATask() {
        var noted =
                new WorkEdit.Write(
                                WorkEdit.About.ENTRY,
                                diary ->
                                        diary.with(
                                                new Diary.Entry(
                                                        NOW,
                                                        Diary.Sort.OPEN,
                                                        Optional.empty(),
                                                        Optional.empty(),
                                                        0,
                                                        "paint the edge",
                                                        "",
                                                        List.of(),
                                                        false)))
                        .apply(demo("roadster"));

        assertThat(Plan.of(noted).now()).extracting(Task::kind).contains(Kind.OPEN);
    }

    @Test
    void anEveningOfNothingHasNothingInIt() {
        assertThat(Plan.of(demo("roadster")).evening(0).picks()).isEmpty();
        assertThat(Plan.of(demo("roadster")).evening(-5).minutes()).isZero();
    }

    /** Once more is left to do on the vehicle, a battery that was connected comes off again. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void nothingOnTheVehicleIsBegunWhileTheBatteryIsOn(String name) {
        var job = demo(name);
        for (var task : Plan.of(job).tasks()) {
            job = task.noted(true).apply(job);
        }
        var finished = Plan.of(job);
        assertThat(finished.tasks()).filteredOn(task -> !task.isDone()).isEmpty();

        for (var task : finished.tasks()) {
            if (!task.kind().isOnVehicle()) {
                continue;
            }
            var again = task.noted(false).apply(job);
            var plan = Plan.of(again);
            if (plan.find(task.key()).orElseThrow().isDone()) {
                continue;
            }
            assertThat(plan.now())
                    .extracting(Task::kind)
                    .as(task.key())
                    .contains(Kind.BATTERY_OFF)
                    .noneMatch(Kind::isOnVehicle);
            assertThat(plan.find("power").orElseThrow().isDone()).isFalse();
            var off = plan.find("battery-off").orElseThrow().noted(true).apply(again);
            assertThat(Plan.of(off).now()).extracting(Task::key).contains(task.key());
            var on = task.noted(true).apply(off);
            assertThat(Plan.of(on).now()).extracting(Task::kind).contains(Kind.POWER);
        }
    }

    @Test
    void anEveningSaysHowItLeavesTheBattery() {
        var plan = Plan.of(demo("roadster"));
        assertThat(plan.evening(60).battery()).isEqualTo(Plan.Battery.AS_IT_WAS);

        var off = plan.find("battery-off").orElseThrow().noted(true).apply(demo("roadster"));
        assertThat(Plan.of(off).evening(60).battery()).isEqualTo(Plan.Battery.OFF);
        assertThat(plan.evening(Plan.LONGEST_EVENING).battery()).isNotEqualTo(Plan.Battery.ON);
    }
}
