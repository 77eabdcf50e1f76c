package aficion.catalogue;

import aficion.quantity.Amps;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What the terminals at the ends of wires carry; the figures stand in {@code terminals.csv}. */
public final class Terminals {
    private static final Map<String, Amps> TABLE =
            Table.read(
                            "terminals.csv",
                            row ->
                                    Map.entry(
                                            row.text("key"),
                                            new Amps(row.number("carries", 1, 1000))))
                    .stream()
                    .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));

    private Terminals() {}

    /** What a terminal of that key carries; empty for those that carry what their wire does. */
    public static Optional<Amps> carries(String key) {
        return Optional.ofNullable(TABLE.get(key));
    }
}
