package aficion.job;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.Optional;

/**
 * How a wire is laid.
 *
 * @param zone the hottest place it runs through
 * @param bundle the name of the bundle it runs in, where it does
 * @param slack what it has to spare where it runs through a moving place
 */
public record Laid(Zone zone, Optional<String> bundle, Optional<Metres> slack) {
    public Laid in(Zone changed) {
        return new Laid(changed, bundle, slack);
    }

    public Laid with(Optional<String> mates) {
        return new Laid(zone, mates, slack);
    }

    public Laid sparing(Optional<Metres> changed) {
        return new Laid(zone, bundle, changed);
    }
}
