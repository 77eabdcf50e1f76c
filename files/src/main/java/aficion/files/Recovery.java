package aficion.files;

import aficion.job.Job;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongPredicate;

/**
 * Copies of unsaved work in a folder, one for each running program, so that a program that is
 * killed loses next to nothing. A copy is a job file named by the number of its process; beside it
 * stands, where the job has a file of its own, the path of that.
 */
public final class Recovery {
    private static final String BESIDE = ".path";

    private final Path folder;
    private final long process;

    /** What another program has left behind. */
    public record Left(Path copy, Job job, Optional<Path> file, Instant at) {}

    public Recovery(Path folder, long process) {
        this.folder = folder;
        this.process = process;
    }

    /** The usual folder of a user. */
    public static Path usualFolder() {
        var state = System.getenv("XDG_STATE_HOME");
        var home = Path.of(System.getProperty("user.home"));
        return (state == null || state.isBlank() ? home.resolve(".local/state") : Path.of(state))
                .resolve("aficion/recovery");
    }

    private Path copy() {
        return folder.resolve(process + JobStore.SUFFIX);
    }

    private static Path beside(Path copy) {
        return copy.resolveSibling(copy.getFileName() + BESIDE);
    }

    /**
     * Keeps a copy in place of the one before.
     *
     * @param file where the job itself is kept
     */
    public void keep(Job job, Optional<Path> file) throws IOException {
        Files.createDirectories(folder);
        if (file.isPresent()) {
            Texts.replace(beside(copy()), file.get().toAbsolutePath().toString());
        } else {
            Files.deleteIfExists(beside(copy()));
        }
        Texts.replace(copy(), JobCodec.write(job));
    }

    /** Throws the own copy away: everything is saved. */
    public void drop() throws IOException {
        discard(copy());
    }

    /** Throws away what was left. */
    public void discard(Left left) throws IOException {
        discard(left.copy());
    }

    private static void discard(Path copy) throws IOException {
        Files.deleteIfExists(copy);
        Files.deleteIfExists(beside(copy));
    }

    /**
     * What programs that no longer run have left, oldest first; copies that cannot be read are left
     * where they are.
     *
     * @param runs whether the process of a number still runs
     */
    public List<Left> left(LongPredicate runs) throws IOException {
        var found = new ArrayList<Left>();
        if (!Files.isDirectory(folder)) {
            return found;
        }
        try (var copies = Files.newDirectoryStream(folder, "*" + JobStore.SUFFIX)) {
            for (var copy : copies) {
                if (!runs.test(number(copy))) {
                    read(copy).ifPresent(found::add);
                }
            }
        }
        found.sort((one, other) -> one.at().compareTo(other.at()));
        return found;
    }

    private static long number(Path copy) {
        var name = copy.getFileName().toString().replace(JobStore.SUFFIX, "");
        try {
            return Long.parseLong(name);
        } catch (NumberFormatException notOurs) {
            return -1;
        }
    }

    private static Optional<Left> read(Path copy) throws IOException {
        try {
            var job = JobStore.open(copy).job();
            var beside = beside(copy);
            var file =
                    Files.exists(beside)
                            ? Optional.of(Path.of(Files.readString(beside)))
                            : Optional.<Path>empty();
            return Optional.of(
                    new Left(copy, job, file, Files.getLastModifiedTime(copy).toInstant()));
        } catch (JobFileException damaged) {
            return Optional.empty();
        }
    }
}
