package aficion.bench.practice;

import aficion.bench.reason.Sign;
import aficion.fault.Fault;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.List;

/** What an act shows. */
public sealed interface Answer {
    /** What a meter shows. */
    record ShowsVolts(Volts volts) implements Answer {}

    /** What a meter shows. */
    record ShowsAmps(Amps amps) implements Answer {}

    /** How bright a test lamp burns, as a share of its full light. */
    record Burns(Ratio light) implements Answer {}

    /** What the loads do. */
    record Does(List<Sign> signs) implements Answer {
        public Does {
            signs = List.copyOf(signs);
        }
    }

    /** What is seen at the ends of a part; none where all looks well. */
    record Seen(List<Fault> faults) implements Answer {
        public Seen {
            faults = List.copyOf(faults);
        }
    }

    /** Whether anything changes while it is moved. */
    record Changes(boolean changes) implements Answer {}

    /** Nothing comes to rest: something chatters. */
    record Restless() implements Answer {}
}
