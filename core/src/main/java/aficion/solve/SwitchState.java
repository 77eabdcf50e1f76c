package aficion.solve;

import aficion.netlist.Branch;
import aficion.netlist.Coil;
import java.util.List;

/**
 * How things stand in a network: what each branch is, which coils are pulled in, which fuses whole,
 * which blinking contacts closed, and what settles itself has come to.
 */
final class SwitchState {
    final Branch[] branches;
    final Coil[] coils;
    final boolean[] pulled;
    final boolean[] whole;
    final boolean[] closed;

    /** Ohms of a settling resistance, or the volts a sensing source aims at. */
    final double[] settled;

    SwitchState(Branch[] branches, Coil[] coils) {
        this.branches = branches;
        this.coils = coils;
        pulled = new boolean[coils.length];
        whole = new boolean[branches.length];
        closed = new boolean[branches.length];
        settled = new double[branches.length];
    }

    /** Puts a branch to where it begins: a fuse in that is not out, a resistance at its least. */
    void begin(int i) {
        switch (branches[i]) {
            case Branch.FuseBranch fuse -> whole[i] = fuse.whole();
            case Branch.ControlledResistance settling -> settled[i] = settling.least();
            case Branch.Limited limited -> settled[i] = limited.emf();
            case Branch.Source source -> settled[i] = source.emf();
            case Branch.Blinker _ -> closed[i] = true;
            case Branch.Resistance _,
                    Branch.Contact _,
                    Branch.Driven _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.Capacitance _ -> {}
        }
    }

    /** Whether a branch conducts as things stand. */
    boolean conducting(int i) {
        return switch (branches[i]) {
            case Branch.Contact contact -> contact.closed();
            case Branch.Driven(_, _, _, var needs) -> met(needs);
            case Branch.FuseBranch _ -> whole[i];
            case Branch.Blinker _ -> closed[i];
            case Branch.Limited limited -> met(limited.needs());
            case Branch.Capacitance _ -> false;
            case Branch.Resistance _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.ControlledResistance _ ->
                    true;
        };
    }

    private boolean met(List<Branch.Need> needs) {
        for (var need : needs) {
            if (pulled[need.coil()] != need.pulled()) {
                return false;
            }
        }
        return true;
    }

    /** What a straight branch that conducts resists. */
    double ohms(int i) {
        return switch (branches[i]) {
            case Branch.Resistance(_, _, var ohms) -> ohms;
            case Branch.Contact(_, _, var ohms, _) -> ohms;
            case Branch.Driven(_, _, var ohms, _) -> ohms;
            case Branch.Blinker(_, _, var ohms, _) -> ohms;
            case Branch.FuseBranch fuse -> fuse.ohms();
            case Branch.ControlledResistance _ -> settled[i];
            case Branch.Warming warming -> warming.ohms();
            case Branch.Capacitance _ -> Double.POSITIVE_INFINITY;
            case Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Limited _,
                    Branch.Motor _ ->
                    throw new IllegalStateException(
                            "branch " + i + " bends and was not announced as bending");
        };
    }
}
