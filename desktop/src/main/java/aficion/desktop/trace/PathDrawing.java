package aficion.desktop.trace;

import aficion.desktop.drawing.Ink;
import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verb;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.desktop.workbench.Workbench.Trial;
import aficion.diagram.Diagram;
import aficion.diagram.Diagram.EarthFlag;
import aficion.diagram.Diagram.Jump;
import aficion.diagram.Diagram.Label;
import aficion.diagram.Diagram.NamesWire;
import aficion.diagram.Picture;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.shape.Rectangle;
import org.jspecify.annotations.Nullable;

/** The drawing of one circuit's path: its wires, parts, earths and words, alive. */
final class PathDrawing extends Group {
    private static final PseudoClass PENCIL = PseudoClass.getPseudoClass("pencil");

    private final Workbench bench;
    private final Verbs verbs;
    private final MeterPanel meter;
    private final Diagram diagram;
    private final Group flags = new Group();
    private final Group wireLayer = new Group();
    private final Group partLayer = new Group();
    private final Group tickLayer = new Group();
    private final Group told = new Group();
    private final Group words = new Group();
    private final Group volts = new Group();
    private final Map<WireId, WireNode> wires = new HashMap<>();
    private final List<PartNode> parts = new ArrayList<>();

    PathDrawing(Workbench bench, Verbs verbs, MeterPanel meter, ForJob<Diagram> drawing) {
        this.bench = bench;
        this.verbs = verbs;
        this.meter = meter;
        this.diagram = drawing.made();
        getStyleClass().add("path");
        var resting = new Group(flags, wireLayer, words, partLayer);
        resting.setCache(true);
        resting.getStyleClass().add("resting");
        tickLayer.setMouseTransparent(true);
        getChildren().addAll(resting, tickLayer, told, volts);
        draw(drawing.design());
        showProbes();
    }

    Diagram diagram() {
        return diagram;
    }

    private void draw(Design design) {
        var labels =
                diagram.labels().stream()
                        .filter(label -> label.named() instanceof NamesWire)
                        .collect(
                                Collectors.toMap(
                                        label -> ((NamesWire) label.named()).wire(),
                                        label -> label));
        for (var stroke : diagram.strokes()) {
            design.find(stroke.wire())
                    .ifPresent(wire ->
                            add(
                                    new WireNode(
                                            wire,
                                            stroke,
                                            labels.get(stroke.wire()),
                                            this::covered)));
        }
        for (var body : diagram.bodies()) {
            design.find(body.part()).ifPresent(part -> add(part, body));
        }
        diagram.labels().stream()
                .filter(label -> !(label.named() instanceof NamesWire))
                .forEach(this::word);
        diagram.earths().forEach(this::earth);
        diagram.jumps().forEach(jump -> jump(jump, design));
    }

    /** How much of words and bodies a place covers. */
    private double covered(Diagram.Box place) {
        return Stream.concat(
                        diagram.labels().stream().map(Label::box),
                        diagram.bodies().stream().map(Diagram.Body::box))
                .mapToDouble(place::shared)
                .sum();
    }

    private void add(WireNode node) {
        var id = node.wire().id();
        Runnable choose = () -> choose(new Selection.OfWire(id));
        node.setOnMouseClicked(event -> {
            choose.run();
            node.requestFocus();
            event.consume();
        });
        node.setOnKeyPressed(event -> activate(event, choose));
        wires.put(id, node);
        wireLayer.getChildren().add(node);
        tickLayer.getChildren().add(node.ticks());
        told.getChildren().add(node.told());
    }

    private void add(Part part, Diagram.Body body) {
        var node = new PartNode(part, body);
        node.setOnMouseClicked(event -> {
            press(node);
            node.requestFocus();
            event.consume();
        });
        node.setOnKeyPressed(event -> activate(event, () -> press(node)));
        node.onPin(this::pick);
        parts.add(node);
        partLayer.getChildren().add(node);
    }

    /** A pin is touched by a meter that is in the hand, else picked. */
    private void pick(Terminal at, boolean other) {
        if (meter.isVisible() && verbs.armed().get().isEmpty()) {
            meter.touch(at, other);
        } else {
            if (!bench.focus().get().equals(Optional.of(circuit()))) {
                bench.focus().set(Optional.of(circuit()));
            }
            verbs.pick(at);
        }
    }

    /** Shows the probes of the meter. */
    void showProbes() {
        parts.forEach(node -> node.touch(meter.red(), meter.black()));
    }

    /** Chooses something, and puts the circuit it is drawn in into focus. */
    private void choose(Selection selection) {
        if (!bench.focus().get().equals(Optional.of(circuit()))) {
            bench.focus().set(Optional.of(circuit()));
        }
        bench.selection().set(selection);
    }

    CircuitId circuit() {
        return diagram.circuit();
    }

    private void press(PartNode node) {
        choose(new Selection.OfPart(node.part().id()));
        node.control().ifPresent(bench::advance);
    }

    private static void activate(KeyEvent event, Runnable action) {
        if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.SPACE) {
            action.run();
            event.consume();
        }
    }

    private void word(Label label) {
        words.getChildren().addAll(Ink.of(Picture.label(label)));
    }

    private void earth(EarthFlag flag) {
        var sign = new Group(Ink.of(Picture.earth(flag)));
        sign.setPickOnBounds(true);
        sign.setCursor(Cursor.HAND);
        sign.setOnMouseClicked(event -> {
            choose(new Selection.OfPart(flag.earth()));
            event.consume();
        });
        flags.getChildren().add(sign);
    }

    private void jump(Jump jump, Design design) {
        var circuit = design.circuit(jump.circuit());
        var group = new Group(Ink.of(Picture.jump(jump, design.wire(jump.wire()))));
        group.setId("jump-" + jump.pin());
        group.setCursor(Cursor.HAND);
        group.setAccessibleText(Words.of("trace.jump", circuit.number(), circuit.name()));
        group.setOnMouseClicked(event -> {
            bench.selection().set(new Selection.OfWire(jump.wire()));
            bench.focus().set(Optional.of(jump.circuit()));
            event.consume();
        });
        flags.getChildren().add(group);
    }

    /** Shows what everything carries; what an edit has taken out is shown no more. */
    void update(Optional<OperatingPoint> point, boolean withVolts) {
        forgetGone();
        for (var node : wires.values()) {
            node.carry(
                    point.flatMap(solved ->
                            solved.netlist().design().find(node.wire().id()).map(solved::through)));
            node.setAccessibleText(wireText(node, point));
        }
        for (var node : parts) {
            node.show(
                    point.filter(
                            solved -> solved.netlist().design().find(node.part().id()).isPresent()),
                    bench.conditions().get());
            node.setAccessibleText(partText(node));
        }
        showVolts(point.filter(_ -> withVolts));
        tell(point);
        markTrial(bench.trial().get());
    }

    private void forgetGone() {
        wires.keySet().removeIf(id -> bench.design().find(id).isEmpty());
        parts.removeIf(node -> bench.design().find(node.part().id()).isEmpty());
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
                .flatMap(name -> Controls.of(bench.design()).find(name))
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
        if (point.isEmpty()) {
            return;
        }
        for (var node : parts) {
            if (point.get().netlist().design().find(node.part().id()).isPresent()) {
                node.body().pins().forEach(pin -> showVolts(node, pin, point.get()));
            }
        }
    }

    private void showVolts(PartNode node, Diagram.Pin pin, OperatingPoint point) {
        var text = bench.speech().volts(point.voltsAt(node.part().terminal(pin.name())));
        double x = pin.at().x() + (pin.side() == Diagram.Side.LEFT ? -3 : 3);
        var figure = Ink.text(x, pin.at().y() + 11, text, "live");
        if (pin.side() == Diagram.Side.LEFT) {
            figure.setX(x - figure.getLayoutBounds().getWidth());
        }
        var bounds = figure.getLayoutBounds();
        var back = new Rectangle(figure.getX() - 2, pin.at().y() + 4, bounds.getWidth() + 4, 14);
        back.getStyleClass().add("label-back");
        volts.getChildren().addAll(back, figure);
    }

    void choose() {
        var selection = bench.selection().get();
        wires.forEach((id, node) -> node.choose(selection.equals(new Selection.OfWire(id))));
        parts.forEach(node -> node.choose(selection));
        tell(bench.point());
    }

    /** The figures in brass: on the chosen wire, and on the wires of the chosen part. */
    private void tell(Optional<OperatingPoint> point) {
        var selection = bench.selection().get();
        wires.forEach((id, node) -> {
            boolean told =
                    switch (selection) {
                        case Selection.Nothing _, Selection.OfRun _, Selection.OfStation _ -> false;
                        case Selection.OfWire(var wire) -> wire.equals(id);
                        case Selection.OfPart(var part) ->
                                node.wire().terminals().stream()
                                        .anyMatch(terminal -> terminal.part().equals(part));
                        case Selection.OfTerminal(var at) -> node.wire().terminals().contains(at);
                    };
            node.tell(
                    point.filter(_ -> told && node.isLive())
                            .map(solved -> Math.abs(solved.through(node.wire()).value()))
                            .map(amps -> bench.speech().say(new Amps(amps))));
        });
    }

    /** Marks where something is tried. */
    private void markTrial(Optional<Trial> trial) {
        wires.forEach((id, node) ->
                node.mark(
                        trial.filter(tried -> tried.about().equals(new Selection.OfWire(id)))
                                .map(Trial::verb)));
        parts.forEach(node -> node.mark(trial.map(Trial::about).filter(node::isIt).isPresent()));
    }

    /** The wire or part that goes by an id on the screen. */
    Optional<Node> find(@Nullable String id) {
        return Stream.concat(wires.values().stream(), parts.stream())
                .map(node -> (Node) node)
                .filter(node -> node.getId().equals(id))
                .findFirst();
    }

    /** What shows a selection, where it is drawn here. */
    Optional<Node> find(Selection selection) {
        return switch (selection) {
            case Selection.Nothing _, Selection.OfRun _, Selection.OfStation _ -> Optional.empty();
            case Selection.OfWire(var wire) -> Optional.ofNullable(wires.get(wire));
            case Selection.OfPart _, Selection.OfTerminal _ ->
                    parts.stream()
                            .filter(node -> node.isIt(selection))
                            .map(node -> (Node) node)
                            .findFirst();
        };
    }

    /** Moves the ticks of what is live. */
    void tick(double phase) {
        wires.values().forEach(wire -> wire.run(phase));
    }

    /** In pencil, as what is not in focus; else in ink. */
    void pencil(boolean pale) {
        pseudoClassStateChanged(PENCIL, pale);
        wires.values().forEach(wire -> wire.pencil(pale));
    }

    /** Whether a verb waits for a terminal: then pins show themselves. */
    void offerPins(Optional<Verb> waiting) {
        parts.forEach(node -> node.offerPins(waiting.isPresent()));
    }
}
