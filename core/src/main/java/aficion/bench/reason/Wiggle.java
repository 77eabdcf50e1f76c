package aficion.bench.reason;

import aficion.job.PartId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Where to move plug and leads, or to warm with a hair dryer, while what goes wrong is watched: the
 * part at which most of what is still likely sits, for its trouble.
 *
 * @param part where
 * @param weight how likely it is that it sits there, 0 to 1
 */
public record Wiggle(PartId part, double weight) {
    private static final double NOTHING = 0.01;

    /** The next part; empty where none is left that is likelier than one in a hundred. */
    static Optional<Wiggle> of(Belief belief) {
        var table = belief.table();
        var design = table.netlist().design();
        var done =
                belief.readings().stream()
                        .flatMap(reading -> moved(reading).stream())
                        .collect(Collectors.toSet());
        var weights = belief.weights();
        var parts = new HashMap<PartId, Double>();
        for (int i = 0; i < weights.length; i++) {
            double weight = weights[i];
            table.suspects().get(i).faults().stream()
                    .flatMap(fault -> fault.parts(design))
                    .distinct()
                    .forEach(part -> parts.merge(part, weight, Double::sum));
        }
        return best(belief, parts, done);
    }

    private static Optional<Wiggle> best(
            Belief belief, HashMap<PartId, Double> parts, Set<PartId> done) {
        var netlist = belief.table().netlist();
        return parts.entrySet().stream()
                .filter(each -> !done.contains(each.getKey()) && each.getValue() > NOTHING)
                .map(each -> new Wiggle(each.getKey(), each.getValue()))
                .max(
                        Comparator.comparingDouble((Wiggle each) ->
                                        each.weight / (1 + Trouble.reach(netlist, each.part)))
                                .thenComparing(each -> each.part.value()));
    }

    private static Optional<PartId> moved(Reading reading) {
        return reading.what() instanceof Measure.Told(Telltale.Moves(var part))
                ? Optional.of(part)
                : Optional.empty();
    }
}
