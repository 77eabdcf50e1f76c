package aficion.check.ignition;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.check.finding.SourceFinding;
import aficion.job.ControlKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.size.Assessment;
import java.util.Optional;
import java.util.stream.Stream;

/** Plug leads of solid core on a vehicle with an electronic box: they disturb it. */
public final class PlugLeadRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var box =
                assessment.design().parts().stream()
                        .filter(part -> part.kind() instanceof ControlKind.IgnitionBox)
                        .findFirst();
        return assessment.design().parts().stream()
                .filter(PlugLeadRule::solid)
                .flatMap(part ->
                        box
                                .map(found -> new SourceFinding.SolidLeads(part.id(), found.id()))
                                .stream());
    }

    private static boolean solid(Part part) {
        return part.kind() instanceof LoadKind.IgnitionCoil coil
                && coil.leads().equals(Optional.of(LoadKind.PlugLeads.SOLID));
    }
}
