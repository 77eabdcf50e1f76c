package aficion.desktop.shell;

import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Workbench;
import aficion.files.Preferences;
import aficion.files.UserState;
import aficion.words.Words;
import java.io.IOException;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.stage.Stage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The window around a bench. When the user reads and writes otherwise, a successor of the bench is
 * shown in a shell of its own, and nothing of the work is lost.
 */
final class BenchWindow implements Shell.PreferenceStore {
    private static final Logger LOG = LoggerFactory.getLogger(BenchWindow.class);

    private final Stage stage;
    private final UserState userState;
    private final Consumer<Workbench> followed;
    private final Runnable ending;
    private Workbench bench;
    private JobFiles files;
    private Preferences preferences;

    /**
     * @param followed told every bench that takes the place of the one before
     * @param ending done when the window closes with everything saved or let go
     */
    BenchWindow(
            Stage stage,
            JobFiles files,
            UserState userState,
            Consumer<Workbench> followed,
            Runnable ending) {
        this.stage = stage;
        this.files = files;
        this.bench = files.bench();
        this.userState = userState;
        this.followed = followed;
        this.ending = ending;
        this.preferences = userState.preferences();
    }

    void show() {
        stage.setTitle(Words.of("app.name"));
        stage.setScene(Shell.scene(bench, files, this, this::quit, 1280, 800));
        Theme.setDark(stage.getScene(), preferences.dark());
        stage.setMinWidth(1000);
        stage.setMinHeight(640);
        stage.setOnCloseRequest(event -> {
            event.consume();
            quit();
        });
        stage.show();
    }

    private void quit() {
        if (files.mayLeave()) {
            files.letGo();
            ending.run();
            bench.close();
            stage.close();
            Platform.exit();
        }
    }

    Workbench bench() {
        return bench;
    }

    @Override
    public Preferences now() {
        return preferences;
    }

    @Override
    public void change(Preferences changed) {
        boolean otherWords =
                !changed.units().equals(preferences.units())
                        || changed.wording() != preferences.wording();
        preferences = changed;
        try {
            userState.keep(changed);
        } catch (IOException e) {
            LOG.warn("what the user likes cannot be kept", e);
        }
        if (otherWords) {
            renew();
        }
        Theme.setDark(stage.getScene(), changed.dark());
    }

    private void renew() {
        Words.speak(preferences.wording());
        var units = preferences.units();
        var before = bench;
        bench = before.successor(design -> Theme.lettering(design, units), units);
        before.close();
        files = files.with(bench);
        followed.accept(bench);
        stage.getScene().setRoot(Shell.root(bench, files, this, this::quit, stage.getScene()));
    }
}
