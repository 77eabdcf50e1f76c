package aficion.job.edit;

import aficion.job.Body;
import aficion.job.Design;
import aficion.job.Laid;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.quantity.Metres;
import aficion.route.Covering;
import aficion.route.Plan;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** A change of the vehicle's body, or of what stands where in it. */
public sealed interface BodyEdit extends Edit {

    /** Lays the harness into another body, or into none. */
    record SetBody(Optional<Body> body) implements BodyEdit {
        @Override
        public Design apply(Design design) {
            return design.withBody(body);
        }
    }

    /** Says how long a run is by string, or leaves it to the plan. */
    record Measure(RunId run, Optional<Metres> length) implements BodyEdit {
        @Override
        public Design apply(Design design) {
            return plan(design, plan -> plan.with(plan.run(run).measuring(length)));
        }
    }

    /** Dresses a run otherwise, or leaves it bare. */
    record Dress(RunId run, Optional<Covering> covering) implements BodyEdit {
        @Override
        public Design apply(Design design) {
            return plan(design, plan -> plan.with(plan.run(run).in(covering)));
        }
    }

    /** Makes a station something else: a hole with a bore, a plug, a place where wires leave. */
    record SetStation(Station station) implements BodyEdit {
        @Override
        public Design apply(Design design) {
            return plan(design, plan -> plan.with(station));
        }
    }

    /** Parts a run by a new station. */
    record Split(RunId run, Station station) implements BodyEdit {
        @Override
        public Design apply(Design design) {
            return plan(design, plan -> plan.split(run, station));
        }
    }

    /** Puts a part at another station. */
    record Stand(PartId part, StationId station) implements BodyEdit {
        @Override
        public Design apply(Design design) {
            var there = body(design).plan().station(station).zone();
            return Changing.part(design, part, found -> found.withZone(there))
                    .withBody(Optional.of(body(design).standing(part, station)));
        }
    }

    /** Lays wires along the body that were given a length: it follows their runs from then on. */
    record LayAlong(List<WireId> wires) implements BodyEdit {
        public LayAlong {
            wires = List.copyOf(wires);
        }

        /** Those of which nobody has measured the length. */
        public static LayAlong assumed(Design design) {
            return of(design, wire -> wire.length() instanceof RunLength.Assumed);
        }

        /**
         * Those for which something holds. A lead that is stated to go without a guard keeps the
         * length that is its reason.
         */
        public static LayAlong of(Design design, Predicate<Wire> which) {
            return new LayAlong(
                    design.wires().stream()
                            .filter(wire -> wire.laid() instanceof Laid.Stated)
                            .filter(wire -> wire.unguarded().isEmpty())
                            .filter(which)
                            .map(Wire::id)
                            .toList());
        }

        @Override
        public Design apply(Design design) {
            body(design);
            var laid = Set.copyOf(wires);
            return design.withWires(
                    design.wires().stream()
                            .map(wire ->
                                    laid.contains(wire.id())
                                            ? wire.withLaid(
                                                    Laid.Routed.by(Optional.empty(), wire.slack()))
                                            : wire)
                            .toList());
        }
    }

    private static Design plan(Design design, UnaryOperator<Plan> change) {
        var body = body(design);
        return design.withBody(Optional.of(body.with(change.apply(body.plan()))));
    }

    private static Body body(Design design) {
        return design.body()
                .orElseThrow(() -> new IllegalArgumentException("the vehicle has no body yet"));
    }
}
