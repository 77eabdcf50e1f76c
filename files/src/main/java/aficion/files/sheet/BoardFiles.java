package aficion.files.sheet;

import aficion.forming.FormingBoard;
import aficion.forming.FormingPicture;
import aficion.job.Design;
import aficion.plot.FullSize;
import aficion.quantity.UserUnits;
import aficion.words.DrawingWords;
import aficion.words.FormingWords;
import aficion.words.Words;

/** A forming board at full size, as it is printed, cut or plotted. */
public final class BoardFiles {
    private BoardFiles() {}

    /** The files of a board. */
    public static FullSizeFiles of(Design design, FormingBoard board, UserUnits units) {
        var width = new FontWidth();
        var picture =
                new FormingPicture(
                        board.trimmed(),
                        FullSize.UNITS,
                        new FormingWords(
                                design,
                                board.loom(),
                                units,
                                true,
                                text -> width.of(text, DrawingWords.SIZE)));
        return new FullSizeFiles(
                design,
                new FullSize(picture.wide(), picture.high(), picture.marks()),
                Words.of("sheet.board", board.loom().number()));
    }
}
