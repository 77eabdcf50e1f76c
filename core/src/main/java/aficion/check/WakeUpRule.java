package aficion.check;

import aficion.job.School;
import aficion.job.SourceKind.Alternator;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** Alternators with a warning lamp to wake them where the house has one that wakes by itself. */
final class WakeUpRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return job.rules().workBy(School.ONE_WIRE)
                ? job.parts().stream()
                        .filter(part ->
                                part.kind() instanceof Alternator alternator
                                        && alternator.wakes() != Alternator.Style.ONE_WIRE)
                        .map(part -> new Finding.WakesOtherwise(part.id()))
                : Stream.empty();
    }
}
