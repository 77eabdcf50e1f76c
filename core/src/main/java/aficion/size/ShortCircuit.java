package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.Insulation;
import aficion.catalogue.TimeBand;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.Kelvins;
import aficion.quantity.Seconds;
import java.util.Optional;

/**
 * What a wire stands until a guard opens. In a dead short I²·t = (k·S)², as long as no heat leaves
 * it (IEC 60364-5-54, adiabatic). Longer, as one lump that warms towards its rise: I = I∞/√(1 −
 * e^(−t/τ)), where τ is such that in no time at all this is the adiabatic law of IEC 60949.
 *
 * @param stands (k·S)², in A²·s
 * @param forGood what warms it to the limit of its cover where it runs, in amps
 * @param seconds τ
 */
public record ShortCircuit(double stands, double forGood, double seconds) {
    /** So long no heat is said to leave a conductor, seconds. */
    public static final double ADIABATIC = 5;

    /** A dead short draws at least so many times the marking of the guard before it (typical). */
    private static final double DEAD = 2;

    private static final double OVERLOAD = 1.45;
    private static final double MOST = 20;
    private static final double STEP = 1.05;

    /** Less is no short, amps. */
    private static final double NOTHING = 0.01;

    /** A wire where it runs. */
    public static ShortCircuit of(Wire wire) {
        return of(wire, wire.conductor());
    }

    /** The same, were it of that conductor. */
    public static ShortCircuit of(Wire wire, Conductor conductor) {
        double forGood = HeatBalance.limit(conductor, wire).result().value();
        double rise = wire.insulation().limit().value() - wire.zone().ambient().value();
        double oneSecond =
                ShortTime.carries(
                                conductor, wire.zone().ambient(), new Kelvins(rise), new Seconds(1))
                        .result()
                        .value();
        double seconds = forGood > 0 ? oneSecond * oneSecond / forGood / forGood : 0;
        return new ShortCircuit(stands(conductor, wire.insulation()), forGood, seconds);
    }

    private static double stands(Conductor conductor, Insulation cover) {
        double heat = cover.adiabaticConstant() * conductor.copper().value();
        return heat * heat;
    }

    /**
     * What it carries for so many seconds until a guard opens, in amps: at the least 1.45 times
     * what it carries for good (IEC 60364-4-43, 433.1); no more than that where none opens.
     */
    public double carries(double within) {
        return within == Double.POSITIVE_INFINITY
                ? forGood
                : forGood * Math.max(OVERLOAD, 1 / Math.sqrt(-Math.expm1(-within / seconds)));
    }

    /**
     * Whether a fuse guards it: it carries no more than this does for good, so that an overload is
     * bounded (IEC 60364-4-43, 433.1), and opens before a dead short harms it.
     */
    public boolean isGuardedBy(Guard.Fitted fuse) {
        return forGood >= fuse.carries().value() && outlives(fuse);
    }

    /** Whether in any dead short it lasts until a fuse opens at its slowest. */
    public boolean outlives(Guard.Fitted fuse) {
        return outlives(fuse, Optional.empty());
    }

    /** The same whatever the source gives. */
    public boolean outlivesAny(Guard.Fitted fuse) {
        return outlives(fuse, Optional.of(new Amps(0)));
    }

    /**
     * The same where the source may give less in a dead short, down to so many amps, as far as that
     * is known. What it bears for good it bears.
     */
    public boolean outlives(Guard.Fitted fuse, Optional<Amps> least) {
        double marking = fuse.marking().value();
        double dead = dead(fuse).value();
        double from =
                least.map(amps -> Math.clamp(amps.value(), Math.min(forGood, dead), dead))
                        .orElse(dead);
        for (double amps = Math.max(NOTHING, from); amps < MOST * marking; amps *= STEP) {
            double takes = fuse.type().seconds(fuse.marking(), amps, TimeBand.Edge.SLOWEST);
            boolean lasts =
                    takes > ADIABATIC ? amps <= carries(takes) : amps * amps * takes <= stands;
            if (!lasts) {
                return false;
            }
        }
        return true;
    }

    /** What a dead short behind a fuse draws at the least, unless the source gives less. */
    public static Amps dead(Guard.Fitted fuse) {
        return new Amps(DEAD * fuse.marking().value());
    }

    /** What it is overloaded with at the most where a fuse guards it, in amps. */
    public double overload(Guard.Fitted fuse) {
        return isGuardedBy(fuse) ? dead(fuse).value() : 0;
    }
}
