package aficion.desktop.workbench;

import aficion.bench.BenchPlan;
import aficion.bench.Meter;
import aficion.catalogue.TimeBand;
import aficion.check.Findings;
import aficion.check.Mending;
import aficion.check.Preview;
import aficion.diagram.Diagram;
import aficion.diagram.Layout;
import aficion.diagram.Lettering;
import aficion.diagram.Manner;
import aficion.diagram.Panorama;
import aficion.diagram.VehicleLayout;
import aficion.identify.Feeds;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import aficion.recipe.Insertion;
import aficion.recipe.Recipe;
import aficion.simulate.Course;
import aficion.simulate.Probe;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.sweep.Effect;
import aficion.sweep.Sweep;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Computes off the application thread. Two hands: a quick one for operating points and drawings, a
 * slow one for everything that is worked out once for each job. A result that a newer request has
 * overtaken is thrown away.
 */
final class Engine implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Engine.class);

    private final ExecutorService quick = hand("engine-quick");
    private final ExecutorService slow = hand("engine-slow");
    private final AtomicLong pointAsked = new AtomicLong();
    private final AtomicLong drawingAsked = new AtomicLong();
    private final AtomicLong wholeAsked = new AtomicLong();
    private final AtomicLong assessmentAsked = new AtomicLong();
    private final AtomicLong offerAsked = new AtomicLong();
    private final AtomicLong planAsked = new AtomicLong();
    private final AtomicLong fitAsked = new AtomicLong();
    private final AtomicLong readingAsked = new AtomicLong();
    private final AtomicLong recordAsked = new AtomicLong();
    private final AtomicLong workAsked = new AtomicLong();
    private final AtomicLong previewAsked = new AtomicLong();
    private final AtomicLong feedsAsked = new AtomicLong();
    private final AtomicLong sweepAsked = new AtomicLong();

    /** Touched by the quick hand only. */
    private @Nullable Solver solver;

    /** Touched by the slow hand only. */
    private @Nullable Assessment assessed;

    private static ExecutorService hand(String name) {
        return Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name(name).factory());
    }

    void solve(Job job, Conditions conditions, Consumer<Outcome> then) {
        ask(quick, pointAsked, () -> solverOf(job).follow(conditions), then);
    }

    void draw(
            Job job,
            CircuitId circuit,
            Lettering lettering,
            Manner manner,
            Consumer<Diagram> then) {
        ask(quick, drawingAsked, () -> Layout.of(job, circuit, lettering, manner), then);
    }

    void drawWhole(Job job, Lettering lettering, Manner manner, Consumer<Panorama> then) {
        ask(quick, wholeAsked, () -> VehicleLayout.of(job, lettering, manner), then);
    }

    void assess(Job job, Consumer<Assessed> then) {
        ask(
                slow,
                assessmentAsked,
                () -> {
                    var assessment = assessment(job);
                    var judged = Findings.judged(assessment);
                    return new Assessed(
                            assessment,
                            new Findings.Judged(
                                    Mending.withoutRemedies(judged.open()), judged.standing()));
                },
                then);
    }

    /** The findings of an assessment with what may be offered against them, each tried. */
    void offer(Assessment assessment, Consumer<Assessed> then) {
        long ticket = offerAsked.get() + 1;
        ask(
                slow,
                offerAsked,
                () -> {
                    var judged = Findings.judged(assessment);
                    return Mending.offered(
                                    assessment, judged.open(), () -> offerAsked.get() == ticket)
                            .map(open -> new Findings.Judged(open, judged.standing()))
                            .map(offered -> new Assessed(assessment, offered));
                },
                offered -> offered.ifPresent(then));
    }

    /** What is being tried is wanted no longer. */
    void offerNoMore() {
        offerAsked.incrementAndGet();
    }

    void plan(Job job, CircuitId circuit, Consumer<BenchPlan> then) {
        ask(quick, planAsked, () -> BenchPlan.of(solverOf(job), circuit), then);
    }

    void fit(Job job, Recipe recipe, Map<String, String> answers, Consumer<Insertion.Fit> then) {
        ask(slow, fitAsked, () -> Insertion.of(job, recipe, answers), then);
    }

    void measure(
            Job job, Conditions conditions, Terminal red, Terminal black, Consumer<Reading> then) {
        ask(
                quick,
                readingAsked,
                () -> {
                    var volts =
                            solverOf(job).solve(conditions) instanceof Outcome.Solved(var point)
                                    ? Meter.volts(point, red, black)
                                    : Optional.<Volts>empty();
                    return new Reading(
                            volts,
                            Meter.ohms(job, conditions, red, black),
                            red.equals(black)
                                    ? Optional.empty()
                                    : Meter.lamp(job, conditions, red, black));
                },
                then);
    }

    void record(Job job, Script script, List<Probe> probes, Recording recording) {
        ask(slow, recordAsked, () -> recorded(job, script, probes, recording), recording::done);
    }

    <T> void work(Supplier<T> work, Consumer<T> then) {
        ask(slow, workAsked, work, then);
    }

    <T> void prepare(Supplier<T> work, Consumer<T> then) {
        ask(slow, new AtomicLong(), work, then);
    }

    void preview(Assessment assessment, Edit edit, Consumer<Preview> then) {
        ask(slow, previewAsked, () -> Preview.of(assessment, edit), then);
    }

    /** A recording always ends, whatever happens to it. */
    private static Optional<Course> recorded(
            Job job, Script script, List<Probe> probes, Recording recording) {
        try {
            return Optional.of(
                    Simulation.run(
                            Netlist.of(job),
                            script,
                            TimeBand.Edge.NOMINAL,
                            probes,
                            recording::goOn));
        } catch (RuntimeException e) {
            LOG.error("the recording failed", e);
            return Optional.empty();
        }
    }

    void feeds(Job job, Consumer<List<Feeds.Offer>> then) {
        ask(slow, feedsAsked, () -> Feeds.of(job), then);
    }

    void sweep(Job job, Conditions conditions, Consumer<List<Effect>> then) {
        ask(
                slow,
                sweepAsked,
                () -> Sweep.of(Netlist.of(job), List.of(conditions), _ -> true),
                then);
    }

    /** Throws away what has been asked about a circuit and is still to come. */
    void forgetCircuit() {
        drawingAsked.incrementAndGet();
        planAsked.incrementAndGet();
    }

    /** All that is worked out of a job; kept for the last one. For the slow hand only. */
    Assessment assessment(Job job) {
        var kept = assessed;
        if (kept == null || kept.job() != job) {
            kept = Assessment.of(job);
            assessed = kept;
        }
        return kept;
    }

    private Solver solverOf(Job job) {
        var kept = solver;
        if (kept == null || kept.netlist().job() != job) {
            kept = new Solver(Netlist.of(job));
            solver = kept;
        }
        return kept;
    }

    /** Asks a hand; what has been asked since, or of an engine that is closed, is not answered. */
    private static <T> void ask(
            ExecutorService hand, AtomicLong asked, Supplier<T> work, Consumer<T> then) {
        long ticket = asked.incrementAndGet();
        if (hand.isShutdown()) {
            return;
        }
        hand.execute(() -> {
            if (asked.get() != ticket) {
                return;
            }
            try {
                var result = work.get();
                Platform.runLater(() -> {
                    if (asked.get() == ticket && !hand.isShutdown()) {
                        then.accept(result);
                    }
                });
            } catch (RuntimeException e) {
                LOG.error("the engine failed", e);
            }
        });
    }

    @Override
    public void close() {
        offerNoMore();
        quick.shutdownNow();
        slow.shutdownNow();
    }
}
