package aficion.solve;

/** What happens to a network at rest and on the way there. */
final class Track {
    /** The most that each wire carries, in amps. */
    final float[] most;

    private double margin = Double.POSITIVE_INFINITY;

    Track(int wires) {
        most = new float[wires];
    }

    /** One that goes on from another. */
    Track(Track before) {
        most = before.most.clone();
        margin = before.margin;
    }

    /** Notes where a network stands. */
    void note(Network network) {
        for (int i = 0; i < most.length; i++) {
            most[i] = Math.max(most[i], (float) Math.abs(network.amps(i)));
        }
        for (int coil = 0; coil < network.coils(); coil++) {
            margin = Math.min(margin, network.margin(coil));
        }
    }

    /** Notes what the wires carry at a point that was not gone to. */
    void note(OperatingPoint point) {
        for (int i = 0; i < most.length; i++) {
            most[i] = Math.max(most[i], (float) Math.abs(point.branchAmps(i)));
        }
    }

    /** By how much volts may change at least before some coil moves otherwise. */
    double margin() {
        return margin;
    }
}
