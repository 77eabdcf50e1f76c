package aficion.files;

import aficion.job.Job;
import aficion.job.Photograph;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Photographs as files beside the job they are of, in a folder called after it. A picture that is
 * taken in is kept at once, in a pool of the user's, whether the job has a file yet or not, and
 * laid beside the job when that is saved: it is never lost in between. It is called after what is
 * in it, so that nothing ever takes its place.
 */
public final class Photographs {
    private static final Logger LOG = LoggerFactory.getLogger(Photographs.class);
    private static final String FOLDER = ".photographs";

    /** No camera makes larger ones, bytes. */
    static final long MOST_BYTES = 60L << 20;

    /** Nor of more points. */
    private static final long MOST_POINTS = 200_000_000;

    private static final int DIGITS = 32;

    /** How coders call what they can read, and how its files end. */
    private static final Map<String, String> CODED =
            Map.of("png", "png", "jpeg", "jpg", "jpg", "jpg", "gif", "gif", "bmp", "bmp");

    private final Path pool;

    /**
     * @param pool where pictures wait for their job to be saved
     */
    public Photographs(Path pool) {
        this.pool = pool;
    }

    /** The usual pool of a user. */
    public static Photographs usual() {
        return new Photographs(Folders.state().resolve("photographs"));
    }

    /** The folder of a job's pictures. */
    public static Path folder(Path job) {
        var real = JobStore.real(job);
        var name = real.getFileName().toString();
        var stem =
                name.endsWith(JobStore.SUFFIX)
                        ? name.substring(0, name.length() - JobStore.SUFFIX.length())
                        : name;
        return real.resolveSibling(stem + FOLDER);
    }

    /**
     * Takes in a picture from a file, which stays as it is.
     *
     * @throws IllegalArgumentException when it is no picture, or too large a one
     * @throws IOException when it cannot be read or kept
     */
    public Photograph take(Path picture, String words) throws IOException {
        if (!Files.isRegularFile(picture)) {
            throw new IllegalArgumentException("it is no file");
        }
        if (Files.size(picture) > MOST_BYTES) {
            throw new IllegalArgumentException(
                    "it has " + (Files.size(picture) >> 20) + " MB, and 60 MB is the most");
        }
        return take(Files.readAllBytes(picture), words);
    }

    /**
     * Takes in a picture as it is coded.
     *
     * @throws IllegalArgumentException when it is no picture, or too large a one
     * @throws IOException when it cannot be kept
     */
    public Photograph take(byte[] picture, String words) throws IOException {
        var photograph = new Photograph(digest(picture) + "." + coded(picture), words);
        var kept = pool.resolve(photograph.file());
        if (!Files.exists(kept)) {
            WholeFile.write(kept, picture);
        }
        return photograph;
    }

    private static String digest(byte[] picture) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(picture))
                    .substring(0, DIGITS);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** How a picture is coded, once its head has been read. */
    private static String coded(byte[] picture) throws IOException {
        try (var stream = ImageIO.createImageInputStream(new ByteArrayInputStream(picture))) {
            var readers = ImageIO.getImageReaders(stream);
            if (readers.hasNext()) {
                var reader = readers.next();
                var ending = CODED.get(reader.getFormatName().toLowerCase(Locale.ROOT));
                reader.setInput(stream, true, true);
                long points = (long) reader.getWidth(0) * reader.getHeight(0);
                reader.dispose();
                if (points > MOST_POINTS) {
                    throw new IllegalArgumentException("it has more points than any camera makes");
                }
                if (ending != null) {
                    return ending;
                }
            }
        } catch (IOException | IndexOutOfBoundsException damaged) {
            throw new IllegalArgumentException("it is a damaged picture", damaged);
        }
        throw new IllegalArgumentException("it is no picture (PNG, JPEG, GIF or BMP)");
    }

    /** Where a picture is; empty where it is missing. */
    public Optional<Path> find(String file, Optional<Path> job) {
        return Stream.concat(job.map(Photographs::folder).stream(), Stream.of(pool))
                .map(folder -> folder.resolve(file))
                .filter(Files::isRegularFile)
                .findFirst();
    }

    /** The pictures of a job that are missing. */
    public List<Photograph> missing(Job job, Optional<Path> path) {
        return job.work().survey().photographs().stream()
                .filter(photograph -> find(photograph.file(), path).isEmpty())
                .toList();
    }

    /**
     * Lays the pictures of a job beside its file, wherever they are so far.
     *
     * @param before the file it was opened from, if another
     * @throws IOException when one of them cannot be laid there; those in the pool stay there then
     */
    public void settle(Job job, Path path, Optional<Path> before) throws IOException {
        var photographs = job.work().survey().photographs();
        if (photographs.isEmpty()) {
            return;
        }
        var folder = folder(path);
        Files.createDirectories(folder);
        for (var photograph : photographs) {
            var there = folder.resolve(photograph.file());
            var source = find(photograph.file(), before);
            if (!Files.exists(there) && source.isPresent()) {
                WholeFile.copy(source.get(), there);
            }
            var waiting = pool.resolve(photograph.file());
            if (Files.exists(there)
                    && Files.exists(waiting)
                    && Files.size(there) == Files.size(waiting)) {
                Files.deleteIfExists(waiting);
            }
        }
    }

    /** The bytes of a picture; empty, and that is logged, where they cannot be read. */
    public Optional<byte[]> bytes(String file, Optional<Path> job) {
        return find(file, job)
                .flatMap(path -> {
                    try {
                        return Optional.of(Files.readAllBytes(path));
                    } catch (IOException unreadable) {
                        LOG.warn("a photograph cannot be read", unreadable);
                        return Optional.empty();
                    }
                });
    }
}
