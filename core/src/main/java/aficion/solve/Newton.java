package aficion.solve;

import aficion.netlist.Branch;
import aficion.netlist.Netlist;
import aficion.solve.linear.Conductances;
import aficion.solve.linear.Elimination;
import java.util.Arrays;

/**
 * Finds the volts of every node while coils, fuses and settling resistances stay as they are.
 *
 * <p>Newton's method on the bending branches, with three rules that keep it from circling:
 *
 * <ul>
 *   <li>a filament whose volts change sign starts again from 0 V, and after three such turns
 *       follows its chord;
 *   <li>a diode's step is limited by current, not by volts, and only on the way on [1];
 *   <li>a limited source that would jump from one flat region to the other, or off a flat one,
 *       lands in between.
 * </ul>
 *
 * <p>[1] L. W. Nagel, "SPICE2: a computer program to simulate semiconductor circuits", ERL-M520,
 * Berkeley (1975), section 4.2.
 */
final class Newton {
    private static final int MOST_STEPS = 200;
    private static final double CLOSE = 1e-10;

    private final int nodes;
    private final Conductances matrix;
    private final int[] entry;
    final double[] volts;
    private final double[] at;
    private final int[] turns;

    Newton(Netlist netlist) {
        nodes = netlist.nodes();
        int size = netlist.size();
        var one = new int[size];
        var other = new int[size];
        for (int i = 0; i < size; i++) {
            boolean inner = netlist.a(i) > 0 && netlist.b(i) > 0;
            one[i] = inner ? netlist.a(i) - 1 : 0;
            other[i] = inner ? netlist.b(i) - 1 : 0;
        }
        matrix = new Conductances(Elimination.of(nodes - 1, one, other));
        entry = new int[size];
        for (int i = 0; i < size; i++) {
            entry[i] = one[i] == other[i] ? -1 : matrix.entry(one[i], other[i]);
        }
        volts = new double[nodes - 1];
        at = new double[size];
        turns = new int[size];
    }

    /** Volts of a above b. */
    double across(Branch branch) {
        return at(branch.a()) - at(branch.b());
    }

    double at(int node) {
        return node == 0 ? 0 : volts[node - 1];
    }

    /** Takes every bending branch back to where a search begins. */
    void restart(Branch[] branches) {
        Arrays.fill(turns, 0);
        for (int i = 0; i < branches.length; i++) {
            at[i] =
                    switch (branches[i]) {
                        case Branch.Filament filament -> filament.ratedVolts();
                        case Branch.Limited limited ->
                                limited.sign() * (limited.emf() + Laws.floor(limited)) / 2;
                        case Branch.Resistance _,
                                Branch.Contact _,
                                Branch.Driven _,
                                Branch.Trip _,
                                Branch.Rectifier _,
                                Branch.Source _,
                                Branch.Settling _ ->
                                0;
                    };
        }
    }

    /** True when the volts have been found. */
    boolean solve(Branch[] branches, State state, Islands islands) {
        Arrays.fill(turns, 0);
        for (int step = 0; step < MOST_STEPS; step++) {
            if (!linear(branches, state, islands)) {
                return false;
            }
            if (advance(branches, state)) {
                return true;
            }
        }
        return false;
    }

    /** Volts that one ampere injected into one node and taken from another raises between them. */
    double resistanceBetween(int one, int other) {
        var injected = new double[nodes - 1];
        if (one > 0) {
            injected[one - 1] += 1;
        }
        if (other > 0) {
            injected[other - 1] -= 1;
        }
        matrix.solve(injected);
        return (one > 0 ? injected[one - 1] : 0) - (other > 0 ? injected[other - 1] : 0);
    }

    private boolean linear(Branch[] branches, State state, Islands islands) {
        matrix.clear();
        Arrays.fill(volts, 0);
        for (int i = 0; i < branches.length; i++) {
            var branch = branches[i];
            if (!Laws.conducts(branch, state, i)) {
                continue;
            }
            double slope;
            double offset;
            if (branch instanceof Branch.Filament && turns[i] > 3 && at[i] != 0) {
                slope = Laws.amps(branch, at[i], state, i) / at[i];
                offset = 0;
            } else {
                slope = Laws.slope(branch, at[i], state, i);
                offset = Laws.amps(branch, at[i], state, i) - slope * at[i];
            }
            stamp(branch, entry[i], slope, offset);
        }
        for (int node = 1; node < nodes; node++) {
            if (islands.leads(node)) {
                matrix.addLeak(node - 1, 1);
            }
        }
        if (!matrix.factor()) {
            return false;
        }
        matrix.solve(volts);
        return true;
    }

    private void stamp(Branch branch, int entry, double slope, double offset) {
        int a = branch.a() - 1;
        int b = branch.b() - 1;
        if (a >= 0 && b >= 0) {
            if (entry < 0) {
                return;
            }
            matrix.addLink(entry, slope);
        } else if (a >= 0) {
            matrix.addLeak(a, slope);
        } else if (b >= 0) {
            matrix.addLeak(b, slope);
        }
        if (a >= 0) {
            volts[a] -= offset;
        }
        if (b >= 0) {
            volts[b] += offset;
        }
    }

    /** Moves every bending branch towards its new volts; true when none had to move. */
    private boolean advance(Branch[] branches, State state) {
        boolean settled = true;
        for (int i = 0; i < branches.length; i++) {
            var branch = branches[i];
            if (!Laws.bends(branch) || !Laws.conducts(branch, state, i)) {
                continue;
            }
            double wanted = across(branch);
            double next =
                    switch (branch) {
                        case Branch.Filament _ -> filament(i, wanted);
                        case Branch.Rectifier rectifier -> limited(rectifier, at[i], wanted);
                        case Branch.Limited source -> landed(source, at[i], wanted);
                        case Branch.Resistance _,
                                Branch.Contact _,
                                Branch.Driven _,
                                Branch.Trip _,
                                Branch.Source _,
                                Branch.Settling _ ->
                                wanted;
                    };
            settled &= close(branch, at[i], next, wanted);
            at[i] = next;
        }
        return settled;
    }

    private static boolean close(Branch branch, double before, double next, double wanted) {
        if (branch instanceof Branch.Limited source) {
            return next == wanted
                    && Laws.region(source, source.sign() * before)
                            == Laws.region(source, source.sign() * wanted);
        }
        return Math.abs(wanted - before) <= CLOSE * Math.max(1, Math.abs(wanted));
    }

    private double filament(int index, double wanted) {
        if (at[index] * wanted < 0 && Math.abs(wanted) > CLOSE) {
            turns[index]++;
            return turns[index] > 3 ? wanted : 0;
        }
        return wanted;
    }

    private static double limited(Branch.Rectifier diode, double before, double wanted) {
        double thermal = diode.thermal();
        double critical = thermal * Math.log(thermal / (Math.sqrt(2) * diode.saturation()));
        if (wanted <= critical || Math.abs(wanted - before) <= 2 * thermal) {
            return wanted;
        }
        if (before <= 0) {
            return Math.min(critical, thermal * Math.log(wanted / thermal));
        }
        double ratio = 1 + (wanted - before) / thermal;
        return ratio > 0 ? before + thermal * Math.log(ratio) : critical;
    }

    private static double landed(Branch.Limited source, double before, double wanted) {
        var from = Laws.region(source, source.sign() * before);
        var to = Laws.region(source, source.sign() * wanted);
        boolean offFlat = from != Laws.Region.REGULATING && to != from;
        return offFlat ? source.sign() * (source.emf() + Laws.floor(source)) / 2 : wanted;
    }
}
