package aficion.check.protection;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.Guards;
import aficion.size.Metal;
import aficion.size.ShortCircuit;
import aficion.size.WorstCase;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Guards that feed one circuit together: with one of them out, both its sides are still live from
 * the same battery, by way of another. Worse where a wire behind them bears what one of them passes
 * for good, and not what both do.
 */
public final class TwoGuardsRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var seats = FuseSeat.of(assessment.design());
        return seats.size() < 2 ? Stream.empty() : new Trial(assessment, seats).found();
    }

    /** What warms a wire to the limit of its cover where it runs, in amps. */
    private static double bears(Wire wire) {
        return ShortCircuit.of(wire).forGood();
    }

    /**
     * Pulls one guard after the other, in every state with most on, and in one in which metal leads
     * past it where it does not in these. That two hands at once join two feeds, a key and a push
     * that both crank, is no fault.
     */
    private static final class Trial {
        private final Netlist netlist;
        private final Metal metal;
        private final Answers answers;
        private final Guards guarding;
        private final List<FuseSeat> seats;
        private final List<Conditions> states;
        private final Map<Conditions, Optional<Metal.Bond>> tried = new HashMap<>();
        private final Map<Conditions, Boolean> fedWithout = new HashMap<>();

        Trial(Assessment assessment, List<FuseSeat> seats) {
            this.netlist = assessment.netlist();
            this.metal = assessment.worst().metal();
            this.answers = assessment.answers();
            this.guarding = assessment.guarding();
            this.seats = seats;
            this.states = states(assessment.worst());
        }

        private List<Conditions> states(WorstCase worst) {
            var most = standing(worst.bases());
            var states = new LinkedHashSet<Conditions>();
            most.forEach(point -> states.add(point.conditions()));
            var left = new BitSet();
            seats.stream().map(this::branch).filter(metal::leadsPast).forEach(left::set);
            addWherePast(left, most, states);
            if (!left.isEmpty()) {
                addWherePast(left, standing(worst.points()), states);
            }
            return List.copyOf(states);
        }

        /** Adds the first state in which metal leads past each of those that are left. */
        private void addWherePast(
                BitSet left, List<OperatingPoint> points, Set<Conditions> states) {
            for (var point : points) {
                if (left.isEmpty()) {
                    return;
                }
                var led = metal.ledPast(point);
                if (led.intersects(left)) {
                    states.add(point.conditions());
                    left.andNot(led);
                }
            }
        }

        /** With the engine still, and one control at most held by a hand. */
        private List<OperatingPoint> standing(List<OperatingPoint> points) {
            var controls = netlist.controls();
            return points.stream()
                    .filter(point -> point.conditions().engine().value() == 0)
                    .filter(point -> OperatingStates.held(controls, point.conditions()) <= 1)
                    .toList();
        }

        Stream<Finding> found() {
            return IntStream.range(0, seats.size())
                    .boxed()
                    .flatMap(i -> found(i).stream())
                    .flatMap(two -> Stream.concat(Stream.of(two), together(two).stream()));
        }

        /** The weakest wire that both feed from one side, where it bears one of them, not both. */
        private Optional<Finding> together(PathFinding.TwoGuards two) {
            var without = two.when().withPulled(two.fuse(), true).withPulled(two.other(), true);
            return answers.demand(without)
                    .settled()
                    .flatMap(point ->
                            netlist.design().wires().stream()
                                    .filter(wire -> carries(two, wire).size() == 2)
                                    .filter(wire -> takesBoth(two, wire, point))
                                    .min(Comparator.comparingDouble(TwoGuardsRule::bears)))
                    .flatMap(wire -> together(two, wire));
        }

        private Optional<Finding> together(PathFinding.TwoGuards two, Wire wire) {
            var carries = carries(two, wire);
            double bears = bears(wire);
            double pass = carries.stream().mapToDouble(amps -> amps).sum();
            return carries.stream().allMatch(amps -> amps <= bears) && pass > bears
                    ? Optional.of(
                            new PathFinding.GuardsTogether(
                                    two.fuse(),
                                    two.other(),
                                    new Amps(pass),
                                    wire.id(),
                                    new Amps(bears)))
                    : Optional.empty();
        }

        /** What those of the two that guard a wire carry for good, in amps. */
        private List<Double> carries(PathFinding.TwoGuards two, Wire wire) {
            return guarding.of(wire.id()) instanceof Guard.Guarded(var fuses)
                    ? fuses.stream()
                            .filter(fuse ->
                                    fuse.seat().equals(two.fuse())
                                            || fuse.seat().equals(two.other()))
                            .map(fuse -> fuse.carries().value())
                            .toList()
                    : List.of();
        }

        /** Whether one end of a wire is fed by both without it. */
        private boolean takesBoth(PathFinding.TwoGuards two, Wire wire, OperatingPoint point) {
            int branch = netlist.branch(wire);
            var bond = metal.in(point);
            var outs =
                    Stream.of(two.fuse(), two.other())
                            .map(this::branch)
                            .flatMap(fuse -> Stream.of(netlist.a(fuse), netlist.b(fuse)))
                            .filter(node -> bond.batteries(node).isEmpty() && !bond.earthed(node))
                            .toList();
            return Stream.of(netlist.a(branch), netlist.b(branch))
                    .anyMatch(end ->
                            outs.stream()
                                    .allMatch(out ->
                                            out.equals(end)
                                                    || netlist.leads(
                                                            out,
                                                            end,
                                                            i ->
                                                                    i != branch
                                                                            && metal.joins(
                                                                                    point, i))));
        }

        private Optional<PathFinding.TwoGuards> found(int index) {
            var seat = seats.get(index);
            return states.stream()
                    .filter(state -> isFedWithout(seat, state))
                    .findFirst()
                    .flatMap(state ->
                            other(state, index)
                                    .map(other -> new PathFinding.TwoGuards(seat, other, state)));
        }

        /**
         * The guard by way of which alone another is fed behind, where that stands the other way
         * round as well: no third way feeds what is behind it.
         */
        private Optional<FuseSeat> other(Conditions state, int index) {
            var seat = seats.get(index);
            var vital = bond(state.withPulled(seat, true)).flatMap(bond -> vital(seat, bond));
            return seats.stream()
                    .skip(index + 1L)
                    .filter(other -> vital.map(way -> way.contains(branch(other))).orElse(true))
                    .filter(other -> isFedWithout(other, state))
                    .filter(other ->
                            !isFed(
                                    seat,
                                    pulled(state.withPulled(other, true).withPulled(seat, true))))
                    .findFirst();
        }

        /** What leads past a guard and cannot be spared; empty where metal does not lead past. */
        private Optional<Set<Integer>> vital(FuseSeat seat, Metal.Bond bond) {
            int a = netlist.a(branch(seat));
            int b = netlist.b(branch(seat));
            return bond.together(a, b) ? Optional.of(bond.between(a, b)) : Optional.empty();
        }

        private boolean isFedWithout(FuseSeat seat, Conditions state) {
            return fedWithout.computeIfAbsent(
                    state.withPulled(seat, true),
                    without -> metal.leadsPast(branch(seat)) && isFed(seat, bond(without)));
        }

        /** Whether both sides of a guard come to the same battery. */
        private boolean isFed(FuseSeat seat, Optional<Metal.Bond> bond) {
            int branch = branch(seat);
            return bond.filter(found ->
                            found.batteries(netlist.a(branch)).stream()
                                    .anyMatch(found.batteries(netlist.b(branch))::contains))
                    .isPresent();
        }

        private int branch(FuseSeat seat) {
            return netlist.inside(seat.part()).get(seat.way());
        }

        private Optional<Metal.Bond> bond(Conditions state) {
            return tried.computeIfAbsent(state, this::pulled);
        }

        private Optional<Metal.Bond> pulled(Conditions state) {
            return answers.demand(state).settled().map(metal::in);
        }
    }
}
