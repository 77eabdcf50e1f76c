package aficion.desktop.screen;

import aficion.files.PartsBook;
import aficion.job.Design;
import aficion.job.FoundBox;
import aficion.job.Photograph;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** The papers of the job in the window: photographs and lists, chosen, taken in, found, shown. */
public interface Papers {

    /** A file that the user chooses; empty where the user thought better of it. */
    Optional<Path> choose();

    /**
     * Takes in a picture from a file.
     *
     * @throws IllegalArgumentException when it is no picture
     * @throws IOException when it cannot be read or kept
     */
    Photograph take(Path file, String words) throws IOException;

    /**
     * Takes in a picture as it is coded.
     *
     * @throws IllegalArgumentException when it is no picture
     * @throws IOException when it cannot be kept
     */
    Photograph take(byte[] picture, String words) throws IOException;

    /** Where a picture is; empty where it is missing. */
    Optional<Path> find(String file);

    /** Shows how one plug becomes another on paper, before it is printed. */
    void show(FoundBox from, FoundBox to);

    /** A list that somebody wrote, as the user chooses it. */
    Optional<Path> chooseList();

    /** Every part that may be put in: those that ship, and the user's own. */
    List<PartsBook.Entry> shelf();

    /** What makes a file of a design. */
    @FunctionalInterface
    interface Making {
        /** What its file holds. */
        byte[] of(Design design) throws IOException;
    }

    /**
     * Shows a sheet before it is printed.
     *
     * @param toScale whether it is to be printed at its own size
     */
    void show(String name, boolean toScale, Making making);

    /**
     * Writes a file where the user wants it.
     *
     * @param kind the key of the words for its kind
     */
    void keep(String name, String kind, Making making);

    /** None to be had: for what is only looked at. */
    Papers NONE =
            new Papers() {
                @Override
                public Optional<Path> choose() {
                    return Optional.empty();
                }

                @Override
                public Photograph take(Path file, String words) {
                    throw new IllegalArgumentException("nothing is taken in here");
                }

                @Override
                public Photograph take(byte[] picture, String words) {
                    throw new IllegalArgumentException("nothing is taken in here");
                }

                @Override
                public Optional<Path> find(String file) {
                    return Optional.empty();
                }

                @Override
                public void show(FoundBox from, FoundBox to) {
                    // Nothing is printed where a path is only looked at.
                }

                @Override
                public Optional<Path> chooseList() {
                    return Optional.empty();
                }

                @Override
                public List<PartsBook.Entry> shelf() {
                    return List.of();
                }

                @Override
                public void show(String name, boolean toScale, Making making) {
                    // Nothing is printed where a path is only looked at.
                }

                @Override
                public void keep(String name, String kind, Making making) {
                    // Nor is anything written.
                }
            };
}
