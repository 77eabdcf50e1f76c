package aficion.bench.reason;

import aficion.job.CircuitId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.size.Metal;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a person can read of a circuit: the states it can be put in, the terminals that wires end
 * on, and the wire that carries most.
 *
 * @param states that come to rest while all is well, none that must not be tried
 * @param forbidden the states that must not be tried, one for each guard that opens
 * @param places one for each node
 * @param feed empty where no state could be solved
 */
public record Readable(
        List<Conditions> states,
        List<Forbidden> forbidden,
        List<Terminal> places,
        Optional<WireId> feed) {
    /** No person goes through more states. */
    private static final int MOST_STATES = 24;

    public Readable {
        states = List.copyOf(states);
        forbidden = List.copyOf(forbidden);
        places = List.copyOf(places);
    }

    /** What can be read of a circuit. */
    static Readable of(Netlist netlist, CircuitId circuit) {
        var design = netlist.design();
        var seen = new HashSet<Integer>();
        var places =
                design.wiresOf(circuit).stream()
                        .flatMap(wire -> wire.terminals().stream())
                        .filter(at -> seen.add(netlist.node(at)))
                        .toList();
        var solver = new Solver(netlist);
        var all = states(netlist, circuit);
        var forbidden = forbidden(solver, all);
        var refused = forbidden.stream().map(Forbidden::state).collect(Collectors.toSet());
        var points = solved(solver, all.stream().filter(state -> !refused.contains(state)));
        var told = new ArrayList<>(points.size() <= MOST_STATES ? points : unlike(points, places));
        if (charges(netlist, circuit)) {
            told.addAll(solved(solver, running(netlist, told)));
        }
        return new Readable(
                told.stream().map(OperatingPoint::conditions).toList(),
                firstOfEachGuard(forbidden),
                places,
                feed(design.wiresOf(circuit), points));
    }

    /** Every state in which no control of another circuit is held. */
    public static List<Conditions> states(Netlist netlist, CircuitId circuit) {
        var own = Controls.of(netlist.design(), circuit).controls();
        var others =
                netlist.controls().controls().stream()
                        .filter(control -> !own.contains(control))
                        .toList();
        return OperatingStates.of(netlist.design(), circuit, Conditions.REST).stream()
                .filter(state ->
                        others.stream()
                                .noneMatch(control ->
                                        control.springs(Controls.position(control, state))))
                .toList();
    }

    /** Those that must not be tried, told by what they ask for with every guard held closed. */
    private static List<Forbidden> forbidden(Solver solver, List<Conditions> states) {
        var metal = new Metal(solver.netlist());
        return states.stream()
                .flatMap(state ->
                        solver
                                .demand(state)
                                .settled()
                                .flatMap(point -> Forbidden.of(point, metal))
                                .stream())
                .toList();
    }

    private static List<Forbidden> firstOfEachGuard(List<Forbidden> forbidden) {
        var seen = new HashSet<Optional<FuseSeat>>();
        return forbidden.stream().filter(each -> seen.add(each.guard())).toList();
    }

    /** Those that come to rest, as long as no guard opens. */
    private static List<OperatingPoint> solved(Solver solver, Stream<Conditions> states) {
        return states.flatMap(state -> solver.solve(state).settled().stream())
                .filter(point -> point.blown().isEmpty())
                .toList();
    }

    /** Those that look unlike each other while all is well. */
    private static List<OperatingPoint> unlike(List<OperatingPoint> points, List<Terminal> places) {
        Set<List<Long>> seen = new HashSet<>();
        return points.stream()
                .filter(point ->
                        seen.add(
                                places.stream()
                                        .map(at -> Math.round(4 * FaultTable.volts(point, at)))
                                        .toList()))
                .limit(MOST_STATES)
                .toList();
    }

    private static boolean charges(Netlist netlist, CircuitId circuit) {
        return netlist.design().partsOf(circuit).stream()
                .anyMatch(part ->
                        part.kind().chargingPin().isPresent()
                                && !(part.kind() instanceof SourceKind.Battery));
    }

    /** The same with the engine on the road, those that no hand has to hold. */
    private static Stream<Conditions> running(Netlist netlist, List<OperatingPoint> points) {
        return points.stream()
                .map(OperatingPoint::conditions)
                .filter(state -> !OperatingStates.isHeld(netlist.controls(), state))
                .map(state -> state.withEngine(OperatingStates.ROAD));
    }

    /** The wire that carries most in any state; empty where there is none to tell by. */
    public static Optional<WireId> feed(List<Wire> wires, List<OperatingPoint> points) {
        return points.isEmpty()
                ? Optional.empty()
                : wires.stream()
                        .max(
                                Comparator.comparingDouble(wire ->
                                        points.stream()
                                                .mapToDouble(point ->
                                                        Math.abs(point.through(wire).value()))
                                                .max()
                                                .orElse(0)))
                        .map(Wire::id);
    }

    /** The same in no more states than a table of that size has room for. */
    Readable upTo(long states) {
        return new Readable(this.states.stream().limit(states).toList(), forbidden, places, feed);
    }

    /** All that is read in a state: volts place by place, amps last. */
    List<Measure> measures() {
        var measures = new ArrayList<Measure>();
        places.stream().map(Measure.VoltsAt::new).forEach(measures::add);
        feed.map(Measure.AmpsIn::new).ifPresent(measures::add);
        return List.copyOf(measures);
    }
}
