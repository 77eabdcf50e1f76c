package aficion.files.sheet;

import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Our fonts in a document. */
record Typefaces(PDFont regular, PDFont bold, PDFont condensed) {
    enum Face {
        REGULAR,
        BOLD,
        CONDENSED
    }

    static Typefaces in(PDDocument document) throws IOException {
        return new Typefaces(
                font(document, "Barlow-Regular"),
                font(document, "Barlow-SemiBold"),
                font(document, "BarlowCondensed-Medium"));
    }

    private static PDFont font(PDDocument document, String name) throws IOException {
        try (var stream = Typefaces.class.getResourceAsStream("/aficion/fonts/" + name + ".ttf")) {
            return PDType0Font.load(document, stream);
        }
    }

    PDFont of(Face face) {
        return switch (face) {
            case REGULAR -> regular;
            case BOLD -> bold;
            case CONDENSED -> condensed;
        };
    }

    float width(Face face, float size, String text) throws IOException {
        return of(face).getStringWidth(printable(face, text)) / 1000 * size;
    }

    /** The text with every sign the font lacks replaced by a question mark. */
    String printable(Face face, String text) throws IOException {
        var out = new StringBuilder();
        for (int sign : text.codePoints().toArray()) {
            var one = new String(Character.toChars(sign));
            out.append(has(face, one) ? one : "?");
        }
        return out.toString();
    }

    private boolean has(Face face, String sign) throws IOException {
        try {
            of(face).encode(sign);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
