package aficion.desktop.shell;

import aficion.desktop.theme.Texts;
import aficion.words.Words;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the screen that was shown is for, every key, and the words of the trade. */
final class HelpView extends BorderPane {
    private static final double COLUMN = 380;

    private final Button back;

    /**
     * @param screen the screen that was shown
     * @param close puts this view away
     */
    HelpView(Commands commands, String screen, Runnable close) {
        setId("help");
        getStyleClass().add("recipes");
        back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        back.setId("help-close");
        var head =
                new HBox(
                        12,
                        Texts.label(Words.of("help.title"), "sheet-title"),
                        Texts.spring(),
                        back);
        head.getStyleClass().add("recipe-head");
        var says = Texts.wrapped(Words.of("help.screen." + screen));
        says.setId("help-screen");
        says.getStyleClass().add("recipe-head");
        setTop(new VBox(head, says));
        var columns = new FlowPane(28, 18);
        columns.getStyleClass().add("recipe-head");
        for (var group : Command.Group.values()) {
            columns.getChildren().add(keys(commands, group));
        }
        columns.getChildren().add(drawing());
        columns.getChildren().add(glossary());
        var scroll = new ScrollPane(columns);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bench-scroll");
        setCenter(scroll);
    }

    /** Takes the keyboard, so that it goes nowhere else. */
    void ready() {
        back.requestFocus();
    }

    private static VBox keys(Commands commands, Command.Group group) {
        var box = column(Words.of("help.group", group));
        commands.of(group).stream()
                .filter(command -> !command.keys().isEmpty())
                .forEach(command ->
                        box.getChildren().add(row(command.shownKeys(), command.words())));
        return box;
    }

    /** What the drawing itself hears. */
    private static VBox drawing() {
        var box = column(Words.of("help.drawing"));
        for (var line : Words.of("help.drawing.keys").split("\n")) {
            var sides = line.split(" \\| ", 2);
            box.getChildren().add(row(sides[0], sides[1]));
        }
        return box;
    }

    private static VBox glossary() {
        var box = column(Words.of("help.glossary"));
        for (var line : Words.of("help.glossary.terms").split("\n")) {
            var sides = line.split(" \\| ", 2);
            box.getChildren()
                    .add(
                            new VBox(
                                    Texts.label(sides[0], "strong"),
                                    Texts.wrapped(sides[1], "quiet")));
        }
        return box;
    }

    private static VBox column(String title) {
        var box = new VBox(6, Texts.caption(title));
        box.setPrefWidth(COLUMN);
        box.setMaxWidth(COLUMN);
        return box;
    }

    private static Node row(String keys, String words) {
        var cap = Texts.label(keys, "key-cap");
        cap.setMinWidth(96);
        var row = new HBox(10, cap, Texts.wrapped(words));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
