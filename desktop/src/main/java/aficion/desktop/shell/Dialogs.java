package aficion.desktop.shell;

import aficion.desktop.shell.JobFiles.Answer;
import aficion.desktop.theme.Theme;
import aficion.files.JobStore;
import aficion.words.Words;
import java.io.File;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Arrays;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonType;
import javafx.scene.control.TextInputDialog;
import javafx.scene.layout.Region;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;

/** Asks with dialogs over a window. */
final class Dialogs implements JobFiles.UserPrompts {
    private final Window owner;

    Dialogs(Window owner) {
        this.owner = owner;
    }

    private static FileChooser chooser(String kind, String suffix) {
        var chooser = new FileChooser();
        var names = Arrays.stream(suffix.split(";")).map(each -> "*" + each).toList();
        chooser.getExtensionFilters().add(new ExtensionFilter(Words.of(kind), names));
        return chooser;
    }

    @Override
    public Optional<Path> toOpen() {
        return Optional.ofNullable(chooser("file.aficion", JobStore.SUFFIX).showOpenDialog(owner))
                .map(File::toPath);
    }

    @Override
    public Optional<Path> toRead(String kind, String suffix) {
        return Optional.ofNullable(chooser(kind, suffix).showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> toWrite(String name, String kind) {
        var suffix = name.substring(name.lastIndexOf('.'));
        var chooser = chooser(kind, suffix);
        chooser.setInitialFileName(name);
        return Optional.ofNullable(chooser.showSaveDialog(owner))
                .map(file ->
                        file.getName().endsWith(suffix) ? file : new File(file.getPath() + suffix))
                .map(File::toPath);
    }

    @Override
    public Answer aboutUnsaved(String name) {
        return choose(
                Words.of("ask.unsaved.title"),
                Words.of("ask.unsaved.text", name),
                "ask.save",
                "ask.discard",
                "ask.cancel");
    }

    private Answer choose(String title, String text, String yes, String no, String neither) {
        var save = new ButtonType(Words.of(yes), ButtonData.YES);
        var discard = new ButtonType(Words.of(no), ButtonData.NO);
        var stay = new ButtonType(Words.of(neither), ButtonData.CANCEL_CLOSE);
        var alert = new Alert(Alert.AlertType.CONFIRMATION, text, save, discard, stay);
        dress(alert, title);
        var answer = alert.showAndWait().orElse(stay);
        return answer == save ? Answer.SAVE : answer == discard ? Answer.DISCARD : Answer.STAY;
    }

    @Override
    public Answer aboutLeft(String name, Instant at) {
        var when =
                DateTimeFormatter.ofLocalizedDateTime(FormatStyle.MEDIUM, FormatStyle.SHORT)
                        .withZone(ZoneId.systemDefault())
                        .format(at);
        return choose(
                Words.of("ask.left.title"),
                Words.of("ask.left.text", name, when),
                "ask.left.take",
                "ask.left.throw",
                "ask.left.later");
    }

    @Override
    public Optional<String> toName(String title, String proposal) {
        var dialog = new TextInputDialog(proposal);
        dialog.initOwner(owner);
        dialog.setGraphic(null);
        dialog.setTitle(title);
        dialog.setHeaderText(title);
        Theme.dress(dialog.getDialogPane(), owner);
        return dialog.showAndWait();
    }

    @Override
    public void tell(String title, String text) {
        var alert =
                new Alert(
                        Alert.AlertType.ERROR,
                        text,
                        new ButtonType(Words.of("ask.ok"), ButtonData.OK_DONE));
        dress(alert, title);
        alert.showAndWait();
    }

    private void dress(Alert alert, String title) {
        alert.initOwner(owner);
        alert.setGraphic(null);
        Theme.dress(alert.getDialogPane(), owner);
        alert.setTitle(title);
        alert.setHeaderText(title);
        alert.getDialogPane().setMinHeight(Region.USE_PREF_SIZE);
    }
}
