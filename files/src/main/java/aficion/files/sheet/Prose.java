package aficion.files.sheet;

import aficion.files.sheet.Typefaces.Face;
import java.io.IOException;
import java.util.List;

/** Running words on paper: headings, and under them names with what is said of each. */
final class Prose {
    private static final float LINE = 14;
    private static final float SIZE = 10;
    private static final float INDENT = 90;

    private final Paper paper;
    private float y = Paper.TOP + 10;

    Prose(Paper paper) {
        this.paper = paper;
    }

    void head(String text) throws IOException {
        y += 8;
        turn(3);
        paper.text(Face.BOLD, 12, Paper.MARGIN, y, text);
        y += LINE + 4;
    }

    void entry(String name, String text) throws IOException {
        var lines = wrapped(text);
        turn(lines.size());
        paper.fitted(Face.BOLD, SIZE, Paper.MARGIN, y, INDENT + 40, name);
        for (var each : lines) {
            paper.text(Face.REGULAR, SIZE, Paper.MARGIN + INDENT + 50, y, each);
            y += LINE;
        }
    }

    void line(Face face, float x, String text, int colour) throws IOException {
        turn(1);
        paper.text(face, SIZE, x, y, text, colour);
        y += LINE;
    }

    private List<String> wrapped(String text) throws IOException {
        return paper.wrapped(
                Face.REGULAR, SIZE, Paper.WIDTH - 2 * Paper.MARGIN - INDENT - 50, text);
    }

    private void turn(int lines) throws IOException {
        reserve(lines * LINE);
    }

    /** Makes sure of so much room below, on a new page where there is none; how far down it is. */
    float reserve(float room) throws IOException {
        if (y + room > Paper.BOTTOM) {
            paper.newPage();
            y = Paper.TOP + 10;
        }
        return y;
    }

    /** Goes on so much further down. */
    void skip(float room) {
        y += room;
    }
}
