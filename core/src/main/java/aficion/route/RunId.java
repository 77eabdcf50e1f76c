package aficion.route;

/**
 * A run by its two stations, whichever is named first.
 *
 * @param one the station that comes first by name
 */
public record RunId(StationId one, StationId other) {
    public RunId {
        if (one.equals(other)) {
            throw new IllegalArgumentException("a run leads from " + one + " to itself");
        }
        if (one.compareTo(other) > 0) {
            var first = other;
            other = one;
            one = first;
        }
    }

    /** Whether a station is one of its ends. */
    public boolean meets(StationId station) {
        return one.equals(station) || other.equals(station);
    }

    /** The end that is not the one given. */
    public StationId beyond(StationId station) {
        return one.equals(station) ? other : one;
    }

    @Override
    public String toString() {
        return one + " – " + other;
    }
}
