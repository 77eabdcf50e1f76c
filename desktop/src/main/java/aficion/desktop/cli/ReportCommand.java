package aficion.desktop.cli;

import aficion.bench.BenchPlan;
import aficion.bench.reason.FaultTable;
import aficion.charge.Balance;
import aficion.charge.Situation;
import aficion.diagram.Diagram;
import aficion.diagram.Layout;
import aficion.files.FileNames;
import aficion.files.Library;
import aficion.files.Photographs;
import aficion.files.sheet.BoardFiles;
import aficion.files.sheet.FontWidth;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.HandOver;
import aficion.files.sheet.LabelSheet;
import aficion.files.sheet.Listings;
import aficion.files.sheet.PaperFormat;
import aficion.files.sheet.PowerSheet;
import aficion.files.sheet.ScheduleTable;
import aficion.files.sheet.ShapeFiles;
import aficion.files.sheet.Sheets;
import aficion.files.sheet.StepSheet;
import aficion.forming.FormingBoard;
import aficion.forming.FormingBoard.Fit;
import aficion.forming.Loom;
import aficion.job.Design;
import aficion.job.Job;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.stock.Stock;
import aficion.words.DrawingWords;
import aficion.words.Speech;
import aficion.words.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.Command;

/**
 * Writes the wire schedule, labels, cut list, ends and what is bought (PDF and CSV), the path and
 * bench sheet of every circuit, source against loads, and shapes at full size, into a folder.
 */
@Command(name = "report", description = "Writes every sheet of a job into a folder.")
final class ReportCommand extends Commands.IntoFolder {
    @Override
    List<Path> write(Job job, Path folder) throws IOException {
        var design = job.design();
        var units = UserUnits.METRIC;
        var written = new ArrayList<Path>();
        var assessment = Assessment.of(design);
        var stock = stock();
        var csv = new StringBuilder();
        ScheduleTable.writeCsv(csv, assessment, units);
        written.add(Files.writeString(folder.resolve("schedule.csv"), csv, StandardCharsets.UTF_8));
        written.add(
                Files.write(folder.resolve("schedule.pdf"), Sheets.schedule(assessment, units)));
        for (var kind : Listings.Kind.values()) {
            var listing = kind.of(job, stock, units);
            var text = new StringBuilder();
            listing.writeCsv(text);
            var name = listing.name();
            written.add(
                    Files.writeString(folder.resolve(name + ".csv"), text, StandardCharsets.UTF_8));
            written.add(
                    Files.write(folder.resolve(name + ".pdf"), Sheets.listing(design, listing)));
        }
        written.add(
                Files.write(
                        folder.resolve("findings.pdf"),
                        Sheets.findings(assessment, job.work(), units)));
        var width = new FontWidth();
        var lettering =
                new DrawingWords(design, units, text -> width.of(text, DrawingWords.SIZE) + 3);
        var looms = Loom.of(design);
        var steps = new StepSheet(job, stock, units);
        written.add(Files.write(folder.resolve("labels-sheet.pdf"), LabelSheet.USUAL.of(design)));
        var apart = steps.apart(looms);
        if (apart.isPresent()) {
            written.add(Files.write(folder.resolve("steps-0.pdf"), apart.get()));
        }
        for (var loom : looms) {
            written.add(
                    Files.write(folder.resolve("steps-" + loom.number() + ".pdf"), steps.of(loom)));
            switch (FormingBoard.asNeeded(loom)) {
                case Fit.Fits(var board) -> written.addAll(board(design, board, units, folder));
                case Fit.TooSmall small ->
                        err().println(
                                        Words.of(
                                                "cli.board",
                                                loom.number(),
                                                new Speech(design, units)
                                                        .station(small.station())));
            }
        }
        var diagrams = new ArrayList<Diagram>();
        for (var circuit : design.circuits()) {
            var name = FileNames.of(circuit.id().value());
            var diagram = Layout.of(design, circuit.id(), lettering);
            diagrams.add(diagram);
            var path = Sheets.path(design, diagram);
            var bench =
                    Sheets.bench(
                            job,
                            BenchPlan.telling(
                                    FaultTable.of(assessment.netlist(), circuit.id()),
                                    circuit.id()),
                            units);
            written.add(Files.write(folder.resolve("path-" + name + ".pdf"), path));
            written.add(Files.write(folder.resolve("bench-" + name + ".pdf"), bench));
        }
        written.addAll(sums(job, units, folder));
        var photographs = Photographs.usual();
        var file = job().path();
        var handOver =
                new HandOver(job, assessment, stock, units)
                        .book(diagrams, picture -> photographs.bytes(picture, file));
        written.add(Files.write(folder.resolve("hand-over.pdf"), handOver));
        return written;
    }

    /** Source against loads, and the shapes that were set down, at full size. */
    private static List<Path> sums(Job job, UserUnits units, Path folder) throws IOException {
        var written = new ArrayList<Path>();
        var sums = job.work().sums();
        written.add(Files.write(folder.resolve("power.pdf"), PowerSheet.of(job, units)));
        var csv = new StringBuilder();
        var night = Situation.find(job.design(), Situation.WET_NIGHT).orElseThrow();
        var balance = Balance.of(job.design(), night, sums);
        PowerSheet.writeCsv(balance, csv);
        written.add(
                Files.writeString(
                        folder.resolve("power.svg"),
                        PowerSheet.svg(job.design(), balance, units),
                        StandardCharsets.UTF_8));
        written.add(Files.writeString(folder.resolve("power.csv"), csv, StandardCharsets.UTF_8));
        for (var shape : ShapeFiles.of(job, units)) {
            written.addAll(write(shape.files(), folder, shape.name()));
        }
        return written;
    }

    /** What is in stock; nothing, and that is said, where its file cannot be read. */
    private Stock stock() {
        try {
            return Library.usual().stock();
        } catch (IOException unreadable) {
            err().println(Words.of("cli.stock", unreadable.getMessage()));
            return Stock.EMPTY;
        }
    }

    /** The forming board of a loom: tiles, one page, SVG and DXF, all at full size. */
    private static List<Path> board(Design design, FormingBoard board, UserUnits units, Path folder)
            throws IOException {
        return write(BoardFiles.of(design, board, units), folder, "board-" + board.loom().number());
    }

    private static List<Path> write(FullSizeFiles files, Path folder, String name)
            throws IOException {
        var written = new ArrayList<Path>();
        for (var kind : FullSizeFiles.Kind.values()) {
            written.add(
                    Files.write(
                            folder.resolve(name + kind.ending()), kind.of(files, PaperFormat.A4)));
        }
        return written;
    }
}
