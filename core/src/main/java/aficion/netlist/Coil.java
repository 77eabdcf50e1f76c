package aficion.netlist;

/**
 * What moves driven contacts: the volts across two nodes, either way round.
 *
 * @param pickUp volts at which it pulls in
 * @param dropOut volts at which it lets go; below zero when volts alone never make it let go
 * @param series a branch whose current helps the coil, or {@link Branch#NONE}
 * @param perAmp what an ampere in that branch is worth, in volts
 * @param reset the coil that makes this one let go, or {@link Branch#NONE}
 * @param delay seconds from reaching its volts to moving
 * @param holds seconds that it stays pulled in after its volts have gone
 */
public record Coil(
        int a,
        int b,
        double pickUp,
        double dropOut,
        int series,
        double perAmp,
        int reset,
        double delay,
        double holds) {

    /** How long a common relay takes, seconds, typical. */
    public static final double USUAL_DELAY = 0.008;

    public Coil(int a, int b, double pickUp, double dropOut) {
        this(a, b, pickUp, dropOut, Branch.NONE, 0, Branch.NONE, USUAL_DELAY, 0);
    }

    /** The same coil burnt through: no volts pull it in. */
    public Coil dead() {
        return new Coil(
                a, b, Double.POSITIVE_INFINITY, dropOut, Branch.NONE, 0, reset, delay, holds);
    }

    /** The same coil, helped or hindered by the current of a branch. */
    public Coil helpedBy(int branch, double voltsPerAmp) {
        return new Coil(a, b, pickUp, dropOut, branch, voltsPerAmp, reset, delay, holds);
    }

    /** The same coil as one that stays where it is until another makes it let go. */
    public Coil latchedUntil(int other) {
        return new Coil(a, b, pickUp, -1, series, perAmp, other, delay, holds);
    }

    /** The same that moves so many seconds after its volts have come. */
    public Coil after(double seconds) {
        return new Coil(a, b, pickUp, dropOut, series, perAmp, reset, seconds, holds);
    }

    /** The same coil as one that stays for a while after its volts have gone. */
    public Coil holding(double seconds) {
        return new Coil(a, b, pickUp, dropOut, series, perAmp, reset, delay, seconds);
    }
}
