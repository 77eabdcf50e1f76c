package aficion.desktop.log;

import java.util.Optional;
import javafx.scene.Node;

/** One of the tabs of the log. */
interface LogTab {

    /** What it shows. */
    Node node();

    /** What stands beside it. */
    Node aside();

    /** The key of the task that is chosen on it; empty where none is. */
    default Optional<String> task() {
        return Optional.empty();
    }
}
