package aficion.desktop.control;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.size.Supply;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * The vehicle's own panel, always in the same place: key, the switches of the circuit in focus,
 * engine, battery, air, and what is drawn and given.
 */
public final class ConditionsBar extends HBox {
    private static final double MOST_RPM = 6000;
    private static final int MOST_SWITCHES = 3;

    private final Workbench bench;
    private final HBox switches = new HBox(22);
    private final Slider engine = new Slider(0, MOST_RPM, 0);
    private final Label rpm = Texts.label("", "reading");
    private final Label charge = Texts.label("", "reading");
    private final Label air = Texts.label("", "reading");
    private final Label drawn = Texts.label("", "meter");
    private final Label given = Texts.label("", "meter");
    private final Label volts = Texts.label("", "meter");
    private List<Group> groups = List.of();

    /** Where a control that is held goes back to. */
    private Optional<String> letGo = Optional.empty();

    /** The buttons of one control. */
    private record Group(Control control, List<ToggleButton> buttons) {}

    public ConditionsBar(Workbench bench) {
        this.bench = bench;
        setId("conditions");
        getStyleClass().add("conditions");
        drawn.setId("drawn");
        given.setId("given");
        volts.setId("at-battery");
        engine.setId("engine");
        engine.setPrefWidth(120);
        engine.setMinHeight(38);
        engine.setBlockIncrement(100);
        engine.setAccessibleText(Words.of("bar.engine"));
        engine.valueProperty()
                .addListener(
                        (_, _, value) -> setEngine(Math.round(value.doubleValue() / 50) * 50.0));
        rpm.setMinWidth(62);
        getChildren()
                .addAll(
                        switches,
                        group("bar.engine", new HBox(8, engine, rpm)),
                        group(
                                "bar.battery",
                                stepped(
                                        "bar.battery",
                                        charge,
                                        by(state -> state.withCharge(moved(state, -1))),
                                        by(state -> state.withCharge(moved(state, 1))))),
                        group(
                                "bar.air",
                                stepped(
                                        "bar.air",
                                        air,
                                        by(state -> state.withAir(warmer(state, -5))),
                                        by(state -> state.withAir(warmer(state, 5))))),
                        Texts.spring(),
                        group("bar.drawn", drawn),
                        group("bar.given", given),
                        group("bar.atBattery", volts));
        bench.conditions().addListener((_, _, _) -> refresh());
        bench.outcome().addListener((_, _, _) -> measure());
        bench.practising().addListener((_, _, _) -> measure());
        bench.focus().addListener((_, _, _) -> rebuild());
        bench.history().addListener((_, _, _) -> rebuild());
        rebuild();
        measure();
    }

    private static Ratio moved(Conditions state, int steps) {
        return new Ratio(Math.clamp(Math.round(state.charge().value() * 20 + steps) / 20.0, 0, 1));
    }

    private static Celsius warmer(Conditions state, double by) {
        return new Celsius(Math.clamp(state.air().value() + by, -30, 60));
    }

    private Runnable by(UnaryOperator<Conditions> change) {
        return () -> bench.conditions().set(change.apply(bench.conditions().get()));
    }

    private static VBox group(String caption, Node content) {
        return new VBox(6, Texts.caption(Words.of(caption)), content);
    }

    private static HBox stepped(String name, Label reading, Runnable less, Runnable more) {
        return new HBox(
                2,
                step("\u2212", "bar.lower", name, less),
                reading,
                step("+", "bar.higher", name, more));
    }

    private static Button step(String sign, String words, String name, Runnable action) {
        var button = Texts.button(sign, "step", action);
        button.setAccessibleText(Words.of(words, Words.of(name)));
        button.setTooltip(new Tooltip(button.getAccessibleText()));
        return button;
    }

    private void setEngine(double value) {
        if (value != bench.conditions().get().engine().value()) {
            bench.conditions().set(bench.conditions().get().withEngine(new Rpm(value)));
        }
    }

    private List<Control> shownControls() {
        var shown = new LinkedHashSet<Control>();
        var all = Controls.of(bench.design());
        all.key().ifPresent(shown::add);
        Optional<CircuitId> focus =
                bench.focus().get().filter(id -> bench.design().find(id).isPresent());
        focus.ifPresent(circuit -> shown.addAll(Controls.of(bench.design(), circuit).controls()));
        return shown.stream().limit(MOST_SWITCHES).toList();
    }

    private void rebuild() {
        var wanted = shownControls();
        var levels =
                bench.focus()
                        .get()
                        .filter(id -> bench.design().find(id).isPresent())
                        .map(id -> Controls.of(bench.design(), id).levels())
                        .orElse(List.of());
        switches.getChildren().clear();
        var built = new ArrayList<Group>();
        for (var control : wanted) {
            var group =
                    new Group(
                            control,
                            control.positions().stream()
                                    .map(position -> button(control, position.name()))
                                    .toList());
            built.add(group);
            var row = new HBox(3);
            row.getChildren().addAll(group.buttons());
            switches.getChildren().add(new VBox(6, Texts.caption(control.name()), row));
        }
        levels.forEach(level -> switches.getChildren().add(levelBox(level)));
        groups = List.copyOf(built);
        refresh();
    }

    private ToggleButton button(Control control, String position) {
        var button = new ToggleButton(position);
        button.getStyleClass().add("position");
        button.setId("set-" + control.name() + "-" + position);
        button.setAccessibleText(Words.of("condition.one", control.name(), position));
        if (control.springs(position)) {
            button.armedProperty().addListener((_, _, held) -> hold(control, position, held));
            button.setOnAction(_ -> refresh());
        } else {
            button.setOnAction(_ -> {
                bench.set(control.name(), position);
                refresh();
            });
        }
        return button;
    }

    /**
     * What springs back is held as long as it is pressed, by hand or by key, and no longer; a key
     * goes back to the last position it stays in, all else to where it was.
     */
    private void hold(Control control, String position, boolean held) {
        var now = Controls.position(control, bench.conditions().get());
        if (held) {
            letGo = now.equals(position) ? letGo : Optional.of(now);
            bench.set(control.name(), position);
        } else if (now.equals(position)) {
            bench.set(
                    control.name(),
                    control.action() == Action.KEY
                            ? control.sprungBack()
                            : letGo.orElse(control.rest()));
        }
    }

    /** A level with its name and what it stands at: a temperature, or how full. */
    private VBox levelBox(String name) {
        var slider = level(name);
        var caption = Texts.caption(said(name, slider.getValue()));
        caption.setId("level-" + name + "-value");
        slider.valueProperty()
                .addListener((_, _, value) -> caption.setText(said(name, value.doubleValue())));
        return new VBox(6, caption, slider);
    }

    private String said(String name, double value) {
        return Words.of("condition.one", name, bench.speech().level(name, value));
    }

    private Slider level(String name) {
        var slider = new Slider(0, 1, bench.conditions().get().levels().getOrDefault(name, 0.5));
        slider.setId("level-" + name);
        slider.setPrefWidth(80);
        slider.setMinHeight(38);
        slider.setBlockIncrement(0.05);
        slider.setAccessibleText(Words.of("bar.level", name));
        slider.valueProperty()
                .addListener((_, _, value) ->
                        bench.conditions()
                                .set(
                                        bench.conditions()
                                                .get()
                                                .withLevel(
                                                        name,
                                                        Math.clamp(value.doubleValue(), 0, 1))));
        return slider;
    }

    private void refresh() {
        var state = bench.conditions().get();
        for (var group : groups) {
            var now = Controls.position(group.control(), state);
            for (var button : group.buttons()) {
                button.setSelected(Objects.equals(button.getText(), now));
            }
        }
        if (Math.abs(engine.getValue() - state.engine().value()) >= 50) {
            engine.setValue(state.engine().value());
        }
        rpm.setText(bench.units().print(state.engine()));
        charge.setText(Speech.percent(state.charge().value()));
        air.setText(bench.units().print(state.air()));
    }

    private void measure() {
        var supply = bench.point().filter(_ -> !bench.practising().get()).map(Supply::of);
        boolean kept = bench.practising().get() || bench.outcome().get().isEmpty();
        var none = kept ? "" : Words.of("bar.unsolved");
        drawn.setText(supply.map(found -> bench.units().print(found.drawn())).orElse(none));
        given.setText(supply.map(found -> bench.units().print(found.generated())).orElse(""));
        volts.setText(
                supply.flatMap(Supply::volts).map(found -> bench.units().print(found)).orElse(""));
    }
}
