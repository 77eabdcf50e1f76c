package aficion.desktop.shell;

import aficion.desktop.theme.Theme;
import aficion.files.DemoJobs;
import aficion.files.Library;
import aficion.files.Preferences;
import aficion.files.UserState;
import java.nio.file.Files;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * Counts frames while ticks run over the whole vehicle, lights on and engine running. Run by hand
 * in a window; no test.
 */
public final class FramesBench extends Application {
    private static final int WARM = 5;
    private static final int SECONDS = 10;

    private long begun;
    private int frames;
    private long longest;
    private long before;

    public static void main(String[] names) {
        Application.launch(FramesBench.class, names);
    }

    @Override
    public void start(Stage stage) throws Exception {
        Theme.install();
        var parameters = getParameters().getRaw();
        var name = parameters.isEmpty() ? "roadster" : parameters.getFirst();
        var bench = AficionApp.bench(Clock.systemUTC(), Preferences.USUAL);
        var own = Files.createTempDirectory("desk");
        var userState = new UserState(own, new Library(own));
        userState.keep(Preferences.USUAL.afterTour());
        var files = new JobFiles(bench, JobFiles.dialogs(stage), userState);
        new BenchWindow(stage, files, userState, _ -> {}, () -> {}).show();
        bench.take(DemoJobs.find(name).orElseThrow());
        for (var control : aficion.netlist.Controls.of(bench.design()).controls()) {
            bench.set(control.name(), control.positions().get(1).name());
        }
        bench.whole().set(parameters.size() < 2);
        begun = System.nanoTime();
        new AnimationTimer() {
            @Override
            public void handle(long now) {
                count(now);
            }
        }.start();
    }

    private void count(long now) {
        long passed = System.nanoTime() - begun;
        if (passed < TimeUnit.SECONDS.toNanos(WARM)) {
            before = now;
            return;
        }
        frames++;
        longest = Math.max(longest, now - before);
        before = now;
        if (passed > TimeUnit.SECONDS.toNanos(WARM + SECONDS)) {
            System.out.printf(
                    "%.1f frames a second, longest %.1f ms%n",
                    frames / (double) SECONDS, longest / 1e6);
            Platform.exit();
            System.exit(0);
        }
    }
}
