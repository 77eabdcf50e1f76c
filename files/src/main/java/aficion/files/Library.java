package aficion.files;

import aficion.bench.practice.Played;
import aficion.files.PartsBook.Entry;
import aficion.job.Vehicle;
import aficion.recipe.Recipe;
import aficion.stock.Stock;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;

/**
 * What a user keeps for every job: own parts, own recipes and stock, as files of a folder that can
 * be copied to another machine. A file that cannot be read is left where it is.
 */
public final class Library {
    private final Path folder;

    /**
     * What was kept.
     *
     * @param unread what cannot be read and stays where it is: each file with what is wrong
     */
    public record Kept<T>(List<T> all, List<String> unread) {
        public Kept {
            all = List.copyOf(all);
            unread = List.copyOf(unread);
        }
    }

    public Library(Path folder) {
        this.folder = folder;
    }

    /** The usual folder of a user. */
    public static Library usual() {
        return new Library(Folders.data());
    }

    private Path partsFile() {
        return folder.resolve("parts.json");
    }

    /** The user's own parts. */
    public Kept<Entry> parts(Vehicle vehicle) {
        if (!Files.exists(partsFile())) {
            return new Kept<>(List.of(), List.of());
        }
        try {
            return new Kept<>(readParts(vehicle), List.of());
        } catch (IOException unreadable) {
            return new Kept<>(List.of(), List.of(unreadable.getMessage()));
        }
    }

    private List<Entry> readParts(Vehicle vehicle) throws IOException {
        try {
            return PartsBook.read(Files.readString(partsFile()), vehicle);
        } catch (IOException | IllegalArgumentException unreadable) {
            throw unreadable(partsFile(), unreadable);
        }
    }

    private static IOException unreadable(Path file, Exception why) {
        return new IOException(file + ": " + why.getMessage(), why);
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
            kept.addAll(readParts(vehicle));
        }
        kept.removeIf(other -> other.name().equals(part.name()));
        kept.add(part);
        WholeFile.write(partsFile(), PartsBook.write(kept));
    }

    private KeptFile<Stock> stockFile() {
        return new KeptFile<>(
                folder.resolve("stock.json"), "aficion-stock", "not a stock", Stock.EMPTY);
    }

    /**
     * What the user has in stock; nothing where nothing was counted yet.
     *
     * @throws IOException when the file that is there cannot be read; it stays where it is
     */
    public Stock stock() throws IOException {
        return stockFile().read();
    }

    /** Keeps what the user has in stock. */
    public void keep(Stock stock) throws IOException {
        stockFile().write(stock);
    }

    /** Rounds of practice, oldest first. */
    private record Rounds(List<Played> rounds) {
        /** No more are kept; the oldest go. */
        private static final int MOST = 500;

        Rounds {
            rounds = List.copyOf(rounds);
        }

        Rounds with(Played round) {
            var all =
                    new ArrayList<>(
                            rounds.subList(Math.max(0, rounds.size() + 1 - MOST), rounds.size()));
            all.add(round);
            return new Rounds(all);
        }
    }

    private KeptFile<Rounds> roundsFile() {
        return new KeptFile<>(
                folder.resolve("rounds.json"),
                "aficion-rounds",
                "no rounds of practice",
                new Rounds(List.of()));
    }

    /**
     * The rounds of practice that the user has played, oldest first.
     *
     * @throws IOException when the file that is there cannot be read; it stays where it is
     */
    public List<Played> played() throws IOException {
        return roundsFile().read().rounds();
    }

    /**
     * Keeps a round with those before.
     *
     * @throws IOException when it cannot be written, or when what is there cannot be read and would
     *     be lost
     */
    public void keep(Played round) throws IOException {
        roundsFile().write(roundsFile().read().with(round));
    }

    /** The user's own recipes, by name of their files. */
    public Kept<Recipe> recipes() {
        var recipes = new ArrayList<Recipe>();
        var unread = new ArrayList<String>();
        try {
            for (var file : recipeFiles()) {
                try {
                    recipes.add(RecipeBook.read(Files.readString(file)));
                } catch (IOException | IllegalArgumentException unreadable) {
                    unread.add(unreadable(file, unreadable).getMessage());
                }
            }
        } catch (IOException unreadable) {
            unread.add(unreadable(recipeFolder(), unreadable).getMessage());
        }
        return new Kept<>(recipes, unread);
    }

    private Path recipeFolder() {
        return folder.resolve("recipes");
    }

    private List<Path> recipeFiles() throws IOException {
        if (!Files.isDirectory(recipeFolder())) {
            return List.of();
        }
        try (var files = Files.list(recipeFolder())) {
            return files.filter(path -> path.toString().endsWith(".json")).sorted().toList();
        }
    }

    /**
     * Keeps a recipe under its identity; one that was kept under it before stays beside it, with
     * {@code ~} at the end of its name.
     *
     * @return the file
     * @throws IllegalArgumentException when the text is no recipe
     */
    public Path keepRecipe(String id, String text) throws IOException {
        RecipeBook.read(text);
        var file = recipeFolder().resolve(id + ".json");
        if (Files.exists(file)) {
            Files.copy(
                    file, file.resolveSibling(id + ".json~"), StandardCopyOption.REPLACE_EXISTING);
        }
        WholeFile.write(file, text);
        return file;
    }
}
