package aficion.files;

import aficion.job.Job;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Copies of unsaved work in a folder, one for each running program, so that a program that is
 * killed loses next to nothing. A copy is a job file under a name that is never used again; its
 * program holds a lock beside it, and where the job has a file of its own the path of that stands
 * beside it too.
 */
public final class Recovery implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Recovery.class);
    private static final String BESIDE = ".path";
    private static final String LOCK = ".lock";

    private final Path folder;
    private final Path own;
    private Optional<JobLock> held = Optional.empty();

    /**
     * What a program that no longer runs has left behind; nobody else is offered it as long as it
     * is held.
     */
    public record Left(Path copy, Job job, Optional<Path> file, Instant at, JobLock held) {}

    public Recovery(Path folder) {
        this.folder = folder;
        this.own = folder.resolve(UUID.randomUUID() + JobStore.SUFFIX);
    }

    /** The usual folder of a user. */
    public static Path usualFolder() {
        return Folders.state().resolve("recovery");
    }

    private static Path beside(Path copy, String suffix) {
        return copy.resolveSibling(copy.getFileName() + suffix);
    }

    /**
     * Keeps a copy in place of the one before.
     *
     * @param file where the job itself is kept
     */
    public synchronized void keep(Job job, Optional<Path> file) throws IOException {
        if (held.isEmpty()) {
            held = JobLock.of(beside(own, LOCK));
        }
        if (file.isPresent()) {
            WholeFile.write(beside(own, BESIDE), file.get().toAbsolutePath().toString());
        } else {
            Files.deleteIfExists(beside(own, BESIDE));
        }
        WholeFile.write(own, JobCodec.write(job));
    }

    /** Throws the own copy away: everything is saved. */
    public synchronized void drop() throws IOException {
        discard(own, held);
        held = Optional.empty();
    }

    /** Throws away what was left. */
    public void discard(Left left) throws IOException {
        discard(left.copy(), Optional.of(left.held()));
    }

    private static void discard(Path copy, Optional<JobLock> held) throws IOException {
        Files.deleteIfExists(copy);
        Files.deleteIfExists(beside(copy, BESIDE));
        held.ifPresent(JobLock::close);
        Files.deleteIfExists(beside(copy, LOCK));
    }

    /** Ends like a program that is killed: the copy stays for the next one. */
    @Override
    public synchronized void close() {
        held.ifPresent(JobLock::close);
        held = Optional.empty();
    }

    /**
     * What programs that no longer run have left, oldest first. A copy that cannot be read is set
     * aside.
     */
    public List<Left> left() throws IOException {
        var found = new ArrayList<Left>();
        if (!Files.isDirectory(folder)) {
            return found;
        }
        try (var copies = Files.newDirectoryStream(folder, "*" + JobStore.SUFFIX)) {
            for (var copy : copies) {
                try {
                    var lock = JobLock.of(beside(copy, LOCK));
                    if (lock.isPresent()) {
                        read(copy, lock.get()).ifPresent(found::add);
                    }
                } catch (IOException e) {
                    LOG.warn("{} cannot be looked at", copy, e);
                }
            }
        }
        found.sort(Comparator.comparing(Left::at));
        return found;
    }

    private static Optional<Left> read(Path copy, JobLock lock) throws IOException {
        try {
            var job = JobStore.open(copy).job();
            var at = Files.getLastModifiedTime(copy).toInstant();
            return Optional.of(new Left(copy, job, file(beside(copy, BESIDE)), at, lock));
        } catch (IOException damaged) {
            lock.close();
            WholeFile.setAside(copy, damaged);
            Files.deleteIfExists(beside(copy, LOCK));
            return Optional.empty();
        }
    }

    /** Where the job is kept; as nowhere when what says so cannot be read. */
    private static Optional<Path> file(Path beside) {
        try {
            return Files.exists(beside)
                    ? Optional.of(Path.of(Files.readString(beside))).filter(Path::isAbsolute)
                    : Optional.empty();
        } catch (IOException | IllegalArgumentException damaged) {
            WholeFile.setAside(beside, damaged);
            return Optional.empty();
        }
    }
}
