package aficion.desktop.workbench;

import aficion.bench.Meter;
import aficion.bench.RunReadings;
import aficion.bench.reason.Diagnosis;
import aficion.catalogue.TimeBand;
import aficion.check.Preview;
import aficion.forming.FormingBoard;
import aficion.harness.Doubt;
import aficion.identify.Feeds;
import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.recipe.Insertion;
import aficion.recipe.Recipe;
import aficion.simulate.Probe;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.simulate.SimulationResult;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.stock.Cutting;
import aficion.stock.Stock;
import aficion.sweep.Effect;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Questions about the design on a bench that the engine works out beside: what comes back belongs
 * to the design as it then is, or does not come back. Each is overtaken by the next of its kind and
 * by every edit of the design. To be used on the application thread.
 */
public final class Inquiry {
    private static final Logger LOG = LoggerFactory.getLogger(Inquiry.class);

    private final Workbench bench;
    private final Engine engine;

    Inquiry(Workbench bench, Engine engine) {
        this.bench = bench;
        this.engine = engine;
    }

    private <T> void ask(Question question, Function<Engine.Hand, T> work, Consumer<T> then) {
        var design = bench.design();
        engine.ask(
                question,
                work,
                made -> {
                    if (bench.design() == design) {
                        then.accept(made);
                    }
                });
    }

    /** Does some work on the design beside. */
    public <T> void work(Function<Design, T> work, Consumer<T> then) {
        var design = bench.design();
        ask(Question.WORK, _ -> work.apply(design), then);
    }

    /**
     * Works out something that is to be done, for the design as it is when that is done: begun
     * again where the design has changed meanwhile, never overtaken; dropped when another vehicle's
     * job has been opened.
     */
    public <T> void prepare(Function<Design, T> work, Consumer<T> then) {
        prepare((_, design) -> work.apply(design), then);
    }

    /** The same, from all that is worked out of the design. */
    public <T> void prepareAssessed(Function<Assessment, T> work, Consumer<T> then) {
        prepare((hand, design) -> work.apply(hand.assessment(design)), then);
    }

    private <T> void prepare(Prepared<T> work, Consumer<T> then) {
        var design = bench.design();
        engine.insist(
                Question.WORK,
                hand -> work.of(hand, design),
                made -> {
                    if (bench.design() == design) {
                        then.accept(made);
                    } else if (bench.design().vehicle().equals(design.vehicle())) {
                        prepare(work, then);
                    }
                });
    }

    /** Some work on a design with what the engine holds of it. */
    private interface Prepared<T> {
        T of(Engine.Hand hand, Design design);
    }

    /** Works out what a recipe would become in the design as it is. */
    public void fit(Recipe recipe, Map<String, String> answers, Consumer<Insertion.Fit> then) {
        var design = bench.design();
        ask(Question.FIT, _ -> Insertion.of(design, recipe, answers), then);
    }

    /** What a recipe would become is wanted no longer. */
    public void fitNoMore() {
        engine.cancel(Question.FIT);
    }

    /** Measures between two terminals, with everything as it stands and with what is tried. */
    public void measure(Terminal red, Terminal black, Consumer<Reading> then) {
        var solvable = bench.solved();
        var design = solvable.design();
        var conditions = bench.conditions().get();
        boolean there =
                List.of(red, black).stream()
                        .allMatch(at ->
                                design.find(at.part())
                                        .filter(part -> part.kind().pins().contains(at.pin()))
                                        .isPresent());
        if (!there) {
            engine.cancel(Question.READING);
            then.accept(Reading.NOTHING);
            return;
        }
        engine.ask(
                Question.READING,
                hand -> reading(hand.solver(solvable), conditions, red, black),
                then);
    }

    private static Reading reading(
            Solver solver, Conditions conditions, Terminal red, Terminal black) {
        var design = solver.netlist().design();
        var volts =
                solver.solve(conditions) instanceof Outcome.Solved(var point)
                        ? Meter.volts(point, red, black)
                        : Optional.<Volts>empty();
        return new Reading(
                volts,
                Meter.ohms(design, conditions, red, black),
                red.equals(black) ? Optional.empty() : Meter.lamp(design, conditions, red, black));
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
        var solvable = bench.solved();
        engine.ask(
                Question.RECORD,
                _ -> recorded(solvable, script, probes, recording),
                recording::done);
    }

    /** A recording always ends, whatever happens to it. */
    private static Optional<SimulationResult> recorded(
            Solvable solvable, Script script, List<Probe> probes, Recording recording) {
        try {
            return Optional.of(
                    Simulation.run(
                            solvable.netlist(),
                            script,
                            TimeBand.Edge.NOMINAL,
                            probes,
                            recording::goOn));
        } catch (RuntimeException e) {
            LOG.error("the recording failed", e);
            return Optional.empty();
        }
    }

    /** Works out which runs to measure first; ends early when it is asked again. */
    public void findDoubts(Consumer<List<Doubt>> then) {
        var design = bench.design();
        long ticket = engine.ticket(Question.DOUBTS) + 1;
        ask(
                Question.DOUBTS,
                hand ->
                        Doubt.ranked(
                                hand.assessment(design),
                                () -> engine.ticket(Question.DOUBTS) == ticket),
                doubts -> doubts.ifPresent(then));
    }

    /** Finds from which spools the wires that are not cut yet come. */
    public void cut(Stock stock, Consumer<Cutting> then) {
        var design = bench.design();
        var work = bench.job().work();
        ask(Question.CUTTING, _ -> Cutting.of(design, work, stock), then);
    }

    /** Reasons from what was read to what may be wrong; overtaken by every switch too. */
    public void reason(CircuitId circuit, BenchRun run, Consumer<Diagnosis> then) {
        var design = bench.design();
        var now = bench.conditions().get();
        ask(
                Question.REASON,
                hand -> {
                    long ticket = engine.ticket(Question.REASON);
                    BooleanSupplier wanted = () -> engine.ticket(Question.REASON) == ticket;
                    return hand.faults(design, circuit, run.setting(), wanted)
                            .map(table ->
                                    Diagnosis.of(table, RunReadings.of(design, run), now, wanted));
                },
                (Optional<Diagnosis> made) -> made.ifPresent(then));
    }

    /** Lays a loom on its forming board. */
    public void form(Forming forming, Consumer<FormingBoard.Answer> then) {
        var design = bench.design();
        ask(
                Question.FORMING,
                _ -> FormingBoard.of(design, forming.loom(), forming.surface()),
                then);
    }

    /** Works out what an edit would do. */
    public void preview(Edit edit, Consumer<Preview> then) {
        var design = bench.design();
        var work = bench.job().work();
        ask(Question.PREVIEW, hand -> Preview.of(hand.assessment(design), edit, work), then);
    }

    /** Finds where a wire could be fed from. */
    public void findFeeds(Consumer<List<Feeds.Offer>> then) {
        var design = bench.design();
        ask(Question.FEEDS, _ -> Feeds.of(design), then);
    }

    /** Tries every fault with everything as it stands; overtaken by every switch too. */
    public void tryFaults(Consumer<List<Effect>> then) {
        var design = bench.design();
        var now = bench.conditions().get();
        ask(
                Question.SWEEP,
                hand -> hand.sweep(design).effects(List.of(now), _ -> true),
                effects -> {
                    if (bench.conditions().get().equals(now)) {
                        then.accept(effects);
                    }
                });
    }
}
