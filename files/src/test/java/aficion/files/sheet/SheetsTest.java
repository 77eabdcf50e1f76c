package aficion.files.sheet;

import static aficion.files.sheet.PdfText.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.BenchPlan;
import aficion.check.Findings;
import aficion.diagram.DrawingOptions;
import aficion.diagram.Layout;
import aficion.diagram.VehicleLayout;
import aficion.files.DemoJobs;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Work;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.netlist.Netlist;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.solve.Solver;
import aficion.words.DrawingWords;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.commons.csv.CSVFormat;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.xml.sax.InputSource;

class SheetsTest {
    private static final CircuitId HEADLAMPS = new CircuitId("5");

    private final Design design = DemoJobs.find("roadster").orElseThrow().design();

    private static List<String> words(byte[] pdf) throws IOException {
        return List.of(text(pdf).split("\\s+"));
    }

    @Test
    void theScheduleHasEveryWireOnSeveralNumberedPages() throws IOException {
        var text = text(Sheets.schedule(Assessment.of(design), UserUnits.METRIC));

        assertThat(design.wires()).allSatisfy(wire -> assertThat(text).contains(wire.number()));
        assertThat(text)
                .contains(
                        "Marlowe Tern 1600",
                        "blue/red",
                        "1.5 mm\u00b2",
                        "page 1 of 3",
                        "F5 \u00b7 15 A");
    }

    /** On other paper a sheet has the same pages and words, as large as goes, and is seen so. */
    @ParameterizedTest
    @CsvSource({"A4, 841.9, 595.3", "A3, 1190.6, 841.9", "LETTER, 792.0, 612.0"})
    void aSheetGoesOntoPaperOfChoice(PaperFormat paper, float wide, float high) throws IOException {
        var sheet = Sheets.schedule(Assessment.of(design), UserUnits.METRIC);
        var laid = Pages.onto(sheet, paper);

        assertThat(words(laid)).containsExactlyInAnyOrderElementsOf(words(sheet));
        try (var pdf = Loader.loadPDF(laid)) {
            assertThat(pdf.getPages())
                    .allSatisfy(page -> {
                        assertThat(page.getMediaBox().getWidth()).isCloseTo(wide, within(0.1f));
                        assertThat(page.getMediaBox().getHeight()).isCloseTo(high, within(0.1f));
                    });
        }
        var look = Pages.look(laid, 7, 400, true);
        assertThat(look.count()).isEqualTo(3);
        assertThat(look.image().getWidth()).isBetween(399, 400);
        assertThat(look.image().getRaster().getNumBands()).isEqualTo(1);
    }

    @Test
    void thePathHasItsPartsLanesAndWires() throws IOException {
        var width = new FontWidth();
        var words =
                new DrawingWords(
                        design, UserUnits.METRIC, text -> width.of(text, DrawingWords.SIZE) + 3);

        var text = text(Sheets.path(design, Layout.of(design, HEADLAMPS, words)));

        assertThat(text)
                .contains(
                        "Circuit 5: Headlamps",
                        "SOURCE",
                        "RETURN",
                        "dip relay",
                        "headlamp, left",
                        "5.12",
                        "E2 left wing");
    }

    @Test
    void theBenchSheetHasExpectedReadingsAndWhatWasMeasured() throws IOException {
        var at = Instant.parse("2026-11-25T10:00:00Z");
        var reading =
                new BenchRun.Reading(
                        "volts H1.56b dip=dip,key=off,lights=head",
                        Optional.of(9.5),
                        Verdict.FAIL,
                        at);
        var tested =
                new WorkEdit.KeepRun(
                                BenchRun.begun(
                                                HEADLAMPS,
                                                BenchRun.Setting.BENCH,
                                                Optional.empty(),
                                                at)
                                        .with(reading))
                        .apply(Job.of(design));
        var plan = BenchPlan.of(new Solver(Netlist.of(tested.design())), HEADLAMPS);

        var text = text(Sheets.bench(tested, plan, UserUnits.METRIC));

        assertThat(plan.find(reading.step())).isPresent();
        assertThat(text)
                .contains(
                        "Bench sheet, circuit 5: Headlamps",
                        "Continuity, end to end",
                        "9.5",
                        "fail",
                        "lights head");
    }

    @Test
    void wordsTheFontLacksDoNotStopThePrinting() throws IOException {
        var odd =
                design.withCircuits(
                        design.circuits().stream()
                                .map(circuit ->
                                        new aficion.job.Circuit(
                                                circuit.id(),
                                                circuit.number(),
                                                "\u706f " + circuit.name(),
                                                circuit.drops()))
                                .toList());
        var plan = BenchPlan.of(new Solver(Netlist.of(odd)), HEADLAMPS);

        assertThat(text(Sheets.bench(Job.of(odd), plan, UserUnits.METRIC))).contains("? Headlamps");
    }

    @Test
    void theCsvHasAHeadingAndALineForEachWire() throws IOException {
        var out = new StringBuilder();

        ScheduleTable.writeCsv(out, Assessment.of(design), UserUnits.METRIC);

        try (var parsed =
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get()
                        .parse(new StringReader(out.toString()))) {
            assertThat(parsed.getHeaderNames())
                    .containsExactly(
                            "No.", "From", "To", "Colour", "Size", "Length", "Ends", "Fuse");
            var records = parsed.getRecords();
            assertThat(records).hasSize(62);
            assertThat(records.getFirst().toList())
                    .containsExactly(
                            "1.01",
                            "B1.-",
                            "E1.E",
                            "black",
                            "35 mm\u00b2",
                            "0.40 m",
                            "clamp to ring M8",
                            "earth side");
            assertThat(records)
                    .anySatisfy(
                            line -> assertThat(line.get("Length")).isEqualTo("2.00 m (assumed)"));
        }
        assertThat(out).contains("\r\n");
    }

    @Test
    void theFontMeasuresWithoutAScreen() {
        var width = new FontWidth();

        assertThat(width.of("5.07 blue/red 1.5", 12)).isBetween(60.0, 100.0);
        assertThat(width.of("", 12)).isZero();
        assertThat(width.of("mm", 24)).isEqualTo(2 * width.of("mm", 12));
    }

    private DrawingWords words() {
        var width = new FontWidth();
        return new DrawingWords(
                design, UserUnits.METRIC, text -> width.of(text, DrawingWords.SIZE) + 3);
    }

    @Test
    void theWholeVehicleHasAPageForEachCircuit() throws IOException {
        var whole = VehicleLayout.of(design, words(), DrawingOptions.PLAIN);
        var pdf =
                Sheets.paths(
                        design, whole.circuits().stream().map(placed -> placed.diagram()).toList());

        try (var document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(whole.circuits().size());
        }
        assertThat(design.circuits())
                .allSatisfy(circuit -> assertThat(text(pdf)).contains(circuit.name()));
    }

    @Test
    void findingsThatStandAreOnTheirSheetWithTheReasonAndTheHouseRules() throws IOException {
        var finding = Findings.of(Assessment.of(design)).getFirst();
        var stands = Findings.accept(finding, "until the fuses come").apply(Work.NONE);
        var ruled = design.withRules(design.rules().withLaw("Two stop lamps."));

        var text = text(Sheets.findings(Assessment.of(ruled), stands, UserUnits.METRIC));

        assertThat(text)
                .contains(
                        "Let stand: 1",
                        "It stands: until the fuses come",
                        "Repeatable, no stiff wick.",
                        "Two stop lamps.",
                        "Lead without a guard");
    }

    /** What burns before anything opens is nowhere a finding: it stands on the sheet. */
    @Test
    void leadsThatNothingGuardsAreOnTheSheet() throws IOException {
        var roadster = DemoJobs.find("roadster").orElseThrow().design();

        var text = text(Sheets.findings(Assessment.of(roadster), Work.NONE, UserUnits.METRIC));

        assertThat(text)
                .contains(
                        "Nothing guards these leads",
                        "B1.+ to M1.30, 1.30 m: starter.",
                        "Sleeve them whole");
    }

    @Test
    void aWorkingIsASheetOfItsOwn() throws IOException {
        var sizing = Assessment.of(design).sizing(design.wires().getFirst().id()).orElseThrow();

        var text =
                text(
                        Sheets.workings(
                                design,
                                "Working of 1.01",
                                List.of(sizing.drop(), sizing.carries()),
                                UserUnits.METRIC));

        assertThat(text)
                .contains("Working of 1.01", sizing.drop().formula(), sizing.drop().source());
    }

    /** Well-formed, with every wire, part and circuit in it. */
    @Test
    void theDrawingIsSvgThatAnyReaderTakes() throws Exception {
        var whole = VehicleLayout.of(design, words(), DrawingOptions.PLAIN);
        for (var svg :
                List.of(
                        DrawingSvg.of(design, whole),
                        DrawingSvg.of(design, Layout.of(design, HEADLAMPS, words())))) {
            var document =
                    DocumentBuilderFactory.newInstance()
                            .newDocumentBuilder()
                            .parse(new InputSource(new StringReader(svg)));

            assertThat(document.getDocumentElement().getTagName()).isEqualTo("svg");
            assertThat(document.getElementsByTagName("polyline").getLength()).isGreaterThan(18);
            assertThat(svg).contains("dip relay", "5.12", "E2 left wing");
        }
        assertThat(design.circuits())
                .allSatisfy(circuit ->
                        assertThat(DrawingSvg.of(design, whole)).contains(circuit.name()));
    }

    /** A table program takes no cell for a formula, and we read our own cells back. */
    @Test
    void noCellOfTheScheduleIsAFormula() throws IOException {
        var wire = design.wires().getFirst();
        var odd = new WireEdit.Renumber(wire.id(), "+1.01").apply(design);
        var csv = new StringBuilder();

        ScheduleTable.writeCsv(csv, Assessment.of(odd), UserUnits.METRIC);

        assertThat(csv.toString()).contains("'+1.01").doesNotContain("\n+", "\n=", ",=", ",-");
    }

    @Test
    void aDrawingIsXmlWhateverThePartsAreCalled() throws Exception {
        var part = design.partsOf(HEADLAMPS).getFirst();
        var odd = new PartEdit.Rename(part.id(), "b\u0001\u000b<&>\ufffe\ud800 lamp").apply(design);
        var width = new FontWidth();
        var words =
                new DrawingWords(
                        odd, UserUnits.METRIC, text -> width.of(text, DrawingWords.SIZE) + 3);

        var svg = DrawingSvg.of(odd, Layout.of(odd, HEADLAMPS, words));

        var read =
                DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
        assertThat(read.getDocumentElement().getTextContent()).contains("<&>");
    }
}
