package aficion.sweep;

import aficion.catalogue.TimeBand;
import aficion.netlist.Branch;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Seconds;
import aficion.solve.Network;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/** The guards of a vehicle: which opens next, and when. */
final class Guardians {
    private final Network network;
    private final int[] branches;
    private final Branch.FuseBranch[] trips;
    private final FuseSeat[] seats;

    /** The current below which each has no time, and that which opens it for certain. */
    private final double[] timed;

    private final double[] opens;

    /**
     * A guard that opens.
     *
     * @param amps what then flows through it
     * @param within its seconds at its slowest
     */
    record Opening(int branch, FuseSeat seat, double amps, double within) {
        Consequence consequence() {
            return new Consequence.Opens(seat, new Amps(amps), new Seconds(within));
        }
    }

    Guardians(Netlist netlist, Network network) {
        this.network = network;
        branches =
                IntStream.range(0, netlist.size())
                        .filter(i -> network.branch(i) instanceof Branch.FuseBranch)
                        .toArray();
        trips = new Branch.FuseBranch[branches.length];
        seats = new FuseSeat[branches.length];
        timed = new double[branches.length];
        opens = new double[branches.length];
        for (int i = 0; i < branches.length; i++) {
            trips[i] = (Branch.FuseBranch) network.branch(branches[i]);
            var part = netlist.partOf(branches[i]).orElseThrow();
            seats[i] = new FuseSeat(part, netlist.roleOf(branches[i]));
            timed[i] = trips[i].type().timedFrom(trips[i].marking()).value();
            opens[i] = trips[i].opens();
        }
    }

    /** The one that needs least time with what flows now; empty where none opens. */
    Optional<Opening> next() {
        int first = -1;
        double soonest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < branches.length; i++) {
            double amps = Math.abs(network.amps(branches[i]));
            if (amps >= timed[i] && network.whole(branches[i])) {
                double within = seconds(i, amps);
                if (within < soonest) {
                    soonest = within;
                    first = i;
                }
            }
        }
        return first < 0
                ? Optional.empty()
                : Optional.of(
                        new Opening(
                                branches[first],
                                seats[first],
                                Math.abs(network.amps(branches[first])),
                                soonest));
    }

    private double seconds(int i, double amps) {
        return trips[i].type().seconds(trips[i].marking(), amps, TimeBand.Edge.SLOWEST);
    }

    /** Whether one of them would be overloaded with those amps in the branches. */
    boolean overloaded(IntToDoubleFunction amps) {
        for (int i = 0; i < branches.length; i++) {
            if (network.whole(branches[i])
                    && Math.abs(amps.applyAsDouble(branches[i])) >= opens[i]) {
                return true;
            }
        }
        return false;
    }
}
