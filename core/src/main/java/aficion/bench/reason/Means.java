package aficion.bench.reason;

/** What there is to read with. */
public enum Means {
    /** A voltmeter. */
    VOLTS,
    /** A meter that is put in place of the circuit's fuse too. */
    AMPS,
    /** The same, and a look at the lamps. */
    EYES;

    /** Whether something can be read so. */
    boolean has(Measure what) {
        return switch (what) {
            case Measure.VoltsAt _ -> true;
            case Measure.AmpsIn _ -> this != VOLTS;
            case Measure.LightOf _, Measure.Glance _ -> this == EYES;
        };
    }
}
