package aficion.desktop.shell;

import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Workbench;
import aficion.diagram.Lettering;
import aficion.files.DemoJobs;
import aficion.files.Recovery;
import aficion.job.Job;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
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

    /** A bench with the words of the program. */
    public static Workbench bench(Clock clock) {
        return new Workbench(clock, AficionApp::lettering, UserUnits.METRIC);
    }

    private static Lettering lettering(Job job) {
        return Theme.lettering(job, UserUnits.METRIC);
    }

    @Override
    public void start(Stage stage) {
        Theme.install();
        Thread.currentThread()
                .setUncaughtExceptionHandler((_, e) -> LOG.error("something went wrong", e));
        var bench = bench(Clock.systemDefaultZone());
        var asking = JobFiles.dialogs(stage);
        var files = new JobFiles(bench, asking);
        var safekeeping =
                new Safekeeping(
                        bench, new Recovery(Recovery.usualFolder(), ProcessHandle.current().pid()));
        open(stage, bench, files, safekeeping::close);
        var jobs = getParameters().getRaw();
        open(bench, files, jobs);
        safekeeping.offer(asking);
        LOG.info("window shown after {} ms", ManagementFactory.getRuntimeMXBean().getUptime());
    }

    /** Fills and shows a window. */
    public static void open(Stage stage, Workbench bench, JobFiles files, Runnable ending) {
        Runnable quit =
                () -> {
                    if (files.mayLeave()) {
                        ending.run();
                        bench.close();
                        stage.close();
                        Platform.exit();
                    }
                };
        stage.setTitle(Words.of("app.name"));
        stage.setScene(Shell.scene(bench, files, quit, 1280, 800));
        stage.setMinWidth(1000);
        stage.setMinHeight(640);
        stage.setOnCloseRequest(event -> {
            event.consume();
            quit.run();
        });
        stage.show();
    }

    private static void open(Workbench bench, JobFiles files, List<String> jobs) {
        if (jobs.isEmpty()) {
            return;
        }
        var wanted = jobs.getFirst();
        if (wanted.startsWith(DEMO)) {
            DemoJobs.find(wanted.substring(DEMO.length())).ifPresent(bench::take);
        } else {
            files.open(Path.of(wanted));
        }
    }
}
