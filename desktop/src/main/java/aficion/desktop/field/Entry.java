package aficion.desktop.field;

import aficion.desktop.theme.Texts;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.Pos;
import javafx.scene.control.Control;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A name and, at its right, what is changed in place. */
public abstract sealed class Entry extends VBox permits Field, Choice {
    private final ReadOnlyBooleanWrapper pending = new ReadOnlyBooleanWrapper(false);

    /**
     * @param least how narrow the control may be, pixels
     * @param most how wide it may be
     */
    Entry(String name, Control control, double least, double most) {
        control.setAccessibleText(name);
        control.setMinWidth(least);
        control.setMaxWidth(most);
        var said = Texts.label(name, "figure-name");
        said.setMinWidth(Region.USE_PREF_SIZE);
        var row = new HBox(8, said, Texts.spring(), control);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(row);
    }

    /** Whether something is being written or chosen that has not been taken yet. */
    public ReadOnlyBooleanProperty pendingProperty() {
        return pending.getReadOnlyProperty();
    }

    void pend(boolean now) {
        pending.set(now);
    }
}
