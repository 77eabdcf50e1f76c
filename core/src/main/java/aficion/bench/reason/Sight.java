package aficion.bench.reason;

/** What an eye says of a lamp. */
public enum Sight {
    DARK(0),
    DIM(0.3),
    RIGHT(1),
    BRIGHT(2);

    private static final double GLOWS = 0.03;
    private static final double FULL = 0.55;
    private static final double TOO_MUCH = 1.45;

    private final double share;

    Sight(double share) {
        this.share = share;
    }

    /** Light like that, as a share of what a lamp should give at its rated volts. */
    public double share() {
        return share;
    }

    /** What is said of so much light. */
    public static Sight of(double share) {
        return share < GLOWS ? DARK : share < FULL ? DIM : share < TOO_MUCH ? RIGHT : BRIGHT;
    }
}
