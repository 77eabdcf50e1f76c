package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.size.Assessment;
import aficion.solve.Answers;
import aficion.solve.Outcome;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Fuel pumps that run with the key on and the engine still, no oil pressure and nothing else to say
 * it turns: after a crash they go on. Known by their name.
 */
public final class PumpRule implements Rule {
    private static final double RUNS = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var answers = assessment.answers();
        return assessment.design().parts().stream()
                .filter(PumpRule::isFuelPump)
                .flatMap(part ->
                        running(assessment, answers, part)
                                .map(state -> new PathFinding.PumpRuns(part.id(), state))
                                .stream());
    }

    private static boolean isFuelPump(Part part) {
        boolean turns =
                part.kind() instanceof LoadKind.Motor || part.kind() instanceof LoadKind.Load;
        var name = part.name().toLowerCase(Locale.ROOT);
        return turns && name.contains("pump") && (name.contains("fuel") || name.contains("petrol"));
    }

    private static Optional<Conditions> running(Assessment assessment, Answers answers, Part part) {
        var controls = assessment.netlist().controls();
        var empty = Conditions.REST;
        for (var level : controls.levels()) {
            empty = empty.withLevel(level, 0);
        }
        return OperatingStates.staying(controls, empty).stream()
                .filter(state ->
                        answers.demand(state) instanceof Outcome.Solved(var point)
                                && point.across(part.id(), "body")
                                        .filter(volts ->
                                                Math.abs(volts.value())
                                                        > RUNS
                                                                * assessment
                                                                        .design()
                                                                        .vehicle()
                                                                        .system()
                                                                        .value())
                                        .isPresent())
                .findFirst();
    }
}
