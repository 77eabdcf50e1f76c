package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.size.Assessment;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
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
                .flatMap(key -> {
                    Map<String, List<PartId>> held =
                            Wants.of(assessment.design()).stream()
                                    .filter(want -> isForTheRoad(want.part()))
                                    .flatMap(want -> held(assessment, key, want).stream())
                                    .collect(
                                            Collectors.groupingBy(
                                                    Held::position,
                                                    LinkedHashMap::new,
                                                    Collectors.mapping(
                                                            Held::part, Collectors.toList())));
                    return held.entrySet().stream()
                            .map(each ->
                                    new PathFinding.OnlyWhileHeld(
                                            each.getValue().getFirst(),
                                            each.getKey(),
                                            each.getValue().stream().distinct().toList()));
                });
    }

    /** What works only while the key is held there. */
    private record Held(PartId part, String position) {}

    private static boolean isForTheRoad(Part part) {
        return part.kind() instanceof LoadKind.Lamp
                || part.kind() instanceof LoadKind.Gauge
                || part.kind() instanceof LoadKind.WiperMotor;
    }

    private static Optional<Held> held(Assessment assessment, Control key, Wants want) {
        var positions = new TreeSet<String>();
        for (var point : assessment.worst().points()) {
            var position = Controls.position(key, point.conditions());
            if (!positions.contains(position) && want.metIn(point)) {
                if (!key.springs(position)) {
                    return Optional.empty();
                }
                positions.add(position);
            }
        }
        return positions.stream().findFirst().map(at -> new Held(want.part().id(), at));
    }
}
