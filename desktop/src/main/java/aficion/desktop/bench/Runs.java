package aficion.desktop.bench;

import aficion.bench.AfterFind;
import aficion.bench.Against;
import aficion.bench.BenchPlan;
import aficion.bench.TestStep;
import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Workbench;
import aficion.fault.Fault;
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

    /** Its latest run where it is tested now. */
    Optional<BenchRun> latest() {
        return plan().flatMap(plan -> bench.job().work().latestRun(plan.circuit(), plan.setting()));
    }

    /** Begins another. */
    void start() {
        plan().ifPresent(plan -> bench.perform(new WorkEdit.KeepRun(begun(plan))));
    }

    private BenchRun begun(BenchPlan plan) {
        return BenchRun.begun(
                plan.circuit(), plan.setting(), bench.tester().get(), bench.clock().instant());
    }

    /** What was read at a step, with what it is held against. */
    Reading reading(TestStep step, Optional<Double> value, Verdict verdict, Optional<String> note) {
        return new Reading(
                step.key(),
                value,
                Optional.of(Against.of(bench.design(), step)),
                verdict,
                bench.clock().instant(),
                note);
    }

    /** Whether what was read at a step was read of something else than is drawn now. */
    boolean isStale(TestStep step) {
        return latest().flatMap(run -> run.reading(step.key()))
                .filter(reading -> Against.isStale(bench.design(), step, reading))
                .isPresent();
    }

    /**
     * Keeps a reading in the run, which begins with it where there is none. With the last one that
     * is sound the circuit is tested.
     */
    void keep(Reading reading) {
        plan().ifPresent(plan -> {
            var run = latest().orElseGet(() -> begun(plan));
            bench.perform(new WorkEdit.KeepRun(run.with(reading)));
            var id = plan.circuit();
            boolean tested = bench.job().work().done(id).contains(Stage.TESTED);
            if (!tested && isSound()) {
                bench.perform(new WorkEdit.SetStage(id, Stage.TESTED, true));
            }
        });
    }

    /** Notes what was found and mended, and begins the run that proves it. */
    void mended(List<Fault> faults) {
        var plan = plan();
        var run = latest();
        if (plan.isPresent() && run.isPresent()) {
            var design = bench.design();
            var now = bench.clock().instant();
            var noted = run.get();
            for (var fault : faults) {
                noted = AfterFind.noted(design, noted, fault, bench.speech().fault(fault), now);
            }
            bench.perform(new WorkEdit.KeepRun(noted));
            bench.perform(
                    new WorkEdit.KeepRun(
                            AfterFind.mended(design, plan.get(), run.get(), faults, now)));
        }
    }

    /** Whether every step is done of what is drawn, and none failed or was left out. */
    private boolean isSound() {
        return plan().isPresent()
                && plan().get().steps().stream()
                        .allMatch(step ->
                                !isStale(step)
                                        && latest().flatMap(run -> run.reading(step.key()))
                                                .map(Reading::verdict)
                                                .filter(verdict ->
                                                        verdict == Verdict.PASS
                                                                || verdict == Verdict.NEAR)
                                                .isPresent());
    }
}
