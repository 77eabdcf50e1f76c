package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** What ought to charge and gives nothing at road speed, whatever the key: no field, no feed. */
public final class ChargeRule implements Rule {
    private static final double GIVES = 0.1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part ->
                        part.kind() instanceof SourceKind.Alternator
                                || part.kind() instanceof SourceKind.Dynamo)
                .filter(part -> !gives(assessment, part))
                .map(part -> new Finding.NeverCharges(part.id()));
    }

    private static boolean gives(Assessment assessment, Part part) {
        return assessment.worst().bases().stream()
                .anyMatch(point ->
                        Math.abs(point.through(part.id(), "output").map(Amps::value).orElse(0.0))
                                > GIVES);
    }
}
