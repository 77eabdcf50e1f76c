package aficion.files.sheet;

import aficion.change.Repinning;
import aficion.files.sheet.Typefaces.Face;
import aficion.job.Design;
import aficion.job.FoundBox;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.List;

/** A plug that is changed, on paper: both faces from the wire side, and the moves in order. */
public final class PlugSheet {
    private static final float WIDE = 92;
    private static final float HIGH = 40;
    private static final int A_ROW = 8;

    private PlugSheet() {}

    /**
     * The sheet.
     *
     * @throws IllegalArgumentException when one of the plugs has no ways, or one twice
     */
    public static byte[] of(Design design, FoundBox from, FoundBox to) throws IOException {
        var found = Repinning.of(from.seats(), to.seats());
        var title = Words.of("plug.sheet", from.name(), to.name());
        try (var paper = new Paper(title, Sheets.subtitle(design))) {
            float y = face(paper, Words.of("plug.face.from"), from, Paper.TOP + 14);
            face(paper, Words.of("plug.face.to"), to, y + 18);
            var prose = new Prose(paper);
            paper.section(title);
            for (var note : found.notes()) {
                prose.entry("", IdentifyWords.note(note));
            }
            prose.entry("", Words.of("plug.proof"));
            paper.section(title);
            Sheets.listing(paper, moves(found));
            return paper.finish();
        }
    }

    /** The moves as a list. */
    public static Listing moves(Repinning.Found found) {
        return Listings.of(
                "moves",
                List.of("ticked", "change", "item", "from", "to", "colour"),
                found.steps().stream()
                        .map(step ->
                                List.of(
                                        "\u25a1",
                                        Words.of("repin", step.action()),
                                        step.function(),
                                        step.from(),
                                        step.to(),
                                        step.colour()))
                        .toList());
    }

    /** A face: a box a way with its number, what is in it and its colour; where it ends. */
    private static float face(Paper paper, String title, FoundBox box, float top)
            throws IOException {
        paper.text(Face.BOLD, 11, Paper.MARGIN, top, title);
        float y = top + 8;
        int ways = box.seats().size();
        for (int i = 0; i < ways; i++) {
            var seat = box.seats().get(i);
            float x = Paper.MARGIN + (i % A_ROW) * (WIDE + 4);
            float below = y + (i / A_ROW) * (HIGH + 4);
            paper.frame(x, below, WIDE, HIGH);
            paper.text(Face.BOLD, 10, x + 5, below + 12, seat.way());
            var what = seat.what().isBlank() ? "\u2013" : seat.what();
            paper.fitted(Face.REGULAR, 9, x + 5, below + 24, WIDE - 10, what);
            paper.fitted(Face.REGULAR, 8, x + 5, below + 35, WIDE - 10, seat.colour());
        }
        return y + ((ways + A_ROW - 1) / A_ROW) * (HIGH + 4);
    }
}
