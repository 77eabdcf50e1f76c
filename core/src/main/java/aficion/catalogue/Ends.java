package aficion.catalogue;

import aficion.catalogue.Terminals.Family;
import aficion.quantity.Metres;
import aficion.quantity.SquareMillimetres;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** How ends are made; the figures stand in {@code ends.csv} and {@code pulls.csv}. */
public final class Ends {
    /** What an end is made with. */
    public enum Tool {
        OPEN_BARREL,
        CLOSED_BARREL,
        PLUG_PIN,
        HYDRAULIC,
        CLAMP
    }

    /**
     * How the ends of a family are made.
     *
     * @param strip bare copper
     * @param boot whether a bare one wears an insulating boot
     * @param shrink whether the crimp is shrunk over
     */
    public record Making(Family family, Metres strip, Tool tool, boolean boot, boolean shrink) {}

    private record Pull(double section, double newtons) {}

    private static final Map<Family, Making> MAKING =
            Table.read(
                            "ends.csv",
                            row ->
                                    new Making(
                                            row.constant("family", Family.class),
                                            new Metres(row.number("strip", 1, 50) / 1000),
                                            row.constant("tool", Tool.class),
                                            row.text("boot").equals("yes"),
                                            row.text("shrink").equals("yes")))
                    .stream()
                    .collect(Collectors.toMap(Making::family, Function.identity()));

    private static final List<Pull> PULLS =
            Table.read(
                    "pulls.csv",
                    row ->
                            new Pull(
                                    row.number("section", 0.1, 100),
                                    row.number("newtons", 1, 10_000)));

    private Ends() {}

    /** How the ends of a family are made. */
    public static Making of(Family family) {
        return MAKING.get(family);
    }

    /**
     * The force a crimp of some copper must stand, newtons; empty above what the table has, where
     * no hand pulls enough.
     */
    public static Optional<Double> pull(SquareMillimetres copper) {
        double most = PULLS.getLast().section;
        return copper.value() > 1.02 * most
                ? Optional.empty()
                : PULLS.stream()
                        .filter(pull -> pull.section <= 1.02 * copper.value())
                        .reduce((_, later) -> later)
                        .map(Pull::newtons);
    }
}
