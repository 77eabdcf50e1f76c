package aficion.files;

import aficion.files.JobFileException.ChangedOutside;
import aficion.files.JobFileException.Damaged;
import aficion.files.JobFileException.NoFile;
import aficion.files.JobFileException.TooLarge;
import aficion.files.JobFileException.Unreadable;
import aficion.files.JobFileException.Unwritable;
import aficion.job.Job;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;

/**
 * Job files on disk. Saving keeps what was there as {@code name.previous.aficion} and then replaces
 * it; at no moment is there no whole file. A link stays a link: what it points at is read and
 * written.
 */
public final class JobStore {
    /** What the name of a job file ends in. */
    public static final String SUFFIX = ".aficion";

    private static final String PREVIOUS = ".previous";

    /** What file systems take, bytes. */
    private static final int LONGEST_NAME = 255;

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

    /** The file itself, whatever name or link it is reached by. */
    static Path real(Path path) {
        var whole = path.toAbsolutePath().normalize();
        try {
            if (Files.exists(whole)) {
                return whole.toRealPath();
            }
            var parent = whole.getParent();
            return parent != null && Files.exists(parent)
                    ? parent.toRealPath().resolve(whole.getFileName())
                    : whole;
        } catch (IOException unreachable) {
            return whole;
        }
    }

    private static String text(Path path) throws JobFileException {
        try {
            if (Files.exists(path) && !Files.isRegularFile(path)) {
                throw new JobFileException(new NoFile());
            }
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
        var target = real(path);
        if (Files.exists(target) && !Files.isRegularFile(target)) {
            throw new JobFileException(new NoFile());
        }
        if (before.isPresent() && Files.exists(target) && !same(target, before.get().text())) {
            throw new JobFileException(new ChangedOutside(target));
        }
        var text = JobCodec.write(job);
        try {
            if (Files.exists(target)) {
                WholeFile.copy(target, previous(target));
            } else if (!Files.isDirectory(target.getParent())) {
                throw new NoSuchFileException(target.getParent().toString());
            }
            WholeFile.write(target, text);
            return new Stored(job, text);
        } catch (IOException e) {
            throw new JobFileException(new Unwritable(target, reason(e)));
        }
    }

    /** Where the version before the last save is kept: {@code x.previous.aficion}. */
    public static Path previous(Path path) {
        var name = real(path).getFileName().toString();
        boolean ours = name.endsWith(SUFFIX);
        var stem = ours ? name.substring(0, name.length() - SUFFIX.length()) : name;
        var end = PREVIOUS + (ours ? SUFFIX : "");
        while ((stem + end).getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME) {
            stem = stem.substring(0, stem.offsetByCodePoints(stem.length(), -1));
        }
        return real(path).resolveSibling(stem + end);
    }

    private static boolean same(Path path, String text) throws JobFileException {
        try {
            return Arrays.equals(Files.readAllBytes(path), text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new JobFileException(new Unreadable(reason(e)));
        }
    }

    /** What is wrong where a file cannot be written. */
    public static JobFileException.Trouble unwritable(Path path, IOException why) {
        return new Unwritable(path, reason(why));
    }

    /** Why, in the words of the operating system, without the name of a class or of the file. */
    static String reason(IOException e) {
        return switch (e) {
            case NoSuchFileException _ -> "no such file or folder";
            case AccessDeniedException _ -> "not allowed";
            case FileSystemException system when system.getReason() != null -> system.getReason();
            default -> e.getMessage() == null ? "it could not be read or written" : e.getMessage();
        };
    }
}
