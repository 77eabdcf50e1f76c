package aficion.bench.practice;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;

/** Something a person does to find a fault. */
public sealed interface Act {
    /** Volts of a terminal against the body. */
    record Volts(Terminal at) implements Act {}

    /** A test lamp from a terminal to the body. */
    record Lamp(Terminal at) implements Act {}

    /** Amps in the lead that feeds the circuit. */
    record Amps(WireId feed) implements Act {}

    /** A look at what the loads of the circuit do. */
    record Glance() implements Act {}

    /** A close look at the ends of a part, and a tug. */
    record Look(PartId part) implements Act {}

    /** Moving plug and leads of a part, and watching what the loads do. */
    record Wiggle(PartId part) implements Act {}
}
