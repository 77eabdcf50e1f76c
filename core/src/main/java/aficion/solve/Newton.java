package aficion.solve;

import aficion.solve.linear.Conductances;

/**
 * Newton's method on the nodes that bending branches touch, after what is straight has been
 * eliminated. Begins where the last search ended; allocates nothing.
 */
final class Newton {
    private static final int MOST_STEPS = 200;

    /** So many steps at most are taken with one slope. */
    private static final int MOST_SHIFTS = 6;

    private final Conductances matrix;
    private final NonlinearBranches bends;
    private final int[] bendA;
    private final int[] bendB;
    private final int[] bendEntry;
    private boolean factored;
    private int steps;

    Newton(Conductances matrix, NonlinearBranches bends, Pattern pattern) {
        this.matrix = matrix;
        this.bends = bends;
        this.bendA = pattern.bendA;
        this.bendB = pattern.bendB;
        this.bendEntry = pattern.bendEntry;
    }

    /** Forgets the slopes of the last search, since what is straight has changed. */
    void forget() {
        factored = false;
    }

    /** Steps the last search took. */
    int steps() {
        return steps;
    }

    /**
     * Finds where every bending branch is; once more from the start where that fails.
     *
     * @return false when it could not be found
     */
    boolean solve() {
        bends.forgiveTurns();
        if (search()) {
            return true;
        }
        bends.restart();
        return search();
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
            } else if (!slope()) {
                return false;
            }
            inject();
            matrix.solve();
            var worst = advance();
            if (worst == NonlinearBranches.Distance.NONE) {
                return true;
            }
            near = worst == NonlinearBranches.Distance.NEAR && steps % MOST_SHIFTS != 0;
            for (int k = 0; k < bendA.length; k++) {
                if (near) {
                    bends.shift(k);
                } else {
                    bends.touch(k);
                }
            }
        }
        return false;
    }

    private NonlinearBranches.Distance advance() {
        var worst = NonlinearBranches.Distance.NONE;
        for (int k = 0; k < bendA.length; k++) {
            var distance = bends.advance(k, found(bendA[k]) - found(bendB[k]));
            if (distance.compareTo(worst) > 0) {
                worst = distance;
            }
        }
        return worst;
    }

    /** Takes on the slopes of every branch where it is; false when they cannot be solved. */
    private boolean slope() {
        matrix.begin();
        for (int k = 0; k < bendA.length; k++) {
            matrix.addBetween(bendA[k], bendB[k], bendEntry[k], bends.slope[k]);
        }
        factored = matrix.factor();
        if (factored) {
            bends.forgetSlopes();
        }
        return factored;
    }

    private void inject() {
        for (int k = 0; k < bendA.length; k++) {
            double offset = bends.offset[k];
            if (offset != 0) {
                inject(bendA[k], -offset);
                inject(bendB[k], offset);
            }
        }
    }

    private void inject(int rank, double amps) {
        if (rank >= 0) {
            matrix.inject(rank, amps);
        }
    }

    private double found(int rank) {
        return rank < 0 ? 0 : matrix.volts(rank);
    }
}
