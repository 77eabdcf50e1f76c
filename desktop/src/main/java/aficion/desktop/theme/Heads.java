package aficion.desktop.theme;

import aficion.words.Words;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;

/** What stands above a list: its title, what belongs to it, and its files. */
public final class Heads {
    private Heads() {}

    /**
     * @param key of the list, as the window's words for it end
     * @param command does what the window can be asked for, by the key of its words
     * @param own what stands before the files
     */
    public static HBox of(String key, Consumer<String> command, Node... own) {
        var head = new HBox(14, Texts.label(Words.of("make.title." + key), "sheet-title"));
        head.getChildren().addAll(own);
        head.getChildren()
                .addAll(
                        Texts.button(
                                Words.of("make.export.csv"),
                                "plain-button",
                                () -> command.accept("menu.csv." + key)),
                        Texts.button(
                                Words.of("make.export.pdf"),
                                "plain-button",
                                () -> command.accept("menu.print." + key)));
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }
}
