package aficion.forming;

import aficion.harness.Dress;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.RunId;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.route.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jgrapht.alg.spanning.KruskalMinimumSpanningTree;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * A part of the harness that is made by itself: what hangs together without going through a
 * separable plug. A loom with a loop in it is opened where the fewest wires go on: that run is laid
 * from one end alone, and its other end lies loose.
 *
 * @param number from one, the one of most runs first
 * @param strands the runs that wires ride, as they are laid on a forming board
 */
public record Loom(int number, List<Strand> strands) {

    /**
     * Where strands end or part: a station, or the loose end of a run that comes to one.
     *
     * @param loose the run, where a loop was opened
     */
    public record Knot(StationId station, Optional<RunId> loose) {
        Knot(StationId station) {
            this(station, Optional.empty());
        }
    }

    /**
     * A run of it.
     *
     * @param measured whether its length was measured; else it is assumed
     * @param holes the stations at its ends that are holes, with the grommet each needs
     * @param goingOn the wires that go on beyond a loose end, and are led there once it is fitted
     */
    public record Strand(
            RunId run,
            Knot from,
            Knot to,
            Metres length,
            boolean measured,
            Dress dress,
            Map<StationId, Metres> holes,
            List<Wire> goingOn) {
        public Strand {
            holes = Map.copyOf(holes);
            goingOn = List.copyOf(goingOn);
        }

        /** The bore of the grommet at one of its ends, where that is a hole. */
        public Optional<Metres> grommet(Knot end) {
            return Optional.ofNullable(holes.get(end.station()));
        }
    }

    private record Opened(StationId loose, List<Wire> goingOn) {}

    public Loom {
        strands = List.copyOf(strands);
    }

    /** The looms of a design; none while nothing rides a run. */
    public static List<Loom> of(Design design) {
        return design.body().map(body -> of(design, body)).orElse(List.of());
    }

    private static List<Loom> of(Design design, Body body) {
        var plan = body.plan();
        var groups = new ArrayList<>(plan.looms(run -> !design.riders().get(run.id()).isEmpty()));
        plan.stations().stream()
                .filter(station -> station.form() == Station.Form.PLUG)
                .forEach(plug -> joinBeyond(design, plug.id(), groups));
        groups.sort(Comparator.comparingInt(group -> -group.size()));
        return IntStream.range(0, groups.size())
                .mapToObj(i -> loom(i + 1, design, plan, groups.get(i)))
                .toList();
    }

    /**
     * Of the runs that meet a plug the fullest is on one side of it; what meets it besides is one
     * loom on the other.
     */
    private static void joinBeyond(Design design, StationId plug, List<List<Run>> groups) {
        var fullest =
                groups.stream()
                        .flatMap(List::stream)
                        .filter(run -> run.id().meets(plug))
                        .max(Comparator.comparingInt(run -> design.riders().get(run.id()).size()));
        var beyond =
                groups.stream()
                        .filter(group -> group.stream().anyMatch(run -> run.id().meets(plug)))
                        .filter(group -> fullest.filter(group::contains).isEmpty())
                        .toList();
        if (beyond.size() > 1) {
            groups.removeAll(beyond);
            groups.add(beyond.stream().flatMap(List::stream).toList());
        }
    }

    private static Loom loom(int number, Design design, Plan plan, List<Run> runs) {
        var graph = new SimpleWeightedGraph<StationId, RunId>(RunId.class);
        var opening = new HashMap<RunId, Opened>();
        for (var run : runs) {
            opening.put(run.id(), opened(design, run.id()));
            graph.addVertex(run.id().one());
            graph.addVertex(run.id().other());
            graph.addEdge(run.id().one(), run.id().other(), run.id());
            graph.setEdgeWeight(run.id(), -opening.get(run.id()).goingOn.size());
        }
        var kept = new KruskalMinimumSpanningTree<>(graph).getSpanningTree().getEdges();
        var strands = new ArrayList<Strand>();
        for (var run : runs) {
            var id = run.id();
            var opened = opening.get(id);
            boolean whole = kept.contains(id);
            strands.add(
                    new Strand(
                            id,
                            new Knot(whole ? id.one() : id.beyond(opened.loose)),
                            whole ? new Knot(id.other()) : new Knot(opened.loose, Optional.of(id)),
                            plan.length(run).metres(),
                            run.measured().isPresent(),
                            Dress.of(design, id),
                            holes(design, plan, id),
                            whole ? List.of() : opened.goingOn));
        }
        return new Loom(number, strands);
    }

    private static Map<StationId, Metres> holes(Design design, Plan plan, RunId run) {
        var holes = new HashMap<StationId, Metres>();
        for (var end : new StationId[] {run.one(), run.other()}) {
            var station = plan.station(end);
            if (station.form() == Station.Form.HOLE) {
                Dress.grommet(design, station).ifPresent(bore -> holes.put(end, bore));
            }
        }
        return holes;
    }

    /** Where a run would be opened: at the end at which fewer of its wires go on. */
    private static Opened opened(Design design, RunId run) {
        var one = goingOn(design, run, run.one());
        var other = goingOn(design, run, run.other());
        return one.size() < other.size()
                ? new Opened(run.one(), one)
                : new Opened(run.other(), other);
    }

    private static List<Wire> goingOn(Design design, RunId run, StationId end) {
        return design.riders().get(run).stream()
                .filter(wire -> design.way(wire).filter(way -> goesOn(way, run, end)).isPresent())
                .toList();
    }

    private static boolean goesOn(Way way, RunId run, StationId end) {
        return way.runs().stream().anyMatch(other -> !other.equals(run) && other.meets(end))
                && !way.stations().getFirst().equals(end)
                && !way.stations().getLast().equals(end);
    }

    /** Its knots, in the order of its strands. */
    public List<Knot> knots() {
        var knots = new LinkedHashSet<Knot>();
        for (var strand : strands) {
            knots.add(strand.from);
            knots.add(strand.to);
        }
        return List.copyOf(knots);
    }

    /** All its wires, each once, in the order of the design. */
    public List<Wire> wires(Design design) {
        var riding =
                strands.stream()
                        .flatMap(strand -> strand.dress.riders().stream())
                        .map(Wire::id)
                        .collect(Collectors.toSet());
        return design.wires().stream().filter(wire -> riding.contains(wire.id())).toList();
    }

    /** The wires that ride no loom, in the order of the design. */
    public static List<Wire> apart(Design design, List<Loom> looms) {
        var left = new LinkedHashSet<>(design.wires());
        looms.forEach(loom -> loom.wires(design).forEach(left::remove));
        return List.copyOf(left);
    }

    /** How long all its strands are together. */
    public Metres length() {
        return new Metres(strands.stream().mapToDouble(each -> each.length.value()).sum());
    }
}
