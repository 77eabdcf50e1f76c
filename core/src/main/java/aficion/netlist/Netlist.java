package aficion.netlist;

import aficion.job.Design;
import aficion.job.Joints;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions.Aspect;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A design as nodes and branches. Node 0 is the vehicle's earth. The nodes and the ends of every
 * branch are the same under all conditions; what a branch is there follows from the conditions.
 */
public final class Netlist {
    /** The name of the branch inside a battery or an alternator that gives its current. */
    static final String OUTPUT = "output";

    private final Design design;
    private final int nodes;
    private final Map<Terminal, Integer> nodeOf;
    private final Map<WireId, Integer> branchOf;
    private final Map<Integer, WireId> wireOf;
    private final BitSet sources;
    private final int[] bending;
    private final int[][] movedBy;
    private final int[] a;
    private final int[] b;
    private final int[][] meeting;
    private final int[] cranking;
    private final Controls controls;
    private final List<Slot> slots;
    private final List<CoilSlot> coils;
    private final Map<PartId, Map<String, Integer>> inside;
    private final Map<Integer, Place> placeOf;

    /**
     * A branch to be.
     *
     * @param bends whether its current may not follow its volts in a straight line, or its
     *     resistance change from step to step, under any conditions
     * @param movedBy the coils that may open or close it
     * @param heeds what of the conditions it follows
     */
    record Slot(
            int a,
            int b,
            boolean bends,
            List<Integer> movedBy,
            Set<Aspect> heeds,
            Function<Conditions, Branch> under) {}

    /** Where a branch lies inside a part. */
    private record Place(PartId part, String role) {}

    /** A coil to be, and the part it sits in. */
    record CoilSlot(PartId part, Function<Conditions, Coil> under) {}

    Netlist(NetlistBuilder built) {
        this(
                built.design,
                built.nodes,
                Map.copyOf(built.nodeOf),
                built.slots,
                built.coils,
                Map.copyOf(built.branchOf),
                unmodifiable(built.inside));
    }

    /** The same with other branches, coils and more nodes. */
    Netlist(Netlist sound, int nodes, List<Slot> slots, List<CoilSlot> coils) {
        this(sound.design, nodes, sound.nodeOf, slots, coils, sound.branchOf, sound.inside);
    }

    private Netlist(
            Design design,
            int nodes,
            Map<Terminal, Integer> nodeOf,
            List<Slot> slots,
            List<CoilSlot> coils,
            Map<WireId, Integer> branchOf,
            Map<PartId, Map<String, Integer>> inside) {
        this.design = design;
        this.nodes = nodes;
        this.nodeOf = nodeOf;
        this.slots = List.copyOf(slots);
        this.coils = List.copyOf(coils);
        this.branchOf = branchOf;
        this.inside = inside;
        this.wireOf = new HashMap<>();
        this.placeOf = new HashMap<>();
        branchOf.forEach((wire, branch) -> wireOf.put(branch, wire));
        inside.forEach((part, roles) ->
                roles.forEach((role, branch) -> placeOf.put(branch, new Place(part, role))));
        this.sources = new BitSet();
        inside.values().stream()
                .filter(roles -> roles.containsKey(OUTPUT))
                .forEach(roles -> sources.set(roles.get(OUTPUT)));
        this.bending = IntStream.range(0, size()).filter(i -> slots.get(i).bends()).toArray();
        this.movedBy = movedBy();
        this.a = slots.stream().mapToInt(Slot::a).toArray();
        this.b = slots.stream().mapToInt(Slot::b).toArray();
        this.meeting = meeting();
        this.cranking = starters();
        this.controls = Controls.of(design);
    }

    /** The same topology with other values in some of its wires. */
    private Netlist(Netlist same, Design design, List<Slot> slots) {
        this.design = design;
        this.nodes = same.nodes;
        this.nodeOf = same.nodeOf;
        this.slots = List.copyOf(slots);
        this.coils = same.coils;
        this.branchOf = same.branchOf;
        this.inside = same.inside;
        this.wireOf = same.wireOf;
        this.placeOf = same.placeOf;
        this.sources = same.sources;
        this.bending = same.bending;
        this.movedBy = same.movedBy;
        this.a = same.a;
        this.b = same.b;
        this.meeting = same.meeting;
        this.cranking = same.cranking;
        this.controls = same.controls;
    }

    private static Map<PartId, Map<String, Integer>> unmodifiable(
            Map<PartId, Map<String, Integer>> built) {
        var inside = new HashMap<PartId, Map<String, Integer>>();
        built.forEach((part, roles) ->
                inside.put(part, Collections.unmodifiableMap(new LinkedHashMap<>(roles))));
        return inside;
    }

    private int[][] movedBy() {
        var moved = new int[coils.size()][];
        for (int coil = 0; coil < moved.length; coil++) {
            Integer mover = coil;
            moved[coil] =
                    IntStream.range(0, size())
                            .filter(i -> slots.get(i).movedBy().contains(mover))
                            .toArray();
        }
        return moved;
    }

    List<Slot> slots() {
        return slots;
    }

    List<CoilSlot> coilSlots() {
        return coils;
    }

    private int[] starters() {
        return design.parts().stream()
                .filter(part -> LoadKind.cranks(part.kind()))
                .map(part -> inside.getOrDefault(part.id(), Map.of()))
                .flatMap(roles -> Stream.of("motor", "body").map(roles::get))
                .filter(Objects::nonNull)
                .mapToInt(branch -> branch)
                .toArray();
    }

    /** The branches that meet each node, in order. */
    private int[][] meeting() {
        var count = new int[nodes];
        for (int i = 0; i < size(); i++) {
            count[a(i)]++;
            count[b(i)]++;
        }
        var meeting = new int[count.length][];
        Arrays.setAll(meeting, node -> new int[count[node]]);
        for (int i = size() - 1; i >= 0; i--) {
            meeting[a(i)][--count[a(i)]] = i;
            meeting[b(i)][--count[b(i)]] = i;
        }
        return meeting;
    }

    /** Compiles a job. */
    public static Netlist of(Design design) {
        return new NetlistBuilder(design).build();
    }

    /**
     * A design that differs from this one in what its wires are cut from and how they are laid, on
     * the same topology; empty where it differs in more.
     */
    public Optional<Netlist> with(Design next) {
        var wires = next.wires();
        if (!next.vehicle().equals(design.vehicle())
                || !next.rules().equals(design.rules())
                || !next.circuits().equals(design.circuits())
                || !next.parts().equals(design.parts())
                || !next.isLedAs(design)) {
            return Optional.empty();
        }
        var values = new ArrayList<>(slots);
        for (int i = 0; i < wires.size(); i++) {
            var wire = wires.get(i);
            if (!wire.isAsLongAndThickAs(design.wires().get(i))) {
                int branch = branchOf.get(wire.id());
                values.set(branch, NetlistBuilder.wire(next, wire, a(branch), b(branch)));
            }
        }
        return Optional.of(new Netlist(this, next, values));
    }

    /** The wires that are another resistance than in a netlist of the same topology. */
    public int[] changedFrom(Netlist earlier) {
        return IntStream.range(0, wires())
                .filter(i -> slots.get(i) != earlier.slots.get(i))
                .toArray();
    }

    /** The terminals joined to one by wires, splices and connectors, itself first. */
    public static Set<Terminal> joined(Design design, Terminal start) {
        return Joints.joined(design, start);
    }

    /**
     * The terminals reached from one through wires, and through every switch, fuse, relay contact
     * and joint as if it were closed, itself first.
     */
    public static Set<Terminal> reached(Design design, Terminal start) {
        return Joints.reached(design, start);
    }

    /** The design it was made of. */
    public Design design() {
        return design;
    }

    /** What a hand can work, and the levels that are felt. */
    public Controls controls() {
        return controls;
    }

    /** Number of nodes, the reference included. */
    public int nodes() {
        return nodes;
    }

    /** Number of branches. */
    public int size() {
        return slots.size();
    }

    /** Number of wires, which are the first of its branches. */
    public int wires() {
        return branchOf.size();
    }

    /** The node a branch counts from. */
    public int a(int branch) {
        return a[branch];
    }

    /** The node a branch counts to. */
    public int b(int branch) {
        return b[branch];
    }

    /** The branches that end at a node, in order; not to be changed. */
    public int[] meeting(int node) {
        return meeting[node];
    }

    /** The nodes that some branches lead to from others, those themselves among them. */
    public BitSet reached(Collection<Integer> starts, IntPredicate through) {
        return new Reach(this, starts, through).all();
    }

    /** Whether some branches lead from one node to another; looked for from both at once. */
    public boolean leads(int one, int other, IntPredicate through) {
        return new Reach(this, List.of(one), through)
                .meets(new Reach(this, List.of(other), through));
    }

    /** A branch as it is under the conditions. */
    public Branch branch(int branch, Conditions conditions) {
        return slots.get(branch).under().apply(conditions);
    }

    /** What a wire resists under the conditions with the joints at its ends, ohms. */
    public double ohms(int wire, Conditions conditions) {
        return ((Branch.Resistance) branch(wire, conditions)).ohms();
    }

    /** The branches that follow an aspect of the conditions, in order. */
    public IntStream heeding(Aspect aspect) {
        return IntStream.range(0, slots.size()).filter(i -> slots.get(i).heeds().contains(aspect));
    }

    /** Every coil as it is under the conditions, in a fixed order. */
    public Coil[] coils(Conditions conditions) {
        return coils.stream().map(coil -> coil.under().apply(conditions)).toArray(Coil[]::new);
    }

    /** The branches that may bend, in order. */
    public IntStream bending() {
        return Arrays.stream(bending);
    }

    /** The branches that crank an engine while current flows. */
    public IntStream cranking() {
        return Arrays.stream(cranking);
    }

    /** The branches that a coil may open or close. */
    public IntStream movedBy(int coil) {
        return Arrays.stream(movedBy[coil]);
    }

    /** Number of coils. */
    public int coils() {
        return coils.size();
    }

    /** The part a coil sits in. */
    public PartId coilPart(int coil) {
        return coils.get(coil).part();
    }

    /** The coil that sits in a part, when one does. */
    public Optional<Integer> coilOf(PartId part) {
        for (int i = 0; i < coils.size(); i++) {
            if (coils.get(i).part().equals(part)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /**
     * The node of a terminal.
     *
     * @throws IllegalArgumentException when the design has no such terminal
     */
    public int node(Terminal terminal) {
        var node = nodeOf.get(terminal);
        if (node == null) {
            throw new IllegalArgumentException("no terminal " + terminal);
        }
        return node;
    }

    /**
     * The branch of a wire, counted from its first end to its second.
     *
     * @throws IllegalArgumentException when the design has no such wire
     */
    public int branch(Wire wire) {
        var branch = branchOf.get(wire.id());
        if (branch == null) {
            throw new IllegalArgumentException("no wire " + wire.id());
        }
        return branch;
    }

    /** Whether a branch is a source inside a battery or an alternator. */
    public boolean isSource(int branch) {
        return sources.get(branch);
    }

    /** The branches inside what gives, in order. */
    public IntStream sources() {
        return sources.stream();
    }

    /** The wire that a branch stands for, when it stands for one. */
    public Optional<WireId> wireOf(int branch) {
        return Optional.ofNullable(wireOf.get(branch));
    }

    /** The part that a branch lies inside, when it does. */
    public Optional<PartId> partOf(int branch) {
        return Optional.ofNullable(placeOf.get(branch)).map(Place::part);
    }

    /** What a branch is inside its part; empty for a wire. */
    public String roleOf(int branch) {
        return Optional.ofNullable(placeOf.get(branch)).map(Place::role).orElse("");
    }

    /**
     * The branches inside a part by what they are: a filament by its feed pin, a contact by its two
     * pins ({@code 30-87}), a fuse by the name of its way (empty for a single fuse), and {@code
     * coil}, {@code motor}, {@code field}, {@code output}, {@code body}.
     */
    public Map<String, Integer> inside(PartId part) {
        return inside.getOrDefault(part, Map.of());
    }
}
