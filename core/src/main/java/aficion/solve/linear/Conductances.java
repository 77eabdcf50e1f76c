package aficion.solve.linear;

import java.util.Arrays;

/**
 * Conductances between nodes and from nodes to the reference, and their solution for given
 * injections.
 *
 * <p>Each node's leak to the reference is a number of its own and no diagonal is ever formed by
 * subtraction, so that milliohm islands behind a large resistance keep all their digits [1]:
 * eliminating node k adds g(i,k)·g(k,j)/d(k) to the link i–j and g(i,k)·s(k)/d(k) to the leak of i,
 * where d(k) is the leak of k plus its remaining links. All terms are positive; there is no
 * pivoting.
 *
 * <p>Used in two strokes. What stays is added and injected after {@link #clear}, then {@link
 * #reduce} eliminates the head once. For each step after it, {@link #begin} takes the tail back to
 * where the head left it; what changes is added and injected, on tail nodes only; {@link #factor}
 * and {@link #solve} find the volts of the tail, and {@link #spread}, when the steps are done,
 * those of the head. Nothing here allocates.
 *
 * <p>[1] W. K. Grassmann, M. I. Taksar, D. P. Heyman, "Regenerative analysis and steady state
 * distributions for Markov chains", Operations Research 33 (1985).
 */
public final class Conductances {
    private final Elimination order;
    private final int size;
    private final int head;
    private final int[] start;
    private final int[] row;
    private final double[] link;
    private final double[] leak;
    private final double[] factor;
    private final double[] pivot;
    private final double[] x;
    private final double[] tailLink;
    private final double[] tailLeak;
    private final double[] tailX;

    public Conductances(Elimination order) {
        this.order = order;
        this.size = order.size;
        this.head = order.head;
        this.start = order.start;
        this.row = order.row;
        this.link = new double[row.length];
        this.factor = new double[row.length];
        this.leak = new double[size];
        this.pivot = new double[size];
        this.x = new double[size];
        this.tailLink = new double[row.length - start[head]];
        this.tailLeak = new double[size - head];
        this.tailX = new double[size - head];
    }

    /** Forgets every conductance and injection. */
    public void clear() {
        Arrays.fill(link, 0);
        Arrays.fill(leak, 0);
        Arrays.fill(x, 0);
    }

    /** Where {@link #addLink} keeps the link of two nodes, to be asked once for each pattern. */
    public int entry(int one, int other) {
        return order.entry(one, other);
    }

    /** The place of a node in the order of elimination: what leaks, injections and volts go by. */
    public int rank(int node) {
        return order.rank[node];
    }

    /** Adds a conductance, zero or more, between the two nodes whose entry this is. */
    public void addLink(int entry, double siemens) {
        link[entry] += siemens;
    }

    /**
     * Adds a conductance between two nodes by their ranks; a rank below zero is the reference.
     *
     * @param link the place of the link between them; below zero where there is none
     */
    public void addBetween(int rankA, int rankB, int link, double conductance) {
        if (link >= 0) {
            addLink(link, conductance);
        } else if (rankB < 0 && rankA >= 0) {
            addLeak(rankA, conductance);
        } else if (rankA < 0 && rankB >= 0) {
            addLeak(rankB, conductance);
        }
    }

    /** Adds a conductance, zero or more, from a node to the reference. */
    public void addLeak(int rank, double siemens) {
        leak[rank] += siemens;
    }

    /** Injects a current into a node. */
    public void inject(int rank, double amps) {
        x[rank] += amps;
    }

    /**
     * Eliminates the head.
     *
     * @return false when some node of it has no way to the reference
     */
    public boolean reduce() {
        if (!eliminate(0, head)) {
            return false;
        }
        forward(x, 0, head);
        System.arraycopy(link, start[head], tailLink, 0, tailLink.length);
        System.arraycopy(leak, head, tailLeak, 0, tailLeak.length);
        System.arraycopy(x, head, tailX, 0, tailX.length);
        return true;
    }

    /** Takes the tail back to where {@link #reduce} left it. */
    public void begin() {
        System.arraycopy(tailLink, 0, link, start[head], tailLink.length);
        System.arraycopy(tailLeak, 0, leak, head, tailLeak.length);
        again();
    }

    /** Takes only the injections back, for another step with the same conductances. */
    public void again() {
        System.arraycopy(tailX, 0, x, head, tailX.length);
    }

    /**
     * Eliminates the tail.
     *
     * @return false when some node of it has no way to the reference
     */
    public boolean factor() {
        return eliminate(head, size);
    }

    /** Finds the volts of the tail from its injections. */
    public void solve() {
        forward(x, head, size);
        backward(x, head, size);
    }

    /** The volts of a node of the tail, once found. */
    public double volts(int rank) {
        return x[rank];
    }

    /** Finds the volts of all nodes, by rank, from those of the tail. */
    public void spread(double[] volts) {
        System.arraycopy(x, 0, volts, 0, size);
        backward(volts, 0, head);
    }

    /** Solves for the volts of every node, in place of the amps injected into it, both by rank. */
    public void solve(double[] injected) {
        forward(injected, 0, size);
        backward(injected, 0, size);
    }

    private boolean eliminate(int first, int end) {
        int[] pairTarget = order.pairTarget;
        for (int k = first; k < end; k++) {
            int from = start[k];
            int to = start[k + 1];
            double diagonal = leak[k];
            for (int p = from; p < to; p++) {
                diagonal += link[p];
            }
            if (!(diagonal > 0)) {
                return false;
            }
            pivot[k] = 1 / diagonal;
            int pair = order.pairStart[k];
            double own = leak[k];
            for (int p = from; p < to; p++) {
                double share = link[p] * pivot[k];
                factor[p] = share;
                leak[row[p]] += share * own;
                for (int q = p + 1; q < to; q++) {
                    link[pairTarget[pair++]] += share * link[q];
                }
            }
        }
        return true;
    }

    private void forward(double[] amps, int first, int end) {
        for (int k = first; k < end; k++) {
            double amount = amps[k];
            if (amount != 0) {
                for (int p = start[k]; p < start[k + 1]; p++) {
                    amps[row[p]] += factor[p] * amount;
                }
            }
        }
    }

    private void backward(double[] amps, int first, int end) {
        for (int k = end - 1; k >= first; k--) {
            double volts = amps[k] * pivot[k];
            for (int p = start[k]; p < start[k + 1]; p++) {
                volts += factor[p] * amps[row[p]];
            }
            amps[k] = volts;
        }
    }
}
