package aficion.files;

import aficion.diagram.Diagram;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.DrawingOptions;
import aficion.diagram.Layout;
import aficion.diagram.VehicleDiagram;
import aficion.diagram.VehicleLayout;
import aficion.files.sheet.FontWidth;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.quantity.UserUnits;
import aficion.words.DrawingWords;
import java.util.ArrayList;
import java.util.List;

/** What can be counted of a drawing. */
final class Measures {
    private static final FontWidth WIDTH = new FontWidth();

    private Measures() {}

    static Diagram drawn(Design design, CircuitId circuit) {
        return Layout.of(design, circuit, words(design));
    }

    static Diagram folded(Design design, CircuitId circuit, PartId box) {
        return Layout.of(design, circuit, words(design), DrawingOptions.PLAIN.turned(box));
    }

    static Diagram withReturns(Design design, CircuitId circuit) {
        return Layout.of(design, circuit, words(design), DrawingOptions.PLAIN.withReturns(true));
    }

    static VehicleDiagram drawnWhole(Design design) {
        return VehicleLayout.of(design, words(design), DrawingOptions.PLAIN);
    }

    private static DrawingWords words(Design design) {
        return new DrawingWords(
                design, UserUnits.METRIC, text -> WIDTH.of(text, DrawingWords.SIZE) + 3);
    }

    static List<Box> segments(Diagram.Stroke stroke) {
        var boxes = new ArrayList<Box>();
        for (int i = 1; i < stroke.points().size(); i++) {
            boxes.add(around(stroke.points().get(i - 1), stroke.points().get(i)));
        }
        return boxes;
    }

    private static Box around(Point one, Point other) {
        return new Box(
                Math.min(one.x(), other.x()),
                Math.min(one.y(), other.y()),
                Math.abs(one.x() - other.x()),
                Math.abs(one.y() - other.y()));
    }

    /** How often a stroke crosses another. */
    static int crossings(Diagram diagram) {
        int crossings = 0;
        for (var one : diagram.strokes()) {
            for (var other : diagram.strokes()) {
                for (var level : segments(one)) {
                    for (var upright : segments(other)) {
                        boolean crosses =
                                level.height() == 0
                                        && upright.width() == 0
                                        && level.x() < upright.x()
                                        && upright.x() < level.right()
                                        && upright.y() < level.y()
                                        && level.y() < upright.bottom();
                        crossings += crosses ? 1 : 0;
                    }
                }
            }
        }
        return crossings;
    }

    static int bends(Diagram diagram) {
        return diagram.strokes().stream()
                .mapToInt(stroke -> Math.max(0, stroke.points().size() - 2))
                .sum();
    }

    /** Words on words, on bodies, or across a wire. */
    static int overlaps(Diagram diagram) {
        int overlaps = 0;
        var labels = diagram.labels();
        for (int i = 0; i < labels.size(); i++) {
            for (int j = i + 1; j < labels.size(); j++) {
                overlaps += labels.get(i).box().overlaps(labels.get(j).box()) ? 1 : 0;
            }
            for (var body : diagram.bodies()) {
                boolean over = body.box().width() > 0 && labels.get(i).box().overlaps(body.box());
                overlaps += over ? 1 : 0;
            }
        }
        return overlaps + onLines(diagram);
    }

    /** Words that a stroke runs through. */
    static int onLines(Diagram diagram) {
        int found = 0;
        for (var label : diagram.labels()) {
            boolean crossed =
                    diagram.strokes().stream()
                            .flatMap(stroke -> segments(stroke).stream())
                            .map(line ->
                                    new Box(
                                            line.x() - 0.5,
                                            line.y() - 0.5,
                                            line.width() + 1,
                                            line.height() + 1))
                            .anyMatch(label.box()::overlaps);
            found += crossed ? 1 : 0;
        }
        return found;
    }

    /** How far bodies that both drawings have moved at most. */
    static double movement(Diagram before, Diagram after) {
        double most = 0;
        for (var body : before.bodies()) {
            for (var other : after.bodies()) {
                if (other.part().equals(body.part())) {
                    most =
                            Math.max(
                                    most,
                                    Math.hypot(
                                            other.box().x() - body.box().x(),
                                            other.box().y() - body.box().y()));
                }
            }
        }
        return most;
    }
}
