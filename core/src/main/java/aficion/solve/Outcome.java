package aficion.solve;

import aficion.job.PartId;
import aficion.job.Terminal;
import java.util.List;
import java.util.Optional;

/** What came of solving a netlist under conditions. */
public sealed interface Outcome {

    /** Where it came to rest; empty where it did not. */
    default Optional<OperatingPoint> settled() {
        return this instanceof Solved(var point) ? Optional.of(point) : Optional.empty();
    }

    /** It came to rest, and the sums agree. */
    record Solved(OperatingPoint point) implements Outcome {}

    /** Relays pull in and let go for ever. */
    record Chattering(List<PartId> relays) implements Outcome {
        public Chattering {
            relays = List.copyOf(relays);
        }
    }

    /**
     * No operating point was found or believed.
     *
     * @param reason why
     * @param island the terminals where the currents do not add up
     */
    record Unsolvable(Reason reason, List<Terminal> island) implements Outcome {
        public Unsolvable {
            island = List.copyOf(island);
        }
    }

    /** Why there is no operating point. */
    enum Reason {
        NOT_SETTLED,
        CURRENTS_DO_NOT_SUM,
        POWER_DOES_NOT_BALANCE
    }
}
