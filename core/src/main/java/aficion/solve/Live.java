package aficion.solve;

import aficion.netlist.Branch;
import aficion.netlist.Netlist;
import aficion.quantity.Celsius;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * What carries current as things are switched, whatever resists how much: the blocks of conducting
 * branches, parted at the nodes that alone hold them together [1], in which there is a source. In
 * every other block nothing flows, so that all its nodes lie at the volts of the one it hangs by.
 * Where the same is live, and what sources sense hangs at the same nodes of it, the same flows.
 *
 * <p>[1] J. Hopcroft, R. Tarjan, "Algorithm 447: efficient algorithms for graph manipulation",
 * Comm. ACM 16 (1973).
 */
final class Live {
    private static final int FLOATS = -1;

    private final Celsius air;
    private final BitSet branches;
    private final List<Branch> what;
    private final List<Integer> sensed;
    private final int[] anchor;

    private Live(Celsius air, BitSet branches, List<Branch> what, List<Integer> sensed, int[] at) {
        this.air = air;
        this.branches = branches;
        this.what = what;
        this.sensed = sensed;
        this.anchor = at;
    }

    /**
     * What is live; empty where a source has no way to the reference, since what its volts are
     * counted from may lie in what is dead.
     *
     * @param all every branch as it is
     * @param conducting whether it conducts
     */
    static Optional<Live> of(Netlist netlist, Celsius air, Branch[] all, boolean[] conducting) {
        var live = new Blocks(netlist, all, conducting).live();
        var dead = new Islands(netlist.nodes());
        var whole = new Islands(netlist.nodes());
        var nodes = new BitSet();
        for (int i = 0; i < all.length; i++) {
            if (conducting[i]) {
                whole.join(netlist.a(i), netlist.b(i));
                if (live.get(i)) {
                    nodes.set(netlist.a(i));
                    nodes.set(netlist.b(i));
                } else {
                    dead.join(netlist.a(i), netlist.b(i));
                }
            }
        }
        if (nodes.stream().anyMatch(whole::floats)) {
            return Optional.empty();
        }
        int[] anchor = anchors(dead, nodes);
        var what = new ArrayList<Branch>();
        var sensed = new ArrayList<Integer>();
        for (int i = live.nextSetBit(netlist.wires()); i >= 0; i = live.nextSetBit(i + 1)) {
            what.add(all[i]);
            sensed(all[i]).forEach(node -> sensed.add(anchor[node]));
        }
        return Optional.of(new Live(air, live, what, sensed, anchor));
    }

    /** For each node the live one, or the reference, that it hangs by. */
    private static int[] anchors(Islands dead, BitSet live) {
        var by = new int[dead.size()];
        Arrays.fill(by, FLOATS);
        by[dead.root(0)] = 0;
        live.stream().forEach(node -> by[dead.root(node)] = node);
        var anchor = new int[by.length];
        for (int node = 0; node < anchor.length; node++) {
            anchor[node] = by[dead.root(node)];
        }
        return anchor;
    }

    /** The nodes whose volts a branch heeds beside those of its own. */
    private static List<Integer> sensed(Branch branch) {
        return switch (branch) {
            case Branch.Source source -> sensed(source.sense());
            case Branch.Limited source -> sensed(source.sense());
            case Branch.ControlledResistance resistance ->
                    switch (resistance.law()) {
                        case Branch.Law.MeanVolts(var sense, _) -> List.of(sense);
                        case Branch.Law.Dwell _ -> List.of();
                    };
            case Branch.Resistance _,
                    Branch.Contact _,
                    Branch.Driven _,
                    Branch.Blinker _,
                    Branch.FuseBranch _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.Capacitance _ ->
                    List.of();
        };
    }

    private static List<Integer> sensed(Optional<Branch.Sense> sense) {
        return sense.map(at -> List.of(at.node(), at.against())).orElse(List.of());
    }

    /** Whether a branch may carry anything. */
    boolean carries(int branch) {
        return branches.get(branch);
    }

    /** The volts of a node, by those of what is live; 0 where it floats. */
    double volts(int node, double[] live) {
        return anchor[node] == FLOATS ? 0 : live[anchor[node]];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Live same
                && air.equals(same.air)
                && branches.equals(same.branches)
                && what.equals(same.what)
                && sensed.equals(same.sensed);
    }

    @Override
    public int hashCode() {
        return branches.hashCode();
    }

    /** One walk through all that conducts, by which it falls into blocks. */
    private static final class Blocks {
        private final Netlist netlist;
        private final Branch[] all;
        private final boolean[] conducting;
        private final BitSet live = new BitSet();
        private final int[] order;
        private final int[] low;
        private final int[] via;
        private final int[] next;
        private final int[] path;
        private final int[] met;
        private int count;
        private int depth;
        private int open;

        Blocks(Netlist netlist, Branch[] all, boolean[] conducting) {
            this.netlist = netlist;
            this.all = all;
            this.conducting = conducting;
            order = new int[netlist.nodes()];
            low = new int[order.length];
            via = new int[order.length];
            next = new int[order.length];
            path = new int[order.length];
            met = new int[all.length];
        }

        BitSet live() {
            for (int node = 0; node < order.length; node++) {
                if (order[node] == 0) {
                    enter(node, Branch.NONE);
                    while (depth > 0) {
                        step(path[depth - 1]);
                    }
                }
            }
            return live;
        }

        private void enter(int node, int by) {
            order[node] = ++count;
            low[node] = count;
            via[node] = by;
            path[depth++] = node;
        }

        private void step(int node) {
            int[] meeting = netlist.meeting(node);
            if (next[node] == meeting.length) {
                leave(node);
                return;
            }
            int branch = meeting[next[node]++];
            if (!conducting[branch] || branch == via[node]) {
                return;
            }
            int other = netlist.a(branch) == node ? netlist.b(branch) : netlist.a(branch);
            if (order[other] == 0) {
                met[open++] = branch;
                enter(other, branch);
            } else if (order[other] < order[node]) {
                met[open++] = branch;
                low[node] = Math.min(low[node], order[other]);
            }
        }

        /** Goes back over a node; what hangs on the one before by that alone is a block. */
        private void leave(int node) {
            depth--;
            if (depth > 0) {
                int before = path[depth - 1];
                low[before] = Math.min(low[before], low[node]);
                if (low[node] >= order[before]) {
                    close(via[node]);
                }
            }
        }

        private void close(int first) {
            int from = open;
            boolean source = false;
            do {
                from--;
                source |= gives(all[met[from]]);
            } while (met[from] != first);
            for (int i = from; i < open && source; i++) {
                live.set(met[i]);
            }
            open = from;
        }

        private static boolean gives(Branch branch) {
            return branch instanceof Branch.Source || branch instanceof Branch.Limited;
        }
    }
}
