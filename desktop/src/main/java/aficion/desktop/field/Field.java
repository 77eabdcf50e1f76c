package aficion.desktop.field;

import aficion.desktop.theme.Texts;
import java.util.function.Predicate;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * A named text that is changed in place: Enter or leaving it takes what is written, Escape brings
 * the old one back. What is refused is said beneath and changes nothing.
 */
public final class Field extends VBox {
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
        this.value = value;
        this.take = take;
        this.refused = refused;
        field = new TextField(value);
        field.setId(id);
        field.setAccessibleText(name);
        field.setPrefColumnCount(8);
        field.setMinWidth(104);
        field.setMaxWidth(104);
        trouble = Texts.wrapped("", "danger-text");
        trouble.setManaged(false);
        field.setOnAction(_ -> commit());
        field.focusedProperty()
                .addListener((_, _, focused) -> {
                    if (!focused) {
                        commit();
                    }
                });
        field.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                field.setText(this.value);
                say("");
                event.consume();
            }
        });
        var said = Texts.label(name, "figure-name");
        said.setMinWidth(Region.USE_PREF_SIZE);
        var row = new HBox(8, said, Texts.spring(), field);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(row, trouble);
    }

    private void commit() {
        var text = field.getText().strip();
        if (text.equals(value)) {
            return;
        }
        boolean taken;
        try {
            taken = take.test(text);
        } catch (IllegalArgumentException notFitting) {
            taken = false;
        }
        if (taken) {
            value = text;
        }
        say(taken ? "" : refused);
    }

    private void say(String text) {
        trouble.setText(text);
        trouble.setManaged(!text.isEmpty());
    }
}
