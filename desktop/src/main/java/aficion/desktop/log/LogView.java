package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Survey, identify, change, plan, diary, hand-over, one after the other; the clock beside all. */
final class LogView extends VBox {
    private static final double ASIDE = 300;

    private final StackPane middle = new StackPane();
    private final ToggleGroup tabs = new ToggleGroup();
    private final HBox head = new HBox(6);
    private final Label hours = Texts.label("", "strong");
    private final Map<ToggleButton, LogTab> views = new LinkedHashMap<>();
    private final Clockwork clock;
    private final StackPane beside = new StackPane();
    private final ScrollPane aside = new ScrollPane();

    LogView(Surroundings with) {
        super(12);
        setId("log");
        getStyleClass().add("sheet");
        clock = new Clockwork(with.bench());
        middle.setMinSize(0, 0);
        VBox.setVgrow(middle, Priority.ALWAYS);
        head.setAlignment(Pos.CENTER_LEFT);
        var survey = new SurveyView(with);
        var identify = new IdentifyView(with);
        var change = new ChangeView(with);
        var plan = new PlanView(with, clock, hours::setText);
        var pages = new PlanPages(plan, new FastenersPage(with.bench(), with.command()));
        var diary = new DiaryView(with, clock);
        var handOver = new HandOverView(with);
        tab("survey", new LogTab(survey, survey.aside()));
        tab("identify", new LogTab(identify, identify.aside()));
        tab("change", new LogTab(change, change.aside()));
        var first = tab("plan", new LogTab(pages, plan.aside(), plan::task));
        tab("diary", new LogTab(diary, diary.aside()));
        tab("handover", new LogTab(handOver, handOver.aside()));
        hours.setId("log-hours");
        hours.setMinWidth(USE_PREF_SIZE);
        head.getChildren().addAll(Texts.spring(), hours);
        head.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(head, middle);
        aside.getStyleClass().addAll("inspector", "inspector-scroll");
        aside.setFitToWidth(true);
        aside.setContent(beside);
        aside.setFocusTraversable(false);
        aside.setPrefWidth(ASIDE);
        aside.setMinWidth(ASIDE);
        show(first);
    }

    private ToggleButton tab(String name, LogTab view) {
        var tab = new ToggleButton(Words.of("log.tab." + name));
        tab.setId("log-tab-" + name);
        tab.getStyleClass().add("make-tab");
        tab.setToggleGroup(tabs);
        tab.setOnAction(_ -> {
            show(tab);
            views.get(tab).node().requestFocus();
        });
        views.put(tab, view);
        head.getChildren().add(tab);
        return tab;
    }

    private void show(ToggleButton tab) {
        tab.setSelected(true);
        var view = views.get(tab);
        middle.getChildren().setAll(List.of(view.node()));
        beside.getChildren().setAll(List.of(view.aside()));
    }

    Node aside() {
        return aside;
    }

    /** Starts the clock for what is chosen, or stops it and writes down how long it ran. */
    void turnClock() {
        views.entrySet().stream()
                .filter(each -> each.getKey().isSelected())
                .findFirst()
                .ifPresent(each -> clock.turn(each.getValue().task().get()));
    }
}
