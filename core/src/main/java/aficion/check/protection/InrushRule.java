package aficion.check.protection;

import aficion.catalogue.FuseType;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.PartId;
import aficion.job.edit.Edit;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.simulate.SimulationEvent;
import aficion.size.Assessment;
import aficion.size.FlowPath;
import aficion.size.Guard;
import aficion.solve.OperatingPoint;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Fuses that carry what lasts but open on the rush of cold lamps and standing motors, switched on
 * at once, where the fuse is the fastest of its kind: with most on, and in each state in which more
 * may rush through a fuse, be it held by a hand or one of several that exclude each other.
 */
public final class InrushRule implements Rule {
    /** So many times what may rush through a fuse otherwise is worth another look. */
    private static final double MORE = 1.1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        Map<FuseSeat, Finding> found = new LinkedHashMap<>();
        var states = states(assessment);
        var withstood = Withstood.of(assessment);
        for (var state : states) {
            withstood
                    .opened(assessment, state)
                    .filter(opened -> !found.containsKey(opened.fuse()))
                    .forEach(opened ->
                            finding(assessment, states, state, opened)
                                    .ifPresent(each -> found.put(opened.fuse(), each)));
        }
        return found.values().stream();
    }

    private static Set<Conditions> states(Assessment assessment) {
        var most =
                assessment.worst().bases().stream()
                        .filter(point -> isFromBattery(point.conditions()))
                        .toList();
        var rush = Rush.of(assessment);
        var states =
                most.stream()
                        .map(OperatingPoint::conditions)
                        .filter(state -> !state.equals(Conditions.REST))
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        var others =
                differing(
                        assessment.worst().points().stream()
                                .filter(point -> isFromBattery(point.conditions()))
                                .toList());
        rush.behindGuards()
                .forEach((fuse, loads) -> {
                    double known = MORE * most(rush, most, loads).map(Rushing::amps).orElse(0.0);
                    double opens = fuse.type().opens(fuse.marking()).value();
                    most(rush, others, loads)
                            .filter(rushing -> rushing.amps > Math.max(known, opens))
                            .ifPresent(rushing -> states.add(rushing.state));
                });
        return states;
    }

    /** Of those in which the same flows one each. */
    private static List<OperatingPoint> differing(List<OperatingPoint> points) {
        var found = new IdentityHashMap<Object, Boolean>();
        return points.stream().filter(point -> found.put(point.flow(), true) == null).toList();
    }

    private static boolean isFromBattery(Conditions state) {
        return state.engine().value() == 0
                && state.charge().value() == 1
                && state.before().isEmpty();
    }

    /** What may rush through a fuse when a state is switched on. */
    private record Rushing(double amps, Conditions state) {}

    private static Optional<Rushing> most(Rush rush, List<OperatingPoint> points, int[] loads) {
        Optional<OperatingPoint> heaviest = Optional.empty();
        double most = -1;
        for (var point : points) {
            double amps = rush.amps(point, loads);
            if (amps >= most) {
                most = amps;
                heaviest = Optional.of(point);
            }
        }
        double rushing = most;
        return heaviest.map(point -> new Rushing(rushing, point.conditions()));
    }

    private static Optional<Finding> finding(
            Assessment assessment,
            Set<Conditions> states,
            Conditions state,
            SimulationEvent.Opened opened) {
        var part = assessment.design().part(opened.fuse().part());
        return part.kind().seats().stream()
                .filter(seat -> seat.way().equals(opened.fuse().way()))
                .map(seat -> Guard.Fitted.of(part, seat))
                .filter(fuse -> !GuardOpensRule.opens(assessment, fuse))
                .findFirst()
                .map(fuse ->
                        new Finding.FuseOpensOnInrush(
                                fuse.seat(),
                                load(assessment, state, fuse),
                                opened.at(),
                                larger(assessment, states, fuse)));
    }

    private static Optional<PartId> load(
            Assessment assessment, Conditions state, Guard.Fitted fuse) {
        int branch = assessment.netlist().inside(fuse.seat().part()).get(fuse.seat().way());
        return assessment
                .answers()
                .demand(state)
                .settled()
                .flatMap(point -> FlowPath.load(point, branch));
    }

    /** The next larger fuse that stands it; where the wires behind it do not, they follow. */
    private static List<Edit> larger(
            Assessment assessment, Set<Conditions> states, Guard.Fitted fuse) {
        return LargerFuse.of(
                assessment.design(),
                fuse,
                (type, marking) ->
                        type.carries(marking).value() > fuse.carries().value() * 1.01
                                && stands(assessment, states, fuse, type, marking));
    }

    private static boolean stands(
            Assessment assessment,
            Set<Conditions> states,
            Guard.Fitted fuse,
            FuseType type,
            Amps marking) {
        int branch = assessment.netlist().inside(fuse.seat().part()).get(fuse.seat().way());
        return states.stream()
                .allMatch(state -> {
                    var network = assessment.answers().solver().network();
                    network.set(
                            branch,
                            new Branch.FuseBranch(
                                    network.netlist().a(branch),
                                    network.netlist().b(branch),
                                    type,
                                    marking,
                                    true));
                    return Withstood.opened(network, state)
                            .noneMatch(opened -> opened.fuse().equals(fuse.seat()));
                });
    }
}
