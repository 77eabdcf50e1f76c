package aficion.desktop.board;

import aficion.desktop.drawing.Ink;
import aficion.desktop.field.Choice;
import aficion.desktop.field.Field;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Forming;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.FontWidth;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.PaperFormat;
import aficion.forming.Fixing;
import aficion.forming.FormingBoard;
import aficion.forming.FormingBoard.Fit;
import aficion.forming.FormingPicture;
import aficion.forming.Surface;
import aficion.harness.Board.At;
import aficion.job.Design;
import aficion.words.DrawingWords;
import aficion.words.FormingWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polyline;

/** A loom on its forming board, as it will lie: which loom, on what board, printed how. */
final class FormingView extends VBox {
    private static final double EDGE = 10;

    /** How far from a strand a press still means it, metres. */
    private static final double PRESSED = 0.03;

    private final Workbench bench;
    private final Consumer<String> command;
    private final HBox head = new HBox(14);
    private final HBox foot = new HBox(8);
    private final Label says = Texts.label("", "quiet");
    private final Drawn drawn = new Drawn();
    private final FontWidth width = new FontWidth();
    private Optional<Design> shown = Optional.empty();
    private Optional<Forming> asked = Optional.empty();

    FormingView(Workbench bench, Consumer<String> command) {
        super(6);
        this.bench = bench;
        this.command = command;
        setId("forming");
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("board-strip");
        says.setId("forming-says");
        VBox.setVgrow(drawn, Priority.ALWAYS);
        says.setMinWidth(0);
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, says, drawn, foot);
        bench.history().addListener((_, _, _) -> refresh());
        bench.forming().addListener((_, _, _) -> refresh());
        bench.selection().addListener((_, _, _) -> drawn.choose());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private void refresh() {
        var design = bench.design();
        var forming = bench.forming().get();
        boolean known =
                shown.filter(before -> before == design).isPresent()
                        && asked.equals(Optional.of(forming));
        if (getScene() == null || known) {
            return;
        }
        shown = Optional.of(design);
        asked = Optional.of(forming);
        says.setText(Words.of("forming.busy"));
        drawn.show(Optional.empty());
        bench.ask().form(forming, answer -> show(forming, answer));
    }

    private void head(Forming forming, int looms) {
        var loom =
                Choices.of(
                        IntStream.rangeClosed(1, Math.max(1, looms)).boxed().toList(),
                        number -> Words.of("forming.loom.number", number));
        loom.setValue(Math.min(forming.loom(), Math.max(1, looms)));
        var surfaces = new ArrayList<Optional<Surface>>();
        surfaces.add(Optional.empty());
        surfaces.add(Optional.of(Surface.DOOR));
        surfaces.add(Optional.of(Surface.TWO_DOORS));
        forming.surface()
                .map(Optional::of)
                .filter(own -> !surfaces.contains(own))
                .ifPresent(surfaces::add);
        var surface = Choices.of(surfaces, this::name);
        surface.setValue(forming.surface());
        var format =
                Choices.of(List.of(PaperFormat.values()), each -> Words.of("forming.format", each));
        format.setValue(forming.format());
        head.getChildren()
                .setAll(
                        choice("forming-loom", loom, number -> ask(number, forming.surface())),
                        choice("forming-surface", surface, board -> ask(forming.loom(), board)),
                        own(forming));
        foot.getChildren()
                .setAll(
                        Texts.label(Words.of("forming.save"), "quiet"),
                        choice(
                                "forming-format",
                                format,
                                paper ->
                                        bench.forming()
                                                .set(
                                                        new Forming(
                                                                forming.loom(),
                                                                forming.surface(),
                                                                paper))));
        for (var kind : FullSizeFiles.Kind.values()) {
            var save =
                    Texts.button(
                            Words.of("forming.save." + kind.key()),
                            "plain-button",
                            () -> command.accept("menu.board." + kind.key()));
            save.setId("forming-save-" + kind.key());
            foot.getChildren().add(save);
        }
    }

    private static <T> Region choice(String id, ComboBox<T> box, Consumer<T> take) {
        return new Choice<>(id, Words.of(id.replace('-', '.')), box, take);
    }

    /** A board of one's own, as 1.8 x 0.9. */
    private Field own(Forming forming) {
        return new Field(
                "forming-own",
                Words.of("forming.own"),
                "",
                text -> {
                    var sides =
                            Stream.of(text.split("[x×*]", -1))
                                    .map(bench.units()::parseLength)
                                    .toList();
                    if (sides.size() != 2 || sides.stream().anyMatch(Optional::isEmpty)) {
                        return false;
                    }
                    try {
                        ask(
                                forming.loom(),
                                Optional.of(
                                        new Surface(
                                                sides.getFirst().get(), sides.getLast().get())));
                        return true;
                    } catch (IllegalArgumentException e) {
                        return false;
                    }
                },
                Words.of("forming.own.refused"));
    }

    private void ask(int loom, Optional<Surface> surface) {
        bench.forming().set(new Forming(loom, surface, bench.forming().get().format()));
    }

    private String name(Optional<Surface> surface) {
        if (surface.isEmpty()) {
            return Words.of("forming.asNeeded");
        }
        var board = surface.get();
        var size =
                Words.of(
                        "forming.size",
                        bench.units().print(board.wide()),
                        bench.units().print(board.high()));
        return board.equals(Surface.DOOR)
                ? Words.of("forming.door", size)
                : board.equals(Surface.TWO_DOORS) ? Words.of("forming.doors", size) : size;
    }

    private void show(Forming forming, FormingBoard.Answer answer) {
        head(forming, answer.looms());
        switch (answer.fit().orElse(null)) {
            case null -> says.setText(Words.of("forming.none"));
            case Fit.Fits(var board) -> {
                var fixings = Fixing.of(board);
                says.setText(
                        Words.of(
                                "forming.fits",
                                name(Optional.of(board.surface())),
                                bench.units().print(board.loom().length()),
                                fixings.stream().filter(Fixing.Nail.class::isInstance).count(),
                                fixings.stream().filter(Fixing.Tie.class::isInstance).count()));
                drawn.show(Optional.of(board));
            }
            case Fit.TooSmall small -> {
                says.setText(
                        Words.of(
                                small.full() ? "forming.full" : "forming.small",
                                name(Optional.of(small.surface())),
                                bench.speech().station(small.station())));
                drawn.show(Optional.empty());
            }
        }
    }

    /** The board, as large as there is room for. */
    private final class Drawn extends Pane {
        private Optional<FormingBoard> board = Optional.empty();
        private double scale = 1;
        private final Group halo = new Group();
        private double wide;
        private double high;
        private double left;

        Drawn() {
            setId("forming-board");
            setMinSize(0, 0);
            addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        }

        void show(Optional<FormingBoard> made) {
            board = made;
            getChildren().clear();
            requestLayout();
        }

        @Override
        protected void layoutChildren() {
            if (board.isEmpty()) {
                getChildren().clear();
            } else if (getWidth() != wide || getHeight() != high || getChildren().isEmpty()) {
                wide = getWidth();
                high = getHeight();
                draw(board.get());
            }
        }

        private void draw(FormingBoard lying) {
            double metresWide = lying.surface().wide().value();
            double metresHigh = lying.surface().high().value();
            scale =
                    Math.max(
                            1,
                            Math.min(
                                    (wide - 2 * EDGE) / metresWide,
                                    (high - 2 * EDGE) / metresHigh));
            left = (wide - metresWide * scale) / 2;
            var words =
                    new FormingWords(
                            bench.design(),
                            lying.loom(),
                            bench.units(),
                            false,
                            text -> width.of(text, DrawingWords.SIZE) + 4);
            var sheet = new Group(Ink.of(new FormingPicture(lying, scale, words).marks()));
            for (var layer : List.of(halo, sheet)) {
                layer.setManaged(false);
                layer.setMouseTransparent(true);
                layer.setLayoutX(left);
                layer.setLayoutY(EDGE);
            }
            getChildren().setAll(halo, sheet);
            choose();
        }

        /** Marks the run that is chosen. */
        void choose() {
            halo.getChildren().clear();
            if (bench.selection().get() instanceof Selection.OfRun(var run)) {
                board.stream()
                        .flatMap(lying -> lying.strands().stream())
                        .filter(each -> each.strand().run().equals(run))
                        .forEach(each -> halo.getChildren().add(chosen(each)));
            }
        }

        private Polyline chosen(FormingBoard.Lying lying) {
            var line = new Polyline();
            line.getStyleClass().add("forming-chosen");
            line.setStrokeWidth(lying.strand().dress().diameter().value() * scale + 12);
            lying.way().forEach(at -> line.getPoints().addAll(at.x() * scale, at.y() * scale));
            return line;
        }

        private void press(MouseEvent event) {
            var at = new At((event.getX() - left) / scale, (event.getY() - EDGE) / scale);
            board.flatMap(lying -> lying.nearest(at, PRESSED))
                    .ifPresent(strand -> bench.selection().set(new Selection.OfRun(strand.run())));
        }
    }
}
