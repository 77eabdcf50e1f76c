package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.size.Assessment;
import aficion.size.WorstCase.Span;
import java.util.stream.Stream;

/** Permanent-magnet motors that only ever turn backwards; a wound field turns either way alike. */
public final class DirectionRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part ->
                        part.kind() instanceof LoadKind.Motor motor
                                && motor.excitation().orElse(LoadKind.Excitation.MAGNET)
                                        == LoadKind.Excitation.MAGNET
                                && backwards(assessment, part, motor))
                .map(part ->
                        new Finding.RunsBackwards(
                                part.id(), Exchanges.of(assessment.design(), part, "+", "31")));
    }

    /** Whether it is only ever fed the way round that turns it backwards. */
    private static boolean only(boolean turned, Span span, double enough) {
        double forwards = turned ? -span.least().value() : span.most().value();
        double backwards = turned ? span.most().value() : -span.least().value();
        return backwards > enough && forwards < enough;
    }

    private static boolean backwards(Assessment assessment, Part part, LoadKind.Motor motor) {
        double enough = 0.3 * motor.rated().value();
        return assessment
                .worst()
                .volts(part.id(), "body")
                .filter(span -> only(motor.wantsTurning(), span, enough))
                .isPresent();
    }
}
