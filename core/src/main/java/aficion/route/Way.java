package aficion.route;

import aficion.catalogue.Zone;
import java.util.List;

/**
 * How a wire gets from one station to another.
 *
 * @param stations from the one to the other, both among them
 * @param runs in the same order; none where both are the same station
 * @param length of its runs together
 * @param zone the hottest on the way
 */
public record Way(List<StationId> stations, List<RunId> runs, RunLength length, Zone zone) {
    public Way {
        stations = List.copyOf(stations);
        runs = List.copyOf(runs);
    }

    /** The stations that it passes from one run to another, in order. */
    public List<StationId> passed() {
        return runs.size() > 1 ? stations.subList(1, stations.size() - 1) : List.of();
    }

    /** Whether it rides a run. */
    public boolean rides(RunId run) {
        return runs.contains(run);
    }
}
