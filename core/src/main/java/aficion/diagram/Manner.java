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
public record Manner(Set<PartId> folded, boolean returns) {
    /** Every box open, returns as flags. */
    public static final Manner PLAIN = new Manner(Set.of(), false);

    public Manner {
        folded = Set.copyOf(folded);
    }

    /** The same with a fuse box folded, or unfolded again. */
    public Manner turned(PartId box) {
        var changed = new HashSet<>(folded);
        if (!changed.remove(box)) {
            changed.add(box);
        }
        return new Manner(changed, returns);
    }

    public Manner withReturns(boolean shown) {
        return new Manner(folded, shown);
    }
}
