package aficion.quantity;

/** A number with its unit. The value is always in the unit that {@link #unit()} names. */
public sealed interface Quantity
        permits Volts,
                Amps,
                Ohms,
                Watts,
                Metres,
                SquareMillimetres,
                Celsius,
                Kelvins,
                Henries,
                Farads,
                AmpereHours,
                Rpm,
                Seconds,
                Ratio {

    double value();

    Unit unit();

    /**
     * Guards every quantity record.
     *
     * @throws IllegalArgumentException when the value is infinite or not a number
     */
    static void requireFinite(double value, Unit unit) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(
                    "not a finite number of " + unit.symbol() + ": " + value);
        }
    }
}
