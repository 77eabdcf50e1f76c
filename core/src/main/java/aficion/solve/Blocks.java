package aficion.solve;

import aficion.netlist.Branch;
import aficion.netlist.Netlist;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntPredicate;

/**
 * The blocks that some branches of a netlist fall into, parted at the nodes that alone hold them
 * together, all in one walk (J. Hopcroft, R. Tarjan, "Algorithm 447: efficient algorithms for graph
 * manipulation", Comm. ACM 16, 1973). A block of one branch is a bridge: the only way between what
 * it joins. It keeps its way on a stack of its own: what the graph library has calls itself, and a
 * chain of some thousand wires is too deep for that.
 */
public final class Blocks {
    private final Netlist netlist;
    private final IntPredicate joins;
    private final List<int[]> blocks = new ArrayList<>();

    /** When a node was met, from 1 on; 0 before. */
    private final int[] met;

    private final int[] lowest;
    private final int[] by;
    private final int[] next;
    private int count;

    /** The nodes on the way to where it is. */
    private final int[] way;

    private int depth;

    /** The branches gone or looked along that belong to no block yet. */
    private final int[] open;

    private int opened;

    private Blocks(Netlist netlist, IntPredicate joins) {
        this.netlist = netlist;
        this.joins = joins;
        this.met = new int[netlist.nodes()];
        this.lowest = new int[met.length];
        this.by = new int[met.length];
        this.next = new int[met.length];
        this.way = new int[met.length];
        this.open = new int[netlist.size()];
    }

    /** The blocks of the branches that join their nodes, each by its branches. */
    public static List<int[]> of(Netlist netlist, IntPredicate joins) {
        var walk = new Blocks(netlist, joins);
        for (int node = 0; node < netlist.nodes(); node++) {
            if (walk.met[node] == 0) {
                walk.from(node);
            }
        }
        return walk.blocks;
    }

    private void from(int start) {
        meet(start, Branch.NONE);
        while (depth > 0) {
            int node = way[depth - 1];
            var ways = netlist.meeting(node);
            if (next[node] < ways.length) {
                step(node, ways[next[node]++]);
            } else if (--depth > 0) {
                leave(node, way[depth - 1]);
            }
        }
    }

    private void meet(int node, int branch) {
        met[node] = ++count;
        lowest[node] = count;
        by[node] = branch;
        way[depth++] = node;
    }

    private void step(int node, int branch) {
        if (branch == by[node] || !joins.test(branch)) {
            return;
        }
        int other = netlist.a(branch) == node ? netlist.b(branch) : netlist.a(branch);
        if (met[other] == 0) {
            open[opened++] = branch;
            meet(other, branch);
        } else if (met[other] < met[node]) {
            open[opened++] = branch;
            lowest[node] = Math.min(lowest[node], met[other]);
        }
    }

    /** Goes back over a node; what hangs on the one before by that alone is a block. */
    private void leave(int node, int before) {
        lowest[before] = Math.min(lowest[before], lowest[node]);
        if (lowest[node] >= met[before]) {
            int from = opened;
            do {
                from--;
            } while (open[from] != by[node]);
            blocks.add(Arrays.copyOfRange(open, from, opened));
            opened = from;
        }
    }
}
