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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
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
    private final Finder<Entry> finder =
            new Finder<>(
                    "shelf",
                    "shelf",
                    new Finder.Naming<>(Entry::id, Entry::name, ShelfView::line, ShelfView::line),
                    this::choose);
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
        setLeft(finder);
        setCenter(chosen());
        finder.choose(fill().getFirst());
    }

    /** Puts the keyboard where a part is looked for. */
    public void ready() {
        finder.ready();
    }

    /** The shelf, the user's own parts last. */
    private List<Entry> fill() {
        var vehicle = bench.design().vehicle();
        var own = library.parts(vehicle);
        var all = new ArrayList<>(PartsBook.shipped(vehicle));
        all.addAll(own.all());
        finder.fill(all, own.unread());
        return all;
    }

    private String putWords() {
        var place = bench.speech().place(bench.selection().get().place());
        if (instead) {
            return Words.of("shelf.replace", place);
        }
        return switch (bench.selection().get()) {
            case Selection.OfWire _ -> Words.of("shelf.into", place);
            case Selection.OfTerminal _ -> Words.of("shelf.onto", place);
            case Selection.OfPart _,
                    Selection.Nothing _,
                    Selection.OfRun _,
                    Selection.OfStation _ ->
                    Words.of("shelf.loose");
        };
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

    private static String line(Entry entry) {
        return Words.of("shelf", entry.group()) + ", " + entry.says();
    }

    private void choose(Optional<Entry> entry) {
        boolean some = entry.isPresent();
        put.setDisable(!some);
        trial.setDisable(!some);
        keep.setDisable(!some);
        trouble.setText("");
        figures.getChildren().clear();
        kind = entry.map(Entry::kind);
        name.setText(entry.map(Entry::name).orElse(""));
        says.setText(entry.map(Entry::says).orElseGet(() -> Words.of("shelf.none")));
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
                library.keep(own, bench.design().vehicle());
                fill();
                finder.choose(own);
                trouble.setText(Words.of("shelf.kept", written()));
            } catch (IOException e) {
                trouble.setText(Words.of("shelf.notKept", e.getMessage()));
            }
        });
    }
}
