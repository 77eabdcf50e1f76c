package aficion.ignite;

import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;

/**
 * The primary of a coil, or of several in series.
 *
 * @param ohms its resistance
 * @param henries its inductance
 * @param count how many are in series
 */
public record Primary(Ohms ohms, Henries henries, int count) {
    /**
     * @throws IllegalArgumentException when it has no resistance, or there is no coil
     */
    public Primary {
        if (!(ohms.value() > 0) || !(henries.value() >= 0) || count < 1) {
            throw new IllegalArgumentException("a coil has ohms, and there is one at least");
        }
    }

    private double all() {
        return count * ohms.value();
    }

    /** The current that flows for good: U/R. */
    public Amps steady(Volts supply) {
        return new Amps(supply.value() / all());
    }

    /** The current after the contacts have been closed for a while: U/R·(1 − e^(−tR/L)). */
    public Amps after(Volts supply, Seconds closed) {
        if (henries.value() == 0) {
            return steady(supply);
        }
        double constant = henries.value() / ohms.value();
        return new Amps(steady(supply).value() * (1 - Math.exp(-closed.value() / constant)));
    }

    /** The energy that is stored with a current, joules: ½·L·I². */
    public double joules(Amps current) {
        return 0.5 * count * henries.value() * current.value() * current.value();
    }

    /**
     * How long the contacts are closed for each spark: of the time between two sparks the share
     * that the dwell is.
     *
     * @param sparks for each turn of the engine
     * @param dwell share of the time, 0 to 1
     */
    public static Seconds closed(double rpm, double sparks, double dwell) {
        return new Seconds(dwell * 60 / (rpm * sparks));
    }

    /** The ballast that leaves so much current at those volts: U/I − R. */
    public Ohms ballast(Volts running, Amps wanted) {
        return new Ohms(running.value() / wanted.value() - all());
    }

    /** What a ballast turns into warmth, closed for a share of the time: I²·R·dwell. */
    public static Watts warmth(Ohms ballast, Amps current, double dwell) {
        return new Watts(current.value() * current.value() * ballast.value() * dwell);
    }

    /**
     * Another coil held against the one that is there.
     *
     * @param change of the current, as a share
     */
    public record Judged(Amps now, Amps then, double change, double joulesNow, double joulesThen) {}

    /** This coil against another, both at the same volts. */
    public Judged against(Primary proposed, Volts supply) {
        var now = steady(supply);
        var then = proposed.steady(supply);
        return new Judged(
                now, then, then.value() / now.value() - 1, joules(now), proposed.joules(then));
    }
}
