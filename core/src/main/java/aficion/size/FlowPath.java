package aficion.size;

import aficion.job.PartId;
import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The wires a current runs through on its way out and back: from a source, along the wire in
 * question, through what it works, and to the source again. Where the path parts, it follows the
 * larger current.
 *
 * @param wires in the order of the current
 * @param length of all of them
 * @param joints volts lost on the way in contacts, guards, joints, earths and the ends of wires;
 *     not counted while a starter turns, which takes its own
 * @param cranks whether a starter lies on the way
 * @param point the operating point it was followed in
 */
public record FlowPath(
        List<Wire> wires, Metres length, Volts joints, boolean cranks, OperatingPoint point) {
    private static final double NOTHING = 1e-9;

    public FlowPath {
        wires = List.copyOf(wires);
    }

    /** The path through a wire; the wire alone when nothing flows. */
    static FlowPath through(OperatingPoint point, Wire wire, Metal metal) {
        var netlist = point.netlist();
        int start = netlist.branch(wire);
        if (Math.abs(point.branchAmps(start)) < NOTHING) {
            return new FlowPath(List.of(wire), wire.length().metres(), new Volts(0), false, point);
        }
        var before = walk(point, start, false);
        Collections.reverse(before);
        before.add(start);
        before.addAll(walk(point, start, true));
        var wires =
                before.stream()
                        .flatMap(branch -> netlist.wireOf(branch).stream())
                        .map(netlist.design()::wire)
                        .toList();
        return new FlowPath(
                wires,
                length(wires),
                new Volts(turns(point) ? 0 : joints(point, before, metal)),
                netlist.cranking().anyMatch(before::contains),
                point);
    }

    /** The same way with so many times the current: its joints lose as many times as much. */
    FlowPath carrying(double times) {
        return new FlowPath(wires, length, new Volts(joints.value() * times), cranks, point);
    }

    /** The same way in the same state, told of another netlist. */
    FlowPath in(OperatingPoint next) {
        return new FlowPath(wires, length, joints, cranks, next);
    }

    private static boolean turns(OperatingPoint point) {
        return point.netlist()
                .cranking()
                .anyMatch(branch -> Math.abs(point.branchAmps(branch)) > NOTHING);
    }

    private static Metres length(List<Wire> wires) {
        double length = 0;
        for (var wire : wires) {
            length += wire.length().metres().value();
        }
        return new Metres(length);
    }

    private static double joints(OperatingPoint point, List<Integer> way, Metal metal) {
        var netlist = point.netlist();
        double end = netlist.design().rules().joint().value();
        return way.stream()
                .mapToDouble(branch ->
                        netlist.wireOf(branch).isPresent()
                                ? 2 * end * Math.abs(point.branchAmps(branch))
                                : metal.joins(point, branch)
                                        ? Math.abs(point.branchVolts(branch))
                                        : 0)
                .sum();
    }

    /**
     * The part that the current through a branch works: the first that consumes, followed along the
     * larger current towards its return.
     */
    public static Optional<PartId> load(OperatingPoint point, int branch) {
        var design = point.netlist().design();
        return Stream.of(true, false)
                .flatMap(onward -> walk(point, branch, onward).stream())
                .flatMap(each -> point.netlist().partOf(each).stream())
                .filter(part -> design.part(part).kind().consumes())
                .findFirst();
    }

    /** Volts lost in all its wires. */
    public Volts lost() {
        return new Volts(
                wires.stream().mapToDouble(wire -> Math.abs(point.lostIn(wire).value())).sum());
    }

    private static List<Integer> walk(OperatingPoint point, int start, boolean onward) {
        var netlist = point.netlist();
        var path = new ArrayList<Integer>();
        var seen = new HashSet<>(List.of(start));
        int node = onward ? head(point, start) : tail(point, start);
        while (true) {
            int next = strongest(point, node, onward);
            if (next < 0 || !seen.add(next) || netlist.isSource(next)) {
                return path;
            }
            path.add(next);
            node = onward ? head(point, next) : tail(point, next);
        }
    }

    private static int strongest(OperatingPoint point, int node, boolean onward) {
        var netlist = point.netlist();
        int best = -1;
        double most = NOTHING;
        for (int branch : netlist.meeting(node)) {
            double amps = Math.abs(point.branchAmps(branch));
            int meets = onward ? tail(point, branch) : head(point, branch);
            if (meets == node && amps > most) {
                most = amps;
                best = branch;
            }
        }
        return best;
    }

    private static int head(OperatingPoint point, int branch) {
        return point.branchAmps(branch) >= 0
                ? point.netlist().b(branch)
                : point.netlist().a(branch);
    }

    private static int tail(OperatingPoint point, int branch) {
        return point.branchAmps(branch) >= 0
                ? point.netlist().a(branch)
                : point.netlist().b(branch);
    }
}
