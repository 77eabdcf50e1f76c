package aficion.desktop.shell;

import aficion.desktop.shell.Command.Group;
import aficion.desktop.workbench.Verb;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.Listings;
import aficion.job.edit.CircuitEdit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyEvent;

/** Everything the window can be asked for, in one list. */
final class Commands {
    private final List<Command> all = new ArrayList<>();

    Commands(Workbench bench, Verbs verbs, JobFiles files, Shell shell, Runnable quit) {
        design(bench, files, shell, quit);
        view(bench, shell);
        for (var verb : Verb.values()) {
            all.add(
                    new Command(
                            "verb." + verb.name(),
                            verb.isTrial() ? Group.TRY : Group.DO,
                            verb.keys(),
                            Optional.of(verb.combination()),
                            () -> verbs.serves(verb),
                            () -> verbs.perform(verb)));
        }
    }

    private void design(Workbench bench, JobFiles files, Shell shell, Runnable quit) {
        add("menu.new", Group.JOB, "Shortcut+N", shell::newJob);
        add("menu.open", Group.JOB, "Shortcut+O", files::open);
        add("menu.demo", Group.JOB, "", () -> files.openDemo("roadster"));
        add("menu.demo.motorcycle", Group.JOB, "", () -> files.openDemo("motorcycle"));
        add("menu.demo.tractor", Group.JOB, "", () -> files.openDemo("tractor"));
        add("menu.save", Group.JOB, "Shortcut+S", files::save);
        add("menu.saveAs", Group.JOB, "Shortcut+Shift+S", files::saveAs);
        add("menu.import", Group.JOB, "", shell::takeIn);
        add("menu.addCircuit", Group.JOB, "Insert", shell::plan);
        add(
                "menu.removeCircuit",
                Group.JOB,
                "",
                () ->
                        bench.focus()
                                .get()
                                .ifPresent(id -> bench.perform(new CircuitEdit.RemoveCircuit(id))));
        add("menu.vehicle", Group.JOB, "", shell::vehicle);
        add("menu.rules", Group.JOB, "Shortcut+R", shell::rules);
        add("menu.keepRecipe", Group.JOB, "", shell::keepRecipe);
        add("menu.practice", Group.JOB, "", shell::practice);
        add("menu.undo", Group.JOB, "Shortcut+Z", bench::undo);
        add("menu.redo", Group.JOB, "Shortcut+Y", bench::redo);
        add("menu.print.schedule", Group.JOB, "Shortcut+P", files::printSchedule);
        add("menu.print.path", Group.JOB, "", files::printPath);
        add("menu.print.bench", Group.JOB, "", files::printBench);
        add("menu.print.findings", Group.JOB, "", files::printFindings);
        add("menu.print.csv", Group.JOB, "", files::exportCsv);
        for (var kind : Listings.Kind.values()) {
            add("menu.print." + kind.key(), Group.JOB, "", () -> files.printList(kind));
            add("menu.csv." + kind.key(), Group.JOB, "", () -> files.exportList(kind));
        }
        add("menu.print.handOver", Group.JOB, "", files::printHandOver);
        add("menu.print.power", Group.JOB, "", files::printPower);
        add("menu.print.labelSheet", Group.JOB, "", files::printLabelSheet);
        for (var kind : FullSizeFiles.Kind.values()) {
            add("menu.board." + kind.key(), Group.JOB, "", () -> files.printBoard(kind));
        }
        add("menu.print.svg", Group.JOB, "", files::exportSvg);
        add("menu.quit", Group.JOB, "Shortcut+Q", quit);
    }

    private void view(Workbench bench, Shell shell) {
        for (var screen : shell.screens()) {
            add("view." + screen.name(), Group.VIEW, screen.key(), () -> shell.show(screen));
        }
        add("menu.findings", Group.VIEW, "F", shell::findings);
        add("menu.whole", Group.VIEW, "E", () -> bench.whole().set(!bench.whole().get()));
        for (var screen : shell.screens()) {
            for (var act : screen.acts()) {
                add(act.words(), Group.VIEW, act.keys(), () -> shell.on(screen, act));
            }
        }
        add("menu.search", Group.VIEW, "Shortcut+K", shell::search);
        add("menu.next", Group.VIEW, "Shortcut+Page Down", () -> shell.step(1));
        add("menu.before", Group.VIEW, "Shortcut+Page Up", () -> shell.step(-1));
        add("menu.units", Group.VIEW, "", shell::turnUnits);
        add("menu.wording", Group.VIEW, "", shell::turnWording);
        add("menu.dark", Group.VIEW, "", shell::turnDark);
        add("menu.keys", Group.VIEW, "F1", shell::help);
    }

    private void add(String name, Group group, String keys, Runnable action) {
        all.add(Command.of(name, group, keys, action));
    }

    List<Command> all() {
        return List.copyOf(all);
    }

    List<Command> of(Group group) {
        return all.stream().filter(command -> command.group() == group).toList();
    }

    Command get(String name) {
        return all.stream()
                .filter(command -> command.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /**
     * The command whose key was pressed and which would do something now.
     *
     * @param writing whether the key goes to a field
     * @param takenOver whether a view has taken the place of path and inspector
     */
    Optional<Command> pressed(KeyEvent event, boolean writing, boolean takenOver) {
        return all.stream()
                .filter(command -> !(writing && command.isPlain()))
                .filter(command -> !takenOver || command.isEverywhere())
                .filter(command ->
                        command.combination().filter(keys -> keys.match(event)).isPresent())
                .filter(command -> command.ready().getAsBoolean())
                .findFirst();
    }
}
