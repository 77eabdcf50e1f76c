package aficion.catalogue;

import aficion.quantity.Amps;
import aficion.quantity.SquareMillimetres;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the terminals at the ends of wires take and carry; the figures stand in {@code
 * terminals.csv}.
 */
public final class Terminals {
    private static final Map<String, Properties> TABLE =
            Table.read("terminals.csv", Terminals::properties).stream()
                    .collect(Collectors.toMap(Properties::key, Function.identity()));

    private record Properties(String key, SquareMillimetres takes, Optional<Amps> carries) {}

    private static Properties properties(Table.Row row) {
        return new Properties(
                row.text("key"),
                new SquareMillimetres(row.number("takes", 0.1, 200)),
                row.has("carries")
                        ? Optional.of(new Amps(row.number("carries", 1, 1000)))
                        : Optional.empty());
    }

    private Terminals() {}

    /** What a terminal of that key carries; empty for those that carry what their wire does. */
    public static Optional<Amps> carries(String key) {
        return Catalogue.required(TABLE, key, "terminals.csv").carries();
    }

    /** The thickest copper that a terminal of that key takes. */
    public static SquareMillimetres takes(String key) {
        return Catalogue.required(TABLE, key, "terminals.csv").takes();
    }
}
