package aficion.netlist;

/**
 * What lies between two nodes. Current counts from {@link #a} to {@link #b}; node 0 is the
 * reference.
 */
public sealed interface Branch {

    int a();

    int b();

    /** A fixed resistance, in ohms. */
    record Resistance(int a, int b, double ohms) implements Branch {}

    /** A contact that a hand works. */
    record Contact(int a, int b, double ohms, boolean closed) implements Branch {}

    /**
     * A contact that the volts across another branch work.
     *
     * @param coil the coil that moves it
     * @param makes closed when the coil has pulled in, rather than when it rests
     */
    record Driven(int a, int b, double ohms, int coil, boolean makes) implements Branch {}

    /**
     * A resistance that opens for good when too much current flows.
     *
     * @param opens the current that opens it
     * @param whole false when it is open from the start
     */
    record Trip(int a, int b, double ohms, double opens, boolean whole) implements Branch {}

    /**
     * A filament: current grows with volts to the power of 0.55 about its rating; stone cold it has
     * a tenth of its hot resistance (trade rule, HANDBOOK section 2).
     */
    record Filament(int a, int b, double ratedVolts, double ratedAmps) implements Branch {
        private static final double POWER = 0.55;
        private static final double COLD_SHARE = 0.1;
        private static final double KNEE = Math.pow(COLD_SHARE, 1 / (1 - POWER));

        /** The current at those volts. */
        public double amps(double volts) {
            double share = Math.abs(volts) / ratedVolts;
            return share < KNEE
                    ? volts * ratedAmps / (ratedVolts * COLD_SHARE)
                    : Math.copySign(ratedAmps * Math.pow(share, POWER), volts);
        }

        /** The slope of the current at those volts. */
        public double slope(double volts) {
            double share = Math.abs(volts) / ratedVolts;
            return share < KNEE
                    ? ratedAmps / (ratedVolts * COLD_SHARE)
                    : POWER * ratedAmps / ratedVolts * Math.pow(share, POWER - 1);
        }
    }

    /**
     * A diode by Shockley's law, anode a, cathode b; {@code thermal} is ideality · k·T/q in volts.
     */
    record Rectifier(int a, int b, double saturation, double thermal) implements Branch {}

    /**
     * A voltage with its inner resistance; a is above b by {@code emf} when nothing flows.
     *
     * @param ohms inner resistance while it gives
     * @param filling resistance while it takes: what a battery that is charged resists more
     */
    record Source(int a, int b, double emf, double ohms, double filling) implements Branch {}

    /**
     * A source that holds its volts until it gives all it can, then gives just that, and never
     * takes any.
     *
     * @param emf volts of a above b when nothing flows
     * @param ohms inner resistance while it regulates
     * @param limit the most it gives, in amps
     * @param coil the coil that must have pulled in for it to work
     * @param sign 1 when it feeds a, −1 when its polarity is turned
     */
    record Limited(int a, int b, double emf, double ohms, double limit, int coil, int sign)
            implements Branch {}

    /** A resistance that settles where its law is met. */
    record Settling(int a, int b, double least, Law law) implements Branch {}

    /** What a {@link Settling} branch aims at. */
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
     * What moves driven contacts: the volts across two nodes, either way round.
     *
     * @param pickUp volts at which it pulls in
     * @param dropOut volts at which it lets go
     */
    record Coil(int a, int b, double pickUp, double dropOut) {}
}
