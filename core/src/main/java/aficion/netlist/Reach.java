package aficion.netlist;

import java.util.BitSet;
import java.util.Collection;
import java.util.function.IntPredicate;

/** The nodes that some branches lead to from others, as far as they have been looked for. */
final class Reach {
    private final Netlist netlist;
    private final IntPredicate through;
    private final BitSet seen = new BitSet();
    private final int[] met;
    private int count;
    private int next;

    /**
     * @param through the branches that lead on
     */
    Reach(Netlist netlist, Collection<Integer> starts, IntPredicate through) {
        this.netlist = netlist;
        this.through = through;
        this.met = new int[netlist.nodes()];
        starts.forEach(this::meet);
    }

    /** All of them, those they are reached from among them. */
    BitSet all() {
        while (goesOn()) {
            step();
        }
        return seen;
    }

    /** Whether they lead to what another leads to; looked for from both at once. */
    boolean meets(Reach other) {
        while (!seen.intersects(other.seen) && goesOn() && other.goesOn()) {
            step();
            other.step();
        }
        return seen.intersects(other.seen);
    }

    private boolean goesOn() {
        return next < count;
    }

    private void step() {
        int node = met[next++];
        for (int branch : netlist.meeting(node)) {
            int beyond = netlist.a(branch) == node ? netlist.b(branch) : netlist.a(branch);
            if (!seen.get(beyond) && through.test(branch)) {
                meet(beyond);
            }
        }
    }

    private void meet(int node) {
        if (!seen.get(node)) {
            seen.set(node);
            met[count++] = node;
        }
    }
}
