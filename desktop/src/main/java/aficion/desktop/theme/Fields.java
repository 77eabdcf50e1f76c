package aficion.desktop.theme;

import javafx.scene.control.TextField;

/** Fields to write into, named for tests and for those who cannot see them. */
public final class Fields {
    private Fields() {}

    /** A field that does something when Enter is pressed in it. */
    public static TextField of(String id, String words, int wide, Runnable entered) {
        var field = new TextField();
        field.setId(id);
        field.setPromptText(words);
        field.setAccessibleText(words);
        field.setPrefColumnCount(wide);
        field.setOnAction(_ -> entered.run());
        return field;
    }
}
