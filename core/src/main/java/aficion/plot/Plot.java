package aficion.plot;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Mark.Anchor;
import aficion.diagram.Pen;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase;
import aficion.diagram.Shelves;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Curves over an axis, with the ground between two of them, uprights and spots that stand out. It
 * becomes marks of any size; screen, sheet and file draw the same.
 *
 * @param across the axis that lies
 * @param up the axis that stands
 * @param grounds drawn first, then curves, uprights, spots
 */
public record Plot(
        Axis across,
        Axis up,
        List<Ground> grounds,
        List<Curve> curves,
        List<Upright> uprights,
        List<Spot> spots) {
    private static final double LEFT = 48;
    private static final double RIGHT = 14;
    private static final double TOP = 26;
    private static final double BOTTOM = 38;
    private static final double WORDS = 14;
    private static final double LETTER = 5.6;
    private static final double TICK = 26;

    /** How closely a curve is kept clear of words. */
    private static final double CLEAR = 6;

    /** Into so many parts a curve is divided for where its name may stand. */
    private static final int SHARES = 8;

    /** So many rows above and below a spot its words may stand in. */
    private static final int ROWS = 5;

    private static final int MOST = 6;
    private static final int LEAST = 2;

    /** An axis, from where to where. */
    public record Axis(String name, double from, double to) {
        /**
         * @throws IllegalArgumentException when it has no length
         */
        public Axis {
            if (!(to > from)) {
                throw new IllegalArgumentException("an axis goes from less to more");
            }
        }

        /** The way between two ticks: 1, 2 or 5 times a power of ten, no more of them than said. */
        double step(int most) {
            double least = (to - from) / most;
            double power = Math.pow(10, Math.floor(Math.log10(least)));
            for (double times : new double[] {1, 2, 5}) {
                if (times * power >= least * (1 - 1e-9)) {
                    return times * power;
                }
            }
            return 10 * power;
        }

        /** An axis from nothing on that holds all of some values, with room above. */
        public static Axis holding(String name, double most) {
            double room = most > 0 ? 1.08 * most : 1;
            var plain = new Axis(name, 0, room);
            return new Axis(name, 0, plain.step(MOST) * Math.ceil(room / plain.step(MOST)));
        }
    }

    /** A value at a place. */
    public record At(double x, double y) {}

    /** A curve, with its name where it ends. */
    public record Curve(List<At> points, String name, Look look) {
        public Curve {
            points = List.copyOf(points);
        }
    }

    /** The ground between two curves over the same places: good where the first is above. */
    public record Ground(List<At> first, List<At> second) {
        public Ground {
            first = List.copyOf(first);
            second = List.copyOf(second);
        }
    }

    /** An upright with words at its top. */
    public record Upright(double x, String words, boolean strong) {}

    /** A spot with words beside it. */
    public record Spot(At at, String words, Look look) {}

    public Plot {
        grounds = List.copyOf(grounds);
        curves = List.copyOf(curves);
        uprights = List.copyOf(uprights);
        spots = List.copyOf(spots);
    }

    /** The value across that a place of a picture so wide stands for; within the axis. */
    public double across(double x, double wide) {
        double share = (x - LEFT) / (wide - LEFT - RIGHT);
        return across.from() + Math.clamp(share, 0, 1) * (across.to() - across.from());
    }

    /** All marks of a picture so wide and so high. */
    public List<Mark> marks(double wide, double high) {
        var marks = new ArrayList<Mark>();
        var frame = new Frame(wide, high);
        grounds.forEach(ground -> frame.ground(ground, marks));
        frame.grid(marks);
        curves.forEach(frame::keepClear);
        uprights.forEach(upright -> frame.upright(upright, marks));
        curves.forEach(curve -> frame.curve(curve, marks));
        spots.forEach(spot -> frame.spot(spot, marks));
        return List.copyOf(marks);
    }

    /** Where values lie. */
    private final class Frame {
        private final double wide;
        private final double high;
        private final Shelves taken = new Shelves();

        Frame(double wide, double high) {
            this.wide = Math.max(LEFT + RIGHT + 1, wide);
            this.high = Math.max(TOP + BOTTOM + 1, high);
        }

        double x(double value) {
            double share = (value - across.from()) / (across.to() - across.from());
            return LEFT + share * (wide - LEFT - RIGHT);
        }

        double y(double value) {
            double share = (value - up.from()) / (up.to() - up.from());
            return high - BOTTOM - Math.clamp(share, -0.02, 1.02) * (high - TOP - BOTTOM);
        }

        Point point(At at) {
            return new Point(x(at.x()), y(at.y()));
        }

        void grid(List<Mark> marks) {
            double step = up.step(ticks(high - TOP - BOTTOM));
            for (double value = step * Math.ceil(up.from() / step);
                    value <= up.to() + step / 100;
                    value += step) {
                line(marks, LEFT, y(value), wide - RIGHT, y(value), Ink.GRID);
                word(marks, LEFT - 6, y(value), Anchor.RIGHT, number(value, step), Look.DIM);
            }
            step = across.step(MOST);
            for (double value = step * Math.ceil(across.from() / step);
                    value <= across.to() + step / 100;
                    value += step) {
                line(marks, x(value), high - BOTTOM, x(value), high - BOTTOM + 4, Ink.GRID);
                word(
                        marks,
                        x(value),
                        high - BOTTOM + 13,
                        Anchor.MIDDLE,
                        number(value, step),
                        Look.DIM);
            }
            line(marks, LEFT, high - BOTTOM, wide - RIGHT, high - BOTTOM, Ink.THIN);
            word(marks, LEFT - 6, TOP - 16, Anchor.RIGHT, up.name(), Look.DIM);
            word(marks, wide - RIGHT, high - 8, Anchor.RIGHT, across.name(), Look.DIM);
        }

        private static int ticks(double room) {
            return Math.clamp(Math.round(room / TICK), LEAST, MOST);
        }

        private void line(List<Mark> marks, double x1, double y1, double x2, double y2, Ink ink) {
            marks.add(new Mark.Line(List.of(new Point(x1, y1), new Point(x2, y2)), Pen.of(ink)));
        }

        private void word(
                List<Mark> marks, double x, double y, Anchor anchor, String words, Look look) {
            if (!words.isEmpty()) {
                marks.add(
                        new Mark.Word(
                                new Point(x, y),
                                anchor,
                                new Phrase.Plain(words),
                                Pen.of(Ink.TEXT, look)));
            }
        }

        void upright(Upright upright, List<Mark> marks) {
            double x = x(upright.x());
            marks.add(
                    new Mark.Line(
                            List.of(new Point(x, TOP), new Point(x, high - BOTTOM)),
                            Pen.of(upright.strong() ? Ink.MARKER : Ink.THIN)));
            double room = LETTER * upright.words().length();
            var places = new ArrayList<Point>();
            for (double y = TOP + 2; y < high - BOTTOM; y += WORDS) {
                places.add(new Point(x + 5, y));
                places.add(new Point(x - 5 - room, y));
            }
            var box = room(upright.words(), places);
            word(marks, box.x(), box.y() + WORDS / 2, Anchor.LEFT, upright.words(), Look.PLAIN);
        }

        /** No words are put onto a curve. */
        void keepClear(Curve curve) {
            var points = curve.points().stream().map(this::point).toList();
            for (int i = 1; i < points.size(); i++) {
                var from = points.get(i - 1);
                var to = points.get(i);
                double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
                for (double way = 0; way <= length; way += CLEAR) {
                    double share = length == 0 ? 0 : way / length;
                    taken.add(
                            new Box(
                                    from.x() + share * (to.x() - from.x()) - 1,
                                    from.y() + share * (to.y() - from.y()) - 1,
                                    2,
                                    2));
                }
            }
        }

        /** Room for words at the first of some upper left corners that is free, inside the axes. */
        private Box room(String words, List<Point> corners) {
            double room = LETTER * words.length();
            double most = Math.max(LEFT + 2, wide - RIGHT - room);
            var inside =
                    corners.stream()
                            .filter(at -> at.y() >= TOP - 2 && at.y() + WORDS <= high - BOTTOM)
                            .map(at ->
                                    new Box(
                                            Math.clamp(at.x(), LEFT + 2, most),
                                            at.y(),
                                            room,
                                            WORDS))
                            .toList();
            return taken.take(inside, box -> box).orElse(new Box(LEFT + 2, TOP, room, WORDS));
        }

        void curve(Curve curve, List<Mark> marks) {
            var points = curve.points().stream().map(this::point).toList();
            if (points.size() < 2) {
                return;
            }
            marks.add(new Mark.Line(points, Pen.of(Ink.CURVE, curve.look())));
            double room = LETTER * curve.name().length();
            var places = new ArrayList<Point>();
            for (int share = SHARES; share > 0; share--) {
                var at = points.get((points.size() - 1) * share / SHARES);
                places.add(new Point(at.x() - room - 4, at.y() - WORDS - 2));
                places.add(new Point(at.x() - room - 4, at.y() + 2));
            }
            var box = room(curve.name(), places);
            word(marks, box.x(), box.y() + WORDS / 2, Anchor.LEFT, curve.name(), curve.look());
        }

        void spot(Spot spot, List<Mark> marks) {
            var at = point(spot.at());
            marks.add(new Mark.Ring(at, 5, Pen.of(Ink.SEAT, spot.look())));
            double room = LETTER * spot.words().length();
            var places = new ArrayList<Point>();
            for (int row = 0; row < ROWS; row++) {
                double away = 4 + row * WORDS;
                places.add(new Point(at.x() + 11, at.y() + away));
                places.add(new Point(at.x() + 11, at.y() - away - WORDS));
                places.add(new Point(at.x() - 11 - room, at.y() - away - WORDS));
                places.add(new Point(at.x() - 11 - room, at.y() + away));
            }
            var box = room(spot.words(), places);
            marks.add(
                    new Mark.Plate(
                            new Box(box.x() - 4, box.y() - 1, box.width() + 8, WORDS + 2),
                            7,
                            Pen.of(Ink.BACK)));
            word(marks, box.x(), box.y() + WORDS / 2, Anchor.LEFT, spot.words(), spot.look());
        }

        /** Piece by piece, a piece parted where the curves cross. */
        void ground(Ground ground, List<Mark> marks) {
            for (int i = 1; i < Math.min(ground.first().size(), ground.second().size()); i++) {
                var a = ground.first().get(i - 1);
                var b = ground.first().get(i);
                var c = ground.second().get(i - 1);
                var d = ground.second().get(i);
                double from = a.y() - c.y();
                double to = b.y() - d.y();
                if (from * to < 0) {
                    double share = from / (from - to);
                    var cross =
                            new At(
                                    a.x() + share * (b.x() - a.x()),
                                    a.y() + share * (b.y() - a.y()));
                    area(marks, from > 0, List.of(a, cross, c));
                    area(marks, to > 0, List.of(cross, b, d));
                } else {
                    area(marks, from + to > 0, List.of(a, b, d, c));
                }
            }
        }

        private void area(List<Mark> marks, boolean good, List<At> corners) {
            marks.add(
                    new Mark.Area(
                            corners.stream().map(this::point).toList(),
                            Pen.of(Ink.GROUND, good ? Look.PLAIN : Look.WRONG)));
        }
    }

    private static String number(double value, double step) {
        int digits = Math.max(0, (int) Math.ceil(-Math.log10(step) - 1e-9));
        return String.format(Locale.ROOT, "%." + digits + "f", value + 0.0);
    }
}
