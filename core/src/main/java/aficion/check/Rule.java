package aficion.check;

import aficion.size.Assessment;
import java.util.stream.Stream;

/** Finds one kind of mistake in a job. */
interface Rule {
    Stream<Finding> check(Assessment assessment);
}
