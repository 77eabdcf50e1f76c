package aficion.size;

import aficion.netlist.Netlist;
import java.util.ArrayDeque;
import java.util.BitSet;
import java.util.Deque;
import java.util.function.IntPredicate;

/**
 * The branches that are the only way between what they join, all in one walk by the lowest reach of
 * what was met (R. E. Tarjan, "A note on finding the bridges of a graph", Information Processing
 * Letters 2, 1974). It keeps its way on a stack of its own: what the graph library has calls
 * itself, and a chain of some thousand wires is too deep for that.
 */
final class Bridges {
    private final Netlist netlist;
    private final IntPredicate joins;
    private final BitSet bridges = new BitSet();
    private final Deque<Integer> open = new ArrayDeque<>();

    /** When a node was met, from 1 on; 0 before. */
    private final int[] met;

    private final int[] lowest;
    private final int[] by;
    private final int[] next;
    private int count;

    private Bridges(Netlist netlist, IntPredicate joins) {
        this.netlist = netlist;
        this.joins = joins;
        this.met = new int[netlist.nodes()];
        this.lowest = new int[met.length];
        this.by = new int[met.length];
        this.next = new int[met.length];
    }

    /** Those among the branches that join their nodes. */
    static BitSet of(Netlist netlist, IntPredicate joins) {
        var walk = new Bridges(netlist, joins);
        for (int node = 0; node < netlist.nodes(); node++) {
            if (walk.met[node] == 0) {
                walk.from(node);
            }
        }
        return walk.bridges;
    }

    private void from(int start) {
        meet(start, -1);
        while (!open.isEmpty()) {
            int node = open.element();
            var ways = netlist.meeting(node);
            if (next[node] < ways.length) {
                step(node, ways[next[node]++]);
            } else {
                open.pop();
                if (!open.isEmpty()) {
                    leave(node, open.element());
                }
            }
        }
    }

    private void meet(int node, int branch) {
        met[node] = ++count;
        lowest[node] = count;
        by[node] = branch;
        open.push(node);
    }

    private void step(int node, int branch) {
        if (branch == by[node] || !joins.test(branch)) {
            return;
        }
        int other = netlist.a(branch) == node ? netlist.b(branch) : netlist.a(branch);
        if (met[other] == 0) {
            meet(other, branch);
        } else {
            lowest[node] = Math.min(lowest[node], met[other]);
        }
    }

    private void leave(int node, int before) {
        lowest[before] = Math.min(lowest[before], lowest[node]);
        if (lowest[node] > met[before]) {
            bridges.set(by[node]);
        }
    }
}
