package aficion.files.sheet;

import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.files.sheet.Typefaces.Face;
import aficion.words.DrawingWords;
import java.awt.Color;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.util.Matrix;

/** Draws the marks of a drawing on a page whose units are those of the drawing. */
final class PaperMarks {
    /** How far along its tangent the handle of a quarter circle lies (cubic Bézier). */
    private static final double QUARTER = 0.5523;

    private static final int ROUND = 1;

    /** The least size of words, in points. */
    private static final double READABLE = 6;

    private final PDPageContentStream page;
    private final Typefaces faces;
    private final double scale;

    /**
     * @param scale points for a unit of the drawing
     */
    PaperMarks(Typefaces faces, PDPageContentStream page, double scale) {
        this.faces = faces;
        this.page = page;
        this.scale = scale;
    }

    void draw(List<Mark> marks) throws IOException {
        for (var mark : marks) {
            draw(mark, PrintPen.of(mark.pen()));
        }
    }

    private void draw(Mark mark, PrintPen pen) throws IOException {
        switch (mark) {
            case Mark.Line(var points, _) -> {
                through(points);
                ink(pen);
            }
            case Mark.Area(var points, _) -> {
                through(points);
                page.closePath();
                ink(pen);
            }
            case Mark.Plate(var box, var corner, _) -> {
                if (corner == 0) {
                    page.addRect(
                            (float) box.x(),
                            (float) box.y(),
                            (float) box.width(),
                            (float) box.height());
                } else {
                    rounded(box, corner);
                }
                ink(pen);
            }
            case Mark.Ring(var at, var radius, _) -> {
                rounded(new Box(at.x() - radius, at.y() - radius, 2 * radius, 2 * radius), radius);
                ink(pen);
            }
            case Mark.Arch(var at, var across, var up, _) -> {
                arch(at, across, up);
                ink(pen);
            }
            case Mark.Word word -> word(word, pen);
        }
    }

    private void ink(PrintPen pen) throws IOException {
        if (pen.strokes()) {
            page.setStrokingColor(new Color(pen.stroke()));
            page.setLineWidth((float) pen.width());
            page.setLineJoinStyle(ROUND);
            page.setLineDashPattern(
                    pen.dash() == 0
                            ? new float[0]
                            : new float[] {(float) pen.dash(), (float) pen.gap()},
                    0);
        }
        if (pen.fills()) {
            page.setNonStrokingColor(new Color(pen.fill()));
        }
        if (pen.strokes() && pen.fills()) {
            page.fillAndStroke();
        } else if (pen.fills()) {
            page.fill();
        } else {
            page.stroke();
        }
    }

    private void through(List<Point> points) throws IOException {
        move(points.getFirst().x(), points.getFirst().y());
        for (var point : points.subList(1, points.size())) {
            page.lineTo((float) point.x(), (float) point.y());
        }
    }

    private void move(double x, double y) throws IOException {
        page.moveTo((float) x, (float) y);
    }

    private void curve(double x1, double y1, double x2, double y2, double x, double y)
            throws IOException {
        page.curveTo((float) x1, (float) y1, (float) x2, (float) y2, (float) x, (float) y);
    }

    /** A rectangle with round corners; with a corner of half its size a circle. */
    private void rounded(Box box, double corner) throws IOException {
        double left = box.x();
        double top = box.y();
        double right = box.right();
        double bottom = box.bottom();
        double handle = corner * (1 - QUARTER);
        move(left + corner, top);
        page.lineTo((float) (right - corner), (float) top);
        curve(right - handle, top, right, top + handle, right, top + corner);
        page.lineTo((float) right, (float) (bottom - corner));
        curve(right, bottom - handle, right - handle, bottom, right - corner, bottom);
        page.lineTo((float) (left + corner), (float) bottom);
        curve(left + handle, bottom, left, bottom - handle, left, bottom - corner);
        page.lineTo((float) left, (float) (top + corner));
        curve(left, top + handle, left + handle, top, left + corner, top);
        page.closePath();
    }

    private void arch(Point at, double across, double up) throws IOException {
        double x = at.x();
        double y = at.y();
        move(x - across, y);
        curve(x - across, y - QUARTER * up, x - QUARTER * across, y - up, x, y - up);
        curve(x + QUARTER * across, y - up, x + across, y - QUARTER * up, x + across, y);
    }

    private void word(Mark.Word word, PrintPen pen) throws IOException {
        float size = (float) Math.max(READABLE / scale, pen.size());
        var text = faces.printable(Face.CONDENSED, DrawingWords.say(word.phrase()));
        double width = faces.width(Face.CONDENSED, size, text);
        double x =
                word.at().x()
                        - switch (word.anchor()) {
                            case LEFT -> 0;
                            case MIDDLE -> width / 2;
                            case RIGHT -> width;
                        };
        page.beginText();
        page.setNonStrokingColor(new Color(pen.fill()));
        page.setFont(faces.of(Face.CONDENSED), size);
        page.setTextMatrix(
                new Matrix(
                        1,
                        0,
                        0,
                        -1,
                        (float) x,
                        (float) (word.at().y() + PrintPen.BASELINE * size)));
        page.showText(text);
        page.endText();
    }
}
