package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import java.util.List;
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
        return keys(assessment.design()).stream()
                .map(key -> answers.demand(key.withLevel(wiper.level(), level)))
                .anyMatch(outcome ->
                        outcome instanceof Outcome.Solved(var point)
                                && Math.abs(point.branchAmps(body))
                                        > RUNS * wiper.running().value());
    }

    /** At rest in each position of the key that stays. */
    private static List<Conditions> keys(Design design) {
        return Controls.of(design)
                .key()
                .map(key ->
                        key.positions().stream()
                                .filter(position -> !position.springs())
                                .map(position -> Conditions.REST.with(key.name(), position.name()))
                                .toList())
                .orElse(List.of(Conditions.REST));
    }
}
