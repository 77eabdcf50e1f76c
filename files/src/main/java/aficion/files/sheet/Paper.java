package aficion.files.sheet;

import aficion.files.sheet.Book.Leaf;
import aficion.files.sheet.Book.Stroke;
import aficion.files.sheet.Book.Type;
import aficion.files.sheet.Typefaces.Face;
import aficion.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/** A4 pages, lying, with a heading, a foot and our fonts. y counts from the top, in points. */
final class Paper implements AutoCloseable {
    static final float WIDTH = PDRectangle.A4.getHeight();
    static final float HEIGHT = PDRectangle.A4.getWidth();
    static final float MARGIN = 36;
    static final float TOP = 78;
    static final float BOTTOM = HEIGHT - 44;

    private final Book book;
    private String title;
    private final String subtitle;
    private Leaf page;

    Paper(String title, String subtitle) {
        this.title = title;
        this.subtitle = subtitle;
        try {
            book = new Book(title);
            page = open();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    Typefaces faces() {
        return book.faces();
    }

    private Leaf open() throws IOException {
        page = book.leaf(new PDRectangle(WIDTH, HEIGHT));
        text(Face.BOLD, 16, MARGIN, 46, title);
        text(Face.REGULAR, 10, MARGIN, 61, subtitle);
        line(MARGIN, 68, WIDTH - MARGIN, 68, 0.8f, PrintPen.INK);
        return page;
    }

    void newPage() throws IOException {
        page.close();
        open();
    }

    /** Goes on under another heading, on a new page. */
    void section(String heading) throws IOException {
        title = heading;
        newPage();
    }

    /** A picture, as large as fits the room, with its upper left corner at a place. */
    void picture(byte[] picture, float x, float y, float wide, float high) throws IOException {
        page.picture(picture, new PDRectangle(x, HEIGHT - y - high, wide, high));
    }

    float width(Face face, float size, String text) throws IOException {
        return faces().width(face, size, text);
    }

    void text(Face face, float size, float x, float y, String text) throws IOException {
        text(face, size, x, y, text, PrintPen.INK);
    }

    void text(Face face, float size, float x, float y, String text, int rgb) throws IOException {
        page.write(new Type(face, size, rgb), x, HEIGHT - y, text);
    }

    /** A text no wider than the room, with its end left out where it would be. */
    void fitted(Face face, float size, float x, float y, float room, String text)
            throws IOException {
        var shown = text;
        while (shown.length() > 1 && width(face, size, shown) > room) {
            shown = shown.substring(0, shown.length() - 2) + "\u2026";
        }
        text(face, size, x, y, shown);
    }

    /** A text in lines no wider than the room, but for a word that is wider by itself. */
    List<String> wrapped(Face face, float size, float room, String text) throws IOException {
        var lines = new ArrayList<String>();
        var line = "";
        for (var word : text.split(" ")) {
            var longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(face, size, longer) > room) {
                lines.add(line);
                longer = word;
            }
            line = longer;
        }
        lines.add(line);
        return lines;
    }

    void line(float x1, float y1, float x2, float y2, float width, int rgb) throws IOException {
        page.line(x1, HEIGHT - y1, x2, HEIGHT - y2, new Stroke(width, rgb));
    }

    /** An empty box, or a ticked one, with its lower left corner at a place. */
    void box(float x, float y, float side, boolean ticked) throws IOException {
        page.frame(new PDRectangle(x, HEIGHT - y, side, side), new Stroke(0.8, PrintPen.INK));
        if (ticked) {
            line(x, y, x + side, y - side, 1.2f, PrintPen.INK);
        }
    }

    /** An empty frame with its upper left corner at a place. */
    void frame(float x, float y, float wide, float high) throws IOException {
        page.frame(
                new PDRectangle(x, HEIGHT - y - high, wide, high), new Stroke(0.8, PrintPen.INK));
    }

    /** What is drawn in units of its own, y downwards. */
    interface Content {
        void on(PDPageContentStream page) throws IOException;
    }

    /** Draws something with its origin at a place, so many points a unit. */
    void scaled(float x, float y, float scale, Content content) throws IOException {
        page.stream().saveGraphicsState();
        page.stream().transform(new Matrix(scale, 0, 0, -scale, x, HEIGHT - y));
        content.on(page.stream());
        page.stream().restoreGraphicsState();
    }

    void fill(float x, float y, float width, float height, int rgb) throws IOException {
        page.fill(new PDRectangle(x, HEIGHT - y - height, width, height), rgb);
    }

    /** Ends the sheets with their foot and returns the file's bytes. */
    byte[] finish() throws IOException {
        page.close();
        for (int i = 0; i < book.leaves(); i++) {
            page = book.again(i);
            text(Face.REGULAR, 8, MARGIN, HEIGHT - 24, Words.of("sheet.caution"));
            var number = Words.of("sheet.page", i + 1, book.leaves());
            text(
                    Face.REGULAR,
                    8,
                    WIDTH - MARGIN - width(Face.REGULAR, 8, number),
                    HEIGHT - 24,
                    number);
            page.close();
        }
        return book.bytes();
    }

    @Override
    public void close() throws IOException {
        book.close();
    }
}
