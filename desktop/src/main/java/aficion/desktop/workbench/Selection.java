package aficion.desktop.workbench;

import aficion.job.Job;
import aficion.job.PartId;
import aficion.job.WireId;

/** What is chosen. */
public sealed interface Selection {

    record Nothing() implements Selection {}

    record OfWire(WireId wire) implements Selection {}

    record OfPart(PartId part) implements Selection {}

    /** Whether a job still has it. */
    default boolean isIn(Job job) {
        return switch (this) {
            case Nothing() -> true;
            case OfWire(var wire) -> job.find(wire).isPresent();
            case OfPart(var part) -> job.find(part).isPresent();
        };
    }
}
