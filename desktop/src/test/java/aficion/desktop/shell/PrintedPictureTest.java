package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.files.sheet.Sheets;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.shape.Arc;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Paper shows what the screen shows: every stroke and symbol at its place, and nothing else. */
class PrintedPictureTest extends WindowTest {
    private static final Set<String> INKS =
            Set.of(
                    "line",
                    "shape",
                    "seat",
                    "solid",
                    "body",
                    "case",
                    "core",
                    "tracer",
                    "dot",
                    "earth-sign",
                    "jump",
                    "label-back");

    @ParameterizedTest
    @ValueSource(strings = {"1", "5", "6"})
    void theSheetHasTheStrokesAndSymbolsOfTheScreen(String circuit) throws Exception {
        focusOn(circuit);
        until(() -> bench.point().isPresent());
        var drawing = bench.drawing().get().orElseThrow();
        var shown =
                all((Parent) node("trace"))
                        .filter(shape ->
                                shape.getStyleClass().stream().anyMatch(INKS::contains)
                                        && !shape.getStyleClass().contains("halo"))
                        .map(PrintedPictureTest::frame)
                        .toList();

        try (var document = Loader.loadPDF(Sheets.path(drawing.design(), drawing.made()))) {
            var printed = new Strokes(document.getPage(0));
            printed.processPage(document.getPage(0));

            assertThat(shown).hasSizeGreaterThan(40);
            assertThat(printed.frames).containsExactlyInAnyOrderElementsOf(shown);
            var text = new PDFTextStripper().getText(document);
            assertThat(drawing.made().labels())
                    .allSatisfy(label -> assertThat(text).contains(label.text()));
        }
    }

    /** What a shape fills but for the width of its line, in the units of the drawing. */
    private static String frame(Node node) {
        return switch (node) {
            case Line line ->
                    frame(line.getStartX(), line.getStartY(), line.getEndX(), line.getEndY());
            case Circle circle ->
                    frame(
                            circle.getCenterX() - circle.getRadius(),
                            circle.getCenterY() - circle.getRadius(),
                            circle.getCenterX() + circle.getRadius(),
                            circle.getCenterY() + circle.getRadius());
            case Rectangle box ->
                    frame(
                            box.getX(),
                            box.getY(),
                            box.getX() + box.getWidth(),
                            box.getY() + box.getHeight());
            case Arc arc ->
                    frame(
                            arc.getCenterX() - arc.getRadiusX(),
                            arc.getCenterY() - arc.getRadiusY(),
                            arc.getCenterX() + arc.getRadiusX(),
                            arc.getCenterY());
            case Polyline line -> frame(line.getPoints());
            case Polygon area -> frame(area.getPoints());
            default -> throw new AssertionError("no stroke: " + node);
        };
    }

    private static String frame(ObservableList<Double> points) {
        var path = new Path2D.Double();
        path.moveTo(points.get(0), points.get(1));
        IntStream.range(1, points.size() / 2)
                .forEach(i -> path.lineTo(points.get(2 * i), points.get(2 * i + 1)));
        return frame(path.getBounds2D());
    }

    private static String frame(double x1, double y1, double x2, double y2) {
        var box = new Rectangle2D.Double(x1, y1, 0, 0);
        box.add(x2, y2);
        return frame(box);
    }

    private static String frame(Rectangle2D box) {
        return String.format(
                Locale.ROOT,
                "%.0f %.0f %.0f %.0f",
                box.getMinX() + 1e-3,
                box.getMinY() + 1e-3,
                box.getMaxX() + 1e-3,
                box.getMaxY() + 1e-3);
    }

    /** What is drawn on a page in the units of the drawing. */
    private static final class Strokes extends PDFGraphicsStreamEngine {
        private final List<String> frames = new ArrayList<>();
        private final Path2D.Double path = new Path2D.Double();

        Strokes(PDPage page) {
            super(page);
        }

        private boolean isDrawing() {
            return getGraphicsState().getCurrentTransformationMatrix().getScalingFactorY() != 1;
        }

        private Point2D here(double x, double y) {
            try {
                return getGraphicsState()
                        .getCurrentTransformationMatrix()
                        .createAffineTransform()
                        .inverseTransform(new Point2D.Double(x, y), null);
            } catch (java.awt.geom.NoninvertibleTransformException e) {
                throw new AssertionError(e);
            }
        }

        private void draw() {
            if (isDrawing()) {
                frames.add(frame(path.getBounds2D()));
            }
            path.reset();
        }

        @Override
        public void moveTo(float x, float y) {
            var at = here(x, y);
            path.moveTo(at.getX(), at.getY());
        }

        @Override
        public void lineTo(float x, float y) {
            var at = here(x, y);
            path.lineTo(at.getX(), at.getY());
        }

        @Override
        public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
            lineTo(x3, y3);
        }

        @Override
        public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
            moveTo((float) p0.getX(), (float) p0.getY());
            lineTo((float) p2.getX(), (float) p2.getY());
        }

        @Override
        public Point2D getCurrentPoint() {
            return path.getCurrentPoint();
        }

        @Override
        public void closePath() {
            path.closePath();
        }

        @Override
        public void strokePath() {
            draw();
        }

        @Override
        public void fillPath(int rule) {
            draw();
        }

        @Override
        public void fillAndStrokePath(int rule) {
            draw();
        }

        @Override
        public void endPath() {
            path.reset();
        }

        @Override
        public void clip(int rule) {
            // Nothing is clipped.
        }

        @Override
        public void drawImage(PDImage image) {
            throw new AssertionError("a picture on a sheet of strokes");
        }

        @Override
        public void shadingFill(COSName name) {
            throw new AssertionError("a shade on a sheet of strokes");
        }
    }
}
