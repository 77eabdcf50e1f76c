package aficion.bench.reason;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;

/** What a meter or an eye can take in. */
public sealed interface Measure {
    /** Volts of a terminal against the body. */
    record VoltsAt(Terminal at) implements Measure {}

    /** Amps in a wire, whichever way. */
    record AmpsIn(WireId wire) implements Measure {}

    /** The light of a lamp as a share of what it should give at its rated volts. */
    record LightOf(PartId part, String pin) implements Measure {}

    /** Something that is so, 1, or is not, 0. */
    record Told(Telltale what) implements Measure {}
}
