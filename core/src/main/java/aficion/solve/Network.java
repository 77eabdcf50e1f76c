package aficion.solve;

import aficion.netlist.Branch;
import aficion.netlist.Coil;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.Aspect;
import aficion.netlist.Netlist;
import aficion.solve.linear.Conductances;
import java.util.Arrays;

/**
 * A netlist being solved: the volts of every node while contacts, fuses and settling resistances
 * stay as they have been put. What a branch is may change; between which nodes it lies may not.
 *
 * <p>The ordering of the matrix is worked out once. What is straight and stays is eliminated once
 * for each change of it; {@link Newton} works on the nodes that bending branches touch. Nodes that
 * hang together without a way to the reference are found by connectivity, never from volts, and
 * held there by one conductance each. Solving allocates nothing.
 *
 * <p>One network serves one thread.
 */
public final class Network {
    private static final Aspect[] ASPECTS = Aspect.values();

    private final Netlist netlist;
    private final Pattern pattern;
    private final Accuracy accuracy;
    private final int size;
    private final int[] a;
    private final int[] b;
    private final int[][] heeding;
    private Conditions conditions;
    private final SwitchState standing;
    private final Branch[] branches;
    private final Coil[] coils;
    private final boolean[] pulled;
    private final boolean[] whole;
    private final boolean[] closed;
    private final boolean[] conducts;
    private final double[] settled;
    private final double[] siemens;
    private final int[][] movedBy;

    private final Conductances matrix;
    private final int[] entry;
    private final int[] rank;
    private final int[] bendOf;
    private final NonlinearBranches bends;
    private final Newton newton;

    private final double[] volts;
    private final double[] work;
    private final Islands islands;
    private boolean stale = true;
    private boolean parted = true;
    private int disturbed = Branch.NONE;
    private double leakA;
    private double leakB;

    /** How close an answer comes to what it should be. */
    public enum Accuracy {
        /** Currents within a billionth: what is shown and printed. */
        FINE(1e-9, 1e-11),
        /** Within a ten thousandth: enough to judge a fault by. */
        ROUGH(1e-4, 1e-5);

        final double share;
        final double amps;

        Accuracy(double share, double amps) {
            this.share = share;
            this.amps = amps;
        }
    }

    /** A netlist under conditions, every coil at rest. */
    public Network(Netlist netlist, Conditions conditions) {
        this(netlist, conditions, Accuracy.FINE);
    }

    /** The same, to be solved as accurately as that. */
    public Network(Netlist netlist, Conditions conditions, Accuracy accuracy) {
        this(netlist, conditions, accuracy, new Pattern(netlist));
    }

    /** The same of a netlist whose pattern is known. */
    Network(Netlist netlist, Conditions conditions, Accuracy accuracy, Pattern pattern) {
        this.accuracy = accuracy;
        this.pattern = pattern;
        this.netlist = netlist;
        size = netlist.size();
        branches = new Branch[size];
        for (int i = 0; i < size; i++) {
            branches[i] = netlist.branch(i, conditions);
        }
        this.conditions = conditions;
        coils = netlist.coils(conditions);
        standing = new SwitchState(branches, coils);
        pulled = standing.pulled;
        whole = standing.whole;
        closed = standing.closed;
        settled = standing.settled;
        heeding = pattern.heeding;
        movedBy = pattern.movedBy;
        conducts = new boolean[size];
        siemens = new double[size];
        a = pattern.a;
        b = pattern.b;
        matrix = new Conductances(pattern.order);
        rank = pattern.rank;
        entry = pattern.entry;
        bendOf = pattern.bendOf;
        bends = new NonlinearBranches(pattern.bending.length, accuracy);
        newton = new Newton(matrix, bends, pattern);
        volts = new double[rank.length];
        work = new double[rank.length - 1];
        islands = new Islands(rank.length);
        for (int i = 0; i < size; i++) {
            begin(i);
        }
    }

    /** What it is made of. */
    public Netlist netlist() {
        return netlist;
    }

    Accuracy accuracy() {
        return accuracy;
    }

    Pattern pattern() {
        return pattern;
    }

    /** Takes on other conditions; coils, fuses and settled resistances stay as they are. */
    public void meet(Conditions conditions) {
        if (conditions == this.conditions) {
            return;
        }
        for (var aspect : ASPECTS) {
            if (conditions.differs(this.conditions, aspect)) {
                for (int i : heeding[aspect.ordinal()]) {
                    put(i, netlist.branch(i, conditions));
                }
            }
        }
        System.arraycopy(netlist.coils(conditions), 0, coils, 0, coils.length);
        this.conditions = conditions;
    }

    private void put(int i, Branch next) {
        if (next != branches[i] && !next.equals(branches[i])) {
            set(i, next);
        }
    }

    /** Puts every coil at rest, every fuse in that is not out, every resistance at its least. */
    public void rest() {
        Arrays.fill(pulled, false);
        for (int i = 0; i < size; i++) {
            begin(i);
        }
    }

    private void begin(int i) {
        standing.begin(i);
        refresh(i);
    }

    /**
     * Makes a branch another between the same nodes.
     *
     * @throws IllegalArgumentException when its nodes are others
     */
    public void set(int branch, Branch changed) {
        if (changed.a() != a[branch] || changed.b() != b[branch]) {
            throw new IllegalArgumentException("branch " + branch + " lies between other nodes");
        }
        branches[branch] = changed;
        begin(branch);
    }

    /** A branch as it is described now. */
    public Branch branch(int index) {
        return branches[index];
    }

    /** A coil as it is described now. */
    public Coil coil(int index) {
        return coils[index];
    }

    /** Number of coils. */
    public int coils() {
        return coils.length;
    }

    /** Lets a coil pull in or let go, and what it moves with it. */
    public void pull(int coil, boolean in) {
        pulled[coil] = in;
        for (int i : movedBy[coil]) {
            refresh(i);
        }
    }

    /** Whether a coil would be pulled in at the volts found last. */
    public boolean wantsIn(int coil) {
        return wantsIn(coil, felt(coil));
    }

    /** The same at volts that it is only expected to feel. */
    public boolean wantsIn(int coil, double volts) {
        var felt = coils[coil];
        boolean reset = felt.reset() >= 0 && pulled[felt.reset()];
        boolean strong = pulled[coil] ? volts > felt.dropOut() : volts >= felt.pickUp();
        return strong && !reset;
    }

    /**
     * By how much volts and, with them, the current that helps it may change at least before a coil
     * wants otherwise, in volts.
     */
    double margin(int coil) {
        var felt = coils[coil];
        double helped = felt.series() < 0 ? 0 : felt.perAmp() * slope(felt.series());
        double left = Math.abs(felt(coil) - (pulled[coil] ? felt.dropOut() : felt.pickUp()));
        return left / (1 + Math.abs(helped));
    }

    /** The volts that a coil feels, those of the current that helps it among them. */
    public double felt(int coil) {
        var felt = coils[coil];
        double volts = Math.abs(volts(felt.a()) - volts(felt.b()));
        return felt.series() < 0 ? volts : volts + felt.perAmp() * amps(felt.series());
    }

    /** Whether a coil is pulled in. */
    public boolean pulled(int coil) {
        return pulled[coil];
    }

    /** Opens a fuse or closes it again. */
    public void fuse(int branch, boolean intact) {
        whole[branch] = intact;
        refresh(branch);
    }

    /** Whether a fuse is whole. */
    public boolean whole(int branch) {
        return whole[branch];
    }

    /** Opens a blinking contact or closes it. */
    public void blink(int branch, boolean shut) {
        closed[branch] = shut;
        refresh(branch);
    }

    /** Whether a blinking contact is closed. */
    public boolean closed(int branch) {
        return closed[branch];
    }

    /** What a settling resistance has come to, in ohms, or the volts a sensing source aims at. */
    double settled(int branch) {
        return settled[branch];
    }

    void settle(int branch, double value) {
        settled[branch] = value;
        refresh(branch);
    }

    /**
     * Replaces a bending branch by a straight line, until it is set, moved or refreshed again.
     *
     * @param conductance slope, siemens
     * @param ampsAtZero current from a to b at no volts
     */
    public void straighten(int branch, double conductance, double ampsAtZero) {
        become(branch, true);
        bends.straight(bendOf[branch], conductance, ampsAtZero);
    }

    /** Makes a branch what it is described as again. */
    public void refresh(int i) {
        become(i, standing.conducting(i));
        int k = bendOf[i];
        if (k < 0) {
            double now = conducts[i] ? 1 / standing.ohms(i) : 0;
            stale |= now != siemens[i];
            siemens[i] = now;
        } else if (!conducts[i]) {
            bends.open(k);
        } else {
            switch (branches[i]) {
                case Branch.Filament filament -> bends.filament(k, filament);
                case Branch.Rectifier rectifier -> bends.rectifier(k, rectifier);
                case Branch.Source source -> bends.source(k, source, settled[i]);
                case Branch.Limited limited -> bends.limited(k, limited, settled[i]);
                case Branch.Motor motor -> bends.motor(k, motor);
                case Branch.Resistance _,
                        Branch.Contact _,
                        Branch.Driven _,
                        Branch.Blinker _,
                        Branch.FuseBranch _,
                        Branch.ControlledResistance _,
                        Branch.Warming _,
                        Branch.Capacitance _ ->
                        bends.straight(k, 1 / standing.ohms(i), 0);
            }
        }
    }

    /** What a network has settled: where to come back to. */
    public static final class Memory {
        private final boolean[] pulled;
        private final boolean[] whole;
        private final double[] settled;
        private final double[] at;
        private final double[] volts;

        private Memory(Network network) {
            pulled = network.pulled.clone();
            whole = network.whole.clone();
            settled = network.settled.clone();
            at = network.bends.places();
            volts = network.volts.clone();
        }

        /** Volts of a node against the reference. */
        public double volts(int node) {
            return volts[node];
        }
    }

    /** Remembers coils, fuses, settled resistances and volts. */
    public Memory remember() {
        return new Memory(this);
    }

    /** Comes back to what was remembered, without the disturbance. */
    public void recall(Memory memory) {
        calm();
        for (int coil = 0; coil < pulled.length; coil++) {
            if (pulled[coil] != memory.pulled[coil]) {
                pull(coil, memory.pulled[coil]);
            }
        }
        for (int i = 0; i < size; i++) {
            if (whole[i] != memory.whole[i]) {
                fuse(i, memory.whole[i]);
            }
            if (settled[i] != memory.settled[i]) {
                settle(i, memory.settled[i]);
            }
        }
        bends.place(memory.at);
        System.arraycopy(memory.volts, 0, volts, 0, volts.length);
    }

    /**
     * The same as a new network would: what is found next depends to the last bit on nothing that
     * was found before.
     */
    public void startOver(Memory fresh) {
        recall(fresh);
        stale = true;
    }

    /**
     * Takes on the conditions of a point that was found for other wires, and where coils, fuses,
     * what settles and all that bends stood there.
     */
    void stand(OperatingPoint point) {
        boolean warmer = point.conditions().differs(conditions, Aspect.AIR);
        for (int i = 0; i < size; i++) {
            if (i >= netlist.wires()) {
                put(i, point.branch(i));
            } else if (warmer) {
                put(i, netlist.branch(i, point.conditions()));
            }
        }
        conditions = point.conditions();
        for (int coil = 0; coil < pulled.length; coil++) {
            coils[coil] = point.coil(coil);
            if (pulled[coil] != point.pulled(coil)) {
                pull(coil, point.pulled(coil));
            }
        }
        for (int i = 0; i < size; i++) {
            if (whole[i] != point.whole(i)) {
                fuse(i, point.whole(i));
            }
            if (settled[i] != point.settled(i)) {
                settle(i, point.settled(i));
            }
            if (bendOf[i] >= 0) {
                bends.begin(bendOf[i], point.branchVolts(i));
            }
        }
    }

    /** Lets the next search begin with every bending branch where it was then. */
    public void beginFrom(Memory memory) {
        bends.place(memory.at);
    }

    private void become(int i, boolean conducting) {
        if (conducting != conducts[i]) {
            conducts[i] = conducting;
            stale = true;
            parted = true;
        }
    }

    /**
     * Disturbs one straight branch, in place of the one disturbed before.
     *
     * @param branch the branch
     * @param conductance what it has instead, siemens; 0 where it is broken
     * @param toEarthA leak from its first node to the reference, siemens
     * @param toEarthB leak from its second node to the reference, siemens
     */
    public void disturb(int branch, double conductance, double toEarthA, double toEarthB) {
        if (bendOf[branch] >= 0) {
            throw new IllegalArgumentException("branch " + branch + " bends");
        }
        calm();
        disturbed = branch;
        leakA = toEarthA;
        leakB = toEarthB;
        become(branch, conductance > 0);
        siemens[branch] = conductance;
        stale = true;
        parted |= toEarthA > 0 || toEarthB > 0;
    }

    /** Takes the disturbance away. */
    public void calm() {
        if (disturbed >= 0) {
            int branch = disturbed;
            parted |= leakA > 0 || leakB > 0;
            stale = true;
            disturbed = Branch.NONE;
            leakA = 0;
            leakB = 0;
            refresh(branch);
        }
    }

    /** Whether a branch is the one that is disturbed. */
    public boolean disturbed(int branch) {
        return disturbed == branch;
    }

    /** Whether a branch conducts at all. */
    public boolean conducts(int branch) {
        return conducts[branch];
    }

    /**
     * Finds the volts of every node.
     *
     * @return false when they could not be found
     */
    public boolean solve() {
        if (stale && !restamp()) {
            return false;
        }
        if (!newton.solve()) {
            return false;
        }
        matrix.spread(work);
        for (int node = 1; node < volts.length; node++) {
            volts[node] = work[rank[node]];
        }
        return true;
    }

    /** Steps the last search took. */
    public int steps() {
        return newton.steps();
    }

    private boolean restamp() {
        if (parted) {
            joinIslands();
            parted = false;
        }
        matrix.clear();
        for (int i = 0; i < size; i++) {
            if (bendOf[i] < 0 && conducts[i]) {
                matrix.addBetween(rank[a[i]], rank[b[i]], entry[i], siemens[i]);
            }
        }
        if (disturbed >= 0) {
            leak(a[disturbed], leakA);
            leak(b[disturbed], leakB);
        }
        for (int node = 1; node < volts.length; node++) {
            if (islands.isLeast(node)) {
                matrix.addLeak(rank[node], 1);
            }
        }
        newton.forget();
        stale = !matrix.reduce();
        return !stale;
    }

    private void leak(int node, double conductance) {
        if (node > 0) {
            matrix.addLeak(rank[node], conductance);
        }
    }

    /** Volts that one ampere injected into one node and taken from another raises between them. */
    double resistanceBetween(int one, int other) {
        Arrays.fill(work, 0);
        if (one > 0) {
            work[rank[one]] += 1;
        }
        if (other > 0) {
            work[rank[other]] -= 1;
        }
        matrix.solve(work);
        return (one > 0 ? work[rank[one]] : 0) - (other > 0 ? work[rank[other]] : 0);
    }

    /** By how much the ampere that was injected last raises a node, volts. */
    double raised(int node) {
        return node > 0 ? work[rank[node]] : 0;
    }

    /**
     * The change of every node's volts, by node, for one ampere into one node and out of another.
     */
    void respond(int one, int other, double[] change) {
        resistanceBetween(one, other);
        for (int node = 1; node < change.length; node++) {
            change[node] = work[rank[node]];
        }
    }

    /** The slope of a branch where it is: what it conducts to small changes, siemens. */
    double slope(int branch) {
        return bendOf[branch] < 0 ? siemens[branch] : bends.slope[bendOf[branch]];
    }

    /** Volts of a node against the reference. */
    public double volts(int node) {
        return volts[node];
    }

    /** Volts of a branch's first node above its second. */
    public double across(int branch) {
        return volts[a[branch]] - volts[b[branch]];
    }

    /** Current of a branch from a to b. */
    public double amps(int branch) {
        int k = bendOf[branch];
        return k < 0 ? siemens[branch] * across(branch) : bends.amps(k, across(branch));
    }

    private void joinIslands() {
        islands.part();
        for (int i = 0; i < size; i++) {
            if (conducts[i]) {
                islands.join(a[i], b[i]);
            }
        }
        if (leakA > 0) {
            islands.join(a[disturbed], 0);
        }
        if (leakB > 0) {
            islands.join(b[disturbed], 0);
        }
    }

    /** Whether a node has no way to the reference. */
    public boolean floats(int node) {
        return islands.floats(node);
    }
}
