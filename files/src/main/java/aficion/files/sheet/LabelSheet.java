package aficion.files.sheet;

import aficion.files.sheet.Typefaces.Face;
import aficion.job.Design;
import aficion.job.End;
import aficion.make.EndWork;
import aficion.make.Making;
import aficion.words.Words;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
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

    private static final double POINT = 72 / 25.4;
    private static final double PAGE_WIDE = 210;
    private static final double PAGE_HIGH = 297;
    private static final double PADDING = 1.5;

    /** Height of letters on paper, and of the type they are of. */
    private static final double LEAST_LETTER = 1.8;

    private static final double LETTER = 0.7;
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
        if (!(wide >= 10) || !(high - 2 * PADDING >= LEAST_LETTER / LETTER)) {
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
                                Words.of("label.to", other(end).terminal())));
            }
        }
        return texts;
    }

    private static End other(EndWork end) {
        var wire = end.wire();
        return wire.from().terminal().equals(end.at()) ? wire.to() : wire.from();
    }

    /** The labels of a design as PDF, on A4. */
    public byte[] of(Design design) throws IOException {
        var texts = texts(design);
        int each = columns * rows;
        try (var document = new PDDocument()) {
            document.getDocumentInformation().setTitle(Words.of("sheet.labels"));
            var faces = Typefaces.in(document);
            for (int from = 0; from < Math.max(1, texts.size()); from += each) {
                var page = new PDPage(PDRectangle.A4);
                document.addPage(page);
                try (var stream = new PDPageContentStream(document, page)) {
                    for (int i = from; i < Math.min(from + each, texts.size()); i++) {
                        label(stream, faces, i - from, texts.get(i));
                    }
                }
            }
            var bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void label(PDPageContentStream stream, Typefaces faces, int index, List<String> lines)
            throws IOException {
        double left = (PAGE_WIDE - columns * wide) / 2 + index % columns * wide;
        double top = PAGE_HIGH - (PAGE_HIGH - rows * high) / 2 - index / columns * high;
        double room = high - 2 * PADDING;
        int count = (int) Math.clamp(room / (LINE * LEAST_LETTER / LETTER), 1, lines.size());
        double size = Math.min(room / (count * LINE), 5) * POINT;
        stream.setStrokingColor(new Color(PrintPen.QUIET));
        stream.setLineWidth(0.2f);
        stream.addRect(
                (float) (left * POINT),
                (float) ((top - high) * POINT),
                (float) (wide * POINT),
                (float) (high * POINT));
        stream.stroke();
        for (int i = 0; i < count; i++) {
            var face = i == 0 ? Face.BOLD : Face.CONDENSED;
            var text = faces.printable(face, lines.get(i));
            float fitting = (float) size;
            float width = faces.width(face, fitting, text);
            double most = (wide - 2 * PADDING) * POINT;
            if (width > most) {
                fitting = (float) Math.max(LEAST_LETTER / LETTER * POINT, fitting * most / width);
            }
            stream.beginText();
            stream.setNonStrokingColor(new Color(PrintPen.INK));
            stream.setFont(faces.of(face), fitting);
            stream.newLineAtOffset(
                    (float) ((left + PADDING) * POINT),
                    (float) ((top - PADDING) * POINT - (i + 0.85) * size * LINE));
            stream.showText(text);
            stream.endText();
        }
    }
}
