package aficion.desktop.cli;

import aficion.charge.AnotherSource.Candidate;
import aficion.convert.Conversion;
import aficion.files.Candidates;
import aficion.files.JobFileException;
import aficion.files.JobStore;
import aficion.files.PartsBook;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Vehicle.Pole;
import aficion.quantity.Volts;
import aficion.words.ConvertWords;
import aficion.words.Troubles;
import aficion.words.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * Takes a job to other volts or to the other earthed pole: writes the job that it becomes, which
 * keeps the one before as found, and prints what is done with each part. Wires that follow go to
 * the error output.
 */
@Command(name = "convert", description = "Takes a job to other volts or to the other earthed pole.")
final class ConvertCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Parameters(index = "1", paramLabel = "OUT", description = "the job file to write")
    private Path out;

    @Option(names = "--volts", paramLabel = "6|12|24", description = "the volts it shall have")
    private @Nullable Integer volts;

    @Option(
            names = "--earth",
            paramLabel = "negative|positive",
            description = "the pole that shall be earthed")
    private @Nullable String earth;

    @Option(
            names = "--source",
            paramLabel = "ID",
            description = "a source of the shelf to put in, such as alternator-one-wire")
    private @Nullable String source;

    @Override
    public Integer call() throws IOException {
        var loaded = job.load();
        var vehicle = loaded.design().vehicle();
        var system = volts == null ? vehicle.system() : new Volts(volts);
        Conversion conversion;
        try {
            conversion =
                    Conversion.of(
                            loaded.design(),
                            system,
                            pole().orElse(vehicle.earthed()),
                            source(loaded.design(), system));
        } catch (IllegalArgumentException e) {
            throw new Commands.BadInput(Words.of("cli.convert", e.getMessage()));
        }
        write(loaded, conversion);
        var words = new ConvertWords(conversion.design());
        var printer = printer();
        printer.printRecord("part", "action", "why");
        for (var change : conversion.changes()) {
            printer.printRecord(
                    change.part(), Words.of("convert", change.action()), words.why(change));
        }
        printer.flush();
        for (var change : conversion.besides()) {
            err().println(words.besides(change));
        }
        return 0;
    }

    private Optional<Candidate> source(Design design, Volts system) {
        if (source == null) {
            return Optional.empty();
        }
        var vehicle = design.vehicle();
        var all = Candidates.of(design, PartsBook.shipped(vehicle));
        return Optional.of(
                all.stream()
                        .filter(each -> each.id().equals(source))
                        .findFirst()
                        .map(each -> Candidates.made(each, vehicle, system))
                        .orElseThrow(() ->
                                new Commands.BadInput(
                                        Words.of(
                                                "cli.source",
                                                source,
                                                all.stream()
                                                        .map(Candidate::id)
                                                        .collect(Collectors.joining(", "))))));
    }

    private Optional<Pole> pole() {
        if (earth == null) {
            return Optional.empty();
        }
        return switch (earth) {
            case "negative" -> Optional.of(Pole.NEGATIVE);
            case "positive" -> Optional.of(Pole.POSITIVE);
            default -> throw new Commands.BadInput(Words.of("cli.earth", earth));
        };
    }

    private void write(Job before, Conversion conversion) {
        if (Files.isDirectory(out)) {
            throw new Commands.BadInput(Words.of("problem.save.title", out));
        }
        var work = before.work();
        var kept =
                work.with(
                        work.survey()
                                .with(
                                        work.survey()
                                                .found()
                                                .or(() -> Optional.of(before.design()))));
        try {
            JobStore.save(out, before.with(kept).with(conversion.design()), Optional.empty());
        } catch (JobFileException e) {
            throw new Commands.BadInput(
                    Words.of("problem.save.title", out) + ": " + Troubles.say(e.trouble(), out));
        }
    }
}
