package aficion.check.protection;

import aficion.catalogue.FuseType;
import aficion.catalogue.TimeBand;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.edit.Edit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.FlowPath;
import aficion.size.Guard;
import aficion.size.WorstCase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Guards that open in an ordinary state: what lasts is more than opens them for certain, or what a
 * hand holds opens a quick one within the short time of the house.
 */
public final class GuardOpensRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind().seats().stream()
                                .flatMap(seat -> found(assessment, part, seat).stream()));
    }

    /** Whether what is asked of a fuse opens it. */
    static boolean opens(Assessment assessment, Guard.Fitted fuse) {
        return lasting(assessment, fuse).or(() -> held(assessment, fuse)).isPresent();
    }

    private static Optional<Finding> found(Assessment assessment, Part part, Kind.Seat seat) {
        var fuse = Guard.Fitted.of(part, seat);
        return lasting(assessment, fuse)
                .or(() -> held(assessment, fuse))
                .map(peak ->
                        new PathFinding.GuardOpens(
                                fuse.seat(),
                                FlowPath.load(
                                        peak.point(),
                                        assessment.netlist().inside(part.id()).get(seat.way())),
                                size(peak),
                                fuse.type().opens(fuse.marking()),
                                peak.point().conditions(),
                                larger(assessment, fuse)));
    }

    private static Optional<WorstCase.Peak> lasting(Assessment assessment, Guard.Fitted fuse) {
        return assessment
                .worst()
                .steady(fuse.seat().part(), fuse.seat().way())
                .filter(peak -> size(peak).value() >= fuse.type().opens(fuse.marking()).value());
    }

    private static Optional<WorstCase.Peak> held(Assessment assessment, Guard.Fitted fuse) {
        return assessment
                .worst()
                .held(fuse.seat().part(), fuse.seat().way())
                .filter(peak -> !stands(assessment, fuse.type(), size(peak), fuse.marking()));
    }

    /** Whether a fuse stands a current for as long as a hand holds something. */
    private static boolean stands(Assessment assessment, FuseType type, Amps held, Amps marking) {
        return type.seconds(marking, held.value(), TimeBand.Edge.FASTEST)
                > assessment.design().rules().shortTime().value();
    }

    private static Amps size(WorstCase.Peak peak) {
        return new Amps(Math.abs(peak.amps().value()));
    }

    /**
     * The smallest fuse that carries what lasts with the reserve of the house, and what is held.
     */
    private static List<Edit> larger(Assessment assessment, Guard.Fitted fuse) {
        double share = assessment.design().rules().fuseLoad().value();
        double steady =
                assessment
                        .worst()
                        .steady(fuse.seat().part(), fuse.seat().way())
                        .map(peak -> size(peak).value())
                        .orElse(0.0);
        var held =
                assessment
                        .worst()
                        .held(fuse.seat().part(), fuse.seat().way())
                        .map(GuardOpensRule::size)
                        .orElse(new Amps(0));
        return LargerFuse.of(
                assessment.design(),
                fuse,
                (type, marking) ->
                        type.carries(marking).value() * share >= steady
                                && stands(assessment, type, held, marking));
    }
}
