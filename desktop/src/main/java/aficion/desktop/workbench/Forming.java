package aficion.desktop.workbench;

import aficion.files.sheet.PaperFormat;
import aficion.forming.Surface;
import java.util.Optional;

/**
 * Which forming board is asked for.
 *
 * @param loom its number
 * @param surface the board to make it on; as large as needed where it is left out
 * @param format of the paper its tiles are printed on
 */
public record Forming(int loom, Optional<Surface> surface, PaperFormat format) {
    /** The first loom on a board as large as it needs. */
    public static final Forming FIRST = new Forming(1, Optional.empty(), PaperFormat.A4);
}
