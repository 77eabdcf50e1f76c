package aficion.catalogue;

import aficion.quantity.Metres;
import java.util.List;

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
}
