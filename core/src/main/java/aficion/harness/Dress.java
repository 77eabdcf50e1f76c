package aficion.harness;

import aficion.catalogue.Coverings;
import aficion.catalogue.Zone;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.route.RunId;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Bundle;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a run needs for the bundle that rides it (docs/SOURCES.md: packing, sleeves, bends, ties).
 *
 * @param riders the wires that ride it
 * @param diameter of them laid together
 * @param sleeve the narrowest split tube that goes over them
 * @param clip the next clip up
 * @param bend the least radius it may be bent to
 * @param ties how many hold it together
 * @param clips how many hold it to the vehicle
 * @param tape how much tape dresses it, half lapped
 */
public record Dress(
        RunId run,
        List<Wire> riders,
        Metres diameter,
        Optional<Coverings.Size> sleeve,
        Optional<Coverings.Size> clip,
        Metres bend,
        int ties,
        int clips,
        Metres tape) {
    /** Width of the tape, metres. */
    public static final double TAPE_WIDTH = 0.019;

    /** The bore of a grommet as a multiple of the bundle. */
    public static final double GROMMET_ROOM = 1.15;

    private static final double SLEEVE_ROOM = 1.1;
    private static final double FIXED_BEND = 5;
    private static final double MOVING_BEND = 10;

    /** Metres from tie to tie. */
    public static final double TIE_EVERY = 0.2;

    private static final double CLIP_EVERY = 0.3;

    public Dress {
        riders = List.copyOf(riders);
    }

    /**
     * What a run of a design needs.
     *
     * @throws IllegalArgumentException when the design has no such run
     */
    public static Dress of(Design design, RunId id) {
        var plan =
                design.body()
                        .orElseThrow(() -> new IllegalArgumentException("the vehicle has no body"))
                        .plan();
        var run = plan.run(id);
        var riders = design.riders().get(id);
        var diameter = riders.isEmpty() ? new Metres(0) : Bundle.diameter(riders);
        double length = plan.length(run).metres().value();
        boolean moves = plan.zone(run) == Zone.MOVING;
        boolean alone = riders.size() < 2;
        return new Dress(
                id,
                riders,
                diameter,
                Coverings.over(Coverings.Sort.LOOM_TUBE, diameter, SLEEVE_ROOM),
                Coverings.over(Coverings.Sort.CLIP, diameter, 1),
                new Metres((moves ? MOVING_BEND : FIXED_BEND) * diameter.value()),
                alone ? 0 : (int) Math.ceil(length / TIE_EVERY) + 1,
                riders.isEmpty() ? 0 : (int) Math.floor(length / CLIP_EVERY),
                alone
                        ? new Metres(0)
                        : new Metres(Math.PI * diameter.value() * length / (TAPE_WIDTH / 2)));
    }

    /** The grommet that a hole has, or that it needs for what passes; empty where nothing does. */
    public static Optional<Metres> grommet(Design design, Station hole) {
        var passing = passing(design, hole);
        return hole.bore()
                .or(() ->
                        passing.isEmpty()
                                ? Optional.empty()
                                : Coverings.over(
                                                Coverings.Sort.GROMMET,
                                                Bundle.diameter(passing),
                                                GROMMET_ROOM)
                                        .map(Coverings.Size::bore));
    }

    /**
     * The grommet of every hole of the body that something passes, in the order of its stations.
     */
    public static Map<StationId, Metres> grommets(Design design) {
        var bores = new LinkedHashMap<StationId, Metres>();
        design.body()
                .ifPresent(body ->
                        body.plan()
                                .stations()
                                .forEach(station ->
                                        grommet(design, station)
                                                .ifPresent(bore -> bores.put(station.id(), bore))));
        return bores;
    }

    /** Whether what passes a hole goes through its grommet; it does where no bore is known. */
    public static boolean passes(Design design, Station hole) {
        var passing = passing(design, hole);
        return passing.isEmpty()
                || hole.bore()
                        .filter(bore ->
                                bore.value() < GROMMET_ROOM * Bundle.diameter(passing).value())
                        .isEmpty();
    }

    /** The wires that pass a station from one run to another, in the order of the design. */
    public static List<Wire> passing(Design design, Station station) {
        return design.wires().stream()
                .filter(wire ->
                        design.way(wire)
                                .filter(way -> way.passed().contains(station.id()))
                                .isPresent())
                .toList();
    }
}
