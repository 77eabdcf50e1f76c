package aficion.desktop.shell;

import aficion.bench.BenchPlan;
import aficion.desktop.shell.JobFiles.Answer;
import aficion.desktop.workbench.ForJob;
import aficion.desktop.workbench.Workbench;
import aficion.diagram.Diagram;
import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.files.DemoJobs;
import aficion.files.Library;
import aficion.files.Preferences;
import aficion.files.UserState;
import aficion.job.CircuitId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.words.Wording;
import aficion.words.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.robot.Motion;
import org.testfx.service.query.PointQuery;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The real window with the demo roadster in it, worked by mouse and keyboard. File dialogs are
 * answered by the test.
 */
abstract class WindowTest extends ApplicationTest {
    static final PseudoClass LIVE = PseudoClass.getPseudoClass("live");

    /** So often what waits for the application thread is let run: what comes last asks for more. */
    private static final int ROUNDS = 2;

    /** So long an answer of the application thread is waited for. */
    private static final int MOST_MILLIS = 60_000;

    Workbench bench;
    JobFiles files;
    UserState userState;
    BenchWindow window;
    Stage stage;
    final Answers answers = new Answers();

    /** What a person would answer. */
    static final class Answers implements JobFiles.UserPrompts {
        Optional<Path> open = Optional.empty();
        Optional<Path> write = Optional.empty();
        Optional<String> name = Optional.empty();
        Answer unsaved = Answer.STAY;
        int askedAboutUnsaved;
        Answer left = Answer.STAY;
        final List<String> askedAboutLeft = new ArrayList<>();
        final List<String> told = new ArrayList<>();

        @Override
        public Optional<Path> toOpen() {
            return open;
        }

        @Override
        public Optional<Path> toRead(String kind, String suffix) {
            return open;
        }

        @Override
        public Optional<Path> toWrite(String name, String kind) {
            return write;
        }

        @Override
        public Answer aboutUnsaved(String name) {
            askedAboutUnsaved++;
            return unsaved;
        }

        @Override
        public Optional<String> toName(String title, String proposal) {
            return name;
        }

        @Override
        public Answer aboutLeft(String name, Instant at) {
            askedAboutLeft.add(name);
            return left;
        }

        @Override
        public void tell(String title, String text) {
            told.add(title + " " + text);
        }
    }

    @Override
    public void start(Stage stage) throws IOException {
        this.stage = stage;
        aficion.desktop.theme.Theme.install();
        bench =
                AficionApp.bench(
                        Clock.fixed(Instant.parse("2026-11-25T10:00:00Z"), ZoneOffset.UTC),
                        Preferences.USUAL);
        userState = userState();
        userState.keep(preferences());
        files = new JobFiles(bench, answers, userState);
        window = new BenchWindow(stage, files, userState, next -> bench = next, () -> {});
        window.show();
        DemoJobs.find(demo()).ifPresent(bench::take);
        stage.toFront();
    }

    private static UserState userState() throws IOException {
        var folder = Files.createTempDirectory("desk");
        return new UserState(folder, new Library(folder.resolve("own")));
    }

    /** The job that the window opens with. */
    String demo() {
        return "roadster";
    }

    /** What the user likes when the window opens. */
    Preferences preferences() {
        return Preferences.USUAL.afterTour();
    }

    @Override
    public void stop() {
        Words.speak(Wording.BRITISH);
        bench.close();
    }

    /**
     * Waits until every result shown belongs to the job and conditions as they are. Remedies are
     * tried beside: whoever wants one waits for it.
     */
    void settle() {
        until(this::isSettled);
    }

    private boolean isSettled() {
        return !bench.isWorking()
                && bench.assessed()
                        .get()
                        .filter(found -> found.design() == bench.design())
                        .isPresent()
                && bench.outcome().get().isPresent()
                && (bench.point().isEmpty()
                        || bench.point().get().conditions().equals(bench.conditions().get()))
                && isOfFocus(bench.drawing().get(), Diagram::circuit)
                && (!bench.testing().get() || isOfFocus(bench.plan().get(), BenchPlan::circuit));
    }

    private <T> boolean isOfFocus(Optional<ForJob<T>> shown, Function<T, CircuitId> circuit) {
        return shown.map(found -> circuit.apply(found.made())).equals(bench.focus().get())
                && shown.stream()
                        .allMatch(found ->
                                found.design().parts().equals(bench.design().parts())
                                        && found.design().wires().equals(bench.design().wires()));
    }

    static void until(Callable<Boolean> condition) {
        until("what is waited for", condition);
    }

    private static void until(String what, Callable<Boolean> condition) {
        try {
            WaitForAsyncUtils.waitFor(
                    MOST_MILLIS,
                    TimeUnit.MILLISECONDS,
                    () -> WaitForAsyncUtils.asyncFx(condition).get());
        } catch (java.util.concurrent.TimeoutException e) {
            throw new AssertionError(what + " did not come", e);
        }
        WaitForAsyncUtils.waitForFxEvents(ROUNDS);
    }

    WireId wireNumbered(String number) {
        return bench.design().wires().stream()
                .filter(wire -> wire.number().equals(number))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Override
    public FxRobot interact(Runnable runnable) {
        WaitForAsyncUtils.waitForAsyncFx(MOST_MILLIS, runnable);
        WaitForAsyncUtils.waitForFxEvents(ROUNDS);
        return this;
    }

    /** At once, without the way of the pointer to it, which nothing here heeds. */
    @Override
    public FxRobot clickOn(Node node, Motion motion, MouseButton... buttons) {
        return click(point(node), buttons);
    }

    @Override
    public FxRobot clickOn(String query, Motion motion, MouseButton... buttons) {
        return click(seen(() -> point(query)), buttons);
    }

    private FxRobot click(PointQuery at, MouseButton... buttons) {
        var mouse = robotContext().getMouseRobot();
        mouse.moveNoWait(at.query());
        mouse.pressNoWait(buttons);
        mouse.release(buttons);
        return this;
    }

    void press(String id) {
        var node = node(id);
        clickOn(node);
        settle();
    }

    /** What the first button of a mouse does at a place of the scene. */
    static MouseEvent mouse(EventType<MouseEvent> does, Point2D at) {
        return new MouseEvent(
                does,
                at.getX(),
                at.getY(),
                at.getX(),
                at.getY(),
                MouseButton.PRIMARY,
                1,
                false,
                false,
                false,
                false,
                true,
                false,
                false,
                false,
                false,
                true,
                null);
    }

    /** What a button does that may lie further down than its panel shows. */
    void fire(String id) {
        until(() -> {
            var button = byId(id).map(ButtonBase.class::cast);
            button.ifPresent(ButtonBase::fire);
            return button.isPresent();
        });
        settle();
    }

    /** Does something on the application thread, as an event would. */
    void onScreen(Runnable action) {
        interact(action);
        settle();
    }

    Node node(String id) {
        until(() -> byId(id).isPresent());
        return byId(id).orElseThrow();
    }

    /** A node of the scene by its exact id, whatever signs are in it. */
    Optional<Node> byId(String id) {
        return all(stage.getScene().getRoot()).filter(node -> id.equals(node.getId())).findFirst();
    }

    /** All that is shown below a node once it is laid out: what scrolls is put in by then only. */
    static Stream<Node> all(Parent root) {
        return seen(
                () -> {
                    root.applyCss();
                    root.layout();
                    return below(root).toList();
                })
                .stream();
    }

    /** What is to be seen between two events; while one is handled, nodes come and go. */
    private static <T> T seen(Callable<T> looked) {
        return WaitForAsyncUtils.waitForAsyncFx(MOST_MILLIS, looked);
    }

    private static Stream<Node> below(Parent root) {
        return root.getChildrenUnmodifiable().stream()
                .flatMap(node ->
                        node instanceof Parent parent
                                ? Stream.concat(Stream.of(node), below(parent))
                                : Stream.of(node));
    }

    String text(String id) {
        return ((Labeled) byId(id).orElseThrow()).getText();
    }

    Node wire(String number) {
        return byId("wire-" + number).orElseThrow();
    }

    boolean isLive(String number) {
        return wire(number).getPseudoClassStates().contains(LIVE);
    }

    Wire wireOf(String id) {
        return bench.design().wire(new WireId(id));
    }

    OperatingPoint point() {
        return bench.point().orElseThrow();
    }

    void focusOn(String circuit) {
        onScreen(() -> bench.focus().set(Optional.of(new CircuitId(circuit))));
    }

    /** The first button that says that, once there is one; remedies have been tried by then. */
    Button button(String words) {
        until(() -> bench.isOffered() && saying(words).isPresent());
        return saying(words).orElseThrow();
    }

    private Optional<Button> saying(String words) {
        return all(stage.getScene().getRoot())
                .filter(Button.class::isInstance)
                .map(Button.class::cast)
                .filter(button -> words.equals(button.getText()))
                .findFirst();
    }

    void typeInto(String id, String text) {
        var field = (TextField) node(id);
        interact(() -> field.setText(text));
    }

    /** Writes into a field and presses Enter there. */
    void enterInto(String id, String text) {
        typeInto(id, text);
        interact(() -> node(id).requestFocus());
        push(KeyCode.ENTER);
        settle();
    }

    void assertShows(String words) {
        until(words, () -> shows(words));
    }

    /** Whether some label says that. */
    boolean shows(String words) {
        return shown().filter(Objects::nonNull).anyMatch(text -> text.contains(words));
    }

    private Stream<String> shown() {
        return all(stage.getScene().getRoot())
                .filter(node -> node instanceof Labeled && node.isVisible())
                .map(node -> ((Labeled) node).getText());
    }

    /** Where the step in hand asks for volts. */
    private Optional<Terminal> asked() {
        var task = text("bench-task");
        return Terminal.parse(task.substring(task.lastIndexOf(' ') + 1));
    }

    /** Reads what is advised, as it is with a fault, until one is named. */
    void followAdvice(Fault fault) {
        var hidden = new Solver(Faulty.of(Netlist.of(bench.design()), fault));
        for (int i = 0; i < 12 && byId("reason-named").isEmpty(); i++) {
            fire("reason-read");
            until(() -> asked().isPresent());
            var at = asked().orElseThrow();
            var point = ((Outcome.Solved) hidden.solve(bench.conditions().get())).point();
            write(bench.units().print(point.voltsAt(at).orElse(new Volts(0))));
            push(KeyCode.ENTER);
            settle();
        }
    }
}
