package aficion.ignite;

import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;

/**
 * The primary of a coil, or of several in series, with what lies in series with it.
 *
 * @param ohms resistance of one
 * @param henries inductance of one
 * @param count how many are in series
 * @param ballast what lies in series with all of them
 */
public record Primary(Ohms ohms, Henries henries, int count, Ohms ballast) {
    /** How many turns a four-stroke engine makes for each spark of a cylinder. */
    private static final int TURNS = 2;

    /**
     * @throws IllegalArgumentException when it has no resistance, or there is no coil
     */
    public Primary {
        boolean wound = ohms.value() > 0 && henries.value() >= 0 && ballast.value() >= 0;
        if (!wound || count < 1) {
            throw new IllegalArgumentException("a coil has ohms, and there is one at least");
        }
    }

    /** With nothing in series. */
    public Primary(Ohms ohms, Henries henries, int count) {
        this(ohms, henries, count, new Ohms(0));
    }

    /** The same behind another ballast. */
    public Primary behind(Ohms other) {
        return new Primary(ohms, henries, count, other);
    }

    /** The ohms of all coils, without the ballast. */
    public Ohms coils() {
        return new Ohms(count * ohms.value());
    }

    /** The ohms of everything. */
    public Ohms all() {
        return new Ohms(coils().value() + ballast.value());
    }

    /** The current that flows for good: U/R. */
    public Amps steady(Volts supply) {
        return new Amps(supply.value() / all().value());
    }

    /** The current after the contacts have been closed for a while: U/R·(1 − e^(−tR/L)). */
    public Amps after(Volts supply, Seconds closed) {
        double inductance = count * henries.value();
        if (inductance == 0) {
            return steady(supply);
        }
        double constants = closed.value() * all().value() / inductance;
        return new Amps(-steady(supply).value() * Math.expm1(-constants));
    }

    /** The energy that is stored in all coils with a current, joules: ½·L·I². */
    public double joules(Amps current) {
        return 0.5 * count * henries.value() * current.value() * current.value();
    }

    /**
     * How long the contacts are closed for each spark of a four-stroke engine: of the time between
     * two sparks the share that the dwell is.
     *
     * @param dwell share of the time, 0 to 1
     */
    public static Seconds closed(double rpm, int cylinders, double dwell) {
        double sparks = (double) cylinders / TURNS;
        return new Seconds(dwell * 60 / (rpm * sparks));
    }

    /** The ballast that leaves so much current at those volts: U/I − R. */
    public Ohms ballast(Volts running, Amps wanted) {
        return new Ohms(running.value() / wanted.value() - coils().value());
    }

    /** What a resistance turns into warmth, closed for a share of the time: I²·R·dwell. */
    public static Watts warmth(Ohms resistance, Amps current, double dwell) {
        return new Watts(current.value() * current.value() * resistance.value() * dwell);
    }
}
