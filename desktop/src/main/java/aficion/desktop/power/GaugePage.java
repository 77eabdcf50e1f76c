package aficion.desktop.power;

import aficion.bench.WarningLamps;
import aficion.charge.Situation;
import aficion.desktop.drawing.MarksPane;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.gauge.Correction;
import aficion.gauge.Needle;
import aficion.job.Design;
import aficion.job.Fill;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WorkEdit.Asked;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.solve.Solver;
import aficion.words.GaugeWords;
import aficion.words.Plots;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/**
 * Where a needle stands over the level, what corrects it, its calibration; warning lamps beside.
 */
final class GaugePage extends SumPage {
    private static final double PLOT = 180;
    private static final double FILLS = 96;

    private final ComboBox<Needle> gauge = Choices.of(List.<Needle>of(), GaugeWords::name);
    private final MarksPane plot = new MarksPane("gauge-plot");
    private final VBox now = new VBox(2);
    private final Label correction = Texts.label("", "strong");
    private final Button put =
            button("gauge-correct", "gauge.correct", "outline-button", this::correct);
    private final Trouble trouble = new Trouble();
    private final TextField level = field("fill-level", "gauge.fills.level", 8, this::note);
    private final TextField ohms = field("fill-ohms", "gauge.fills.ohms", 6, this::note);
    private final ListView<Fill> fills = new ListView<>();
    private final Trouble filled = new Trouble();
    private final VBox needles = new VBox(8);
    private final Label none = Texts.wrapped(Words.of("gauge.none"), "empty");
    private List<Shown> shown = List.of();
    private boolean filling;

    /** A needle with what corrects it best. */
    private record Shown(Needle needle, Correction best) {}

    /** What was worked out of a design. */
    private record Found(List<Shown> needles, Optional<WarningLamps> lamps) {
        static Found of(Design design) {
            var running = Situation.find(design, Situation.DAY).map(Situation::conditions);
            var solver = new Solver(Netlist.of(design));
            return new Found(
                    Needle.of(design).stream()
                            .map(needle -> new Shown(needle, Correction.best(needle)))
                            .toList(),
                    running.map(state -> WarningLamps.of(solver, state))
                            .filter(table -> !table.rows().isEmpty()));
        }
    }

    GaugePage(Workbench bench) {
        super(bench, "gauge");
        gauge.setId("gauge-choice");
        gauge.setMinHeight(USE_PREF_SIZE);
        now.setId("gauge-now");
        correction.setId("gauge-correction");
        fills.setId("gauge-fills");
        fills.setPlaceholder(Texts.wrapped(Words.of("gauge.fills.none"), "empty"));
        fills.setPrefHeight(FILLS);
        fills.setMinHeight(FILLS);
        fills.setCellFactory(_ -> new FillCell());
        gauge.setOnAction(_ -> {
            if (!filling) {
                choose();
            }
        });
        plot.setMinHeight(PLOT);
        plot.setPrefHeight(PLOT);
        needles.getChildren()
                .addAll(
                        gauge,
                        plot,
                        now,
                        row(put, correction),
                        trouble,
                        card(
                                "gauge.fills",
                                Texts.wrapped(Words.of("gauge.fills.hint"), "quiet"),
                                row(
                                        level,
                                        ohms,
                                        button(
                                                "fill-note",
                                                "gauge.fills.note",
                                                "outline-button",
                                                this::note),
                                        button(
                                                "fill-forget",
                                                "gauge.fills.forget",
                                                "plain-button",
                                                this::forget),
                                        button(
                                                "fill-take",
                                                "gauge.fills.take",
                                                "plain-button",
                                                this::take)),
                                filled,
                                fills));
        getChildren().addAll(none, scroll(needles));
    }

    /** A reading in words. */
    private final class FillCell extends javafx.scene.control.ListCell<Fill> {
        @Override
        protected void updateItem(Fill fill, boolean empty) {
            super.updateItem(fill, empty);
            setText(
                    empty || fill == null
                            ? ""
                            : chosen().map(each -> words().fill(each.needle(), fill)).orElse(""));
        }
    }

    private GaugeWords words() {
        return new GaugeWords(bench.design(), bench.units());
    }

    private Optional<Shown> chosen() {
        return shown.stream().filter(each -> each.needle().equals(gauge.getValue())).findFirst();
    }

    @Override
    void work() {
        bench.ask().prepare(Found::of, this::show);
    }

    private void show(Found found) {
        var before = Optional.ofNullable(gauge.getValue()).map(needle -> needle.gauge().id());
        shown = found.needles();
        boolean any = !shown.isEmpty();
        none.setVisible(!any);
        none.setManaged(!any);
        needles.setVisible(any);
        needles.setManaged(any);
        filling = true;
        gauge.setItems(
                FXCollections.observableArrayList(shown.stream().map(Shown::needle).toList()));
        gauge.setValue(
                shown.stream()
                        .map(Shown::needle)
                        .filter(needle -> before.equals(Optional.of(needle.gauge().id())))
                        .findFirst()
                        .or(() -> shown.stream().map(Shown::needle).findFirst())
                        .orElse(null));
        filling = false;
        choose();
        beside(found);
    }

    private void choose() {
        chosen().ifPresent(each -> {
            var needle = each.needle();
            var best = each.best();
            now.getChildren().setAll(lines(words().now(needle)));
            correction.setText(words().correction(best));
            put.setDisable(!best.helps());
            plot.show(
                    new Plots(bench.units())
                                    .needle(
                                            needle,
                                            Optional.of(best.of(needle)).filter(_ -> best.helps()))
                            ::marks);
            fills.getItems().setAll(sums().fills(needle.sender().id()));
        });
    }

    private void correct() {
        attempt(
                trouble,
                "gauge.fills.refused",
                () ->
                        chosen().ifPresent(each -> {
                            var edit =
                                    each.best()
                                            .edit(
                                                    bench.design(),
                                                    each.needle(),
                                                    Words.of("gauge.resistor"));
                            if (edit.isEmpty()) {
                                throw new IllegalArgumentException(
                                        Words.of(
                                                each.best().helps()
                                                        ? "gauge.correct.refused"
                                                        : "gauge.nothing"));
                            }
                            bench.perform(edit.get());
                        }));
    }

    private void note() {
        chosen().ifPresent(each ->
                setDown(
                        Asked.FILL,
                        filled,
                        "gauge.fills.refused",
                        sums ->
                                sums.with(
                                        each.needle().sender().id(),
                                        new Fill(number(level), new Ohms(number(ohms))))));
        level.requestFocus();
        level.selectAll();
    }

    private void forget() {
        var fill = Optional.ofNullable(fills.getSelectionModel().getSelectedItem());
        chosen().ifPresent(each ->
                fill.ifPresent(gone ->
                        setDown(
                                Asked.FILL,
                                filled,
                                "gauge.fills.refused",
                                sums -> sums.without(each.needle().sender().id(), gone))));
    }

    private void take() {
        attempt(
                filled,
                "gauge.fills.refused",
                () ->
                        chosen().ifPresent(each ->
                                each.needle()
                                        .calibrated(sums().fills(each.needle().sender().id()))
                                        .ifPresentOrElse(
                                                kind ->
                                                        bench.perform(
                                                                new PartEdit.Refit(
                                                                        each.needle().sender().id(),
                                                                        kind)),
                                                () -> {
                                                    throw new IllegalArgumentException(
                                                            Words.of("gauge.fills.none"));
                                                })));
    }

    private void beside(Found found) {
        beside.getChildren()
                .setAll(Texts.wrapped(Words.of("gauge.lamps"), "inspector-title"), Texts.rule());
        if (found.lamps().isEmpty()) {
            beside.getChildren().add(Texts.wrapped(Words.of("gauge.lamps.none"), "quiet"));
        }
        found.lamps()
                .ifPresent(table ->
                        words().lamps(table)
                                .forEach(lamp ->
                                        beside.getChildren()
                                                .add(
                                                        Texts.wrapped(
                                                                Words.of(
                                                                        "gauge.lamp",
                                                                        lamp.name(),
                                                                        lamp.proof(),
                                                                        lamp.fed(),
                                                                        lamp.diode())))));
        beside.getChildren()
                .addAll(
                        Texts.rule(),
                        Texts.caption(Words.of("gauge.meter")),
                        Texts.wrapped(words().meter()));
    }
}
