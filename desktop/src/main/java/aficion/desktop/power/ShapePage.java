package aficion.desktop.power;

import aficion.catalogue.Holes;
import aficion.catalogue.Holes.Hole;
import aficion.desktop.drawing.MarksPane;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.diagram.Mark;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.PaperFormat;
import aficion.files.sheet.ShapeFiles;
import aficion.harness.Dress;
import aficion.job.Panel;
import aficion.job.Pickup;
import aficion.job.edit.WorkEdit.Asked;
import aficion.plot.FullSize;
import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.route.StationId;
import aficion.shape.Chords;
import aficion.words.ShapeWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Marks round a shaft, panels with their holes, pulleys and belt, grommets: what hands mark out.
 */
final class ShapePage extends SumPage {
    private static final double SHAFT = 190;
    private static final double PANEL = 230;
    private static final double LIST = 110;

    private final Papers papers;
    private final TextField shaft = field("pickup-shaft", "shape.pickup.shaft", 6, this::pickup);
    private final TextField marks = field("pickup-marks", "shape.pickup.marks", 4, this::pickup);
    private final TextField wheel = field("pickup-wheel", "shape.pickup.wheel", 8, this::pickup);
    private final TextField drive = field("pickup-drive", "shape.pickup.drive", 12, this::pickup);
    private final MarksPane round = new MarksPane("pickup-picture");
    private final VBox counted = new VBox(3);
    private final VBox grommets = new VBox(7);
    private final Trouble trouble = new Trouble();
    private final TextField name = field("panel-name", "shape.panel.name", 10, this::panel);
    private final TextField wide = field("panel-wide", "shape.panel.width", 6, this::panel);
    private final TextField high = field("panel-high", "shape.panel.height", 6, this::panel);
    private final ComboBox<Hole> hole =
            Choices.of(Holes.all(), each -> Words.of("hole." + each.what()));
    private final TextField x = field("hole-x", "shape.panel.x", 7, this::hole);
    private final TextField y = field("hole-y", "shape.panel.y", 7, this::hole);
    private final ListView<Panel> panels = new ListView<>();
    private final MarksPane sheet = new MarksPane("panel-picture");
    private final Trouble drilled = new Trouble();

    ShapePage(Surroundings with) {
        super(with.bench(), "shape");
        papers = with.papers();
        hole.setId("panel-hole");
        panels.setId("panels");
        panels.setPrefHeight(LIST);
        panels.setMaxWidth(170);
        panels.setCellFactory(_ -> new PanelCell());
        panels.setPlaceholder(Texts.wrapped(Words.of("shape.panel.none"), "empty"));
        panels.getSelectionModel().selectedItemProperty().addListener((_, _, now) -> choose(now));
        round.setMinSize(SHAFT, SHAFT);
        round.setMaxSize(SHAFT, SHAFT);
        sheet.setMinHeight(PANEL);
        sheet.setPrefHeight(PANEL);
        HBox.setHgrow(sheet, Priority.ALWAYS);
        HBox.setHgrow(counted, Priority.ALWAYS);
        var pickup =
                card(
                        "shape.pickup",
                        row(
                                shaft,
                                marks,
                                wheel,
                                drive,
                                button(
                                        "pickup-note",
                                        "shape.pickup.note",
                                        "outline-button",
                                        this::pickup),
                                button(
                                        "pickup-print",
                                        "shape.pickup.print",
                                        "plain-button",
                                        this::printShaft)),
                        trouble,
                        new HBox(14, round, counted));
        var panel =
                card(
                        "shape.panel",
                        row(
                                name,
                                wide,
                                high,
                                button(
                                        "panel-note",
                                        "shape.panel.note",
                                        "outline-button",
                                        this::panel),
                                button(
                                        "panel-forget",
                                        "shape.panel.forget",
                                        "plain-button",
                                        this::removePanel)),
                        row(
                                hole,
                                x,
                                y,
                                button("hole-add", "shape.panel.add", "outline-button", this::hole),
                                button(
                                        "hole-remove",
                                        "shape.panel.remove",
                                        "plain-button",
                                        this::removeHole)),
                        drilled,
                        row(
                                button(
                                        "panel-print",
                                        "shape.panel.print",
                                        "plain-button",
                                        this::printPanel),
                                button(
                                        "panel-dxf",
                                        "shape.panel.dxf",
                                        "plain-button",
                                        () -> keepPanel(FullSizeFiles.Kind.DXF)),
                                button(
                                        "panel-svg",
                                        "shape.panel.svg",
                                        "plain-button",
                                        () -> keepPanel(FullSizeFiles.Kind.SVG))),
                        new HBox(14, panels, sheet));
        getChildren().add(scroll(pickup, panel));
    }

    /** A panel by its name. */
    private static final class PanelCell extends ListCell<Panel> {
        @Override
        protected void updateItem(Panel panel, boolean empty) {
            super.updateItem(panel, empty);
            setText(empty || panel == null ? "" : panel.name());
        }
    }

    @Override
    void work() {
        var words = new ShapeWords(bench.units());
        counted.getChildren().clear();
        round.setVisible(sums().pickup().isPresent());
        sums().pickup()
                .ifPresent(pickup -> {
                    put(shaft, () -> millimetres(pickup.shaft()));
                    put(marks, () -> String.valueOf(pickup.marks()));
                    put(wheel, () -> millimetres(pickup.wheel()));
                    put(drive, () -> print(pickup.drive()));
                    counted.getChildren().add(Texts.wrapped(words.pulses(pickup), "strong"));
                    if (pickup.marks() > 1) {
                        var chords = Chords.of(pickup.shaft(), pickup.marks());
                        counted.getChildren().add(Texts.wrapped(working(words.chord(pickup))));
                        counted.getChildren()
                                .add(Texts.wrapped(Words.of("shape.striking"), "quiet"));
                        counted.getChildren()
                                .add(
                                        Texts.wrapped(
                                                String.join(
                                                        " \u00b7 ", ShapeWords.striking(chords))));
                        show(round, FullSize.shaft(chords));
                    }
                });
        var before =
                Optional.ofNullable(panels.getSelectionModel().getSelectedItem())
                        .map(Panel::name)
                        .orElse(name.getText().strip());
        panels.getItems().setAll(sums().panels());
        panels.getItems().stream()
                .filter(each -> each.name().equals(before))
                .findFirst()
                .ifPresentOrElse(
                        panels.getSelectionModel()::select,
                        panels.getSelectionModel()::selectFirst);
        choose(panels.getSelectionModel().getSelectedItem());
        beside(words);
    }

    private void choose(Panel panel) {
        sheet.setVisible(panel != null);
        if (panel != null) {
            put(name, panel::name);
            put(wide, () -> millimetres(panel.width()));
            put(high, () -> millimetres(panel.height()));
            show(sheet, FullSize.panel(panel));
        }
    }

    /** A drawing at full size, as large as the room allows. */
    private static void show(MarksPane pane, FullSize drawing) {
        pane.show((wide, high) -> {
            double scale = Math.min(wide / (drawing.wide() + 4), high / (drawing.high() + 24));
            return drawing.marks().stream().map(mark -> scaled(mark, scale)).toList();
        });
    }

    private static Mark scaled(Mark mark, double scale) {
        return mark.scaled(scale).moved(2, 2);
    }

    private void pickup() {
        setDown(
                Asked.PICKUP,
                trouble,
                "shape.pickup.refused",
                sums ->
                        sums.with(
                                new Pickup(
                                        millimetres(shaft),
                                        (int) Math.round(number(marks)),
                                        millimetres(wheel),
                                        new Ratio(drive.getText().isBlank() ? 1 : number(drive)))));
    }

    private Optional<Panel> shown() {
        return Optional.ofNullable(panels.getSelectionModel().getSelectedItem());
    }

    private void panel() {
        var called = name.getText().strip();
        setDown(
                Asked.PANEL,
                drilled,
                "shape.panel.refused",
                sums -> {
                    var holes =
                            sums.panels().stream()
                                    .filter(each -> each.name().equals(called))
                                    .findFirst()
                                    .map(Panel::holes)
                                    .orElse(List.of());
                    return sums.with(
                            new Panel(called, millimetres(wide), millimetres(high), holes));
                });
        panels.getItems().stream()
                .filter(each -> each.name().equals(called))
                .findFirst()
                .ifPresent(panels.getSelectionModel()::select);
    }

    private void hole() {
        if (shown().isEmpty()) {
            drilled.say(Words.of("shape.panel.none"));
            return;
        }
        setDown(
                Asked.PANEL,
                drilled,
                "shape.panel.refused",
                sums -> {
                    var panel = shown().orElseThrow();
                    var kind = hole.getValue() == null ? Holes.all().getFirst() : hole.getValue();
                    return sums.with(
                            panel.with(
                                    new Panel.Hole(
                                            free(panel, Words.of("hole." + kind.what())),
                                            millimetres(x),
                                            millimetres(y),
                                            kind.diameter())));
                });
    }

    /** A name that no hole of the panel has. */
    private static String free(Panel panel, String wanted) {
        var names = panel.holes().stream().map(Panel.Hole::name).toList();
        var free = wanted;
        for (int i = 2; names.contains(free); i++) {
            free = wanted + " " + i;
        }
        return free;
    }

    private void removeHole() {
        shown().filter(panel -> !panel.holes().isEmpty())
                .ifPresent(panel ->
                        setDown(
                                Asked.PANEL,
                                drilled,
                                "shape.panel.refused",
                                sums -> sums.with(panel.without(panel.holes().getLast()))));
    }

    private void removePanel() {
        shown().ifPresent(panel ->
                setDown(Asked.PANEL, drilled, "shape.panel.refused", sums -> sums.without(panel)));
    }

    private void printShaft() {
        sums().pickup()
                .filter(pickup -> pickup.marks() > 1)
                .ifPresent(pickup -> {
                    var units = bench.units();
                    showTiles(
                            papers, "shaft.pdf", design -> ShapeFiles.shaft(design, pickup, units));
                });
    }

    private void printPanel() {
        shown().ifPresent(panel ->
                showTiles(papers, "panel.pdf", design -> ShapeFiles.panel(design, panel)));
    }

    private void keepPanel(FullSizeFiles.Kind kind) {
        shown().ifPresent(panel ->
                papers.keep(
                        "panel" + kind.ending(),
                        "file." + kind.file(),
                        design ->
                                kind.of(ShapeFiles.panel(design, panel).files(), PaperFormat.A4)));
    }

    private void beside(ShapeWords words) {
        beside.getChildren()
                .setAll(Texts.wrapped(Words.of("shape.pulleys"), "inspector-title"), Texts.rule());
        var pulleys = sums().pulleys();
        if (pulleys.isEmpty()) {
            beside.getChildren().add(Texts.wrapped(Words.of("shape.pulleys.none"), "quiet"));
        }
        pulleys.forEach((source, measured) -> {
            beside.getChildren().add(Texts.wrapped(working(words.ratio(measured, new Rpm(1000)))));
            beside.getChildren().add(Texts.wrapped(words.belt(measured)));
        });
        beside.getChildren()
                .addAll(Texts.rule(), Texts.caption(Words.of("shape.grommets")), grommets);
        bench.ask().prepare(Dress::grommets, this::show);
    }

    private void show(Map<StationId, Metres> bores) {
        var lines = new ArrayList<String>();
        bores.forEach((at, bore) ->
                lines.add(Words.of("shape.grommet", bench.speech().station(at), print(bore))));
        if (lines.isEmpty()) {
            lines.add(Words.of("shape.grommets.none"));
        }
        grommets.getChildren().setAll(lines(lines));
    }
}
