package aficion.ignite;

import aficion.job.Damper;
import aficion.quantity.Metres;

/** Marks on what turns. */
public final class Marks {
    private Marks() {}

    /** How far round a pulley an angle is: π·D·θ/360. */
    public static Metres arc(Metres diameter, double degrees) {
        return new Metres(Math.PI * diameter.value() * degrees / 360);
    }

    /** How far a tape reaches that goes round once: π·D. */
    public static Metres round(Damper damper) {
        return arc(damper.diameter(), 360);
    }
}
