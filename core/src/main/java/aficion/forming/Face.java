package aficion.forming;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Plain;
import aficion.diagram.Picture;
import aficion.job.Design;
import aficion.job.JoinKind.Connector;
import aficion.job.JoinKind.Half;
import aficion.job.Part;
import aficion.job.Wire;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One half of a connector as it is seen from the wire side: the half with sockets counts its
 * cavities from left to right, the one with pins, which looks the other way, from right to left.
 *
 * @param columns how many cavities stand side by side
 * @param cavities row by row as they are seen
 */
public record Face(Half half, boolean sockets, boolean keyed, int columns, List<Cavity> cavities) {
    private static final double WIDE = 46;
    private static final double HIGH = 38;
    private static final double EDGE = 8;
    private static final double KEY = 12;

    /**
     * A cavity.
     *
     * @param number counted from one
     * @param way the way that it is, where it is one
     * @param plugged whether a blank closes it
     */
    public record Cavity(int number, Optional<String> way, List<Wire> wires, boolean plugged) {
        public Cavity {
            wires = List.copyOf(wires);
        }
    }

    public Face {
        cavities = List.copyOf(cavities);
    }

    /** A half of a part; empty where it is no connector of a known body. */
    public static Optional<Face> of(Design design, Part part, Half half) {
        return part.kind() instanceof Connector connector
                ? connector.housed().map(body -> face(design, part, connector, half))
                : Optional.empty();
    }

    private static Face face(Design design, Part part, Connector connector, Half half) {
        var body = connector.housed().orElseThrow();
        var housing = body.housing();
        boolean sockets = body.sockets() == half;
        var cavities = new ArrayList<Cavity>();
        int all = Math.max(housing.ways(), connector.ways().size());
        for (int from = 0; from < all; from += housing.columns()) {
            var row = new ArrayList<Cavity>();
            for (int i = from; i < Math.min(all, from + housing.columns()); i++) {
                row.add(cavity(design, part, connector, half, i));
            }
            cavities.addAll(sockets ? row : row.reversed());
        }
        return new Face(half, sockets, housing.keyed(), housing.columns(), cavities);
    }

    private static Cavity cavity(
            Design design, Part part, Connector connector, Half half, int index) {
        var way =
                index < connector.ways().size()
                        ? Optional.of(connector.ways().get(index))
                        : Optional.<String>empty();
        var wires =
                way.map(name -> design.wiresAt(part.terminal(half.pin(name)))).orElse(List.of());
        boolean plugged =
                wires.isEmpty() && connector.housed().filter(body -> body.blanked()).isPresent();
        return new Cavity(index + 1, way, wires, plugged);
    }

    private int rows() {
        return (cavities.size() + columns - 1) / columns;
    }

    /** Width of its picture, drawing units. */
    public double wide() {
        return columns * WIDE + 2 * EDGE;
    }

    /** Height of its picture, drawing units. */
    public double high() {
        return rows() * HIGH + 2 * EDGE;
    }

    /**
     * Its picture with its upper left corner at the origin: the key above, in each cavity its
     * number, the colour and the number of its wire.
     *
     * @param chosen the pin that stands out
     */
    public List<Mark> marks(Optional<String> chosen) {
        var marks = new ArrayList<Mark>();
        if (keyed) {
            marks.add(
                    new Mark.Plate(
                            new Box(wide() / 2 - KEY, -KEY / 2, 2 * KEY, KEY),
                            2,
                            Pen.of(Ink.SHAPE)));
        }
        marks.add(new Mark.Plate(new Box(0, 0, wide(), high()), 7, Pen.of(Ink.SHAPE)));
        for (int i = 0; i < cavities.size(); i++) {
            double x = EDGE + i % columns * WIDE;
            double y = EDGE + i / columns * HIGH;
            var cavity = cavities.get(i);
            boolean stands = chosen.isPresent() && cavity.way.map(half::pin).equals(chosen);
            marks.addAll(cavity(cavity, x, y, stands));
        }
        return List.copyOf(marks);
    }

    private static List<Mark> cavity(Cavity cavity, double x, double y, boolean stands) {
        var marks = new ArrayList<Mark>();
        var box = new Box(x + 2, y + 2, WIDE - 4, HIGH - 4);
        marks.add(new Mark.Plate(box, 4, Pen.of(Ink.SHAPE, stands ? Look.LIVE : Look.PLAIN)));
        marks.add(word(x + 6, y + 10, Anchor.LEFT, String.valueOf(cavity.number), Ink.PIN));
        if (cavity.wires.isEmpty()) {
            if (cavity.plugged) {
                marks.add(line(box.x(), box.y(), box.right(), box.bottom(), Pen.of(Ink.LINE)));
                marks.add(line(box.x(), box.bottom(), box.right(), box.y(), Pen.of(Ink.LINE)));
            }
            return marks;
        }
        var wire = cavity.wires.getFirst();
        var colour = List.of(new Point(x + 17, y + 11), new Point(x + WIDE - 7, y + 11));
        marks.addAll(Picture.wire(colour, wire));
        marks.add(word(x + WIDE / 2, y + 26, Anchor.MIDDLE, wire.number(), Ink.TEXT));
        return marks;
    }

    private static Mark line(double x1, double y1, double x2, double y2, Pen pen) {
        return new Mark.Line(List.of(new Point(x1, y1), new Point(x2, y2)), pen);
    }

    private static Mark word(double x, double y, Anchor anchor, String text, Ink ink) {
        return new Mark.Word(new Point(x, y), anchor, new Plain(text), Pen.of(ink));
    }
}
