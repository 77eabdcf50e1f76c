package aficion.diagram;

import aficion.job.PartId;
import java.util.HashSet;
import java.util.Set;

/**
 * How a path is drawn.
 *
 * @param folded the fuse boxes that show their ways as bare lines, close together
 * @param returns whether wires to earth are drawn out to their earth points, since the returns are
 *     the subject; else each has a flag at the part
 */
public record DrawingOptions(Set<PartId> folded, boolean returns) {
    /** Every box open, returns as flags. */
    public static final DrawingOptions PLAIN = new DrawingOptions(Set.of(), false);

    public DrawingOptions {
        folded = Set.copyOf(folded);
    }

    /** The same with a fuse box folded, or unfolded again. */
    public DrawingOptions turned(PartId box) {
        var changed = new HashSet<>(folded);
        if (!changed.remove(box)) {
            changed.add(box);
        }
        return new DrawingOptions(changed, returns);
    }

    /** The same with returns drawn out to their earth points, or as flags. */
    public DrawingOptions withReturns(boolean shown) {
        return new DrawingOptions(folded, shown);
    }
}
