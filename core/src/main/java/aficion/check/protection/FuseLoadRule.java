package aficion.check.protection;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Part;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Guard;
import java.util.List;
import java.util.stream.Stream;

/**
 * Fuses whose steady load is more of their rating than the house rule allows. The remedy is a fuse
 * that carries the load; where a wire behind it is then too thin, that wire is found next.
 */
public final class FuseLoadRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(FuseLoadRule::fuses)
                .flatMap(fuse -> finding(assessment, fuse).stream());
    }

    private static Stream<Guard.Fitted> fuses(Part part) {
        return part.kind().seats().stream().map(seat -> Guard.Fitted.of(part, seat));
    }

    private static List<Finding> finding(Assessment assessment, Guard.Fitted fuse) {
        double share = assessment.design().rules().fuseLoad().value();
        var load =
                assessment
                        .worst()
                        .steady(fuse.seat().part(), fuse.seat().way())
                        .map(peak -> Math.abs(peak.amps().value()))
                        .orElse(0.0);
        if (load <= share * fuse.carries().value() || GuardOpensRule.opens(assessment, fuse)) {
            return List.of();
        }
        var remedies =
                LargerFuse.of(
                        assessment.design(),
                        fuse,
                        (type, marking) -> type.carries(marking).value() * share >= load);
        return List.of(
                new Finding.FuseOverloaded(fuse.seat(), new Amps(load), fuse.carries(), remedies));
    }
}
