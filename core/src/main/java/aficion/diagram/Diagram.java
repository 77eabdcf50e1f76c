package aficion.diagram;

import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import java.util.List;
import java.util.Optional;

/**
 * The path of one circuit as positions: where bodies stand, how strokes run, where words go. Units
 * are those of a screen at its usual size; x grows to the right and y downwards.
 */
public record Diagram(
        CircuitId circuit,
        double width,
        double height,
        List<Band> bands,
        List<Body> bodies,
        List<Stroke> strokes,
        List<EarthFlag> earths,
        List<Jump> jumps,
        List<Label> labels) {

    public Diagram {
        bands = List.copyOf(bands);
        bodies = List.copyOf(bodies);
        strokes = List.copyOf(strokes);
        earths = List.copyOf(earths);
        jumps = List.copyOf(jumps);
        labels = List.copyOf(labels);
    }

    public record Point(double x, double y) {}

    /** An upright rectangle by its corner and size. */
    public record Box(double x, double y, double width, double height) {
        /** Whether both fill some place; touching edges do not count. */
        public boolean overlaps(Box other) {
            return x < other.x + other.width
                    && other.x < x + width
                    && y < other.y + other.height
                    && other.y < y + height;
        }

        /** The area that both fill. */
        public double shared(Box other) {
            double wide = Math.min(right(), other.right()) - Math.max(x, other.x);
            double high = Math.min(bottom(), other.bottom()) - Math.max(y, other.y);
            return Math.max(0, wide) * Math.max(0, high);
        }

        /** Its right edge. */
        public double right() {
            return x + width;
        }

        /** Its lower edge; y grows downwards. */
        public double bottom() {
            return y + height;
        }

        Box grown(double by) {
            return new Box(x - by, y - by, width + 2 * by, height + 2 * by);
        }
    }

    /** The paper of one lane. */
    public record Band(Lane lane, double x, double width) {}

    /** A part: its outline and its pins. */
    public record Body(PartId part, Box box, List<Pin> pins) {
        public Body {
            pins = List.copyOf(pins);
        }

        /** The pin of a name; empty where it is not drawn. */
        public Optional<Pin> pin(String name) {
            return pins.stream().filter(pin -> pin.name().equals(name)).findFirst();
        }
    }

    /** A pin on the edge of a body. */
    public record Pin(String name, Point at, Side side) {}

    /** The side of a body a pin is on; a joint has its pin on every side. */
    public enum Side {
        LEFT,
        RIGHT,
        ALL
    }

    /**
     * A wire as a line along the grid, from its first end to its second.
     *
     * @param dots the ends that meet another wire of the same terminal on the way rather than the
     *     pin itself
     */
    public record Stroke(WireId wire, List<Point> points, List<Point> dots) {
        public Stroke {
            points = List.copyOf(points);
            dots = List.copyOf(dots);
        }
    }

    /**
     * An earth sign at a pin: at the end of a wire, or at the case itself.
     *
     * @param wire the wire between them; empty for a case that is bolted down
     * @param at where the sign stands
     */
    public record EarthFlag(
            Optional<WireId> wire, Terminal pin, PartId earth, Point from, Point at) {}

    /** A pin whose wire belongs to another circuit. */
    public record Jump(Terminal pin, WireId wire, CircuitId circuit, Point at, Side side) {}

    /** What a label names. */
    public sealed interface Named {}

    public record NamesWire(WireId wire) implements Named {}

    public record NamesPart(PartId part) implements Named {}

    public record NamesEarth(PartId earth) implements Named {}

    /**
     * A text and the box it fills.
     *
     * @param backed whether it lies across its own wire and needs paper behind it
     */
    public record Label(Named named, String text, Box box, boolean backed) {}
}
