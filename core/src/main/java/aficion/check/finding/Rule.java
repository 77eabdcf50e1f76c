package aficion.check.finding;

import aficion.job.PartId;
import aficion.size.Assessment;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds one kind of mistake in a job. */
public interface Rule {
    Stream<Finding> check(Assessment assessment);

    /** All that it finds. */
    default List<Finding> all(Assessment assessment) {
        return check(assessment).toList();
    }

    /** What a rule finds, worked out once. */
    static List<Finding> found(Rule rule, Assessment assessment) {
        return assessment.once(rule.getClass(), () -> rule.all(assessment));
    }

    /** The parts that those rules name: what else is wrong with them follows from that. */
    static Set<PartId> named(Assessment assessment, Rule... rules) {
        return Stream.of(rules)
                .flatMap(rule -> found(rule, assessment).stream())
                .flatMap(finding -> finding.subject().named().stream())
                .collect(Collectors.toSet());
    }
}
