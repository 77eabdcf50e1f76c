package aficion.size;

import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;

/**
 * The wires a current runs through on its way out and back: from a source, along the wire in
 * question, through what it works, and to the source again. Where the path parts, it follows the
 * larger current.
 *
 * @param wires in the order of the current
 * @param point the operating point it was followed in
 */
public record FlowPath(List<Wire> wires, OperatingPoint point) {
    private static final double NOTHING = 1e-9;

    public FlowPath {
        wires = List.copyOf(wires);
    }

    /** The path through a wire; the wire alone when nothing flows. */
    public static FlowPath through(OperatingPoint point, Wire wire) {
        var netlist = point.netlist();
        int start = netlist.branch(wire);
        if (Math.abs(point.branchAmps(start)) < NOTHING) {
            return new FlowPath(List.of(wire), point);
        }
        var before = walk(point, start, false);
        Collections.reverse(before);
        before.add(start);
        before.addAll(walk(point, start, true));
        var wires =
                before.stream()
                        .flatMap(branch -> netlist.wireOf(branch).stream())
                        .map(netlist.job()::wire)
                        .toList();
        return new FlowPath(wires, point);
    }

    /** Length of all its wires. */
    public Metres length() {
        return new Metres(wires.stream().mapToDouble(wire -> wire.length().metres().value()).sum());
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
        for (int branch = 0; branch < netlist.size(); branch++) {
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
