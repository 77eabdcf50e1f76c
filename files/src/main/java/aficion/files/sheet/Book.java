package aficion.files.sheet;

import aficion.files.sheet.Typefaces.Face;
import aficion.words.Words;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A PDF file in the making: our fonts, leaves to write and draw on. y counts from the bottom. */
final class Book implements AutoCloseable {
    /** Points for each millimetre. */
    static final double MILLIMETRE = 72 / 25.4;

    private final PDDocument document = new PDDocument();
    private final Typefaces faces;

    Book(String title) throws IOException {
        faces = Typefaces.in(document);
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator(Words.of("app.name"));
    }

    Typefaces faces() {
        return faces;
    }

    /** How words are written. */
    record Type(Face face, double size, int rgb) {}

    /** A page that is written and drawn on, in points. */
    final class Leaf implements AutoCloseable {
        private final PDPageContentStream stream;

        private Leaf(PDPageContentStream stream) {
            this.stream = stream;
        }

        PDPageContentStream stream() {
            return stream;
        }

        void write(Type type, double x, double y, String text) throws IOException {
            stream.beginText();
            stream.setNonStrokingColor(new Color(type.rgb));
            stream.setFont(faces.of(type.face), (float) type.size);
            stream.newLineAtOffset((float) x, (float) y);
            stream.showText(faces.printable(type.face, text));
            stream.endText();
        }

        void line(double x1, double y1, double x2, double y2, Stroke stroke) throws IOException {
            take(stroke);
            stream.moveTo((float) x1, (float) y1);
            stream.lineTo((float) x2, (float) y2);
            stream.stroke();
        }

        void frame(PDRectangle box, Stroke stroke) throws IOException {
            take(stroke);
            add(box);
            stream.stroke();
        }

        void fill(PDRectangle box, int rgb) throws IOException {
            stream.setNonStrokingColor(new Color(rgb));
            add(box);
            stream.fill();
        }

        /**
         * A picture as large as fits a box, at its upper left corner.
         *
         * @throws IllegalArgumentException when it cannot be drawn
         */
        void picture(byte[] picture, PDRectangle box) throws IOException {
            var image = PDImageXObject.createFromByteArray(document, picture, "");
            float scale =
                    Math.min(
                            box.getWidth() / image.getWidth(), box.getHeight() / image.getHeight());
            float high = scale * image.getHeight();
            stream.drawImage(
                    image,
                    box.getLowerLeftX(),
                    box.getUpperRightY() - high,
                    scale * image.getWidth(),
                    high);
        }

        /** Nothing is drawn outside a box from then on. */
        void clip(PDRectangle box) throws IOException {
            add(box);
            stream.clip();
        }

        private void add(PDRectangle box) throws IOException {
            stream.addRect(
                    box.getLowerLeftX(), box.getLowerLeftY(), box.getWidth(), box.getHeight());
        }

        private void take(Stroke stroke) throws IOException {
            stream.setStrokingColor(new Color(stroke.rgb));
            stream.setLineWidth((float) stroke.width);
        }

        @Override
        public void close() throws IOException {
            stream.close();
        }
    }

    /** How a line is drawn. */
    record Stroke(double width, int rgb) {}

    /** A new page at the end. */
    Leaf leaf(PDRectangle size) throws IOException {
        return leaf(new PDPage(size));
    }

    /** The same, prepared otherwise. */
    Leaf leaf(PDPage page) throws IOException {
        document.addPage(page);
        return new Leaf(new PDPageContentStream(document, page));
    }

    int leaves() {
        return document.getNumberOfPages();
    }

    /** A page that is there, to go on with. */
    Leaf again(int index) throws IOException {
        return new Leaf(
                new PDPageContentStream(
                        document, document.getPage(index), AppendMode.APPEND, true));
    }

    /** The file's bytes. */
    byte[] bytes() throws IOException {
        var bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return bytes.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
