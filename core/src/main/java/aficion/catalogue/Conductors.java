package aficion.catalogue;

import aficion.catalogue.WireSize.Standard;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.SquareMillimetres;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The conductors that are sold, by standard, in order of section. */
public final class Conductors {
    /**
     * Copper of automotive gauge as a share of true gauge: up to a tenth less (docs/SOURCES.md).
     */
    private static final double AUTOMOTIVE_SHARE = 0.9;

    private static final List<Conductor> METRIC = Table.read("conductors.csv", Conductors::metric);
    private static final List<Conductor> AWG =
            Table.read("gauges.csv", row -> gauge(row, Standard.AWG, 1));
    private static final List<Conductor> GAUGE =
            Table.read("gauges.csv", row -> gauge(row, Standard.GAUGE, AUTOMOTIVE_SHARE));

    private static final Map<WireSize, Conductor> BY_SIZE =
            Stream.of(METRIC, AWG, GAUGE)
                    .flatMap(List::stream)
                    .collect(Collectors.toMap(Conductor::size, Function.identity()));

    private Conductors() {}

    /** All sizes of one standard, thinnest first. */
    public static List<Conductor> of(Standard standard) {
        return switch (standard) {
            case METRIC -> METRIC;
            case AWG -> AWG;
            case GAUGE -> GAUGE;
        };
    }

    /** The conductor of that size, when it is sold. */
    public static Optional<Conductor> find(WireSize size) {
        return Optional.ofNullable(BY_SIZE.get(size)).or(() -> search(size));
    }

    /** Finds a size that is written otherwise than in the table: 1.50 for 1.5. */
    private static Optional<Conductor> search(WireSize size) {
        return of(size.standard()).stream()
                .filter(conductor -> same(conductor.size(), size))
                .findFirst();
    }

    /**
     * The conductor of a size that a design holds.
     *
     * @throws IllegalArgumentException when no such size is sold
     */
    public static Conductor get(WireSize size) {
        return find(size)
                .orElseThrow(() -> new IllegalArgumentException("no wire is sold as " + size));
    }

    private static boolean same(WireSize one, WireSize other) {
        return one.standard() == Standard.METRIC
                ? Double.parseDouble(one.designation()) == Double.parseDouble(other.designation())
                : one.designation().equals(other.designation());
    }

    private static Conductor metric(Table.Row row) {
        return new Conductor(
                new WireSize(Standard.METRIC, row.text("section")),
                new SquareMillimetres(row.number("section", 0.1, 400)),
                new Ohms(row.number("resistance", 0.01, 200) / 1000),
                new Metres(row.number("diameter", 0.5, 50) / 1000));
    }

    private static Conductor gauge(Table.Row row, Standard standard, double share) {
        String designation = row.text("gauge");
        double section = share * section(number(designation));
        return new Conductor(
                new WireSize(standard, designation),
                new SquareMillimetres(section),
                new Ohms(Conductor.RESISTIVITY / section),
                new Metres(row.number("diameter", 0.5, 50) / 1000));
    }

    /** Copper section of a gauge number, mm²: d = 0.127 mm · 92^((36−n)/39) (ASTM B258). */
    private static double section(int number) {
        double diameter = 0.127 * Math.pow(92, (36 - number) / 39.0);
        return Math.PI / 4 * diameter * diameter;
    }

    private static int number(String designation) {
        int slash = designation.indexOf("/0");
        return slash < 0
                ? Integer.parseInt(designation)
                : 1 - Integer.parseInt(designation.substring(0, slash));
    }
}
