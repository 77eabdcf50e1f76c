package aficion.desktop.theme;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;

/** Boxes to choose one of a few from. */
public final class Choices {
    private Choices() {}

    /** A box that says each value in words; the first is chosen. */
    public static <T> ComboBox<T> of(List<T> values, Function<T, String> words) {
        return of(values, words, _ -> Optional.empty());
    }

    /** A box that says each value in words and shows a small picture before them. */
    public static <T> ComboBox<T> of(
            List<T> values, Function<T, String> words, Function<T, Optional<Node>> picture) {
        var box = new ComboBox<>(FXCollections.observableArrayList(values));
        box.setCellFactory(_ -> new Cell<>(words, picture));
        box.setButtonCell(new Cell<>(words, picture));
        box.getSelectionModel().selectFirst();
        keepChosen(box);
        return box;
    }

    /**
     * One of the values stays chosen: a list lets go of what it has with Control held, by key or by
     * press, and nothing that is bound to the box expects none.
     */
    private static <T> void keepChosen(ComboBox<T> box) {
        var last = new AtomicReference<>(box.getValue());
        InvalidationListener keep =
                _ -> {
                    var now = box.getValue();
                    if (now != null) {
                        last.set(now);
                    } else if (box.getItems().contains(last.get())) {
                        box.setValue(last.get());
                    }
                };
        box.valueProperty().addListener(keep);
    }

    /** A cell of a list that says its value in words. */
    public static <T> ListCell<T> cell(Function<T, String> words) {
        return new Cell<>(words, _ -> Optional.empty());
    }

    private static final class Cell<T> extends ListCell<T> {
        private final Function<T, String> words;
        private final Function<T, Optional<Node>> picture;

        Cell(Function<T, String> words, Function<T, Optional<Node>> picture) {
            this.words = words;
            this.picture = picture;
        }

        @Override
        protected void updateItem(T value, boolean empty) {
            super.updateItem(value, empty);
            boolean nothing = empty || value == null;
            setText(nothing ? null : words.apply(value));
            setGraphic(nothing ? null : picture.apply(value).orElse(null));
        }
    }
}
