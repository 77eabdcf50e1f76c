package aficion.desktop.board;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.harness.Board;
import aficion.job.Design;
import aficion.job.edit.BodyEdit;
import aficion.route.StationId;
import aficion.words.Words;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The vehicle from above with its harness, and beneath it which runs to measure first. A vehicle
 * without a body is asked what it is.
 */
final class BoardView extends VBox {
    private final Workbench bench;
    private final StackPane ground = new StackPane();
    private final MeasureFirst first;
    private final FormingView forming;
    private final HBox head = new HBox(6);
    private final ToggleGroup sides = new ToggleGroup();
    private final ToggleButton vehicle = side("board.vehicle");
    private final ToggleButton board = side("board.forming");
    private final Label loose = Texts.label("", "quiet");
    private final Button lay =
            Texts.button(Words.of("board.loose.lay"), "plain-button", this::layLoose);
    private Optional<BoardDrawing> drawing = Optional.empty();
    private Optional<Design> shown = Optional.empty();

    BoardView(Workbench bench, Consumer<String> command) {
        this.bench = bench;
        this.first = new MeasureFirst(bench);
        this.forming = new FormingView(bench, command);
        VBox.setVgrow(forming, Priority.ALWAYS);
        lay.setId("board-loose-lay");
        loose.setId("board-loose");
        head.setAlignment(Pos.CENTER_LEFT);
        head.getChildren().addAll(vehicle, board, Texts.spring(), loose, lay);
        vehicle.setSelected(true);
        sides.selectedToggleProperty().addListener((_, _, _) -> arrange());
        setId("board");
        getStyleClass().add("sheet");
        VBox.setVgrow(ground, Priority.ALWAYS);
        ground.setMinSize(0, 0);
        getChildren().add(ground);
        setFocusTraversable(true);
        addEventHandler(KeyEvent.KEY_PRESSED, this::walk);
        bench.history().addListener((_, _, _) -> refresh());
        bench.outcome().addListener((_, _, _) -> live());
        bench.assessed().addListener((_, _, _) -> live());
        bench.selection().addListener((_, _, _) -> choose());
        bench.focus().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        var design = bench.design();
        if (shown.filter(design::equals).isPresent()
                && drawing.filter(each -> each.focus().equals(bench.focus().get())).isPresent()) {
            return;
        }
        shown = Optional.of(design);
        drawing =
                Board.of(design).map(board -> new BoardDrawing(bench, board, bench.focus().get()));
        if (drawing.isPresent()) {
            ground.getChildren().setAll(drawing.get());
            first.refresh();
            tellLoose(design);
        } else {
            ground.getChildren().setAll(new BodyForm(bench));
        }
        arrange();
        live();
        choose();
    }

    /** Says how many wires of the circuit in focus, or of all, do not follow their runs. */
    private void tellLoose(Design design) {
        int count = loose(design).wires().size();
        loose.setText(count == 0 ? "" : Words.of("board.loose", count));
        lay.setVisible(count > 0);
    }

    private BodyEdit.LayAlong loose(Design design) {
        var focus = bench.focus().get();
        return BodyEdit.LayAlong.of(
                design, wire -> focus.isEmpty() || focus.get().equals(wire.circuit()));
    }

    private void layLoose() {
        bench.perform(loose(bench.design()));
    }

    private ToggleButton side(String words) {
        var side = new ToggleButton(Words.of(words));
        side.setId(words.replace('.', '-'));
        side.getStyleClass().add("make-tab");
        side.setToggleGroup(sides);
        side.setOnAction(_ -> side.setSelected(true));
        return side;
    }

    /** Shows the vehicle, or the board that its harness is made on. */
    void turnForming() {
        (board.isSelected() ? vehicle : board).setSelected(true);
    }

    private void arrange() {
        if (drawing.isEmpty()) {
            getChildren().setAll(ground);
        } else if (board.isSelected()) {
            getChildren().setAll(head, forming);
        } else {
            getChildren().setAll(head, ground, first);
        }
    }

    private void live() {
        drawing.ifPresent(each -> each.live(bench.point(), bench.assessed().get()));
    }

    private void choose() {
        drawing.ifPresent(each -> each.choose(bench.selection().get()));
    }

    /** The arrow keys lead from station to station. */
    private void walk(KeyEvent event) {
        if (drawing.isEmpty() || board.isSelected()) {
            return;
        }
        double[] way =
                switch (event.getCode()) {
                    case LEFT -> new double[] {-1, 0};
                    case RIGHT -> new double[] {1, 0};
                    case UP -> new double[] {0, -1};
                    case DOWN -> new double[] {0, 1};
                    default -> new double[] {0, 0};
                };
        if (way[0] == 0 && way[1] == 0) {
            return;
        }
        event.consume();
        var lying = drawing.get().board();
        var next =
                at().flatMap(from -> lying.towards(from, way[0], way[1]))
                        .map(station -> station.id())
                        .or(() ->
                                at().isPresent()
                                        ? Optional.empty()
                                        : lying.stations().stream()
                                                .findFirst()
                                                .map(each -> each.station().id()));
        next.ifPresent(station -> bench.selection().set(new Selection.OfStation(station)));
    }

    private Optional<StationId> at() {
        return switch (bench.selection().get()) {
            case Selection.OfStation(var station) -> Optional.of(station);
            case Selection.OfRun(var run) -> Optional.of(run.one());
            case Selection.OfPart(var part) ->
                    bench.design()
                            .find(part)
                            .flatMap(found ->
                                    bench.design().body().map(body -> body.station(found)));
            case Selection.Nothing _, Selection.OfWire _, Selection.OfTerminal _ ->
                    Optional.empty();
        };
    }
}
