package aficion.check.sizing;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.size.WorstCase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Contacts, connectors and earths that lose more than one of them may: at 12 V 0.3 V a switch or
 * relay, 0.1 V a joint or an earth (docs/SOURCES.md), in proportion at other volts.
 */
public final class JointRule implements Rule {
    private static final double SWITCH = 0.3;
    private static final double JOINT = 0.1;

    /** A joint as it should be, ohms (typical). */
    private static final Ohms CLEAN = new Ohms(0.001);

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        Stream.concat(
                                part.kind().passes().stream()
                                        .flatMap(pass ->
                                                found(assessment, part, pass.role()).stream()),
                                Stream.of("joint", "mount")
                                        .flatMap(role -> found(assessment, part, role).stream())));
    }

    private static Optional<Finding> found(Assessment assessment, Part part, String role) {
        double limit = limit(part) * assessment.design().vehicle().system().value() / 12;
        return assessment
                .worst()
                .steady(part.id(), role)
                .filter(peak -> lost(assessment, part, role, peak) > limit)
                .map(peak ->
                        new PathFinding.JointLoses(
                                part.id(),
                                role,
                                new Amps(Math.abs(peak.amps().value())),
                                new Volts(lost(assessment, part, role, peak)),
                                new Volts(limit),
                                remedies(part)));
    }

    private static double limit(Part part) {
        return part.kind() instanceof ControlKind ? SWITCH : JOINT;
    }

    private static double lost(Assessment assessment, Part part, String role, WorstCase.Peak peak) {
        int branch = assessment.netlist().inside(part.id()).get(role);
        return assessment.worst().metal().joins(peak.point(), branch)
                ? Math.abs(peak.point().branchVolts(branch))
                : 0;
    }

    private static List<Edit> remedies(Part part) {
        return part.kind() instanceof JoinKind.EarthPoint(var mass, var joint)
                        && joint.value() > CLEAN.value()
                ? List.of(new PartEdit.Refit(part.id(), new JoinKind.EarthPoint(mass, CLEAN)))
                : List.of();
    }
}
