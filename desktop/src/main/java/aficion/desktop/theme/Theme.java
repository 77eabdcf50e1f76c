package aficion.desktop.theme;

import aficion.diagram.Lettering;
import aficion.job.Job;
import aficion.quantity.UserUnits;
import aficion.words.DrawingWords;
import atlantafx.base.theme.PrimerLight;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** The look: shipped fonts, the base theme and our style sheet over it. */
public final class Theme {
    private static final List<String> FONTS =
            List.of(
                    "Barlow-Regular",
                    "Barlow-Medium",
                    "Barlow-SemiBold",
                    "BarlowCondensed-Medium",
                    "BarlowCondensed-SemiBold");

    private Theme() {}

    /** Loads the fonts and the base theme; once, on the application thread. */
    public static void install() {
        FONTS.forEach(name ->
                Font.loadFont(
                        Theme.class.getResourceAsStream("/aficion/fonts/" + name + ".ttf"), 13));
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    }

    public static void dress(Scene scene) {
        scene.getStylesheets().add(Theme.class.getResource("aficion.css").toExternalForm());
    }

    public static void setDark(Scene scene, boolean dark) {
        scene.getRoot().getStyleClass().remove("dark");
        if (dark) {
            scene.getRoot().getStyleClass().add("dark");
        }
    }

    public static Color colour(aficion.catalogue.Colour colour) {
        int rgb = colour.rgb();
        return Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255);
    }

    /** The words of a job's drawings, measured in the font they are drawn in. */
    public static Lettering lettering(Job job, UserUnits units) {
        var font = Font.font("Barlow Condensed Medium", DrawingWords.SIZE);
        return new DrawingWords(
                job,
                units,
                text -> {
                    var shown = new Text(text);
                    shown.setFont(font);
                    return shown.getLayoutBounds().getWidth() + 3;
                });
    }
}
