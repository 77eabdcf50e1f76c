package aficion.catalogue;

import java.util.List;

/** What hands see to when parts are fitted; the lines stand in {@code fitting.csv}. */
public final class Fittings {
    private static final List<Fitting> TABLE =
            Table.read("fitting.csv", row -> new Fitting(row.text("kind"), row.text("line")));

    /**
     * Something that is seen to.
     *
     * @param kind the kind of part, as {@code FuseBox}
     * @param line its name, by which its words are found
     */
    public record Fitting(String kind, String line) {}

    private Fittings() {}

    /** Every line, in the order of the table. */
    public static List<Fitting> all() {
        return TABLE;
    }
}
