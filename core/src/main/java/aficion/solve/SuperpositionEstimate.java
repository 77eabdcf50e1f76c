package aficion.solve;

/**
 * What would become of a network if a straight branch that conducts had another conductance and
 * everything else kept its slope (Sherman, Morrison): good for telling what does not matter. The
 * change is counted twice, for doubt. To be asked before anything has moved since the volts were
 * found: first {@link #at} a branch, then {@link #of} each conductance it may have.
 */
public final class SuperpositionEstimate {
    /** How many times a change is counted that is only expected. */
    private static final double DOUBTED = 2;

    /** A branch without which so little of the conductance beside it is left is the only way. */
    private static final double ONLY_WAY = 1e-6;

    private final Network network;
    private final double[] change;
    private final double[] expected;
    private int branch;
    private double seen;

    public SuperpositionEstimate(Network network) {
        this.network = network;
        change = new double[network.netlist().nodes()];
        expected = new double[change.length];
    }

    /** Asks about a branch. */
    public void at(int asked) {
        branch = asked;
        int a = network.netlist().a(branch);
        int b = network.netlist().b(branch);
        network.respond(a, b, change);
        seen = change[a] - change[b];
    }

    /**
     * Works out the expected volts were that branch of that conductance.
     *
     * @return false where they cannot be told, since the branch is the only way
     */
    public boolean of(double conductance) {
        double more = conductance - network.slope(branch);
        double remains = 1 + more * seen;
        if (!(remains > ONLY_WAY)) {
            return false;
        }
        double moved = -DOUBTED * more * network.across(branch) / remains;
        for (int node = 1; node < expected.length; node++) {
            expected[node] = network.volts(node) + moved * change[node];
        }
        return true;
    }

    /** The expected current of a branch other than the changed one. */
    public double amps(int branch) {
        double across = across(network.netlist().a(branch), network.netlist().b(branch));
        double amps = network.amps(branch);
        return faded(amps, amps + network.slope(branch) * (across - network.across(branch)));
    }

    /** Whether a coil would move at the expected volts. */
    public boolean moves(int coil) {
        var felt = network.coil(coil);
        double was = network.volts(felt.a()) - network.volts(felt.b());
        double volts = Math.abs(faded(was, across(felt.a(), felt.b())));
        double more = felt.series() >= 0 ? felt.perAmp() * amps(felt.series()) : 0;
        return network.wantsIn(coil, volts + more) != network.pulled(coil);
    }

    private double across(int a, int b) {
        return expected[a] - expected[b];
    }

    /**
     * A change counted twice takes what fades past nothing, as far as it was before: then nothing
     * is left.
     */
    private static double faded(double was, double expected) {
        return was * expected < 0 && Math.abs(expected) < 1.5 * Math.abs(was) ? 0 : expected;
    }
}
