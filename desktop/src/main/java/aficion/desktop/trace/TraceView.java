package aficion.desktop.trace;

import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.diagram.Diagram;
import aficion.diagram.Diagram.EarthFlag;
import aficion.diagram.Diagram.Jump;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.NamesWire;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.WireId;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.animation.AnimationTimer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.transform.Scale;

/**
 * The path of the circuit in focus, drawn by the program and always solved. Pressing a switch
 * throws it.
 */
public final class TraceView extends BorderPane {
    private static final double HEAD = 28;
    private static final double LEAST_SCALE = 0.88;
    private static final double MOST_SCALE = 1.25;
    private static final double TICKS_A_SECOND = 28;

    private final Workbench bench;
    private final Pane canvas = new Pane();
    private final ScrollPane scroll = new ScrollPane();
    private final StackPane middle = new StackPane();
    private final javafx.scene.control.Label notice = new javafx.scene.control.Label();
    private final CheckBox voltsAtPins = new CheckBox(Words.of("trace.volts"));
    private final Group bands = new Group();
    private final Group flags = new Group();
    private final Group wireLayer = new Group();
    private final Group partLayer = new Group();
    private final Group words = new Group();
    private final Group volts = new Group();
    private final Map<WireId, WireNode> wires = new HashMap<>();
    private final List<PartNode> parts = new ArrayList<>();
    private Optional<Diagram> shown = Optional.empty();
    private final AnimationTimer ticks =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    double phase = now / 1e9 * TICKS_A_SECOND;
                    wires.values().forEach(wire -> wire.run(phase));
                }
            };

    public TraceView(Workbench bench) {
        this.bench = bench;
        setId("trace");
        scroll.getStyleClass().add("trace-scroll");
        scroll.setPannable(true);
        scroll.setFocusTraversable(false);
        notice.getStyleClass().add("notice");
        notice.setWrapText(true);
        notice.setMaxWidth(420);
        notice.setVisible(false);
        StackPane.setAlignment(notice, Pos.TOP_CENTER);
        StackPane.setMargin(notice, new Insets(40, 0, 0, 0));
        voltsAtPins.setId("volts-at-pins");
        middle.getChildren().addAll(scroll, notice);
        setCenter(middle);
        var bar = new HBox(voltsAtPins);
        bar.getStyleClass().add("trace-bar");
        setBottom(bar);
        canvas.getChildren().addAll(bands, flags, wireLayer, words, partLayer, volts);
        bench.drawing().addListener((_, _, drawing) -> draw(drawing));
        bench.history()
                .addListener((_, _, _) -> {
                    if (shown.isEmpty()) {
                        draw(Optional.empty());
                    }
                });
        bench.outcome().addListener((_, _, _) -> update());
        bench.selection().addListener((_, _, _) -> choose());
        voltsAtPins.setOnAction(_ -> update());
        scroll.viewportBoundsProperty().addListener((_, _, _) -> fit());
        addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        sceneProperty()
                .addListener((_, _, scene) -> {
                    if (scene == null) {
                        ticks.stop();
                    } else {
                        ticks.start();
                    }
                });
        draw(bench.drawing().get());
    }

    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.V && !event.isShortcutDown()) {
            voltsAtPins.fire();
            event.consume();
        }
    }

    private void draw(Optional<ForJob<Diagram>> drawing) {
        shown = drawing.map(ForJob::made);
        wires.clear();
        parts.clear();
        for (var layer : List.of(bands, flags, wireLayer, partLayer, words, volts)) {
            layer.getChildren().clear();
        }
        if (shown.isEmpty() || shown.get().bodies().isEmpty()) {
            boolean noJob = bench.job().circuits().isEmpty();
            var empty =
                    new javafx.scene.control.Label(Words.of(noJob ? "trace.noJob" : "trace.empty"));
            empty.getStyleClass().add("empty");
            scroll.setContent(empty);
            return;
        }
        draw(shown.get(), drawing.orElseThrow().job());
        scroll.setContent(new Group(canvas));
        fit();
        update();
        choose();
    }

    private void draw(Diagram diagram, Job job) {
        var labels =
                diagram.labels().stream()
                        .filter(label -> label.named() instanceof NamesWire)
                        .collect(
                                Collectors.toMap(
                                        label -> ((NamesWire) label.named()).wire(),
                                        label -> label));
        for (var stroke : diagram.strokes()) {
            job.find(stroke.wire())
                    .ifPresent(wire -> {
                        var node = new WireNode(wire, stroke, labels.get(stroke.wire()));
                        node.setOnMouseClicked(event -> {
                            bench.selection().set(new Selection.OfWire(wire.id()));
                            node.requestFocus();
                            event.consume();
                        });
                        node.setOnKeyPressed(event ->
                                activate(
                                        event,
                                        () ->
                                                bench.selection()
                                                        .set(new Selection.OfWire(wire.id()))));
                        wires.put(wire.id(), node);
                        wireLayer.getChildren().add(node);
                    });
        }
        for (var body : diagram.bodies()) {
            job.find(body.part()).ifPresent(part -> add(part, body));
        }
        diagram.labels().stream()
                .filter(label -> !(label.named() instanceof NamesWire))
                .forEach(this::word);
        diagram.earths().forEach(this::earth);
        diagram.jumps().forEach(jump -> jump(jump, job));
    }

    private void add(Part part, Diagram.Body body) {
        var node = new PartNode(part, body);
        node.setOnMouseClicked(event -> {
            press(node);
            node.requestFocus();
            event.consume();
        });
        node.setOnKeyPressed(event -> activate(event, () -> press(node)));
        parts.add(node);
        partLayer.getChildren().add(node);
    }

    private void press(PartNode node) {
        bench.selection().set(new Selection.OfPart(node.part().id()));
        node.control().ifPresent(bench::advance);
    }

    private static void activate(KeyEvent event, Runnable action) {
        if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.SPACE) {
            action.run();
            event.consume();
        }
    }

    private void word(Label label) {
        var box = label.box();
        words.getChildren().add(Ink.text(box.x(), box.y() + box.height() / 2, label.text()));
    }

    private void earth(EarthFlag flag) {
        double direction = flag.at().x() >= flag.from().x() ? 1 : -1;
        if (flag.wire().isEmpty()) {
            flags.getChildren()
                    .add(
                            Ink.line(
                                    flag.from().x(),
                                    flag.from().y(),
                                    flag.at().x(),
                                    flag.at().y(),
                                    "earth-sign"));
        }
        for (int bar = 0; bar < 3; bar++) {
            double x = flag.at().x() + direction * bar * 4;
            double half = 8 - bar * 2.6;
            var line = Ink.line(x, flag.at().y() - half, x, flag.at().y() + half);
            line.getStyleClass().setAll("earth-sign");
            flags.getChildren().add(line);
        }
    }

    private void jump(Jump jump, Job job) {
        double x = jump.at().x();
        double y = jump.at().y();
        int out = jump.side() == Diagram.Side.LEFT ? -1 : 1;
        var circuit = job.circuit(jump.circuit());
        double tip = x + out * 2;
        double neck = x + out * 9;
        double end = x + out * 44;
        var shape =
                out < 0
                        ? new Polygon(tip, y, neck, y - 8, end, y - 8, end, y + 8, neck, y + 8)
                        : new Polygon(
                                tip, y - 8, end - 7, y - 8, end, y, end - 7, y + 8, tip, y + 8);
        shape.getStyleClass().add("jump");
        var text = Ink.text(out < 0 ? x - 41 : x + 6, y, job.wire(jump.wire()).number(), "dim");
        var group = new Group(shape, text);
        group.setId("jump-" + jump.pin());
        group.setCursor(Cursor.HAND);
        group.setAccessibleText(Words.of("trace.jump", circuit.number(), circuit.name()));
        group.setOnMouseClicked(_ -> bench.focus().set(Optional.of(jump.circuit())));
        flags.getChildren().add(group);
    }

    /**
     * Scales the drawing to the room there is, within what stays readable, and gives the lanes the
     * full height.
     */
    private void fit() {
        if (shown.isEmpty() || shown.get().bodies().isEmpty()) {
            return;
        }
        var diagram = shown.get();
        var room = scroll.getViewportBounds();
        double wide = (room.getWidth() - 2) / diagram.width();
        double high = (room.getHeight() - 2) / (diagram.height() + HEAD);
        double scale = Math.clamp(Math.min(wide, high), LEAST_SCALE, MOST_SCALE);
        canvas.getTransforms().setAll(new Scale(scale, scale));
        double height = Math.max(diagram.height() + HEAD, (room.getHeight() - 2) / scale);
        double width = Math.max(diagram.width(), (room.getWidth() - 2) / scale);
        bands.getChildren().clear();
        int index = 0;
        for (var band : diagram.bands()) {
            boolean last = index == diagram.bands().size() - 1;
            var paper = new Rectangle(band.x(), 0, last ? width - band.x() : band.width(), height);
            paper.getStyleClass().add(index % 2 == 0 ? "lane-even" : "lane-odd");
            var head =
                    Ink.text(
                            band.x() + 10,
                            16,
                            Words.of("lane", band.lane()).toUpperCase(Locale.ROOT));
            head.getStyleClass().setAll("lane-head");
            bands.getChildren().addAll(paper, head);
            index++;
        }
    }

    private void update() {
        var point = bench.point();
        forgetGone();
        for (var node : wires.values()) {
            node.carry(
                    point.map(solved ->
                            solved.through(solved.netlist().job().wire(node.wire().id()))));
            node.setAccessibleText(wireText(node, point));
        }
        for (var node : parts) {
            node.show(point, bench.conditions().get());
            node.setAccessibleText(partText(node));
        }
        showVolts(point);
        notice.setVisible(
                bench.outcome()
                        .get()
                        .filter(outcome -> !(outcome instanceof Outcome.Solved))
                        .isPresent());
        bench.outcome().get().ifPresent(outcome -> notice.setText(trouble(outcome)));
        tell(point);
    }

    /** What an edit has taken out is updated no more; the next drawing comes without it. */
    private void forgetGone() {
        wires.keySet().removeIf(id -> bench.job().find(id).isEmpty());
        parts.removeIf(node -> bench.job().find(node.part().id()).isEmpty());
    }

    private static String trouble(Outcome outcome) {
        return switch (outcome) {
            case Outcome.Solved _ -> "";
            case Outcome.Chattering(var relays) -> Words.of("trace.failed.chatter", relays);
            case Outcome.Unsolvable _ -> Words.of("trace.failed.unsolvable");
        };
    }

    private String wireText(WireNode node, Optional<OperatingPoint> point) {
        var wire = node.wire();
        var speech = bench.speech();
        var carries =
                point.filter(_ -> node.isLive())
                        .map(solved ->
                                Words.of(
                                        "trace.wire.live",
                                        speech.say(
                                                new Amps(Math.abs(solved.through(wire).value()))),
                                        speech.say(
                                                new Volts(Math.abs(solved.lostIn(wire).value())))))
                        .orElseGet(() -> Words.of("trace.wire.dead"));
        return Words.of(
                "trace.wire.access",
                wire.number(),
                speech.longColour(wire.colour()),
                speech.size(wire.size()),
                wire.from().terminal(),
                wire.to().terminal(),
                carries);
    }

    private String partText(PartNode node) {
        var part = node.part();
        return node.control()
                .flatMap(name -> Controls.of(bench.job()).find(name))
                .map(control ->
                        Words.of(
                                "trace.switch.access",
                                part.id(),
                                part.name(),
                                Controls.position(control, bench.conditions().get())))
                .orElseGet(() ->
                        Words.of(
                                "trace.part.access",
                                part.id(),
                                part.name(),
                                bench.speech().kind(part)));
    }

    private void showVolts(Optional<OperatingPoint> point) {
        volts.getChildren().clear();
        if (!voltsAtPins.isSelected() || point.isEmpty()) {
            return;
        }
        for (var node : parts) {
            for (var pin : node.body().pins()) {
                var terminal = node.part().terminal(pin.name());
                var text = bench.speech().volts(point.get().voltsAt(terminal));
                double x = pin.at().x() + (pin.side() == Diagram.Side.LEFT ? -3 : 3);
                var words = Ink.text(x, pin.at().y() + 11, text, "live");
                if (pin.side() == Diagram.Side.LEFT) {
                    words.setX(x - words.getLayoutBounds().getWidth());
                }
                var bounds = words.getLayoutBounds();
                var back =
                        new Rectangle(
                                words.getX() - 2, pin.at().y() + 4, bounds.getWidth() + 4, 14);
                back.getStyleClass().add("label-back");
                volts.getChildren().addAll(back, words);
            }
        }
    }

    private void choose() {
        var selection = bench.selection().get();
        wires.forEach((id, node) -> node.choose(selection.equals(new Selection.OfWire(id))));
        parts.forEach(
                node -> node.choose(selection.equals(new Selection.OfPart(node.part().id()))));
        tell(bench.point());
    }

    /** The figures in brass: on the chosen wire, and on the wires of the chosen part. */
    private void tell(Optional<OperatingPoint> point) {
        var selection = bench.selection().get();
        wires.forEach((id, node) -> {
            boolean told =
                    switch (selection) {
                        case Selection.Nothing() -> false;
                        case Selection.OfWire(var wire) -> wire.equals(id);
                        case Selection.OfPart(var part) ->
                                node.wire().terminals().stream()
                                        .anyMatch(terminal -> terminal.part().equals(part));
                    };
            node.tell(
                    point.filter(_ -> told && node.isLive())
                            .map(solved -> Math.abs(solved.through(node.wire()).value()))
                            .map(amps -> bench.speech().say(new Amps(amps))));
        });
    }
}
