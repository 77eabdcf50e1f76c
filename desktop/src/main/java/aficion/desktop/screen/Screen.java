package aficion.desktop.screen;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;

/**
 * A screen by work, in the middle of the window. Its name is the key of its words: {@code
 * view.NAME} on its tab, {@code help.screen.NAME} in the help.
 */
public interface Screen {

    String name();

    /** The key that shows it, as it is written. */
    String key();

    /** What it shows: made when first asked for, the same from then on. */
    Node view();

    /** What stands beside it in place of the inspector; empty where the inspector serves. */
    default Optional<Node> aside() {
        return Optional.empty();
    }

    /** What can be done on it and nowhere else; it is shown for it. */
    default List<Act> acts() {
        return List.of();
    }

    /**
     * Something that can be done on a screen.
     *
     * @param words the key of its words
     * @param keys how its key is written
     */
    record Act(String words, String keys, Runnable action) {}
}
