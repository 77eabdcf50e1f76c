package aficion.catalogue;

import aficion.quantity.Celsius;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The part of the vehicle a wire runs through. Its ambient temperature stands in {@code zones.csv}.
 */
public enum Zone {
    CABIN,
    DASH,
    BULKHEAD,
    ENGINE_BAY,
    ON_ENGINE,
    FRONT,
    BOOT,
    UNDERBODY,
    /** Where a wire bends with a door, a lid or the engine on its rubbers. */
    MOVING;

    private final String key = name().toLowerCase(Locale.ROOT).replace('_', '-');

    private record Ambient(String key, Celsius ambient) {}

    private static final Map<String, Celsius> TABLE =
            Table.read(
                            "zones.csv",
                            row ->
                                    new Ambient(
                                            row.text("zone"),
                                            new Celsius(row.number("ambient", -20, 150))))
                    .stream()
                    .collect(Collectors.toMap(Ambient::key, Ambient::ambient));

    /** The short name used in files. */
    public String key() {
        return key;
    }

    /** Whether spray comes there. */
    public boolean isWet() {
        return this == FRONT || this == UNDERBODY;
    }

    /** Whether people sit there. */
    public boolean isCabin() {
        return this == CABIN || this == DASH;
    }

    /** Whether the wind of the road turns a fan that stands there. */
    public boolean meetsWind() {
        return this == FRONT || this == ENGINE_BAY;
    }

    /** The air around a wire there, typical, on a hot day with the engine warm. */
    public Celsius ambient() {
        return Catalogue.required(TABLE, key(), "zones.csv");
    }
}
