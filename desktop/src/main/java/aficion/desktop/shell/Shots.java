package aficion.desktop.shell;

import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.files.Preferences;
import aficion.files.UserState;
import aficion.job.Action;
import aficion.job.BenchRun;
import aficion.job.Circuit;
import aficion.job.Design;
import aficion.job.Job;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.Rpm;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Scene;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javax.imageio.ImageIO;

/** Pictures of each main view of a job, with everything of the circuit switched on. */
public final class Shots {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final long PATIENCE_SECONDS = 60;

    private final Job job;
    private final Design design;
    private final Path folder;
    private final List<Path> written = new ArrayList<>();

    private Shots(Job job, Path folder) {
        this.job = job;
        this.design = job.design();
        this.folder = folder;
    }

    /**
     * Starts the screen platform, takes the pictures and ends it.
     *
     * @return the files written
     */
    public static List<Path> take(Job job, Path folder) throws IOException {
        var shots = new Shots(job, folder);
        onPlatform(shots::run);
        return shots.written;
    }

    /** Shows a job until all is worked out of it, and ends: what every start does. */
    public static void rehearse(Job job) throws IOException {
        onPlatform(new Shots(job, Path.of(""))::showOnce);
    }

    /** What is done while the platform runs. */
    private interface Work {
        void run() throws IOException, InterruptedException;
    }

    private static void onPlatform(Work work) throws IOException {
        var started = new CountDownLatch(1);
        Platform.startup(started::countDown);
        try {
            started.await();
            work.run();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        } finally {
            Platform.exit();
        }
    }

    /** A user who likes everything as it usually is. */
    private static final class Usual implements Shell.PreferenceStore {
        @Override
        public Preferences now() {
            return Preferences.USUAL.afterTour();
        }

        @Override
        public void change(Preferences changed) {
            // Pictures change nothing.
        }
    }

    /** A window that is open, and what is on its bench. */
    private record Open(Workbench bench, Scene scene) {}

    private Open open() throws IOException, InterruptedException {
        return onScreen(() -> {
            Theme.install();
            var bench = AficionApp.bench(Clock.systemDefaultZone(), Preferences.USUAL);
            var files = new JobFiles(bench, JobFiles.dialogs(null), UserState.usual());
            var scene = Shell.scene(bench, files, new Usual(), () -> {}, WIDTH, HEIGHT);
            var stage = new Stage();
            stage.setScene(scene);
            stage.show();
            bench.take(job);
            return new Open(bench, scene);
        });
    }

    private void showOnce() throws IOException, InterruptedException {
        var open = open();
        for (var screen : List.of("trace", "board", "power", "make", "bench", "log")) {
            stand(open.bench, open.scene, screen, design.circuits().getLast());
        }
        open.bench.close();
    }

    private void run() throws IOException, InterruptedException {
        var open = open();
        var bench = open.bench;
        var scene = open.scene;
        for (var circuit : design.circuits()) {
            picture(bench, scene, "trace", circuit, "trace-" + circuit.id());
        }
        whole(bench, scene);
        findings(bench, scene);
        var small = smallest();
        if (small.isPresent()) {
            picture(bench, scene, "board", small.get(), "board");
            picture(bench, scene, "make", small.get(), "make");
            picture(bench, scene, "bench", small.get(), "bench");
            picture(bench, scene, "power", small.get(), "power");
            picture(bench, scene, "log", small.get(), "log");
            onScreen(() -> {
                Theme.setDark(scene, true);
                return null;
            });
            picture(bench, scene, "trace", small.get(), "trace-dark");
        }
        bench.close();
    }

    /** The whole vehicle, its first circuit with a finding in ink. */
    private void whole(Workbench bench, Scene scene) throws IOException, InterruptedException {
        var circuit =
                design.circuits().stream()
                        .filter(each -> !design.wiresOf(each.id()).isEmpty())
                        .min(
                                Comparator.comparingInt(each ->
                                        worst(bench, each) instanceof Selection.Nothing ? 1 : 0));
        if (circuit.isPresent()) {
            onScreen(() -> {
                bench.whole().set(true);
                return null;
            });
            picture(bench, scene, "trace", circuit.get(), "whole");
            onScreen(() -> {
                bench.whole().set(false);
                return null;
            });
        }
    }

    /** The list of all that was found, in front of the first circuit. */
    private void findings(Workbench bench, Scene scene) throws IOException, InterruptedException {
        if (!design.circuits().isEmpty()) {
            var first = design.circuits().getFirst();
            stand(bench, scene, "trace", first);
            onScreen(() -> {
                ((Shell) scene.getRoot()).findings();
                return null;
            });
            settle(bench, first);
            write(scene, "findings");
        }
    }

    private void picture(Workbench bench, Scene scene, String screen, Circuit circuit, String name)
            throws IOException, InterruptedException {
        stand(bench, scene, screen, circuit);
        write(scene, name);
    }

    private void stand(Workbench bench, Scene scene, String screen, Circuit circuit)
            throws IOException, InterruptedException {
        onScreen(() -> {
            ((Shell) scene.getRoot()).show(screen);
            bench.selection().set(worst(bench, circuit));
            bench.conditions().set(busy(circuit));
            bench.focus().set(Optional.of(circuit.id()));
            return null;
        });
        settle(bench, circuit);
    }

    private void write(Scene scene, String name) throws IOException, InterruptedException {
        var image = onScreen(() -> scene.snapshot(new WritableImage((int) WIDTH, (int) HEIGHT)));
        var path = folder.resolve(name + ".png");
        ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", path.toFile());
        written.add(path);
    }

    /**
     * The circuit that was tested last, else the one with the fewest wires; empty for a job without
     * wires.
     */
    private Optional<Circuit> smallest() {
        var tested = job.work().bench().stream().map(BenchRun::circuit).reduce((_, later) -> later);
        return tested.map(design::circuit)
                .or(() ->
                        design.circuits().stream()
                                .filter(circuit -> !design.wiresOf(circuit.id()).isEmpty())
                                .min(
                                        Comparator.comparingInt(
                                                circuit -> design.wiresOf(circuit.id()).size())));
    }

    /**
     * What the worst finding of a circuit is about; nothing where nothing is wrong or known yet.
     */
    private static Selection worst(Workbench bench, Circuit circuit) {
        return bench.assessed()
                .get()
                .flatMap(found -> found.of(circuit.id()).stream().findFirst())
                .map(finding -> Selection.of(finding.subject()))
                .orElse(new Selection.Nothing());
    }

    /** Key on and every switch of the circuit where it joins most, the engine running. */
    private Conditions busy(Circuit circuit) {
        var state = Conditions.REST.withEngine(new Rpm(1500));
        var key = Controls.of(design).key();
        if (key.isPresent()) {
            state = state.with(key.get().name(), lasting(key.get()));
        }
        for (var control : Controls.of(design, circuit.id()).controls()) {
            if (control.action() != Action.KEY) {
                state = state.with(control.name(), most(control));
            }
        }
        return state;
    }

    private static String lasting(Controls.Control control) {
        return control.positions().stream()
                .filter(position -> !position.springs())
                .toList()
                .getLast()
                .name();
    }

    private static String most(Controls.Control control) {
        return control.positions().stream()
                .reduce((best, other) -> other.joins().size() > best.joins().size() ? other : best)
                .orElseThrow()
                .name();
    }

    private void settle(Workbench bench, Circuit circuit) throws IOException, InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
        while (!onScreen(() -> isReady(bench, circuit))) {
            if (System.nanoTime() > end) {
                throw new IOException("the drawing of " + circuit.id() + " did not come");
            }
            Thread.sleep(20);
        }
        for (int i = 0; i < 3; i++) {
            Thread.sleep(40);
            onScreen(() -> null);
        }
    }

    private static boolean isReady(Workbench bench, Circuit circuit) {
        return bench.isOffered()
                && bench.isResting()
                && bench.assessed()
                        .get()
                        .filter(found -> found.design() == bench.design())
                        .isPresent()
                && (!bench.whole().get() || bench.vehicleDiagram().get().isPresent())
                && bench.drawing()
                        .get()
                        .filter(found -> found.made().circuit().equals(circuit.id()))
                        .isPresent()
                && (!bench.testing().get()
                        || bench.plan()
                                .get()
                                .filter(found -> found.made().circuit().equals(circuit.id()))
                                .isPresent())
                && (bench.point()
                                .filter(point ->
                                        point.conditions().equals(bench.conditions().get()))
                                .isPresent()
                        || bench.point().isEmpty() && bench.outcome().get().isPresent());
    }

    private static <T> T onScreen(Callable<T> work) throws IOException, InterruptedException {
        var task = new FutureTask<>(work);
        Platform.runLater(task);
        try {
            return task.get();
        } catch (ExecutionException e) {
            throw new IOException(e.getCause());
        }
    }
}
