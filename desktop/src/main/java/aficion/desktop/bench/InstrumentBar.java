package aficion.desktop.bench;

import aficion.bench.Meter;
import aficion.bench.StepKey;
import aficion.bench.SupplySetting;
import aficion.bench.TestStep;
import aficion.desktop.bench.Connection.Address;
import aficion.desktop.bench.Connection.Probing;
import aficion.desktop.bench.Connection.Range;
import aficion.desktop.bench.Connection.Shown;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Supply and meter of the bench: where they are, what they show, the output with its limit. */
final class InstrumentBar extends VBox {
    private final Workbench bench;
    private final Runs runs;
    private final DoubleConsumer take;
    private final TextField supply = new TextField("127.0.0.1:5025");
    private final TextField meter = new TextField("127.0.0.1:5026");
    private final Button connect =
            Texts.button(Words.of("instruments.connect"), "plain-button", this::connect);
    private final Button output =
            Texts.button(Words.of("instruments.on"), "key-button", this::switched);
    private final Button enter =
            Texts.button(Words.of("instruments.take"), "key-button", this::take);
    private final CheckBox alone = new CheckBox(Words.of("instruments.alone"));
    private final Label shows = Texts.label("", "bench-figure");
    private final HBox where = new HBox(8);
    private final Label says = Texts.wrapped("", "quiet");
    private Optional<Connection> connection = Optional.empty();
    private Optional<TestStep> step = Optional.empty();
    private Optional<Shown> shown = Optional.empty();
    private Optional<Design> powered = Optional.empty();

    /**
     * @param take takes a reading into the step that is shown
     */
    InstrumentBar(Workbench bench, Runs runs, DoubleConsumer take) {
        super(6);
        this.bench = bench;
        this.runs = runs;
        this.take = take;
        setId("instruments");
        supply.setId("instruments-supply");
        meter.setId("instruments-meter");
        connect.setId("instruments-connect");
        output.setId("instruments-output");
        enter.setId("instruments-take");
        alone.setId("instruments-alone");
        shows.setId("instruments-shows");
        says.setId("instruments-says");
        says.managedProperty().bind(says.textProperty().isNotEmpty());
        supply.setPrefColumnCount(11);
        meter.setPrefColumnCount(11);
        for (var each : List.of(connect, output, enter, alone)) {
            each.setFocusTraversable(false);
        }
        where.getChildren()
                .addAll(
                        Texts.label(Words.of("instruments.supply"), "quiet"),
                        supply,
                        Texts.label(Words.of("instruments.meter"), "quiet"),
                        meter);
        where.setAlignment(Pos.CENTER_LEFT);
        var line = new HBox(12, output, shows, enter, alone, where, connect);
        line.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(line, says);
        sceneProperty()
                .subscribe(scene -> {
                    if (scene == null) {
                        connection.ifPresent(Connection::off);
                    }
                });
        bench.history().addListener((_, _, _) -> edited());
        bench.setting().addListener((_, _, _) -> moved());
        show();
    }

    /** Whether a key goes to where an instrument is. */
    boolean isWritten() {
        return supply.isFocused() || meter.isFocused();
    }

    /** An edit takes the power off what is no longer as drawn. */
    private void edited() {
        if (powered.filter(design -> design != bench.design()).isPresent()) {
            powered = Optional.empty();
            connection.ifPresent(Connection::off);
        }
    }

    /** What is tested elsewhere is another thing. */
    private void moved() {
        powered = Optional.empty();
        connection.ifPresent(Connection::off);
        show();
    }

    private void connect() {
        if (connection.isPresent()) {
            connection.get().close();
            connection = Optional.empty();
            shown = Optional.empty();
            show();
            return;
        }
        var first = Address.parse(supply.getText());
        var second = Address.parse(meter.getText());
        if (first.isEmpty() || second.isEmpty()) {
            says.setText(Words.of("instruments.address"));
            return;
        }
        connection = Optional.of(new Connection(first.get(), second.get(), this::told));
        probe();
        show();
    }

    private void told(Shown now) {
        if (connection.isEmpty()) {
            return;
        }
        shown = Optional.of(now);
        show();
        if (alone.isSelected() && now.steady() && tells(now)) {
            take();
        }
    }

    /** Whether it is a reading of the step that is shown: volts with power on, ohms without. */
    private boolean tells(Shown now) {
        return now.probing().isPresent()
                && now.probing().equals(probing())
                && (now.probing().get().powered() ? now.on() || onVehicle() : !now.on());
    }

    /** Whether a battery feeds what is tested: no supply is switched on beside it. */
    private boolean onVehicle() {
        return bench.setting().get().isOnVehicle();
    }

    private void switched() {
        connection.ifPresent(line -> {
            if (shown.filter(Shown::on).isPresent()) {
                powered = Optional.empty();
                line.off();
            } else {
                setting()
                        .ifPresent(set -> {
                            powered = Optional.of(bench.design());
                            line.on(set.volts(), set.limit());
                        });
            }
        });
    }

    /** How the supply is to be set; empty until the plan is worked out of the design as it is. */
    private Optional<SupplySetting> setting() {
        return runs.plan().map(plan -> SupplySetting.of(bench.design(), plan));
    }

    private void take() {
        shown.filter(this::tells)
                .flatMap(Shown::value)
                .ifPresent(value -> take.accept(Meter.shown(value)));
    }

    /** The step that is shown: where the probes are to be. */
    void at(Optional<TestStep> now) {
        step = now;
        probe();
    }

    private void probe() {
        connection.ifPresent(line -> line.probe(probing()));
    }

    private Optional<Probing> probing() {
        return step.filter(_ -> runs.plan().isPresent()).flatMap(this::probing);
    }

    private Optional<Probing> probing(TestStep now) {
        return switch (now.task()) {
            case TestStep.VoltsAt(var at, var state) ->
                    earth().map(black ->
                            new Probing(Range.VOLTS, at.toString(), black.toString(), text(state)));
            case TestStep.Continuity(var wire) -> Optional.of(along(wire, Range.OHMS, "rest"));
            case TestStep.Through(_, var from, var to, var state) ->
                    Optional.of(
                            new Probing(Range.OHMS, from.toString(), to.toString(), text(state)));
            case TestStep.Quiet(var wire, var state) ->
                    Optional.of(along(wire, Range.AMPS, text(state)));
            case TestStep.AmpsIn(var wire, var state) ->
                    Optional.of(along(wire, Range.AMPS, text(state)));
            case TestStep.Look _,
                    TestStep.LookAt _,
                    TestStep.Isolation _,
                    TestStep.Works _,
                    TestStep.Check _,
                    TestStep.ClipIn _,
                    TestStep.Leave _ ->
                    Optional.empty();
        };
    }

    private Probing along(WireId wire, Range range, String state) {
        var ends = bench.design().wire(wire).terminals();
        return new Probing(range, ends.getFirst().toString(), ends.getLast().toString(), state);
    }

    private String text(Conditions state) {
        return runs.circuit()
                .map(circuit -> StepKey.state(bench.design(), circuit, state))
                .filter(text -> !text.isEmpty())
                .orElse("rest");
    }

    private Optional<Terminal> earth() {
        return bench.design().parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.EarthPoint)
                .findFirst()
                .map(part -> part.terminal("E"));
    }

    private void show() {
        boolean there = connection.isPresent();
        connect.setText(Words.of(there ? "instruments.letGo" : "instruments.connect"));
        where.setVisible(!there);
        where.setManaged(!there);
        for (var each : List.of(output, enter, alone, shows)) {
            each.setVisible(there);
            each.setManaged(there);
        }
        output.setVisible(there && !onVehicle());
        output.setManaged(there && !onVehicle());
        says.setText(there ? shown.map(this::said).orElse(Words.of("instruments.waits")) : "");
        boolean on = shown.filter(Shown::on).isPresent();
        output.setText(
                on
                        ? Words.of("instruments.off")
                        : Words.of(
                                "instruments.on",
                                setting().map(set -> bench.units().print(set.limit())).orElse("")));
        output.setDisable(!on && setting().isEmpty());
        shows.setText(
                shown.flatMap(Shown::value)
                        .map(value ->
                                bench.units().print(shown.get().probing().get().range().of(value)))
                        .orElse(""));
    }

    private String said(Shown now) {
        if (now.trouble().isPresent()) {
            return Words.of("instruments.trouble", now.trouble().get());
        }
        if (now.limited()) {
            return Words.of("instruments.limited");
        }
        if (now.on() && probing().filter(wanted -> !wanted.powered()).isPresent()) {
            return Words.of("instruments.ohmsOn");
        }
        if (onVehicle()) {
            return Words.of(
                    now.steady() ? "instruments.vehicle.steady" : "instruments.vehicle.moves");
        }
        var amps = now.amps().map(bench.units()::print).orElse("");
        return now.on()
                ? Words.of(now.steady() ? "instruments.steady" : "instruments.moves", amps)
                : Words.of("instruments.isOff");
    }
}
