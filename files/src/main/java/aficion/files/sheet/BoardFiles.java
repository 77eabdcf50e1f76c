package aficion.files.sheet;

import aficion.diagram.Mark;
import aficion.forming.FormingBoard;
import aficion.forming.FormingPicture;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import aficion.words.DrawingWords;
import aficion.words.FormingWords;
import aficion.words.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;

/** A forming board at full size, as it is printed, cut or plotted. */
public final class BoardFiles {
    private static final double MILLIMETRE = FormingPicture.FULL_SIZE / 1000;

    /** As what it is written. */
    public enum Kind {
        TILES("pdf", ".pdf"),
        WHOLE("pdf", "-whole.pdf"),
        SVG("svg", ".svg"),
        DXF("dxf", ".dxf");

        private final String file;
        private final String ending;

        Kind(String file, String ending) {
            this.file = file;
            this.ending = ending;
        }

        /** The key of its words. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The kind of file it is. */
        public String file() {
            return file;
        }

        /** How the names of its files end. */
        public String ending() {
            return ending;
        }

        /** What its file holds. */
        public byte[] of(BoardFiles files, PaperFormat format) throws IOException {
            return switch (this) {
                case TILES -> files.tiles(format);
                case WHOLE -> files.whole();
                case SVG -> files.svg().getBytes(StandardCharsets.UTF_8);
                case DXF -> files.dxf().getBytes(StandardCharsets.US_ASCII);
            };
        }
    }

    private final Design design;
    private final FormingPicture picture;
    private final List<Mark> marks;

    public BoardFiles(Design design, FormingBoard board, UserUnits units) {
        var width = new FontWidth();
        this.design = design;
        this.picture =
                new FormingPicture(
                        board.trimmed(),
                        FormingPicture.FULL_SIZE,
                        new FormingWords(
                                design,
                                board.loom(),
                                units,
                                true,
                                text -> width.of(text, DrawingWords.SIZE)));
        this.marks = picture.marks();
    }

    private BoardSheet sheet() {
        return new BoardSheet(
                picture,
                marks,
                design.vehicle().name()
                        + ", "
                        + Words.of("sheet.board", picture.board().loom().number()));
    }

    /** As PDF on tiles of some paper. */
    public byte[] tiles(PaperFormat format) throws IOException {
        return sheet().tiles(format);
    }

    /** As PDF on one page. */
    public byte[] whole() throws IOException {
        return sheet().whole();
    }

    /** As SVG. */
    public String svg() {
        return DrawingSvg.of(design, marks, picture.wide(), picture.high(), MILLIMETRE);
    }

    /** As DXF. */
    public String dxf() {
        return Dxf.of(marks, picture.high(), MILLIMETRE);
    }
}
