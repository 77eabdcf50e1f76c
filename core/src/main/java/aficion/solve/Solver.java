package aficion.solve;

import aficion.job.PartId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Finds the operating point of a netlist. Coils begin at rest and move until none wants to move;
 * then settling resistances meet their law; then the fuse that is overloaded most opens and all
 * begins again. A state of the coils that comes back is tried once more with one coil at a time,
 * and if it comes back then it is chatter.
 *
 * <p>One solver serves one netlist and one thread; the ordering of the matrix is worked out once.
 */
public final class Solver {
    private static final int MOST_PASSES = 600;
    private static final double SETTLED = 1e-9;

    private final Netlist netlist;
    private final Newton newton;

    public Solver(Netlist netlist) {
        this.netlist = netlist;
        this.newton = new Newton(netlist);
    }

    public Netlist netlist() {
        return netlist;
    }

    /** The operating point under the conditions, or why there is none. */
    public Outcome solve(Conditions conditions) {
        return new Search(conditions).run();
    }

    private final class Search {
        private final Conditions conditions;
        private final Branch[] branches;
        private final Branch.Coil[] coils;
        private final State state;
        private final Set<BitSet> seen = new HashSet<>();
        private final BitSet restless = new BitSet();
        private boolean oneAtATime;

        Search(Conditions conditions) {
            this.conditions = conditions;
            this.branches = netlist.branches(conditions);
            this.coils = netlist.coils(conditions);
            this.state = new State(branches, coils.length);
            seen.add(state.coils());
            newton.restart(branches);
        }

        Outcome run() {
            for (int pass = 0; pass < MOST_PASSES; pass++) {
                var islands = new Islands(branches, state, netlist.nodes());
                if (!found(islands)) {
                    return new Outcome.Unsolvable(Outcome.Reason.NOT_SETTLED, List.of());
                }
                if (coilsMoved()) {
                    if (!seen.add(state.coils())) {
                        if (oneAtATime) {
                            return new Outcome.Chattering(restlessParts());
                        }
                        oneAtATime = true;
                        seen.clear();
                        restless.clear();
                    }
                } else if (!resistancesMoved(islands) && !fuseOpened()) {
                    return OperatingPoint.checked(
                            netlist, conditions, branches, state, islands, newton);
                }
            }
            return new Outcome.Unsolvable(Outcome.Reason.NOT_SETTLED, List.of());
        }

        private boolean found(Islands islands) {
            if (newton.solve(branches, state, islands)) {
                return true;
            }
            newton.restart(branches);
            return newton.solve(branches, state, islands);
        }

        private boolean coilsMoved() {
            boolean moved = false;
            for (int i = 0; i < coils.length && !(moved && oneAtATime); i++) {
                double volts = Math.abs(newton.at(coils[i].a()) - newton.at(coils[i].b()));
                boolean wanted =
                        state.pulled[i] ? volts > coils[i].dropOut() : volts >= coils[i].pickUp();
                if (wanted != state.pulled[i]) {
                    state.pulled[i] = wanted;
                    restless.set(i);
                    moved = true;
                }
            }
            return moved;
        }

        private List<PartId> restlessParts() {
            return restless.stream().mapToObj(netlist::coilPart).toList();
        }

        private boolean resistancesMoved(Islands islands) {
            boolean moved = false;
            for (int i = 0; i < branches.length; i++) {
                if (branches[i] instanceof Branch.Settling settling) {
                    double ohms =
                            Math.max(settling.least(), aimed(settling, state.settled[i], islands));
                    moved |= Math.abs(ohms - state.settled[i]) > SETTLED * state.settled[i];
                    state.settled[i] = ohms;
                }
            }
            return moved;
        }

        /**
         * The resistance that would meet the law if the rest of the network were a voltage behind a
         * resistance.
         */
        private double aimed(Branch.Settling settling, double ohms, Islands islands) {
            double volts = newton.across(settling);
            double amps = volts / ohms;
            double seen = newton.resistanceBetween(settling.a(), settling.b());
            double behind = 1 / Math.max(1 / seen - 1 / ohms, 1e-9);
            double open = volts + amps * behind;
            return switch (settling.law()) {
                case Branch.Law.Dwell dwell -> dwelling(dwell, behind);
                case Branch.Law.MeanVolts(var sense, var target) -> {
                    double out = Math.abs(newton.at(settling.b()) - newton.at(sense));
                    boolean blind = islands.floats(sense) || out < 1e-6 || Math.abs(amps) < 1e-9;
                    yield blind
                            ? settling.least()
                            : Math.abs(open) / (Math.abs(amps) * target / out) - behind;
                }
            };
        }

        /**
         * Current that rises as V/R·(1−e^(−t/τ)) while the contact is closed has the mean
         * V/R·share·(1−(1−e^(−x))/x) over the period, x = closed time/τ, τ = L/R; the resistance in
         * series that gives the same mean.
         */
        private static double dwelling(Branch.Law.Dwell dwell, double circuit) {
            double x = dwell.share() * dwell.period() * circuit / Math.max(dwell.henries(), 1e-9);
            double risen = x < 1e-6 ? x / 2 : 1 + Math.expm1(-x) / x;
            return circuit * (1 / (dwell.share() * risen) - 1);
        }

        private boolean fuseOpened() {
            int worst = -1;
            double most = 1;
            for (int i = 0; i < branches.length; i++) {
                if (branches[i] instanceof Branch.Trip trip && state.whole[i]) {
                    double overload =
                            Math.abs(Laws.amps(trip, newton.across(trip), state, i)) / trip.opens();
                    if (overload >= most) {
                        most = overload;
                        worst = i;
                    }
                }
            }
            if (worst < 0) {
                return false;
            }
            state.whole[worst] = false;
            seen.clear();
            seen.add(state.coils());
            return true;
        }
    }
}
