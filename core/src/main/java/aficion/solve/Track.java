package aficion.solve;

import aficion.netlist.Conditions;
import aficion.netlist.Netlist;

/** What happens to a network at rest and on the way there, or in several states. */
public final class Track {
    /** The most that each wire carries, in amps. */
    final float[] most;

    private double margin = Double.POSITIVE_INFINITY;

    /** One on which nothing has happened yet. */
    public Track(int wires) {
        most = new float[wires];
    }

    /** One that goes on from another. */
    Track(Track before) {
        most = before.most.clone();
        margin = before.margin;
    }

    /** Notes where a network stands. */
    public void note(Network network) {
        for (int i = 0; i < most.length; i++) {
            most[i] = Math.max(most[i], (float) Math.abs(network.amps(i)));
        }
        for (int coil = 0; coil < network.coils(); coil++) {
            margin = Math.min(margin, network.margin(coil));
        }
    }

    /** Notes what the wires carry at a point that was not gone to. */
    public void note(OperatingPoint point) {
        for (int i = 0; i < most.length; i++) {
            most[i] = Math.max(most[i], (float) Math.abs(point.branchAmps(i)));
        }
    }

    /** By how much volts may change at least before some coil moves otherwise. */
    double margin() {
        return margin;
    }

    /**
     * By how many volts anything may be otherwise once wires are cut otherwise, as long as all
     * moves as it did: ΔR·I of each, with the I that it carried at the most (compensation theorem).
     *
     * @param before the netlist this was noted of
     * @param after one of the same topology
     * @param wires those that resist otherwise in it
     */
    public double changed(Netlist before, Netlist after, int[] wires, Conditions conditions) {
        double volts = 0;
        for (int wire : wires) {
            double ohms = after.ohms(wire, conditions) - before.ohms(wire, conditions);
            volts += most[wire] * Math.abs(ohms);
        }
        return volts;
    }
}
