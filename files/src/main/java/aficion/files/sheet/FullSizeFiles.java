package aficion.files.sheet;

import aficion.job.Design;
import aficion.plot.FullSize;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** A drawing at full size, as it is printed, cut or plotted. */
public final class FullSizeFiles {
    private static final double MILLIMETRE = FullSize.UNITS / 1000;

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
        public byte[] of(FullSizeFiles files, PaperFormat format) throws IOException {
            return switch (this) {
                case TILES -> files.tiles(format);
                case WHOLE -> files.whole();
                case SVG -> files.svg().getBytes(StandardCharsets.UTF_8);
                case DXF -> files.dxf().getBytes(StandardCharsets.US_ASCII);
            };
        }
    }

    private final Design design;
    private final FullSize drawing;
    private final String title;

    /**
     * @param title what it is, printed beside the vehicle's name
     */
    public FullSizeFiles(Design design, FullSize drawing, String title) {
        this.design = design;
        this.drawing = drawing;
        this.title = title;
    }

    private FullSizeSheet sheet() {
        return new FullSizeSheet(drawing, design.vehicle().name() + ", " + title);
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
        return DrawingSvg.of(design, drawing.marks(), drawing.wide(), drawing.high(), MILLIMETRE);
    }

    /** As DXF. */
    public String dxf() {
        return Dxf.of(drawing.marks(), drawing.high(), MILLIMETRE);
    }
}
