package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import java.util.stream.Stream;

/**
 * Ignition fed from a position of the key that drops while it starts: an accessory terminal instead
 * of an ignition one.
 */
public final class StartRule implements Rule {
    private static final double FED = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var key = Controls.of(design).key();
        if (key.isEmpty()) {
            return Stream.empty();
        }
        var answers = assessment.answers();
        var points =
                key.get().positions().stream()
                        .map(position ->
                                answers.solve(
                                        Conditions.REST.with(key.get().name(), position.name())))
                        .filter(Outcome.Solved.class::isInstance)
                        .map(outcome -> ((Outcome.Solved) outcome).point())
                        .toList();
        return design.parts().stream()
                .filter(part -> part.kind().ignites())
                .filter(part -> points.stream().anyMatch(point -> fed(point, part)))
                .flatMap(part ->
                        points.stream()
                                .filter(point -> cranks(assessment, point) && !fed(point, part))
                                .limit(1)
                                .map(point ->
                                        new Finding.LostInStart(
                                                part.id(),
                                                point.conditions()
                                                        .positions()
                                                        .get(key.get().name()))));
    }

    private static boolean fed(OperatingPoint point, Part part) {
        var volts = point.voltsAt(part.terminal("15"));
        double system = point.netlist().design().vehicle().system().value();
        return volts.filter(found -> Math.abs(found.value()) > FED * system).isPresent();
    }

    private static boolean cranks(Assessment assessment, OperatingPoint point) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Starter)
                .anyMatch(part ->
                        point.through(part.id(), "motor").map(Amps::value).orElse(0.0) != 0
                                && point.pulledIn(part.id()));
    }
}
