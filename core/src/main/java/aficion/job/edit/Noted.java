package aficion.job.edit;

import aficion.job.Job;
import java.util.List;

/** An edit with the notes of work that come with it, as one step. */
public record Noted(Edit edit, List<WorkEdit> notes) implements Step {
    public Noted {
        notes = List.copyOf(notes);
    }

    @Override
    public Job apply(Job job) {
        var next = edit.apply(job);
        for (var note : notes) {
            next = note.apply(next);
        }
        return next;
    }
}
