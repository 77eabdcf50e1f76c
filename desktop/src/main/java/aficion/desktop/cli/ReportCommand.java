package aficion.desktop.cli;

import aficion.bench.BenchPlan;
import aficion.desktop.cli.Commands.BadInput;
import aficion.diagram.Layout;
import aficion.files.sheet.FontWidth;
import aficion.files.sheet.ScheduleTable;
import aficion.files.sheet.Sheets;
import aficion.job.Job;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.solve.Solver;
import aficion.words.DrawingWords;
import aficion.words.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/**
 * Writes the wire schedule (PDF and CSV), and the path and bench sheet of every circuit, into a
 * folder.
 */
@Command(name = "report", description = "Writes every sheet of a job into a folder.")
final class ReportCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Parameters(
            index = "1",
            paramLabel = "DIR",
            description = "the folder to write to; made when it is not there")
    private Path folder;

    @Override
    public Integer call() {
        var loaded = job.load();
        try {
            Files.createDirectories(folder);
            write(loaded);
            return 0;
        } catch (IOException e) {
            throw new BadInput(Words.of("problem.export.title", folder) + ": " + e.getMessage());
        }
    }

    private void write(Job job) throws IOException {
        var units = UserUnits.METRIC;
        var assessment = Assessment.of(job);
        var csv = new StringBuilder();
        ScheduleTable.writeCsv(csv, assessment, units);
        write("schedule.csv", csv.toString().getBytes(StandardCharsets.UTF_8));
        write("schedule.pdf", Sheets.schedule(assessment, units));
        var width = new FontWidth();
        var lettering = new DrawingWords(job, units, text -> width.of(text, DrawingWords.SIZE) + 3);
        var solver = new Solver(assessment.netlist());
        for (var circuit : job.circuits()) {
            write(
                    "path-" + circuit.id() + ".pdf",
                    Sheets.path(job, Layout.of(job, circuit.id(), lettering)));
            write(
                    "bench-" + circuit.id() + ".pdf",
                    Sheets.bench(job, BenchPlan.of(solver, circuit.id()), units));
        }
    }

    private void write(String name, byte[] content) throws IOException {
        var path = folder.resolve(name);
        Files.write(path, content);
        out().println(Words.of("cli.wrote", path));
    }
}
