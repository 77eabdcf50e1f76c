package aficion.catalogue;

import aficion.quantity.Amps;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** Bodies of connectors of two halves; the figures stand in {@code housings.csv}. */
public final class Housings {
    private static final List<Housing> TABLE = Table.read("housings.csv", Housings::housing);

    /**
     * A body of two halves.
     *
     * @param ways how many cavities it has
     * @param columns how many of them stand side by side, seen from the wire side
     * @param sockets the terminal that the half with sockets takes
     * @param pins the terminal that the half with pins takes
     * @param carries what each way carries with all of them loaded
     * @param keyed whether the halves go together one way only
     * @param sealed whether it stands in the wet
     */
    public record Housing(
            String key,
            int ways,
            int columns,
            String sockets,
            String pins,
            Amps carries,
            boolean keyed,
            boolean sealed) {
        /** Whether it takes the same terminals as another. */
        public boolean isOfTheSort(Housing other) {
            return sockets.equals(other.sockets) && pins.equals(other.pins);
        }
    }

    private Housings() {}

    private static Housing housing(Table.Row row) {
        return new Housing(
                row.text("key"),
                (int) row.number("ways", 1, 100),
                (int) row.number("columns", 1, 20),
                terminal(row, "sockets"),
                terminal(row, "pins"),
                new Amps(row.number("carries", 1, 200)),
                row.text("keyed").equals("yes"),
                row.text("sealed").equals("yes"));
    }

    private static String terminal(Table.Row row, String column) {
        var key = row.text(column);
        if (Terminals.find(key).isEmpty()) {
            throw row.wrong(column, "is no terminal");
        }
        return key;
    }

    /** Every body, in the order of the table. */
    public static List<Housing> all() {
        return TABLE;
    }

    /** The body of a key; empty when there is none. */
    public static Optional<Housing> find(String key) {
        return TABLE.stream().filter(housing -> housing.key.equals(key)).findFirst();
    }

    /** The smallest of some bodies that has so many ways. */
    public static Optional<Housing> least(int ways, Predicate<Housing> some) {
        return TABLE.stream()
                .filter(housing -> housing.ways >= ways && some.test(housing))
                .min(Comparator.comparingInt(Housing::ways));
    }
}
