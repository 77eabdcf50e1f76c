package aficion.desktop.shell;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.Step;
import aficion.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;

/** Job, saved state, search, undo and redo, print and menu. */
final class TopBar extends HBox {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneId.systemDefault());

    private static final double KEYS = 74;

    /** What is printed or drawn to a file. */
    private static final Pattern PRINT = Pattern.compile("menu\\.(print|board)\\..+");

    /** Of that, lists that are printed where they stand: a menu holds what is seen at one look. */
    private static final Pattern BESIDE =
            Pattern.compile("menu\\.print\\.(survey|changes|plan|diary|torque|card)");

    /** Lists for a table program: each is saved where it is read, and found by search. */
    private static final Pattern TABLE = Pattern.compile("menu\\.csv\\..+");

    /** So much is seen of what undo would undo, at the least and at the most. */
    private static final double UNDO = 120;

    private static final double MOST_UNDO = 236;

    /** A longer name of a vehicle is cut. */
    private static final double NAME = 240;

    private final Workbench bench;
    private final JobFiles files;
    private final Button job;
    private final Label vehicle = Texts.label("", "quiet");
    private final Label saved = Texts.label("", "quiet");
    private final Button undo;
    private final Button redo;
    private final Search search;

    TopBar(Workbench bench, Verbs verbs, Commands commands, JobFiles files) {
        this.bench = bench;
        this.files = files;
        getStyleClass().add("top-bar");
        saved.setId("saved");
        search = new Search(bench, verbs, commands);
        undo = Texts.button(Words.of("top.undo"), "plain-button", bench::undo);
        redo = Texts.button(Words.of("top.redo"), "plain-button", bench::redo);
        undo.setId("undo");
        redo.setId("redo");
        undo.setMaxWidth(MOST_UNDO);
        redo.setMinWidth(USE_PREF_SIZE);
        job = Texts.button("", "job-name", commands.get("menu.vehicle").action());
        job.setId("job-name");
        job.setMinWidth(USE_PREF_SIZE);
        job.setMaxWidth(NAME);
        saved.setMinWidth(USE_PREF_SIZE);
        var brand = Texts.label(Words.of("app.name"), "brand");
        brand.setMinWidth(USE_PREF_SIZE);
        var doing = new ArrayList<>(commands.of(Command.Group.DO));
        doing.addAll(commands.of(Command.Group.TRY));
        var all = new ArrayList<>(commands.of(Command.Group.JOB));
        all.removeIf(command -> TABLE.matcher(command.name()).matches());
        var print =
                new ArrayList<>(
                        all.stream().filter(each -> PRINT.matcher(each.name()).matches()).toList());
        all.removeAll(print);
        print.removeIf(command -> BESIDE.matcher(command.name()).matches());
        getChildren()
                .addAll(
                        brand,
                        job,
                        vehicle,
                        saved,
                        Texts.spring(),
                        search,
                        Texts.spring(),
                        undo,
                        redo,
                        menu("do", doing),
                        menu("print", print),
                        menu("view", commands.of(Command.Group.VIEW)),
                        withRecent(menu("menu", all)));
        bench.history().addListener((_, _, _) -> refresh());
        bench.document().addListener((_, _, _) -> refresh());
        refresh();
    }

    Search search() {
        return search;
    }

    private static MenuButton menu(String key, List<Command> commands) {
        var menu = new MenuButton(Words.of("top." + key));
        menu.setId(key);
        menu.setMinWidth(USE_PREF_SIZE);
        commands.forEach(command -> menu.getItems().add(item(command)));
        menu.setOnShowing(_ -> {
            for (int i = 0; i < commands.size(); i++) {
                menu.getItems().get(i).setDisable(!commands.get(i).ready().getAsBoolean());
            }
        });
        return menu;
    }

    /** The jobs that were open lately stand at the end of a menu. */
    private MenuButton withRecent(MenuButton menu) {
        int own = menu.getItems().size();
        var enabling = menu.getOnShowing();
        menu.setOnShowing(event -> {
            enabling.handle(event);
            menu.getItems().remove(own, menu.getItems().size());
            var recent = files.recent();
            if (!recent.isEmpty()) {
                menu.getItems().add(new SeparatorMenuItem());
            }
            for (var path : recent) {
                var item = new MenuItem(path.getFileName().toString());
                item.setId("recent-" + path.getFileName());
                item.setOnAction(_ -> files.openRecent(path));
                menu.getItems().add(item);
            }
        });
        return menu;
    }

    /** The window hears the keys; the menu only shows them. */
    private static MenuItem item(Command command) {
        var keys = Texts.label(command.shownKeys(), "key-cap");
        keys.setMinWidth(KEYS);
        keys.setVisible(!command.keys().isEmpty());
        var item = new MenuItem(command.words(), keys);
        item.setId(command.id());
        item.setOnAction(_ -> command.action().run());
        return item;
    }

    private void refresh() {
        var now = bench.design().vehicle();
        job.setText(now.name() + ", " + now.year());
        vehicle.setText(
                Words.of(
                        "top.vehicle",
                        Math.round(now.system().value()),
                        Words.of("pole", now.earthed())));
        saved.setText(savedText());
        label(undo, "top.undo", bench.history().get().undoable());
        undo.setMinWidth(undo.isDisabled() ? USE_PREF_SIZE : UNDO);
        label(redo, "top.redo", bench.history().get().redoable());
    }

    private String savedText() {
        var document = bench.document().get();
        if (bench.isUnsaved()) {
            return Words.of("top.unsaved");
        }
        return document.at()
                .map(at -> Words.of("top.saved", TIME.format(at)))
                .orElse(
                        document.path()
                                .map(path -> path.getFileName().toString())
                                .orElse(Words.of("top.demo")));
    }

    private void label(Button button, String key, Optional<Step> step) {
        var what = step.map(found -> Words.of(key + ".what", bench.speech().step(found)));
        button.setText(key.equals("top.undo") ? what.orElse(Words.of(key)) : Words.of(key));
        button.setDisable(step.isEmpty());
        button.setTooltip(what.map(Tooltip::new).orElse(null));
    }
}
