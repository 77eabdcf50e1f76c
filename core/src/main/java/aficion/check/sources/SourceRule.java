package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Rpm;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Sources that with everything on that stays on and a full battery give less than is drawn: on the
 * road, else when cruising, else at idle; the fastest speed at which it is so is told.
 */
public final class SourceRule implements Rule {
    private static final double PAYS = 0.5;
    private static final Rpm CRUISE = new Rpm(2000);
    private static final List<Rpm> SPEEDS =
            List.of(OperatingStates.ROAD, CRUISE, OperatingStates.IDLE);

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(SourceRule::charges)
                .limit(1)
                .flatMap(part -> {
                    var states = charging(assessment);
                    return SPEEDS.stream()
                            .flatMap(speed -> found(assessment, states, part, speed).stream())
                            .limit(1);
                });
    }

    private static boolean charges(Part part) {
        return part.kind() instanceof SourceKind.Alternator
                || part.kind() instanceof SourceKind.Dynamo
                || part.kind() instanceof SourceKind.RegulatorRectifier;
    }

    /** The heaviest states with the key on, with a full battery, in which the source gives. */
    private static List<Conditions> charging(Assessment assessment) {
        return assessment.worst().bases().stream()
                .filter(base -> base.conditions().engine().value() > 0)
                .filter(base -> base.conditions().charge().value() == 1)
                .filter(base -> Supply.of(base).generated().value() > PAYS)
                .map(OperatingPoint::conditions)
                .filter(state -> !OperatingStates.isOff(assessment.netlist().controls(), state))
                .toList();
    }

    /** The heaviest of those states at a speed, where the battery pays in it. */
    private static Optional<Finding> found(
            Assessment assessment, List<Conditions> states, Part source, Rpm speed) {
        return states.stream()
                .flatMap(state -> supply(assessment.answers(), state.withEngine(speed)).stream())
                .max(Comparator.comparingDouble(supply -> supply.drawn().value()))
                .filter(supply -> supply.battery().value() > PAYS)
                .map(supply ->
                        new Finding.SourceTooSmall(
                                source.id(), supply.drawn(), supply.generated(), speed));
    }

    private static Optional<Supply> supply(Answers answers, Conditions state) {
        return answers.demand(state).settled().map(Supply::of);
    }
}
