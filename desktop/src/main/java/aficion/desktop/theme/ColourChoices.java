package aficion.desktop.theme;

import aficion.catalogue.Colour;
import aficion.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.ComboBox;

/** Boxes to choose a colour of a wire from, each with a piece of it before its name. */
public final class ColourChoices {
    private ColourChoices() {}

    public static ComboBox<Colour> all() {
        return Choices.of(
                List.of(Colour.values()),
                each -> Words.of("colour", each),
                each -> Optional.of(Swatches.piece(each)));
    }

    /**
     * None first, and each.
     *
     * @param none what is said of none
     */
    public static ComboBox<Optional<Colour>> orNone(String none) {
        return Choices.of(
                Stream.concat(
                                Stream.of(Optional.<Colour>empty()),
                                Arrays.stream(Colour.values()).map(Optional::of))
                        .toList(),
                each -> each.map(found -> Words.of("colour", found)).orElse(none),
                each -> each.map(Swatches::piece));
    }
}
