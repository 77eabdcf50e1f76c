package aficion.job;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.route.StationId;
import aficion.route.Way;
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

    /** The same without a body. */
    default Laid apart() {
        return along(length());
    }

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

    /**
     * Along the body, by its runs: length and place follow from them and are kept here as they are
     * in the design it belongs to.
     *
     * @param via a station it is led by, where the cheapest way is not taken
     */
    record Routed(Optional<StationId> via, Optional<Metres> slack, RunLength length, Zone zone)
            implements Laid {

        /** Along the body in a design yet to come. */
        public static Routed by(Optional<StationId> via, Optional<Metres> slack) {
            return new Routed(via, slack, new RunLength.Assumed(new Metres(0)), Zone.CABIN);
        }

        /** Along the body, the cheapest way. */
        public static Routed cheapest() {
            return by(Optional.empty(), Optional.empty());
        }

        /** None by name: it lies with whatever rides the same runs. */
        @Override
        public Optional<String> bundle() {
            return Optional.empty();
        }

        /** As stated from then on, no longer along the body. */
        @Override
        public Laid along(RunLength changed) {
            return new Stated(changed, zone, Optional.empty(), slack);
        }

        @Override
        public Laid in(Zone changed) {
            return new Stated(length, changed, Optional.empty(), slack);
        }

        @Override
        public Laid with(Optional<String> mates) {
            return mates.isEmpty() ? this : new Stated(length, zone, mates, slack);
        }

        @Override
        public Laid sparing(Optional<Metres> changed) {
            return new Routed(via, changed, length, zone);
        }

        /** The same as it comes out in a body. */
        Routed on(Way way) {
            return new Routed(via, slack, Body.along(way), way.zone());
        }
    }
}
