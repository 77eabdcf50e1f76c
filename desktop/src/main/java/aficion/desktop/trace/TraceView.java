package aficion.desktop.trace;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.diagram.Diagram;
import aficion.diagram.VehicleDiagram;
import aficion.job.CircuitId;
import aficion.solve.Outcome;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * The path of the circuit in focus, or of the whole vehicle with that circuit in ink and the others
 * in pencil: drawn by the program and always solved. Pressing a switch throws it.
 */
final class TraceView extends BorderPane {
    private static final double TICKS_A_SECOND = 28;

    private final Workbench bench;
    private final Verbs verbs;
    private final Sheet sheet = new Sheet();
    private final MiniMap map = new MiniMap(sheet);
    private final Overlay overlay;
    private final Label notice = new Label();
    private final CheckBox voltsAtPins = new CheckBox(Words.of("trace.volts"));
    private final CheckBox whole = new CheckBox(Words.of("trace.whole"));
    private final CheckBox returns = new CheckBox(Words.of("trace.returns"));
    private final LooseParts loose;
    private final MeterPanel meter;
    private final RecorderPanel recorder;
    private final VBox foot = new VBox();
    private List<PathDrawing> paths = List.of();
    private Optional<VehicleDiagram> vehicleDiagram = Optional.empty();
    private final AnimationTimer ticks =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    double phase = now / 1e9 * TICKS_A_SECOND;
                    var seen = sheet.seen();
                    for (var path : paths) {
                        if (path.getBoundsInParent().intersects(seen)) {
                            path.tick(phase);
                        }
                    }
                }
            };

    TraceView(Workbench bench, Verbs verbs) {
        this.bench = bench;
        this.verbs = verbs;
        this.overlay = new Overlay(bench, verbs);
        this.loose = new LooseParts(bench, verbs);
        this.meter = new MeterPanel(bench, this::turnMeter, this::showProbes);
        this.recorder = new RecorderPanel(bench, this::turnRecorder);
        setId("trace");
        notice.getStyleClass().add("notice");
        notice.setWrapText(true);
        notice.setMaxWidth(420);
        notice.setVisible(false);
        notice.setMouseTransparent(true);
        StackPane.setAlignment(notice, Pos.TOP_CENTER);
        StackPane.setMargin(notice, new Insets(40, 0, 0, 0));
        map.managedProperty().bind(map.visibleProperty());
        BorderPane.setAlignment(map, Pos.BOTTOM_CENTER);
        BorderPane.setMargin(map, new Insets(8));
        setRight(map);
        voltsAtPins.setId("volts-at-pins");
        whole.setId("whole-vehicle");
        whole.selectedProperty().bindBidirectional(bench.whole());
        returns.setId("returns");
        returns.setSelected(bench.options().get().returns());
        returns.setOnAction(
                _ -> bench.options().set(bench.options().get().withReturns(returns.isSelected())));
        var middle = new StackPane(sheet, notice, overlay);
        setCenter(middle);
        foot.getChildren().add(bar());
        setBottom(foot);
        listen();
        draw();
    }

    private HBox bar() {
        var bar =
                new HBox(
                        loose,
                        Texts.spring(),
                        zoomKey("trace.meter", Words.of("trace.meter"), this::turnMeter),
                        zoomKey("trace.recorder", Words.of("trace.recorder"), this::turnRecorder),
                        whole,
                        returns,
                        voltsAtPins,
                        zoomKey("trace.zoomOut", "\u2212", () -> sheet.zoom(1 / Sheet.STEP)),
                        zoomKey("trace.fit", Words.of("trace.fit"), sheet::fit),
                        zoomKey("trace.zoomIn", "+", () -> sheet.zoom(Sheet.STEP)));
        bar.getStyleClass().add("trace-bar");
        return bar;
    }

    private static Node zoomKey(String key, String text, Runnable action) {
        var button = Texts.button(text, "plain-button", action);
        button.setId(key.replace('.', '-'));
        button.setAccessibleText(Words.of(key));
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private void listen() {
        bench.drawing().addListener((_, _, _) -> draw());
        bench.vehicleDiagram().addListener((_, _, _) -> draw());
        bench.whole().addListener((_, _, _) -> draw());
        bench.history()
                .addListener((_, _, _) -> {
                    if (paths.isEmpty()) {
                        draw();
                    }
                });
        bench.outcome().addListener((_, _, _) -> update());
        bench.trial().addListener((_, _, _) -> update());
        bench.selection().addListener((_, _, _) -> choose());
        bench.focus().addListener((_, _, focus) -> focus(focus));
        verbs.armed().addListener((_, _, armed) -> paths.forEach(path -> path.offerPins(armed)));
        voltsAtPins.setOnAction(_ -> update());
        overlay.follow(this::find);
        addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        sceneProperty()
                .addListener((_, _, scene) -> {
                    if (scene == null) {
                        ticks.stop();
                    } else {
                        ticks.start();
                    }
                });
    }

    private void pressed(KeyEvent event) {
        if (event.isShortcutDown() || event.isAltDown()) {
            return;
        }
        switch (event.getCode()) {
            case PLUS, ADD, EQUALS -> sheet.zoom(Sheet.STEP);
            case MINUS, SUBTRACT -> sheet.zoom(1 / Sheet.STEP);
            case DIGIT0, NUMPAD0 -> sheet.fit();
            default -> {
                return;
            }
        }
        event.consume();
    }

    /** Shows the volts at every pin, or no more. */
    public void turnVolts() {
        voltsAtPins.fire();
    }

    /** Draws returns out to their earth points, or as flags again. */
    public void turnReturns() {
        returns.fire();
    }

    /** Takes the meter up or puts it away. */
    public void turnMeter() {
        if (foot.getChildren().remove(meter)) {
            meter.setVisible(false);
            showProbes();
        } else {
            foot.getChildren().addFirst(meter);
            meter.takeUp();
        }
        requestFocus();
    }

    private void showProbes() {
        paths.forEach(PathDrawing::showProbes);
    }

    /** Takes the recorder up or puts it away. */
    public void turnRecorder() {
        if (!foot.getChildren().remove(recorder)) {
            foot.getChildren().addFirst(recorder);
        }
        requestFocus();
    }

    private Optional<Node> find(Selection selection) {
        return paths.stream()
                .filter(path -> bench.focus().get().equals(Optional.of(path.circuit())))
                .flatMap(path -> path.find(selection).stream())
                .findFirst();
    }

    /** Draws anew and leaves the keyboard where it was: on what had it, else on the drawing. */
    private void draw() {
        var focused = getScene() == null ? null : getScene().getFocusOwner();
        boolean mine = focused != null && isInside(focused);
        drawAnew();
        if (mine && !isInside(getScene().getFocusOwner())) {
            focusOn(focused.getId());
        }
    }

    private boolean isInside(@Nullable Node node) {
        for (var at = node; at != null; at = at.getParent()) {
            if (at == this) {
                return true;
            }
        }
        return false;
    }

    private void focusOn(@Nullable String id) {
        paths.stream()
                .flatMap(path -> path.find(id).stream())
                .findFirst()
                .ifPresentOrElse(Node::requestFocus, this::requestFocus);
    }

    private void drawAnew() {
        if (bench.whole().get() && bench.vehicleDiagram().get().isPresent()) {
            drawWhole(bench.vehicleDiagram().get().get());
        } else {
            drawOne(bench.drawing().get());
        }
        update();
        choose();
    }

    private void drawOne(Optional<ForJob<Diagram>> drawing) {
        vehicleDiagram = Optional.empty();
        map.setVisible(false);
        if (drawing.isEmpty() || drawing.get().made().bodies().isEmpty()) {
            paths = List.of();
            boolean noJob = bench.design().circuits().isEmpty();
            sheet.showEmpty(Words.of(noJob ? "trace.noJob" : "trace.empty"));
            return;
        }
        var path = new PathDrawing(bench, verbs, meter, drawing.get());
        boolean same = paths.size() == 1 && paths.getFirst().circuit().equals(path.circuit());
        paths = List.of(path);
        sheet.showOne(path, same);
    }

    private void drawWhole(ForJob<VehicleDiagram> drawing) {
        var made = drawing.made();
        var before = vehicleDiagram;
        vehicleDiagram = Optional.of(made);
        paths =
                made.circuits().stream()
                        .map(placed -> {
                            var path =
                                    new PathDrawing(
                                            bench,
                                            verbs,
                                            meter,
                                            new ForJob<>(drawing.design(), placed.diagram()));
                            path.setTranslateX(placed.at().x());
                            path.setTranslateY(placed.at().y());
                            return path;
                        })
                        .toList();
        sheet.showWhole(new WholeDrawing(made, drawing.design(), paths), made);
        map.show(made, bench.focus().get());
        map.setVisible(true);
        focus().ifPresent(circuit -> {
            var was = before.flatMap(old -> old.find(circuit));
            var is = made.find(circuit);
            if (was.isPresent() && is.isPresent()) {
                sheet.moveBy(is.get().at().y() - was.get().at().y());
            } else {
                Platform.runLater(() -> showFocus(circuit));
            }
        });
        pencil();
    }

    private Optional<CircuitId> focus() {
        return bench.focus().get();
    }

    /** The circuit in focus in ink, the others in pencil. */
    private void pencil() {
        paths.forEach(path ->
                path.pencil(
                        vehicleDiagram.isPresent()
                                && !focus().equals(Optional.of(path.circuit()))));
    }

    private void focus(Optional<CircuitId> circuit) {
        pencil();
        vehicleDiagram.ifPresent(made -> {
            map.show(made, circuit);
            circuit.ifPresent(this::showFocus);
        });
    }

    private void showFocus(CircuitId circuit) {
        vehicleDiagram
                .flatMap(made -> made.find(circuit))
                .ifPresent(placed ->
                        sheet.reveal(
                                placed.at().x(),
                                placed.at().y() - 30,
                                placed.diagram().width(),
                                placed.diagram().height() + 30));
    }

    private void update() {
        boolean withVolts = voltsAtPins.isSelected();
        paths.forEach(path -> path.update(bench.point(), withVolts));
        notice.setVisible(
                bench.outcome()
                        .get()
                        .filter(outcome -> !(outcome instanceof Outcome.Solved))
                        .isPresent());
        bench.outcome().get().ifPresent(outcome -> notice.setText(trouble(outcome)));
    }

    private static String trouble(Outcome outcome) {
        return switch (outcome) {
            case Outcome.Solved _ -> "";
            case Outcome.Chattering(var relays) -> Words.of("trace.failed.chatter", relays);
            case Outcome.Unsolvable _ -> Words.of("trace.failed.unsolvable");
        };
    }

    private void choose() {
        paths.forEach(PathDrawing::choose);
    }
}
