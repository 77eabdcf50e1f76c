package aficion.route;

import aficion.catalogue.Table;
import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A sort of vehicle to start from: where its stations mostly are and what leads where. A data file
 * ({@code outlines.csv}, {@code stations.csv}, {@code runs.csv}), scaled by what the vehicle
 * measures.
 *
 * @param name its name in files and the key of its words
 * @param sort the kind of vehicle it is of: car, motorcycle, tractor
 * @param usual what such a vehicle mostly measures
 */
public record Outline(String name, String sort, Size usual) {
    private static final double LEAST = 0.2;
    private static final double MOST = 8;

    /** Stations that are named by their side keep it. */
    private static final String PAIRED = ".*-(left|right)";

    /**
     * What a vehicle measures, metres.
     *
     * @param front what stands over before the front axle
     * @param rear what stands over behind the rear one
     */
    public record Size(Metres wheelbase, Metres track, Metres front, Metres rear, Metres height) {
        public Size {
            for (var part : new Metres[] {wheelbase, track, front, rear, height}) {
                if (!(part.value() >= LEAST && part.value() <= MOST)) {
                    throw new IllegalArgumentException(
                            "a vehicle measures 0.2 to 8 m, not " + part.value() + " m");
                }
            }
        }
    }

    private record Place(
            String outline,
            String station,
            double along,
            double across,
            double up,
            Zone zone,
            Station.Form form,
            Optional<Metres> bore,
            Optional<List<String>> takes) {
        Station at(Size size, boolean mirrored) {
            double base = size.wheelbase().value();
            double metres =
                    along < 0
                            ? along * size.front().value()
                            : along <= 1 ? along * base : base + (along - 1) * size.rear().value();
            double aside = across * size.track().value() / 2 * (mirrored ? -1 : 1);
            return new Station(
                    new StationId(station),
                    Optional.empty(),
                    new Spot(
                            new Metres(rounded(metres)),
                            new Metres(rounded(aside)),
                            new Metres(rounded(up * size.height().value()))),
                    zone,
                    form,
                    bore,
                    takes);
        }

        private static double rounded(double metres) {
            return Math.round(metres * 100) / 100.0 + 0.0;
        }
    }

    private record Lead(String outline, String from, String to) {
        Run run() {
            return new Run(new RunId(new StationId(from), new StationId(to)));
        }
    }

    private static final Map<String, Zone> ZONES =
            Arrays.stream(Zone.values()).collect(Collectors.toMap(Zone::key, Function.identity()));

    private static final List<Outline> ALL = Table.read("outlines.csv", Outline::outline);

    private static final Map<String, List<Place>> PLACES =
            Table.read("stations.csv", Outline::place).stream()
                    .collect(Collectors.groupingBy(Place::outline));

    private static final Map<String, List<Lead>> LEADS =
            Table.read(
                            "runs.csv",
                            row -> new Lead(row.text("outline"), row.text("from"), row.text("to")))
                    .stream()
                    .collect(Collectors.groupingBy(Lead::outline));

    /** Every outline there is. */
    public static List<Outline> all() {
        return ALL;
    }

    /** The outlines of a kind of vehicle, the most usual first. */
    public static List<Outline> of(String sort) {
        return ALL.stream()
                .filter(each -> each.sort.equals(sort.toLowerCase(Locale.ROOT)))
                .toList();
    }

    /** The plan of a vehicle of this outline. */
    public Plan plan(Size size) {
        return plan(size, false);
    }

    /**
     * The same.
     *
     * @param mirrored whether what the outline has on the left is on the right: the wheel, the
     *     battery
     */
    public Plan plan(Size size, boolean mirrored) {
        return new Plan(
                PLACES.get(name).stream()
                        .map(place -> place.at(size, mirrored && !place.station.matches(PAIRED)))
                        .toList(),
                LEADS.get(name).stream().map(Lead::run).toList());
    }

    private static Outline outline(Table.Row row) {
        return new Outline(
                row.text("outline"),
                row.text("sort"),
                new Size(
                        metres(row, "wheelbase"),
                        metres(row, "track"),
                        metres(row, "front"),
                        metres(row, "rear"),
                        metres(row, "height")));
    }

    private static Place place(Table.Row row) {
        var zone = ZONES.get(row.text("zone"));
        if (zone == null) {
            throw row.wrong("zone", "is none of " + ZONES.keySet());
        }
        return new Place(
                row.text("outline"),
                row.text("station"),
                row.number("along", -1, 2),
                row.number("across", -3, 3),
                row.number("up", 0, 1.2),
                zone,
                row.constant("form", Station.Form.class),
                row.has("bore")
                        ? Optional.of(new Metres(row.number("bore", 5, 200) / 1000))
                        : Optional.empty(),
                row.has("takes")
                        ? Optional.of(List.of(row.text("takes").split(" +")))
                        : Optional.empty());
    }

    private static Metres metres(Table.Row row, String column) {
        return new Metres(row.number(column, LEAST, MOST));
    }
}
