package aficion.bench.reason;

import aficion.catalogue.Zone;
import aficion.job.GuardKind;
import aficion.netlist.Netlist;

/** What a reading costs a person beyond one that is at hand. */
final class Trouble {
    private static final double AMPS = 0.5;
    private static final double GLANCE = -0.4;

    private Trouble() {}

    /** How hard something is to reach. */
    static double reach(Netlist netlist, Measure what) {
        return switch (what) {
            case Measure.VoltsAt(var at) -> {
                var part = netlist.design().part(at.part());
                yield part.kind() instanceof GuardKind ? 0 : reach(part.zone());
            }
            case Measure.AmpsIn _ -> AMPS;
            case Measure.LightOf _, Measure.Glance _ -> GLANCE;
        };
    }

    private static double reach(Zone zone) {
        return switch (zone) {
            case ENGINE_BAY, CABIN, FRONT, BOOT -> 0.05;
            case BULKHEAD, MOVING -> 0.1;
            case DASH, ON_ENGINE -> 0.15;
            case UNDERBODY -> 0.3;
        };
    }
}
