package aficion.check.protection;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.size.Metal;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Guards that feed one circuit together: with one of them out, both its sides are still live from
 * the same battery, by way of another.
 */
public final class TwoGuardsRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var seats = FuseSeat.of(assessment.design());
        return seats.size() < 2 ? Stream.empty() : new Trial(assessment, seats).found();
    }

    /** Pulls one guard after the other, each in every state with most on, once. */
    private static final class Trial {
        private final Netlist netlist;
        private final Metal metal;
        private final Answers answers;
        private final List<FuseSeat> seats;
        private final List<Conditions> states;
        private final Map<Conditions, Optional<Metal.Bond>> tried = new HashMap<>();
        private final Map<Conditions, Boolean> fedWithout = new HashMap<>();

        Trial(Assessment assessment, List<FuseSeat> seats) {
            this.netlist = assessment.netlist();
            this.metal = assessment.worst().metal();
            this.answers = assessment.answers();
            this.seats = seats;
            this.states =
                    assessment.worst().bases().stream()
                            .map(OperatingPoint::conditions)
                            .filter(state -> state.engine().value() == 0)
                            .toList();
        }

        Stream<Finding> found() {
            return IntStream.range(0, seats.size()).boxed().flatMap(i -> found(i).stream());
        }

        private Optional<Finding> found(int index) {
            var seat = seats.get(index);
            return states.stream()
                    .filter(state -> isFedWithout(seat, state))
                    .findFirst()
                    .flatMap(state ->
                            seats.stream()
                                    .skip(index + 1L)
                                    .filter(other -> stands(state, seat, other))
                                    .findFirst()
                                    .map(other -> new PathFinding.TwoGuards(seat, other, state)));
        }

        /** Whether each of two guards is fed behind by way of the other. */
        private boolean stands(Conditions state, FuseSeat seat, FuseSeat other) {
            if (!isFedWithout(other, state) || isFedByMore(state, seat, other)) {
                return false;
            }
            return !isFed(seat, pulled(state.withPulled(other, true).withPulled(seat, true)));
        }

        /** Whether with a guard out a third way feeds what is behind it, the other out or not. */
        private boolean isFedByMore(Conditions state, FuseSeat seat, FuseSeat other) {
            return bond(state.withPulled(seat, true))
                    .filter(bond ->
                            bond.together(
                                    netlist.a(branch(seat)),
                                    netlist.b(branch(seat)),
                                    branch(other)))
                    .isPresent();
        }

        private boolean isFedWithout(FuseSeat seat, Conditions state) {
            return fedWithout.computeIfAbsent(
                    state.withPulled(seat, true),
                    without -> isBypassed(seat) && isFed(seat, bond(without)));
        }

        /** Whether metal could lead past a guard, were everything else closed. */
        private boolean isBypassed(FuseSeat seat) {
            int branch = branch(seat);
            return metal.closed(netlist.a(branch), without -> without == branch)
                    .get(netlist.b(branch));
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
