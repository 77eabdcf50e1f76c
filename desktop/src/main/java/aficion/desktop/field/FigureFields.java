package aficion.desktop.field;

import aficion.job.Figures;
import aficion.job.Figures.Figure;
import aficion.job.Kind;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.layout.VBox;

/** Every figure of a part, to be changed in place, in the user's units. */
public final class FigureFields extends VBox {
    private final UserUnits units;
    private final Consumer<Kind> changed;
    private Kind kind;

    /**
     * @param changed takes the kind with one figure changed
     */
    public FigureFields(Kind kind, UserUnits units, Consumer<Kind> changed) {
        super(6);
        this.kind = kind;
        this.units = units;
        this.changed = changed;
        Figures.of(kind).forEach(figure -> getChildren().add(field(figure)));
    }

    private Field field(Figure figure) {
        return new Field(
                "figure-" + figure.path().replace('.', '-'),
                name(figure),
                units.print(figure.value()),
                text -> take(figure, text),
                Words.of("figure.refused", figure.value().unit().symbol()));
    }

    /** The words of a figure; of several alike, such as the ways of a box, with its place. */
    private static String name(Figure figure) {
        var key = "figure." + figure.name();
        var words =
                Words.find(key + "." + figure.value().getClass().getSimpleName())
                        .orElseGet(() -> Words.of(key));
        var place = figure.path().replaceAll("[^0-9.]", "").replaceAll("^\\.+|\\.+$", "");
        return place.isEmpty() ? words : words + " " + (Integer.parseInt(place) + 1);
    }

    private boolean take(Figure figure, String text) {
        return read(figure, text)
                .map(value -> {
                    kind = Figures.with(kind, figure.path(), value);
                    changed.accept(kind);
                    return true;
                })
                .orElse(false);
    }

    private Optional<Double> read(Figure figure, String text) {
        return figure.value() instanceof Metres
                ? units.parseLength(text).map(Metres::value)
                : UserUnits.parseReading(text, figure.value().unit());
    }
}
