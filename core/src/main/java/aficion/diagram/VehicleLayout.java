package aficion.diagram;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.VehicleDiagram.Placed;
import aficion.diagram.VehicleDiagram.TakeOff;
import aficion.diagram.VehicleDiagram.Trunk;
import aficion.job.Circuit;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Draws the whole vehicle: each circuit as it is drawn by itself, one under the other, and the
 * feeds they share as trunks on the left. Trunks get their tracks left edge first (Hashimoto and
 * Stevens, 1971): by their tops, each on the first track that is free there. Deterministic; an edit
 * of one circuit moves those below it up or down and nothing else.
 */
public final class VehicleLayout {
    /** Room over a circuit for its name. */
    public static final double TITLE = 30;

    private static final double TRACK = 14;
    private static final double MARGIN = 16;

    /** Room for the names of take-offs that do not reach their pin. */
    private static final double NAMES = 58;

    /** How near to each other lines take off. */
    private static final double NEAR = 14;

    private final Design design;
    private final List<Placed> placed = new ArrayList<>();
    private final Map<Terminal, List<TakeOff>> shared = new LinkedHashMap<>();

    /** Where lines take off already. */
    private final List<Double> taken = new ArrayList<>();

    private VehicleLayout(Design design) {
        this.design = design;
    }

    /**
     * The drawing of a vehicle.
     *
     * @param options how each path is drawn
     */
    public static VehicleDiagram of(Design design, Lettering lettering, DrawingOptions options) {
        return new VehicleLayout(design).draw(lettering, options);
    }

    private VehicleDiagram draw(Lettering lettering, DrawingOptions options) {
        var drawings =
                design.circuits().stream()
                        .sorted(Comparator.comparingInt(Circuit::number))
                        .map(circuit -> Layout.of(design, circuit.id(), lettering, options))
                        .filter(diagram -> !diagram.bodies().isEmpty())
                        .toList();
        double y = 0;
        for (var diagram : drawings) {
            placed.add(new Placed(diagram, new Point(0, y + TITLE)));
            y += TITLE + diagram.height();
        }
        placed.forEach(this::takeOffs);
        shared.values().removeIf(takeOffs -> takeOffs.size() < 2);
        var tracks = tracks();
        int used = tracks.values().stream().mapToInt(track -> track + 1).max().orElse(0);
        double left = used == 0 ? 0 : MARGIN + used * TRACK + NAMES;
        double width = placed.stream().mapToDouble(each -> each.diagram().width()).max().orElse(0);
        return new VehicleDiagram(
                left + width,
                y,
                placed.stream()
                        .map(each -> new Placed(each.diagram(), new Point(left, each.at().y())))
                        .toList(),
                trunks(tracks, left));
    }

    /** The pins of a circuit that other circuits use as well: one take-off for each terminal. */
    private void takeOffs(Placed each) {
        for (var body : each.diagram().bodies()) {
            if (design.part(body.part()).kind() instanceof JoinKind.EarthPoint) {
                continue;
            }
            for (var pin : body.pins()) {
                var terminal = new Terminal(body.part(), pin.name());
                long circuits =
                        design.wiresAt(terminal).stream().map(Wire::circuit).distinct().count();
                if (circuits > 1) {
                    double y = each.at().y() + pin.at().y();
                    boolean reaches = isFree(y) && isClear(each.diagram(), body, pin.at());
                    double free = reaches ? y : freeBelow(y);
                    taken.add(free);
                    shared.computeIfAbsent(terminal, _ -> new ArrayList<>())
                            .add(
                                    new TakeOff(
                                            each.diagram().circuit(),
                                            free,
                                            reaches ? pin.at().x() : -NAMES,
                                            reaches));
                }
            }
        }
    }

    private boolean isFree(double y) {
        return taken.stream().noneMatch(other -> Math.abs(other - y) < NEAR);
    }

    private double freeBelow(double y) {
        double free = y;
        while (!isFree(free)) {
            free += NEAR;
        }
        return free;
    }

    /** Whether nothing stands or runs between the left edge and a pin. */
    private static boolean isClear(Diagram diagram, Body own, Point pin) {
        var way = new Box(0, pin.y() - 5, pin.x() - 2, 10);
        boolean bodies =
                diagram.bodies().stream()
                        .anyMatch(body -> !body.equals(own) && body.box().grown(1).overlaps(way));
        boolean inside = own.box().width() > 0 && own.box().overlaps(way);
        boolean words = diagram.labels().stream().anyMatch(label -> label.box().overlaps(way));
        boolean strokes =
                diagram.strokes().stream().anyMatch(stroke -> runsThrough(stroke.points(), way));
        return !bodies && !inside && !words && !strokes;
    }

    private static boolean runsThrough(List<Point> points, Box way) {
        for (int i = 1; i < points.size(); i++) {
            if (LabelPlacer.around(points.get(i - 1), points.get(i)).grown(0.5).overlaps(way)) {
                return true;
            }
        }
        return false;
    }

    private Map<Terminal, Integer> tracks() {
        var order =
                shared.keySet().stream()
                        .sorted(
                                Comparator.comparingDouble(
                                        terminal -> shared.get(terminal).getFirst().y()))
                        .toList();
        var ends = new ArrayList<Double>();
        var tracks = new LinkedHashMap<Terminal, Integer>();
        for (var terminal : order) {
            var takeOffs = shared.get(terminal);
            int track = 0;
            while (track < ends.size() && ends.get(track) + TITLE > takeOffs.getFirst().y()) {
                track++;
            }
            if (track == ends.size()) {
                ends.add(0.0);
            }
            ends.set(track, takeOffs.getLast().y());
            tracks.put(terminal, track);
        }
        return tracks;
    }

    private List<Trunk> trunks(Map<Terminal, Integer> tracks, double left) {
        var trunks = new ArrayList<Trunk>();
        tracks.forEach((terminal, track) -> {
            var takeOffs =
                    shared.get(terminal).stream()
                            .map(each ->
                                    new TakeOff(
                                            each.circuit(),
                                            each.y(),
                                            left + each.to(),
                                            each.reaches()))
                            .toList();
            trunks.add(
                    new Trunk(
                            terminal,
                            design.wiresAt(terminal).getFirst().id(),
                            MARGIN + track * TRACK,
                            takeOffs));
        });
        return trunks;
    }
}
