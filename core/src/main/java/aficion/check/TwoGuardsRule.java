package aficion.check;

import aficion.job.Design;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.size.Assessment;
import aficion.size.Metal;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Guards that feed one circuit together: with one of them out, both its sides are still live from
 * the same battery, by way of another.
 */
final class TwoGuardsRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var solver = new Solver(assessment.netlist());
        var seats = seats(assessment.design());
        return seats.size() < 2
                ? Stream.empty()
                : seats.stream().flatMap(seat -> found(assessment, solver, seat, seats).stream());
    }

    private static List<FuseSeat> seats(Design design) {
        var seats = new ArrayList<FuseSeat>();
        for (var part : design.parts()) {
            part.kind().seats().forEach(seat -> seats.add(new FuseSeat(part.id(), seat.way())));
        }
        return seats;
    }

    private static Optional<Finding> found(
            Assessment assessment, Solver solver, FuseSeat seat, List<FuseSeat> seats) {
        return assessment.worst().bases().stream()
                .map(OperatingPoint::conditions)
                .filter(state -> state.engine().value() == 0)
                .filter(state -> fedBehind(assessment, solver, state.withPulled(seat, true), seat))
                .findFirst()
                .flatMap(state ->
                        seats.stream()
                                .skip(seats.indexOf(seat) + 1L)
                                .filter(other -> beside(assessment, solver, state, seat, other))
                                .findFirst()
                                .map(other -> new PathFinding.TwoGuards(seat, other, state)));
    }

    /** Whether each of two guards is fed behind by way of the other, which so stands beside it. */
    private static boolean beside(
            Assessment assessment, Solver solver, Conditions state, FuseSeat seat, FuseSeat other) {
        var without = state.withPulled(other, true);
        return fedBehind(assessment, solver, without, other)
                && !fedBehind(assessment, solver, without.withPulled(seat, true), seat);
    }

    private static boolean fedBehind(
            Assessment assessment, Solver solver, Conditions state, FuseSeat seat) {
        if (!(solver.demand(state) instanceof Outcome.Solved(var point))) {
            return false;
        }
        var netlist = assessment.netlist();
        int branch = netlist.inside(seat.part()).get(seat.way());
        Metal.Bond bond = assessment.worst().metal().in(point);
        return bond.batteries(netlist.a(branch)).stream()
                .anyMatch(bond.batteries(netlist.b(branch))::contains);
    }
}
