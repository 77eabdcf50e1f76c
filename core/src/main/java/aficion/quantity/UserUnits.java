package aficion.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * The units one user reads and writes: metres or feet, degrees Celsius or Fahrenheit. Everything
 * else is the same for everybody. Numbers are printed with a decimal point and read with a point or
 * a comma.
 */
public record UserUnits(LengthUnit length, TemperatureUnit temperature) {

    /** Metres and degrees Celsius. */
    public static final UserUnits METRIC = new UserUnits(LengthUnit.METRE, TemperatureUnit.CELSIUS);

    /** Feet and degrees Fahrenheit. */
    public static final UserUnits FOOT = new UserUnits(LengthUnit.FOOT, TemperatureUnit.FAHRENHEIT);

    /** What a meter shows when a resistance is over its range. */
    public static final String OVER_RANGE = "OL";

    /** The resistance that {@link #OVER_RANGE} is kept as. */
    public static final double OVER_RANGE_OHMS = 1e9;

    private static final double METRES_A_FOOT = 0.3048;

    /** Below this a length is a thickness, metres. */
    private static final double THIN = 0.1;

    private static final Pattern NUMBER_AND_UNIT =
            Pattern.compile(
                    "([+-]?[0-9]{1,12}(?:[.,][0-9]{1,20})?|[.,][0-9]{1,20})\\s*(.*)",
                    Pattern.DOTALL);
    private static final Pattern FEET_AND_INCHES =
            Pattern.compile(
                    "([0-9]{1,6})\\s*(?:ft|')\\s*([0-9]{1,6}(?:[.,][0-9]{1,6})?)\\s*(?:in|\")?");

    public enum LengthUnit {
        METRE,
        FOOT
    }

    public enum TemperatureUnit {
        CELSIUS,
        FAHRENHEIT
    }

    /** Prints a quantity with as many digits as a person at a bench can use, and its unit. */
    public String print(Quantity quantity) {
        return switch (quantity) {
            case Metres m when Math.abs(m.value()) < THIN && m.value() != 0 ->
                    length == LengthUnit.FOOT
                            ? significant(m.value() / METRES_A_FOOT * 12) + " in"
                            : significant(m.value() * 1000) + " mm";
            case Metres m when length == LengthUnit.FOOT ->
                    fixed(m.value() / METRES_A_FOOT, 1) + " ft";
            case Metres m -> fixed(m.value(), 2) + " m";
            case Celsius c when temperature == TemperatureUnit.FAHRENHEIT ->
                    fixed(c.value() * 1.8 + 32, 0) + " \u00b0F";
            case Celsius c -> fixed(c.value(), 0) + " \u00b0C";
            case Kelvins k -> fixed(k.value(), 0) + " K";
            case Volts v when Math.abs(v.value()) < 1 -> fixed(v.value(), 3) + " V";
            case Volts v -> fixed(v.value(), 2) + " V";
            case Amps a -> fixed(a.value(), Math.abs(a.value()) < 1 ? 2 : 1) + " A";
            case Ohms o when Math.abs(o.value()) < 0.1 ->
                    significant(o.value() * 1000) + " m\u03a9";
            case Ohms o when Math.abs(o.value()) >= 1e6 ->
                    significant(o.value() / 1e6) + " M\u03a9";
            case Ohms o -> significant(o.value()) + " \u03a9";
            case Henries h -> significant(h.value() * 1000) + " mH";
            case Farads f -> significant(f.value() * 1e6) + " \u00b5F";
            case Rpm r -> fixed(r.value(), 0) + " rpm";
            case Ratio r -> significant(r.value());
            case Watts _, SquareMillimetres _, Seconds _, AmpereHours _ ->
                    significant(quantity.value()) + " " + quantity.unit().symbol();
        };
    }

    /** Prints a length as a calliper shows it: millimetres, or inches. */
    public String fine(Metres metres) {
        return length == LengthUnit.FOOT
                ? fixed(metres.value() / METRES_A_FOOT * 12, 2) + " in"
                : fixed(metres.value() * 1000, 1) + " mm";
    }

    /**
     * Reads a length such as {@code 1.2}, {@code 1,2 m}, {@code 80 cm}, {@code 4 ft} or {@code 3ft
     * 2}; empty when it is none.
     */
    public Optional<Metres> parseLength(String text) {
        var feet = FEET_AND_INCHES.matcher(text.strip());
        if (feet.matches()) {
            return Optional.of(
                    new Metres(
                            (number(feet.group(1)) + number(feet.group(2)) / 12) * METRES_A_FOOT));
        }
        var match = NUMBER_AND_UNIT.matcher(text.strip());
        if (!match.matches()) {
            return Optional.empty();
        }
        double value = number(match.group(1));
        return switch (match.group(2).toLowerCase(Locale.ROOT)) {
            case "" ->
                    Optional.of(
                            new Metres(length == LengthUnit.FOOT ? value * METRES_A_FOOT : value));
            case "m" -> Optional.of(new Metres(value));
            case "cm" -> Optional.of(new Metres(value / 100));
            case "mm" -> Optional.of(new Metres(value / 1000));
            case "ft", "'" -> Optional.of(new Metres(value * METRES_A_FOOT));
            case "in", "\"" -> Optional.of(new Metres(value * METRES_A_FOOT / 12));
            default -> Optional.empty();
        };
    }

    /**
     * Reads a number followed by the unit's symbol or by nothing, as a meter reading is written:
     * {@code 12.4}, {@code 12,4V}, {@code 250 mV}, {@code OL} for ohms over the range; empty when
     * the text is no such number.
     */
    public static Optional<Double> parseReading(String text, Unit unit) {
        if (unit == Unit.OHM && text.strip().equalsIgnoreCase(OVER_RANGE)) {
            return Optional.of(OVER_RANGE_OHMS);
        }
        var match = NUMBER_AND_UNIT.matcher(text.strip());
        if (!match.matches()) {
            return Optional.empty();
        }
        double value = number(match.group(1));
        String symbol = match.group(2);
        String plain = unit == Unit.OHM ? "ohm" : unit.symbol();
        if (symbol.isEmpty() || symbol.equals(unit.symbol()) || symbol.equalsIgnoreCase(plain)) {
            return Optional.of(value);
        }
        if (symbol.equals("m" + unit.symbol()) || symbol.equals("m" + plain)) {
            return Optional.of(value / 1000);
        }
        if (symbol.equals("k" + unit.symbol()) || symbol.equals("k" + plain)) {
            return Optional.of(value * 1000);
        }
        if (symbol.equals("M" + unit.symbol()) || symbol.equals("M" + plain)) {
            return Optional.of(value * 1e6);
        }
        return Optional.empty();
    }

    /** Reads a plain number, with a point or a comma; empty when the text is more or less. */
    public static OptionalDouble parseNumber(String text) {
        var match = NUMBER_AND_UNIT.matcher(text.strip());
        return match.matches() && match.group(2).isEmpty()
                ? OptionalDouble.of(number(match.group(1)))
                : OptionalDouble.empty();
    }

    /** A number as it is read back: all its digits, no exponent. */
    public static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static String fixed(double value, int decimals) {
        var rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString();
    }

    private static String significant(double value) {
        return BigDecimal.valueOf(value)
                .round(new MathContext(3, RoundingMode.HALF_UP))
                .stripTrailingZeros()
                .toPlainString();
    }
}
