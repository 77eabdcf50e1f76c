package aficion.desktop.field;

import aficion.desktop.theme.Texts;
import java.util.function.Predicate;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

/**
 * A named text that is changed in place: Enter or leaving it takes what is written, Escape brings
 * the old one back. What is refused is said beneath and changes nothing.
 */
public final class Field extends Entry {
    private static final double WIDTH = 104;

    private final TextField field;
    private final Label trouble;
    private final Predicate<String> take;
    private final String refused;
    private String value;

    /**
     * @param id the name tests and styles know it by
     * @param take takes a text, or says that it will not do
     * @param refused what is then said
     */
    public Field(String id, String name, String value, Predicate<String> take, String refused) {
        this(new TextField(value), name, take, refused);
        field.setId(id);
    }

    private Field(TextField field, String name, Predicate<String> take, String refused) {
        super(name, field, WIDTH, WIDTH);
        this.field = field;
        this.value = field.getText();
        this.take = take;
        this.refused = refused;
        field.setPrefColumnCount(8);
        trouble = Texts.wrapped("", "danger-text");
        trouble.setManaged(false);
        field.setOnAction(_ -> commit());
        field.textProperty().addListener((_, _, _) -> note());
        field.focusedProperty()
                .addListener((_, _, focused) -> {
                    if (!focused) {
                        commit();
                    }
                });
        field.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                field.setText(value);
                say("");
                event.consume();
            }
        });
        getChildren().add(trouble);
    }

    /** Asks anew: what was written has been taken, and the next may come. */
    public void empty() {
        value = "";
        field.setText("");
        say("");
    }

    private void note() {
        pend(!field.getText().strip().equals(value));
    }

    private void commit() {
        var text = field.getText().strip();
        if (text.equals(value)) {
            return;
        }
        var before = value;
        value = text;
        boolean taken = isTaken(text);
        if (!taken) {
            value = before;
        }
        say(taken ? "" : refused);
        note();
    }

    /** What is taken may put this field away, which makes it commit: by then it has. */
    private boolean isTaken(String text) {
        try {
            return take.test(text);
        } catch (IllegalArgumentException notFitting) {
            return false;
        }
    }

    private void say(String text) {
        trouble.setText(text);
        trouble.setManaged(!text.isEmpty());
    }
}
