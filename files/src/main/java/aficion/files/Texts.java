package aficion.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Small files of a user that are whole at any time: the old one, or the new one. */
final class Texts {
    private Texts() {}

    /** Writes beside, then replaces; makes the folder where it is missing. */
    static void replace(Path path, String text) throws IOException {
        Files.createDirectories(path.getParent());
        var fresh = path.resolveSibling(path.getFileName() + ".new");
        Files.writeString(fresh, text, StandardCharsets.UTF_8);
        Files.move(
                fresh, path, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }
}
