package aficion.desktop.plan;

import aficion.desktop.field.FigureFields;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.files.Library;
import aficion.files.PartsBook;
import aficion.files.PartsBook.Entry;
import aficion.files.PartsBook.Group;
import aficion.job.Kind;
import aficion.words.Words;
import java.io.IOException;
import java.util.Locale;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.transformation.FilteredList;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The shelf: parts with typical figures, found by name, marking or use; the figures can be changed
 * before a part is put in, and a changed part can be kept as one's own.
 */
public final class ShelfView extends BorderPane {
    private final Workbench bench;
    private final Verbs verbs;
    private final Library library;
    private final boolean instead;
    private final Runnable close;
    private final ObservableList<Entry> entries = FXCollections.observableArrayList();
    private final FilteredList<Entry> shown = new FilteredList<>(entries);
    private final ListView<Entry> list = new ListView<>(shown);
    private final TextField search = new TextField();
    private final TextField name = new TextField();
    private final Label says = Texts.wrapped("", "quiet");
    private final VBox figures = new VBox(6);
    private final Label trouble = Texts.wrapped("", "danger-text");
    private final Button put;
    private final Button keep;
    private final Button trial;
    private Optional<Kind> kind = Optional.empty();

    /**
     * @param instead whether the part takes the place of the chosen one
     * @param close puts this view away
     */
    public ShelfView(
            Workbench bench, Verbs verbs, Library library, boolean instead, Runnable close) {
        this.bench = bench;
        this.verbs = verbs;
        this.library = library;
        this.instead = instead;
        this.close = close;
        setId("shelf");
        getStyleClass().add("recipes");
        put = Texts.button(putWords(), "main-button", this::put);
        put.setId("shelf-put");
        put.setDefaultButton(true);
        trial = Texts.button(Words.of("shelf.try"), "outline-button", this::tryOut);
        trial.setId("shelf-try");
        trial.setVisible(instead);
        trial.setManaged(instead);
        keep = Texts.button(Words.of("shelf.keep"), "plain-button", this::keep);
        keep.setId("shelf-keep");
        setLeft(choice());
        setCenter(chosen());
        fill();
        list.getSelectionModel().selectedItemProperty().addListener((_, _, to) -> choose(to));
        list.getSelectionModel().selectFirst();
    }

    /** Puts the keyboard where a part is looked for. */
    public void ready() {
        search.requestFocus();
    }

    private void fill() {
        entries.setAll(PartsBook.shipped(bench.job().vehicle()));
        entries.addAll(library.parts(bench.job().vehicle()));
    }

    private String putWords() {
        var place = bench.speech().place(bench.selection().get().place());
        if (instead) {
            return Words.of("shelf.replace", place);
        }
        return switch (bench.selection().get()) {
            case Selection.OfWire _ -> Words.of("shelf.into", place);
            case Selection.OfTerminal _ -> Words.of("shelf.onto", place);
            case Selection.OfPart _, Selection.Nothing _ -> Words.of("shelf.loose");
        };
    }

    private VBox choice() {
        search.setId("shelf-search");
        search.setPromptText(Words.of("shelf.search"));
        search.setAccessibleText(Words.of("shelf.search"));
        search.textProperty().addListener((_, _, text) -> filter(text));
        search.addEventFilter(
                KeyEvent.KEY_PRESSED,
                event -> {
                    if (event.getCode() == KeyCode.DOWN) {
                        list.getSelectionModel().selectNext();
                        event.consume();
                    } else if (event.getCode() == KeyCode.UP) {
                        list.getSelectionModel().selectPrevious();
                        event.consume();
                    }
                });
        list.setId("shelf-list");
        list.getStyleClass().add("recipe-list");
        list.setAccessibleText(Words.of("shelf.title"));
        list.setCellFactory(_ -> new Cell());
        VBox.setVgrow(list, Priority.ALWAYS);
        var head = new VBox(8, Texts.label(Words.of("shelf.title"), "sheet-title"), search);
        head.getStyleClass().add("recipe-head");
        var box = new VBox(head, list);
        box.getStyleClass().add("recipe-choice");
        return box;
    }

    private void filter(String text) {
        var wanted = text.strip().toLowerCase(Locale.ROOT).split("\\s+");
        shown.setPredicate(entry -> {
            var said =
                    (entry.name() + " " + entry.says() + " " + Words.of("shelf", entry.group()))
                            .toLowerCase(Locale.ROOT);
            for (var word : wanted) {
                if (!said.contains(word)) {
                    return false;
                }
            }
            return true;
        });
        list.getSelectionModel().selectFirst();
    }

    private BorderPane chosen() {
        name.setId("shelf-name");
        name.setAccessibleText(Words.of("shelf.name"));
        name.getStyleClass().add("shelf-name");
        trouble.setId("shelf-trouble");
        var body =
                new VBox(
                        10,
                        Texts.label(Words.of("shelf.name"), "figure-name"),
                        name,
                        says,
                        Texts.rule(),
                        Texts.caption(Words.of("shelf.figures")),
                        figures,
                        trouble);
        body.getStyleClass().add("recipe-head");
        body.setMaxWidth(460);
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bench-scroll");
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        back.setId("shelf-close");
        var bottom = new HBox(12, keep, Texts.spring(), back, trial, put);
        bottom.getStyleClass().add("recipe-bottom");
        var pane = new BorderPane(scroll);
        pane.setBottom(bottom);
        return pane;
    }

    private static final class Cell extends ListCell<Entry> {
        @Override
        protected void updateItem(Entry entry, boolean empty) {
            super.updateItem(entry, empty);
            setText(null);
            setGraphic(null);
            if (!empty && entry != null) {
                setId("shelf-" + entry.id());
                setPrefWidth(0);
                setGraphic(
                        new VBox(
                                1,
                                Texts.label(entry.name(), "circuit-name"),
                                Texts.label(
                                        Words.of("shelf", entry.group()) + ", " + entry.says(),
                                        "quiet")));
            }
        }
    }

    private void choose(Entry entry) {
        boolean some = entry != null;
        put.setDisable(!some);
        trial.setDisable(!some);
        keep.setDisable(!some);
        trouble.setText("");
        figures.getChildren().clear();
        kind = Optional.ofNullable(entry).map(Entry::kind);
        name.setText(some ? entry.name() : "");
        says.setText(some ? entry.says() : Words.of("shelf.none"));
        kind.ifPresent(of ->
                figures.getChildren()
                        .add(
                                new FigureFields(
                                        of,
                                        bench.units(),
                                        changed -> kind = Optional.of(changed))));
    }

    private String written() {
        return name.getText().isBlank() ? Words.of("shelf.part") : name.getText().strip();
    }

    private void put() {
        kind.ifPresent(of -> {
            close.run();
            if (instead) {
                verbs.replace(of);
            } else {
                verbs.place(written(), of);
            }
        });
    }

    private void tryOut() {
        kind.ifPresent(of -> {
            close.run();
            verbs.tryInstead(of);
        });
    }

    private void keep() {
        kind.ifPresent(of -> {
            var own =
                    new Entry(
                            "own-" + written().toLowerCase(Locale.ROOT).replaceAll("\\W+", "-"),
                            Group.OWN,
                            written(),
                            says.getText(),
                            of);
            try {
                library.keep(own, bench.job().vehicle());
                fill();
                list.getSelectionModel().select(own);
                trouble.setText(Words.of("shelf.kept", written()));
            } catch (IOException e) {
                trouble.setText(Words.of("shelf.notKept", e.getMessage()));
            }
        });
    }
}
