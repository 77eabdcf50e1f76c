package aficion.job;

import java.util.List;
import java.util.stream.Collectors;

/** Parts, wires and circuits that do not fit together. */
public final class InvalidJob extends IllegalArgumentException {
    private static final long serialVersionUID = 1;

    private final transient List<JobProblem> problems;

    public InvalidJob(List<JobProblem> problems) {
        super(problems.stream().map(JobProblem::text).collect(Collectors.joining("; ")));
        this.problems = List.copyOf(problems);
    }

    /** What is wrong, each with its place. */
    public List<JobProblem> problems() {
        return problems;
    }
}
