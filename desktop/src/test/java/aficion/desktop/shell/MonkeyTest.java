package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.desktop.workbench.Workbench;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.stage.Window;
import org.assertj.core.util.Throwables;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A hand that presses, writes and picks anything in reach, in no order: nothing breaks, and the
 * window answers afterwards. The same seed presses the same things; {@code -Daficion.presses} says
 * how many, {@code -Daficion.seed} which.
 */
@Tag("off-screen")
class MonkeyTest extends WindowTest {
    private static final int PRESSES = Integer.getInteger("aficion.presses", 250);
    private static final long SEED = Long.getLong("aficion.seed", 1956);

    private static final List<String> WRITTEN =
            List.of(
                    "",
                    "0",
                    "-1",
                    "12.5",
                    "1e9",
                    "abc",
                    "2.5 mm2",
                    "5 m",
                    "S1.30",
                    "key=run",
                    "NaN",
                    "3,14",
                    "1000 0, 3000 30",
                    "1, oil, white, oil lamp, live",
                    "\u0665",
                    "x".repeat(300));

    private static final List<KeyCode> KEYS =
            List.of(
                    KeyCode.ENTER,
                    KeyCode.SPACE,
                    KeyCode.ESCAPE,
                    KeyCode.TAB,
                    KeyCode.DELETE,
                    KeyCode.INSERT,
                    KeyCode.UP,
                    KeyCode.DOWN,
                    KeyCode.LEFT,
                    KeyCode.RIGHT,
                    KeyCode.PAGE_DOWN,
                    KeyCode.HOME,
                    KeyCode.F1,
                    KeyCode.DIGIT1,
                    KeyCode.DIGIT2,
                    KeyCode.DIGIT3,
                    KeyCode.DIGIT4,
                    KeyCode.DIGIT5,
                    KeyCode.DIGIT6,
                    KeyCode.A,
                    KeyCode.B,
                    KeyCode.C,
                    KeyCode.D,
                    KeyCode.E,
                    KeyCode.F,
                    KeyCode.G,
                    KeyCode.H,
                    KeyCode.J,
                    KeyCode.K,
                    KeyCode.M,
                    KeyCode.N,
                    KeyCode.O,
                    KeyCode.P,
                    KeyCode.Q,
                    KeyCode.R,
                    KeyCode.S,
                    KeyCode.T,
                    KeyCode.U,
                    KeyCode.V,
                    KeyCode.W,
                    KeyCode.X,
                    KeyCode.Y,
                    KeyCode.Z,
                    KeyCode.OPEN_BRACKET,
                    KeyCode.CLOSE_BRACKET);

    private final Random random = new Random(SEED);
    private final List<String> done = new ArrayList<>();
    private final List<Throwable> broken = new CopyOnWriteArrayList<>();

    @Override
    String demo() {
        return System.getProperty("aficion.demo", super.demo());
    }

    @Test
    void whateverIsPressedNothingBreaks() throws TimeoutException {
        interact(() -> Thread.currentThread().setUncaughtExceptionHandler((_, e) -> take(e)));
        for (int i = 0; i < PRESSES && broken.isEmpty(); i++) {
            WaitForAsyncUtils.waitForAsyncFx(60_000, this::act);
            WaitForAsyncUtils.waitForFxEvents(1);
        }
        assertThat(broken.stream().map(Throwables::getStackTrace))
                .as(() -> "after " + done.subList(Math.max(0, done.size() - 12), done.size()))
                .isEmpty();
        WaitForAsyncUtils.waitFor(90, TimeUnit.SECONDS, () -> !bench.isWorking());
        assertThat(bench.failure().get()).as(done::toString).isEmpty();
    }

    /**
     * What the off-screen platform itself breaks on, a menu beyond the edge of its screen, is not
     * ours.
     */
    private void take(Throwable broke) {
        if (!Throwables.getStackTrace(broke).contains("com.sun.glass.ui.headless.HeadlessWindow")) {
            broken.add(broke);
        }
    }

    private void act() {
        try {
            switch (random.nextInt(10)) {
                case 0, 1, 2, 3 -> pressSomething();
                case 4, 5 -> writeSomething();
                case 6 -> pickSomething();
                case 7 -> clickSomewhere();
                default -> pushSomething();
            }
            bench.failure().get().map(Workbench.Failure::why).ifPresent(broken::add);
        } catch (RuntimeException e) {
            take(e);
        }
    }

    private <T extends Node> List<T> shown(Class<T> kind) {
        return Window.getWindows().stream()
                .filter(Window::isShowing)
                .flatMap(window -> all(window.getScene().getRoot()))
                .filter(kind::isInstance)
                .map(kind::cast)
                .filter(node -> !node.isDisabled() && isSeen(node))
                .toList();
    }

    private static boolean isSeen(Node node) {
        for (var each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private <T> T any(List<T> some) {
        return some.get(random.nextInt(some.size()));
    }

    private void pressSomething() {
        var buttons =
                shown(ButtonBase.class).stream()
                        .filter(button -> !String.valueOf(button.getId()).contains("quit"))
                        .toList();
        if (!buttons.isEmpty()) {
            var button = any(buttons);
            done.add("press " + button.getId() + " " + button.getText());
            button.fire();
        }
    }

    private void writeSomething() {
        var fields = shown(TextInputControl.class);
        if (!fields.isEmpty()) {
            var field = any(fields);
            var text = any(WRITTEN);
            done.add("write " + field.getId() + " " + text);
            field.requestFocus();
            if (field.isEditable()) {
                field.setText(text);
            }
            if (field instanceof TextField) {
                push(field, KeyCode.ENTER, false, false, false);
            }
        }
    }

    private void pickSomething() {
        var boxes = shown(Node.class).stream().filter(MonkeyTest::isList).toList();
        if (boxes.isEmpty()) {
            return;
        }
        var box = any(boxes);
        done.add("pick " + box.getId());
        switch (box) {
            case ComboBox<?> combo when !combo.getItems().isEmpty() ->
                    combo.getSelectionModel().select(random.nextInt(combo.getItems().size()));
            case ListView<?> list when !list.getItems().isEmpty() ->
                    list.getSelectionModel().select(random.nextInt(list.getItems().size()));
            case TableView<?> table when !table.getItems().isEmpty() ->
                    table.getSelectionModel()
                            .clearAndSelect(random.nextInt(table.getItems().size()));
            default -> {}
        }
    }

    private static boolean isList(Node node) {
        return node instanceof ComboBox || node instanceof ListView || node instanceof TableView;
    }

    private void clickSomewhere() {
        var nodes = shown(Node.class).stream().filter(node -> node.getId() != null).toList();
        if (nodes.isEmpty()) {
            return;
        }
        var node = any(nodes);
        done.add("click " + node.getId());
        var middle =
                new Point2D(
                        node.getBoundsInLocal().getCenterX(), node.getBoundsInLocal().getCenterY());
        for (var type :
                List.of(
                        MouseEvent.MOUSE_PRESSED,
                        MouseEvent.MOUSE_DRAGGED,
                        MouseEvent.MOUSE_RELEASED,
                        MouseEvent.MOUSE_CLICKED)) {
            Event.fireEvent(node, mouse(type, node.localToScene(middle)));
        }
    }

    private void pushSomething() {
        var focused = stage.getScene().getFocusOwner();
        Node target = focused == null ? stage.getScene().getRoot() : focused;
        var key = any(KEYS);
        boolean control = random.nextInt(5) == 0 && key != KeyCode.Q;
        boolean alt = random.nextInt(8) == 0;
        boolean shift = random.nextInt(6) == 0;
        done.add(
                "push "
                        + (control ? "Ctrl+" : "")
                        + (alt ? "Alt+" : "")
                        + (shift ? "Shift+" : "")
                        + key);
        push(target, key, shift, control, alt);
    }

    private static void push(
            Node target, KeyCode key, boolean shift, boolean control, boolean alt) {
        for (var type : List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_RELEASED)) {
            Event.fireEvent(target, new KeyEvent(type, "", "", key, shift, control, alt, false));
        }
    }
}
