package aficion.files.sheet;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide words are in the shipped label font, without a screen. */
public final class FontWidth {
    private final TrueTypeFont font;

    public FontWidth() {
        try (var stream =
                FontWidth.class.getResourceAsStream("/aficion/fonts/BarlowCondensed-Medium.ttf")) {
            font = new TTFParser().parse(new RandomAccessReadBuffer(stream));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The width of a text at a size, in the unit of the size. */
    public double of(String text, double size) {
        try {
            var glyphs = font.getUnicodeCmapLookup();
            double units = 0;
            for (int sign : text.codePoints().toArray()) {
                units += font.getAdvanceWidth(glyphs.getGlyphId(sign));
            }
            return units / font.getUnitsPerEm() * size;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
