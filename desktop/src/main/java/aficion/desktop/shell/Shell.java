package aficion.desktop.shell;

import aficion.desktop.control.ConditionsBar;
import aficion.desktop.inspect.FindingsView;
import aficion.desktop.inspect.Inspector;
import aficion.desktop.plan.ImportView;
import aficion.desktop.plan.NewJobView;
import aficion.desktop.plan.RecipesView;
import aficion.desktop.plan.RulesView;
import aficion.desktop.plan.ShelfView;
import aficion.desktop.plan.VehicleView;
import aficion.desktop.practice.PracticeView;
import aficion.desktop.preview.PreviewView;
import aficion.desktop.preview.Sheet;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Theme;
import aficion.desktop.trace.TraceScreen;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.files.Preferences;
import aficion.job.Circuit;
import aficion.stock.Stock;
import aficion.words.Wording;
import aficion.words.Words;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javafx.application.Platform;
import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Window;

/** The window's content: the four regions that never move, and the views by work in the middle. */
public final class Shell extends BorderPane {
    private final Workbench bench;
    private final TopBar top;
    private final JobFiles files;
    private final Verbs verbs;
    private final Commands commands;
    private final PreferenceStore preferenceStore;
    private final List<Screen> screens;
    private final StackPane middle = new StackPane();
    private final Map<Screen, ToggleButton> tabs = new LinkedHashMap<>();
    private final CircuitList circuits;
    private final BorderPane centre = new BorderPane();
    private final Inspector inspector;
    private final Set<KeyCode> held = EnumSet.noneOf(KeyCode.class);
    private Runnable ending = () -> {};

    /** What help and sheets lie over, the last on top. */
    private final Deque<Covered> covered = new ArrayDeque<>();

    /** What lies under a view, and what had the keyboard there. */
    private record Covered(Node under, Optional<Node> focused) {}

    /** What the user likes, and what is to happen when that changes. */
    public interface PreferenceStore {
        Preferences now();

        void change(Preferences changed);
    }

    Shell(Workbench bench, JobFiles files, PreferenceStore preferenceStore, Runnable quit) {
        this.bench = bench;
        this.files = files;
        this.verbs = new Verbs(bench, this::shelf);
        this.screens =
                Screens.with(
                        new Surroundings(
                                bench, verbs, files.drawer(), files.papers(), this::command));
        this.commands = new Commands(bench, verbs, files, this, quit);
        this.preferenceStore = preferenceStore;
        this.top = new TopBar(bench, verbs, commands, files);
        this.inspector = new Inspector(bench, verbs, files::printWorkings);
        files.showSheetsIn(this::look);
        setTop(top);
        circuits = new CircuitList(bench, this::plan, this::findings);
        setLeft(circuits);
        setRight(inspector);
        setBottom(new ConditionsBar(bench));
        centre.setCenter(middle);
        var head = new VBox(tabs(), new FailureBar(bench));
        if (!preferenceStore.now().toured()) {
            head.getChildren()
                    .add(
                            new Tour(
                                    bench,
                                    () ->
                                            preferenceStore.change(
                                                    preferenceStore.now().afterTour())));
        }
        centre.setTop(head);
        setCenter(centre);
        show(screens.getFirst());

        Platform.runLater(circuits::requestFocus);
    }

    /** A scene with a shell in it, dressed in the theme. */
    public static Scene scene(
            Workbench bench,
            JobFiles files,
            PreferenceStore preferenceStore,
            Runnable quit,
            double width,
            double height) {
        var shell = new Shell(bench, files, preferenceStore, quit);
        var scene = new Scene(shell, width, height);
        shell.hear(scene);
        Theme.dress(scene);
        return scene;
    }

    /** A shell that takes the place of the one in a scene. */
    static Shell root(
            Workbench bench,
            JobFiles files,
            PreferenceStore preferenceStore,
            Runnable quit,
            Scene scene) {
        var shell = new Shell(bench, files, preferenceStore, quit);
        shell.hear(scene);
        return shell;
    }

    /** Hears the keys of a scene as long as it is the one shown there. */
    private void hear(Scene scene) {
        EventHandler<KeyEvent> pressing = this::pressed;
        EventHandler<KeyEvent> releasing = event -> held.remove(event.getCode());
        scene.addEventFilter(KeyEvent.KEY_PRESSED, pressing);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, releasing);
        var left = scene.windowProperty().flatMap(Window::focusedProperty);
        var leaving = left.subscribe(_ -> held.clear());
        sceneProperty()
                .addListener((_, before, _) -> {
                    if (before == scene) {
                        scene.removeEventFilter(KeyEvent.KEY_PRESSED, pressing);
                        scene.removeEventFilter(KeyEvent.KEY_RELEASED, releasing);
                        leaving.unsubscribe();
                        ending.run();
                    }
                });
    }

    private HBox tabs() {
        var group = new ToggleGroup();
        var row = new HBox();
        row.getStyleClass().add("view-tabs");
        for (var screen : screens) {
            var tab = new ToggleButton(Words.of("view." + screen.name()));
            tab.setId("view-" + screen.name());
            tab.getStyleClass().add("view-tab");
            tab.setToggleGroup(group);
            tab.setOnAction(_ -> show(screen));
            tabs.put(screen, tab);
            row.getChildren().add(tab);
        }
        return row;
    }

    /** Opens the recipes in place of path and inspector. */
    void plan() {
        if (!isTakenOver()) {
            var view = new RecipesView(bench, files.library(), Shell::preview, this::back);
            ending = view::dispose;
            takeOver(view);
            view.begin();
        }
    }

    /** An empty drawer. */
    private static final class Nothing implements Drawer.Store {
        @Override
        public Stock stock() {
            return Stock.EMPTY;
        }

        @Override
        public void keep(Stock stock) {
            // Nothing is made where a path is only looked at.
        }
    }

    /** A path that is only looked at. */
    private static Node preview(Workbench other) {
        return new TraceScreen(
                        new Surroundings(
                                other,
                                new Verbs(other, _ -> {}),
                                new Drawer(new Nothing()),
                                Papers.NONE,
                                _ -> {}))
                .view();
    }

    /** Opens the shelf of parts: to add one, or to replace the chosen one. */
    private void shelf(boolean instead) {
        if (!isTakenOver()) {
            var view = new ShelfView(bench, verbs, files.library(), instead, this::back);
            takeOver(view);
            view.ready();
        }
    }

    /** Keeps the circuit in focus as a recipe of the user's own. */
    void keepRecipe() {
        bench.focus().get().ifPresent(files::keepRecipe);
    }

    /** Opens what is to be known of the screen that is shown, the keys and the glossary. */
    void help() {
        if (!(getCenter() instanceof HelpView)) {
            var screen = isTakenOver() ? getCenter().getId() : shown().name();
            var help = new HelpView(commands, screen, this::back);
            cover(help);
            help.ready();
        }
    }

    /** Shows a sheet before it is written; one that is shown already gives way to it. */
    private void look(Sheet sheet) {
        if (getCenter() instanceof PreviewView) {
            back();
        }
        var view = new PreviewView(bench, sheet, bytes -> files.write(sheet, bytes), this::back);
        cover(view);
        view.ready();
    }

    private void cover(Node view) {
        covered.push(
                new Covered(
                        getCenter(), Optional.ofNullable(getScene()).map(Scene::getFocusOwner)));
        takeOver(view);
    }

    List<Screen> screens() {
        return screens;
    }

    private void command(String name) {
        commands.get(name).action().run();
    }

    private Screen shown() {
        return tabs.entrySet().stream()
                .filter(tab -> tab.getValue().isSelected())
                .findFirst()
                .map(Map.Entry::getKey)
                .orElse(screens.getFirst());
    }

    /** Opens the rules of the house. */
    void rules() {
        if (!isTakenOver()) {
            takeOver(new RulesView(bench, this::back));
        }
    }

    /** Says otherwise what vehicle the job is on. */
    void vehicle() {
        if (!isTakenOver()) {
            var view = new VehicleView(bench, this::back);
            takeOver(view);
            view.ready();
        }
    }

    /** Hides a fault in the circuit in focus, to be found. */
    void practice() {
        var circuit = bench.focus().get().filter(id -> !bench.design().wiresOf(id).isEmpty());
        if (!isTakenOver() && circuit.isPresent()) {
            var view =
                    new PracticeView(bench, circuit.get(), files.rounds(), Random::new, this::back);
            ending = view::dispose;
            takeOver(view);
        }
    }

    /** Does something on a screen, which is shown for it. */
    void on(Screen screen, Screen.Act act) {
        if (!middle.getChildren().equals(List.of(screen.view()))) {
            show(screen);
        }
        act.action().run();
    }

    void search() {
        top.search().requestFocus();
    }

    void turnDark() {
        preferenceStore.change(preferenceStore.now().withDark(!preferenceStore.now().dark()));
    }

    void turnUnits() {
        preferenceStore.change(preferenceStore.now().withOtherUnits());
    }

    void turnWording() {
        var other =
                preferenceStore.now().wording() == Wording.BRITISH
                        ? Wording.AMERICAN
                        : Wording.BRITISH;
        preferenceStore.change(preferenceStore.now().withWording(other));
    }

    /** Opens a wire list from elsewhere. */
    void takeIn() {
        if (!isTakenOver()) {
            files.readWireList()
                    .ifPresent(list ->
                            takeOver(
                                    new ImportView(
                                            bench, list.getKey(), list.getValue(), this::back)));
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
            backToPath();
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

    /** From help or a sheet to what it lies over, else to path and inspector. */
    private void back() {
        if (!covered.isEmpty()) {
            var below = covered.pop();
            setCenter(below.under);
            setRight(below.under == centre ? beside() : null);
            below.focused.ifPresent(Node::requestFocus);
            return;
        }
        ending.run();
        ending = () -> {};
        setCenter(centre);
        setRight(beside());
        circuits.requestFocus();
    }

    private void backToPath() {
        while (isTakenOver()) {
            back();
        }
    }

    void show(Screen screen) {
        backToPath();
        tabs.get(screen).setSelected(true);
        middle.getChildren().setAll(screen.view());
        setRight(beside());
    }

    /** What stands beside the screen that is shown. */
    private Node beside() {
        return shown().aside().orElse(inspector);
    }

    /** Shows the screen of a name. */
    void show(String name) {
        screens.stream()
                .filter(screen -> screen.name().equals(name))
                .findFirst()
                .ifPresent(this::show);
    }

    private void pressed(KeyEvent event) {
        boolean writing =
                event.getTarget() instanceof TextInputControl
                        || event.getTarget() instanceof ComboBox<?> box && box.isShowing();
        boolean first = held.add(event.getCode());
        var command = commands.pressed(event, writing, isTakenOver());
        if (event.getCode() == KeyCode.ESCAPE && escape(writing)) {
            event.consume();
        } else if (command.isPresent() && !undoesWriting(command.get(), writing)) {
            if (first || command.get().repeats()) {
                command.get().action().run();
            }
            event.consume();
        }
    }

    /** In a field, undo and redo are those of the field. */
    private static boolean undoesWriting(Command command, boolean writing) {
        return writing
                && (command.name().equals("menu.undo") || command.name().equals("menu.redo"));
    }

    /** One step back: from a waiting verb, from a trial, from a view, from what is chosen. */
    private boolean escape(boolean writing) {
        if (isTakenOver()) {
            back();
        } else if (writing) {
            return false;
        } else if (verbs.armed().get().isPresent() || verbs.refusal().get().isPresent()) {
            verbs.forget();
        } else if (bench.trial().get().isPresent()) {
            bench.endTrial();
        } else {
            bench.selection().set(new Selection.Nothing());
        }
        return true;
    }

    void step(int by) {
        var circuits =
                bench.design().circuits().stream()
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
