package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.SourceKind.Alternator;
import aficion.job.WorkshopPractice;
import aficion.size.Assessment;
import java.util.stream.Stream;

/**
 * How alternators are woken: those with a warning lamp where the house has one that wakes by
 * itself, and those whose lamp terminal is joined to the battery by bare metal.
 */
public final class WakeUpRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return Stream.concat(
                design.rules().workBy(WorkshopPractice.ONE_WIRE)
                        ? otherwise(design)
                        : Stream.empty(),
                design.parts().stream()
                        .filter(part -> wakes(part, Alternator.Style.LAMP))
                        .filter(part -> assessment.worst().everLive(part.terminal("D+")))
                        .map(part -> new SourceFinding.FieldUnlimited(part.id())));
    }

    private static Stream<Finding> otherwise(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof Alternator)
                .filter(part -> !wakes(part, Alternator.Style.ONE_WIRE))
                .map(part -> new Finding.WakesOtherwise(part.id()));
    }

    private static boolean wakes(Part part, Alternator.Style style) {
        return part.kind() instanceof Alternator alternator && alternator.wakes() == style;
    }
}
