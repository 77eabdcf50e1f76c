package aficion.netlist;

import aficion.catalogue.FuseType;
import aficion.quantity.Amps;
import java.util.List;
import java.util.Optional;

/**
 * What lies between two nodes. Current counts from {@link #a} to {@link #b}; node 0 is the
 * reference.
 */
public sealed interface Branch {
    /** Stands for a coil or a node that is not there. */
    int NONE = -1;

    int a();

    int b();

    /** A fixed resistance, in ohms. */
    record Resistance(int a, int b, double ohms) implements Branch {}

    /** A contact that a hand works. */
    record Contact(int a, int b, double ohms, boolean closed) implements Branch {}

    /**
     * A contact that coils work.
     *
     * @param needs how every coil that has a say must stand for it to be closed
     */
    record Driven(int a, int b, double ohms, List<Need> needs) implements Branch {
        public Driven {
            needs = List.copyOf(needs);
        }
    }

    /** How a coil must stand: pulled in, or at rest. */
    record Need(int coil, boolean pulled) {}

    /**
     * A contact that opens and closes by itself once current flows; at an operating point it is
     * closed.
     */
    record Blinker(int a, int b, double ohms, Rhythm rhythm) implements Branch {}

    /** What a {@link Blinker} follows in time. */
    sealed interface Rhythm {
        /**
         * A strip that its own load heats: with that load it is closed and open for about half of
         * the period each; with much less it never opens.
         */
        record Heated(double load, double period) implements Rhythm {}

        /** A clock. */
        record Clocked(double period) implements Rhythm {}
    }

    /**
     * A resistance that opens for good when too much current flows.
     *
     * @param type the family, whose time-current band it follows
     * @param marking what is printed on it
     * @param whole false when it is open from the start
     */
    record FuseBranch(int a, int b, FuseType type, Amps marking, boolean whole) implements Branch {
        /** What it resists while it is whole, ohms. */
        public double ohms() {
            return type.resistance(marking).value();
        }

        /** The current that opens it for certain. */
        public double opens() {
            return type.opens(marking).value();
        }
    }

    /**
     * A filament: current grows with volts to the power of 0.55 about its rating; stone cold it has
     * a tenth of its hot resistance (trade rule, docs/SOURCES.md).
     */
    record Filament(int a, int b, double ratedVolts, double ratedAmps) implements Branch {
        public static final double POWER = 0.55;
        public static final double COLD_SHARE = 0.1;
        private static final double KNEE = Math.pow(COLD_SHARE, 1 / (1 - POWER));

        /** The volts below which it stays cold. */
        public double knee() {
            return KNEE * ratedVolts;
        }

        /** What it resists stone cold, ohms. */
        public double coldOhms() {
            return COLD_SHARE * ratedVolts / ratedAmps;
        }
    }

    /**
     * A diode by Shockley's law, anode a, cathode b; {@code thermal} is ideality · k·T/q in volts.
     * Backwards it leaks through {@value #LEAK} S besides.
     *
     * @param fullAmps the current at which it lights as it is meant to; 0 where it is no lamp
     */
    record Rectifier(int a, int b, double saturation, double thermal, double fullAmps)
            implements Branch {
        public static final double LEAK = 1e-9;

        public Rectifier(int a, int b, double saturation, double thermal) {
            this(a, b, saturation, thermal, 0);
        }
    }

    /**
     * A voltage with its inner resistance; a is above b by {@code emf} when nothing flows.
     *
     * @param ohms inner resistance while it gives
     * @param filling resistance while it takes: what a battery that is charged resists more
     * @param sense where it feels the volts it holds; at its own nodes where nothing is said
     */
    record Source(int a, int b, double emf, double ohms, double filling, Optional<Sense> sense)
            implements Branch {
        public Source(int a, int b, double emf, double ohms, double filling) {
            this(a, b, emf, ohms, filling, Optional.empty());
        }
    }

    /** Two nodes whose volts a source holds, the first above the second. */
    record Sense(int node, int against) {}

    /**
     * A source that holds its volts until it gives all it can, then gives just that, and never
     * takes any.
     *
     * @param emf volts of a above b when nothing flows
     * @param ohms inner resistance while it regulates
     * @param limit the most it gives, in amps
     * @param needs how every coil that has a say must stand for it to work
     * @param sign 1 when it feeds a, −1 when its polarity is turned
     * @param sense where it feels the volts it holds; at its own nodes where nothing is said
     */
    record Limited(
            int a,
            int b,
            double emf,
            double ohms,
            double limit,
            List<Need> needs,
            int sign,
            Optional<Sense> sense)
            implements Branch {
        public Limited {
            needs = List.copyOf(needs);
        }

        /** The volts below which it gives all it can. */
        public double floor() {
            return emf - limit * ohms;
        }
    }

    /** A resistance that settles where its law is met. */
    record ControlledResistance(int a, int b, double least, Law law) implements Branch {}

    /** What a {@link ControlledResistance} branch aims at. */
    sealed interface Law {
        /** The mean volts of b above the sense node, or below for a turned polarity. */
        record MeanVolts(int sense, double target) implements Law {}

        /**
         * A contact that opens and closes in turn in front of an inductance: its mean current.
         *
         * @param share of the time it is closed
         * @param period seconds from one opening to the next
         * @param henries inductance of the circuit it interrupts
         */
        record Dwell(double share, double period, double henries) implements Law {}
    }

    /**
     * A motor that turns a fan-like load. Too weak to move its load it is its windings alone, I =
     * V/R; once it turns, V = R·I + E·s and I = In·(f + (1 − f)·(c·s + (1 − c)·s²)), where s is its
     * speed as a share of that at rated volts, E = Vn − R·In its back-emf there, f = {@value
     * #FRICTION} the share of the load that is friction and c = {@value #VISCOUS} of the rest the
     * share that grows with speed, not with its square (permanent-magnet machine; shares typical).
     *
     * @param ratedVolts Vn
     * @param ratedAmps In
     * @param stall R, the resistance of its windings
     * @param seconds its mechanical time constant
     */
    record Motor(int a, int b, double ratedVolts, double ratedAmps, double stall, double seconds)
            implements Branch {
        public static final double FRICTION = 0.2;
        public static final double VISCOUS = 0.3;

        /** The back-emf at rated volts. */
        public double backEmf() {
            return ratedVolts - stall * ratedAmps;
        }

        /** The volts below which it does not turn. */
        public double knee() {
            return FRICTION * ratedAmps * stall;
        }

        /** The current that drives the load at a speed, as a share of the rated current. */
        public static double load(double speed) {
            return FRICTION + (1 - FRICTION) * (VISCOUS * speed + (1 - VISCOUS) * speed * speed);
        }
    }

    /**
     * A resistance that changes as it warms or gets up to speed: a heater plug, a choke, a starter.
     *
     * @param ohms what it settles at
     * @param first what it is when current begins to flow
     * @param seconds its time constant
     */
    record Warming(int a, int b, double ohms, double first, double seconds) implements Branch {}

    /** A capacitor, in farads; at an operating point nothing flows through it. */
    record Capacitance(int a, int b, double farads) implements Branch {}
}
