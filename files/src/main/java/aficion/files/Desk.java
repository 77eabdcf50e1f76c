package aficion.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the running programs of one user share: what the user likes, which jobs were open lately,
 * and which is open now. A job is held by a lock of the operating system, which ends with the
 * program that holds it, however that ends.
 */
public final class Desk {
    private static final int MOST = 8;
    private static final JsonMapper MAPPER = JobMapping.mapper();

    private final Path folder;
    private final Library library;

    /**
     * @param library what the user keeps for every job
     */
    public Desk(Path folder, Library library) {
        this.folder = folder;
        this.library = library;
    }

    /** The usual folder of a user. */
    public static Desk usual() {
        return new Desk(Recovery.usualFolder().resolveSibling("desk"), Library.usual());
    }

    /** What the user keeps for every job. */
    public Library library() {
        return library;
    }

    /** A job that is held open. */
    public static final class Held implements AutoCloseable {
        private final FileChannel channel;

        private Held(FileChannel channel) {
            this.channel = channel;
        }

        @Override
        public void close() {
            try {
                channel.close();
            } catch (IOException gone) {
                // The lock ends with the channel either way.
            }
        }
    }

    /** Holds a job open; empty when another window has it. */
    public Optional<Held> hold(Path design) throws IOException {
        Files.createDirectories(folder);
        var path = design.toAbsolutePath().normalize();
        var parent = path.getParent();
        var real =
                parent != null && Files.exists(parent)
                        ? parent.toRealPath().resolve(path.getFileName())
                        : path;
        var name = UUID.nameUUIDFromBytes(real.toString().getBytes(StandardCharsets.UTF_8));
        var channel =
                FileChannel.open(
                        folder.resolve(name + ".lock"),
                        StandardOpenOption.CREATE,
                        StandardOpenOption.WRITE);
        try {
            if (channel.tryLock() != null) {
                return Optional.of(new Held(channel));
            }
        } catch (OverlappingFileLockException sameProgram) {
            // Another window of this program has it.
        }
        channel.close();
        return Optional.empty();
    }

    private Path liked() {
        return folder.resolve("preferences.json");
    }

    /** What the user likes; the usual where nothing has been said or it cannot be read. */
    public Preferences preferences() {
        try {
            return Files.exists(liked())
                    ? MAPPER.readValue(Files.readString(liked()), Preferences.class)
                    : Preferences.USUAL;
        } catch (IOException | JacksonException unreadable) {
            return Preferences.USUAL;
        }
    }

    public void keep(Preferences preferences) throws IOException {
        Texts.replace(liked(), MAPPER.writeValueAsString(preferences));
    }

    private Path list() {
        return folder.resolve("recent.txt");
    }

    /** The jobs that were open lately and are still there, the last one first. */
    public List<Path> recent() {
        try {
            return Files.exists(list())
                    ? Files.readAllLines(list()).stream()
                            .filter(line -> !line.isBlank())
                            .map(Path::of)
                            .filter(Files::exists)
                            .limit(MOST)
                            .toList()
                    : List.of();
        } catch (IOException | IllegalArgumentException unreadable) {
            return List.of();
        }
    }

    /** Puts a job at the head of those that were open lately. */
    public void remember(Path design) throws IOException {
        var lines = new ArrayList<String>();
        lines.add(design.toAbsolutePath().normalize().toString());
        recent().stream()
                .map(Path::toString)
                .filter(line -> !line.equals(lines.getFirst()))
                .limit(MOST - 1L)
                .forEach(lines::add);
        Texts.replace(list(), String.join("\n", lines) + "\n");
    }
}
