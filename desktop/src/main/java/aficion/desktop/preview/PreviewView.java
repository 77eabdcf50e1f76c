package aficion.desktop.preview;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.Pages;
import aficion.files.sheet.PaperFormat;
import aficion.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Consumer;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** A sheet page by page as it will come off the printer, before it is written. */
public final class PreviewView extends BorderPane {
    /** Pixels of the longer side: sharp on a large screen. */
    private static final int LONGEST = 2000;

    private static final double ROOM = 24;

    private final Workbench bench;
    private final Sheet sheet;
    private final ImageView picture = new ImageView();
    private final ScrollPane scroll = new ScrollPane();
    private final Label number = Texts.label("", "figure");
    private final Button before = turning("preview-before", "preview.before", -1);
    private final Button next = turning("preview-next", "preview.next", 1);
    private final CheckBox grey = new CheckBox(Words.of("preview.grey"));
    private final CheckBox large = new CheckBox(Words.of("preview.large"));
    private final Button write;
    private byte[] shown;
    private int page;
    private int pages = 1;

    /**
     * @param writing takes what is to be written, once it is looked at
     * @param close puts this view away
     */
    public PreviewView(Workbench bench, Sheet sheet, Consumer<byte[]> writing, Runnable close) {
        this.bench = bench;
        this.sheet = sheet;
        this.shown = sheet.pdf();
        setId("preview");
        getStyleClass().add("recipes");
        write = Texts.button(Words.of("preview.write"), "main-button", () -> writing.accept(shown));
        write.setId("preview-write");
        write.setDefaultButton(true);
        setTop(head(close));
        picture.setPreserveRatio(true);
        picture.setSmooth(true);
        scroll.setContent(new StackPane(picture));
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.getStyleClass().add("bench-scroll");
        scroll.viewportBoundsProperty().subscribe(_ -> fit());
        setCenter(scroll);
        grey.setId("preview-grey");
        large.setId("preview-large");
        grey.setOnAction(_ -> look());
        large.setOnAction(_ -> fit());
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        take(bench.paper().get());
    }

    private HBox head(Runnable close) {
        var head =
                new HBox(
                        14,
                        Texts.label(sheet.name(), "sheet-title"),
                        Texts.spring(),
                        before,
                        number,
                        next,
                        paper(),
                        grey,
                        large,
                        Texts.button(Words.of("recipes.close"), "plain-button", close),
                        write);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("recipe-head");
        return head;
    }

    private Node paper() {
        if (sheet.toScale()) {
            return Texts.label(Words.of("preview.scale"), "quiet");
        }
        var formats =
                Choices.of(List.of(PaperFormat.values()), each -> Words.of("forming.format", each));
        formats.setId("preview-paper");
        formats.setValue(bench.paper().get());
        formats.setOnAction(_ -> {
            bench.paper().set(formats.getValue());
            take(formats.getValue());
        });
        return formats;
    }

    private Button turning(String id, String words, int by) {
        var button = Texts.button(Words.of(words), "plain-button", () -> turn(by));
        button.setId(id);
        return button;
    }

    /** Takes the keyboard, so that it goes nowhere else. */
    public void ready() {
        write.requestFocus();
    }

    private void pressed(KeyEvent event) {
        int by =
                switch (event.getCode()) {
                    case PAGE_DOWN -> 1;
                    case PAGE_UP -> -1;
                    default -> 0;
                };
        if (by != 0) {
            turn(by);
            event.consume();
        }
    }

    private void turn(int by) {
        page = Math.clamp(page + by, 0, pages - 1);
        look();
    }

    /** Lays the sheet onto paper of a format. */
    private void take(PaperFormat paper) {
        if (sheet.toScale() || paper == PaperFormat.A4) {
            shown = sheet.pdf();
            look();
            return;
        }
        bench.ask()
                .prepare(
                        _ -> onto(sheet.pdf(), paper),
                        laid -> {
                            shown = laid;
                            look();
                        });
    }

    private static byte[] onto(byte[] pdf, PaperFormat paper) {
        try {
            return Pages.onto(pdf, paper);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A page that is wanted. */
    private record Wanted(byte[] pdf, int page, boolean grey) {
        Pages.Look look() {
            try {
                return Pages.look(pdf, page, LONGEST, grey);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private void look() {
        var wanted = new Wanted(shown, page, grey.isSelected());
        bench.ask()
                .prepare(
                        _ -> wanted.look(),
                        look -> {
                            if (wanted.equals(new Wanted(shown, page, grey.isSelected()))) {
                                show(look);
                            }
                        });
    }

    private void show(Pages.Look look) {
        pages = look.count();
        picture.setImage(SwingFXUtils.toFXImage(look.image(), null));
        number.setText(Words.of("preview.page", page + 1, pages));
        before.setDisable(page == 0);
        next.setDisable(page == pages - 1);
        fit();
    }

    /** The whole page, or as wide as the window. */
    private void fit() {
        var room = scroll.getViewportBounds();
        picture.setFitWidth(Math.max(1, room.getWidth() - ROOM));
        picture.setFitHeight(large.isSelected() ? 0 : Math.max(1, room.getHeight() - ROOM));
    }
}
