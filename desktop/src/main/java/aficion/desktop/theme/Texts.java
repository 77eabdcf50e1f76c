package aficion.desktop.theme;

import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Labels and buttons in the styles of the program. */
public final class Texts {
    private Texts() {}

    public static Label label(String text, String... styles) {
        var label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }

    public static Label wrapped(String text, String... styles) {
        var label = label(text, styles);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** A small heading in capitals. */
    public static Label caption(String text) {
        return label(text.toUpperCase(Locale.ROOT), "caption");
    }

    public static Button button(String text, String style, Runnable action) {
        var button = new Button(text);
        button.getStyleClass().add(style);
        button.setOnAction(_ -> action.run());
        return button;
    }

    /** A name on the left and its figure on the right. */
    public static HBox figure(String name, String value) {
        var figure = label(value, "figure");
        figure.setMinWidth(Region.USE_PREF_SIZE);
        return new HBox(8, label(name, "figure-name"), spring(), figure);
    }

    /** Takes up what room is left. */
    public static Region spring() {
        var spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    public static Region rule() {
        var rule = new Region();
        rule.getStyleClass().add("rule");
        return rule;
    }
}
