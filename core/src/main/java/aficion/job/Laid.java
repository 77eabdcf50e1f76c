package aficion.job;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.Optional;

/** How a wire is laid. */
public sealed interface Laid {

    /** How long it is. */
    RunLength length();

    /** The hottest place it runs through. */
    Zone zone();

    /** The name of the bundle it runs in, where it does. */
    Optional<String> bundle();

    /** What it has to spare where it runs through a moving place. */
    Optional<Metres> slack();

    /** The same, as long as that. */
    Laid along(RunLength changed);

    /** The same through another place. */
    Laid in(Zone changed);

    /** The same in another bundle, or in none. */
    Laid with(Optional<String> mates);

    /** The same with more or less to spare. */
    Laid sparing(Optional<Metres> changed);

    /** As it was stated, wire by wire. */
    record Stated(RunLength length, Zone zone, Optional<String> bundle, Optional<Metres> slack)
            implements Laid {
        private static final double MOST_SLACK = 10;

        public Stated {
            bundle.ifPresent(Names::require);
            slack.ifPresent(spare -> {
                if (!(spare.value() >= 0 && spare.value() <= MOST_SLACK)) {
                    throw new IllegalArgumentException(
                            "a wire has 0 to 10 m to spare, not " + spare.value());
                }
            });
        }

        /** A wire that runs alone, with nothing to spare. */
        public Stated(RunLength length, Zone zone) {
            this(length, zone, Optional.empty(), Optional.empty());
        }

        @Override
        public Laid along(RunLength changed) {
            return new Stated(changed, zone, bundle, slack);
        }

        @Override
        public Laid in(Zone changed) {
            return new Stated(length, changed, bundle, slack);
        }

        @Override
        public Laid with(Optional<String> mates) {
            return new Stated(length, zone, mates, slack);
        }

        @Override
        public Laid sparing(Optional<Metres> changed) {
            return new Stated(length, zone, bundle, changed);
        }
    }
}
