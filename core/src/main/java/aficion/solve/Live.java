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
 * branches ({@link Blocks}) in which there is a source. In every other block nothing flows, so that
 * all its nodes lie at the volts of the one it hangs by. Where the same is live, and what sources
 * sense hangs at the same nodes of it, the same flows.
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
        var live = new BitSet();
        for (var block : Blocks.of(netlist, branch -> conducting[branch])) {
            if (Arrays.stream(block).anyMatch(branch -> gives(all[branch]))) {
                Arrays.stream(block).forEach(live::set);
            }
        }
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

    private static boolean gives(Branch branch) {
        return branch instanceof Branch.Source || branch instanceof Branch.Limited;
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
}
