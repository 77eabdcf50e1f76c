package aficion.desktop.workbench;

import aficion.check.Preview;
import aficion.identify.Feeds;
import aficion.job.Job;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.quantity.Seconds;
import aficion.recipe.Insertion;
import aficion.recipe.Recipe;
import aficion.simulate.Probe;
import aficion.simulate.Script;
import aficion.size.Assessment;
import aficion.sweep.Effect;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * Questions about the job on a bench that the engine works out beside: what comes back belongs to
 * the job as it then is, or does not come back. To be used on the application thread.
 */
public final class Inquiry {
    private final Workbench bench;
    private final Engine engine;

    Inquiry(Workbench bench, Engine engine) {
        this.bench = bench;
        this.engine = engine;
    }

    /** Does some work on the job beside; overtaken by the next such work and by every edit. */
    public <T> void work(Function<Job, T> work, Consumer<T> then) {
        var job = bench.job();
        engine.work(
                () -> work.apply(job),
                made -> {
                    if (bench.job() == job) {
                        then.accept(made);
                    }
                });
    }

    /**
     * Works out something that is to be done, for the job as it is when that is done: begun again
     * where the job has changed meanwhile, never overtaken; dropped when another vehicle's job has
     * been opened.
     */
    public <T> void prepare(Function<Job, T> work, Consumer<T> then) {
        var job = bench.job();
        engine.prepare(
                () -> work.apply(job),
                made -> {
                    if (bench.job() == job) {
                        then.accept(made);
                    } else if (bench.job().vehicle().equals(job.vehicle())) {
                        prepare(work, then);
                    }
                });
    }

    /** The same, from all that is worked out of the job. */
    public <T> void prepareAssessed(Function<Assessment, T> work, Consumer<T> then) {
        prepare(job -> work.apply(engine.assessment(job)), then);
    }

    /**
     * Works out what a recipe would become in the job as it is; overtaken by the next such question
     * and by every edit.
     */
    public void fit(Recipe recipe, Map<String, String> answers, Consumer<Insertion.Fit> then) {
        var job = bench.job();
        engine.fit(
                job,
                recipe,
                answers,
                fit -> {
                    if (bench.job() == job) {
                        then.accept(fit);
                    }
                });
    }

    /**
     * Measures between two terminals, with everything as it stands and with what is tried;
     * overtaken by the next such question.
     */
    public void measure(Terminal red, Terminal black, Consumer<Reading> then) {
        var job = bench.solved();
        boolean there =
                List.of(red, black).stream()
                        .allMatch(at ->
                                job.find(at.part())
                                        .filter(part -> part.kind().pins().contains(at.pin()))
                                        .isPresent());
        if (there) {
            engine.measure(job, bench.conditions().get(), red, black, then);
        }
    }

    /** Records what happens when everything goes from rest to how it stands now. */
    public void record(List<Probe> probes, Seconds lasts, Recording recording) {
        var now = bench.conditions().get();
        var before =
                Conditions.REST
                        .withCharge(now.charge())
                        .withAir(now.air())
                        .withEngine(now.engine());
        var script =
                new Script(
                        before,
                        List.of(new Script.Moment(new Seconds(lasts.value() / 20), now)),
                        lasts);
        engine.record(bench.solved(), script, probes, recording);
    }

    /** Works out what an edit would do; overtaken by the next such question and by every edit. */
    public void preview(Edit edit, Consumer<Preview> then) {
        var job = bench.job();
        bench.assessed()
                .get()
                .filter(found -> found.job() == job)
                .ifPresent(found ->
                        engine.preview(
                                found.assessment(),
                                edit,
                                preview -> {
                                    if (bench.job() == job) {
                                        then.accept(preview);
                                    }
                                }));
    }

    /** Finds where a wire could be fed from; overtaken as a recipe is. */
    public void findFeeds(Consumer<List<Feeds.Offer>> then) {
        var job = bench.job();
        engine.feeds(
                job,
                found -> {
                    if (bench.job() == job) {
                        then.accept(found);
                    }
                });
    }

    /**
     * Tries every fault with everything as it stands; overtaken by the next such question and by
     * every edit and every switch.
     */
    public void tryFaults(Consumer<List<Effect>> then) {
        var job = bench.job();
        var now = bench.conditions().get();
        engine.sweep(
                job,
                now,
                effects -> {
                    if (bench.job() == job && bench.conditions().get().equals(now)) {
                        then.accept(effects);
                    }
                });
    }
}
