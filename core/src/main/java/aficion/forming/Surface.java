package aficion.forming;

import aficion.quantity.Metres;

/** A board to make a loom on. */
public record Surface(Metres wide, Metres high) {
    /** An inside door, laid over two trestles. */
    public static final Surface DOOR = new Surface(new Metres(2), new Metres(0.8));

    /** Two doors side by side. */
    public static final Surface TWO_DOORS = new Surface(new Metres(2), new Metres(1.6));

    private static final double LEAST = 0.3;
    private static final double MOST = 30;

    public Surface {
        for (var side : new Metres[] {wide, high}) {
            if (!(side.value() >= LEAST && side.value() <= MOST)) {
                throw new IllegalArgumentException(
                        "a board is 0.3 to 30 m, not " + side.value() + " m");
            }
        }
    }

    /** What it measures, square metres. */
    public double area() {
        return wide.value() * high.value();
    }

    /** The next larger one of those tried where any size will do. */
    Surface larger() {
        return wide.value() < high.value() * 1.6
                ? new Surface(new Metres(1.3 * wide.value()), high)
                : new Surface(wide, new Metres(1.3 * high.value()));
    }
}
