package aficion.desktop.log;

import aficion.desktop.screen.Papers;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.Photograph;
import aficion.job.edit.WorkEdit;
import aficion.words.Words;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javax.imageio.ImageIO;

/** Photographs of one thing, small; more come by file, by drop and by paste. */
final class PhotoStrip extends VBox {
    private static final double WIDE = 116;
    private static final double HIGH = 84;
    private static final KeyCombination PASTE =
            new KeyCodeCombination(KeyCode.V, KeyCombination.SHORTCUT_DOWN);

    private final Workbench bench;
    private final Papers pictures;
    private final FlowPane small = new FlowPane(8, 8);
    private final Trouble trouble = new Trouble();
    private Consumer<Photograph> taken = _ -> {};

    PhotoStrip(Workbench bench, Papers pictures) {
        super(8);
        this.bench = bench;
        this.pictures = pictures;
        setId("photographs");
        var add = Texts.button(Words.of("photograph.add"), "outline-button", this::choose);
        add.setId("photograph-add");
        var paste = Texts.button(Words.of("photograph.paste"), "plain-button", this::paste);
        paste.setId("photograph-paste");
        getChildren().addAll(small, new HBox(8, add, paste), trouble);
        addEventHandler(DragEvent.DRAG_OVER, PhotoStrip::over);
        addEventHandler(DragEvent.DRAG_DROPPED, this::dropped);
        setOnKeyPressed(event -> {
            if (PASTE.match(event)) {
                paste();
                event.consume();
            }
        });
    }

    /** Takes what is dropped on a whole view. */
    void serve(Node view) {
        view.addEventHandler(DragEvent.DRAG_OVER, PhotoStrip::over);
        view.addEventHandler(DragEvent.DRAG_DROPPED, this::dropped);
    }

    private static void over(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY);
            event.consume();
        }
    }

    private void dropped(DragEvent event) {
        event.getDragboard().getFiles().forEach(file -> take(file.toPath()));
        event.setDropCompleted(true);
        event.consume();
    }

    /**
     * Shows some pictures.
     *
     * @param files as they are called
     * @param more what is done with one that is added
     */
    void show(List<String> files, Consumer<Photograph> more) {
        taken = more;
        trouble.say("");
        small.getChildren().setAll(files.stream().map(this::small).toList());
    }

    private Node small(String file) {
        var frame = new StackPane();
        frame.getStyleClass().add("photograph");
        frame.setPrefSize(WIDE, HIGH);
        frame.setMinSize(WIDE, HIGH);
        var path = pictures.find(file);
        if (path.isPresent()) {
            var image = new Image(path.get().toUri().toString(), WIDE, HIGH, true, true, true);
            var view = new ImageView(image);
            frame.getChildren().add(view);
        } else {
            var missing = Texts.wrapped(Words.of("photograph.gone"), "danger-text");
            frame.getChildren().add(missing);
        }
        frame.setAccessibleText(
                bench.job()
                        .work()
                        .survey()
                        .photograph(file)
                        .map(Photograph::words)
                        .orElse(Words.of("photograph.gone")));
        return frame;
    }

    private void choose() {
        pictures.choose().ifPresent(this::take);
    }

    private void take(Path file) {
        var name = file.getFileName().toString();
        take(name, () -> pictures.take(file, plain(name)));
    }

    /** Reads, codes and keeps a picture beside. */
    private interface Taking {
        Photograph take() throws IOException;
    }

    /** What came of it: the picture, or what is to be said. */
    private record Taken(Optional<Photograph> photograph, String trouble) {
        static Taken of(String name, Taking taking) {
            try {
                return new Taken(Optional.of(taking.take()), "");
            } catch (IllegalArgumentException e) {
                return new Taken(
                        Optional.empty(), Words.of("photograph.refused", name, e.getMessage()));
            } catch (IOException e) {
                return new Taken(
                        Optional.empty(), Words.of("photograph.unread", name, e.getMessage()));
            }
        }
    }

    private void take(String name, Taking taking) {
        var to = taken;
        bench.ask()
                .prepare(
                        _ -> Taken.of(name, taking),
                        found -> {
                            trouble.say(found.trouble());
                            found.photograph().ifPresent(picture -> add(picture, to));
                        });
    }

    /** What a name of a file says of a picture, until somebody says more. */
    private static String plain(String name) {
        var shown = name.codePoints().filter(sign -> !Character.isISOControl(sign)).limit(100);
        return shown.collect(
                        StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    private void paste() {
        var image = Clipboard.getSystemClipboard().getImage();
        if (image == null) {
            var files = Clipboard.getSystemClipboard().getFiles();
            if (files.isEmpty()) {
                trouble.say(Words.of("photograph.nothing"));
            }
            files.forEach(file -> take(file.toPath()));
            return;
        }
        int wide = (int) image.getWidth();
        int high = (int) image.getHeight();
        var points = new int[wide * high];
        image.getPixelReader()
                .getPixels(0, 0, wide, high, PixelFormat.getIntArgbInstance(), points, 0, wide);
        var words = Words.of("photograph.pasted");
        take(words, () -> pictures.take(coded(points, wide), words));
    }

    private static byte[] coded(int[] points, int wide) throws IOException {
        var picture = new BufferedImage(wide, points.length / wide, BufferedImage.TYPE_INT_ARGB);
        picture.setRGB(0, 0, wide, picture.getHeight(), points, 0, wide);
        var bytes = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", bytes);
        return bytes.toByteArray();
    }

    private void add(Photograph photograph, Consumer<Photograph> to) {
        bench.perform(
                new WorkEdit.NoteSurvey(
                        WorkEdit.About.PHOTOGRAPH, survey -> survey.with(photograph)));
        to.accept(photograph);
    }
}
