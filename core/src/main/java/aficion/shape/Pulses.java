package aficion.shape;

import aficion.job.Pickup;
import aficion.quantity.Metres;

/** How often a sensor sees a mark: for each metre of road, and for each second at a speed. */
public final class Pulses {
    private static final double SECONDS_AN_HOUR = 3600;
    private static final double METRES_A_KILOMETRE = 1000;

    /**
     * Gap between sensor and mark, metres, as makers of such sensors mostly ask for it (typical).
     */
    private static final double GAP = 0.001;

    /** A sensor is no nearer to a joint of the shaft than this many of its diameters (typical). */
    private static final double FROM_JOINT = 1;

    private Pulses() {}

    /** Pulses for each metre: marks · turns of the shaft / (π · D of the wheel). */
    public static double metre(Pickup pickup) {
        return pickup.marks() * pickup.drive().value() / (Math.PI * pickup.wheel().value());
    }

    /** Pulses for each second at a speed in kilometres an hour. */
    public static double second(Pickup pickup, double kilometresAnHour) {
        return metre(pickup) * kilometresAnHour * METRES_A_KILOMETRE / SECONDS_AN_HOUR;
    }

    /** How far a sensor stands from the marks. */
    public static Metres gap() {
        return new Metres(GAP);
    }

    /** How far it stands from a joint of the shaft, which moves, at the least. */
    public static Metres fromJoint(Pickup pickup) {
        return new Metres(FROM_JOINT * pickup.shaft().value());
    }
}
