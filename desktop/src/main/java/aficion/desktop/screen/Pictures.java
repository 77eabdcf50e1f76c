package aficion.desktop.screen;

import aficion.job.Photograph;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;

/** The photographs of the job in the window: chosen, taken in, found. */
public interface Pictures {

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

    /** A list that somebody wrote, as the user chooses it. */
    Optional<Path> chooseList();

    /** None to be had: for what is only looked at. */
    Pictures NONE =
            new Pictures() {
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
                public Optional<Path> chooseList() {
                    return Optional.empty();
                }
            };
}
