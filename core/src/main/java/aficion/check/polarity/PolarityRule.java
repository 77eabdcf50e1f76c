package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** Diode lamps and buzzers that only ever see volts the wrong way round. */
public final class PolarityRule implements Rule {
    private static final double SEEN = 2;
    private static final double FORWARD = 0.5;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part ->
                        part.kind() instanceof LoadKind.LedLamp
                                || part.kind() instanceof LoadKind.Buzzer)
                .flatMap(part -> reversed(assessment, part));
    }

    private static Stream<Finding> reversed(Assessment assessment, Part part) {
        return assessment.worst().volts(part.id(), "body").stream()
                .filter(span -> span.least().value() < -SEEN && span.most().value() < FORWARD)
                .map(span ->
                        new Finding.PolarityReversed(
                                part.id(),
                                new Volts(-span.least().value()),
                                Exchanges.of(assessment.design(), part, "+", "31")));
    }
}
