package aficion.desktop.theme;

import java.util.List;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;

/** Boxes to choose one of a few from. */
public final class Choices {
    private Choices() {}

    /** A box that says each value in words; the first is chosen. */
    public static <T> ComboBox<T> of(List<T> values, Function<T, String> words) {
        var box = new ComboBox<>(FXCollections.observableList(values));
        box.setCellFactory(_ -> cell(words));
        box.setButtonCell(cell(words));
        box.getSelectionModel().selectFirst();
        return box;
    }

    /** A cell of a list that says its value in words. */
    public static <T> ListCell<T> cell(Function<T, String> words) {
        return new Cell<>(words);
    }

    private static final class Cell<T> extends ListCell<T> {
        private final Function<T, String> words;

        Cell(Function<T, String> words) {
            this.words = words;
        }

        @Override
        protected void updateItem(T value, boolean empty) {
            super.updateItem(value, empty);
            setText(empty || value == null ? null : words.apply(value));
        }
    }
}
