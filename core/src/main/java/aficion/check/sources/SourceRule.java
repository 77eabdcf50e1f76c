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
        var answers = assessment.answers();
        return assessment.design().parts().stream()
                .filter(SourceRule::charges)
                .limit(1)
                .flatMap(part ->
                        SPEEDS.stream()
                                .flatMap(speed -> found(assessment, answers, part, speed).stream())
                                .limit(1));
    }

    private static boolean charges(Part part) {
        return part.kind() instanceof SourceKind.Alternator
                || part.kind() instanceof SourceKind.Dynamo
                || part.kind() instanceof SourceKind.RegulatorRectifier;
    }

    /** The heaviest state at a speed, where the battery pays in it; not where it never charges. */
    private static Optional<Finding> found(
            Assessment assessment, Answers answers, Part source, Rpm speed) {
        return assessment.worst().bases().stream()
                .filter(base -> Supply.of(base).generated().value() > PAYS)
                .map(OperatingPoint::conditions)
                .filter(state -> state.engine().value() > 0 && state.charge().value() == 1)
                .filter(state -> !OperatingStates.isOff(assessment.netlist().controls(), state))
                .flatMap(state -> supply(answers, state.withEngine(speed)).stream())
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
