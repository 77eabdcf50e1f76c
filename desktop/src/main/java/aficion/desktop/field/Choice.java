package aficion.desktop.field;

import java.util.function.Consumer;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Skin;
import javafx.scene.control.skin.ComboBoxListViewSkin;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * One of a few, chosen in place. Its list opens by mouse, space or an arrow key; what stands there
 * when it closes is taken, Escape brings the old one back.
 */
public final class Choice<T> extends Entry {
    private static final double LEAST = 104;
    private static final double MOST = 200;

    private final ComboBox<T> box;
    private final Consumer<T> take;
    private T value;

    /**
     * @param id the name tests and styles know it by
     * @param box what can be chosen, with what is chosen now
     * @param take takes what is chosen otherwise
     */
    public Choice(String id, String name, ComboBox<T> box, Consumer<T> take) {
        super(name, box, LEAST, MOST);
        this.box = box;
        this.take = take;
        this.value = box.getValue();
        box.setId(id);
        box.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        box.skinProperty().subscribe(this::hearList);
        box.showingProperty()
                .subscribe(showing -> {
                    if (showing) {
                        pend(true);
                    } else {
                        commit();
                    }
                });
    }

    private void pressed(KeyEvent event) {
        boolean arrow = event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN;
        if (arrow && !box.isShowing()) {
            box.show();
            event.consume();
        }
    }

    private void hearList(Skin<?> skin) {
        if (skin instanceof ComboBoxListViewSkin<?> list) {
            list.getPopupContent().addEventFilter(KeyEvent.KEY_PRESSED, this::listPressed);
        }
    }

    private void listPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            box.setValue(value);
        }
    }

    /**
     * What it is about may have been taken away while its list was open: then nothing is chosen.
     */
    private void commit() {
        var before = value;
        value = box.getValue();
        pend(false);
        if (!value.equals(before)) {
            try {
                take.accept(value);
            } catch (IllegalArgumentException notFitting) {
                value = before;
                box.setValue(before);
            }
        }
    }
}
