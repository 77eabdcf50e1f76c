package aficion.desktop.cli;

import aficion.desktop.shell.AficionApp;
import aficion.files.CsvFile;
import aficion.files.DemoJobs;
import aficion.files.JobFileException;
import aficion.files.JobStore;
import aficion.job.Job;
import aficion.words.Troubles;
import aficion.words.Words;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** The commands of the program. Bad input ends with 2 and one line that says what to do. */
@Command(
        name = "aficion",
        description = "The bench companion of a person who rewires an old vehicle.",
        mixinStandardHelpOptions = true,
        version = "Aficion 0.1.0",
        subcommands = {
            Commands.Demo.class,
            CheckCommand.class,
            SolveCommand.class,
            ReportCommand.class,
            ExportCommand.class,
            SweepCommand.class,
            BenchCommand.class,
            ReasonCommand.class,
            IdentifyCommand.class,
            RepinCommand.class,
            PlanCommand.class,
            PowerCommand.class,
            ConvertCommand.class,
            StandInCommand.class,
            ShotsCommand.class,
            RehearseCommand.class
        })
public final class Commands implements Callable<Integer> {
    /** Returned when a window was opened and has been closed again. */
    public static final int WINDOW_OPEN = -1;

    static final int FOUND_DANGER = 1;
    static final int BAD_INPUT = 2;
    static final int FAILED = 3;
    private static final String DEMO = "demo:";
    private static final Logger LOG = LoggerFactory.getLogger(Commands.class);

    @Parameters(
            arity = "0..1",
            paramLabel = "JOB",
            description = "a job file to open in the window")
    private String job;

    /** Bad input, said in words. */
    static final class BadInput extends RuntimeException {
        private static final long serialVersionUID = 1;

        BadInput(String words) {
            super(words);
        }
    }

    /** Runs the program and returns its exit code. */
    public static int run(String[] arguments) {
        return run(new PrintWriter(System.out, true), new PrintWriter(System.err, true), arguments);
    }

    /** The same with its output elsewhere. */
    public static int run(PrintWriter out, PrintWriter err, String... arguments) {
        try {
            return opened(arguments)
                    .map(Commands::window)
                    .orElseGet(() -> execute(out, err, arguments));
        } catch (Error e) {
            return failed(err, e);
        }
    }

    /**
     * The job that a window is to show, where a demo that there is or a file is all that is asked
     * for: then the window need not wait for the arguments to be parsed.
     */
    private static Optional<List<String>> opened(String... arguments) {
        var words = List.of(arguments);
        if (words.isEmpty()) {
            return Optional.of(List.of());
        }
        if (words.getFirst().equals(Demo.NAME) && words.size() <= 2) {
            var name = words.size() == 2 ? words.getLast() : Demo.USUAL;
            return DemoJobs.names().contains(name)
                    ? Optional.of(List.of(DEMO + name))
                    : Optional.empty();
        }
        boolean file = words.size() == 1 && words.getFirst().endsWith(JobStore.SUFFIX);
        return file ? Optional.of(words) : Optional.empty();
    }

    private static int execute(PrintWriter out, PrintWriter err, String... arguments) {
        return new CommandLine(new Commands())
                .setOut(out)
                .setErr(err)
                .setExecutionExceptionHandler((exception, line, _) -> {
                    if (exception instanceof BadInput) {
                        line.getErr().println(exception.getMessage());
                        return BAD_INPUT;
                    }
                    return failed(line.getErr(), exception);
                })
                .execute(arguments);
    }

    /** A fault of the program, not of what it was given: one line, and the rest into the log. */
    private static int failed(PrintWriter err, Throwable why) {
        LOG.debug("the command failed", why);
        err.println(Words.of("cli.failed", String.valueOf(why).lines().findFirst().orElse("")));
        return FAILED;
    }

    @Override
    public Integer call() {
        return window(job == null ? List.of() : List.of(job));
    }

    private static int window(List<String> jobs) {
        for (var name : jobs) {
            if (name.startsWith(DEMO)) {
                demo(name.substring(DEMO.length()));
            }
        }
        AficionApp.open(jobs);
        return WINDOW_OPEN;
    }

    @Command(name = Demo.NAME, description = "Starts with a demo job.")
    static final class Demo implements Callable<Integer> {
        static final String NAME = "demo";
        static final String USUAL = "roadster";

        @Parameters(
                arity = "0..1",
                paramLabel = "NAME",
                defaultValue = USUAL,
                description = "roadster, motorcycle or tractor")
        private String name;

        @Override
        public Integer call() {
            return window(List.of(DEMO + name));
        }
    }

    /** The job of a file, or of {@code demo:} and a name. */
    static Job load(String name) {
        if (name.startsWith(DEMO)) {
            return DemoJobs.find(demo(name.substring(DEMO.length()))).orElseThrow();
        }
        var path = path(name);
        try {
            return JobStore.open(path).job();
        } catch (JobFileException e) {
            throw new BadInput(
                    Words.of("problem.open.title", name) + ": " + Troubles.say(e.trouble(), path));
        }
    }

    /** The name of a demo that there is. */
    private static String demo(String name) {
        if (!DemoJobs.names().contains(name)) {
            throw new BadInput(
                    Words.of("cli.unknown.demo", name, String.join(", ", DemoJobs.names())));
        }
        return name;
    }

    /** A file as the operating system knows it. */
    private static Path path(String name) {
        try {
            return Path.of(name);
        } catch (InvalidPathException e) {
            throw new BadInput(Words.of("cli.no.path", e.getReason()));
        }
    }

    /**
     * What a table says that somebody wrote.
     *
     * @throws BadInput when it cannot be read, with the line and what is wrong there
     */
    static <T> T table(String name, Function<CsvFile, T> reading) {
        var path = path(name);
        try {
            return reading.apply(CsvFile.read(path));
        } catch (IllegalArgumentException | IOException e) {
            throw new BadInput(Words.of("cli.list", name, String.valueOf(e.getMessage())));
        }
    }

    /** The job every command works on. */
    static final class JobArgument {
        @Parameters(
                index = "0",
                paramLabel = "JOB",
                description = "a file, or demo:roadster, demo:motorcycle, demo:tractor")
        private String name;

        Job load() {
            return Commands.load(name);
        }

        /** Its file; empty for a demo. */
        Optional<Path> path() {
            return name.startsWith(DEMO) ? Optional.empty() : Optional.of(Commands.path(name));
        }
    }

    /** For commands that write lines. */
    abstract static class Printing implements Callable<Integer> {
        @Spec private CommandSpec spec;

        PrintWriter out() {
            return spec.commandLine().getOut();
        }

        PrintWriter err() {
            return spec.commandLine().getErr();
        }

        /** What prints a table, line by line. */
        CSVPrinter printer() throws IOException {
            return CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(out());
        }
    }

    /** For commands that write files into a folder. */
    abstract static class IntoFolder extends Printing {
        @Mixin private JobArgument job;

        @Parameters(
                index = "1",
                paramLabel = "DIR",
                description = "the folder to write to; made when it is not there")
        private Path folder;

        JobArgument job() {
            return job;
        }

        /** Writes the files and returns them. */
        abstract List<Path> write(Job job, Path folder) throws IOException;

        @Override
        public Integer call() {
            var loaded = job.load();
            try {
                Files.createDirectories(folder);
                write(loaded, folder).forEach(path -> out().println(Words.of("cli.wrote", path)));
                return 0;
            } catch (IOException e) {
                throw new BadInput(
                        Words.of("problem.export.title", folder) + ": " + e.getMessage());
            }
        }
    }
}
