package aficion.job;

import aficion.quantity.Amps;
import aficion.quantity.Watts;

/** What a load is known by. */
public sealed interface Demand {

    record InWatts(Watts watts) implements Demand {
        public InWatts {
            Positive.require("load watts", watts);
        }
    }

    record InAmps(Amps amps) implements Demand {
        public InAmps {
            Positive.require("load current", amps);
        }
    }
}
