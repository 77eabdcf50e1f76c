package aficion.route;

import java.util.regex.Pattern;

/** The short name of a station, unique in its plan: {@code front-left}, {@code bulkhead}. */
public record StationId(String value) implements Comparable<StationId> {
    private static final Pattern NAME = Pattern.compile("[a-z0-9][a-z0-9-]{0,31}");

    public StationId {
        if (!NAME.matcher(value).matches()) {
            throw new IllegalArgumentException(
                    "\""
                            + value
                            + "\" names no station: small letters, digits and - only, 32 at most");
        }
    }

    @Override
    public int compareTo(StationId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
