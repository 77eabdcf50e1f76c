package aficion.desktop.workbench;

import aficion.bench.BenchPlan;
import aficion.check.Findings;
import aficion.check.Mending;
import aficion.check.finding.Finding;
import aficion.diagram.Diagram;
import aficion.diagram.DrawingOptions;
import aficion.diagram.Lettering;
import aficion.diagram.VehicleDiagram;
import aficion.fault.Fault;
import aficion.files.JobFileException;
import aficion.files.JobStore;
import aficion.files.JobStore.Stored;
import aficion.files.sheet.LabelSheet;
import aficion.files.sheet.PaperFormat;
import aficion.job.BenchRun.Setting;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.Vehicle;
import aficion.job.edit.Edit;
import aficion.job.edit.History;
import aficion.job.edit.Step;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.words.Speech;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * What is on the bench: the job with its history, the conditions, the focus, the selection and the
 * latest results. Results of an older job or older conditions never replace newer ones. To be used
 * on the application thread.
 */
public final class Workbench implements AutoCloseable {
    private final Engine engine = new Engine(new Failures());
    private final Inquiry inquiry = new Inquiry(this, engine);
    private final Clock clock;
    private final Function<Design, Lettering> letterings;
    private final ReadOnlyObjectWrapper<History> history;
    private final ReadOnlyObjectWrapper<Document> document;

    /** How the conditions came to be: relays that hold and switches that heat has moved go on. */
    private final Trail trail = new Trail();

    private final ObjectProperty<Conditions> conditions =
            new SimpleObjectProperty<>(Conditions.REST);
    private final ObjectProperty<Optional<CircuitId>> focus =
            new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Selection> selection =
            new SimpleObjectProperty<>(new Selection.Nothing());
    private final ReadOnlyObjectWrapper<Optional<Outcome>> outcome =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Assessed>> offered =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Assessed>> assessed =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<ForJob<Diagram>>> drawing =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObjectProperty<DrawingOptions> options =
            new SimpleObjectProperty<>(DrawingOptions.PLAIN);
    private final BooleanProperty whole = new SimpleBooleanProperty();
    private final BooleanProperty testing = new SimpleBooleanProperty();
    private final BooleanProperty everyReading = new SimpleBooleanProperty();
    private final BooleanProperty practising = new SimpleBooleanProperty();
    private final ObjectProperty<Setting> setting = new SimpleObjectProperty<>(Setting.BENCH);
    private final ObjectProperty<Optional<String>> tester =
            new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<PaperFormat> paper = new SimpleObjectProperty<>(PaperFormat.A4);
    private final ObjectProperty<LabelSheet> labels = new SimpleObjectProperty<>(LabelSheet.USUAL);
    private final ObjectProperty<Forming> forming = new SimpleObjectProperty<>(Forming.FIRST);
    private final ReadOnlyObjectWrapper<Optional<ForJob<VehicleDiagram>>> vehicleDiagram =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<ForJob<BenchPlan>>> plan =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Failure>> failure =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObjectProperty<Optional<Trial>> trial =
            new SimpleObjectProperty<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Integer>> group =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final BooleanProperty trying = new SimpleBooleanProperty();
    private final UserUnits units;

    /** What the outcome is of. */
    private Optional<Solvable> outcomeOf = Optional.empty();

    /** Every finding of the design last assessed, with what its rule proposes. */
    private List<Finding> proposed = List.of();

    /**
     * Where the job is kept.
     *
     * @param path the file; empty for a job that has none yet
     * @param stored what was last opened or saved
     * @param at when it was saved
     * @param takenUp whether it is work that an earlier program left unsaved
     */
    public record Document(
            Optional<Path> path, Optional<Stored> stored, Optional<Instant> at, boolean takenUp) {
        static final Document NEW =
                new Document(Optional.empty(), Optional.empty(), Optional.empty(), false);
    }

    /** What could not be worked out, and why. */
    public record Failure(Question question, Throwable why) {}

    /** Keeps what failed last until the same question is answered. */
    private final class Failures implements Engine.Told {
        @Override
        public void answered(Question question) {
            failure.set(failure.get().filter(last -> last.question() != question));
        }

        @Override
        public void failed(Question question, Throwable why) {
            failure.set(Optional.of(new Failure(question, why)));
            switch (question) {
                case POINT -> outcome.set(Optional.empty());
                case DRAWING -> drawing.set(Optional.empty());
                case WHOLE -> vehicleDiagram.set(Optional.empty());
                case PLAN -> plan.set(Optional.empty());
                case ASSESSMENT -> {
                    assessed.set(Optional.empty());
                    offered.set(Optional.empty());
                }
                case OFFER -> trying.set(false);
                case READING, PREVIEW, FIT, FEEDS, SWEEP, RECORD, WORK -> {}
            }
        }
    }

    /**
     * Something that is tried on a copy of the job: the drawing shows what then happens, the job
     * stays as it is.
     *
     * @param edit what is done to the copy
     * @param about what is tried on
     * @param verb what was asked for
     */
    public record Trial(Tried tried, Selection about, Verb verb) {}

    /** What is tried. */
    public sealed interface Tried {
        /** Something gives way. */
        record Gone(Fault fault) implements Tried {}

        /** An edit, on a copy. */
        record Edited(Edit edit, Design copy) implements Tried {}
    }

    /**
     * @param letterings the words of a job's drawings and their widths
     * @param units what the user reads and writes
     */
    public Workbench(Clock clock, Function<Design, Lettering> letterings, UserUnits units) {
        this.clock = clock;
        this.letterings = letterings;
        this.units = units;
        var vehicle = new Vehicle("Aficion", 1960, new Volts(12), Vehicle.Pole.NEGATIVE);
        this.history =
                new ReadOnlyObjectWrapper<>(
                        History.of(Job.of(Design.empty(vehicle, HouseRules.USUAL))));
        this.document = new ReadOnlyObjectWrapper<>(Document.NEW);
        conditions.addListener((_, before, _) -> {
            trail.follow(before);
            solve();
        });
        focus.addListener((_, _, _) -> draw());
        focus.addListener((_, _, _) -> {
            if (trying.get()) {
                offer();
            }
        });
        testing.addListener((_, _, _) -> replan());
        everyReading.addListener((_, _, _) -> replan());
        setting.addListener((_, _, _) -> replan());
        whole.addListener((_, _, _) -> drawWhole());
        options.addListener((_, _, _) -> {
            draw();
            drawWhole();
        });
    }

    public Clock clock() {
        return clock;
    }

    public Job job() {
        return history.get().present();
    }

    public Design design() {
        return job().design();
    }

    /** What could not be worked out last, until it is. */
    public ReadOnlyObjectProperty<Optional<Failure>> failure() {
        return failure.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<History> history() {
        return history.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Document> document() {
        return document.getReadOnlyProperty();
    }

    public ObjectProperty<Conditions> conditions() {
        return conditions;
    }

    public ObjectProperty<Optional<CircuitId>> focus() {
        return focus;
    }

    public ObjectProperty<Selection> selection() {
        return selection;
    }

    public ReadOnlyObjectProperty<Optional<Outcome>> outcome() {
        return outcome.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Optional<Assessed>> assessed() {
        return assessed.getReadOnlyProperty();
    }

    /** The latest findings whose remedies have been tried; those of {@link #assessed} have none. */
    public ReadOnlyObjectProperty<Optional<Assessed>> offered() {
        return offered.getReadOnlyProperty();
    }

    /** Whether the remedies of the job as it is have been tried. */
    public boolean isOffered() {
        return !trying.get()
                && offered.get().filter(found -> found.design() == design()).isPresent();
    }

    /** Whether the remedies of a finding have been tried. */
    public boolean isTried(Finding finding) {
        return !trying.get() || tried().anyMatch(each -> each.about().equals(finding.about()));
    }

    private Stream<Finding> tried() {
        return offered.get().filter(found -> found.design() == design()).stream()
                .flatMap(found -> found.found().stream());
    }

    /** Findings with what may be offered against them, as far as it has been tried. */
    public List<Finding> offered(List<Finding> findings) {
        var tried =
                tried().collect(Collectors.toMap(Finding::about, Function.identity(), (a, _) -> a));
        return findings.stream()
                .map(finding -> tried.getOrDefault(finding.about(), finding))
                .toList();
    }

    /** The path of the circuit in focus. */
    public ReadOnlyObjectProperty<Optional<ForJob<Diagram>>> drawing() {
        return drawing.getReadOnlyProperty();
    }

    /** Whether the whole vehicle is drawn and not the circuit in focus alone. */
    public BooleanProperty whole() {
        return whole;
    }

    /** The sheet that labels are printed on. */
    public ObjectProperty<LabelSheet> labels() {
        return labels;
    }

    /** Whether somebody tests: the run is worked out as long as that is so. */
    public BooleanProperty testing() {
        return testing;
    }

    /** Whether a test run takes every reading there is, not only those that tell. */
    public BooleanProperty everyReading() {
        return everyReading;
    }

    /** Where the circuit in focus is tested. */
    public ObjectProperty<Setting> setting() {
        return setting;
    }

    /**
     * Whether somebody looks for a hidden fault: what is worked out of the sound design is kept
     * back.
     */
    public BooleanProperty practising() {
        return practising;
    }

    /** Who tests, as it is kept with the next run that is begun. */
    public ObjectProperty<Optional<String>> tester() {
        return tester;
    }

    /** The paper that sheets are printed on. */
    public ObjectProperty<PaperFormat> paper() {
        return paper;
    }

    /** Which forming board is asked for. */
    public ObjectProperty<Forming> forming() {
        return forming;
    }

    /** The paths of every circuit, while the whole vehicle is drawn. */
    public ReadOnlyObjectProperty<Optional<ForJob<VehicleDiagram>>> vehicleDiagram() {
        return vehicleDiagram.getReadOnlyProperty();
    }

    /** The test run of the circuit in focus. */
    public ReadOnlyObjectProperty<Optional<ForJob<BenchPlan>>> plan() {
        return plan.getReadOnlyProperty();
    }

    /** How paths are drawn. */
    public ObjectProperty<DrawingOptions> options() {
        return options;
    }

    /** Whether something that was asked about the job is still being worked out. */
    public boolean isWorking() {
        return engine.isWorking();
    }

    /** Whether all that was asked is answered, remedies and what else comes beside too. */
    public boolean isResting() {
        return engine.isResting();
    }

    /** Who draws paths as they are shown. */
    public Draughtsman draughtsman() {
        return new Draughtsman(letterings, options.get());
    }

    /** Asks the engine about the job as it is. */
    public Inquiry ask() {
        return inquiry;
    }

    /** What is being tried. */
    public ReadOnlyObjectProperty<Optional<Trial>> trial() {
        return trial;
    }

    /** Tries an edit on a copy, in place of what was tried before. */
    void tryOut(Edit edit, Selection about, Verb verb) {
        tryOut(new Trial(new Tried.Edited(edit, edit.apply(design())), about, verb));
    }

    /** Tries what happens when something gives way, in place of what was tried before. */
    void tryOut(Fault fault, Selection about, Verb verb) {
        tryOut(new Trial(new Tried.Gone(fault), about, verb));
    }

    private void tryOut(Trial tried) {
        trial.set(Optional.of(tried));
        solve();
    }

    /** Tries nothing more. */
    public void endTrial() {
        if (trial.get().isPresent()) {
            trial.set(Optional.empty());
            solve();
        }
    }

    /** What is solved: the job, with what is tried. */
    Solvable solved() {
        var sound = new Solvable(design(), Optional.empty());
        return trial.get()
                .map(now ->
                        switch (now.tried()) {
                            case Tried.Gone(var fault) ->
                                    new Solvable(design(), Optional.of(fault));
                            case Tried.Edited(_, var copy) -> new Solvable(copy, Optional.empty());
                        })
                .orElse(sound);
    }

    /** Keeps the edit that is tried. */
    public void keepTrial() {
        trial.get()
                .map(Trial::tried)
                .ifPresent(tried -> {
                    if (tried instanceof Tried.Edited(var edit, _)) {
                        perform(edit);
                    }
                });
    }

    /** How many steps there were when the group that is open was begun. */
    public ReadOnlyObjectProperty<Optional<Integer>> group() {
        return group.getReadOnlyProperty();
    }

    /** From here on, steps become one when the group ends. */
    public void beginGroup() {
        group.set(Optional.of(history.get().past().size()));
    }

    /** Makes one step of all since the group began. */
    public void endGroup() {
        group.get().ifPresent(kept -> history.set(history.get().joined(kept)));
        group.set(Optional.empty());
    }

    /** The operating point, when there is one for the job as it is, or for what is tried on it. */
    public Optional<OperatingPoint> point() {
        return outcome.get()
                .flatMap(found ->
                        found instanceof Outcome.Solved(var point)
                                        && outcomeOf.filter(solved()::is).isPresent()
                                ? Optional.of(point)
                                : Optional.empty());
    }

    public UserUnits units() {
        return units;
    }

    public Speech speech() {
        return new Speech(design(), units);
    }

    /** Words for what was found, of the design it was found in: that may be the one before. */
    public Speech findingSpeech() {
        return assessed.get()
                .map(found -> new Speech(found.design(), units))
                .orElseGet(this::speech);
    }

    /** Whether what was found is of the design as it is. */
    public boolean isFoundOfNow() {
        return assessed.get().filter(found -> found.design() == design()).isPresent();
    }

    /** Whether the job differs from what was last opened or saved. */
    public boolean isUnsaved() {
        var kept = document.get().stored().map(Stored::job);
        return document.get().takenUp()
                || (kept.isPresent() ? !kept.get().equals(job()) : !history.get().past().isEmpty());
    }

    /** Whether nothing has been opened, begun or done yet. */
    public boolean isNew() {
        return document.get().equals(Document.NEW)
                && history.get().past().isEmpty()
                && design().parts().isEmpty()
                && design().circuits().isEmpty();
    }

    /** Asks the engine everything anew about the job as it is. */
    public void askAgain() {
        failure.set(Optional.empty());
        solve();
        draw();
        drawWhole();
        assess();
    }

    /** Puts a job on the bench, forgetting the one before. */
    public void take(Job job) {
        take(job, Document.NEW);
    }

    /**
     * Takes up work that an earlier program left unsaved; it stays unsaved.
     *
     * @param file where the job itself is kept; saving asks anew where that is gone
     */
    public void takeUp(Job job, Optional<Path> file) {
        Optional<Stored> stored;
        try {
            stored = file.isPresent() ? Optional.of(JobStore.open(file.get())) : Optional.empty();
        } catch (JobFileException gone) {
            stored = Optional.empty();
        }
        take(
                job,
                new Document(
                        stored.isPresent() ? file : Optional.empty(),
                        stored,
                        Optional.empty(),
                        true));
    }

    /**
     * Opens a job file.
     *
     * @throws JobFileException when it cannot be read; the bench stays as it was
     */
    public void open(Path path) throws JobFileException {
        var stored = JobStore.open(path);
        take(
                stored.job(),
                new Document(Optional.of(path), Optional.of(stored), Optional.empty(), false));
    }

    private void take(Job job, Document from) {
        selection.set(new Selection.Nothing());
        group.set(Optional.empty());
        document.set(from);
        focus.set(Optional.empty());
        failure.set(Optional.empty());
        show(History.of(job));
        conditions.set(Conditions.REST);
        trail.forget();
        focus.set(first(job.design()));
    }

    private static Optional<CircuitId> first(Design design) {
        return design.circuits().stream()
                .min(Comparator.comparingInt(Circuit::number))
                .map(Circuit::id);
    }

    /**
     * Saves the job to a file, which is then its file.
     *
     * @throws JobFileException when it cannot be written or has been changed by another program;
     *     nothing is lost
     */
    public void save(Path path) throws JobFileException {
        var same = document.get().path().filter(path::equals).isPresent();
        var stored = JobStore.save(path, job(), same ? document.get().stored() : Optional.empty());
        document.set(
                new Document(
                        Optional.of(path),
                        Optional.of(stored),
                        Optional.of(clock.instant()),
                        false));
    }

    /** A bench of its own with the same words and clock, for trying something out. */
    public Workbench beside() {
        return new Workbench(clock, letterings, units);
    }

    /**
     * Makes a step.
     *
     * @throws IllegalArgumentException when it does not fit the job, which stays as it was
     */
    public void perform(Step step) {
        show(history.get().then(step));
    }

    public void undo() {
        show(history.get().undo());
    }

    public void redo() {
        show(history.get().redo());
    }

    /**
     * A bench that goes on where this one is, with the same job, history, conditions and choice;
     * this one is to be closed.
     */
    public Workbench successor(Function<Design, Lettering> words, UserUnits read) {
        var next = new Workbench(clock, words, read);
        next.document.set(document.get());
        next.conditions.set(conditions.get());
        next.show(history.get());
        next.focus.set(focus.get());
        next.whole.set(whole.get());
        next.options.set(options.get());
        next.selection.set(selection.get());
        return next;
    }

    /** Puts a control into a position. */
    public void set(String control, String position) {
        conditions.set(conditions.get().with(control, position));
    }

    /** Puts a control into its next position, the first after the last. */
    public void advance(String name) {
        Controls.of(design())
                .find(name)
                .ifPresent(control -> {
                    var positions = control.positions();
                    var now = Controls.position(control, conditions.get());
                    int index =
                            positions.stream()
                                    .map(position -> position.name())
                                    .toList()
                                    .indexOf(now);
                    set(name, positions.get((index + 1) % positions.size()).name());
                });
    }

    private void show(History next) {
        var before = design();
        trial.set(Optional.empty());
        group.set(group.get().filter(kept -> kept <= next.past().size()));
        history.set(next);
        if (design() == before) {
            assessed.set(assessed.get().map(found -> found.by(job().work())));
            offer();
            return;
        }
        if (!selection.get().isIn(design())) {
            selection.set(new Selection.Nothing());
        }
        if (focus.get().filter(id -> design().find(id).isEmpty()).isPresent()) {
            focus.set(first(design()));
        }
        solve();
        if (!looksAlike(before, design())) {
            draw();
            drawWhole();
        }
        assess();
    }

    private void assess() {
        var design = design();
        engine.cancel(Question.OFFER);
        engine.ask(
                Question.ASSESSMENT,
                hand -> Found.in(hand.assessment(design)),
                found -> {
                    trying.set(true);
                    assessed.set(
                            Optional.of(Assessed.of(found.assessment, found.bare(), job().work())));
                    offered.set(
                            Optional.of(Assessed.of(found.assessment, List.of(), job().work())));
                    proposed = found.findings;
                    offer();
                });
    }

    /** What is found in a design, with the remedies that the rules propose. */
    private record Found(Assessment assessment, List<Finding> findings) {
        static Found in(Assessment assessment) {
            return new Found(assessment, Findings.of(assessment));
        }

        /** The same before any remedy has been tried. */
        List<Finding> bare() {
            return Mending.withoutRemedies(findings);
        }
    }

    /**
     * Tries the remedies of what does not stand and has not been tried: first in the circuit in
     * focus, then all the rest.
     */
    private void offer() {
        var tried = offered.get();
        if (tried.filter(found -> found.design() == design()).isEmpty()) {
            return;
        }
        var work = job().work();
        var known = tried.get().found().stream().map(Finding::about).collect(Collectors.toSet());
        var open =
                Findings.judged(proposed, work).open().stream()
                        .filter(finding -> !known.contains(finding.about()))
                        .toList();
        trying.set(!open.isEmpty());
        offered.set(tried.map(found -> found.by(work)));
        if (open.isEmpty()) {
            engine.cancel(Question.OFFER);
            return;
        }
        var near = open.stream().filter(this::isInFocus).toList();
        var design = design();
        long ticket = engine.ticket(Question.OFFER) + 1;
        engine.ask(
                Question.OFFER,
                hand ->
                        hand.mending(design)
                                .offered(
                                        near.isEmpty() ? open : near,
                                        () -> engine.ticket(Question.OFFER) == ticket),
                offers -> offers.ifPresent(this::keepOffers));
    }

    private boolean isInFocus(Finding finding) {
        return focus.get().filter(finding.subject().circuits(design())::contains).isPresent();
    }

    private void keepOffers(List<Finding> more) {
        offered.set(
                offered.get()
                        .map(found ->
                                Assessed.of(
                                        found.assessment(),
                                        Stream.concat(found.found().stream(), more.stream())
                                                .toList(),
                                        job().work())));
        offer();
    }

    /** Whether drawings and plans of one design hold for the other. */
    private static boolean looksAlike(Design one, Design other) {
        return one.parts().equals(other.parts())
                && one.wires().equals(other.wires())
                && one.rules().equals(other.rules())
                && one.vehicle().equals(other.vehicle());
    }

    private void drawWhole() {
        if (!whole.get()) {
            vehicleDiagram.set(Optional.empty());
            return;
        }
        var design = design();
        var drawn = draughtsman();
        engine.ask(
                Question.WHOLE,
                _ -> drawn.whole(design),
                found -> vehicleDiagram.set(Optional.of(new ForJob<>(design, found))));
    }

    private void solve() {
        var solvable = solved();
        var now = trail.leadingTo(conditions.get());
        engine.ask(
                Question.POINT,
                hand -> hand.solver(solvable).follow(now),
                found -> {
                    outcomeOf = Optional.of(solvable);
                    outcome.set(Optional.of(found));
                });
    }

    /** The run for a setting, or every reading there is. */
    private Optional<BenchPlan> plan(
            Engine.Hand hand, Design design, CircuitId circuit, Optional<Setting> where) {
        if (where.isEmpty() || design.wiresOf(circuit).isEmpty()) {
            return Optional.of(BenchPlan.of(hand.solver(design), circuit));
        }
        long ticket = engine.ticket(Question.PLAN);
        var there = where.get();
        return hand.faults(design, circuit, there, () -> engine.ticket(Question.PLAN) == ticket)
                .map(table -> BenchPlan.of(there, table, circuit));
    }

    private void draw() {
        var circuit = focus.get().filter(id -> design().find(id).isPresent());
        if (circuit.isEmpty()) {
            engine.cancel(Question.DRAWING);
            engine.cancel(Question.PLAN);
            drawing.set(Optional.empty());
            plan.set(Optional.empty());
            return;
        }
        var design = design();
        var id = circuit.get();
        var drawn = draughtsman();
        engine.ask(
                Question.DRAWING,
                _ -> drawn.one(design, id),
                found -> drawing.set(Optional.of(new ForJob<>(design, found))));
        askPlan(design, id);
    }

    private void replan() {
        focus.get()
                .filter(id -> design().find(id).isPresent())
                .ifPresent(id -> askPlan(design(), id));
    }

    /** The test run, as long as somebody tests. */
    private void askPlan(Design design, CircuitId id) {
        if (!testing.get()) {
            engine.cancel(Question.PLAN);
            plan.set(Optional.empty());
            return;
        }
        var where = everyReading.get() ? Optional.<Setting>empty() : Optional.of(setting.get());
        engine.ask(
                Question.PLAN,
                hand -> plan(hand, design, id, where),
                found ->
                        found.ifPresent(made -> plan.set(Optional.of(new ForJob<>(design, made)))));
    }

    @Override
    public void close() {
        engine.close();
    }
}
