package aficion.check.protection;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.WorkshopPractice;
import aficion.job.edit.Edit;
import aficion.quantity.Metres;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.Guards;
import java.util.List;
import java.util.stream.Stream;

/**
 * Leads stated to go without a guard that are not what they are stated to be: the starter's feed
 * that leads to no starter, the lead within reach that is longer or ends at no guard, the short and
 * sleeved one that is long. Such a lead burns unseen.
 */
public final class LeadLimitRule implements Rule {
    /** How long a lead that goes short and sleeved to its first guard may be, metres. */
    private static final double SHORT = Guards.REACH;

    /** How long a charging lead may be where the house has it short and heavy, metres. */
    private static final double CHARGING = 1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().wires().stream()
                .filter(wire -> assessment.guard(wire.id()) instanceof Guard.Unguarded)
                .filter(wire -> wire.unguarded().isPresent() && !holds(assessment, wire))
                .map(wire ->
                        new PathFinding.LeadBeyondItsLimits(
                                wire.id(),
                                new Metres(wire.length().metres().value()),
                                remedies(assessment, wire)));
    }

    private static boolean holds(Assessment assessment, Wire wire) {
        var design = assessment.design();
        double metres = wire.length().metres().value();
        return switch (wire.unguarded().orElseThrow()) {
            case STARTER_FEED -> cranks(assessment, wire);
            case WITHIN_REACH -> metres <= SHORT && endsAtGuard(design, wire);
            case SHORT_AND_SLEEVED ->
                    metres <= SHORT
                            || metres <= CHARGING
                                    && design.rules().workBy(WorkshopPractice.CHARGE_SHORT)
                                    && charges(design, wire);
        };
    }

    /** Whether away from the source it leads to what turns the engine. */
    private static boolean cranks(Assessment assessment, Wire wire) {
        return assessment.beyond(wire).stream()
                .anyMatch(end ->
                        LoadKind.cranks(assessment.design().part(end.part()).kind())
                                && !end.pin().equals("50")
                                && !end.pin().equals("15a"));
    }

    private static boolean endsAtGuard(Design design, Wire wire) {
        return wire.terminals().stream()
                .anyMatch(end ->
                        design.part(end.part()).kind().seats().stream()
                                .anyMatch(seat -> seat.meets(end.pin())));
    }

    private static boolean charges(Design design, Wire wire) {
        return wire.terminals().stream()
                .anyMatch(end ->
                        design.part(end.part()).kind() instanceof SourceKind
                                && (end.pin().equals("B+") || end.pin().equals("A")));
    }

    private static List<Edit> remedies(Assessment assessment, Wire wire) {
        var sizing = assessment.sizings().get(wire.id());
        return sizing == null || wire.unguarded().filter(Unguarded.STARTER_FEED::equals).isPresent()
                ? List.of()
                : NoGuardRule.remedies(assessment, sizing);
    }
}
