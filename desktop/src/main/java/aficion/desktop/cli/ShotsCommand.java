package aficion.desktop.cli;

import aficion.desktop.shell.Shots;
import aficion.job.Job;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Command;

/** Renders each main view of a job to PNG at 1280 by 800, on the platform the program runs on. */
@Command(name = "shots", description = "Renders each main view of a job to PNG at 1280 x 800.")
final class ShotsCommand extends Commands.IntoFolder {
    @Override
    List<Path> write(Job job, Path folder) throws IOException {
        return Shots.take(job, folder);
    }
}
