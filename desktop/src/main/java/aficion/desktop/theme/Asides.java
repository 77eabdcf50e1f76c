package aficion.desktop.theme;

import javafx.scene.layout.VBox;

/** What stands beside a tab on which nothing is chosen. */
public final class Asides {
    private Asides() {}

    /** What a tab is, what can hurt there, and how it is used. */
    public static VBox of(String title, String caution, String help) {
        var aside =
                new VBox(
                        7,
                        Texts.wrapped(title, "inspector-title"),
                        Texts.wrapped(caution, "log-caution"),
                        Texts.rule(),
                        Texts.wrapped(help, "quiet"));
        aside.getStyleClass().add("inspector-body");
        return aside;
    }
}
