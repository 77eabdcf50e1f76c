package aficion.desktop.trace;

import aficion.bench.Meter;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Reading;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;

/**
 * A meter with a red and a black probe, and a test lamp in their place: volts as everything stands,
 * ohms with the battery off, light and current of the lamp.
 */
final class MeterPanel extends HBox {
    private final Workbench bench;
    private final Runnable moved;
    private final ToggleButton redProbe;
    private final ToggleButton blackProbe;
    private final Label volts = Texts.label("", "meter-figure");
    private final Label ohms = Texts.label("", "figure");
    private final Label lamp = Texts.label("", "figure");
    private final Label clamp = Texts.label("", "figure");
    private final Label clamped = Texts.label("", "figure-name");
    private final Circle bulb = new Circle(9);
    private Optional<Terminal> red = Optional.empty();
    private Optional<Terminal> black = Optional.empty();

    /**
     * @param close puts the meter away
     * @param moved told when a probe touches something else
     */
    MeterPanel(Workbench bench, Runnable close, Runnable moved) {
        super(18);
        this.bench = bench;
        this.moved = moved;
        setId("meter");
        getStyleClass().add("meter-panel");
        setAlignment(Pos.CENTER_LEFT);
        var group = new ToggleGroup();
        redProbe = probe("meter-red", "probe-red", group);
        blackProbe = probe("meter-black", "probe-black", group);
        redProbe.setSelected(true);
        volts.setId("meter-volts");
        ohms.setId("meter-ohms");
        lamp.setId("meter-lamp");
        clamp.setId("meter-clamp");
        bulb.getStyleClass().add("bulb");
        bulb.setFill(Color.TRANSPARENT);
        var away = Texts.button(Words.of("meter.close"), "plain-button", close);
        away.setId("meter-close");
        getChildren()
                .addAll(
                        new HBox(8, redProbe, blackProbe),
                        volts,
                        new VBox(
                                4,
                                row(name("meter.ohms"), ohms),
                                row(bulb, name("meter.lamp"), lamp)),
                        new VBox(4, clamped, clamp),
                        Texts.spring(),
                        away);
        for (var figure : List.of(volts, ohms, lamp, clamp, clamped)) {
            figure.setMinWidth(Region.USE_PREF_SIZE);
        }
        away.setMinWidth(Region.USE_PREF_SIZE);
        redProbe.setTooltip(new Tooltip(Words.of("meter.say")));
        blackProbe.setTooltip(new Tooltip(Words.of("meter.say")));
        setVisible(false);
        bench.conditions().addListener((_, _, _) -> measure());
        bench.outcome().addListener((_, _, _) -> clamp());
        bench.selection().addListener((_, _, _) -> clamp());
        bench.trial().addListener((_, _, _) -> measure());
        bench.history().addListener((_, _, _) -> forgetGone());
    }

    private static Label name(String key) {
        var name = Texts.label(Words.of(key), "figure-name");
        name.setMinWidth(Region.USE_PREF_SIZE);
        return name;
    }

    private static HBox row(Node... nodes) {
        var row = new HBox(8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static ToggleButton probe(String id, String style, ToggleGroup group) {
        var button = new ToggleButton();
        button.setId(id);
        button.getStyleClass().addAll("probe", style);
        button.setToggleGroup(group);
        return button;
    }

    Optional<Terminal> red() {
        return isVisible() ? red : Optional.empty();
    }

    Optional<Terminal> black() {
        return isVisible() ? black : Optional.empty();
    }

    /** Takes the meter up, its black probe on earth where it touches nothing yet. */
    void takeUp() {
        setVisible(true);
        if (black.isEmpty()) {
            black = earth(bench.design());
        }
        show();
    }

    /** The first earth point, else the earthed post of the battery. */
    private static Optional<Terminal> earth(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.EarthPoint)
                .findFirst()
                .or(() ->
                        design.parts().stream()
                                .filter(part -> part.kind() instanceof SourceKind.Battery)
                                .findFirst())
                .map(part -> part.terminals().getLast());
    }

    /**
     * Touches a terminal with the probe that is in the hand.
     *
     * @param other with the other one
     */
    void touch(Terminal at, boolean other) {
        if (redProbe.isSelected() != other) {
            red = Optional.of(at);
        } else {
            black = Optional.of(at);
        }
        show();
    }

    private void forgetGone() {
        red = red.filter(at -> bench.design().find(at.part()).isPresent());
        black = black.filter(at -> bench.design().find(at.part()).isPresent());
        if (isVisible()) {
            show();
        }
    }

    private void show() {
        redProbe.setText(Words.of("meter.red", text(red)));
        blackProbe.setText(Words.of("meter.black", text(black)));
        moved.run();
        measure();
        clamp();
    }

    private static String text(Optional<Terminal> at) {
        return at.map(Terminal::toString).orElse(Words.of("meter.nowhere"));
    }

    private void measure() {
        if (!isVisible()) {
            return;
        }
        if (red.isEmpty() || black.isEmpty()) {
            volts.setText(Words.of("meter.touch"));
            ohms.setText("");
            lamp.setText("");
            bulb.setFill(Color.TRANSPARENT);
            return;
        }
        bench.ask().measure(red.get(), black.get(), this::read);
    }

    /** The clamp lies round the wire that is chosen. */
    private void clamp() {
        var wire =
                bench.selection().get() instanceof Selection.OfWire(var id)
                        ? bench.point().flatMap(point -> point.netlist().design().find(id))
                        : Optional.<Wire>empty();
        clamped.setText(
                wire.map(found -> Words.of("meter.clamp", found.number()))
                        .orElse(Words.of("meter.clamp.none")));
        clamp.setText(
                wire.flatMap(found -> bench.point().map(point -> point.through(found)))
                        .map(amps -> bench.speech().say(new Amps(Math.abs(amps.value()))))
                        .orElse(""));
    }

    private void read(Reading reading) {
        var speech = bench.speech();
        volts.setText(speech.volts(reading.volts()));
        ohms.setText(reading.ohms().map(speech::say).orElse(UserUnits.OVER_RANGE));
        double light = reading.lamp().map(Meter.Lit::light).map(l -> l.value()).orElse(0.0);
        bulb.setFill(Color.web("#FFC83D", Math.clamp(light, 0.0, 1.0)));
        lamp.setText(
                reading.lamp()
                        .map(lit ->
                                Words.of(
                                        "meter.lit",
                                        Math.round(lit.light().value() * 100),
                                        speech.say(lit.draws())))
                        .orElse(""));
    }
}
