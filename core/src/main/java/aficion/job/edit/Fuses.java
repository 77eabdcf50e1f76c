package aficion.job.edit;

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
        if (part.kind() instanceof Kind.Fuse(var type, _) && edit.way().isEmpty()) {
            return new Kind.Fuse(type, edit.marking());
        }
        if (part.kind() instanceof Kind.FuseBox(var ways)
                && ways.stream().anyMatch(way -> way.name().equals(edit.way()))) {
            return new Kind.FuseBox(
                    ways.stream()
                            .map(way ->
                                    way.name().equals(edit.way())
                                            ? new Kind.Way(way.name(), way.family(), edit.marking())
                                            : way)
                            .toList());
        }
        throw new IllegalArgumentException(part.id() + " holds no fuse " + edit.way());
    }
}
