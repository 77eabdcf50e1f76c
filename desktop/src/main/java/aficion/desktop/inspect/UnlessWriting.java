package aficion.desktop.inspect;

import aficion.desktop.field.Entry;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.TextField;

/** Shows a view anew, but not before what is being written or chosen in it has been taken. */
final class UnlessWriting {
    private final Node view;
    private final Runnable show;
    private boolean waiting;

    /**
     * @param show shows the view anew
     */
    UnlessWriting(Node view, Runnable show) {
        this.view = view;
        this.show = show;
    }

    void show() {
        var writing = writing();
        if (writing.isEmpty()) {
            show.run();
        } else if (!waiting) {
            waiting = true;
            writing.get().subscribe(this::taken);
        }
    }

    /** It has been shown anew by something else: nothing waits any longer. */
    void shown() {
        waiting = false;
    }

    private void taken(boolean pending) {
        if (waiting && !pending) {
            waiting = false;
            Platform.runLater(this::show);
        }
    }

    /** Whether something that holds the keyboard there has not been taken yet. */
    private Optional<ReadOnlyBooleanProperty> writing() {
        var focused = view.getScene() == null ? null : view.getScene().getFocusOwner();
        for (Node at = focused; at != null && at != view; at = at.getParent()) {
            if (at instanceof Entry entry) {
                return Optional.of(entry.pendingProperty()).filter(ReadOnlyBooleanProperty::get);
            }
        }
        return focused instanceof TextField && isInside(focused)
                ? Optional.of(focused.focusedProperty())
                : Optional.empty();
    }

    /** Whether a node is in the view. */
    boolean isInside(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at == view) {
                return true;
            }
        }
        return false;
    }
}
