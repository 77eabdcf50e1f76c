package aficion.files.sheet;

import aficion.files.sheet.Typefaces.Face;
import aficion.words.Words;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/** A4 pages, lying, with a heading, a foot and our fonts. y counts from the top, in points. */
final class Paper implements AutoCloseable {
    static final float WIDTH = PDRectangle.A4.getHeight();
    static final float HEIGHT = PDRectangle.A4.getWidth();
    static final float MARGIN = 36;
    static final float TOP = 78;
    static final float BOTTOM = HEIGHT - 44;

    private final PDDocument document = new PDDocument();
    private final Typefaces faces;
    private final String title;
    private final String subtitle;
    private final List<PDPage> pages = new ArrayList<>();
    private PDPageContentStream page;

    Paper(String title, String subtitle) {
        this.title = title;
        this.subtitle = subtitle;
        try {
            faces = Typefaces.in(document);
            document.getDocumentInformation().setTitle(title);
            document.getDocumentInformation().setCreator(Words.of("app.name"));
            page = open();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    Typefaces faces() {
        return faces;
    }

    private PDPageContentStream open() throws IOException {
        var sheet = new PDPage(new PDRectangle(WIDTH, HEIGHT));
        document.addPage(sheet);
        pages.add(sheet);
        var stream = new PDPageContentStream(document, sheet);
        page = stream;
        text(Face.BOLD, 16, MARGIN, 46, title);
        text(Face.REGULAR, 10, MARGIN, 61, subtitle);
        line(MARGIN, 68, WIDTH - MARGIN, 68, 0.8f, 0x1F2A33);
        return stream;
    }

    void newPage() throws IOException {
        page.close();
        page = open();
    }

    float width(Face face, float size, String text) throws IOException {
        return faces.width(face, size, text);
    }

    void text(Face face, float size, float x, float y, String text) throws IOException {
        text(face, size, x, y, text, 0x1F2A33);
    }

    void text(Face face, float size, float x, float y, String text, int rgb) throws IOException {
        page.beginText();
        page.setNonStrokingColor(new Color(rgb));
        page.setFont(faces.of(face), size);
        page.newLineAtOffset(x, HEIGHT - y);
        page.showText(faces.printable(face, text));
        page.endText();
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

    void line(float x1, float y1, float x2, float y2, float width, int rgb) throws IOException {
        page.setStrokingColor(new Color(rgb));
        page.setLineWidth(width);
        page.moveTo(x1, HEIGHT - y1);
        page.lineTo(x2, HEIGHT - y2);
        page.stroke();
    }

    /** What is drawn in units of its own, y downwards. */
    interface Content {
        void on(PDPageContentStream page) throws IOException;
    }

    /** Draws something with its origin at a place, so many points a unit. */
    void scaled(float x, float y, float scale, Content content) throws IOException {
        page.saveGraphicsState();
        page.transform(new Matrix(scale, 0, 0, -scale, x, HEIGHT - y));
        content.on(page);
        page.restoreGraphicsState();
    }

    void fill(float x, float y, float width, float height, int rgb) throws IOException {
        page.setNonStrokingColor(new Color(rgb));
        page.addRect(x, HEIGHT - y - height, width, height);
        page.fill();
    }

    /** Ends the sheets with their foot and returns the file's bytes. */
    byte[] finish() throws IOException {
        page.close();
        for (int i = 0; i < pages.size(); i++) {
            page = new PDPageContentStream(document, pages.get(i), AppendMode.APPEND, true);
            text(Face.REGULAR, 8, MARGIN, HEIGHT - 24, Words.of("sheet.caution"));
            var number = Words.of("sheet.page", i + 1, pages.size());
            text(
                    Face.REGULAR,
                    8,
                    WIDTH - MARGIN - width(Face.REGULAR, 8, number),
                    HEIGHT - 24,
                    number);
            page.close();
        }
        var bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return bytes.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
