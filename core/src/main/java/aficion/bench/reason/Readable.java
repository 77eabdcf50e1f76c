package aficion.bench.reason;

import aficion.job.CircuitId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a person can read of a circuit: the states it can be put in, the terminals that wires end
 * on, and the wire that carries most.
 *
 * @param states that come to rest without a guard that opens while all is well
 * @param places one for each node
 * @param feed empty where no state could be solved
 */
record Readable(List<Conditions> states, List<Terminal> places, Optional<WireId> feed) {
    /** No person goes through more states. */
    private static final int MOST_STATES = 24;

    Readable {
        states = List.copyOf(states);
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
        var points = solved(solver, states(netlist, circuit));
        var told = new ArrayList<>(points.size() <= MOST_STATES ? points : unlike(points, places));
        if (charges(netlist, circuit)) {
            told.addAll(solved(solver, running(netlist, told)));
        }
        return new Readable(
                told.stream().map(OperatingPoint::conditions).toList(),
                places,
                feed(netlist, circuit, points));
    }

    /** Every state in which no control of another circuit is held. */
    private static List<Conditions> states(Netlist netlist, CircuitId circuit) {
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

    /** Those that come to rest, as long as no guard opens. */
    private static List<OperatingPoint> solved(Solver solver, List<Conditions> states) {
        return states.stream()
                .flatMap(state -> FaultTable.point(solver, state).stream())
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
    private static List<Conditions> running(Netlist netlist, List<OperatingPoint> points) {
        return points.stream()
                .map(OperatingPoint::conditions)
                .filter(state -> !OperatingStates.isHeld(netlist.controls(), state))
                .map(state -> state.withEngine(OperatingStates.ROAD))
                .toList();
    }

    private static Optional<WireId> feed(
            Netlist netlist, CircuitId circuit, List<OperatingPoint> points) {
        return points.isEmpty()
                ? Optional.empty()
                : netlist.design().wiresOf(circuit).stream()
                        .max(
                                Comparator.comparingDouble(wire ->
                                        points.stream()
                                                .mapToDouble(point ->
                                                        Math.abs(point.through(wire).value()))
                                                .max()
                                                .orElse(0)))
                        .map(wire -> wire.id());
    }

    /** The same in no more states than a table of that size has room for. */
    Readable upTo(long states) {
        return new Readable(this.states.stream().limit(states).toList(), places, feed);
    }

    /** All that is read in a state: volts place by place, amps last. */
    List<Measure> measures() {
        var measures = new ArrayList<Measure>();
        places.stream().map(Measure.VoltsAt::new).forEach(measures::add);
        feed.map(Measure.AmpsIn::new).ifPresent(measures::add);
        return List.copyOf(measures);
    }
}
