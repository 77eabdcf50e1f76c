package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.SourceKind;
import aficion.size.Assessment;
import aficion.size.WorstCase.Trouble;
import aficion.solve.Outcome;
import java.util.Comparator;
import java.util.stream.Stream;

/** States that could not be worked out: what is not known must not pass for sound. */
public final class UnknownRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var source =
                assessment.design().parts().stream()
                        .min(Comparator.comparing(part -> !(part.kind() instanceof SourceKind)));
        return assessment.worst().troubles().stream()
                .filter(trouble -> trouble.outcome() instanceof Outcome.Unsolvable)
                .limit(1)
                .map(Trouble::conditions)
                .flatMap(state ->
                        source.stream()
                                .map(part -> new PathFinding.StateUnknown(part.id(), state)));
    }
}
