package aficion.catalogue;

import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A family of fuses, or of what stands in for one: fusible links and breakers. What is printed on a
 * fuse, its marking, is not always what it carries: old British glass fuses are marked with the
 * current at which they blow. Figures stand in {@code fuses.csv}.
 */
public enum FuseType {
    BLADE,
    GLASS,
    CERAMIC,
    BOLTED,
    LINK,
    BREAKER_SELF,
    BREAKER_HOLD,
    BREAKER_MANUAL;

    /** What it does once it has opened. */
    public enum Reset {
        NEVER,
        /** Closes again when it has cooled, and opens again. */
        SELF,
        /** Closes again when the power has been taken away. */
        HOLD,
        /** Closes when a hand pushes it. */
        MANUAL
    }

    private record Properties(
            String key,
            double carries,
            double opens,
            double drop,
            Reset resets,
            TimeBand band,
            List<Amps> markings) {}

    private static final Map<String, Properties> TABLE =
            Table.read("fuses.csv", FuseType::properties).stream()
                    .collect(Collectors.toMap(Properties::key, Function.identity()));

    private static Properties properties(Table.Row row) {
        return new Properties(
                row.text("type"),
                row.number("carries", 0.1, 1),
                row.number("opens", 1, 3),
                row.number("drop", 0.01, 0.5),
                row.constant("resets", Reset.class),
                TimeBand.read(row, "band"),
                row.numbers("markings", 0.5, 500).stream().map(Amps::new).toList());
    }

    private final String key = name().toLowerCase(Locale.ROOT).replace('_', '-');

    /** The short name used in files. */
    public String key() {
        return key;
    }

    /** The markings that are made, smallest first. */
    public List<Amps> markings() {
        return properties().markings();
    }

    /** What a fuse of that marking carries for ever. */
    public Amps carries(Amps marking) {
        return new Amps(marking.value() * properties().carries());
    }

    /** The current that opens a fuse of that marking for certain within minutes. */
    public Amps opens(Amps marking) {
        return new Amps(marking.value() * properties().opens());
    }

    /** What it does once it has opened. */
    public Reset resets() {
        return properties().resets();
    }

    /**
     * How long a fuse of that marking takes to open at a current.
     *
     * @return seconds; infinite below the current from which the family has a time
     */
    public double seconds(Amps marking, double amps, TimeBand.Edge edge) {
        return properties().band().seconds(Math.abs(amps) / marking.value(), edge);
    }

    /** The current below which a fuse of that marking has no time at all. */
    public Amps timedFrom(Amps marking) {
        return new Amps(properties().band().begins() * marking.value());
    }

    /** The resistance of a whole fuse, from the volts it loses at its marking (typical). */
    public Ohms resistance(Amps marking) {
        return new Ohms(properties().drop() / marking.value());
    }

    /** The smallest marking that carries the current for ever; empty when none does. */
    public Optional<Amps> smallestCarrying(Amps current) {
        return markings().stream()
                .filter(marking -> carries(marking).value() >= current.value())
                .findFirst();
    }

    /** The largest marking that carries no more than the current; empty when all carry more. */
    public Optional<Amps> largestWithin(Amps current) {
        return markings().stream()
                .filter(marking -> carries(marking).value() <= current.value())
                .reduce((_, larger) -> larger);
    }

    private Properties properties() {
        return Catalogue.required(TABLE, key(), "fuses.csv");
    }
}
