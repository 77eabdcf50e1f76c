package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.desktop.shell.Shots;
import aficion.words.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/** Renders each main view of a job to PNG at 1280 by 800, on the platform the program runs on. */
@Command(name = "shots", description = "Renders each main view of a job to PNG at 1280 x 800.")
final class ShotsCommand extends Commands.Printing {
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
            for (var path : Shots.take(loaded, folder)) {
                out().println(Words.of("cli.wrote", path));
            }
            return 0;
        } catch (IOException e) {
            throw new BadInput(Words.of("problem.export.title", folder) + ": " + e.getMessage());
        }
    }
}
