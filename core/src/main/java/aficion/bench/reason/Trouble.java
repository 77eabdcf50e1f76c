package aficion.bench.reason;

import aficion.catalogue.Zone;
import aficion.job.GuardKind;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;

/** What a reading costs a person beyond one that is at hand. */
final class Trouble {
    /** A meter in place of a fuse. */
    private static final double AMPS = 0.5;

    /** A level that is moved and an engine that is started, in switches that are thrown. */
    private static final int LEVEL = 2;

    private static final int ENGINE = 6;

    private Trouble() {}

    /** How much is moved from one state to another, in switches that are thrown. */
    static int moved(Netlist netlist, Conditions from, Conditions to) {
        int thrown =
                (int)
                        netlist.controls().controls().stream()
                                .filter(control ->
                                        !Controls.position(control, from)
                                                .equals(Controls.position(control, to)))
                                .count();
        boolean starts = to.engine().value() > 0 && from.engine().value() == 0;
        return thrown + (from.levels().equals(to.levels()) ? 0 : LEVEL) + (starts ? ENGINE : 0);
    }

    /** How hard something is to reach. */
    static double reach(Netlist netlist, Measure what) {
        return switch (what) {
            case Measure.VoltsAt(var at) -> reach(netlist, at.part());
            case Measure.AmpsIn _ -> AMPS;
            case Measure.LightOf _, Measure.Told _ -> 0;
        };
    }

    /** How hard a part is to reach; a guard is there to be reached. */
    static double reach(Netlist netlist, PartId id) {
        var part = netlist.design().part(id);
        return part.kind() instanceof GuardKind ? 0 : reach(part.zone());
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
