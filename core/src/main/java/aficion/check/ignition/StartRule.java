package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.stream.Stream;

/**
 * Ignition fed from a position of the key that drops while it starts, an accessory terminal instead
 * of an ignition one; and one that is fed while it starts alone.
 */
public final class StartRule implements Rule {
    private static final double FED = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return assessment.netlist().controls().key().stream()
                .flatMap(key -> {
                    var points = points(assessment.answers());
                    return design.parts().stream()
                            .filter(part -> part.kind().ignites())
                            .filter(part -> points.stream().anyMatch(point -> fed(point, part)))
                            .flatMap(part ->
                                    Stream.concat(
                                            lost(assessment, key, points, part),
                                            onlyHeld(key, points, part)));
                });
    }

    private static List<OperatingPoint> points(Answers answers) {
        return OperatingStates.keys(answers.netlist().controls(), Conditions.REST).stream()
                .map(answers::solve)
                .flatMap(outcome -> outcome.settled().stream())
                .toList();
    }

    private static Stream<Finding> lost(
            Assessment assessment, Control key, List<OperatingPoint> points, Part part) {
        return points.stream()
                .filter(point -> cranks(assessment, point) && !fed(point, part))
                .limit(1)
                .map(point -> new Finding.LostInStart(part.id(), position(key, point)));
    }

    /** An ignition that no position of the key feeds but one that springs back. */
    private static Stream<Finding> onlyHeld(Control key, List<OperatingPoint> points, Part part) {
        var fed =
                points.stream()
                        .filter(point -> fed(point, part))
                        .map(point -> position(key, point))
                        .toList();
        return fed.stream().allMatch(key::springs)
                ? Stream.of(new Finding.FedOnlyInStart(part.id(), fed.getFirst()))
                : Stream.empty();
    }

    private static String position(Control key, OperatingPoint point) {
        return Controls.position(key, point.conditions());
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
