package aficion.desktop.shell;

import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.Edit;
import aficion.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.HBox;

/** Job, saved state, search, undo and redo, print and menu. */
final class TopBar extends HBox {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneId.systemDefault());

    private final Workbench bench;
    private final JobFiles files;
    private final Label job = Texts.label("", "job-name");
    private final Label vehicle = Texts.label("", "quiet");
    private final Label saved = Texts.label("", "quiet");
    private final Button undo;
    private final Button redo;
    private final Search search;

    TopBar(Workbench bench, JobFiles files, Runnable begin, Runnable plan, Runnable quit) {
        this.bench = bench;
        this.files = files;
        getStyleClass().add("top-bar");
        saved.setId("saved");
        search = new Search(bench);
        undo = Texts.button(Words.of("top.undo"), "plain-button", bench::undo);
        redo = Texts.button(Words.of("top.redo"), "plain-button", bench::redo);
        undo.setId("undo");
        redo.setId("redo");
        undo.setMaxWidth(236);
        getChildren()
                .addAll(
                        Texts.label(Words.of("app.name"), "brand"),
                        job,
                        vehicle,
                        saved,
                        Texts.spring(),
                        search,
                        Texts.spring(),
                        undo,
                        redo,
                        print(),
                        menu(begin, plan, quit));
        bench.history().addListener((_, _, _) -> refresh());
        bench.document().addListener((_, _, _) -> refresh());
        refresh();
    }

    Search search() {
        return search;
    }

    private MenuButton print() {
        var menu = new MenuButton(Words.of("top.print"));
        menu.setId("print");
        menu.getItems()
                .addAll(
                        item("menu.print.schedule", "Shortcut+P", files::printSchedule),
                        item("menu.print.path", "", files::printPath),
                        item("menu.print.bench", "", files::printBench),
                        item("menu.print.csv", "", files::exportCsv));
        return menu;
    }

    private MenuButton menu(Runnable begin, Runnable plan, Runnable quit) {
        var dark = new CheckMenuItem(Words.of("menu.dark"));
        dark.setOnAction(_ -> Theme.setDark(getScene(), dark.isSelected()));
        var menu = new MenuButton(Words.of("top.menu"));
        menu.setId("menu");
        menu.getItems()
                .addAll(
                        item("menu.new", "Shortcut+N", begin),
                        item("menu.open", "Shortcut+O", files::open),
                        item("menu.demo", "", () -> files.openDemo("roadster")),
                        item("menu.demo.motorcycle", "", () -> files.openDemo("motorcycle")),
                        item("menu.demo.tractor", "", () -> files.openDemo("tractor")),
                        new SeparatorMenuItem(),
                        item("menu.addCircuit", "Insert", plan),
                        item("menu.removeCircuit", "", this::removeCircuit),
                        new SeparatorMenuItem(),
                        item("menu.save", "Shortcut+S", files::save),
                        item("menu.saveAs", "Shortcut+Shift+S", files::saveAs),
                        new SeparatorMenuItem(),
                        dark,
                        new SeparatorMenuItem(),
                        item("menu.quit", "Shortcut+Q", quit));
        return menu;
    }

    /** Undo brings it back, so nobody is asked. */
    private void removeCircuit() {
        bench.focus().get().ifPresent(id -> bench.perform(new Edit.RemoveCircuit(id)));
    }

    private static MenuItem item(String key, String keys, Runnable action) {
        var item = new MenuItem(Words.of(key));
        item.setId(key.replace('.', '-'));
        if (!keys.isEmpty()) {
            item.setAccelerator(KeyCombination.keyCombination(keys));
        }
        item.setOnAction(_ -> action.run());
        return item;
    }

    private void refresh() {
        var now = bench.job().vehicle();
        job.setText(now.name() + ", " + now.year());
        vehicle.setText(
                Words.of(
                        "top.vehicle",
                        Math.round(now.system().value()),
                        Words.of("pole", now.earthed())));
        saved.setText(savedText());
        label(undo, "top.undo", bench.history().get().undoable());
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

    private void label(Button button, String key, Optional<Edit> edit) {
        var what = edit.map(found -> Words.of(key + ".what", bench.speech().edit(found)));
        button.setText(key.equals("top.undo") ? what.orElse(Words.of(key)) : Words.of(key));
        button.setDisable(edit.isEmpty());
        button.setTooltip(what.map(Tooltip::new).orElse(null));
    }
}
