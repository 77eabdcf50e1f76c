package aficion.files.sheet;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Pen;
import aficion.files.sheet.Book.Leaf;
import aficion.files.sheet.Book.Stroke;
import aficion.files.sheet.Book.Type;
import aficion.files.sheet.Typefaces.Face;
import aficion.plot.FullSize;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/**
 * A drawing at full size, such as a forming board, a tape, a panel: on one page, or on tiles with
 * 10 mm of overlap, a cross at each of their corners, a letter and a number, and a rule of 100 mm
 * to check the printer by.
 */
public final class FullSizeSheet {
    private static final double POINT = Book.MILLIMETRE;

    /** No page is longer, in units of the page (ISO 32000-1, annex C). */
    private static final double LONGEST = 14_400;

    /** What no printer reaches, millimetres. */
    private static final double MARGIN = 8;

    private static final double OVERLAP = 10;
    private static final double RULE = 100;
    private static final double CROSS = 4;
    private static final double TICK = 2;
    private static final Stroke FINE = new Stroke(0.4, PrintPen.INK);

    /** A line is looked at in so many pieces for the tiles that it meets. */
    private static final int PIECES = 60;

    /** No words are wider, units of the drawing. */
    private static final double WORDS = 230;

    private static final double LINE = 14;

    private final String title;
    private final double wide;
    private final double high;

    /** The edge of it all first. */
    private final List<Mark> marks;

    /**
     * @param drawing its edge first
     */
    FullSizeSheet(FullSize drawing, String title) {
        this.title = title;
        this.wide = millimetres(drawing.wide());
        this.high = millimetres(drawing.high());
        this.marks = drawing.marks();
    }

    private static double units(double millimetres) {
        return millimetres * FullSize.UNITS / 1000;
    }

    private static double millimetres(double units) {
        return units * 1000 / FullSize.UNITS;
    }

    /** On one page as large as it is. */
    byte[] whole() throws IOException {
        double unit = Math.max(1, Math.max(wide, high) * POINT / LONGEST);
        double point = POINT / unit;
        var page = new PDPage(new PDRectangle((float) (wide * point), (float) (high * point)));
        page.setUserUnit((float) unit);
        try (var book = new Book(title)) {
            try (var leaf = book.leaf(page)) {
                leaf.stream().saveGraphicsState();
                leaf.stream().transform(matrix(0, high * point, point));
                new PaperMarks(book.faces(), leaf.stream(), millimetres(1) * point).draw(marks);
                leaf.stream().restoreGraphicsState();
                rule(leaf, 12, 12, point);
            }
            return book.bytes();
        }
    }

    /** On tiles of some paper, lying, row by row from the upper left. */
    byte[] tiles(PaperFormat format) throws IOException {
        var size =
                new PDRectangle(
                        (float) (format.longer() * POINT), (float) (format.shorter() * POINT));
        var harness = marks.subList(1, marks.size());
        try (var book = new Book(title)) {
            for (var tile : all(format.longer() - 2 * MARGIN, format.shorter() - 2 * MARGIN)) {
                var there = tile.of(harness);
                if (there.stream().anyMatch(mark -> mark.pen().ink() != Pen.Ink.BACK)) {
                    try (var leaf = book.leaf(size)) {
                        tile(book.faces(), leaf, tile, there);
                    }
                }
            }
            return book.bytes();
        }
    }

    private List<Tile> all(double tileWide, double tileHigh) {
        var tiles = new ArrayList<Tile>();
        for (int row = 0; row < count(high, tileHigh); row++) {
            for (int column = 0; column < count(wide, tileWide); column++) {
                tiles.add(new Tile(row, column, tileWide, tileHigh));
            }
        }
        return tiles;
    }

    private static int count(double whole, double part) {
        return (int) Math.max(1, Math.ceil((whole - OVERLAP) / (part - OVERLAP)));
    }

    private record Tile(int row, int column, double wide, double high) {
        double left() {
            return column * (wide - OVERLAP);
        }

        double top() {
            return row * (high - OVERLAP);
        }

        /** What lies on it of some marks. */
        List<Mark> of(List<Mark> marks) {
            return marks.stream().filter(this::touches).toList();
        }

        private boolean touches(Mark mark) {
            return switch (mark) {
                case Mark.Line(var points, _) -> along(points).anyMatch(this::holds);
                case Mark.Area(var points, _) -> along(points).anyMatch(this::holds);
                case Mark.Plate(var box, _, _) -> box().overlaps(box);
                case Mark.Ring(var at, var radius, _) -> near(at, radius);
                case Mark.Arch(var at, var across, _, _) -> near(at, across);
                case Mark.Word(var at, _, _, _) ->
                        box().overlaps(new Box(at.x(), at.y() - LINE / 2, WORDS, LINE));
            };
        }

        private Box box() {
            return new Box(units(left()), units(top()), units(wide), units(high));
        }

        private boolean holds(Point at) {
            return near(at, 1);
        }

        private boolean near(Point at, double units) {
            return box().overlaps(new Box(at.x() - units, at.y() - units, 2 * units, 2 * units));
        }

        /** Places along a line, closer than a tile is wide. */
        private static Stream<Point> along(List<Point> points) {
            return IntStream.range(1, points.size())
                    .boxed()
                    .flatMap(i -> {
                        var from = points.get(i - 1);
                        var to = points.get(i);
                        return IntStream.rangeClosed(0, PIECES)
                                .mapToObj(piece ->
                                        new Point(
                                                from.x() + (to.x() - from.x()) * piece / PIECES,
                                                from.y() + (to.y() - from.y()) * piece / PIECES));
                    });
        }

        /** Its row in letters, doubled beyond Z, and its column. */
        String name() {
            return String.valueOf((char) ('A' + row % 26)).repeat(1 + row / 26) + (column + 1);
        }
    }

    private void tile(Typefaces faces, Leaf leaf, Tile tile, List<Mark> there) throws IOException {
        leaf.stream().saveGraphicsState();
        leaf.clip(
                new PDRectangle(
                        (float) (MARGIN * POINT),
                        (float) (MARGIN * POINT),
                        (float) (tile.wide * POINT),
                        (float) (tile.high * POINT)));
        leaf.stream()
                .transform(
                        matrix(
                                (MARGIN - tile.left()) * POINT,
                                (MARGIN + tile.high + tile.top()) * POINT,
                                POINT));
        var pen = new PaperMarks(faces, leaf.stream(), millimetres(1) * POINT);
        pen.draw(marks.subList(0, 1));
        pen.draw(there);
        leaf.stream().restoreGraphicsState();
        for (double x : new double[] {OVERLAP / 2, tile.wide - OVERLAP / 2}) {
            for (double y : new double[] {OVERLAP / 2, tile.high - OVERLAP / 2}) {
                cross(leaf, MARGIN + x, MARGIN + y);
            }
        }
        write(leaf, 20, (MARGIN + 12) * POINT, (MARGIN + 12) * POINT, tile.name());
        write(leaf, 8, (MARGIN + 26) * POINT, (MARGIN + 12) * POINT, title);
        rule(leaf, MARGIN + 14, MARGIN + 22, POINT);
    }

    /** Units of the drawing on a page with so many points a millimetre, its corner at a place. */
    private static Matrix matrix(double x, double y, double point) {
        double unit = millimetres(1) * point;
        return new Matrix((float) unit, 0, 0, (float) -unit, (float) x, (float) y);
    }

    private static void cross(Leaf leaf, double x, double y) throws IOException {
        line(leaf, x - CROSS, y, x + CROSS, y, POINT);
        line(leaf, x, y - CROSS, x, y + CROSS, POINT);
    }

    /** The rule with its left end at a place, millimetres. */
    private static void rule(Leaf leaf, double x, double y, double point) throws IOException {
        line(leaf, x, y, x + RULE, y, point);
        line(leaf, x, y - TICK, x, y + TICK, point);
        line(leaf, x + RULE, y - TICK, x + RULE, y + TICK, point);
        write(
                leaf,
                8 * point / POINT,
                (x + TICK) * point,
                (y + TICK / 2) * point,
                Words.of("forming.rule"));
    }

    private static void line(Leaf leaf, double x1, double y1, double x2, double y2, double point)
            throws IOException {
        leaf.line(x1 * point, y1 * point, x2 * point, y2 * point, FINE);
    }

    private static void write(Leaf leaf, double size, double x, double y, String text)
            throws IOException {
        leaf.write(new Type(Face.REGULAR, size, PrintPen.QUIET), x, y, text);
    }
}
