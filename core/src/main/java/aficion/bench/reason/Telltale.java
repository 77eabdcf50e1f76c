package aficion.bench.reason;

import aficion.bench.reason.Sign.Look;
import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.WireId;
import aficion.netlist.Conditions.FuseSeat;
import aficion.solve.OperatingPoint;
import java.util.List;

/** What a person notices without an instrument: it is so, or it is not. */
public sealed interface Telltale {
    /** A fuse that is gone, or a guard that has opened. */
    record FuseGone(FuseSeat guard) implements Telltale {}

    /** A lead, or a joint of it, that gets warm. */
    record Warm(WireId wire) implements Telltale {}

    /** A flasher that goes fast, or stays on: too little is behind it. */
    record Fast(PartId flasher) implements Telltale {}

    /** All the loads of a circuit do what they should, and nothing else does anything. */
    record AsDrawn(CircuitId circuit) implements Telltale {}

    /** What is read or seen changes while a part, its plug or its leads are moved. */
    record Moves(PartId part) implements Telltale {}

    /** The same while a part is warmed. */
    record Warms(PartId part) implements Telltale {}

    /** The same once all else is switched on too. */
    record Loads() implements Telltale {}

    /** Nothing comes to rest: a needle that swings, a relay that chatters. */
    record Restless() implements Telltale {}

    /** Watts from which a lead or a joint is felt to be warm (typical). */
    double FELT = 2;

    /** So many times what it is while all is well. */
    double MORE = 3;

    /** Below that share of what it should switch a flasher goes fast, or stays on (typical). */
    double TOO_LITTLE = 0.75;

    /** Below that share nothing flashes at all. */
    double NONE = 0.02;

    /**
     * Whether it is so with something wrong that comes to rest.
     *
     * @param wrong the state with it
     * @param sound the same state while all is well
     */
    default boolean holds(Suspect suspect, OperatingPoint wrong, OperatingPoint sound) {
        var design = sound.netlist().design();
        return switch (this) {
            case FuseGone(var guard) -> !wrong.closed(guard.part(), guard.way());
            case Warm(var wire) -> {
                double heat = heat(wrong, wire);
                yield heat > FELT && heat > MORE * heat(sound, wire);
            }
            case Fast(var flasher) -> {
                double should = switched(sound, flasher);
                double does = switched(wrong, flasher);
                yield does > NONE * should && does < TOO_LITTLE * should;
            }
            case AsDrawn(var circuit) -> looks(wrong, circuit).equals(looks(sound, circuit));
            case Restless _ -> false;
            case Moves(var part) ->
                    suspect.faults().stream()
                            .flatMap(fault -> fault.parts(design))
                            .anyMatch(part::equals);
            case Warms(var part) ->
                    suspect.faults().stream()
                            .filter(Telltale::minds)
                            .flatMap(fault -> fault.parts(design))
                            .anyMatch(part::equals);
            case Loads _ -> suspect.faults().stream().anyMatch(Telltale::yields);
        };
    }

    /** Whether somebody does something for it to show. */
    default boolean provokes() {
        return switch (this) {
            case Moves _, Warms _, Loads _ -> true;
            case FuseGone _, Warm _, Fast _, AsDrawn _, Restless _ -> false;
        };
    }

    /** Whether warmth opens or closes it. */
    private static boolean minds(Fault fault) {
        return switch (fault) {
            case Fault.Broken _,
                    Fault.BadJoint _,
                    Fault.PoorEarth _,
                    Fault.EarthLost _,
                    Fault.DeadCoil _,
                    Fault.Stuck _,
                    Fault.Burnt _,
                    Fault.Dead _,
                    Fault.DeadPart _ ->
                    true;
            case Fault.Chafed _,
                    Fault.Exchanged _,
                    Fault.Touching _,
                    Fault.Blown _,
                    Fault.Another _ ->
                    false;
        };
    }

    /** Whether more current brings it out. */
    private static boolean yields(Fault fault) {
        return switch (fault) {
            case Fault.BadJoint _, Fault.PoorEarth _, Fault.Burnt _ -> true;
            case Fault.Another(_, var kind) -> kind instanceof SourceKind.Battery;
            case Fault.Broken _,
                    Fault.Chafed _,
                    Fault.Exchanged _,
                    Fault.Touching _,
                    Fault.EarthLost _,
                    Fault.Blown _,
                    Fault.DeadCoil _,
                    Fault.Stuck _,
                    Fault.Dead _,
                    Fault.DeadPart _ ->
                    false;
        };
    }

    private static double heat(OperatingPoint point, WireId id) {
        var wire = point.netlist().design().wire(id);
        return Math.abs(point.through(wire).value() * point.lostIn(wire).value());
    }

    /** The current through the contact of a flasher. */
    private static double switched(OperatingPoint point, PartId flasher) {
        return point.netlist().inside(flasher).keySet().stream()
                .flatMap(role -> point.through(flasher, role).stream())
                .mapToDouble(amps -> Math.abs(amps.value()))
                .max()
                .orElse(0);
    }

    private static List<Look> looks(OperatingPoint point, CircuitId circuit) {
        return Sign.of(point, point.netlist().design().partsOf(circuit)).stream()
                .map(Sign::look)
                .toList();
    }
}
