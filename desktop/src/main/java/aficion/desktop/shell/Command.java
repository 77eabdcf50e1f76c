package aficion.desktop.shell;

import aficion.words.Words;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.input.KeyCombination;

/**
 * Something the window can be asked for: from a menu, by a key, or by its name in the search field.
 *
 * @param name the key of its words
 * @param keys how its key is written; empty for one that has none
 * @param combination the key itself
 * @param ready whether it would do something now
 */
record Command(
        String name,
        Group group,
        String keys,
        Optional<KeyCombination> combination,
        BooleanSupplier ready,
        Runnable action) {

    /** Where a command stands in the menus and on the sheet of keys. */
    enum Group {
        JOB,
        VIEW,
        DO,
        TRY
    }

    static Command of(String name, Group group, String keys, Runnable action) {
        return new Command(
                name,
                group,
                keys,
                keys.isEmpty()
                        ? Optional.empty()
                        : Optional.of(KeyCombination.keyCombination(keys)),
                () -> true,
                action);
    }

    String words() {
        return Words.of(name);
    }

    /** The key as people write it. */
    String shownKeys() {
        return keys.replace("Shortcut", "Ctrl");
    }

    /** Whether its key is one that writing needs as well. */
    boolean isPlain() {
        return !keys.contains("Shortcut") && !keys.contains("Alt") && !keys.matches("F\\d+");
    }

    /** Whether it goes on as long as its key is held down; a verb acts once on what is chosen. */
    boolean repeats() {
        return name.equals("menu.undo")
                || name.equals("menu.redo")
                || name.equals("menu.next")
                || name.equals("menu.before");
    }

    /** Whether it is about the window or the job as a whole, whatever is shown. */
    boolean isEverywhere() {
        return !isPlain() && (group == Group.JOB || group == Group.VIEW);
    }

    String id() {
        return name.replace('.', '-');
    }
}
