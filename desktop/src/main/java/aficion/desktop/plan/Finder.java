package aficion.desktop.plan;

import aficion.desktop.theme.Texts;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A list to choose from, found by any words of what it says; the arrows go on through it while
 * writing.
 */
final class Finder<T> extends VBox {
    private final Naming<T> naming;
    private final ObservableList<T> shown = FXCollections.observableArrayList();
    private final ListView<T> list = new ListView<>(shown);
    private final TextField search = new TextField();
    private List<T> all = List.of();
    private final Label unread = Texts.wrapped("", "danger-text", "recipe-head");

    /**
     * How what is listed is told apart.
     *
     * @param says what it is, in a few quiet words below its name
     * @param found what it is found by beside its name
     */
    record Naming<T>(
            Function<T, String> id,
            Function<T, String> name,
            Function<T, String> says,
            Function<T, String> found) {}

    /**
     * @param id what the ids of its nodes begin with
     * @param words what the keys of its words begin with
     * @param chosen hears what is chosen, or that nothing is
     */
    Finder(String id, String words, Naming<T> naming, Consumer<Optional<T>> chosen) {
        this.naming = naming;
        getStyleClass().add("recipe-choice");
        search.setId(id + "-search");
        search.setPromptText(Words.of(words + ".search"));
        search.setAccessibleText(Words.of(words + ".search"));
        search.textProperty().addListener((_, _, text) -> filter(text));
        search.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        list.setId(id + "-list");
        list.getStyleClass().add("recipe-list");
        list.setAccessibleText(Words.of(words + ".title"));
        list.setCellFactory(_ -> new Cell(id));
        list.getSelectionModel()
                .selectedItemProperty()
                .addListener((_, _, entry) -> chosen.accept(Optional.ofNullable(entry)));
        VBox.setVgrow(list, Priority.ALWAYS);
        unread.setId(id + "-unread");
        unread.setManaged(false);
        var head = new VBox(8, Texts.label(Words.of(words + ".title"), "sheet-title"), search);
        head.getStyleClass().add("recipe-head");
        getChildren().addAll(head, list, unread);
    }

    /** Lists these, and says what could not be read. */
    void fill(List<T> entries, List<String> troubles) {
        all = List.copyOf(entries);
        filter(search.getText());
        unread.setManaged(!troubles.isEmpty());
        unread.setText(
                String.join(
                        "\n",
                        troubles.stream()
                                .map(trouble -> Words.of("recipes.unread", trouble))
                                .toList()));
    }

    Optional<T> chosen() {
        return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
    }

    void choose(T entry) {
        list.getSelectionModel().select(entry);
        list.scrollTo(entry);
    }

    /** Puts the keyboard where something is looked for. */
    void ready() {
        search.requestFocus();
    }

    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.DOWN) {
            list.getSelectionModel().selectNext();
        } else if (event.getCode() == KeyCode.UP) {
            list.getSelectionModel().selectPrevious();
        } else {
            return;
        }
        list.scrollTo(list.getSelectionModel().getSelectedIndex());
        event.consume();
    }

    /** What has all the words, that first which is called so. */
    private void filter(String text) {
        var whole = text.strip().toLowerCase(Locale.ROOT);
        var words = whole.split("\\s+");
        var found = new ArrayList<T>();
        for (var entry : all) {
            var said =
                    (naming.name().apply(entry) + " " + naming.found().apply(entry))
                            .toLowerCase(Locale.ROOT);
            if (Stream.of(words).allMatch(said::contains)) {
                found.add(entry);
            }
        }
        found.sort(Comparator.comparing(entry -> !isCalled(entry, whole)));
        list.getSelectionModel().clearSelection();
        shown.setAll(found);
        list.getSelectionModel().selectFirst();
    }

    private boolean isCalled(T entry, String text) {
        return naming.name().apply(entry).toLowerCase(Locale.ROOT).contains(text);
    }

    private final class Cell extends ListCell<T> {
        private final String start;

        Cell(String start) {
            this.start = start;
        }

        @Override
        protected void updateItem(T entry, boolean empty) {
            super.updateItem(entry, empty);
            setText(null);
            setGraphic(null);
            if (!empty && entry != null) {
                setId(start + "-" + naming.id().apply(entry));
                setPrefWidth(0);
                setGraphic(
                        new VBox(
                                1,
                                Texts.label(naming.name().apply(entry), "circuit-name"),
                                Texts.label(naming.says().apply(entry), "quiet")));
                setAccessibleText(naming.name().apply(entry) + ", " + naming.found().apply(entry));
            }
        }
    }
}
