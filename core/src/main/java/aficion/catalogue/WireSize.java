package aficion.catalogue;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The size a wire is bought by.
 *
 * @param standard metric section or American gauge
 * @param designation what is printed on the reel: {@code 1.5} for 1.5 mm², {@code 14} or {@code
 *     2/0} for a gauge
 */
public record WireSize(Standard standard, String designation) {

    private static final Pattern METRIC =
            Pattern.compile("([0-9]{1,4}(?:\\.[0-9]{1,4})?)\\s*mm(?:2|²)?");
    private static final Pattern GAUGE = Pattern.compile("([0-9]{1,3}(?:/0)?)\\s*(awg|ga)");

    private static final Pattern PLAIN = Pattern.compile("[0-9.,]+");

    /** The ways wire is sized. */
    public enum Standard {
        METRIC,
        /** American Wire Gauge, true to its section (ASTM B258). */
        AWG,
        /** Automotive gauge (SAE J1128): less copper than the same number of true gauge. */
        GAUGE
    }

    /**
     * Reads {@code 1.5mm2}, {@code 1.5 mm²}, {@code 14awg}, {@code 14ga}; empty when the text is
     * neither or no such size is made.
     */
    public static Optional<WireSize> parse(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        var metric = METRIC.matcher(plain);
        if (metric.matches()) {
            return known(new WireSize(Standard.METRIC, metric.group(1)));
        }
        var gauge = GAUGE.matcher(plain);
        if (!gauge.matches()) {
            return Optional.empty();
        }
        var standard = gauge.group(2).equals("awg") ? Standard.AWG : Standard.GAUGE;
        return known(new WireSize(standard, gauge.group(1)));
    }

    /** The same; a number alone, with a point or a comma, is square millimetres. */
    public static Optional<WireSize> parseLoosely(String text) {
        String plain = text.strip();
        return parse(PLAIN.matcher(plain).matches() ? plain.replace(',', '.') + "mm2" : plain);
    }

    private static Optional<WireSize> known(WireSize size) {
        return Conductors.find(size).map(Conductor::size);
    }

    /** The short text that {@link #parse} reads back. */
    @Override
    public String toString() {
        return designation
                + switch (standard) {
                    case METRIC -> "mm2";
                    case AWG -> "awg";
                    case GAUGE -> "ga";
                };
    }
}
