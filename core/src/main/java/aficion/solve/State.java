package aficion.solve;

import aficion.netlist.Branch;
import java.util.BitSet;

/**
 * What a search for the operating point has settled so far: coils, fuses and settling resistances.
 */
final class State {
    final boolean[] pulled;
    final boolean[] whole;
    final double[] settled;

    State(Branch[] branches, int coils) {
        pulled = new boolean[coils];
        whole = new boolean[branches.length];
        settled = new double[branches.length];
        for (int i = 0; i < branches.length; i++) {
            switch (branches[i]) {
                case Branch.Trip trip -> whole[i] = trip.whole();
                case Branch.Settling settling -> settled[i] = settling.least();
                case Branch.Resistance _,
                        Branch.Contact _,
                        Branch.Driven _,
                        Branch.Filament _,
                        Branch.Rectifier _,
                        Branch.Source _,
                        Branch.Limited _ -> {}
            }
        }
    }

    BitSet coils() {
        var bits = new BitSet(pulled.length);
        for (int i = 0; i < pulled.length; i++) {
            bits.set(i, pulled[i]);
        }
        return bits;
    }
}
