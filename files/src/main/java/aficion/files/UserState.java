package aficion.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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
public final class UserState {
    private static final int MOST = 8;
    private static final JsonMapper MAPPER = JobMapping.mapper();

    private final Path folder;
    private final Library library;

    /**
     * @param library what the user keeps for every job
     */
    public UserState(Path folder, Library library) {
        this.folder = folder;
        this.library = library;
    }

    /** The usual folder of a user. */
    public static UserState usual() {
        return new UserState(Folders.state().resolve("desk"), Library.usual());
    }

    /** What the user keeps for every job. */
    public Library library() {
        return library;
    }

    /** The photographs of all jobs. */
    public Photographs photographs() {
        return new Photographs(folder.resolve("photographs"));
    }

    /** Holds a job open, by whatever name or link; empty when another window has it. */
    public Optional<JobLock> lock(Path job) throws IOException {
        var real = JobStore.real(job).toString();
        var name = UUID.nameUUIDFromBytes(real.getBytes(StandardCharsets.UTF_8));
        return JobLock.of(folder.resolve(name + ".lock"));
    }

    private Path liked() {
        return folder.resolve("preferences.json");
    }

    /** What the user likes; the usual where nothing has been said or it cannot be read. */
    public Preferences preferences() {
        try {
            if (Files.exists(liked())) {
                var text = Files.readString(liked());
                return Optional.ofNullable(MAPPER.readValue(text, Preferences.class))
                        .orElseThrow(() -> new IOException("it says nothing"));
            }
        } catch (IOException | JacksonException unreadable) {
            WholeFile.setAside(liked(), unreadable);
        }
        return Preferences.USUAL;
    }

    public void keep(Preferences preferences) throws IOException {
        WholeFile.write(liked(), MAPPER.writeValueAsString(preferences));
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
            WholeFile.setAside(list(), unreadable);
            return List.of();
        }
    }

    /** Puts a job at the head of those that were open lately. */
    public void remember(Path job) throws IOException {
        var lines = new ArrayList<String>();
        lines.add(job.toAbsolutePath().normalize().toString());
        recent().stream()
                .map(Path::toString)
                .filter(line -> !line.equals(lines.getFirst()))
                .limit(MOST - 1L)
                .forEach(lines::add);
        WholeFile.write(list(), String.join("\n", lines) + "\n");
    }
}
