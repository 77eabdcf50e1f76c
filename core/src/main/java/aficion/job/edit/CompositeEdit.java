package aficion.job.edit;

import aficion.job.Design;
import java.util.List;

/** Several edits as one, in order. */
public record CompositeEdit(Reason reason, List<Edit> edits) implements Edit {

    /** What they do together. */
    public enum Reason {
        INSERT_RECIPE,
        GROUP,
        RENUMBER,
        RECOLOUR,
        RESIZE,
        OTHER_SIDE,
        COMBINE_EARTHS,
        ADD_PART,
        IMPORT,
        MEND,
        SECOND_STUD,
        BUS_BAR,
        LAY,
        PLUG,
        OTHER_SOURCE,
        CONVERT,
        OTHER_COIL,
        GAUGE
    }

    public CompositeEdit {
        edits = List.copyOf(edits);
    }

    @Override
    public Design apply(Design design) {
        var next = design;
        for (var edit : edits) {
            next = edit.apply(next);
        }
        return next;
    }
}
