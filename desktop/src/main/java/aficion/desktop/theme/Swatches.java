package aficion.desktop.theme;

import aficion.catalogue.Colour;
import aficion.job.WireColour;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;

/** A wire's colours, cased in ink so that white and black stand on any ground. */
public final class Swatches {
    private Swatches() {}

    /** A strip of wire with its tracer. */
    public static Region of(WireColour colour) {
        var base = web(Theme.colour(colour.base()));
        var middle = colour.tracer().map(tracer -> web(Theme.colour(tracer))).orElse(base);
        var swatch = new Region();
        swatch.getStyleClass().add("swatch");
        swatch.setStyle(
                "-fx-background-color: -case, "
                        + base
                        + ", "
                        + middle
                        + "; -fx-background-insets: 0, 1, 3 1 3 1;");
        return swatch;
    }

    /** A short piece in one colour, to stand before its name. */
    public static Node piece(Colour colour) {
        var piece = of(WireColour.plain(colour));
        piece.getStyleClass().add("piece");
        return piece;
    }

    private static String web(Color colour) {
        return String.format(
                Locale.ROOT,
                "rgb(%d,%d,%d)",
                Math.round(colour.getRed() * 255),
                Math.round(colour.getGreen() * 255),
                Math.round(colour.getBlue() * 255));
    }
}
