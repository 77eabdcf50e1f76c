package aficion.forming;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Plain;
import aficion.diagram.Shelves;
import aficion.forming.FormingBoard.Lying;
import aficion.forming.Loom.Knot;
import aficion.forming.Loom.Strand;
import aficion.harness.Board.At;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a forming board looks like, stroke by stroke: strands as thick as their bundle, nails, ties,
 * tape, grommets, and words where there is room for them.
 *
 * @param scale drawing units for each metre; words keep their size
 */
public record FormingPicture(FormingBoard board, double scale, BoardWords words) {
    private static final double LINE = 14;
    private static final double[] NEAR = {10, 22, 40, 64, 100, 150};

    /** What stands on a board, line by line, and how wide that is. */
    public interface BoardWords {
        /** What stands along a strand. */
        List<String> strand(Strand strand);

        /** What stands where strands end or part. */
        List<String> knot(Knot knot);

        /** The faces of the connectors that stand there. */
        List<Face> faces(Knot knot);

        /** Width of a text as it will be drawn, drawing units. */
        double width(String text);
    }

    /** Width of the board, drawing units. */
    public double wide() {
        return board.surface().wide().value() * scale;
    }

    /** Height of the board, drawing units. */
    public double high() {
        return board.surface().high().value() * scale;
    }

    /** All marks, from what lies lowest to what lies on top. */
    public List<Mark> marks() {
        var marks = new ArrayList<Mark>();
        marks.add(new Mark.Plate(new Box(0, 0, wide(), high()), 0, Pen.of(Ink.HOLLOW)));
        var fixings = Fixing.of(board);
        fixings.forEach(fixing -> {
            if (fixing instanceof Fixing.Tail tail) {
                marks.addAll(tail(tail));
            }
        });
        board.knots().keySet().forEach(knot -> marks.add(joint(knot)));
        board.strands().forEach(lying -> marks.add(strand(lying)));
        fixings.forEach(fixing -> marks.addAll(fixing(fixing)));
        marks.addAll(wording());
        return List.copyOf(marks);
    }

    private Point point(At at) {
        return new Point(at.x() * scale, at.y() * scale);
    }

    /** Where strands meet, as thick as the thickest of them. */
    private Mark joint(Knot knot) {
        double thickest =
                board.meeting(knot).stream()
                        .mapToDouble(leaving -> half(leaving.lying()))
                        .max()
                        .orElse(0);
        return new Mark.Ring(point(board.knots().get(knot)), thickest, Pen.of(Ink.SHAPE));
    }

    private double half(Lying lying) {
        return Math.max(1.2, lying.strand().dress().diameter().value() * scale / 2);
    }

    /** The outline of a strand at its own thickness, its corners mitred. */
    private Mark strand(Lying lying) {
        double half = half(lying);
        var points = lying.way().stream().map(this::point).toList();
        var outline = new ArrayList<Point>();
        for (int i = 0; i < points.size(); i++) {
            outline.add(beside(points, i, half));
        }
        for (int i = points.size() - 1; i >= 0; i--) {
            outline.add(beside(points, i, -half));
        }
        return new Mark.Area(outline, Pen.of(Ink.SHAPE));
    }

    private static Point beside(List<Point> points, int i, double away) {
        var at = points.get(i);
        var before = i > 0 ? points.get(i - 1) : at;
        var after = i + 1 < points.size() ? points.get(i + 1) : at;
        double in = Math.atan2(at.y() - before.y(), at.x() - before.x());
        double out = Math.atan2(after.y() - at.y(), after.x() - at.x());
        if (i == 0) {
            in = out;
        }
        if (i + 1 == points.size()) {
            out = in;
        }
        double turn = Math.IEEEremainder(out - in, 2 * Math.PI) / 2;
        double normal = in + turn + Math.PI / 2;
        double far = away / Math.cos(turn);
        return new Point(at.x() + far * Math.cos(normal), at.y() + far * Math.sin(normal));
    }

    private List<Mark> tail(Fixing.Tail tail) {
        var from = point(tail.at());
        var to = point(tail.label());
        return List.of(
                new Mark.Line(List.of(from, to), Pen.of(Ink.THIN)),
                new Mark.Ring(to, 3, Pen.of(Ink.SHAPE)));
    }

    private List<Mark> fixing(Fixing fixing) {
        return switch (fixing) {
            case Fixing.Nail nail ->
                    List.of(
                            new Mark.Ring(
                                    point(nail.at()),
                                    Math.max(1.6, 0.0015 * scale),
                                    Pen.of(Ink.SOLID)));
            case Fixing.Tie tie -> List.of(across(tie, 0.003, 0, Pen.of(Ink.LINE)));
            case Fixing.TapeEnd tape ->
                    List.of(
                            across(tape, 0.004, -0.0012, Pen.of(Ink.LINE)),
                            across(tape, 0.004, 0.0012, Pen.of(Ink.LINE)));
            case Fixing.Grommet grommet ->
                    List.of(
                            across(grommet, 0.009, -0.004, Pen.of(Ink.EARTH)),
                            across(grommet, 0.009, 0.004, Pen.of(Ink.EARTH)));
            case Fixing.Tail _ -> List.of();
        };
    }

    /** A stroke across a strand that stands out on both sides. */
    private Mark across(Fixing.Across what, double out, double along, Pen pen) {
        double half = what.diameter().value() / 2 + out;
        double cos = Math.cos(what.angle());
        double sin = Math.sin(what.angle());
        double x = what.at().x() + along * cos;
        double y = what.at().y() + along * sin;
        return new Mark.Line(
                List.of(
                        point(new At(x - half * sin, y + half * cos)),
                        point(new At(x + half * sin, y - half * cos))),
                pen);
    }

    private record Place(Box box, Point anchor) {}

    /** Words where nothing lies yet: first those of ends and branches, then those of strands. */
    private List<Mark> wording() {
        var taken = new Shelves();
        board.strands().forEach(lying -> take(lying, taken));
        var marks = new ArrayList<Mark>();
        var knots = new ArrayList<>(board.knots().entrySet());
        knots.sort(Comparator.comparing(each -> each.getKey().station().value()));
        for (var knot : knots) {
            var at = point(knot.getValue());
            var meeting = board.meeting(knot.getKey());
            double outward =
                    meeting.size() == 1 ? meeting.getFirst().angle() + Math.PI : Double.NaN;
            marks.addAll(block(words.knot(knot.getKey()), at, outward, taken, Look.PLAIN));
            for (var face : words.faces(knot.getKey())) {
                marks.addAll(face(face, at, outward, taken));
            }
        }
        for (var lying : board.strands()) {
            var middle = lying.on(lying.strand().length().value() / 2).at();
            marks.addAll(
                    block(
                            words.strand(lying.strand()),
                            point(middle),
                            Double.NaN,
                            taken,
                            Look.DIM));
        }
        return marks;
    }

    private void take(Lying lying, Shelves taken) {
        double thick = Math.max(4, lying.strand().dress().diameter().value() * scale);
        double length = lying.strand().length().value();
        int steps = (int) Math.ceil(length * scale / 8);
        for (int i = 0; i <= steps; i++) {
            var at = point(lying.on(length * i / steps).at());
            taken.add(new Box(at.x() - thick / 2, at.y() - thick / 2, thick, thick));
        }
    }

    /** A face where there is room for it; none where there is none. */
    private List<Mark> face(Face face, Point at, double outward, Shelves taken) {
        return taken.takeFree(inside(at, face.wide(), face.high() + LINE, outward), Place::box)
                .map(place ->
                        face.marks(Optional.empty()).stream()
                                .map(mark -> mark.moved(place.box.x(), place.box.y() + LINE))
                                .toList())
                .orElse(List.of());
    }

    private List<Mark> block(
            List<String> lines, Point at, double outward, Shelves taken, Look look) {
        if (lines.isEmpty()) {
            return List.of();
        }
        double width = lines.stream().mapToDouble(words::width).max().orElse(0);
        double height = LINE * lines.size();
        return taken.take(inside(at, width, height, outward), Place::box)
                .map(found -> written(lines, found, at, look))
                .orElse(List.of());
    }

    private List<Place> inside(Point at, double width, double height, double outward) {
        return places(at, width, height, outward).filter(each -> isInside(each.box)).toList();
    }

    private List<Mark> written(List<String> lines, Place place, Point at, Look look) {
        var box = place.box;
        var marks = new ArrayList<Mark>();
        if (Math.hypot(place.anchor.x() - at.x(), place.anchor.y() - at.y()) > NEAR[2]) {
            marks.add(new Mark.Line(List.of(at, place.anchor), Pen.of(Ink.THIN)));
        }
        marks.add(new Mark.Plate(box, 0, Pen.of(Ink.BACK)));
        for (int i = 0; i < lines.size(); i++) {
            marks.add(
                    new Mark.Word(
                            new Point(box.x(), box.y() + LINE * (i + 0.5)),
                            Anchor.LEFT,
                            new Plain(lines.get(i)),
                            Pen.of(Ink.TEXT, i == 0 ? look : Look.DIM)));
        }
        return marks;
    }

    private boolean isInside(Box box) {
        return box.x() >= 0 && box.y() >= 0 && box.right() <= wide() && box.bottom() <= high();
    }

    /** Places round a point, the nearest first; of those the one straight on from an end. */
    private static Stream<Place> places(Point at, double width, double height, double outward) {
        var places = new ArrayList<Place>();
        for (double near : NEAR) {
            var round = new ArrayList<Double>();
            for (int eighth = 0; eighth < 8; eighth++) {
                round.add(Math.PI / 4 * eighth);
            }
            if (!Double.isNaN(outward)) {
                round.sort(
                        Comparator.comparingDouble(angle ->
                                Math.abs(Math.IEEEremainder(angle - outward, 2 * Math.PI))));
            }
            for (double angle : round) {
                double cos = Math.cos(angle);
                double sin = Math.sin(angle);
                double x = at.x() + near * cos;
                double y = at.y() + near * sin;
                var anchor = new Point(x, y);
                places.add(
                        new Place(
                                new Box(
                                        x - width * (1 - sign(cos)) / 2,
                                        y - height * (1 - sign(sin)) / 2,
                                        width,
                                        height),
                                anchor));
            }
        }
        return places.stream();
    }

    private static double sign(double value) {
        return Math.abs(value) < 0.3 ? 0 : Math.signum(value);
    }
}
