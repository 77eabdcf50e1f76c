package aficion.bench;

import aficion.job.Design;
import aficion.quantity.Amps;
import aficion.quantity.Volts;

/**
 * How a bench supply is set for a run.
 *
 * @param volts those of a charged battery
 * @param limit what the vehicle draws most in the run, and a fifth
 */
public record SupplySetting(Volts volts, Amps limit) {
    private static final double MARGIN = 1.2;

    /** The least that is of use, amps. */
    private static final double LEAST = 1;

    /** What a charged battery of the vehicle gives. */
    static Volts charged(Design design) {
        return design.vehicle().rested();
    }

    /** For a plan of the design; a plan that does not say what is drawn gets the least limit. */
    public static SupplySetting of(Design design, BenchPlan plan) {
        double most = plan.coverage().map(found -> found.drawn().value()).orElse(0.0);
        return new SupplySetting(
                charged(design), new Amps(Math.max(LEAST, Math.ceil(10 * MARGIN * most) / 10)));
    }
}
