package aficion.harness;

import aficion.job.Wire;
import aficion.quantity.Ratio;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How much of what it may carry for good the wire of a run carries that comes closest to it.
 *
 * @param wire that wire
 * @param share of what it may carry where it runs
 */
public record Load(Wire wire, Ratio share) {

    /** The heaviest load of some wires at an operating point; empty where nothing is sized. */
    public static Optional<Load> of(
            Assessment assessment, OperatingPoint point, Iterable<Wire> riders) {
        Optional<Load> most = Optional.empty();
        for (var wire : riders) {
            var load =
                    assessment
                            .sizing(wire.id())
                            .map(sizing ->
                                    new Load(
                                            wire,
                                            new Ratio(
                                                    Math.abs(point.through(wire).value())
                                                            / sizing.carries().result().value())));
            most =
                    Stream.concat(most.stream(), load.stream())
                            .max(Comparator.comparingDouble(each -> each.share.value()));
        }
        return most;
    }
}
