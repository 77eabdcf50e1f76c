package aficion.desktop.workbench;

import aficion.bench.BenchPlan;
import aficion.check.Finding;
import aficion.diagram.Diagram;
import aficion.diagram.Lettering;
import aficion.diagram.Manner;
import aficion.diagram.Panorama;
import aficion.files.JobFileException;
import aficion.files.JobStore;
import aficion.files.JobStore.Stored;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.Vehicle;
import aficion.job.edit.Edit;
import aficion.job.edit.History;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
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
    private final Engine engine = new Engine();
    private final Inquiry inquiry = new Inquiry(this, engine);
    private final Clock clock;
    private final Function<Job, Lettering> letterings;
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
    private final ObjectProperty<Manner> manner = new SimpleObjectProperty<>(Manner.PLAIN);
    private final BooleanProperty whole = new SimpleBooleanProperty();
    private final ReadOnlyObjectWrapper<Optional<ForJob<Panorama>>> panorama =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<ForJob<BenchPlan>>> plan =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObjectProperty<Optional<Trial>> trial =
            new SimpleObjectProperty<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Integer>> group =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final UserUnits units;

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

    /**
     * Something that is tried on a copy of the job: the drawing shows what then happens, the job
     * stays as it is.
     *
     * @param edit what is done to the copy
     * @param about what is tried on
     * @param verb what was asked for
     */
    public record Trial(Edit edit, Selection about, Verb verb, Job job) {}

    /**
     * @param letterings the words of a job's drawings and their widths
     * @param units what the user reads and writes
     */
    public Workbench(Clock clock, Function<Job, Lettering> letterings, UserUnits units) {
        this.clock = clock;
        this.letterings = letterings;
        this.units = units;
        var vehicle = new Vehicle("Aficion", 1960, new Volts(12), Vehicle.Pole.NEGATIVE);
        this.history =
                new ReadOnlyObjectWrapper<>(History.of(Job.empty(vehicle, HouseRules.USUAL)));
        this.document = new ReadOnlyObjectWrapper<>(Document.NEW);
        conditions.addListener((_, before, _) -> {
            trail.follow(before);
            solve();
        });
        focus.addListener((_, _, _) -> draw());
        whole.addListener((_, _, _) -> drawWhole());
        manner.addListener((_, _, _) -> {
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
        return offered.get().filter(found -> found.job() == job()).isPresent();
    }

    /** Findings with what may be offered against them, as far as it has been tried. */
    public List<Finding> offered(List<Finding> findings) {
        var tried =
                offered.get().filter(found -> found.job() == job()).stream()
                        .flatMap(found -> found.findings().stream())
                        .collect(
                                Collectors.toMap(Finding::about, Function.identity(), (a, _) -> a));
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

    /** The paths of every circuit, while the whole vehicle is drawn. */
    public ReadOnlyObjectProperty<Optional<ForJob<Panorama>>> panorama() {
        return panorama.getReadOnlyProperty();
    }

    /** The test run of the circuit in focus. */
    public ReadOnlyObjectProperty<Optional<ForJob<BenchPlan>>> plan() {
        return plan.getReadOnlyProperty();
    }

    /** How paths are drawn. */
    public ObjectProperty<Manner> manner() {
        return manner;
    }

    /** Asks the engine about the job as it is. */
    public Inquiry ask() {
        return inquiry;
    }

    /** What is being tried. */
    public ReadOnlyObjectProperty<Optional<Trial>> trial() {
        return trial;
    }

    /** Tries something on a copy, in place of what was tried before. */
    void tryOut(Edit edit, Selection about, Verb verb) {
        trial.set(Optional.of(new Trial(edit, about, verb, edit.apply(job()))));
        solve();
    }

    /** Tries nothing more. */
    public void endTrial() {
        if (trial.get().isPresent()) {
            trial.set(Optional.empty());
            solve();
        }
    }

    /** The job that is solved: the copy that something is tried on, or the job itself. */
    Job solved() {
        return trial.get().map(Trial::job).orElse(job());
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
                                        && point.netlist().job() == solved()
                                ? Optional.of(point)
                                : Optional.empty());
    }

    public UserUnits units() {
        return units;
    }

    public Speech speech() {
        return new Speech(job(), units);
    }

    /** Whether the job differs from what was last opened or saved. */
    public boolean isUnsaved() {
        var kept = document.get().stored().map(Stored::job);
        return document.get().takenUp()
                || (kept.isPresent() ? !kept.get().equals(job()) : !history.get().past().isEmpty());
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
        show(History.of(job));
        conditions.set(Conditions.REST);
        trail.forget();
        focus.set(first(job));
    }

    private static Optional<CircuitId> first(Job job) {
        return job.circuits().stream()
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
     * Makes an edit.
     *
     * @throws IllegalArgumentException when it does not fit the job, which stays as it was
     */
    public void perform(Edit edit) {
        show(history.get().then(edit));
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
    public Workbench successor(Function<Job, Lettering> words, UserUnits read) {
        var next = new Workbench(clock, words, read);
        next.document.set(document.get());
        next.conditions.set(conditions.get());
        next.show(history.get());
        next.focus.set(focus.get());
        next.whole.set(whole.get());
        next.manner.set(manner.get());
        next.selection.set(selection.get());
        return next;
    }

    /** Puts a control into a position. */
    public void set(String control, String position) {
        conditions.set(conditions.get().with(control, position));
    }

    /** Puts a control into its next position, the first after the last. */
    public void advance(String name) {
        Controls.of(job())
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
        boolean sameDesign = isSameDesign(job(), next.present());
        trial.set(Optional.empty());
        group.set(group.get().filter(kept -> kept <= next.past().size()));
        history.set(next);
        if (!selection.get().isIn(job())) {
            selection.set(new Selection.Nothing());
        }
        if (focus.get().filter(id -> job().find(id).isEmpty()).isPresent()) {
            focus.set(first(job()));
        }
        solve();
        if (!sameDesign) {
            draw();
            drawWhole();
        }
        engine.offerNoMore();
        engine.assess(
                job(),
                found -> {
                    assessed.set(Optional.of(found));
                    engine.offer(found.assessment(), this::offered);
                });
    }

    private void offered(Assessed found) {
        if (found.job() == job()) {
            offered.set(Optional.of(found));
        }
    }

    /**
     * Whether two jobs differ in no part, wire or rule, so that drawings and plans of one hold for
     * the other.
     */
    private static boolean isSameDesign(Job one, Job other) {
        return one.parts().equals(other.parts())
                && one.wires().equals(other.wires())
                && one.rules().equals(other.rules())
                && one.vehicle().equals(other.vehicle());
    }

    private void drawWhole() {
        if (!whole.get()) {
            panorama.set(Optional.empty());
            return;
        }
        var job = job();
        engine.drawWhole(
                job,
                letterings.apply(job),
                manner.get(),
                found -> panorama.set(Optional.of(new ForJob<>(job, found))));
    }

    private void solve() {
        engine.solve(
                solved(),
                trail.leadingTo(conditions.get()),
                found -> outcome.set(Optional.of(found)));
    }

    private void draw() {
        var circuit = focus.get().filter(id -> job().find(id).isPresent());
        if (circuit.isEmpty()) {
            engine.forgetCircuit();
            drawing.set(Optional.empty());
            plan.set(Optional.empty());
            return;
        }
        var job = job();
        engine.draw(
                job,
                circuit.get(),
                letterings.apply(job),
                manner.get(),
                found -> drawing.set(Optional.of(new ForJob<>(job, found))));
        engine.plan(job, circuit.get(), found -> plan.set(Optional.of(new ForJob<>(job, found))));
    }

    @Override
    public void close() {
        engine.close();
    }
}
