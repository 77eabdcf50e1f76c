package aficion.files.sheet;

import aficion.catalogue.Colour;
import aficion.diagram.Diagram;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.files.sheet.Paper.Face;
import aficion.job.Design;
import aficion.words.Words;
import java.io.IOException;
import java.util.Locale;

/** Draws a circuit's path on paper, scaled to fit. */
final class PathSheet {
    private static final int INK = 0x1F2A33;
    private static final int QUIET = 0x56616A;
    private static final int BAND = 0xF5F2EA;

    private final Paper paper;
    private final Design design;
    private final Diagram diagram;
    private final float scale;
    private final float top = Paper.TOP + 8;

    PathSheet(Paper paper, Design design, Diagram diagram) {
        this.paper = paper;
        this.design = design;
        this.diagram = diagram;
        float wide = (Paper.WIDTH - 2 * Paper.MARGIN) / (float) Math.max(1, diagram.width());
        float high = (Paper.BOTTOM - top) / (float) Math.max(1, diagram.height());
        this.scale = Math.min(1.1f, Math.min(wide, high));
    }

    void draw() throws IOException {
        int index = 0;
        for (var band : diagram.bands()) {
            if (index++ % 2 == 1) {
                paper.fill(
                        x(band.x()), top, (float) band.width() * scale, Paper.BOTTOM - top, BAND);
            }
            paper.text(
                    Face.BOLD,
                    8,
                    x(band.x()) + 5,
                    top + 11,
                    Words.of("lane", band.lane()).toUpperCase(Locale.ROOT),
                    QUIET);
        }
        for (var stroke : diagram.strokes()) {
            stroke(stroke);
        }
        for (var body : diagram.bodies()) {
            body(body);
        }
        for (var flag : diagram.earths()) {
            earth(flag);
        }
        for (var jump : diagram.jumps()) {
            paper.text(
                    Face.CONDENSED,
                    9,
                    x(jump.at().x()) - 38 * scale,
                    y(jump.at().y()) + 3,
                    design.wire(jump.wire()).number(),
                    QUIET);
        }
        for (var label : diagram.labels()) {
            if (label.backed()) {
                var box = label.box();
                paper.fill(
                        x(box.x()),
                        y(box.y()),
                        (float) box.width() * scale,
                        (float) box.height() * scale,
                        0xFFFFFF);
            }

            paper.text(
                    Face.CONDENSED,
                    Math.max(6, 12 * scale),
                    x(label.box().x()),
                    y(label.box().bottom() - 3),
                    label.text());
        }
    }

    private float x(double value) {
        return Paper.MARGIN + (float) value * scale;
    }

    private float y(double value) {
        return top + (float) value * scale;
    }

    private void stroke(Diagram.Stroke stroke) throws IOException {
        var colour = design.wire(stroke.wire()).colour();
        for (int i = 1; i < stroke.points().size(); i++) {
            segment(
                    stroke.points().get(i - 1),
                    stroke.points().get(i),
                    colour.base(),
                    colour.tracer().orElse(colour.base()));
        }
        for (var dot : stroke.dots()) {
            paper.fill(x(dot.x()) - 3, y(dot.y()) - 3, 6, 6, INK);
        }
    }

    private void segment(Point from, Point to, Colour base, Colour tracer) throws IOException {
        paper.line(x(from.x()), y(from.y()), x(to.x()), y(to.y()), 3.6f * scale, INK);
        paper.line(x(from.x()), y(from.y()), x(to.x()), y(to.y()), 2.6f * scale, base.rgb());
        if (tracer != base) {
            paper.dashed(
                    x(from.x()), y(from.y()), x(to.x()), y(to.y()), 1.6f * scale, tracer.rgb());
        }
    }

    private void body(Diagram.Body body) throws IOException {
        var box = body.box();
        if (box.width() == 0) {
            paper.fill(x(box.x()) - 4, y(box.y()) - 4, 8, 8, INK);
            return;
        }
        paper.fill(
                x(box.x()),
                y(box.y()),
                (float) box.width() * scale,
                (float) box.height() * scale,
                0xFFFFFF);
        paper.box(
                x(box.x()),
                y(box.y()),
                (float) box.width() * scale,
                (float) box.height() * scale,
                1,
                INK);
        float size = Math.max(5.5f, 10 * scale);
        for (var pin : body.pins()) {
            float wide = paper.width(Face.CONDENSED, size, pin.name());
            float at = pin.side() == Side.LEFT ? x(pin.at().x()) + 3 : x(pin.at().x()) - 3 - wide;
            paper.text(Face.CONDENSED, size, at, y(pin.at().y()) + size / 3, pin.name(), QUIET);
        }
    }

    private void earth(Diagram.EarthFlag flag) throws IOException {
        float direction = flag.at().x() >= flag.from().x() ? 1 : -1;
        if (flag.wire().isEmpty()) {
            paper.line(
                    x(flag.from().x()),
                    y(flag.from().y()),
                    x(flag.at().x()),
                    y(flag.at().y()),
                    1.2f,
                    INK);
        }
        for (int bar = 0; bar < 3; bar++) {
            float at = x(flag.at().x()) + direction * bar * 4 * scale;
            float half = (8 - bar * 2.6f) * scale;
            paper.line(at, y(flag.at().y()) - half, at, y(flag.at().y()) + half, 1.2f, INK);
        }
    }
}
