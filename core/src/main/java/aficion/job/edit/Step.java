package aficion.job.edit;

import aficion.job.Job;

/** What takes a job to the next: a change of its design, or a note of work done. */
public sealed interface Step permits Edit, WorkEdit, Noted {

    /**
     * The job after it.
     *
     * @throws IllegalArgumentException when the job lacks what the step speaks of, or the result
     *     would not hold together
     */
    Job apply(Job job);
}
