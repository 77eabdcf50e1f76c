package aficion.job;

/**
 * One vehicle being rewired: what is to be built, and what has been done of it. Immutable.
 *
 * @param design what is to be built
 * @param work what has been done; it speaks of nothing that the design does not hold
 */
public record Job(Design design, Work work) {

    /**
     * What was let stand of a part or a wire that is gone ends with it, since names are used again.
     *
     * @throws InvalidJob when what was done is of a circuit that is not there
     */
    public Job {
        var problems = JobProblem.of(design, work);
        if (!problems.isEmpty()) {
            throw new InvalidJob(problems);
        }
        work = work.of(design);
    }

    /** A design that nothing has been done of yet. */
    public static Job of(Design design) {
        return new Job(design, Work.NONE);
    }

    /** The work on another design; what was done of a circuit that is gone goes with it. */
    public Job with(Design changed) {
        return new Job(changed, work.of(changed));
    }

    /** The same design with other work noted. */
    public Job with(Work changed) {
        return new Job(design, changed);
    }
}
