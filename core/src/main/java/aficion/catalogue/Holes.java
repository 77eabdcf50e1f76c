package aficion.catalogue;

import aficion.quantity.Metres;
import java.util.List;
import java.util.Optional;

/**
 * The holes that switches, lamps, gauges, grommets and bolts want; they stand in {@code holes.csv}.
 */
public final class Holes {
    private static final List<Hole> TABLE =
            Table.read(
                    "holes.csv",
                    row ->
                            new Hole(
                                    row.text("what"),
                                    new Metres(row.number("diameter", 1, 150) / 1000)));

    /**
     * A hole.
     *
     * @param what goes through it, by the name its words are found by
     */
    public record Hole(String what, Metres diameter) {}

    private Holes() {}

    /** Every hole, in the order of the table. */
    public static List<Hole> all() {
        return TABLE;
    }

    /** The hole for something. */
    public static Optional<Hole> of(String what) {
        return TABLE.stream().filter(each -> each.what().equals(what)).findFirst();
    }
}
