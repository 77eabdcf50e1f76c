package aficion.sweep;

import aficion.fault.Fault;

/**
 * A fault by which a branch conducts less.
 *
 * @param branch the branch, a straight one
 * @param more what is added to its resistance, ohms; {@link #GONE} where it is broken
 */
record Poorer(Fault fault, int branch, double more) {
    /** No way is left. */
    static final double GONE = Double.POSITIVE_INFINITY;

    /** What it conducts instead, when it was of that resistance. */
    double conductance(double ohms) {
        return more == GONE ? 0 : 1 / (ohms + more);
    }
}
