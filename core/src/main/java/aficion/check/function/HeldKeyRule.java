package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Quiet;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Lamps, gauges and wipers that work in no position of the key but one that springs back: their
 * fuse hangs on the terminal of the starter or of the heater plugs.
 */
public final class HeldKeyRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.netlist().controls().key().stream()
                .flatMap(key -> held(assessment, key).stream())
                .collect(
                        Collectors.groupingBy(
                                Held::position,
                                LinkedHashMap::new,
                                Collectors.mapping(Held::part, Collectors.toList())))
                .entrySet()
                .stream()
                .map(each ->
                        new PathFinding.OnlyWhileHeld(
                                each.getValue().getFirst(),
                                each.getKey(),
                                each.getValue().stream().distinct().toList()));
    }

    private static List<Held> held(Assessment assessment, Control key) {
        return Quiet.found(
                assessment,
                HeldKeyRule.class,
                Wants.sight(assessment),
                List.of(),
                () ->
                        Wants.of(assessment).stream()
                                .filter(want -> isForTheRoad(want.part()))
                                .flatMap(want -> held(assessment, key, want).stream())
                                .toList());
    }

    /** What works only while the key is held there. */
    private record Held(PartId part, String position) {}

    private static boolean isForTheRoad(Part part) {
        return part.kind() instanceof LoadKind.Lamp
                || part.kind() instanceof LoadKind.Gauge
                || part.kind() instanceof LoadKind.WiperMotor;
    }

    private static Optional<Held> held(Assessment assessment, Control key, Wants want) {
        var points = assessment.worst().points();
        Function<OperatingPoint, String> position =
                point -> Controls.position(key, point.conditions());
        boolean otherwise =
                points.stream()
                        .filter(point -> !key.springs(position.apply(point)))
                        .anyMatch(want::metIn);
        return otherwise
                ? Optional.empty()
                : points.stream()
                        .filter(want::metIn)
                        .map(position)
                        .min(Comparator.naturalOrder())
                        .map(at -> new Held(want.part().id(), at));
    }
}
