package aficion.desktop.workbench;

import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.job.Design;
import aficion.netlist.Netlist;
import java.util.Optional;

/**
 * What operating points are of: a design, with what has given way in it.
 *
 * @param fault empty where all is sound
 */
record Solvable(Design design, Optional<Fault> fault) {
    Netlist netlist() {
        var sound = Netlist.of(design);
        return fault.map(gone -> Faulty.of(sound, gone)).orElse(sound);
    }

    /** Whether it is the same, and not only alike. */
    boolean is(Solvable other) {
        return design == other.design && fault.equals(other.fault);
    }
}
