package aficion.simulate;

import aficion.job.PartId;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Seconds;

/** Something that happened, and when. */
public sealed interface SimulationEvent {
    Seconds at();

    /** A fuse or breaker opened. */
    record Opened(Seconds at, FuseSeat fuse) implements SimulationEvent {}

    /** A breaker closed again. */
    record Reset(Seconds at, FuseSeat fuse) implements SimulationEvent {}

    /** A relay, or what stands for one, pulled in or let go. */
    record Moved(Seconds at, PartId part, boolean in) implements SimulationEvent {}

    /** A flasher or stabiliser closed or opened its contact. */
    record Blinked(Seconds at, PartId part, boolean on) implements SimulationEvent {}

    /** A battery was empty. */
    record Flat(Seconds at, PartId battery) implements SimulationEvent {}

    /** From here on no volts could be found. */
    record Lost(Seconds at) implements SimulationEvent {}
}
