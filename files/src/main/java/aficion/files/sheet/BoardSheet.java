package aficion.files.sheet;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Pen;
import aficion.files.sheet.Typefaces.Face;
import aficion.forming.FormingPicture;
import aficion.words.Words;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/**
 * A forming board at full size: on one page, or on tiles with 10 mm of overlap, a cross at each of
 * their corners, a letter and a number, and a rule of 100 mm to check the printer by.
 */
public final class BoardSheet {
    /** Points for each millimetre. */
    private static final double POINT = 72 / 25.4;

    /** No page is longer, in units of the page (ISO 32000-1, annex C). */
    private static final double LONGEST = 14_400;

    /** What no printer reaches, millimetres. */
    private static final double MARGIN = 8;

    private static final double OVERLAP = 10;
    private static final double RULE = 100;
    private static final double CROSS = 4;

    /** A line is looked at in so many pieces for the tiles that it meets. */
    private static final int PIECES = 60;

    /** No words are wider, units of the drawing. */
    private static final double WORDS = 230;

    private static final double LINE = 14;

    private final FormingPicture picture;
    private final String title;

    /** The edge of the board first. */
    private final List<Mark> marks;

    /** Sizes of paper for tiles. */
    public enum Format {
        A4(210, 297),
        A3(297, 420),
        LETTER(215.9, 279.4);

        private final double shorter;
        private final double longer;

        Format(double shorter, double longer) {
            this.shorter = shorter;
            this.longer = longer;
        }
    }

    /**
     * @param picture at {@link FormingPicture#FULL_SIZE}
     */
    public BoardSheet(FormingPicture picture, String title) {
        this.picture = picture;
        this.title = title;
        this.marks = picture.marks();
    }

    private static double units(double millimetres) {
        return millimetres * FormingPicture.FULL_SIZE / 1000;
    }

    private static double millimetres(double units) {
        return units * 1000 / FormingPicture.FULL_SIZE;
    }

    /** On one page as large as the board. */
    public byte[] whole() throws IOException {
        try (var document = document()) {
            double wide = millimetres(picture.wide()) * POINT;
            double high = millimetres(picture.high()) * POINT;
            double unit = Math.max(1, Math.max(wide, high) / LONGEST);
            var page = new PDPage(new PDRectangle((float) (wide / unit), (float) (high / unit)));
            page.setUserUnit((float) unit);
            document.addPage(page);
            var faces = Typefaces.in(document);
            try (var stream = new PDPageContentStream(document, page)) {
                stream.saveGraphicsState();
                stream.transform(matrix(0, high / unit, 1 / unit));
                new PaperMarks(faces, stream, millimetres(1) * POINT / unit).draw(marks);
                stream.restoreGraphicsState();
                rule(stream, faces, 12 * POINT / unit, 12 * POINT / unit, 1 / unit);
            }
            return bytes(document);
        }
    }

    /** On tiles of some paper, lying, row by row from the upper left. */
    public byte[] tiles(Format format) throws IOException {
        double wide = format.longer - 2 * MARGIN;
        double high = format.shorter - 2 * MARGIN;
        int across = count(millimetres(picture.wide()), wide);
        int down = count(millimetres(picture.high()), high);
        var harness = marks.subList(1, marks.size());
        try (var document = document()) {
            var faces = Typefaces.in(document);
            for (int row = 0; row < down; row++) {
                for (int column = 0; column < across; column++) {
                    var tile = new Tile(row, column, wide, high);
                    var there = tile.of(harness);
                    if (there.stream().allMatch(mark -> mark.pen().ink() == Pen.Ink.BACK)) {
                        continue;
                    }
                    var page =
                            new PDPage(
                                    new PDRectangle(
                                            (float) (format.longer * POINT),
                                            (float) (format.shorter * POINT)));
                    document.addPage(page);
                    try (var stream = new PDPageContentStream(document, page)) {
                        tile(stream, faces, tile, there);
                    }
                }
            }
            return bytes(document);
        }
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

        String name() {
            return (char) ('A' + row % 26) + String.valueOf(column + 1);
        }
    }

    private void tile(PDPageContentStream stream, Typefaces faces, Tile tile, List<Mark> there)
            throws IOException {
        stream.saveGraphicsState();
        stream.addRect(
                (float) (MARGIN * POINT),
                (float) (MARGIN * POINT),
                (float) (tile.wide * POINT),
                (float) (tile.high * POINT));
        stream.clip();
        stream.transform(
                matrix(
                        (MARGIN - tile.left()) * POINT,
                        (MARGIN + tile.high + tile.top()) * POINT,
                        1));
        var pen = new PaperMarks(faces, stream, millimetres(1) * POINT);
        pen.draw(marks.subList(0, 1));
        pen.draw(there);
        stream.restoreGraphicsState();
        for (double x : new double[] {OVERLAP / 2, tile.wide - OVERLAP / 2}) {
            for (double y : new double[] {OVERLAP / 2, tile.high - OVERLAP / 2}) {
                cross(stream, (MARGIN + x) * POINT, (MARGIN + y) * POINT);
            }
        }
        write(stream, faces, 20, (MARGIN + 12) * POINT, (MARGIN + 12) * POINT, tile.name());
        write(stream, faces, 8, (MARGIN + 26) * POINT, (MARGIN + 12) * POINT, title);
        rule(stream, faces, (MARGIN + 14) * POINT, (MARGIN + 22) * POINT, 1);
    }

    /** Units of the board on a page, its upper left corner at a place. */
    private static Matrix matrix(double x, double y, double scale) {
        double units = millimetres(1) * POINT * scale;
        return new Matrix((float) units, 0, 0, (float) -units, (float) x, (float) y);
    }

    private static void cross(PDPageContentStream stream, double x, double y) throws IOException {
        double arm = CROSS * POINT;
        line(stream, x - arm, y, x + arm, y);
        line(stream, x, y - arm, x, y + arm);
    }

    private void rule(PDPageContentStream stream, Typefaces faces, double x, double y, double scale)
            throws IOException {
        double end = x + RULE * POINT * scale;
        double tick = 2 * POINT * scale;
        line(stream, x, y, end, y);
        line(stream, x, y - tick, x, y + tick);
        line(stream, end, y - tick, end, y + tick);
        write(stream, faces, 8 * scale, x + tick, y + tick / 2, Words.of("forming.rule"));
    }

    private static void line(PDPageContentStream stream, double x1, double y1, double x2, double y2)
            throws IOException {
        stream.setStrokingColor(new Color(PrintPen.INK));
        stream.setLineWidth(0.4f);
        stream.moveTo((float) x1, (float) y1);
        stream.lineTo((float) x2, (float) y2);
        stream.stroke();
    }

    private static void write(
            PDPageContentStream stream,
            Typefaces faces,
            double size,
            double x,
            double y,
            String text)
            throws IOException {
        stream.beginText();
        stream.setNonStrokingColor(new Color(PrintPen.QUIET));
        stream.setFont(faces.of(Face.REGULAR), (float) size);
        stream.newLineAtOffset((float) x, (float) y);
        stream.showText(faces.printable(Face.REGULAR, text));
        stream.endText();
    }

    private PDDocument document() {
        var document = new PDDocument();
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator(Words.of("app.name"));
        return document;
    }

    private static byte[] bytes(PDDocument document) throws IOException {
        var bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return bytes.toByteArray();
    }
}
