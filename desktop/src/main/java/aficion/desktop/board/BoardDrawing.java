package aficion.desktop.board;

import aficion.catalogue.Zone;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.harness.Board;
import aficion.harness.Load;
import aficion.job.CircuitId;
import aficion.job.Part;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Rectangle2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.Shape;
import javafx.scene.shape.StrokeLineCap;

/** The vehicle from above: zones as ground, runs as thick as their bundle, stations with parts. */
final class BoardDrawing extends Pane {
    static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    static final PseudoClass LIVE = PseudoClass.getPseudoClass("live");
    private static final PseudoClass WARM = PseudoClass.getPseudoClass("warm");
    private static final double AIR = 46;
    private static final double THINNEST = 4;

    /** Drawing units for each millimetre of a bundle. */
    private static final double THICK = 1.15;

    private static final double SIDES = 130;

    /** How much wider than it is long the vehicle may be drawn. */
    private static final double WIDER = 2;

    private static final int SHOWN_PARTS = 4;
    private static final double LIVE_AMPS = 0.05;
    private static final double WARM_SHARE = 0.6;
    private static final double LEAST_SHARE = 0.01;

    private final Workbench bench;
    private final Board board;
    private final Optional<CircuitId> focus;
    private final Map<RunId, RunNode> runs = new HashMap<>();
    private final Map<StationId, StationNode> stations = new HashMap<>();
    private final List<Ground> grounds = new ArrayList<>();
    private final Rectangle shell = new Rectangle();

    /** A strip of the ground where the runs are hot, wet or move. */
    private record Ground(Zone zone, double from, double to, Rectangle strip, Label name) {}

    BoardDrawing(Workbench bench, Board board, Optional<CircuitId> focus) {
        this.bench = bench;
        this.board = board;
        this.focus = focus;
        setId("board-drawing");
        setMinSize(0, 0);
        shell.getStyleClass().add("board-shell");
        shell.setArcWidth(150);
        shell.setArcHeight(150);
        getChildren().add(shell);
        ground();
        board.runs().forEach(run -> runs.put(run.id(), new RunNode(run)));
        board.stations()
                .forEach(station -> stations.put(station.station().id(), new StationNode(station)));
        runs.values().forEach(run -> getChildren().add(run));
        stations.values().forEach(station -> getChildren().add(station));
        runs.values().forEach(run -> getChildren().add(run.label));
        stations.values().forEach(station -> getChildren().addAll(station.name, station.parts));
    }

    Board board() {
        return board;
    }

    Optional<CircuitId> focus() {
        return focus;
    }

    /** Zones along the vehicle, from the stations that lie in them. */
    private void ground() {
        var byZone =
                board.stations().stream()
                        .collect(
                                Collectors.groupingBy(
                                        each -> each.station().zone(),
                                        () -> new EnumMap<>(Zone.class),
                                        Collectors.toList()));
        byZone.forEach((zone, there) -> {
            double from = there.stream().mapToDouble(each -> each.at().x()).min().orElse(0);
            double to = there.stream().mapToDouble(each -> each.at().x()).max().orElse(0);
            var strip = new Rectangle();
            strip.getStyleClass().addAll("board-ground", "zone-" + zone.key());
            var name =
                    Texts.caption(
                            Words.of(
                                    "board.zone",
                                    Words.of("zone", zone),
                                    bench.units().print(zone.ambient())));
            if (zone.ambient().value() >= 75 || zone.isWet() || zone == Zone.MOVING) {
                grounds.add(new Ground(zone, from, to, strip, name));
                getChildren().addAll(strip, name);
            }
        });
        grounds.sort(Comparator.comparingDouble(each -> each.from + each.to));
    }

    @Override
    protected void layoutChildren() {
        var scale = scale();
        double row = 0;
        for (var each : grounds) {
            double from = scale.x(each.from) - 24;
            double to = scale.x(each.to) + 24;
            each.strip.setX(from);
            each.strip.setY(AIR / 2);
            each.strip.setWidth(to - from);
            each.strip.setHeight(Math.max(0, getHeight() - AIR / 2));
            each.name.autosize();
            each.name.relocate(Math.max(4, (from + to - each.name.getWidth()) / 2), 2 + row);
            row = row == 0 ? 15 : 0;
        }
        shell.setX(scale.x(0) - 30);
        shell.setY(scale.y(0) - 8);
        shell.setWidth(board.wide() * scale.along + 60);
        shell.setHeight(board.high() * scale.across + 16);
        var room = new Room();
        runs.values().forEach(run -> run.place(scale, room));
        stations.values().forEach(station -> station.place(scale, room));
        runs.values().forEach(run -> run.name(room));
        stations.values().forEach(station -> station.name(room, getWidth()));
    }

    /** From metres to the screen; what lies across is drawn wider, so that it can be read. */
    private record Scale(double left, double top, double along, double across) {
        double x(double metres) {
            return left + metres * along;
        }

        double y(double metres) {
            return top + metres * across;
        }
    }

    private Scale scale() {
        double along = Math.max(1, (getWidth() - SIDES) / board.wide());
        double most = Math.max(1, (getHeight() - AIR - 30) / board.high());
        double across = Math.min(most, along * WIDER);
        along = Math.min(along, across);
        return new Scale(
                (getWidth() - board.wide() * along) / 2,
                AIR + (getHeight() - AIR - board.high() * across) / 2,
                along,
                across);
    }

    void live(Optional<OperatingPoint> point, Optional<Assessed> assessed) {
        var wires = bench.design().wires();
        var there = point.filter(found -> found.netlist().design().wires().equals(wires));
        var all =
                assessed.map(Assessed::assessment)
                        .filter(found -> found.design().wires().equals(wires));
        runs.values().forEach(run -> run.live(there, all));
    }

    void choose(Selection selection) {
        runs.values().forEach(run -> run.choose(selection));
        stations.values()
                .forEach(station ->
                        station.pseudoClassStateChanged(
                                SELECTED,
                                selection.equals(
                                        new Selection.OfStation(station.standing.station().id()))));
    }

    /** A run: its bundle, the colours of the circuit in focus on it, and its length. */
    private final class RunNode extends Group {
        private final Board.Lying run;
        private final Line halo = line("board-halo");
        private final Line casing = line("board-case");
        private final Line core = line("board-core");
        private final List<Line> strands = new ArrayList<>();
        private final Label label = new Label();
        private final double thick;
        private Optional<Load> load = Optional.empty();
        private boolean chosen;

        RunNode(Board.Lying run) {
            this.run = run;
            this.thick = Math.max(THINNEST, run.diameter().value() * 1000 * THICK);
            setId("run-" + run.id().one() + "-" + run.id().other());
            getStyleClass().add("board-run");
            if (run.riders().isEmpty()) {
                getStyleClass().add("unused");
            }
            halo.setStrokeWidth(thick + 12);
            casing.setStrokeWidth(thick + 2.4);
            core.setStrokeWidth(thick);
            getChildren().addAll(halo, casing, core);
            run.riders().stream()
                    .filter(wire -> focus.filter(wire.circuit()::equals).isPresent())
                    .limit(4)
                    .forEach(wire -> {
                        var strand = line("board-strand");
                        strand.setStroke(Theme.colour(wire.colour().base()));
                        strands.add(strand);
                        getChildren().add(strand);
                    });
            double each = strands.isEmpty() ? 0 : Math.min(4, thick / strands.size());
            strands.forEach(strand -> strand.setStrokeWidth(Math.max(2, each)));
            label.getStyleClass().add("board-length");
            if (run.length() instanceof RunLength.Assumed) {
                label.getStyleClass().add("assumed");
            }
            label.setText(length());
            label.setMouseTransparent(true);
            addEventHandler(
                    MouseEvent.MOUSE_PRESSED,
                    event -> {
                        bench.selection().set(new Selection.OfRun(run.id()));
                        event.consume();
                    });
        }

        private String length() {
            var metres = bench.units().print(run.length().metres());
            return run.length() instanceof RunLength.Assumed
                    ? Words.of("board.about", metres)
                    : metres;
        }

        void place(Scale scale, Room room) {
            double x1 = scale.x(run.from().x());
            double y1 = scale.y(run.from().y());
            double x2 = scale.x(run.to().x());
            double y2 = scale.y(run.to().y());
            for (var line : List.of(halo, casing, core)) {
                lay(line, x1, y1, x2, y2, 0);
            }
            double step = Math.min(4, thick / Math.max(1, strands.size()));
            for (int i = 0; i < strands.size(); i++) {
                lay(strands.get(i), x1, y1, x2, y2, (i - (strands.size() - 1) / 2.0) * step);
            }
            room.take(x1, y1, x2, y2, thick);
        }

        void name(Room room) {
            label.autosize();
            var at = room.beside(core, thick, label.getWidth(), label.getHeight());
            label.relocate(at.getMinX(), at.getMinY());
        }

        private static void lay(
                Line line, double x1, double y1, double x2, double y2, double aside) {
            double length = Math.max(1, Math.hypot(x2 - x1, y2 - y1));
            double dx = -(y2 - y1) / length * aside;
            double dy = (x2 - x1) / length * aside;
            line.setStartX(x1 + dx);
            line.setStartY(y1 + dy);
            line.setEndX(x2 + dx);
            line.setEndY(y2 + dy);
        }

        void live(Optional<OperatingPoint> point, Optional<Assessment> assessment) {
            boolean live =
                    point.filter(found ->
                                    run.riders().stream()
                                            .anyMatch(wire ->
                                                    Math.abs(found.through(wire).value())
                                                            > LIVE_AMPS))
                            .isPresent();
            pseudoClassStateChanged(LIVE, live);
            load =
                    point.flatMap(
                            found -> assessment.flatMap(all -> Load.of(all, found, run.riders())));
            boolean warm = load.filter(each -> each.share().value() > WARM_SHARE).isPresent();
            pseudoClassStateChanged(WARM, warm);
            label.setText(says());
        }

        void choose(Selection selection) {
            boolean chosen = selection.equals(new Selection.OfRun(run.id()));
            pseudoClassStateChanged(SELECTED, chosen);
            label.pseudoClassStateChanged(SELECTED, chosen);
            this.chosen = chosen;
            label.setText(says());
        }

        /** Its length; where it carries something, the share of what its fullest wire may. */
        private String says() {
            var says =
                    chosen && !run.riders().isEmpty()
                            ? Words.of(
                                    "board.chosen", length(), bench.units().print(run.diameter()))
                            : length();
            return load.filter(each -> each.share().value() >= LEAST_SHARE)
                    .map(each ->
                            Words.of("board.load", says, Math.round(100 * each.share().value())))
                    .orElse(says);
        }
    }

    private static Line line(String style) {
        var line = new Line();
        line.getStyleClass().add(style);
        line.setStrokeLineCap(StrokeLineCap.ROUND);
        return line;
    }

    /** A station: what it is, its name, and what stands there. */
    private final class StationNode extends Group {
        private final Board.Standing standing;
        private final Shape mark;
        private final Label name;
        private final Label parts;

        StationNode(Board.Standing standing) {
            this.standing = standing;
            var station = standing.station();
            setId("station-" + station.id());
            getStyleClass().add("board-station");
            mark = mark(station.form());
            mark.getStyleClass().add("board-mark");
            getChildren().add(mark);
            name = Texts.label(bench.speech().station(station.id()), "board-name");
            parts =
                    Texts.label(
                            standing.parts().stream()
                                            .limit(SHOWN_PARTS)
                                            .map(Part::id)
                                            .map(Object::toString)
                                            .collect(Collectors.joining(" "))
                                    + (standing.parts().size() > SHOWN_PARTS
                                            ? " +" + (standing.parts().size() - SHOWN_PARTS)
                                            : ""),
                            "board-parts");
            for (Node node : List.of(this, name, parts)) {
                node.addEventHandler(
                        MouseEvent.MOUSE_PRESSED,
                        event -> {
                            bench.selection().set(new Selection.OfStation(station.id()));
                            event.consume();
                        });
            }
        }

        private static Shape mark(Station.Form form) {
            return switch (form) {
                case DEVICE, TAKE_OUT, CLIP -> new Circle(6);
                case HOLE -> rounded(14, 26, 7);
                case PLUG -> rounded(18, 14, 2);
            };
        }

        private static Rectangle rounded(double wide, double high, double corner) {
            var box = new Rectangle(-wide / 2, -high / 2, wide, high);
            box.setArcWidth(2 * corner);
            box.setArcHeight(2 * corner);
            return box;
        }

        void place(Scale scale, Room room) {
            double x = scale.x(standing.at().x());
            double y = scale.y(standing.at().y());
            setLayoutX(x);
            setLayoutY(y);
            room.take(new Rectangle2D(x - 9, y - 13, 18, 26));
        }

        void name(Room room, double width) {
            name.autosize();
            parts.autosize();
            double wide = Math.max(name.getWidth(), parts.getWidth());
            double high = name.getHeight() + (parts.getText().isEmpty() ? 0 : 13);
            var at = room.around(getLayoutX(), getLayoutY(), wide, high, width);
            name.relocate(at.getMinX(), at.getMinY());
            parts.relocate(at.getMinX(), at.getMinY() + 14);
        }
    }
}
