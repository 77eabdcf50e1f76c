package aficion.files.sheet;

import aficion.diagram.Diagram;
import aficion.diagram.Picture;
import aficion.files.sheet.Typefaces.Face;
import aficion.job.Design;
import aficion.words.Words;
import java.io.IOException;
import java.util.Locale;

/** Draws a circuit's path on paper, scaled to fit. */
final class PathSheet {
    private static final int BAND = 0xF5F2EA;
    private static final float LARGEST = 1.1f;

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
        this.scale = Math.min(LARGEST, Math.min(wide, high));
    }

    void draw() throws IOException {
        int index = 0;
        for (var band : diagram.bands()) {
            float x = Paper.MARGIN + (float) band.x() * scale;
            if (index++ % 2 == 1) {
                paper.fill(x, top, (float) band.width() * scale, Paper.BOTTOM - top, BAND);
            }
            paper.text(
                    Face.BOLD,
                    8,
                    x + 5,
                    top + 11,
                    Words.of("lane", band.lane()).toUpperCase(Locale.ROOT),
                    PrintPen.QUIET);
        }
        paper.scaled(
                Paper.MARGIN,
                top,
                scale,
                page ->
                        new PaperMarks(paper.faces(), page, scale)
                                .draw(Picture.of(design, diagram)));
    }
}
