package aficion.route;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm.SingleSourcePaths;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * The stations of a vehicle and the runs between them. Immutable; ways are found once and kept.
 *
 * <p>The cheapest way is the one of the least length, each run counted longer where it is hot, wet
 * or moves: a wire there is dearer, fails sooner and is harder to get at (typical weights,
 * docs/SOURCES.md).
 */
public final class Plan {
    /** How much longer string is than the straight way over the plan (typical, docs/SOURCES.md). */
    public static final double ROUND_ABOUT = 1.15;

    /** How far an assumed length may be off, as a share (typical, docs/SOURCES.md). */
    public static final double DOUBT = 0.2;

    private static final double SHORTEST = 0.05;
    private static final double HOT = 75;
    private static final double HOT_COUNTS = 0.5;
    private static final double WET_COUNTS = 0.3;
    private static final double MOVING_COUNTS = 0.5;

    private final List<Station> stations;
    private final List<Run> runs;
    private final Map<StationId, Station> stationById = new LinkedHashMap<>();
    private final Map<RunId, Run> runById = new LinkedHashMap<>();
    private final SimpleWeightedGraph<StationId, RunId> graph =
            new SimpleWeightedGraph<>(RunId.class);
    private final Map<StationId, SingleSourcePaths<StationId, RunId>> trees = new HashMap<>();
    private final Map<List<StationId>, Way> ways = new HashMap<>();

    /**
     * @throws IllegalArgumentException when a station or a run stands twice, or a run leads to a
     *     station that is not there
     */
    public Plan(List<Station> stations, List<Run> runs) {
        this.stations = List.copyOf(stations);
        this.runs = List.copyOf(runs);
        for (var station : this.stations) {
            require(stationById.put(station.id(), station) == null, station.id() + " stands twice");
            graph.addVertex(station.id());
        }
        for (var run : this.runs) {
            for (var end : new StationId[] {run.id().one(), run.id().other()}) {
                require(
                        stationById.containsKey(end),
                        "a run leads to " + end + ", which is not there");
            }
            require(runById.put(run.id(), run) == null, "the run " + run.id() + " stands twice");
            graph.addEdge(run.id().one(), run.id().other(), run.id());
            graph.setEdgeWeight(run.id(), cost(run));
        }
    }

    private static void require(boolean holds, String what) {
        if (!holds) {
            throw new IllegalArgumentException(what);
        }
    }

    /** Every station, in the order of the plan. */
    public List<Station> stations() {
        return stations;
    }

    /** Every run, in the order of the plan. */
    public List<Run> runs() {
        return runs;
    }

    /** The station of that name; empty when there is none. */
    public Optional<Station> find(StationId id) {
        return Optional.ofNullable(stationById.get(id));
    }

    /** The run between two stations; empty when there is none. */
    public Optional<Run> find(RunId id) {
        return Optional.ofNullable(runById.get(id));
    }

    /**
     * @throws IllegalArgumentException when there is no such station
     */
    public Station station(StationId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("no station " + id));
    }

    /**
     * @throws IllegalArgumentException when there is no such run
     */
    public Run run(RunId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("no run " + id));
    }

    /** The runs that meet a station, in the order of the plan. */
    public List<Run> meeting(StationId station) {
        return runs.stream().filter(run -> run.id().meets(station)).toList();
    }

    /** How long a run is: as measured, else the straight way over the plan and a bit more. */
    public RunLength length(Run run) {
        return run.measured()
                .<RunLength>map(RunLength.Measured::new)
                .orElseGet(() -> new RunLength.Assumed(assumed(run.id())));
    }

    private Metres assumed(RunId run) {
        return straight(station(run.one()), station(run.other()));
    }

    private static Metres straight(Station one, Station other) {
        double metres = ROUND_ABOUT * one.at().to(other.at()).value();
        return new Metres(Math.max(SHORTEST, Math.round(100 * metres) / 100.0));
    }

    /** What a run passes: as stated, else the hotter of its ends. */
    public Zone zone(Run run) {
        return run.zone()
                .orElseGet(() ->
                        hottest(
                                Stream.of(
                                        station(run.id().one()).zone(),
                                        station(run.id().other()).zone())));
    }

    private static Zone hottest(Stream<Zone> zones) {
        return zones.max(
                        Comparator.comparingDouble((Zone zone) -> zone.ambient().value())
                                .thenComparing(Zone::isWet)
                                .thenComparing(Zone.MOVING::equals))
                .orElseThrow();
    }

    private double cost(Run run) {
        var zone = zone(run);
        double more =
                (zone.ambient().value() >= HOT ? HOT_COUNTS : 0)
                        + (zone.isWet() ? WET_COUNTS : 0)
                        + (zone == Zone.MOVING ? MOVING_COUNTS : 0);
        return length(run).metres().value() * (1 + more);
    }

    /**
     * The cheapest way from one station to another; straight over the plan, by no run, where none
     * leads there.
     *
     * @throws IllegalArgumentException when one of them is not there
     */
    public synchronized Way way(StationId from, StationId to) {
        station(from);
        station(to);
        var ends = List.of(from, to);
        var known = ways.get(ends);
        if (known == null) {
            known = found(from, to);
            ways.put(ends, known);
        }
        return known;
    }

    private Way found(StationId from, StationId to) {
        var path = tree(from).getPath(to);
        if (path == null) {
            return new Way(
                    List.of(from, to),
                    List.of(),
                    new RunLength.Assumed(straight(station(from), station(to))),
                    hottest(Stream.of(station(from).zone(), station(to).zone())));
        }
        return way(path.getVertexList(), path.getEdgeList());
    }

    /** The cheapest way by a third station. */
    public Way way(StationId from, StationId via, StationId to) {
        var there = way(from, via);
        var on = way(via, to);
        var met = new ArrayList<>(there.stations());
        met.addAll(on.stations().subList(1, on.stations().size()));
        var ridden = new ArrayList<>(there.runs());
        ridden.addAll(on.runs());
        return new Way(
                met,
                ridden,
                sum(Stream.of(there.length(), on.length())),
                hottest(Stream.of(there.zone(), on.zone())));
    }

    /**
     * The cheapest way that leaves out a run: what another way would be; empty where there is no
     * other.
     */
    public Optional<Way> wayWithout(StationId from, StationId to, RunId left) {
        var without =
                new Plan(stations, runs.stream().filter(run -> !run.id().equals(left)).toList());
        var way = without.way(from, to);
        return way.runs().isEmpty() ? Optional.empty() : Optional.of(way);
    }

    private Way way(List<StationId> met, List<RunId> ridden) {
        return new Way(
                met,
                ridden,
                sum(ridden.stream().map(this::run).map(this::length)),
                hottest(
                        ridden.isEmpty()
                                ? met.stream().map(this::station).map(Station::zone)
                                : ridden.stream().map(this::run).map(this::zone)));
    }

    private static RunLength sum(Stream<RunLength> lengths) {
        double metres = 0;
        boolean measured = true;
        for (var length : lengths.toList()) {
            metres += length.metres().value();
            measured &= length instanceof RunLength.Measured;
        }
        var sum = new Metres(metres);
        return measured ? new RunLength.Measured(sum) : new RunLength.Assumed(sum);
    }

    private SingleSourcePaths<StationId, RunId> tree(StationId from) {
        return trees.computeIfAbsent(from, new DijkstraShortestPath<>(graph)::getPaths);
    }

    /** The same with one station otherwise. */
    public Plan with(Station changed) {
        station(changed.id());
        return new Plan(
                stations.stream()
                        .map(each -> each.id().equals(changed.id()) ? changed : each)
                        .toList(),
                runs);
    }

    /** The same with one run otherwise. */
    public Plan with(Run changed) {
        run(changed.id());
        return new Plan(
                stations,
                runs.stream()
                        .map(each -> each.id().equals(changed.id()) ? changed : each)
                        .toList());
    }

    /**
     * The same with a new station on a run, which is parted there; what was measured of it is
     * shared out by halves.
     *
     * @throws IllegalArgumentException when the station is there already, or the run is not
     */
    public Plan split(RunId id, Station at) {
        var run = run(id);
        var longer = new ArrayList<>(stations);
        longer.add(at);
        var parted = new ArrayList<Run>();
        for (var each : runs) {
            if (each == run) {
                var half = run.measured().map(length -> new Metres(length.value() / 2));
                for (var end : new StationId[] {id.one(), id.other()}) {
                    parted.add(new Run(new RunId(end, at.id()), half, run.covering(), run.zone()));
                }
            } else {
                parted.add(each);
            }
        }
        return new Plan(longer, parted);
    }

    /**
     * The looms that some of its runs fall into at separable plugs and where none of them meet,
     * each as the runs it has.
     */
    public List<List<Run>> looms(Predicate<Run> some) {
        var looms = new ArrayList<List<Run>>();
        var left = new LinkedHashSet<>(runs.stream().filter(some).toList());
        while (!left.isEmpty()) {
            var loom = new ArrayList<>(List.of(left.removeFirst()));
            for (int i = 0; i < loom.size(); i++) {
                var id = loom.get(i).id();
                for (var end : new StationId[] {id.one(), id.other()}) {
                    if (station(end).form() != Station.Form.PLUG) {
                        meeting(end).stream().filter(left::remove).forEach(loom::add);
                    }
                }
            }
            looms.add(List.copyOf(loom));
        }
        return looms;
    }

    @Override
    public boolean equals(Object other) {
        return this == other
                || other instanceof Plan plan
                        && stations.equals(plan.stations)
                        && runs.equals(plan.runs);
    }

    @Override
    public int hashCode() {
        return Objects.hash(stations, runs);
    }

    @Override
    public String toString() {
        return "Plan of " + stations.size() + " stations and " + runs.size() + " runs";
    }
}
