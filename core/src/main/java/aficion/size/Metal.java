package aficion.size;

import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.solve.Blocks;
import aficion.solve.Islands;
import aficion.solve.Once;
import aficion.solve.OperatingPoint;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What hangs together by bare metal in a state: wires, closed contacts, guards, joints, nothing
 * that limits a current. So a dead short is told from a heavy load, and what has a way to a pole
 * from what only another load leads there.
 */
public final class Metal {
    /** A contact of more than this is not one, ohms. */
    private static final double CONTACT = 0.1;

    private final Netlist netlist;
    private final boolean[] metal;

    /** What is metal or a guard. */
    private final boolean[] closing;

    /** Whether metal would lead past a branch, by branch. */
    private final Once past = new Once();

    /** What hangs together in every state. */
    private final Islands always;

    /** What hangs together by bare metal in every state, earths and plugs among it. */
    private final Islands bare;

    /** The branches that may join what does not always hang together. */
    private final int[] sometimes;

    public Metal(Netlist netlist) {
        this.netlist = netlist;
        this.metal = new boolean[netlist.size()];
        this.closing = new boolean[metal.length];
        this.always = new Islands(netlist.nodes());
        this.bare = new Islands(netlist.nodes());
        for (int i = 0; i < metal.length; i++) {
            metal[i] = netlist.wireOf(i).isPresent() || passes(i);
            closing[i] = metal[i] || isFuse(i);
            if (isWire(i)) {
                always.join(netlist.a(i), netlist.b(i));
            }
            if (isBare(i)) {
                bare.join(netlist.a(i), netlist.b(i));
            }
        }
        this.sometimes =
                IntStream.range(0, metal.length)
                        .filter(i -> always.root(netlist.a(i)) != always.root(netlist.b(i)))
                        .toArray();
    }

    /** Whether a branch is a wire that is whole, which it is in every state then. */
    private boolean isWire(int branch) {
        return netlist.wireOf(branch).isPresent()
                && netlist.branch(branch, Conditions.REST) instanceof Branch.Resistance;
    }

    private boolean passes(int branch) {
        var part = netlist.partOf(branch).map(netlist.design()::part);
        var role = netlist.roleOf(branch);
        return part.filter(found ->
                        role.equals("mount")
                                || found.kind() instanceof JoinKind.EarthPoint
                                || found.kind().passes().stream()
                                        .map(Kind.Pass::role)
                                        .anyMatch(role::equals))
                .isPresent();
    }

    /** The nodes that metal would join to one if everything were closed but some branches. */
    public BitSet closed(int start, IntPredicate without) {
        return netlist.reached(List.of(start), branch -> closing[branch] && !without.test(branch));
    }

    /** Whether metal would lead past a branch if everything were closed. */
    public boolean leadsPast(int branch) {
        return past.of(branch, () -> isLedPast(branch));
    }

    private boolean isLedPast(int branch) {
        return netlist.leads(
                netlist.a(branch), netlist.b(branch), other -> other != branch && closing[other]);
    }

    /** Whether bare metal that nothing opens, no guard and no contact, joins two nodes. */
    public boolean alwaysJoins(int one, int other) {
        return bare.root(one) == bare.root(other);
    }

    /** A wire, a bolted case, an earth or a way of a plug. */
    private boolean isBare(int branch) {
        var kind = netlist.partOf(branch).map(part -> netlist.design().part(part).kind());
        return isWire(branch)
                || netlist.roleOf(branch).equals("mount")
                || kind.filter(JoinKind.EarthPoint.class::isInstance).isPresent()
                || kind.filter(JoinKind.Connector.class::isInstance).isPresent();
    }

    private boolean isFuse(int branch) {
        return netlist.partOf(branch)
                .map(part -> netlist.design().part(part).kind() instanceof GuardKind)
                .orElse(false);
    }

    /** Whether a branch is metal and conducts in a state. */
    public boolean joins(OperatingPoint point, int branch) {
        return point.conducts(branch)
                && switch (point.branch(branch)) {
                    case Branch.FuseBranch _ -> true;
                    case Branch.Contact(_, _, var ohms, _) -> ohms <= CONTACT;
                    case Branch.Driven(_, _, var ohms, _) -> ohms <= CONTACT;
                    case Branch.Blinker(_, _, var ohms, _) -> ohms <= CONTACT;
                    case Branch.Resistance _ -> metal[branch];
                    case Branch.Filament _,
                            Branch.Rectifier _,
                            Branch.Source _,
                            Branch.Limited _,
                            Branch.ControlledResistance _,
                            Branch.Motor _,
                            Branch.Warming _,
                            Branch.Capacitance _ ->
                            false;
                };
    }

    /** The branches that are metal in a state and past which other metal leads in it. */
    public BitSet ledPast(OperatingPoint point) {
        var led = new BitSet();
        IntStream.range(0, metal.length).filter(i -> joins(point, i)).forEach(led::set);
        Blocks.of(netlist, led::get).stream()
                .filter(block -> block.length == 1)
                .forEach(bridge -> led.clear(bridge[0]));
        return led;
    }

    private Joined joined(OperatingPoint point) {
        var islands = new Islands(always);
        for (int i : sometimes) {
            if (joins(point, i)) {
                islands.join(netlist.a(i), netlist.b(i));
            }
        }
        var roots = islands.roots();
        var poles = new BitSet();
        netlist.sources()
                .filter(i -> lasts(point.branch(i)))
                .forEach(i -> {
                    poles.set(roots[netlist.a(i)]);
                    poles.set(roots[netlist.b(i)]);
                });
        return new Joined(roots, poles);
    }

    /** Whether a source gives without being woken. */
    private static boolean lasts(Branch source) {
        return !(source instanceof Branch.Limited limited) || limited.needs().isEmpty();
    }

    /** What hangs together, and which of it has the pole of a source that lasts. */
    static final class Joined {
        private final int[] roots;
        private final BitSet poles;
        private final int hash;

        private Joined(int[] roots, BitSet poles) {
            this.roots = roots;
            this.poles = poles;
            this.hash = 31 * Arrays.hashCode(roots) + poles.hashCode();
        }

        /** Whether metal leads from a node to the vehicle's earth. */
        boolean earthed(int node) {
            return roots[node] == roots[0];
        }

        /** Whether metal leads from a node to a pole that is not earthed. */
        boolean live(int node) {
            return !earthed(node) && poles.get(roots[node]);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Joined same
                    && Arrays.equals(roots, same.roots)
                    && poles.equals(same.poles);
        }

        @Override
        public int hashCode() {
            return hash;
        }
    }

    /** What metal does in a state, whatever resists how much. */
    private record Hanging(Joined joined, Optional<List<Integer>> shorting) {}

    /** What hangs together in a state of the same netlist: where its wires are whole, they are. */
    public Bond in(OperatingPoint point) {
        return new Bond(point);
    }

    private Hanging hanging(OperatingPoint point) {
        var bond = new Bond(point, joined(point));
        return new Hanging(bond.joined, bond.shorting);
    }

    /** What hangs together by metal in one state. */
    public final class Bond {
        private final OperatingPoint point;
        private final Joined joined;
        private final Optional<List<Integer>> shorting;

        private Bond(OperatingPoint point) {
            this.point = point;
            var known = point.asSwitched(Metal.this, () -> hanging(point));
            this.joined = known.joined;
            this.shorting = known.shorting;
        }

        /** One that is worked out. */
        private Bond(OperatingPoint point, Joined joined) {
            this.point = point;
            this.joined = joined;
            this.shorting = shorting();
        }

        /** What it shares with the same state of other wires. */
        Joined joined() {
            return joined;
        }

        private int root(int node) {
            return joined.roots[node];
        }

        /** Whether metal leads from a node to the vehicle's earth. */
        public boolean earthed(int node) {
            return joined.earthed(node);
        }

        /** Whether metal leads from a node to a pole that is not earthed. */
        public boolean live(int node) {
            return joined.live(node);
        }

        /** The batteries whose live pole metal joins to a node, by their branches. */
        public Set<Integer> batteries(int node) {
            var found = new HashSet<Integer>();
            for (var force : forces()) {
                if (!earthed(node) && (force.a == root(node) || force.b == root(node))) {
                    found.add(force.branch);
                }
            }
            return found;
        }

        /** Whether metal leads from one node to another. */
        public boolean together(int one, int other) {
            return root(one) == root(other);
        }

        /** The branches that all metal from one node to another leads through. */
        public Set<Integer> between(int one, int other) {
            return way(one, other).stream()
                    .filter(branch ->
                            !netlist.leads(one, other, i -> i != branch && joins(point, i)))
                    .collect(Collectors.toUnmodifiableSet());
        }

        /** Whether a source that keeps its volts is shorted. */
        public boolean shorted() {
            return shorting.isPresent();
        }

        /**
         * The branches of a way by which a source that keeps its volts is shorted, from one of its
         * ends to the other; empty where there is none.
         */
        Optional<List<Integer>> way() {
            return shorting;
        }

        private Optional<List<Integer>> shorting() {
            var forces = forces();
            var level = new HashMap<Integer, Double>();
            for (var force : forces) {
                if (!level.containsKey(force.a)) {
                    spread(force.a, forces, level);
                }
            }
            for (var force : forces) {
                double volts = level.get(force.a) - level.get(force.b);
                if (Math.abs(volts - force.volts) > force.volts / 2) {
                    return Optional.of(way(force));
                }
            }
            return Optional.empty();
        }

        /** A battery between what hangs together at its two ends. */
        private record Force(int branch, int a, int b, double volts) {}

        private List<Force> forces() {
            var forces = new ArrayList<Force>();
            netlist.sources()
                    .forEach(i -> {
                        if (point.branch(i)
                                instanceof Branch.Source(var a, var b, var emf, _, _, _)) {
                            forces.add(new Force(i, root(a), root(b), emf));
                        }
                    });
            return forces;
        }

        /** The volts that batteries alone would give what hangs together, followed over them. */
        private static void spread(int start, List<Force> forces, Map<Integer, Double> level) {
            var open = new ArrayDeque<Integer>(List.of(start));
            level.put(start, 0.0);
            while (!open.isEmpty()) {
                int at = open.remove();
                double here = level.get(at);
                for (var force : forces) {
                    if (force.a == at && level.putIfAbsent(force.b, here - force.volts) == null) {
                        open.add(force.b);
                    }
                    if (force.b == at && level.putIfAbsent(force.a, here + force.volts) == null) {
                        open.add(force.a);
                    }
                }
            }
        }

        /** Where others close the ring with it, no metal alone does: the battery itself. */
        private List<Integer> way(Force force) {
            var way = way(netlist.a(force.branch), netlist.b(force.branch));
            return way.isEmpty() ? List.of(force.branch) : way;
        }

        /** The branches of metal that lead the shortest way from one node to another. */
        List<Integer> way(int from, int to) {
            var came = new HashMap<Integer, int[]>();
            var open = new ArrayDeque<Integer>(List.of(from));
            came.put(from, new int[] {Branch.NONE, from});
            while (!open.isEmpty() && !came.containsKey(to)) {
                int node = open.remove();
                for (int i : netlist.meeting(node)) {
                    if (joins(point, i)) {
                        int next = netlist.a(i) == node ? netlist.b(i) : netlist.a(i);
                        if (came.putIfAbsent(next, new int[] {i, node}) == null) {
                            open.add(next);
                        }
                    }
                }
            }
            var way = new ArrayList<Integer>();
            int node = to;
            while (came.containsKey(node) && came.get(node)[0] >= 0) {
                way.addFirst(came.get(node)[0]);
                node = came.get(node)[1];
            }
            return List.copyOf(way);
        }
    }
}
