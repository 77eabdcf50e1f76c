package aficion.plan;

import aficion.catalogue.TaskTable;
import aficion.job.CircuitId;
import aficion.job.Diary;
import aficion.job.PartId;
import aficion.job.Work.Stage;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Metres;
import aficion.route.RunId;
import aficion.route.StationId;
import java.util.List;
import java.util.Optional;

/**
 * A piece of work.
 *
 * @param key its name among the tasks of the job: what it is and what of
 * @param of what it is about
 * @param units how many leads, wires, parts or runs it is
 * @param left how many of them are left; 0 once it is done
 * @param after the tasks that come before it, each with why
 */
public record Task(String key, Kind kind, Of of, int units, int left, List<Before> after) {

    /** The key of the task that takes the battery off. */
    static final String BATTERY_OFF = "battery-off";

    /** The key of the task that connects it again. */
    static final String POWER = "power";

    /** Kinds of work, in their usual order. */
    public enum Kind {
        SURVEY,
        MEASURE,
        TRY,
        LABEL,
        MAKE,
        HOLE,
        PANEL,
        LAY,
        BENCH,
        SLEEVE,
        BATTERY_OFF,
        COMES_OFF,
        LOOM,
        GUARDS,
        FIT,
        POWER,
        PROVE,
        TIMING,
        TRIM,
        ROAD,
        OPEN;

        /** Minutes of a unit of it, typical. */
        public double minutes() {
            return TaskTable.of(name()).minutes();
        }

        /** Whether it is worked on the vehicle, whose battery is off then. */
        public boolean isOnVehicle() {
            return switch (this) {
                case COMES_OFF, HOLE, LOOM, GUARDS, FIT -> true;
                case SURVEY,
                        MEASURE,
                        TRY,
                        LABEL,
                        MAKE,
                        LAY,
                        BENCH,
                        SLEEVE,
                        BATTERY_OFF,
                        POWER,
                        PROVE,
                        TIMING,
                        PANEL,
                        TRIM,
                        ROAD,
                        OPEN ->
                        false;
            };
        }

        /** The stage of a circuit that is finished with it; empty where none is. */
        public Optional<Stage> stage() {
            return switch (this) {
                case LABEL -> Optional.of(Stage.LABELLED);
                case MAKE -> Optional.of(Stage.MADE);
                case BENCH -> Optional.of(Stage.TESTED);
                case FIT -> Optional.of(Stage.FITTED);
                case SURVEY,
                        MEASURE,
                        TRY,
                        HOLE,
                        LAY,
                        SLEEVE,
                        BATTERY_OFF,
                        COMES_OFF,
                        LOOM,
                        GUARDS,
                        POWER,
                        PROVE,
                        TIMING,
                        PANEL,
                        TRIM,
                        ROAD,
                        OPEN ->
                        Optional.empty();
            };
        }

        /** Whether a part of its units can be done in an evening and the rest in another. */
        public boolean isParted() {
            return this == SURVEY || this == MAKE || this == LABEL || this == TRY;
        }
    }

    /** What a task is about. */
    public sealed interface Of {
        /** A circuit, and of it what is worked: wires by their numbers, or parts. */
        record OfCircuit(CircuitId circuit, List<String> wires, List<PartId> parts) implements Of {
            public OfCircuit {
                wires = List.copyOf(wires);
                parts = List.copyOf(parts);
            }
        }

        /** A run that nobody has measured. */
        record OfRun(RunId run) implements Of {}

        /**
         * A hole.
         *
         * @param bore of the grommet
         */
        record OfHole(StationId at, Metres bore) implements Of {}

        /** A loom by its number. */
        record OfLoom(int loom) implements Of {}

        /** The whole vehicle. */
        record OfVehicle() implements Of {}

        /** What was left open, in the words of the diary. */
        record OfNote(String words) implements Of {}
    }

    /** A task that comes before another. */
    public record Before(String key, Why why) {}

    public Task {
        after = List.copyOf(after);
    }

    public boolean isDone() {
        return left == 0;
    }

    /** The same, with nothing of it done. */
    Task open() {
        return new Task(key, kind, of, units, units, after);
    }

    /** The same, after others. */
    Task after(List<Before> others) {
        return new Task(key, kind, of, units, left, others);
    }

    /**
     * Notes that it is done, or that it is not: the stage of its circuit where it finishes one. A
     * battery that is taken off is no longer on.
     */
    public WorkEdit noted(boolean done) {
        var circuit = circuit();
        var stage = kind.stage();
        return circuit.isPresent() && stage.isPresent()
                ? new WorkEdit.SetStage(circuit.get(), stage.get(), done)
                : new WorkEdit.Write(WorkEdit.About.TICK, diary -> noted(diary, done));
    }

    private Diary noted(Diary diary, boolean done) {
        var noted = diary.with(key, done);
        return done && kind == Kind.BATTERY_OFF ? noted.with(POWER, false) : noted;
    }

    /** The circuit it is about; empty where it is about more, or none. */
    public Optional<CircuitId> circuit() {
        return of instanceof Of.OfCircuit(var circuit, _, _)
                ? Optional.of(circuit)
                : Optional.empty();
    }
}
