package aficion.check.finding;

import aficion.size.Assessment;
import java.util.List;

/**
 * A rule that heeds parts and between which terminals wires lead, and nothing else of them: where
 * it found nothing it finds nothing, however they are cut and laid.
 */
public interface EndsRule extends Rule {
    @Override
    default List<Finding> all(Assessment assessment) {
        return Quiet.found(
                assessment,
                getClass(),
                EndsRule.class,
                List.of(),
                () -> check(assessment).toList());
    }
}
