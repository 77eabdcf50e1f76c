package aficion.desktop.trace;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Recording;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.quantity.Amps;
import aficion.quantity.Quantity;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.simulate.Probe;
import aficion.simulate.SimulationEvent;
import aficion.simulate.SimulationResult;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A recorder of two quantities over time: what happens when everything goes from rest to how it
 * stands now. A channel takes the amps of a wire or the volts of a terminal.
 */
final class RecorderPanel extends HBox {
    private static final List<Double> SPANS = List.of(0.2, 1.0, 5.0, 20.0, 60.0);
    private static final int MOST_POINTS = 600;

    private final Workbench bench;
    private final Channel one = new Channel("A");
    private final Channel two = new Channel("B");
    private final ComboBox<Double> span =
            Choices.of(SPANS, seconds -> Words.of("recorder.span", seconds));
    private final Button start;
    private final ProgressBar progress = new ProgressBar(0);
    private final Label happened = Texts.wrapped("", "quiet");
    private Optional<Recording> running = Optional.empty();

    RecorderPanel(Workbench bench, Runnable close) {
        super(10);
        this.bench = bench;
        setId("recorder");
        getStyleClass().add("recorder");
        span.getSelectionModel().select(1.0);
        span.setId("recorder-span");
        start = Texts.button(Words.of("recorder.start"), "main-button", this::press);
        start.setId("recorder-start");
        happened.setId("recorder-happened");
        progress.setMaxWidth(Double.MAX_VALUE);
        progress.setVisible(false);
        var away = Texts.button(Words.of("meter.close"), "plain-button", close);
        away.setId("recorder-close");
        var head = new HBox(8, Texts.caption(Words.of("recorder.title")), Texts.spring(), away);
        head.setAlignment(Pos.CENTER_LEFT);
        var run = new HBox(8, start, span);
        run.setAlignment(Pos.CENTER_LEFT);
        var controls = new VBox(6, head, one.take, two.take, run, progress, happened);
        controls.setMinWidth(230);
        controls.setPrefWidth(230);
        HBox.setHgrow(one.chart, Priority.ALWAYS);
        HBox.setHgrow(two.chart, Priority.ALWAYS);
        getChildren().addAll(controls, one.chart, two.chart);
        bench.history().addListener((_, _, _) -> forgetGone());
        forgetGone();
    }

    /** One quantity and its plot. */
    private final class Channel {
        private final String name;
        private final LineChart<Number, Number> chart;
        private final Button take;
        private Optional<Probe> probe = Optional.empty();

        Channel(String name) {
            this.name = name;
            var time = new NumberAxis();
            time.setLabel(Words.of("recorder.seconds"));
            chart = new LineChart<>(time, new NumberAxis());
            chart.setId("recorder-" + name);
            chart.setCreateSymbols(false);
            chart.setAnimated(false);
            chart.setLegendVisible(false);
            chart.setMinSize(120, 120);
            chart.setPrefSize(250, 200);
            take = Texts.button("", "chip", this::takeChosen);
            take.setId("recorder-take-" + name);
            take.setMaxWidth(Double.MAX_VALUE);
        }

        private void takeChosen() {
            var chosen =
                    switch (bench.selection().get()) {
                        case Selection.OfWire(var wire) ->
                                Optional.<Probe>of(new Probe.AmpsIn(wire));
                        case Selection.OfTerminal(var at) ->
                                Optional.<Probe>of(new Probe.VoltsAt(at));
                        case Selection.OfPart(var part) ->
                                bench.design().part(part).terminals().stream()
                                        .findFirst()
                                        .<Probe>map(Probe.VoltsAt::new);
                        case Selection.Nothing _, Selection.OfRun _, Selection.OfStation _ ->
                                Optional.<Probe>empty();
                    };
            set(chosen.or(() -> probe));
        }

        void set(Optional<Probe> taken) {
            probe = taken;
            chart.getData().clear();
            var words = probe.map(RecorderPanel.this::words);
            chart.setTitle(words.orElse(""));
            take.setText(name + "  " + words.orElseGet(() -> Words.of("recorder.take")));
        }

        void plot(SimulationResult.Trace trace) {
            var series = new XYChart.Series<Number, Number>();
            var thin = trace.thinned(MOST_POINTS);
            for (int i = 0; i < thin.size(); i++) {
                if (!Double.isNaN(thin.value(i))) {
                    series.getData().add(new XYChart.Data<>(thin.second(i), thin.value(i)));
                }
            }
            chart.getData().setAll(List.of(series));
            var words = words(probe.orElseThrow());
            boolean isAmps = probe.filter(Probe.AmpsIn.class::isInstance).isPresent();
            var most = trace.most();
            if (most.isEmpty()) {
                chart.setTitle(Words.of("recorder.floats", words));
                return;
            }
            Quantity largest =
                    isAmps ? new Amps(most.getAsDouble()) : new Volts(most.getAsDouble());
            chart.setTitle(Words.of("recorder.most", words, bench.speech().say(largest)));
        }
    }

    private String words(Probe probe) {
        return switch (probe) {
            case Probe.AmpsIn(var wire) ->
                    Words.of("recorder.amps", bench.speech().place(wire.value()));
            case Probe.VoltsAt(var at) -> Words.of("recorder.volts", at);
            case Probe.VoltsBetween(var at, _) -> Words.of("recorder.volts", at);
            case Probe.AmpsInside(var part, _) -> Words.of("recorder.amps", part);
            case Probe.ChargeOf(var battery) -> Words.of("recorder.charge", battery);
        };
    }

    /** What is gone from the job is recorded no more. */
    private void forgetGone() {
        for (var channel : List.of(one, two)) {
            channel.set(channel.probe.filter(this::isThere));
        }
    }

    private boolean isThere(Probe probe) {
        return switch (probe) {
            case Probe.AmpsIn(WireId wire) -> bench.design().find(wire).isPresent();
            case Probe.VoltsAt(Terminal at) -> bench.design().find(at.part()).isPresent();
            case Probe.VoltsBetween(var at, var other) ->
                    bench.design().find(at.part()).isPresent()
                            && bench.design().find(other.part()).isPresent();
            case Probe.AmpsInside(var part, _) -> bench.design().find(part).isPresent();
            case Probe.ChargeOf(var battery) -> bench.design().find(battery).isPresent();
        };
    }

    private void press() {
        if (running.isPresent()) {
            running.get().end();
            return;
        }
        var channels = new ArrayList<Channel>();
        for (var channel : List.of(one, two)) {
            if (channel.probe.isPresent()) {
                channels.add(channel);
            }
        }
        if (channels.isEmpty()) {
            happened.setText(Words.of("recorder.nothing"));
            return;
        }
        var recording = new Recording(progress::setProgress, result -> done(channels, result));
        running = Optional.of(recording);
        progress.setProgress(0);
        progress.setVisible(true);
        start.setText(Words.of("recorder.end"));
        happened.setText("");
        bench.ask()
                .record(
                        channels.stream().map(channel -> channel.probe.orElseThrow()).toList(),
                        new Seconds(span.getValue()),
                        recording);
    }

    private void done(List<Channel> channels, Optional<SimulationResult> recorded) {
        running = Optional.empty();
        progress.setVisible(false);
        start.setText(Words.of("recorder.start"));
        happened.setText(Words.of("recorder.failed"));
        recorded.ifPresent(result -> plot(channels, result));
    }

    private void plot(List<Channel> channels, SimulationResult result) {
        for (int i = 0; i < channels.size(); i++) {
            var channel = channels.get(i);
            if (channel.probe.equals(Optional.of(result.traces().get(i).probe()))) {
                channel.plot(result.traces().get(i));
            }
        }
        happened.setText(
                result.events().stream()
                        .filter(each -> !(each instanceof SimulationEvent.Blinked))
                        .limit(4)
                        .map(this::words)
                        .collect(Collectors.joining("\n")));
    }

    private String words(SimulationEvent event) {
        var at = bench.speech().say(event.at());
        return switch (event) {
            case SimulationEvent.Opened(_, var fuse) -> Words.of("event.Opened", at, fuse);
            case SimulationEvent.Reset(_, var fuse) -> Words.of("event.Reset", at, fuse);
            case SimulationEvent.Moved(_, var part, var in) ->
                    Words.of(in ? "event.in" : "event.out", at, part);
            case SimulationEvent.Blinked(_, var part, _) -> Words.of("event.in", at, part);
            case SimulationEvent.Flat(_, var battery) -> Words.of("event.Flat", at, battery);
            case SimulationEvent.Lost(_) -> Words.of("event.Lost", at);
        };
    }
}
