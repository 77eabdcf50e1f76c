package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Wipers with a park switch that stop where they are when they are switched off, or run on at rest.
 * Judged with every switch at rest but the key.
 */
public final class ParkRule implements Rule {
    private static final double RUNS = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind() instanceof LoadKind.WiperMotor wiper
                                ? found(assessment, part, wiper).stream()
                                : Stream.empty());
    }

    private static Optional<Finding> found(
            Assessment assessment, Part part, LoadKind.WiperMotor wiper) {
        if (assessment.design().wiresAt(part.terminal("53")).isEmpty()) {
            return Optional.empty();
        }
        boolean runsHome = runs(assessment, part, wiper, 1);
        boolean runsAtRest = runs(assessment, part, wiper, 0);
        return runsHome && !runsAtRest
                ? Optional.empty()
                : Optional.of(new PathFinding.NeverParks(part.id(), runsAtRest ? 1 : 0));
    }

    /** Whether it runs with its blades there in some position of the key. */
    private static boolean runs(
            Assessment assessment, Part part, LoadKind.WiperMotor wiper, double level) {
        var answers = assessment.answers();
        int body = assessment.netlist().inside(part.id()).get("body");
        return OperatingStates.staying(
                        assessment.netlist().controls(),
                        Conditions.REST.withLevel(wiper.level(), level))
                .stream()
                .map(answers::demand)
                .anyMatch(outcome ->
                        outcome instanceof Outcome.Solved(var point)
                                && Math.abs(point.branchAmps(body))
                                        > RUNS * wiper.running().value());
    }
}
