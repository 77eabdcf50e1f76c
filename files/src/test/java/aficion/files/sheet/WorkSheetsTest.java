package aficion.files.sheet;

import static aficion.files.sheet.PdfText.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.files.DemoJobs;
import aficion.files.sheet.Listings.Kind;
import aficion.job.Diary;
import aficion.job.FoundBox;
import aficion.job.FoundBox.Seat;
import aficion.job.Job;
import aficion.job.Photograph;
import aficion.job.UnusedLead;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.About;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.stock.Stock;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Sheets and lists around the design, read back as a person reads them. */
class WorkSheetsTest {
    private static final String PICTURE = "0123456789abcdef0123456789abcdef.png";
    private static final String MISSING = "fedcba9876543210fedcba9876543210.png";

    private static Job roadster() {
        return DemoJobs.find("roadster").orElseThrow();
    }

    private static byte[] picture() throws IOException {
        var bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", bytes);
        return bytes.toByteArray();
    }

    private static Listing list(Kind kind, Job job) {
        return kind.of(job, Stock.EMPTY, UserUnits.METRIC);
    }

    /** What was decided, what is open, hours by their price, photographs, and one that is gone. */
    @Test
    void theBookTellsWhatWasDoneAndWhatIsOpen() throws IOException {
        var job =
                new WorkEdit.NoteSurvey(
                                About.PHOTOGRAPH,
                                survey ->
                                        survey.with(new Photograph(PICTURE, "the bulkhead"))
                                                .with(new Photograph(MISSING, "the boot")))
                        .apply(roadster());
        job =
                new WorkEdit.NoteUnused(
                                new UnusedLead(
                                        "spare 1",
                                        Optional.empty(),
                                        "behind the dash",
                                        UnusedLead.Done.SEALED))
                        .apply(job);
        var shown = picture();
        var book =
                new HandOver(job, Assessment.of(job.design()), Stock.EMPTY, UserUnits.METRIC)
                        .book(
                                List.of(),
                                file -> Optional.of(shown).filter(_ -> file.equals(PICTURE)));

        assertThat(text(book))
                .contains("Marlowe Tern 1600, 1963")
                .contains("A new loom, the old one as a pattern.")
                .contains("because the brown feed melted behind the dash")
                .contains("Headlamps go dim when the horn sounds.")
                .contains("Paint the edge of the bulkhead hole.")
                .contains("5:29")
                .contains("219.33, at 40.00 an hour")
                .contains("spare 1")
                .contains("the bulkhead")
                .contains("the boot (the file is missing)")
                .contains("Survey of the old loom")
                .contains("Card for the glove box")
                .contains("The harness as it lies")
                .contains("assumed, ")
                .contains("page 1 of ");
    }

    @Test
    void theSurveyListSaysWhatTheRuleSays() {
        var rows = list(Kind.SURVEY, roadster()).rows();

        assertThat(rows).hasSize(12);
        assertThat(rows.get(1))
                .contains("brown 2", "2.5 mm\u00b2", "along melted", "condemn")
                .last()
                .asString()
                .startsWith("Condemn: it got so hot");
        assertThat(rows.get(0)).contains("sound", "keep");
        assertThat(rows.get(7)).contains("along not looked at");
        assertThat(rows.get(11)).contains("added later");
    }

    @Test
    void changesAndPlanAndCardAreListed() {
        var job = roadster();
        assertThat(list(Kind.CHANGES, job).rows()).isEmpty();
        var found =
                new WorkEdit.NoteSurvey(
                                About.FOUND, survey -> survey.with(Optional.of(job.design())))
                        .apply(job);
        var gone = found.design().parts().getLast();
        var changed = new PartEdit.RemovePart(gone.id()).apply(found);

        assertThat(list(Kind.CHANGES, changed).rows())
                .anySatisfy(row -> assertThat(row).first().isEqualTo("comes off"));
        assertThat(list(Kind.PLAN, job).rows())
                .extracting(row -> row.get(0))
                .contains("Battery on, first power", "Trim back");
        assertThat(list(Kind.CARD, job).rows()).extracting(row -> row.get(0)).contains("F1", "E1");
        assertThat(list(Kind.DIARY, job).rows()).hasSize(9);
    }

    /** The user's own bolts first, then studs of the harness, then what is typical. */
    @Test
    void boltsAreListedWithTheUsersOwnFirst() {
        var job =
                new WorkEdit.Write(
                                About.FASTENER,
                                diary ->
                                        diary.with(
                                                new Diary.Fastener("bracket", "M8", 22, "locker")))
                        .apply(roadster());
        var rows = list(Kind.TORQUE, job).rows();

        assertThat(rows.getFirst()).containsExactly("bracket", "M8", "22", "locker");
        assertThat(rows).anySatisfy(row -> assertThat(row).contains("M8", "25"));
    }

    /** Both faces, what is to be known, and the moves in order. */
    @Test
    void aPlugIsPrintedWithItsFacesAndMoves() throws IOException {
        var from =
                new FoundBox(
                        "as it is",
                        FoundBox.Sort.PLUG,
                        List.of(
                                new Seat("1", "live", "brown"),
                                new Seat("2", "earth", "black"),
                                new Seat("3", "blocked", "")));
        var to =
                new FoundBox(
                        "as it shall be",
                        FoundBox.Sort.PLUG,
                        List.of(
                                new Seat("1", "earth", ""),
                                new Seat("2", "live", ""),
                                new Seat("3", "tacho", "")));
        var printed = text(PlugSheet.of(roadster().design(), from, to));

        assertThat(printed)
                .contains("As it is, from the wire side", "brown", "spare", "tacho", "open");
        var twice = List.of(new Seat("1", "a", ""), new Seat("1", "b", ""));
        assertThatThrownBy(() ->
                        PlugSheet.of(
                                roadster().design(),
                                new FoundBox("x", FoundBox.Sort.PLUG, twice),
                                to))
                .hasMessageContaining("stands twice");
    }

    /** A diary keeps its order whatever order entries come in, and rows go on in a second line. */
    @Test
    void aLongCellGoesOnInASecondLine() throws IOException {
        var late = Instant.parse("2026-05-02T10:00:00Z");
        var long1 = "word ".repeat(60).strip();
        var job =
                new WorkEdit.Write(
                                About.ENTRY,
                                diary ->
                                        diary.with(entry(late, "second"))
                                                .with(entry(late.minusSeconds(60), long1)))
                        .apply(roadster());
        var words = job.work().diary().entries().stream().map(Diary.Entry::words).toList();

        assertThat(words.subList(words.size() - 2, words.size())).containsExactly(long1, "second");
        var printed = text(Sheets.listing(job.design(), list(Kind.DIARY, job)));
        assertThat(printed.split("word", -1)).hasSizeGreaterThanOrEqualTo(61);
    }

    private static Diary.Entry entry(Instant at, String words) {
        return new Diary.Entry(
                at,
                Diary.Sort.WORK,
                Optional.empty(),
                Optional.empty(),
                0,
                words,
                "",
                List.of(),
                false);
    }
}
