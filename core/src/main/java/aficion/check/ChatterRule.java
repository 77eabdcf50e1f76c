package aficion.check;

import aficion.size.Assessment;
import aficion.solve.Outcome;
import java.util.stream.Stream;

/** Relays that never come to rest in some state. */
final class ChatterRule implements Rule {
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
