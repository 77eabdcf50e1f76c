package aficion.job.edit;

import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.Kind;
import aficion.job.Part;

/** Changing the fuse in a seat, whichever kind of holder it has. */
final class Fuses {
    private Fuses() {}

    static Job fit(Job job, Edit.FitFuse edit) {
        return Edit.changedPart(job, edit.part(), part -> part.withKind(fitted(part, edit)));
    }

    private static Kind fitted(Part part, Edit.FitFuse edit) {
        if (part.kind() instanceof GuardKind.Fuse(var type, _) && edit.way().isEmpty()) {
            return new GuardKind.Fuse(type, edit.marking());
        }
        if (part.kind() instanceof GuardKind.FuseBox(var ways)
                && ways.stream().anyMatch(way -> way.name().equals(edit.way()))) {
            return new GuardKind.FuseBox(
                    ways.stream()
                            .map(way ->
                                    way.name().equals(edit.way())
                                            ? new GuardKind.Way(
                                                    way.name(), way.family(), edit.marking())
                                            : way)
                            .toList());
        }
        throw new IllegalArgumentException(part.id() + " holds no fuse " + edit.way());
    }
}
