package aficion.files;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;

/** Where a user's own files are, by the base directories that free desktops agree on. */
final class Folders {
    private Folders() {}

    /** What a program keeps to go on with: copies of unsaved work, what was open. */
    static Path state() {
        return state(System.getenv(), System.getProperty("user.home"));
    }

    /** What a user keeps: own parts and recipes. */
    static Path data() {
        return data(System.getenv(), System.getProperty("user.home"));
    }

    static Path state(Map<String, String> environment, String home) {
        return base(environment, "XDG_STATE_HOME", ".local/state", home);
    }

    static Path data(Map<String, String> environment, String home) {
        return base(environment, "XDG_DATA_HOME", ".local/share", home);
    }

    /** A base that is no whole path is not heeded. */
    private static Path base(
            Map<String, String> environment, String name, String usual, String home) {
        return absolute(environment, name)
                .orElseGet(() ->
                        absolute(environment, "HOME").orElseGet(() -> Path.of(home)).resolve(usual))
                .resolve("aficion");
    }

    private static Optional<Path> absolute(Map<String, String> environment, String name) {
        try {
            return Optional.ofNullable(environment.get(name))
                    .filter(text -> !text.isBlank())
                    .map(Path::of)
                    .filter(Path::isAbsolute);
        } catch (InvalidPathException unusable) {
            return Optional.empty();
        }
    }
}
