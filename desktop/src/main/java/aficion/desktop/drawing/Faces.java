package aficion.desktop.drawing;

import aficion.forming.Face;
import aficion.words.Words;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Faces of connectors as the screen shows them. */
public final class Faces {
    private Faces() {}

    /**
     * A half with what it is.
     *
     * @param chosen the pin that stands out
     */
    public static VBox of(Face face, Optional<String> chosen) {
        var picture = new Group(Ink.of(face.marks(chosen)));
        picture.getStyleClass().add("part");
        var wires = new Group(picture);
        wires.getStyleClass().add("wire");
        var says =
                new Label(
                        Words.of(
                                "face.half",
                                face.half().name().toLowerCase(Locale.ROOT),
                                Words.of(face.sockets() ? "face.sockets" : "face.pins")));
        says.getStyleClass().add("quiet");
        var box = new VBox(6, says, wires);
        box.setId("face-" + face.half().name().toLowerCase(Locale.ROOT));
        return box;
    }
}
