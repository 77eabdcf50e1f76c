package aficion.check.finding;

import aficion.size.Assessment;
import java.util.stream.Stream;

/** Finds one kind of mistake in a job. */
public interface Rule {
    Stream<Finding> check(Assessment assessment);
}
