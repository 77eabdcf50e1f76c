package aficion.desktop.theme;

import aficion.catalogue.Colour;
import aficion.diagram.Lettering;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import aficion.words.DrawingWords;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.DialogPane;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.stage.Window;

/** The look: shipped fonts, the base theme and our style sheet over it. */
public final class Theme {
    private static final List<String> FONTS =
            List.of(
                    "Barlow-Regular",
                    "Barlow-Medium",
                    "Barlow-SemiBold",
                    "BarlowCondensed-Medium",
                    "BarlowCondensed-SemiBold");

    /** The base theme and our own look, parsed when the program was built. */
    static final String BASE = "base.bss";

    static final String LOOK = "aficion.bss";
    private static final String DARK = "dark";

    private Theme() {}

    /** Loads the fonts and the base theme; once, on the application thread. */
    public static void install() {
        FONTS.forEach(name ->
                Font.loadFont(
                        Theme.class.getResourceAsStream("/aficion/fonts/" + name + ".ttf"), 13));
        Application.setUserAgentStylesheet(sheet(BASE));
    }

    private static String sheet(String name) {
        return Theme.class.getResource(name).toExternalForm();
    }

    public static void dress(Scene scene) {
        scene.getStylesheets().add(sheet(LOOK));
    }

    /** Dresses a dialog as the window it belongs to. */
    public static void dress(DialogPane pane, Window owner) {
        pane.getStylesheets().add(sheet(LOOK));
        if (owner.getScene() != null && owner.getScene().getRoot().getStyleClass().contains(DARK)) {
            pane.getStyleClass().add(DARK);
        }
    }

    public static void setDark(Scene scene, boolean dark) {
        scene.getRoot().getStyleClass().remove(DARK);
        if (dark) {
            scene.getRoot().getStyleClass().add(DARK);
        }
    }

    public static Color colour(Colour colour) {
        int rgb = colour.rgb();
        return Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255);
    }

    /** The words of a job's drawings, measured in the font they are drawn in. */
    public static Lettering lettering(Design design, UserUnits units) {
        var font = Font.font("Barlow Condensed Medium", DrawingWords.SIZE);
        return new DrawingWords(
                design,
                units,
                text -> {
                    var shown = new Text(text);
                    shown.setFont(font);
                    return shown.getLayoutBounds().getWidth() + 3;
                });
    }
}
