package aficion.catalogue;

import aficion.quantity.Metres;
import java.util.List;
import java.util.Optional;

/**
 * Sleeves, shrink, grommets and clips as they are sold; the sizes stand in {@code coverings.csv}.
 */
public final class Coverings {
    /** What bundles are dressed in, pass through, or are held by. */
    public enum Sort {
        LOOM_TUBE,
        BRAID,
        SHRINK,
        GROMMET,
        CLIP
    }

    /**
     * One size of one sort.
     *
     * @param bore its inside diameter as supplied
     * @param recovered the same once shrunk, for what shrinks
     */
    public record Size(Sort sort, Metres bore, Optional<Metres> recovered) {
        /** Whether it goes over a diameter and, where it shrinks, grips it. */
        boolean fits(Metres diameter, double room) {
            return bore.value() >= room * diameter.value()
                    && recovered.map(small -> small.value() < diameter.value()).orElse(true);
        }
    }

    private static final List<Size> TABLE =
            Table.read(
                    "coverings.csv",
                    row ->
                            new Size(
                                    row.constant("covering", Sort.class),
                                    new Metres(row.number("bore", 1, 100) / 1000),
                                    row.has("recovered")
                                            ? Optional.of(
                                                    new Metres(
                                                            row.number("recovered", 0.5, 100)
                                                                    / 1000))
                                            : Optional.empty()));

    private Coverings() {}

    /** All sizes of a sort, the narrowest first. */
    public static List<Size> of(Sort sort) {
        return TABLE.stream().filter(size -> size.sort == sort).toList();
    }

    /**
     * The narrowest that goes over a diameter with room to spare; empty when none that is sold
     * does.
     *
     * @param room its bore as a multiple of the diameter, at the least
     */
    public static Optional<Size> over(Sort sort, Metres diameter, double room) {
        return of(sort).stream().filter(size -> size.fits(diameter, room)).findFirst();
    }
}
