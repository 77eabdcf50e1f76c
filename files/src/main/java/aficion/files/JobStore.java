package aficion.files;

import aficion.files.JobFileException.ChangedOutside;
import aficion.files.JobFileException.Damaged;
import aficion.files.JobFileException.TooLarge;
import aficion.files.JobFileException.Unreadable;
import aficion.files.JobFileException.Unwritable;
import aficion.job.Job;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Job files on disk. Saving writes beside, forces to disk, keeps what was there as {@code
 * name.previous.aficion}, then replaces; at no moment is there no whole file.
 */
public final class JobStore {
    /** What the name of a job file ends in. */
    public static final String SUFFIX = ".aficion";

    /** No job comes near this size. */
    static final long MOST_BYTES = 64L << 20;

    private JobStore() {}

    /**
     * A job and the bytes it was read from or written as, by which a change from outside is seen.
     *
     * @param text the exact content of the file
     */
    public record Stored(Job job, String text) {}

    /**
     * Opens a job; the file is only read.
     *
     * @throws JobFileException saying what is wrong, with line and field where they can be told
     */
    public static Stored open(Path path) throws JobFileException {
        var text = text(path);
        return new Stored(JobCodec.read(text), text);
    }

    private static String text(Path path) throws JobFileException {
        try {
            long size = Files.size(path);
            if (size > MOST_BYTES) {
                throw new JobFileException(new TooLarge(size, MOST_BYTES));
            }
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(Files.readAllBytes(path)))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new JobFileException(new Damaged(Optional.empty(), "", "not UTF-8 text"));
        } catch (JobFileException e) {
            throw e;
        } catch (IOException e) {
            throw new JobFileException(new Unreadable(reason(e)));
        }
    }

    /**
     * Saves a job.
     *
     * @param before what the file held when it was last opened or saved; empty to write whatever is
     *     there
     * @return what was written
     * @throws JobFileException when the file has changed since, or cannot be written; it is then as
     *     it was
     */
    public static Stored save(Path path, Job job, Optional<Stored> before) throws JobFileException {
        var target = path.toAbsolutePath();
        if (before.isPresent() && Files.exists(target) && !same(target, before.get().text())) {
            throw new JobFileException(new ChangedOutside(target));
        }
        var text = JobCodec.write(job);
        Path beside = null;
        try {
            beside = hidden(target, "writing");
            write(beside, text);
            if (Files.exists(target)) {
                keep(target);
            }
            Files.move(
                    beside,
                    target,
                    StandardCopyOption.ATOMIC_MOVE,
                    StandardCopyOption.REPLACE_EXISTING);
            return new Stored(job, text);
        } catch (IOException e) {
            remove(beside);
            throw new JobFileException(new Unwritable(target, reason(e)));
        }
    }

    /** Where the version before the last save is kept. */
    public static Path previous(Path path) {
        var name = path.getFileName().toString();
        var stem =
                name.endsWith(SUFFIX) ? name.substring(0, name.length() - SUFFIX.length()) : name;
        return path.resolveSibling(stem + ".previous" + SUFFIX);
    }

    private static boolean same(Path path, String text) throws JobFileException {
        try {
            return Arrays.equals(Files.readAllBytes(path), text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new JobFileException(new Unreadable(reason(e)));
        }
    }

    private static void write(Path path, String text) throws IOException {
        try (var channel =
                FileChannel.open(
                        path,
                        StandardOpenOption.CREATE,
                        StandardOpenOption.WRITE,
                        StandardOpenOption.TRUNCATE_EXISTING)) {
            var bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
            channel.force(true);
        }
    }

    /**
     * A name beside a file that only this process uses, so that no one else's half-written file is
     * taken for ours.
     */
    private static Path hidden(Path target, String what) {
        return target.resolveSibling(
                "." + target.getFileName() + "." + ProcessHandle.current().pid() + "." + what);
    }

    private static void keep(Path target) throws IOException {
        var copy = hidden(target, "keeping");
        Files.copy(
                target,
                copy,
                StandardCopyOption.REPLACE_EXISTING,
                StandardCopyOption.COPY_ATTRIBUTES);
        Files.move(
                copy,
                previous(target),
                StandardCopyOption.ATOMIC_MOVE,
                StandardCopyOption.REPLACE_EXISTING);
    }

    private static void remove(@Nullable Path beside) {
        if (beside != null) {
            try {
                Files.deleteIfExists(beside);
            } catch (IOException e) {
                beside.toFile().deleteOnExit();
            }
        }
    }

    private static String reason(IOException e) {
        return e.getClass().getSimpleName() + ": " + e.getMessage();
    }
}
