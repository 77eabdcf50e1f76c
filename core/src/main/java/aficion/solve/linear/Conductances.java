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
 * <p>[1] W. K. Grassmann, M. I. Taksar, D. P. Heyman, "Regenerative analysis and steady state
 * distributions for Markov chains", Operations Research 33 (1985).
 */
public final class Conductances {
    private final Elimination order;
    private final double[] link;
    private final double[] leak;
    private final double[] factor;
    private final double[] pivot;
    private final double[] work;

    public Conductances(Elimination order) {
        this.order = order;
        this.link = new double[order.entries()];
        this.factor = new double[order.entries()];
        this.leak = new double[order.size()];
        this.pivot = new double[order.size()];
        this.work = new double[order.size()];
    }

    /** Forgets every conductance. */
    public void clear() {
        Arrays.fill(link, 0);
        Arrays.fill(leak, 0);
    }

    /** Where {@link #addLink} keeps the link of two nodes, to be asked once for each pattern. */
    public int entry(int one, int other) {
        return order.entry(one, other);
    }

    /** Adds a conductance, zero or more, between the two nodes whose entry this is. */
    public void addLink(int entry, double siemens) {
        link[entry] += siemens;
    }

    /** Adds a conductance, zero or more, from a node to the reference. */
    public void addLeak(int node, double siemens) {
        leak[order.rank(node)] += siemens;
    }

    /**
     * Factors what has been added, in place; add again after {@link #clear}.
     *
     * @return false when some node has no way to the reference
     */
    public boolean factor() {
        for (int k = 0; k < order.size(); k++) {
            int from = order.start(k);
            int to = order.start(k + 1);
            double diagonal = leak[k];
            for (int p = from; p < to; p++) {
                diagonal += link[p];
            }
            if (!(diagonal > 0)) {
                return false;
            }
            pivot[k] = diagonal;
            int pair = order.pairStart(k);
            for (int p = from; p < to; p++) {
                double share = link[p] / diagonal;
                factor[p] = share;
                if (share == 0) {
                    pair += to - p - 1;
                    continue;
                }
                leak[order.row(p)] += share * leak[k];
                for (int q = p + 1; q < to; q++) {
                    link[order.pairTarget(pair++)] += share * link[q];
                }
            }
        }
        return true;
    }

    /** Solves for the volts of every node, in place of the amps injected into it. */
    public void solve(double[] injected) {
        for (int node = 0; node < work.length; node++) {
            work[order.rank(node)] = injected[node];
        }
        for (int k = 0; k < work.length; k++) {
            double amount = work[k];
            if (amount != 0) {
                for (int p = order.start(k); p < order.start(k + 1); p++) {
                    work[order.row(p)] += factor[p] * amount;
                }
            }
        }
        for (int k = work.length - 1; k >= 0; k--) {
            double volts = work[k] / pivot[k];
            for (int p = order.start(k); p < order.start(k + 1); p++) {
                volts += factor[p] * work[order.row(p)];
            }
            work[k] = volts;
        }
        for (int node = 0; node < work.length; node++) {
            injected[node] = work[order.rank(node)];
        }
    }
}
