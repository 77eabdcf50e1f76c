package aficion.catalogue;

import aficion.quantity.Celsius;
import aficion.quantity.Metres;
import java.util.List;
import java.util.Optional;

/** Where kinds of parts may stand; the figures stand in {@code placing.csv}. */
public final class Placings {
    private static final List<Placing> TABLE =
            Table.read(
                    "placing.csv",
                    row ->
                            new Placing(
                                    row.text("kind"),
                                    new Celsius(row.number("hottest", 40, 200)),
                                    row.text("dry").equals("yes"),
                                    row.text("cabin").equals("yes"),
                                    row.has("apart")
                                            ? Optional.of(
                                                    new Apart(
                                                            row.text("apart"),
                                                            new Metres(
                                                                    row.number("least", 1, 5000)
                                                                            / 1000)))
                                            : Optional.empty()));

    /**
     * Where a kind of part may stand.
     *
     * @param kind its name, as {@code FuseBox}
     * @param hottest the air it lasts in
     * @param dry whether spray spoils it
     * @param cabin whether it may stand where people sit
     * @param apart what it stands away from
     */
    public record Placing(
            String kind, Celsius hottest, boolean dry, boolean cabin, Optional<Apart> apart) {
        /** Whether a place is not too hot for it. */
        public boolean lasts(Zone zone) {
            return zone.ambient().value() <= hottest.value();
        }
    }

    /** A kind of part that disturbs one, and how far from it that stands at least. */
    public record Apart(String kind, Metres least) {}

    private Placings() {}

    /** Every rule, in the order of the table. */
    public static List<Placing> all() {
        return TABLE;
    }

    /** Where a kind may stand; empty where that does not matter. */
    public static Optional<Placing> of(String kind) {
        return TABLE.stream().filter(placing -> placing.kind.equals(kind)).findFirst();
    }
}
