package aficion.desktop.bench;

import aficion.bench.BenchPlan;
import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Work.Stage;
import aficion.job.edit.WorkEdit;
import java.util.List;
import java.util.Optional;

/** The run of the circuit in focus, and how it is kept. */
final class Runs {
    private final Workbench bench;

    Runs(Workbench bench) {
        this.bench = bench;
    }

    /** The plan that is worked by; empty until it is worked out of the design as it is. */
    Optional<BenchPlan> plan() {
        return bench.plan()
                .get()
                .filter(found -> found.design() == bench.design())
                .map(ForJob::made);
    }

    /** The circuit that is tested, while the job has it. */
    Optional<CircuitId> circuit() {
        return plan().map(BenchPlan::circuit);
    }

    /** Its latest run. */
    Optional<BenchRun> latest() {
        return circuit().flatMap(id -> bench.job().work().latestRun(id));
    }

    /** Begins another. */
    void start() {
        circuit()
                .ifPresent(id ->
                        bench.perform(
                                new WorkEdit.KeepRun(
                                        new BenchRun(id, bench.clock().instant(), List.of()))));
    }

    /**
     * Keeps a reading in the run, which begins with it where there is none. With the last one that
     * is sound the circuit is tested.
     */
    void keep(Reading reading) {
        circuit()
                .ifPresent(id -> {
                    var now = bench.clock().instant();
                    var run = latest().orElseGet(() -> new BenchRun(id, now, List.of()));
                    bench.perform(new WorkEdit.KeepRun(run.with(reading)));
                    boolean tested = bench.job().work().done(id).contains(Stage.TESTED);
                    if (!tested && isSound()) {
                        bench.perform(new WorkEdit.SetStage(id, Stage.TESTED, true));
                    }
                });
    }

    /** Whether every step is done, and none of them failed or was left out. */
    private boolean isSound() {
        return plan().isPresent()
                && plan().get().steps().stream()
                        .allMatch(step ->
                                latest().flatMap(run -> run.reading(step.key()))
                                        .map(Reading::verdict)
                                        .filter(verdict ->
                                                verdict == Verdict.PASS || verdict == Verdict.NEAR)
                                        .isPresent());
    }
}
