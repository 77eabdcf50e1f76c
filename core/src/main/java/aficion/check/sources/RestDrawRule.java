package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Part;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What draws current with everything off, from whatever state that was come to: a clock by intent,
 * a fan or a latched relay by mistake.
 */
public final class RestDrawRule implements Rule {
    private static final double DRAWS = 0.05;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind().consumes())
                .flatMap(part -> drawn(assessment, part).stream());
    }

    private static Optional<Finding> drawn(Assessment assessment, Part part) {
        return assessment.netlist().inside(part.id()).keySet().stream()
                .filter(role -> !role.equals("mount"))
                .flatMap(role -> assessment.worst().atRest(part.id(), role).stream())
                .map(peak -> Math.abs(peak.amps().value()))
                .filter(amps -> amps > DRAWS)
                .max(Comparator.naturalOrder())
                .map(amps -> new Finding.DrawsAtRest(part.id(), new Amps(amps), works(part)));
    }

    private static boolean works(Part part) {
        return !part.kind().lightPins().isEmpty() || !part.kind().turning().isEmpty();
    }
}
