package aficion.catalogue;

import aficion.quantity.Amps;
import aficion.quantity.SquareMillimetres;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What is crimped to the ends of wires; the figures stand in {@code terminals.csv}. */
public final class Terminals {
    private static final Map<String, Fitting> TABLE = table();

    /** What a terminal is. */
    public enum Family {
        BLADE,
        RING,
        LUG,
        CLAMP,
        BULLET,
        /** A pin in the cavity of a plug. */
        CAVITY,
        JOINT;

        /** Whether it goes on a stud beside others; else all wires of a terminal share it. */
        public boolean stacks() {
            return this == RING || this == LUG;
        }

        /** Whether it holds one wire, or all that are crimped into it together. */
        public boolean isBarrel() {
            return this == BLADE || this == BULLET || this == CAVITY;
        }
    }

    /**
     * A terminal.
     *
     * @param hole the stud it goes on, for a ring or a lug; the post, for a clamp
     * @param least the thinnest copper that is crimped into it
     * @param takes the thickest
     * @param carries what it carries; empty for those that carry what their wire does
     * @param sealed whether it stands in the wet
     */
    public record Fitting(
            String key,
            Family family,
            Optional<String> hole,
            SquareMillimetres least,
            SquareMillimetres takes,
            Optional<Amps> carries,
            boolean sealed) {
        /** What a section may be off what a terminal takes, since sizes are rounded. */
        private static final double ROUNDED = 1.02;

        /** Whether copper goes into it. */
        public boolean takes(SquareMillimetres copper) {
            return copper.value() <= ROUNDED * takes.value();
        }

        /** Whether it grips copper: what is too thin for it pulls out. */
        public boolean grips(SquareMillimetres copper) {
            return ROUNDED * copper.value() >= least.value();
        }

        /** Whether it goes on a stud, where that is known; what goes on none does not mind. */
        public boolean goesOn(Optional<String> stud) {
            return stud.isEmpty() || !family.stacks() || hole.isEmpty() || hole.equals(stud);
        }
    }

    private static Map<String, Fitting> table() {
        var table = new LinkedHashMap<String, Fitting>();
        Table.read("terminals.csv", Terminals::fitting)
                .forEach(fitting -> table.put(fitting.key(), fitting));
        return table;
    }

    private static Fitting fitting(Table.Row row) {
        return new Fitting(
                row.text("key"),
                row.constant("family", Family.class),
                row.has("hole") ? Optional.of(row.text("hole")) : Optional.empty(),
                new SquareMillimetres(row.number("least", 0.1, 200)),
                new SquareMillimetres(row.number("takes", 0.1, 200)),
                row.has("carries")
                        ? Optional.of(new Amps(row.number("carries", 1, 1000)))
                        : Optional.empty(),
                row.text("sealed").equals("yes"));
    }

    private Terminals() {}

    /** The studs that rings and lugs are sold for. */
    public static Set<String> holes() {
        return TABLE.values().stream()
                .filter(fitting -> fitting.family().stacks())
                .flatMap(fitting -> fitting.hole().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** Every terminal, in the order of the table. */
    public static List<Fitting> all() {
        return List.copyOf(TABLE.values());
    }

    /** The fitting of a key, such as {@code ring-m6}; empty when there is none. */
    public static Optional<Fitting> find(String key) {
        return Optional.ofNullable(TABLE.get(key));
    }
}
