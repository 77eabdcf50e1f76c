package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import java.util.stream.Stream;

/** Relays that never come to rest in some state. */
public final class ChatterRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.worst().troubles().stream()
                .flatMap(trouble ->
                        trouble.outcome() instanceof Outcome.Chattering(var relays)
                                ? relays.stream()
                                : Stream.empty())
                .distinct()
                .map(Finding.RelaysChatter::new);
    }
}
