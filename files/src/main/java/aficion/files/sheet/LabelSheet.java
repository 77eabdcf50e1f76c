package aficion.files.sheet;

import aficion.files.sheet.Book.Leaf;
import aficion.files.sheet.Book.Stroke;
import aficion.files.sheet.Book.Type;
import aficion.files.sheet.Typefaces.Face;
import aficion.job.Design;
import aficion.make.Making;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Labels on sheets of so many columns and rows, one for each end, in the order the wires are made.
 *
 * @param wide of a label, millimetres
 * @param high of a label, millimetres; letters are as large as it lets them be, 1.8 mm at the least
 */
public record LabelSheet(int columns, int rows, double wide, double high) {
    /** Sheets that are sold by the box. */
    public static final LabelSheet USUAL = new LabelSheet(4, 16, 48.5, 16.9);

    private static final double PAGE_WIDE = 210;
    private static final double PAGE_HIGH = 297;
    private static final double PADDING = 1.5;

    /** Type whose letters are 1.8 mm high, and the largest, millimetres. */
    private static final double LEAST_TYPE = 1.8 / 0.7;

    private static final double MOST_TYPE = 5;
    private static final double LINE = 1.15;

    private static final Pattern TEXT =
            Pattern.compile(
                    "(\\d+)\\s*[x×]\\s*(\\d+)\\s*[,;]\\s*([\\d.]+)\\s*[x×]\\s*([\\d.]+)\\s*(?:mm)?");

    /**
     * @throws IllegalArgumentException when they do not go on an A4 sheet, or no letters go on them
     */
    public LabelSheet {
        if (columns < 1 || rows < 1 || columns * wide > PAGE_WIDE || rows * high > PAGE_HIGH) {
            throw new IllegalArgumentException("they do not go on a sheet of 210 x 297 mm");
        }
        if (!(wide >= 10) || !(high - 2 * PADDING >= LEAST_TYPE)) {
            throw new IllegalArgumentException("a label is 10 mm wide and 6 mm high at the least");
        }
    }

    /** Reads {@code 4 x 16, 48.5 x 16.9}; empty when it is no such sheet. */
    public static Optional<LabelSheet> parse(String text) {
        var match = TEXT.matcher(text.strip());
        if (!match.matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    new LabelSheet(
                            Integer.parseInt(match.group(1)),
                            Integer.parseInt(match.group(2)),
                            Double.parseDouble(match.group(3)),
                            Double.parseDouble(match.group(4))));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The text that {@link #parse} reads back. */
    @Override
    public String toString() {
        return columns + " x " + rows + ", " + wide + " x " + high;
    }

    /** What stands on each label: number and place, and where the other end is. */
    private static List<List<String>> texts(Design design) {
        var texts = new ArrayList<List<String>>();
        for (var work : Making.of(design).wires()) {
            for (var end : work.ends()) {
                var wire = work.wire();
                texts.add(
                        List.of(
                                wire.number() + "  " + end.at(),
                                design.circuit(wire.circuit()).name(),
                                Words.of("label.to", end.other().terminal())));
            }
        }
        return texts;
    }

    /** The labels of a design as PDF, on A4. */
    public byte[] of(Design design) throws IOException {
        var texts = texts(design);
        int each = columns * rows;
        try (var book = new Book(Words.of("sheet.labels"))) {
            for (int from = 0; from < Math.max(1, texts.size()); from += each) {
                try (var leaf = book.leaf(PDRectangle.A4)) {
                    for (int i = from; i < Math.min(from + each, texts.size()); i++) {
                        label(book.faces(), leaf, i - from, texts.get(i));
                    }
                }
            }
            return book.bytes();
        }
    }

    private void label(Typefaces faces, Leaf leaf, int index, List<String> lines)
            throws IOException {
        double left = (PAGE_WIDE - columns * wide) / 2 + index % columns * wide;
        double top = PAGE_HIGH - (PAGE_HIGH - rows * high) / 2 - index / columns * high;
        double room = high - 2 * PADDING;
        int count = (int) Math.clamp(room / (LINE * LEAST_TYPE), 1, lines.size());
        double size = Math.min(room / (count * LINE), MOST_TYPE) * Book.MILLIMETRE;
        leaf.frame(
                new PDRectangle(
                        (float) (left * Book.MILLIMETRE),
                        (float) ((top - high) * Book.MILLIMETRE),
                        (float) (wide * Book.MILLIMETRE),
                        (float) (high * Book.MILLIMETRE)),
                new Stroke(0.2, PrintPen.QUIET));
        for (int i = 0; i < count; i++) {
            var face = i == 0 ? Face.BOLD : Face.CONDENSED;
            leaf.write(
                    new Type(face, fitting(faces, face, size, lines.get(i)), PrintPen.INK),
                    (left + PADDING) * Book.MILLIMETRE,
                    (top - PADDING) * Book.MILLIMETRE - (i + 0.85) * size * LINE,
                    lines.get(i));
        }
    }

    /** So large that a line goes on its label, or the least that is read. */
    private double fitting(Typefaces faces, Face face, double size, String line)
            throws IOException {
        double width = faces.width(face, (float) size, line);
        double most = (wide - 2 * PADDING) * Book.MILLIMETRE;
        return width <= most ? size : Math.max(LEAST_TYPE * Book.MILLIMETRE, size * most / width);
    }
}
