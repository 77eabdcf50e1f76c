package aficion.desktop.plan;

import aficion.catalogue.Colour;
import aficion.catalogue.ColourScheme;
import aficion.catalogue.Purpose;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.ColourChoices;
import aficion.desktop.theme.Texts;
import aficion.job.Colouring;
import aficion.job.WireColour;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How wires are told apart: by a scheme, by a list of one's own, or all alike with bands. */
final class ColouringChoice extends VBox {
    private final ComboBox<Way> way =
            Choices.of(List.of(Way.values()), value -> Words.of("colouring", value));
    private final ComboBox<Colour> only = colours();
    private final Map<Purpose, ComboBox<Colour>> bases = new EnumMap<>(Purpose.class);
    private final Map<Purpose, ComboBox<Optional<Colour>>> tracers = new EnumMap<>(Purpose.class);
    private final VBox list = new VBox(4);

    /** The ways there are. */
    private enum Way {
        NONE,
        BS_AU_7,
        DIN_72551,
        TRAILER,
        OWN,
        BANDED
    }

    ColouringChoice(Optional<Colouring> now) {
        super(6);
        way.setId("colouring");
        way.setMaxWidth(Double.MAX_VALUE);
        way.setAccessibleText(Words.of("rules.colours"));
        only.setId("colouring-only");
        only.setAccessibleText(Words.of("rules.only"));
        getChildren().addAll(way, only, list);
        for (var purpose : Purpose.values()) {
            line(purpose);
        }
        now.ifPresent(this::show);
        way.valueProperty().addListener((_, _, _) -> arrange());
        arrange();
    }

    private static ComboBox<Colour> colours() {
        var box = ColourChoices.all();
        box.getSelectionModel().select(Colour.RED);
        return box;
    }

    private void line(Purpose purpose) {
        var base = colours();
        var british = ColourScheme.BS_AU_7.paint(purpose).orElseThrow();
        base.getSelectionModel().select(british.base());
        var tracer = ColourChoices.orNone(Words.of("newJob.none"));
        tracer.getSelectionModel().select(british.tracer());
        base.setAccessibleText(Words.of("purpose", purpose));
        tracer.setAccessibleText(Words.of("purpose", purpose));
        bases.put(purpose, base);
        tracers.put(purpose, tracer);
        var row =
                new HBox(
                        6,
                        Texts.label(Words.of("purpose", purpose), "figure-name"),
                        Texts.spring(),
                        base,
                        tracer);
        row.setAlignment(Pos.CENTER_LEFT);
        list.getChildren().add(row);
    }

    private void show(Colouring colouring) {
        switch (colouring) {
            case Colouring.ByScheme(var scheme) -> way.setValue(Way.valueOf(scheme.name()));
            case Colouring.Banded(var colour) -> {
                way.setValue(Way.BANDED);
                only.setValue(colour);
            }
            case Colouring.ByList(var entries) -> {
                way.setValue(Way.OWN);
                entries.forEach(entry -> {
                    bases.get(entry.purpose()).setValue(entry.colour().base());
                    tracers.get(entry.purpose()).setValue(entry.colour().tracer());
                });
            }
        }
    }

    private void arrange() {
        only.setVisible(way.getValue() == Way.BANDED);
        only.setManaged(only.isVisible());
        list.setVisible(way.getValue() == Way.OWN);
        list.setManaged(list.isVisible());
    }

    /** What has been chosen; empty for no scheme at all. */
    Optional<Colouring> chosen() {
        return switch (way.getValue()) {
            case NONE -> Optional.empty();
            case BS_AU_7 -> Optional.of(new Colouring.ByScheme(ColourScheme.BS_AU_7));
            case DIN_72551 -> Optional.of(new Colouring.ByScheme(ColourScheme.DIN_72551));
            case TRAILER -> Optional.of(new Colouring.ByScheme(ColourScheme.TRAILER));
            case BANDED -> Optional.of(new Colouring.Banded(only.getValue()));
            case OWN -> Optional.of(own());
        };
    }

    private Colouring own() {
        var entries = new ArrayList<Colouring.Entry>();
        bases.forEach((purpose, base) ->
                entries.add(
                        new Colouring.Entry(
                                purpose,
                                new WireColour(base.getValue(), tracers.get(purpose).getValue()))));
        return new Colouring.ByList(entries);
    }
}
