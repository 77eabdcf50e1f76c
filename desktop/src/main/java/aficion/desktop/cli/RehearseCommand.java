package aficion.desktop.cli;

import aficion.desktop.shell.Shots;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.Writer;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/**
 * Goes once through what every start does, off-screen, so that the start script can have it
 * remembered for the next (ahead-of-time cache).
 */
@Command(name = "rehearse", hidden = true, description = "Goes once through a start and ends.")
final class RehearseCommand implements Callable<Integer> {
    private static final String JOB = "demo:roadster";

    @Override
    public Integer call() throws IOException {
        var silent = new PrintWriter(Writer.nullWriter());
        Commands.run(silent, silent, "check", JOB);
        Shots.rehearse(Commands.load(JOB));
        return 0;
    }
}
