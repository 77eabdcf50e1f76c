package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.Insulation;
import aficion.job.Wire;

/**
 * What a wire stands in a dead short: I²·t = (k·S)², as long as no heat leaves it (IEC 60364-5-54,
 * adiabatic).
 */
public final class ShortCircuit {
    /** So long no heat is said to leave a conductor, seconds. */
    public static final double ADIABATIC = 5;

    private ShortCircuit() {}

    /** (k·S)², in A²·s. */
    public static double stands(Conductor conductor, Insulation cover) {
        double heat = cover.adiabaticConstant() * conductor.copper().value();
        return heat * heat;
    }

    /** Whether a wire, were it of that conductor, outlives what a fuse lets through in a short. */
    public static boolean outlives(Wire wire, Conductor conductor, Guard.Fitted fuse) {
        return fuse.type().letsThrough(fuse.marking(), ADIABATIC)
                < stands(conductor, wire.insulation());
    }
}
