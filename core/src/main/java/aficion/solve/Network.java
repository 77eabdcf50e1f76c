package aficion.solve;

import aficion.netlist.Branch;
import aficion.netlist.Coil;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.Aspect;
import aficion.netlist.Netlist;
import aficion.solve.linear.Conductances;
import aficion.solve.linear.Elimination;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * A netlist being solved: the volts of every node while contacts, fuses and settling resistances
 * stay as they have been put. What a branch is may change; between which nodes it lies may not.
 *
 * <p>The ordering of the matrix is worked out once. What is straight and stays is eliminated once
 * for each change of it; Newton's method works on the nodes that {@link Bends} touch, and begins
 * where the last search ended. Nodes that hang together without a way to the reference are found by
 * connectivity, never from volts, and held there by one conductance each. Solving allocates
 * nothing.
 *
 * <p>One network serves one thread.
 */
public final class Network {
    private static final int MOST_STEPS = 200;

    /** So many steps at most are taken with one slope. */
    private static final int MOST_SHIFTS = 6;

    /** A branch without which so little of the conductance beside it is left is the only way. */
    private static final double ONLY_WAY = 1e-6;

    /** How many times a change is counted that is only expected. */
    private static final double DOUBTED = 2;

    private static final Aspect[] ASPECTS = Aspect.values();

    private final Netlist netlist;
    private final Accuracy accuracy;
    private final int size;
    private final int[] a;
    private final int[] b;
    private final int[][] heeding;
    private Conditions conditions;
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
    private final int[] bending;
    private final int[] bendA;
    private final int[] bendB;
    private final int[] bendEntry;
    private final Bends bends;

    private final double[] volts;
    private final double[] work;
    private final int[] parent;
    private boolean stale = true;
    private boolean parted = true;
    private boolean factored;
    private final double[] expected;
    private int steps;
    private int disturbed = Branch.NONE;
    private double leakA;
    private double leakB;

    /** How close an answer comes to what it should be. */
    public enum Accuracy {
        /** Currents within a billionth: what is shown and printed. */
        FINE(1e-9, 1e-11),
        /** Within a hundred thousandth: enough to judge a fault by. */
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
        this.accuracy = accuracy;
        this.netlist = netlist;
        size = netlist.size();
        branches = new Branch[size];
        for (int i = 0; i < size; i++) {
            branches[i] = netlist.branch(i, conditions);
        }
        this.conditions = conditions;
        heeding = new int[ASPECTS.length][];
        for (var aspect : ASPECTS) {
            heeding[aspect.ordinal()] = netlist.heeding(aspect).toArray();
        }
        coils = netlist.coils(conditions);
        pulled = new boolean[coils.length];
        movedBy = new int[coils.length][];
        for (int coil = 0; coil < coils.length; coil++) {
            movedBy[coil] = netlist.movedBy(coil).toArray();
        }
        whole = new boolean[size];
        closed = new boolean[size];
        conducts = new boolean[size];
        settled = new double[size];
        siemens = new double[size];
        a = new int[size];
        b = new int[size];
        for (int i = 0; i < size; i++) {
            a[i] = netlist.a(i);
            b[i] = netlist.b(i);
        }
        matrix = new Conductances(order(netlist));
        rank = new int[netlist.nodes()];
        rank[0] = -1;
        for (int node = 1; node < rank.length; node++) {
            rank[node] = matrix.rank(node - 1);
        }
        entry = new int[size];
        for (int i = 0; i < size; i++) {
            boolean inner = a[i] > 0 && b[i] > 0 && a[i] != b[i];
            entry[i] = inner ? matrix.entry(a[i] - 1, b[i] - 1) : -1;
        }
        bending = netlist.bending().toArray();
        bendOf = new int[size];
        Arrays.fill(bendOf, -1);
        bendA = new int[bending.length];
        bendB = new int[bending.length];
        bendEntry = new int[bending.length];
        for (int k = 0; k < bending.length; k++) {
            bendOf[bending[k]] = k;
            bendA[k] = rank[a[bending[k]]];
            bendB[k] = rank[b[bending[k]]];
            bendEntry[k] = entry[bending[k]];
        }
        bends = new Bends(bending.length, accuracy);
        volts = new double[rank.length];
        work = new double[rank.length - 1];
        expected = new double[rank.length];
        parent = new int[rank.length];
        for (int i = 0; i < size; i++) {
            begin(i);
        }
    }

    private static Elimination order(Netlist netlist) {
        var one = new int[netlist.size()];
        var other = new int[netlist.size()];
        for (int i = 0; i < one.length; i++) {
            boolean inner = netlist.a(i) > 0 && netlist.b(i) > 0;
            one[i] = inner ? netlist.a(i) - 1 : 0;
            other[i] = inner ? netlist.b(i) - 1 : 0;
        }
        var tail = new BitSet();
        netlist.bending()
                .forEach(i -> {
                    if (netlist.a(i) > 0) {
                        tail.set(netlist.a(i) - 1);
                    }
                    if (netlist.b(i) > 0) {
                        tail.set(netlist.b(i) - 1);
                    }
                });
        return Elimination.of(netlist.nodes() - 1, one, other, tail);
    }

    public Netlist netlist() {
        return netlist;
    }

    Accuracy accuracy() {
        return accuracy;
    }

    /** Takes on other conditions; coils, fuses and settled resistances stay as they are. */
    public void meet(Conditions conditions) {
        for (var aspect : ASPECTS) {
            if (conditions.differs(this.conditions, aspect)) {
                for (int i : heeding[aspect.ordinal()]) {
                    var next = netlist.branch(i, conditions);
                    if (!next.equals(branches[i])) {
                        set(i, next);
                    }
                }
            }
        }
        System.arraycopy(netlist.coils(conditions), 0, coils, 0, coils.length);
        this.conditions = conditions;
    }

    /** Puts every coil at rest, every fuse in that is not out, every resistance at its least. */
    public void rest() {
        Arrays.fill(pulled, false);
        for (int i = 0; i < size; i++) {
            begin(i);
        }
    }

    private void begin(int i) {
        switch (branches[i]) {
            case Branch.Trip trip -> whole[i] = trip.whole();
            case Branch.Settling settling -> settled[i] = settling.least();
            case Branch.Limited limited -> settled[i] = limited.emf();
            case Branch.Source source -> settled[i] = source.emf();
            case Branch.Blinker _ -> closed[i] = true;
            case Branch.Resistance _,
                    Branch.Contact _,
                    Branch.Driven _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.Capacitance _ -> {}
        }
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

    public Branch branch(int index) {
        return branches[index];
    }

    public Coil coil(int index) {
        return coils[index];
    }

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
        var felt = coils[coil];
        double volts = Math.abs(volts(felt.a()) - volts(felt.b()));
        if (felt.series() >= 0) {
            volts += felt.perAmp() * amps(felt.series());
        }
        return wantsIn(coil, volts);
    }

    private boolean wantsIn(int coil, double volts) {
        var felt = coils[coil];
        boolean reset = felt.reset() >= 0 && pulled[felt.reset()];
        boolean strong = pulled[coil] ? volts > felt.dropOut() : volts >= felt.pickUp();
        return strong && !reset;
    }

    public boolean pulled(int coil) {
        return pulled[coil];
    }

    /** Opens a fuse or closes it again. */
    public void fuse(int branch, boolean intact) {
        whole[branch] = intact;
        refresh(branch);
    }

    public boolean whole(int branch) {
        return whole[branch];
    }

    /** Opens a blinking contact or closes it. */
    public void blink(int branch, boolean shut) {
        closed[branch] = shut;
        refresh(branch);
    }

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
        become(i, conducting(i));
        int k = bendOf[i];
        if (k < 0) {
            double now = conducts[i] ? 1 / ohms(i) : 0;
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
                        Branch.Trip _,
                        Branch.Settling _,
                        Branch.Warming _,
                        Branch.Capacitance _ ->
                        bends.straight(k, 1 / ohms(i), 0);
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

    private double ohms(int i) {
        return switch (branches[i]) {
            case Branch.Resistance(_, _, var ohms) -> ohms;
            case Branch.Contact(_, _, var ohms, _) -> ohms;
            case Branch.Driven(_, _, var ohms, _) -> ohms;
            case Branch.Blinker(_, _, var ohms, _) -> ohms;
            case Branch.Trip trip -> trip.ohms();
            case Branch.Settling _ -> settled[i];
            case Branch.Warming warming -> warming.ohms();
            case Branch.Capacitance _ -> Double.POSITIVE_INFINITY;
            case Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Limited _,
                    Branch.Motor _ ->
                    throw new IllegalStateException(
                            "branch " + i + " bends and was not announced as bending");
        };
    }

    private boolean conducting(int i) {
        return switch (branches[i]) {
            case Branch.Contact contact -> contact.closed();
            case Branch.Driven(_, _, _, var needs) -> met(needs);
            case Branch.Trip _ -> whole[i];
            case Branch.Blinker _ -> closed[i];
            case Branch.Limited limited -> limited.coil() < 0 || pulled[limited.coil()];
            case Branch.Capacitance _ -> false;
            case Branch.Resistance _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.Settling _ ->
                    true;
        };
    }

    private boolean met(List<Branch.Need> needs) {
        for (var need : needs) {
            if (pulled[need.coil()] != need.pulled()) {
                return false;
            }
        }
        return true;
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

    /** The current that a disturbance leads to the reference. */
    public double strayAmps() {
        return disturbed < 0 ? 0 : leakA * volts[a[disturbed]] + leakB * volts[b[disturbed]];
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
        bends.forgiveTurns();
        if (!search()) {
            bends.restart();
            if (!search()) {
                return false;
            }
        }
        matrix.spread(work);
        for (int node = 1; node < volts.length; node++) {
            volts[node] = work[rank[node]];
        }
        return true;
    }

    /** Steps the last search took. */
    public int steps() {
        return steps;
    }

    private boolean restamp() {
        if (parted) {
            joinIslands();
            parted = false;
        }
        matrix.clear();
        for (int i = 0; i < size; i++) {
            if (bendOf[i] < 0 && conducts[i]) {
                stamp(rank[a[i]], rank[b[i]], entry[i], siemens[i]);
            }
        }
        if (disturbed >= 0) {
            leak(a[disturbed], leakA);
            leak(b[disturbed], leakB);
        }
        for (int node = 1; node < parent.length; node++) {
            if (parent[node] == node) {
                matrix.addLeak(rank[node], 1);
            }
        }
        factored = false;
        stale = !matrix.reduce();
        return !stale;
    }

    /**
     * Newton's method; while every branch is near, with the slopes of the last step, so that only
     * the injections are new. The first step takes the slopes of the last search where they serve.
     */
    private boolean search() {
        boolean near = factored && !bends.sloped();
        for (steps = 1; steps <= MOST_STEPS; steps++) {
            if (near) {
                matrix.again();
            } else {
                matrix.begin();
                for (int k = 0; k < bending.length; k++) {
                    stamp(bendA[k], bendB[k], bendEntry[k], bends.slope[k]);
                }
                factored = matrix.factor();
                if (!factored) {
                    return false;
                }
                bends.forgetSlopes();
            }
            for (int k = 0; k < bending.length; k++) {
                double offset = bends.offset[k];
                if (offset != 0) {
                    inject(bendA[k], -offset);
                    inject(bendB[k], offset);
                }
            }
            matrix.solve();
            var worst = advance();
            if (worst == Bends.Distance.NONE) {
                return true;
            }
            near = worst == Bends.Distance.NEAR && steps % MOST_SHIFTS != 0;
            for (int k = 0; k < bending.length; k++) {
                if (near) {
                    bends.shift(k);
                } else {
                    bends.touch(k);
                }
            }
        }
        return false;
    }

    private Bends.Distance advance() {
        var worst = Bends.Distance.NONE;
        for (int k = 0; k < bending.length; k++) {
            var distance = bends.advance(k, found(bendA[k]) - found(bendB[k]));
            if (distance.compareTo(worst) > 0) {
                worst = distance;
            }
        }
        return worst;
    }

    private void leak(int node, double conductance) {
        if (node > 0) {
            matrix.addLeak(rank[node], conductance);
        }
    }

    private double found(int rank) {
        return rank < 0 ? 0 : matrix.volts(rank);
    }

    private void inject(int rank, double amps) {
        if (rank >= 0) {
            matrix.inject(rank, amps);
        }
    }

    private void stamp(int rankA, int rankB, int at, double conductance) {
        if (at >= 0) {
            matrix.addLink(at, conductance);
        } else if (rankB < 0 && rankA >= 0) {
            matrix.addLeak(rankA, conductance);
        } else if (rankA < 0 && rankB >= 0) {
            matrix.addLeak(rankB, conductance);
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

    /**
     * Works out what the volts would be if a straight branch that conducts had another conductance
     * and everything else kept its slope (Sherman, Morrison): good for telling what does not
     * matter. To be asked before anything has moved since the volts were found. The change is
     * counted twice, for doubt.
     *
     * @return false where that cannot be told, since the branch is the only way
     */
    public boolean expect(int branch, double conductance) {
        double more = conductance - siemens[branch];
        double remains = 1 + more * resistanceBetween(a[branch], b[branch]);
        if (!(remains > ONLY_WAY)) {
            return false;
        }
        double change = -DOUBTED * more * across(branch) / remains;
        for (int node = 1; node < expected.length; node++) {
            expected[node] = volts[node] + change * work[rank[node]];
        }
        return true;
    }

    /** The current of a branch, other than the changed one, that {@link #expect} leads to. */
    public double expectedAmps(int branch) {
        double across = expected[a[branch]] - expected[b[branch]];
        double slope = bendOf[branch] < 0 ? siemens[branch] : bends.slope[bendOf[branch]];
        double amps = amps(branch);
        return faded(amps, amps + slope * (across - across(branch)));
    }

    /** Whether a coil would move at the volts that {@link #expect} leads to. */
    public boolean expectsToMove(int coil) {
        var felt = coils[coil];
        double was = volts(felt.a()) - volts(felt.b());
        double volts = Math.abs(faded(was, expected[felt.a()] - expected[felt.b()]));
        double more = felt.series() >= 0 ? felt.perAmp() * expectedAmps(felt.series()) : 0;
        return wantsIn(coil, volts + more) != pulled[coil];
    }

    /**
     * A change counted twice takes what fades past nothing, as far as it was before: then nothing
     * is left.
     */
    private static double faded(double was, double expected) {
        return was * expected < 0 && Math.abs(expected) < 1.5 * Math.abs(was) ? 0 : expected;
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
        for (int node = 0; node < parent.length; node++) {
            parent[node] = node;
        }
        for (int i = 0; i < size; i++) {
            if (conducts[i]) {
                join(a[i], b[i]);
            }
        }
        if (leakA > 0) {
            join(a[disturbed], 0);
        }
        if (leakB > 0) {
            join(b[disturbed], 0);
        }
    }

    private void join(int one, int other) {
        int first = root(one);
        int second = root(other);
        parent[Math.max(first, second)] = Math.min(first, second);
    }

    private int root(int node) {
        int at = node;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    /** Whether a node has no way to the reference. */
    public boolean floats(int node) {
        return root(node) != 0;
    }
}
