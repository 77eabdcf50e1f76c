package aficion.harness;

import aficion.catalogue.Zone;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.route.Plan;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Bundle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The vehicle from above with its harness, front to the left: where every station lies and how
 * thick every run is. Positions are metres on the plan, from its front left corner.
 *
 * @param wide along the vehicle, metres
 * @param high across it, metres
 */
public record Board(double wide, double high, List<Lying> runs, List<Standing> stations) {
    private static final double EDGE = 0.22;

    /** A place on the board, metres. */
    public record At(double x, double y) {
        /** How far another place is. */
        public double to(At other) {
            return Math.hypot(other.x - x, other.y - y);
        }

        /** The direction in which another place lies, radians. */
        public double angle(At other) {
            return Math.atan2(other.y - y, other.x - x);
        }

        /** The place so far from here in a direction. */
        public At moved(double angle, double metres) {
            return new At(x + metres * Math.cos(angle), y + metres * Math.sin(angle));
        }

        /** The place so far from here on the way to another one, or beyond it. */
        public At towards(At other, double metres) {
            double share = metres / to(other);
            return new At(x + (other.x - x) * share, y + (other.y - y) * share);
        }
    }

    /**
     * A run as it lies.
     *
     * @param riders the wires that ride it
     * @param diameter of them together; 0 where nothing rides it
     */
    public record Lying(
            RunId id,
            At from,
            At to,
            RunLength length,
            Zone zone,
            List<Wire> riders,
            Metres diameter) {
        public Lying {
            riders = List.copyOf(riders);
        }

        /** Its middle. */
        public At middle() {
            return new At((from.x + to.x) / 2, (from.y + to.y) / 2);
        }
    }

    /** A station with what stands there. */
    public record Standing(Station station, At at, List<Part> parts) {
        public Standing {
            parts = List.copyOf(parts);
        }
    }

    public Board {
        runs = List.copyOf(runs);
        stations = List.copyOf(stations);
    }

    /** The board of a design; empty while nothing is known of the vehicle's body. */
    public static Optional<Board> of(Design design) {
        return design.body().map(body -> of(design, body));
    }

    private static Board of(Design design, Body body) {
        var plan = body.plan();
        double front = least(plan, true) - EDGE;
        double left = least(plan, false) - EDGE;
        var at = new LinkedHashMap<StationId, At>();
        for (var station : plan.stations()) {
            at.put(
                    station.id(),
                    new At(
                            station.at().along().value() - front,
                            station.at().across().value() - left));
        }
        return new Board(
                most(plan, true) + EDGE - front,
                most(plan, false) + EDGE - left,
                runs(design, plan, at),
                stations(design, body, at));
    }

    private static double least(Plan plan, boolean along) {
        return plan.stations().stream()
                .mapToDouble(each -> along ? each.at().along().value() : each.at().across().value())
                .min()
                .orElse(0);
    }

    private static double most(Plan plan, boolean along) {
        return plan.stations().stream()
                .mapToDouble(each -> along ? each.at().along().value() : each.at().across().value())
                .max()
                .orElse(0);
    }

    private static List<Lying> runs(Design design, Plan plan, Map<StationId, At> at) {
        var lying = new ArrayList<Lying>();
        for (var run : plan.runs()) {
            var riders = design.riders().get(run.id());
            lying.add(
                    new Lying(
                            run.id(),
                            at.get(run.id().one()),
                            at.get(run.id().other()),
                            plan.length(run),
                            plan.zone(run),
                            riders,
                            riders.isEmpty() ? new Metres(0) : Bundle.diameter(riders)));
        }
        return lying;
    }

    private static List<Standing> stations(Design design, Body body, Map<StationId, At> at) {
        var standing = new LinkedHashMap<StationId, List<Part>>();
        body.plan().stations().forEach(station -> standing.put(station.id(), new ArrayList<>()));
        design.parts().forEach(part -> standing.get(body.station(part)).add(part));
        return body.plan().stations().stream()
                .map(station ->
                        new Standing(station, at.get(station.id()), standing.get(station.id())))
                .toList();
    }

    /** The station nearest to another one in a direction; empty where there is none. */
    public Optional<Station> towards(StationId from, double x, double y) {
        var here =
                stations.stream()
                        .filter(each -> each.station.id().equals(from))
                        .findFirst()
                        .map(Standing::at);
        return here.flatMap(start ->
                stations.stream()
                        .filter(each -> ahead(start, each.at, x, y) > 0)
                        .min(
                                Comparator.comparingDouble(each ->
                                        ahead(start, each.at, x, y)
                                                + 3 * aside(start, each.at, x, y)))
                        .map(Standing::station));
    }

    private static double ahead(At from, At to, double x, double y) {
        double ahead = (to.x - from.x) * x + (to.y - from.y) * y;
        return ahead > aside(from, to, x, y) / 4 ? ahead : 0;
    }

    private static double aside(At from, At to, double x, double y) {
        return Math.abs((to.x - from.x) * y - (to.y - from.y) * x);
    }
}
