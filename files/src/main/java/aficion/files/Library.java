package aficion.files;

import aficion.files.PartsBook.Entry;
import aficion.job.Vehicle;
import aficion.recipe.Recipe;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * What a user keeps for every job: own parts and own recipes, as files of a folder that can be
 * copied to another machine. A file that cannot be read is left where it is.
 */
public final class Library {
    private final Path folder;

    public Library(Path folder) {
        this.folder = folder;
    }

    /** The usual folder of a user. */
    public static Library usual() {
        var data = System.getenv("XDG_DATA_HOME");
        var home = Path.of(System.getProperty("user.home"));
        return new Library(
                (data == null || data.isBlank() ? home.resolve(".local/share") : Path.of(data))
                        .resolve("aficion"));
    }

    private Path partsFile() {
        return folder.resolve("parts.json");
    }

    /** The user's own parts; none where the list is missing or cannot be read. */
    public List<Entry> parts(Vehicle vehicle) {
        try {
            return Files.exists(partsFile())
                    ? PartsBook.read(Files.readString(partsFile()), vehicle)
                    : List.of();
        } catch (IOException | IllegalArgumentException unreadable) {
            return List.of();
        }
    }

    /**
     * Keeps a part, in place of the one of that name.
     *
     * @throws IOException when it cannot be written, or when the list that is there cannot be read
     *     and would be lost
     */
    public void keep(Entry part, Vehicle vehicle) throws IOException {
        var kept = new ArrayList<Entry>();
        if (Files.exists(partsFile())) {
            try {
                kept.addAll(PartsBook.read(Files.readString(partsFile()), vehicle));
            } catch (IllegalArgumentException unreadable) {
                throw new IOException(partsFile() + ": " + unreadable.getMessage(), unreadable);
            }
        }
        kept.removeIf(other -> other.name().equals(part.name()));
        kept.add(part);
        Texts.replace(partsFile(), PartsBook.write(kept));
    }

    /** The user's own recipes, by name of their files. */
    public List<Recipe> recipes() {
        var recipes = new ArrayList<Recipe>();
        var own = folder.resolve("recipes");
        if (!Files.isDirectory(own)) {
            return recipes;
        }
        try (var files = Files.list(own)) {
            for (var file :
                    files.filter(path -> path.toString().endsWith(".json")).sorted().toList()) {
                read(file, recipes);
            }
        } catch (IOException unreadable) {
            return recipes;
        }
        return recipes;
    }

    private static void read(Path file, List<Recipe> recipes) {
        try {
            recipes.add(RecipeBook.read(Files.readString(file)));
        } catch (IOException | IllegalArgumentException unreadable) {
            // It stays where it is; the others serve.
        }
    }

    /** Keeps a recipe under its identity. */
    public void keepRecipe(String id, String text) throws IOException {
        RecipeBook.read(text);
        Texts.replace(folder.resolve("recipes").resolve(id + ".json"), text);
    }
}
