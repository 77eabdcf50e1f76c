package aficion.files.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import aficion.files.DemoJobs;
import aficion.forming.FormingBoard;
import aficion.forming.FormingBoard.Fit;
import aficion.forming.Loom;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Forming boards of the demos as files: true to size whatever they are opened with. */
class BoardFilesTest {
    private static final int FINE = 508;

    /** Pixels for each millimetre at {@link #FINE}. */
    private static final double PIXELS = FINE / 25.4;

    private static final Pattern TILE = Pattern.compile("([A-Z]\\d+)\\s+Marlowe");

    @TempDir Path folder;

    private static Design design(String demo) {
        return DemoJobs.find(demo).orElseThrow().design();
    }

    private static FormingBoard board(Design design) {
        var fit = FormingBoard.asNeeded(Loom.of(design).getFirst());
        assertThat(fit).isInstanceOf(Fit.Fits.class);
        return ((Fit.Fits) fit).board();
    }

    private static FullSizeFiles files(String demo) {
        var design = design(demo);
        return BoardFiles.of(design, board(design), UserUnits.METRIC);
    }

    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void everyLoomOfADemoLiesOnABoardOfTwoDoorsAtMost(String demo) {
        var looms = Loom.of(design(demo));

        assertThat(looms).isNotEmpty();
        for (var loom : looms) {
            assertThat(FormingBoard.asNeeded(loom))
                    .isInstanceOfSatisfying(
                            Fit.Fits.class,
                            fit ->
                                    assertThat(fit.board().surface().area())
                                            .isLessThanOrEqualTo(3.2));
        }
    }

    /** A plug before the boot: the main loom and the rear. */
    @Test
    void theRoadsterHasTwoLooms() {
        assertThat(Loom.of(design("roadster")))
                .extracting(loom -> loom.strands().size())
                .containsExactly(14, 2);
    }

    /** The level row of dark pixels about as long as the rule in the lower left of a page. */
    private static double ruled(BufferedImage page) {
        double found = 0;
        for (int y = page.getHeight() * 3 / 4; y < page.getHeight(); y++) {
            int run = 0;
            for (int x = (int) (12 * PIXELS); x < 125 * PIXELS; x++) {
                boolean dark = (page.getRGB(x, y) & 0xFF) < 0xB0;
                if (!dark && run > 95 * PIXELS && run < 105 * PIXELS) {
                    found = Math.max(found, run / PIXELS);
                }
                run = dark ? run + 1 : 0;
            }
        }
        return found;
    }

    /** The rule of a tile is measured in its picture. */
    @ParameterizedTest
    @EnumSource
    void theRuleOfATileIsAHundredMillimetres(PaperFormat format) throws IOException {
        try (var document = Loader.loadPDF(files("roadster").tiles(format))) {
            int pages = document.getNumberOfPages();
            assertThat(pages).isBetween(2, 60);
            var picture = new PDFRenderer(document).renderImageWithDPI(pages - 1, FINE);

            assertThat(ruled(picture)).isCloseTo(100.0, within(0.15));
        }
    }

    /** Each tile has a name of its own, and none is without a line of the harness. */
    @Test
    void tilesAreNamedByRowAndColumn() throws IOException {
        try (var document = Loader.loadPDF(files("roadster").tiles(PaperFormat.A4))) {
            var text = new PDFTextStripper();
            var names = new HashSet<String>();
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                text.setStartPage(page);
                text.setEndPage(page);
                TILE.matcher(text.getText(document))
                        .results()
                        .forEach(match -> names.add(match.group(1)));
            }
            assertThat(names).hasSize(document.getNumberOfPages());
        }
    }

    @Test
    void onOnePageABoardIsAsLargeAsItIs() throws IOException {
        var design = design("roadster");
        var board = board(design).trimmed();
        try (var document =
                Loader.loadPDF(BoardFiles.of(design, board, UserUnits.METRIC).whole())) {
            var page = document.getPage(0);
            double unit = page.getUserUnit() * 25.4 / 72 / 1000;

            assertThat(page.getMediaBox().getWidth() * unit)
                    .isCloseTo(board.trimmed().surface().wide().value(), within(1e-4));
            assertThat(page.getMediaBox().getHeight() * unit)
                    .isCloseTo(board.trimmed().surface().high().value(), within(1e-4));
            assertThat(new PDFTextStripper().getText(document)).contains("bulkhead", "dash");
        }
    }

    @Test
    void theSvgIsAsWideAsTheBoard() {
        var design = design("motorcycle");
        var board = board(design);
        var svg = BoardFiles.of(design, board, UserUnits.METRIC).svg();
        double millimetres = board.trimmed().surface().wide().value() * 1000;

        var width = svg.replaceFirst("(?s).*?width=\"([0-9.]+)mm\".*", "$1");
        assertThat(Double.parseDouble(width)).isCloseTo(millimetres, within(0.01));
    }

    private static boolean hasReader() {
        try {
            return run(Path.of("/usr/bin/python3"), List.of("-c", "import ezdxf")) == 0;
        } catch (IOException e) {
            return false;
        }
    }

    private static int run(Path program, List<String> with) throws IOException {
        var command = new ArrayList<>(List.of(program.toString()));
        command.addAll(with);
        var process =
                new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start();
        try {
            assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
            return process.exitValue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A reader that is not ours takes it without complaint and finds the board in millimetres. */
    @Test
    void anotherReaderOpensTheDxf() throws IOException {
        assumeThat(hasReader()).as("a DXF library is installed").isTrue();
        var design = design("tractor");
        var board = board(design);
        var file = folder.resolve("board.dxf");
        var out = folder.resolve("read.txt");
        var files = BoardFiles.of(design, board, UserUnits.METRIC);
        Files.writeString(file, files.dxf(), StandardCharsets.US_ASCII);

        int ended =
                run(
                        Path.of("/usr/bin/python3"),
                        List.of(
                                "-c",
                                """
                                import ezdxf, sys
                                from ezdxf import bbox
                                drawing = ezdxf.readfile(sys.argv[1])
                                audit = drawing.audit()
                                space = drawing.modelspace()
                                box = bbox.extents(space.query('POLYLINE'))
                                with open(sys.argv[2], 'w') as out:
                                    print(len(audit.errors), len(space.query('POLYLINE')),
                                          len(space.query('TEXT')), box.size.x, box.size.y, file=out)
                                """,
                                file.toString(),
                                out.toString()));

        assertThat(ended).isZero();
        var read = Files.readString(out).strip().split(" ");
        assertThat(read[0]).isEqualTo("0");
        assertThat(Integer.parseInt(read[1])).isGreaterThan(board.strands().size());
        assertThat(Integer.parseInt(read[2])).isGreaterThan(board.knots().size());
        var surface = board.trimmed().surface();
        assertThat(Double.parseDouble(read[3]))
                .isCloseTo(1000 * surface.wide().value(), within(1.0));
        assertThat(Double.parseDouble(read[4]))
                .isCloseTo(1000 * surface.high().value(), within(1.0));
    }
}
