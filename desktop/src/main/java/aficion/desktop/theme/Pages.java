package aficion.desktop.theme;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A few pages of which one is shown, each chosen by a chip above. */
@SuppressWarnings("this-escape") // the page of a view is complete once all are added
public class Pages extends VBox {
    private final HBox head = new HBox(6);
    private final StackPane middle = new StackPane();
    private final String style;
    private final ToggleGroup group = new ToggleGroup();
    private Consumer<Node> shown = _ -> {};
    private final Map<ToggleButton, Node> pages = new LinkedHashMap<>();

    public Pages() {
        this("log-chip");
    }

    /**
     * @param style how the chips look
     */
    public Pages(String style) {
        super(10);
        this.style = style;
        middle.setMinSize(0, 0);
        VBox.setVgrow(middle, Priority.ALWAYS);
        head.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(head, middle);
    }

    /** A page more; the first one is shown. */
    public final void add(String id, String words, Node page) {
        var chip = new ToggleButton(words);
        chip.setId(id);
        chip.getStyleClass().add(style);
        chip.setToggleGroup(group);
        chip.setOnAction(_ -> {
            show(chip);
            page.requestFocus();
        });
        pages.put(chip, page);
        head.getChildren().add(chip);
        if (pages.size() == 1) {
            show(chip);
        }
    }

    /** Told which page is shown, now and from now on. */
    public final void shown(Consumer<Node> told) {
        shown = told;
        middle.getChildren().forEach(told);
    }

    private void show(ToggleButton chip) {
        chip.setSelected(true);
        pages.entrySet().stream()
                .filter(each -> each.getKey().equals(chip))
                .map(Map.Entry::getValue)
                .findFirst()
                .ifPresent(page -> {
                    middle.getChildren().setAll(List.of(page));
                    shown.accept(page);
                });
    }

    @Override
    public void requestFocus() {
        middle.getChildren().forEach(Node::requestFocus);
    }
}
