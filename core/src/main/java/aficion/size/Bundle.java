package aficion.size;

import aficion.catalogue.Conductor;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.Laid;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Metres;
import aficion.quantity.Watts;
import aficion.route.RunId;
import aficion.solve.OperatingPoint;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;

/**
 * How warm a bundle gets: one fat cylinder of 1.2·√(Σ d²) (docs/SOURCES.md) whose surface must shed
 * the sum of its wires' losses in the lasting state in which they lose most together. A wire in its
 * middle has the surface's temperature and what its own loss adds across its own cover.
 *
 * @param hottest the wire that comes closest to its limit, or passes it furthest
 * @param heaviest the wire that loses most
 * @param working from losses to the temperature of the hottest wire, held against its limit
 */
public record Bundle(String name, Wire hottest, Wire heaviest, Working working) {
    private static final double PACKING = 1.2;
    private static final double HOTTEST = 400;

    /** The circle that holds so many circles of one, by their number. */
    private static final double[] CIRCLES = {0, 1, 2, 2.155, 2.414, 2.701, 3, 3};

    /**
     * Wires that lie together: by name, or because they ride the same run of the body.
     *
     * @param ambient the air around them
     */
    public record Mates(String name, List<Wire> wires, Celsius ambient) {
        public Mates {
            wires = List.copyOf(wires);
        }

        private static Mates named(String name, List<Wire> wires) {
            return new Mates(
                    name,
                    wires,
                    wires.stream()
                            .map(wire -> wire.zone().ambient())
                            .max(Comparator.comparingDouble(Celsius::value))
                            .orElseThrow());
        }
    }

    /**
     * The bundles of a design: those that are said to lie together, then those that ride a run of
     * the body together, by the name of the run.
     */
    public static List<Mates> of(Design design) {
        var bundles = new LinkedHashMap<String, List<Wire>>();
        for (var wire : design.wires()) {
            wire.bundle()
                    .ifPresent(name ->
                            bundles.computeIfAbsent(name, _ -> new ArrayList<>()).add(wire));
        }
        var mates = new ArrayList<Mates>();
        bundles.forEach((name, wires) -> mates.add(Mates.named(name, wires)));
        design.body()
                .map(Body::plan)
                .ifPresent(plan ->
                        plan.runs().stream()
                                .map(run ->
                                        new Mates(
                                                run.id().toString(),
                                                routed(design, run.id()),
                                                plan.zone(run).ambient()))
                                .filter(each -> each.wires().size() > 1)
                                .forEach(mates::add));
        return mates;
    }

    private static List<Wire> routed(Design design, RunId run) {
        return design.riders().get(run).stream()
                .filter(wire -> wire.laid() instanceof Laid.Routed)
                .toList();
    }

    /**
     * Diameter of the wires laid together: of up to seven alike the circle that just holds them (R.
     * L. Graham et al., "Dense packings of congruent circles in a circle", Discrete Math. 181,
     * 1998), else 1.2·√(Σ d²), typical.
     */
    public static Metres diameter(List<Wire> wires) {
        double first = wires.getFirst().conductor().outside().value();
        if (wires.size() < CIRCLES.length
                && wires.stream().allMatch(wire -> wire.conductor().outside().value() == first)) {
            return new Metres(CIRCLES[wires.size()] * first);
        }
        double squares =
                wires.stream()
                        .mapToDouble(wire -> Math.pow(wire.conductor().outside().value(), 2))
                        .sum();
        return new Metres(PACKING * Math.sqrt(squares));
    }

    /** How warm a bundle gets in a state. */
    public static Bundle in(OperatingPoint point, Mates mates) {
        var wires = mates.wires();
        var ambient = mates.ambient();
        var diameter = diameter(wires);
        double surface =
                HeatBalance.zero(
                        at ->
                                HeatBalance.fromSurface(diameter.value(), ambient.value(), at)
                                        - lost(point, wires, at),
                        ambient.value(),
                        HOTTEST);
        double margin = point.netlist().design().rules().margin().value();
        var hottest =
                wires.stream()
                        .min(Comparator.comparingDouble(wire -> room(point, wire, surface)))
                        .orElseThrow();
        var heaviest =
                wires.stream()
                        .max(Comparator.comparingDouble(wire -> loss(point, wire, surface)))
                        .orElseThrow();
        var reached = new Celsius(temperature(point, hottest, surface));
        var limit = new Celsius(hottest.insulation().limit().value() - margin);
        var working =
                new Working(
                        Working.Topic.BUNDLE,
                        "D = 1.2 · √(Σ d²);  q = Σ I² · r(T)",
                        List.of(
                                new Given("D", diameter, Origin.WORKED),
                                new Given("Ta", ambient, Origin.TABLE),
                                new Given(
                                        "I",
                                        new Amps(Math.abs(point.through(hottest).value())),
                                        Origin.SOLVED)),
                        List.of(
                                new Step("q", new Watts(lost(point, wires, surface))),
                                new Step("Ts", new Celsius(surface)),
                                new Step("T", reached)),
                        Optional.of(new Working.Limit(limit, reached.value() <= limit.value())),
                        "Churchill, Chu 1975, eq. 9; Stefan-Boltzmann");
        return new Bundle(mates.name(), hottest, heaviest, working);
    }

    private static double lost(OperatingPoint point, List<Wire> wires, double surface) {
        return wires.stream().mapToDouble(wire -> loss(point, wire, surface)).sum();
    }

    private static double loss(OperatingPoint point, Wire wire, double warm) {
        double amps = point.through(wire).value();
        return amps * amps * wire.conductor().perMetre().value() * Conductor.warmth(warm);
    }

    private static double temperature(OperatingPoint point, Wire wire, double surface) {
        return surface + loss(point, wire, surface) * HeatBalance.wall(wire.conductor());
    }

    private static double room(OperatingPoint point, Wire wire, double surface) {
        return wire.insulation().limit().value() - temperature(point, wire, surface);
    }
}
