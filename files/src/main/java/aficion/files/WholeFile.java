package aficion.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Files that are whole at any time: the old one, or the new one. Writing goes beside, is forced to
 * disk, then takes the place of what was there. What a killed program has left beside is cleared
 * away by the next that writes there.
 */
final class WholeFile {
    private static final Logger LOG = LoggerFactory.getLogger(WholeFile.class);

    /** Short, so that it fits wherever the name of the file itself does. */
    private static final Pattern BESIDE = Pattern.compile("\\.aficion-(\\d{1,18})-\\d+\\.writing");

    private static final AtomicLong WRITTEN = new AtomicLong();

    private WholeFile() {}

    /** Puts a text in the place of a file; makes the folder where it is missing. */
    static void write(Path path, String text) throws IOException {
        write(path, text.getBytes(StandardCharsets.UTF_8));
    }

    /** The same with bytes. */
    static void write(Path path, byte[] bytes) throws IOException {
        var folder = path.getParent();
        Files.createDirectories(folder);
        clear(folder);
        var fresh = beside(folder);
        try {
            fill(fresh, bytes);
            asPrivate(path, fresh);
            place(fresh, path);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }

    /** Copies a file in the place of another, with its times and rights. */
    static void copy(Path from, Path to) throws IOException {
        var fresh = beside(to.getParent());
        try {
            Files.copy(
                    from,
                    fresh,
                    StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.COPY_ATTRIBUTES);
            place(fresh, to);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }

    /** Puts a file that cannot be read out of the way, and says so; it is not lost. */
    static void setAside(Path path, Exception why) {
        var aside = path.resolveSibling(path.getFileName() + ".unreadable");
        try {
            Files.move(path, aside, StandardCopyOption.REPLACE_EXISTING);
            LOG.warn("{} cannot be read ({}); it is kept as {}", path, why.getMessage(), aside);
        } catch (IOException e) {
            LOG.warn("{} cannot be read ({})", path, why.getMessage());
        }
    }

    private static Path beside(Path folder) {
        long process = ProcessHandle.current().pid();
        return folder.resolve(".aficion-" + process + "-" + WRITTEN.incrementAndGet() + ".writing");
    }

    private static void fill(Path path, byte[] bytes) throws IOException {
        try (var channel =
                FileChannel.open(
                        path,
                        StandardOpenOption.CREATE,
                        StandardOpenOption.WRITE,
                        StandardOpenOption.TRUNCATE_EXISTING)) {
            var left = ByteBuffer.wrap(bytes);
            while (left.hasRemaining()) {
                channel.write(left);
            }
            channel.force(true);
        }
    }

    /** Who may read the old file may read the new one, and nobody else. */
    private static void asPrivate(Path old, Path fresh) throws IOException {
        var rights = Files.getFileAttributeView(old, PosixFileAttributeView.class);
        if (rights != null && Files.exists(old)) {
            Files.setPosixFilePermissions(fresh, rights.readAttributes().permissions());
        }
    }

    private static void place(Path fresh, Path path) throws IOException {
        Files.move(
                fresh, path, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }

    private static void clear(Path folder) throws IOException {
        try (var files = Files.newDirectoryStream(folder, ".aficion-*.writing")) {
            for (var file : files) {
                var name = BESIDE.matcher(file.getFileName().toString());
                if (name.matches() && ProcessHandle.of(Long.parseLong(name.group(1))).isEmpty()) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }
}
