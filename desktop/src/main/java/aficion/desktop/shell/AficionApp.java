package aficion.desktop.shell;

import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Workbench;
import aficion.files.DemoJobs;
import aficion.files.Preferences;
import aficion.files.Recovery;
import aficion.files.UserState;
import aficion.job.Job;
import aficion.words.Words;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The program with its window. Its first parameter is the job to open: a file, or {@code demo:} and
 * a name.
 */
public final class AficionApp extends Application {
    private static final Logger LOG = LoggerFactory.getLogger(AficionApp.class);
    private static final String DEMO = "demo:";
    private static final String FIRST = DEMO + "roadster";

    /** The demo that is read while the screen platform starts. */
    private static CompletableFuture<Optional<Job>> reading =
            CompletableFuture.completedFuture(Optional.empty());

    /**
     * Opens the window with a job: a file, {@code demo:} and a name, or nothing; until it closes.
     */
    public static void open(List<String> jobs) {
        jobs.stream().filter(job -> job.startsWith(DEMO)).findFirst().ifPresent(AficionApp::read);
        launch(AficionApp.class, jobs.toArray(String[]::new));
    }

    private static void read(String demo) {
        reading = CompletableFuture.supplyAsync(() -> DemoJobs.find(demo.substring(DEMO.length())));
    }

    /** A bench with the words of the program in the user's units. */
    public static Workbench bench(Clock clock, Preferences preferences) {
        var units = preferences.units();
        return new Workbench(clock, design -> Theme.lettering(design, units), units);
    }

    @Override
    public void start(Stage stage) {
        Theme.install();
        Thread.currentThread()
                .setUncaughtExceptionHandler((_, e) -> LOG.error("something went wrong", e));
        var userState = UserState.usual();
        var preferences = userState.preferences();
        Words.speak(preferences.wording());
        var bench = bench(Clock.systemDefaultZone(), preferences);
        var prompts = JobFiles.dialogs(stage);
        var files = new JobFiles(bench, prompts, userState);
        var safekeeping = new Safekeeping(bench, new Recovery(Recovery.usualFolder()));
        new BenchWindow(stage, files, userState, safekeeping::follow, safekeeping::close).show();
        var jobs = getParameters().getRaw();
        boolean first = jobs.isEmpty() && !preferences.toured();
        if (first) {
            read(FIRST);
        }
        open(bench, files, first ? List.of(FIRST) : jobs);
        safekeeping.offer(prompts);
        LOG.info("window shown after {} ms", ManagementFactory.getRuntimeMXBean().getUptime());
    }

    private static void open(Workbench bench, JobFiles files, List<String> jobs) {
        if (jobs.isEmpty()) {
            return;
        }
        var wanted = jobs.getFirst();
        if (wanted.startsWith(DEMO)) {
            reading.whenComplete((found, failure) -> {
                if (failure == null) {
                    Platform.runLater(
                            () -> found.filter(_ -> bench.isNew()).ifPresent(bench::take));
                } else {
                    LOG.error("the demo could not be read", failure);
                }
            });
        } else {
            files.open(Path.of(wanted));
        }
    }
}
