package aficion.desktop.log;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;

/**
 * One of the tabs of the log.
 *
 * @param aside what stands beside it
 * @param task the key of the task that is chosen on it; empty where none is
 */
record LogTab(Node node, Node aside, Supplier<Optional<String>> task) {
    /** A tab on which no task is chosen. */
    LogTab(Node node, Node aside) {
        this(node, aside, Optional::empty);
    }
}
