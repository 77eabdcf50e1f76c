package aficion.desktop.theme;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/** What went wrong and what to do, said where it happened; it takes no room while all is well. */
public final class Trouble extends Label {
    public Trouble() {
        getStyleClass().add("danger-text");
        setWrapText(true);
        setMinHeight(Region.USE_PREF_SIZE);
        say("");
    }

    /** Says something; nothing where the text is empty. */
    public void say(String text) {
        setText(text);
        setManaged(!text.isEmpty());
    }
}
