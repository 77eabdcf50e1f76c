package aficion.simulate;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;

/** What a recorder is clamped to. */
public sealed interface Probe {

    /** Volts of a terminal against the vehicle's earth; not a number while it floats. */
    record VoltsAt(Terminal terminal) implements Probe {}

    /** Volts of one terminal above another. */
    record VoltsBetween(Terminal terminal, Terminal against) implements Probe {}

    /** Amps in a wire, from its first end to its second. */
    record AmpsIn(WireId wire) implements Probe {}

    /** Amps in a branch inside a part, by the name it has there. */
    record AmpsInside(PartId part, String role) implements Probe {}

    /** Charge of a battery, 0 to 1. */
    record ChargeOf(PartId battery) implements Probe {}
}
