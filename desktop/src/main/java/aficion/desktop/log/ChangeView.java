package aficion.desktop.log;

import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Asides;
import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Pages;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.WorkEdit;
import aficion.words.PlanWords;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What comes off, stays, moves and is new; another plug; a bought kit; one thing to change. */
final class ChangeView extends Pages {
    private final Workbench bench;
    private final TableView<Change> table = new TableView<>();
    private final CheckBox staying = new CheckBox(Words.of("change.staying"));
    private final Label state = Texts.wrapped("", "quiet");

    ChangeView(Surroundings with) {
        this.bench = with.bench();
        setId("change");
        add("change-list", Words.of("change.list"), list(with));
        add("change-plug", Words.of("change.plug"), new PlugPage(with));
        add("change-kit", Words.of("change.kit"), new KitPage(bench));
        add("change-one", Words.of("change.one"), new OneThingForm(bench));
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private Node list(Surroundings with) {
        table.setId("change-table");
        Tables.dress(table, Words.of("change.none"));
        Tables.column(table, Words.of("list.ticked"), each -> isDone(each) ? "\u2713" : "\u25a1");
        Tables.column(table, Words.of("list.change"), each -> Words.of("change", each.sort()));
        Tables.column(table, Words.of("list.item"), each -> words().what(each));
        Tables.column(table, Words.of("list.from"), each -> words().from(each));
        Tables.column(table, Words.of("list.to"), each -> words().to(each));
        Tables.widths(table, 60, 120, 230, 180, 180);
        Tables.ticks(table, this::turn);
        staying.setId("change-staying");
        staying.setOnAction(_ -> refresh());
        var keep = Texts.button(Words.of("change.found"), "outline-button", this::keep);
        keep.setId("change-found");
        var forget = Texts.button(Words.of("change.forget"), "plain-button", this::forget);
        forget.setId("change-forget");
        var tick = Texts.button(Words.of("change.tick"), "main-button", this::turn);
        tick.setId("change-tick");
        state.setId("change-state");
        VBox.setVgrow(table, Priority.ALWAYS);
        var page =
                new VBox(
                        10,
                        Heads.of("changes", with.command(), Texts.spring(), tick),
                        state,
                        new FlowPane(10, 8, keep, forget, staying),
                        table);
        page.focusedProperty().addListener((_, _, _) -> table.requestFocus());
        return page;
    }

    private PlanWords words() {
        return new PlanWords(bench.design(), bench.units());
    }

    private boolean isDone(Change change) {
        return bench.job().work().diary().isDone(change.key());
    }

    /** The wiring as it is now is what was found: all that is done from here on is a change. */
    private void keep() {
        var found = bench.design();
        bench.perform(
                new WorkEdit.NoteSurvey(
                        WorkEdit.About.FOUND, survey -> survey.with(Optional.of(found))));
    }

    private void forget() {
        bench.perform(
                new WorkEdit.NoteSurvey(
                        WorkEdit.About.FOUND, survey -> survey.with(Optional.empty())));
    }

    private void turn() {
        Optional.ofNullable(table.getSelectionModel().getSelectedItem())
                .ifPresent(change -> {
                    boolean done = !isDone(change);
                    bench.perform(
                            new WorkEdit.Write(
                                    WorkEdit.About.TICK, diary -> diary.with(change.key(), done)));
                    if (done) {
                        table.getSelectionModel().selectNext();
                    }
                });
    }

    private void refresh() {
        if (getScene() != null) {
            var job = bench.job();
            bench.ask().prepare(design -> ChangeList.of(job.with(design)), this::show);
        }
    }

    private void show(List<Change> changes) {
        boolean known = bench.job().work().found().isPresent();
        var worked = changes.stream().filter(each -> each.sort() != Change.Sort.STAYS).toList();
        state.setText(
                known
                        ? Words.of(
                                "change.state",
                                worked.size(),
                                ChangeList.done(worked, bench.job().work()),
                                changes.size() - worked.size())
                        : Words.of("change.unknown"));
        int at = table.getSelectionModel().getSelectedIndex();
        table.getItems().setAll(staying.isSelected() ? changes : worked);
        table.getSelectionModel()
                .select(Math.clamp(at, 0, Math.max(0, table.getItems().size() - 1)));
    }

    Node aside() {
        return Asides.of(
                Words.of("change.title"),
                Words.of("task.caution.COMES_OFF"),
                Words.of("change.help"));
    }
}
