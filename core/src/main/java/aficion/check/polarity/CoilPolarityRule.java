package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** Ignition coils whose primary current runs from 1 to 15. */
public final class CoilPolarityRule implements Rule {
    private static final double RUNS = 0.2;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.IgnitionCoil)
                .filter(part ->
                        assessment
                                .worst()
                                .steady(part.id(), "body")
                                .filter(peak -> peak.amps().value() < -RUNS)
                                .isPresent())
                .map(part ->
                        new Finding.CoilReversed(
                                part.id(), Exchanges.of(assessment.design(), part, "15", "1")));
    }
}
