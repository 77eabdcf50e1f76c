package aficion.route;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.Optional;

/**
 * A way between two stations that wires ride.
 *
 * @param measured its length by string; assumed from the plan where it is left out
 * @param covering what it is dressed in, where that has been said
 * @param zone how hot, wet or moving it is, where it is worse than both its ends
 */
public record Run(
        RunId id, Optional<Metres> measured, Optional<Covering> covering, Optional<Zone> zone) {
    private static final double LONGEST = 30;

    public Run {
        measured.ifPresent(length -> {
            if (!(length.value() > 0 && length.value() <= LONGEST)) {
                throw new IllegalArgumentException(
                        "a run is up to 30 m long, not " + length.value() + " m");
            }
        });
    }

    /** A run of which only its ends are known. */
    public Run(RunId id) {
        this(id, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The same, measured. */
    public Run measuring(Optional<Metres> length) {
        return new Run(id, length, covering, zone);
    }

    /** The same in another dress. */
    public Run in(Optional<Covering> dress) {
        return new Run(id, measured, dress, zone);
    }

    /** The same through another zone. */
    public Run through(Optional<Zone> changed) {
        return new Run(id, measured, covering, changed);
    }
}
