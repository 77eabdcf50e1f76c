package aficion.solve;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.netlist.Branch;
import aficion.netlist.Coil;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Volts at every terminal and amps in every wire under one set of conditions, checked to add up.
 */
public final class OperatingPoint {
    /** Currents at a node may miss zero by 1 µA and a billionth of the largest. */
    private static final double CURRENT_SLACK = 1e-6;

    private static final double CURRENT_SHARE = 1e-9;
    private static final double POWER_SHARE = 1e-6;
    private static final double LIGHT_POWER = 3.4;

    private final Netlist netlist;
    private final Conditions conditions;
    private final Switched switched;
    private final double[] settled;
    private final double[] volts;
    private final double[] amps;

    /** What everything is under some conditions, and what has moved in them. */
    private static final class Switched {
        private final Branch[] branches;
        private final Coil[] coils;
        private final boolean[] pulled;
        private final boolean[] whole;
        private final boolean[] conducting;
        private final boolean[] floating;

        /** What follows from it alone. */
        private final Once known = new Once();

        private Switched(Network network) {
            int size = network.netlist().size();
            branches = new Branch[size];
            conducting = new boolean[size];
            whole = new boolean[size];
            for (int i = 0; i < size; i++) {
                branches[i] = network.branch(i);
                conducting[i] = network.conducts(i);
                whole[i] = network.whole(i);
            }
            coils = new Coil[network.coils()];
            pulled = new boolean[coils.length];
            for (int coil = 0; coil < pulled.length; coil++) {
                coils[coil] = network.coil(coil);
                pulled[coil] = network.pulled(coil);
            }
            floating = new boolean[network.netlist().nodes()];
            for (int node = 1; node < floating.length; node++) {
                floating[node] = network.floats(node);
            }
        }

        /** Whether all is the same, the wires but for what they resist. */
        boolean isSameAs(Switched other, int wires) {
            int size = branches.length;
            return Arrays.equals(branches, wires, size, other.branches, wires, size)
                    && Arrays.equals(coils, other.coils)
                    && Arrays.equals(pulled, other.pulled)
                    && Arrays.equals(whole, other.whole)
                    && Arrays.equals(conducting, other.conducting)
                    && Arrays.equals(floating, other.floating);
        }
    }

    private OperatingPoint(Conditions conditions, Network network, Switched switched) {
        this.netlist = network.netlist();
        this.conditions = conditions;
        this.switched = switched;
        this.amps = new double[netlist.size()];
        this.settled = new double[amps.length];
        for (int i = 0; i < amps.length; i++) {
            amps[i] = network.amps(i);
            settled[i] = network.settled(i);
        }
        this.volts = new double[netlist.nodes()];
        for (int node = 1; node < volts.length; node++) {
            volts[node] = network.volts(node);
        }
    }

    /** The same volts and amps, told of a netlist of the same topology that they also hold for. */
    private OperatingPoint(OperatingPoint same, Netlist netlist) {
        this(same, netlist, same.switched);
    }

    private OperatingPoint(OperatingPoint same, Netlist netlist, Switched switched) {
        this.netlist = netlist;
        this.conditions = same.conditions;
        this.switched = switched;
        this.amps = same.amps;
        this.settled = same.settled;
        this.volts = same.volts;
    }

    /** The same volts and amps of a netlist for which they hold as well. */
    OperatingPoint of(Netlist next) {
        return new OperatingPoint(this, next);
    }

    /**
     * Whether another point is this one, be it told of another netlist, or the same flows in it.
     */
    public boolean isSameAs(OperatingPoint other) {
        return amps == other.amps;
    }

    /** What flows, one and the same in all points that are the same. */
    public Object flow() {
        return amps;
    }

    /** The point a network stands at, where it is believed. */
    public static Optional<OperatingPoint> of(Conditions conditions, Network network) {
        return checked(conditions, network).settled();
    }

    /** The point a network has been solved for, or why it is not believed. */
    static Outcome checked(Conditions conditions, Network network) {
        return new OperatingPoint(conditions, network, new Switched(network)).checked();
    }

    /** The same of other wires, where nothing has moved since another point; empty without it. */
    static Optional<OperatingPoint> near(OperatingPoint point, Network network) {
        return new OperatingPoint(point.conditions, network, point.switched).checked().settled();
    }

    /**
     * The same as one of other wires, which it shares all that is live with and so what flows,
     * where nothing has moved since another point.
     */
    static OperatingPoint like(OperatingPoint found, OperatingPoint near, Live live) {
        return new OperatingPoint(found, near, live);
    }

    /** The same, sharing what follows from how everything is with the same state of other wires. */
    OperatingPoint following(OperatingPoint other) {
        return switched.isSameAs(other.switched, netlist.wires())
                ? new OperatingPoint(this, netlist, other.switched)
                : this;
    }

    private OperatingPoint(OperatingPoint found, OperatingPoint near, Live live) {
        this.netlist = found.netlist;
        this.conditions = near.conditions;
        this.switched = near.switched;
        this.amps = found.amps;
        this.settled = near.settled.clone();
        for (int i = 0; i < settled.length; i++) {
            if (live.carries(i)) {
                settled[i] = found.settled[i];
            }
        }
        this.volts = new double[found.volts.length];
        for (int node = 1; node < volts.length; node++) {
            volts[node] = live.volts(node, found.volts);
        }
    }

    /** What is live as everything is and has moved; empty where that does not tell what flows. */
    Optional<Live> live() {
        return asSwitched(
                Live.class,
                () -> Live.of(netlist, conditions.air(), switched.branches, switched.conducting));
    }

    /**
     * What follows from how everything is and has moved in it alone, by a key that is asked for
     * this alone; it stands however much the wires resist.
     */
    public <T> T asSwitched(Object key, Supplier<T> how) {
        return switched.known.of(key, how);
    }

    /** Whether everything is and has moved in it as in the same state of other wires. */
    public boolean isSwitchedAs(OperatingPoint other) {
        return switched == other.switched;
    }

    private Outcome checked() {
        var astray = nodesThatDoNotSum();
        if (!astray.isEmpty()) {
            return new Outcome.Unsolvable(Outcome.Reason.CURRENTS_DO_NOT_SUM, terminalsOf(astray));
        }
        return powerBalances()
                ? new Outcome.Solved(this)
                : new Outcome.Unsolvable(Outcome.Reason.POWER_DOES_NOT_BALANCE, List.of());
    }

    private BitSet nodesThatDoNotSum() {
        var sum = new double[volts.length];
        double largest = 0;
        for (int i = 0; i < amps.length; i++) {
            sum[netlist.a(i)] -= amps[i];
            sum[netlist.b(i)] += amps[i];
            largest = Math.max(largest, Math.abs(amps[i]));
        }
        double slack = CURRENT_SLACK + CURRENT_SHARE * largest;
        var astray = new BitSet();
        for (int node = 0; node < sum.length; node++) {
            astray.set(node, Math.abs(sum[node]) > slack);
        }
        return astray;
    }

    private List<Terminal> terminalsOf(BitSet nodes) {
        return netlist.design().parts().stream()
                .flatMap(part -> part.terminals().stream())
                .filter(terminal -> nodes.get(netlist.node(terminal)))
                .toList();
    }

    private boolean powerBalances() {
        double given = 0;
        double taken = 0;
        for (int i = 0; i < amps.length; i++) {
            double watts = branchVolts(i) * amps[i];
            if (watts < 0) {
                given -= watts;
            } else {
                taken += watts;
            }
        }
        return Math.abs(given - taken) <= POWER_SHARE * Math.max(given, 1e-3);
    }

    /** What it was found for. */
    public Netlist netlist() {
        return netlist;
    }

    /** The conditions it holds under. */
    public Conditions conditions() {
        return conditions;
    }

    /** Volts of a terminal against the vehicle's earth; empty when it floats. */
    public Optional<Volts> voltsAt(Terminal terminal) {
        int node = netlist.node(terminal);
        return switched.floating[node] ? Optional.empty() : Optional.of(new Volts(volts[node]));
    }

    /** Current in a wire from its first end to its second. */
    public Amps through(Wire wire) {
        return new Amps(amps[netlist.branch(wire)]);
    }

    /** Volts lost from the first end of a wire to its second. */
    public Volts lostIn(Wire wire) {
        return new Volts(branchVolts(netlist.branch(wire)));
    }

    /**
     * Current through one branch inside a part, as {@link Netlist#inside} names them; empty when it
     * has no such branch.
     */
    public Optional<Amps> through(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role))
                .map(branch -> new Amps(amps[branch]));
    }

    /** Volts across one branch inside a part; empty when it has no such branch. */
    public Optional<Volts> across(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role))
                .map(branch -> new Volts(branchVolts(branch)));
    }

    /** Whether a contact or fuse inside a part is closed. */
    public boolean closed(PartId part, String role) {
        var branch = netlist.inside(part).get(role);
        return branch != null && switched.conducting[branch];
    }

    /** Whether the coil of a part has pulled in; for an alternator, whether it charges. */
    public boolean pulledIn(PartId part) {
        return netlist.coilOf(part).map(coil -> switched.pulled[coil]).orElse(false);
    }

    /** Whether a coil has pulled in. */
    boolean pulled(int coil) {
        return switched.pulled[coil];
    }

    /** A coil as it is under these conditions. */
    Coil coil(int coil) {
        return switched.coils[coil];
    }

    /** Whether a fuse is in and has not opened. */
    boolean whole(int branch) {
        return switched.whole[branch];
    }

    /** Whether something stays on only for a while after what it needs has gone. */
    public boolean holdsForAWhile() {
        for (int coil = 0; coil < switched.pulled.length; coil++) {
            if (switched.pulled[coil] && switched.coils[coil].holds() > 0) {
                return true;
            }
        }
        return false;
    }

    /** Whether a guard that is in carries what opens it. */
    boolean opensGuards() {
        for (int i = 0; i < amps.length; i++) {
            if (switched.branches[i] instanceof Branch.FuseBranch fuse
                    && switched.whole[i]
                    && Math.abs(amps[i]) >= fuse.opens()) {
                return true;
            }
        }
        return false;
    }

    /** The fuses that were in and have opened. */
    public List<FuseSeat> blown() {
        var seats = new ArrayList<FuseSeat>();
        for (var part : netlist.design().parts()) {
            netlist.inside(part.id())
                    .forEach((role, branch) -> {
                        if (switched.branches[branch] instanceof Branch.FuseBranch fuse
                                && fuse.whole()
                                && !switched.whole[branch]) {
                            seats.add(new FuseSeat(part.id(), role));
                        }
                    });
        }
        return seats;
    }

    /**
     * Light of a lamp as a share of its light at its test voltage. Of a filament it grows with
     * volts to the power of 3.4, of diodes with their current.
     */
    public Optional<Ratio> light(PartId part, String pin) {
        var inside = netlist.inside(part);
        return Optional.ofNullable(inside.get(pin))
                .flatMap(this::light)
                .or(() -> Optional.ofNullable(inside.get("body")).flatMap(this::light));
    }

    /** The volts at which a filament gives a share of its light. */
    public static Volts volts(Branch.Filament filament, Ratio light) {
        return new Volts(filament.ratedVolts() * Math.pow(light.value(), 1 / LIGHT_POWER));
    }

    /** The same of one branch; empty where it gives no light. */
    public Optional<Ratio> light(int branch) {
        if (switched.branches[branch] instanceof Branch.Filament filament) {
            double across = Math.abs(branchVolts(branch));
            return Optional.of(new Ratio(Math.pow(across / filament.ratedVolts(), LIGHT_POWER)));
        }
        return switched.branches[branch] instanceof Branch.Rectifier diodes && diodes.fullAmps() > 0
                ? Optional.of(new Ratio(Math.max(0, amps[branch]) / diodes.fullAmps()))
                : Optional.empty();
    }

    /** Current in a branch of the netlist, from a to b. */
    public double branchAmps(int branch) {
        return amps[branch];
    }

    /** A branch of the netlist as it is described under these conditions. */
    public Branch branch(int branch) {
        return switched.branches[branch];
    }

    /** Volts across a branch of the netlist, of a above b. */
    public double branchVolts(int branch) {
        return volts[netlist.a(branch)] - volts[netlist.b(branch)];
    }

    /**
     * What a settling resistance has come to, in ohms, or the volts a sensing source aims at; 0 for
     * any other branch.
     */
    public double settled(int branch) {
        return settled[branch];
    }

    /** Volts of a node against the vehicle's earth. */
    public double nodeVolts(int node) {
        return volts[node];
    }

    /** Whether a node has no way to the vehicle's earth. */
    public boolean floats(int node) {
        return switched.floating[node];
    }

    /** Whether a branch of the netlist conducts at all. */
    public boolean conducts(int branch) {
        return switched.conducting[branch];
    }
}
