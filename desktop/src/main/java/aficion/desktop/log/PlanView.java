package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Design;
import aficion.plan.Plan;
import aficion.plan.Plan.Pick;
import aficion.plan.Task;
import aficion.words.PlanWords;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Callback;

/**
 * The work that is left: what fits this evening, what can be begun, what waits for what, the
 * longest chain, and how long it takes by the user's own pace.
 */
final class PlanView extends ScrollPane {
    private static final double ROW = 33;
    private static final double USUAL_HOURS = 2;
    private static final double MOST_HOURS = 8;
    private static final int SHOWN = 9;
    private static final double HIGH_ROW = 46;
    private static final double LIST = 4 * HIGH_ROW + 4;
    private static final double TIME = 40;

    private final Workbench bench;
    private final Consumer<String> summary;
    private final TaskCard card;
    private final Slider hours = new Slider(0.5, MOST_HOURS, USUAL_HOURS);
    private final Label asked = Texts.label("", "log-hours");
    private final Label safe = Texts.label("", "quiet");
    private final Label hand = Texts.wrapped("", "quiet");
    private final ListView<Pick> tonight = new ListView<>();
    private final ListView<Task> now = new ListView<>();
    private final ListView<Task> waiting = new ListView<>();
    private final FlowPane chain = new FlowPane(6, 6);
    private final Label chainHead = Texts.caption("");
    private final Label pace = Texts.wrapped("", "quiet");
    private final FlowPane left = new FlowPane(18, 6);
    private final ReadOnlyObjectWrapper<Optional<Plan>> plan =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Design> picked = Optional.empty();
    private Optional<String> chosen = Optional.empty();

    /**
     * @param summary shows how much is done and left
     */
    PlanView(Surroundings with, Clockwork clock, Consumer<String> summary) {
        this.bench = with.bench();
        this.summary = summary;
        this.card = new TaskCard(with, clock, this::turn);
        setId("plan");
        getStyleClass().add("bench-scroll");
        setFitToWidth(true);
        hours.setId("plan-hours");
        hours.setBlockIncrement(0.5);
        hours.setMajorTickUnit(0.5);
        hours.setMinorTickCount(0);
        hours.setSnapToTicks(true);
        hours.setPrefWidth(180);
        hours.setAccessibleText(Words.of("plan.hours"));
        hours.valueProperty()
                .addListener((_, before, after) -> {
                    if (step(before.doubleValue()) != step(after.doubleValue())) {
                        evening();
                    }
                });
        asked.setId("plan-asked");
        asked.setMinWidth(Region.USE_PREF_SIZE);
        safe.setId("plan-safe");
        hand.setId("plan-hand");
        list(tonight, "plan-tonight", _ -> new PickCell());
        list(now, "plan-now", _ -> new TaskCell(false));
        list(waiting, "plan-waits", _ -> new TaskCell(true));
        tonight.setPlaceholder(Texts.wrapped(Words.of("plan.tonight.none"), "empty"));
        now.setPlaceholder(Texts.wrapped(Words.of("plan.now.none"), "empty"));
        waiting.setPlaceholder(Texts.wrapped(Words.of("plan.waits.none"), "empty"));
        waiting.setFixedCellSize(HIGH_ROW);
        now.setPrefHeight(LIST);
        waiting.setPrefHeight(LIST);
        setContent(content());
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private static double step(double hours) {
        return Math.round(2 * hours) / 2.0;
    }

    private Node content() {
        var title = Texts.label(Words.of("plan.tonight"), "sheet-title");
        title.setMinWidth(Region.USE_PREF_SIZE);
        var head = new HBox(12, title, asked, hours, Texts.spring(), safe);
        head.setAlignment(Pos.CENTER_LEFT);
        var evening = new VBox(6, head, tonight, hand);
        evening.getStyleClass().add("log-card");
        var begun = new VBox(6, Texts.caption(Words.of("plan.now")), now);
        var later = new VBox(6, Texts.caption(Words.of("plan.waits")), waiting);
        var both = new HBox(16, begun, later);
        HBox.setHgrow(begun, Priority.ALWAYS);
        HBox.setHgrow(later, Priority.ALWAYS);
        begun.setPrefWidth(100);
        later.setPrefWidth(100);
        var last = new VBox(8, chainHead, chain, pace, left);
        last.getStyleClass().add("log-card");
        return new VBox(12, evening, both, last);
    }

    private <T> void list(ListView<T> list, String id, Callback<ListView<T>, ListCell<T>> cells) {
        list.setId(id);
        list.getStyleClass().add("log-list");
        list.setFixedCellSize(ROW);
        list.setCellFactory(cells);
        list.getSelectionModel()
                .selectedItemProperty()
                .addListener((_, _, item) -> Optional.ofNullable(item).ifPresent(this::choose));
        list.focusedProperty()
                .addListener((_, _, focused) -> {
                    if (focused) {
                        Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                                .ifPresentOrElse(
                                        this::choose, () -> list.getSelectionModel().selectFirst());
                    }
                });
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                        .map(PlanView::task)
                        .ifPresent(this::turn);
                event.consume();
            }
        });
    }

    private static Task task(Object item) {
        return item instanceof Pick pick ? pick.task() : (Task) item;
    }

    private void choose(Object item) {
        chosen = Optional.of(task(item).key());
        plan.get().ifPresent(found -> card.show(found, found.find(task(item).key())));
    }

    Node aside() {
        return card;
    }

    /** The key of the task that is chosen; empty where none is. */
    Optional<String> task() {
        return chosen;
    }

    /** The plan as it is, once it is worked out. */
    ReadOnlyObjectProperty<Optional<Plan>> plan() {
        return plan.getReadOnlyProperty();
    }

    @Override
    public void requestFocus() {
        tonight.requestFocus();
    }

    /** A task is done, or not: its stage with it, where it has one. */
    private void turn(Task task) {
        bench.perform(task.noted(!isDone(task)));
    }

    private boolean isDone(Task task) {
        return plan.get().flatMap(found -> found.find(task.key())).map(Task::isDone).orElse(false);
    }

    private void refresh() {
        if (getScene() != null) {
            var job = bench.job();
            bench.ask().prepare(design -> Plan.of(job.with(design)), this::show);
        }
    }

    private void show(Plan found) {
        plan.set(Optional.of(found));
        boolean other = picked.filter(design -> design == bench.design()).isEmpty();
        if (other) {
            evening();
        } else {
            tonight.refresh();
        }
        fill(now, found.now());
        fill(waiting, found.waiting());
        chosen.ifPresent(key -> card.show(found, found.find(key)));
        chain(found);
        summary.accept(PlanWords.summary(found, bench.job().work().diary()));
    }

    /** Fills a list anew; what was chosen in it stays chosen. */
    private static void fill(ListView<Task> list, List<Task> tasks) {
        var before = Optional.ofNullable(list.getSelectionModel().getSelectedItem()).map(Task::key);
        list.getItems().setAll(tasks);
        before.flatMap(key -> tasks.stream().filter(task -> task.key().equals(key)).findFirst())
                .ifPresent(task -> list.getSelectionModel().select(task));
    }

    /** What fits the evening: picked anew for other hours or another design, not for a tick. */
    private void evening() {
        plan.get()
                .ifPresent(found -> {
                    double wanted = step(hours.getValue());
                    var evening = found.evening(60 * wanted);
                    picked = Optional.of(bench.design());
                    asked.setText(Words.of("plan.asked", wanted));
                    safe.setText(Words.of("plan.ends", evening.battery()));
                    var toHand = words().toHand(evening);
                    hand.setText(
                            toHand.isEmpty()
                                    ? ""
                                    : Words.of("plan.hand", String.join(", ", toHand)));
                    tonight.getItems().setAll(evening.picks());
                    int rows = Math.clamp(evening.picks().size(), 1, SHOWN);
                    tonight.setPrefHeight(rows * ROW + 4);
                    tonight.setMinHeight(rows * ROW + 4);
                });
    }

    /** The longest chain, a box for what is alike one after the other; the pace; what is left. */
    private void chain(Plan found) {
        var words = words();
        var longest = found.longest();
        var time = PlanWords.time(found.left(longest));
        chainHead.setText(Words.of("plan.chain", time).toUpperCase(Locale.ROOT));
        chain.getChildren().clear();
        for (var task : longest) {
            var box =
                    new VBox(
                            Texts.label(Words.of("plan.kind." + task.kind().name()), "strong"),
                            Texts.label(PlanWords.time(found.pace().left(task)), "condensed"));
            box.getStyleClass().add("log-link");
            box.setAccessibleText(words.name(task));
            box.setOnMouseClicked(_ -> choose(task));
            if (!chain.getChildren().isEmpty()) {
                chain.getChildren().add(Texts.label("\u2192", "quiet"));
            }
            chain.getChildren().add(box);
        }
        pace.setText(PlanWords.pace(found.pace()));
        left.getChildren().clear();
        found.leftByKind()
                .forEach((kind, minutes) ->
                        left.getChildren()
                                .add(
                                        Texts.label(
                                                Words.of(
                                                        "plan.left",
                                                        Words.of("plan.kind." + kind.name()),
                                                        PlanWords.time(minutes)),
                                                "condensed")));
    }

    private static Label time(double minutes) {
        var time = Texts.label(PlanWords.time(minutes), "condensed");
        time.setMinWidth(TIME);
        time.setAlignment(Pos.CENTER_RIGHT);
        return time;
    }

    private PlanWords words() {
        return new PlanWords(bench.design(), bench.units());
    }

    /** A task of the evening, with what ticks it. */
    private final class PickCell extends ListCell<Pick> {
        @Override
        protected void updateItem(Pick pick, boolean empty) {
            super.updateItem(pick, empty);
            setText(null);
            if (empty || pick == null) {
                setGraphic(null);
                return;
            }
            var tick = new CheckBox();
            tick.setFocusTraversable(false);
            tick.setSelected(isDone(pick.task()));
            tick.setOnAction(_ -> {
                getListView().getSelectionModel().select(pick);
                turn(pick.task());
            });
            var name = Texts.label(words().name(pick), "strong");
            var hand = words().toHand(pick.task()).stream().limit(3).toList();
            var with = Texts.label(String.join(", ", hand), "quiet");
            var row = new HBox(10, tick, name, Texts.spring(), with, time(pick.minutes()));
            row.setAlignment(Pos.CENTER_LEFT);
            HBox.setHgrow(name, Priority.SOMETIMES);
            row.setMaxWidth(getListView().getWidth() - 24);
            setGraphic(row);
        }
    }

    /** A task that can be begun, or one that waits, with what for. */
    private final class TaskCell extends ListCell<Task> {
        private final boolean waits;

        TaskCell(boolean waits) {
            this.waits = waits;
        }

        @Override
        protected void updateItem(Task task, boolean empty) {
            super.updateItem(task, empty);
            setText(null);
            if (empty || task == null) {
                setGraphic(null);
                return;
            }
            var name = Texts.label(words().name(task));
            if (waits) {
                var why =
                        plan.get().stream()
                                .flatMap(found -> found.waits(task).stream())
                                .findFirst()
                                .map(before -> Words.of("why", before.why()))
                                .orElse("");
                var both = new VBox(name, Texts.label(why, "quiet"));
                both.setMaxWidth(getListView().getWidth() - 24);
                setGraphic(both);
                return;
            }
            var minutes = plan.get().map(found -> found.pace().left(task)).orElse(0.0);
            var row = new HBox(8, name, Texts.spring(), time(minutes));
            row.setAlignment(Pos.CENTER_LEFT);
            row.setMaxWidth(getListView().getWidth() - 24);
            setGraphic(row);
        }
    }
}
