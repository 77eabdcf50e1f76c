package aficion.job.edit;

import aficion.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A job with the way that led to it and the way that was taken back.
 *
 * @param past the steps made, oldest first
 * @param present the job as it is
 * @param future the steps taken back, the next one to make again first
 */
public record History(List<Made> past, Job present, List<Made> future) {

    /** One step that was made, and the job before and after it. */
    public record Made(Step step, Job before, Job after) {}

    public History {
        past = List.copyOf(past);
        future = List.copyOf(future);
    }

    /** A history that begins with a job. */
    public static History of(Job job) {
        return new History(List.of(), job, List.of());
    }

    /**
     * Makes a step; what had been taken back is forgotten.
     *
     * @throws IllegalArgumentException when the step does not fit the job; the history stays as it
     *     was
     */
    public History then(Step step) {
        var next = step.apply(present);
        var longer = new ArrayList<>(past);
        longer.add(new Made(step, present, next));
        return new History(longer, next, List.of());
    }

    /** The steps after the first {@code kept} as one, when there are two or more. */
    public History joined(int kept) {
        if (past.size() < kept + 2) {
            return this;
        }
        var steps = past.subList(kept, past.size());
        var edits =
                steps.stream()
                        .map(Made::step)
                        .filter(Edit.class::isInstance)
                        .map(Edit.class::cast)
                        .toList();
        var fewer = new ArrayList<>(past.subList(0, kept));
        fewer.add(
                new Made(
                        new CompositeEdit(CompositeEdit.Reason.GROUP, edits),
                        steps.getFirst().before(),
                        steps.getLast().after()));
        return new History(fewer, present, future);
    }

    /** The step that {@link #undo} would take back. */
    public Optional<Step> undoable() {
        return past.isEmpty() ? Optional.empty() : Optional.of(past.getLast().step());
    }

    /** The step that {@link #redo} would make again. */
    public Optional<Step> redoable() {
        return future.isEmpty() ? Optional.empty() : Optional.of(future.getFirst().step());
    }

    /** One step back; the same history where there is none. */
    public History undo() {
        if (past.isEmpty()) {
            return this;
        }
        var step = past.getLast();
        var ahead = new ArrayList<>(future);
        ahead.addFirst(step);
        return new History(past.subList(0, past.size() - 1), step.before(), ahead);
    }

    /** One step forward again; the same history where there is none. */
    public History redo() {
        if (future.isEmpty()) {
            return this;
        }
        var step = future.getFirst();
        var made = new ArrayList<>(past);
        made.add(step);
        return new History(made, step.after(), future.subList(1, future.size()));
    }
}
