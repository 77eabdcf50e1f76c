package aficion.desktop.shell;

import aficion.desktop.bench.BenchView;
import aficion.desktop.control.ConditionsBar;
import aficion.desktop.inspect.FindingsView;
import aficion.desktop.inspect.Inspector;
import aficion.desktop.make.MakeView;
import aficion.desktop.plan.NewJobView;
import aficion.desktop.plan.RecipesView;
import aficion.desktop.theme.Theme;
import aficion.desktop.trace.TraceView;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.Circuit;
import aficion.words.Words;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** The window's content: the four regions that never move, and the views by work in the middle. */
public final class Shell extends BorderPane {
    private static final KeyCombination FIND = KeyCombination.keyCombination("Shortcut+K");
    private static final KeyCombination UNDO = KeyCombination.keyCombination("Shortcut+Z");
    private static final KeyCombination REDO = KeyCombination.keyCombination("Shortcut+Y");
    private static final KeyCombination REDO_SHIFTED =
            KeyCombination.keyCombination("Shortcut+Shift+Z");
    private static final KeyCombination NEXT =
            new KeyCodeCombination(KeyCode.PAGE_DOWN, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination BEFORE =
            new KeyCodeCombination(KeyCode.PAGE_UP, KeyCombination.SHORTCUT_DOWN);

    private final Workbench bench;
    private final TopBar top;
    private final JobFiles files;
    private final StackPane middle = new StackPane();
    private final Map<View, ToggleButton> tabs = new LinkedHashMap<>();
    private final Map<View, Node> views;
    private final CircuitList circuits;
    private final BorderPane centre = new BorderPane();
    private final Inspector inspector;
    private Runnable ending = () -> {};

    /** A view by work. */
    public enum View {
        TRACE("view.trace", KeyCode.DIGIT1),
        MAKE("view.make", KeyCode.DIGIT4),
        BENCH("view.bench", KeyCode.DIGIT5);

        private final String words;
        private final KeyCode key;

        View(String words, KeyCode key) {
            this.words = words;
            this.key = key;
        }
    }

    Shell(Workbench bench, JobFiles files, Runnable quit) {
        this.bench = bench;
        this.top = new TopBar(bench, files, this::newJob, this::plan, quit);
        this.files = files;
        this.inspector = new Inspector(bench);
        this.views =
                Map.of(
                        View.TRACE, new TraceView(bench),
                        View.MAKE, new MakeView(bench, files::exportCsv, files::printSchedule),
                        View.BENCH, new BenchView(bench));
        setTop(top);
        circuits = new CircuitList(bench, this::plan, this::findings);
        setLeft(circuits);
        setRight(inspector);
        setBottom(new ConditionsBar(bench));
        centre.setCenter(middle);
        centre.setTop(tabs());
        setCenter(centre);
        show(View.TRACE);

        Platform.runLater(circuits::requestFocus);
    }

    /** A scene with a shell in it, dressed in the theme. */
    public static Scene scene(
            Workbench bench, JobFiles files, Runnable quit, double width, double height) {
        var shell = new Shell(bench, files, quit);
        var scene = new Scene(shell, width, height);
        scene.addEventFilter(KeyEvent.KEY_PRESSED, shell::pressed);
        Theme.dress(scene);
        return scene;
    }

    private HBox tabs() {
        var group = new ToggleGroup();
        var row = new HBox();
        row.getStyleClass().add("view-tabs");
        for (var view : View.values()) {
            var tab = new ToggleButton(Words.of(view.words));
            tab.setId("view-" + view.name().toLowerCase(Locale.ROOT));
            tab.getStyleClass().add("view-tab");
            tab.setToggleGroup(group);
            tab.setOnAction(_ -> show(view));
            tabs.put(view, tab);
            row.getChildren().add(tab);
        }
        return row;
    }

    /** Opens the recipes in place of path and inspector. */
    void plan() {
        if (!isTakenOver()) {
            var view = new RecipesView(bench, TraceView::new, this::back);
            ending = view::dispose;
            takeOver(view);
            view.begin();
        }
    }

    /** Opens the list of every finding. */
    void findings() {
        if (!isTakenOver()) {
            var view = new FindingsView(bench, this::back);
            ending = view::dispose;
            takeOver(view);
        }
    }

    /** Asks what has to be known of a vehicle, when what is on the bench may be put away. */
    void newJob() {
        if (files.mayLeave()) {
            back();
            var view = new NewJobView(bench, this::back);
            ending = view::dispose;
            takeOver(view);
            view.ready();
        }
    }

    private void takeOver(Node view) {
        setCenter(view);
        setRight(null);
    }

    private boolean isTakenOver() {
        return getCenter() != centre;
    }

    private void back() {
        ending.run();
        ending = () -> {};
        setCenter(centre);
        setRight(inspector);
        circuits.requestFocus();
    }

    public void show(View view) {
        if (isTakenOver()) {
            back();
        }
        tabs.get(view).setSelected(true);
        middle.getChildren().setAll(views.get(view));
    }

    private void pressed(KeyEvent event) {
        boolean writing = event.getTarget() instanceof TextInputControl;
        if (FIND.match(event)) {
            top.search().requestFocus();
        } else if (UNDO.match(event) && !writing) {
            bench.undo();
        } else if ((REDO.match(event) || REDO_SHIFTED.match(event)) && !writing) {
            bench.redo();
        } else if (event.getCode() == KeyCode.F && !writing && !event.isShortcutDown()) {
            findings();
        } else if (event.getCode() == KeyCode.INSERT && !writing) {
            plan();
        } else if (event.getCode() == KeyCode.ESCAPE && isTakenOver()) {
            back();
        } else if (NEXT.match(event)) {
            step(1);
        } else if (BEFORE.match(event)) {
            step(-1);
        } else if (event.getCode() == KeyCode.ESCAPE && !writing) {
            bench.selection().set(new Selection.Nothing());
        } else if (writing
                || event.isShortcutDown()
                || event.isAltDown()
                || !showByKey(event.getCode())) {
            return;
        }
        event.consume();
    }

    private boolean showByKey(KeyCode key) {
        for (var view : View.values()) {
            if (view.key == key) {
                show(view);
                return true;
            }
        }
        return false;
    }

    private void step(int by) {
        var circuits =
                bench.job().circuits().stream()
                        .sorted(Comparator.comparingInt(Circuit::number))
                        .map(Circuit::id)
                        .toList();
        int index = bench.focus().get().map(circuits::indexOf).orElse(-1) + by;
        if (index >= 0 && index < circuits.size()) {
            bench.selection().set(new Selection.Nothing());
            bench.focus().set(Optional.of(circuits.get(index)));
        }
    }
}
