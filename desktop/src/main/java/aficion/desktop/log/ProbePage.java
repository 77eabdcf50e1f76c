package aficion.desktop.log;

import aficion.catalogue.Zone;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.ControlKind;
import aficion.job.Probed;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WorkEdit;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A page on which readings are written down, one after the other, and what they tell is shown. */
abstract class ProbePage extends VBox {
    final Workbench bench;
    private final FlowPane form = new FlowPane(8, 8);
    private final FlowPane acts = new FlowPane(8, 8);
    private final Trouble trouble = new Trouble();
    private final VBox told = new VBox(4);
    private final TableView<List<String>> results = new TableView<>();

    /**
     * @param columns the headings of what is told, by the keys of their words
     */
    ProbePage(Workbench bench, String name, String... columns) {
        super(10);
        this.bench = bench;
        setId("probe-" + name);
        told.setId("probe-told-" + name);
        results.setId("probe-results-" + name);
        Tables.dress(results, Words.of("identify.none"));
        for (int i = 0; i < columns.length; i++) {
            int index = i;
            Tables.column(results, Words.of("list." + columns[i]), row -> row.get(index));
        }
        form.setAlignment(Pos.CENTER_LEFT);
        VBox.setVgrow(results, Priority.ALWAYS);
        getChildren()
                .addAll(
                        Texts.wrapped(Words.of("identify." + name + ".how"), "quiet"),
                        form,
                        trouble,
                        told,
                        results,
                        new HBox(acts));
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    /** The fields of a reading, and what notes it. */
    final void asks(String id, Runnable note, Node... fields) {
        var noting = Texts.button(Words.of("identify.note"), "main-button", note);
        noting.setId(id + "-note");
        form.getChildren().addAll(fields);
        form.getChildren().add(noting);
    }

    /** What is asked before the first reading. */
    final void begins(Node... fields) {
        form.getChildren().addAll(fields);
    }

    /** What forgets the readings of the page, beside what else it does with them. */
    final void does(String id, UnaryOperator<Probed> without, Node... others) {
        var forget = Texts.button(Words.of("identify.forget"), "plain-button", () -> note(without));
        forget.setId(id + "-forget");
        acts.getChildren().addAll(others);
        acts.getChildren().add(forget);
    }

    /** Puts a switch into the job, under the next name that is free. */
    final void keep(Optional<ControlKind.Switch> kind) {
        kind.ifPresent(found ->
                bench.perform(
                        new PartEdit.AddPart(
                                NewNames.part(bench.design(), "S", Zone.CABIN, found))));
    }

    final Probed probed() {
        return bench.job().work().survey().probed();
    }

    /** Keeps readings; what cannot be one is said and changes nothing. */
    final void note(UnaryOperator<Probed> change) {
        try {
            var changed = change.apply(probed());
            trouble.say("");
            bench.perform(
                    new WorkEdit.NoteSurvey(WorkEdit.About.PROBED, survey -> survey.with(changed)));
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("identify.refused", e.getMessage()));
        }
    }

    /** Shows what is told besides the table: what does not fit, what is to be done next. */
    final void tell(List<? extends Node> lines) {
        told.getChildren().setAll(lines);
    }

    final void rows(List<List<String>> rows) {
        results.getItems().setAll(rows);
    }

    final void widths(double... widths) {
        Tables.widths(results, widths);
    }

    static double number(TextField field, String what) {
        return UserUnits.parseNumber(field.getText().strip())
                .orElseThrow(() ->
                        new IllegalArgumentException(
                                Words.of("identify.number", what, field.getText())));
    }

    private void refresh() {
        if (getScene() != null) {
            show();
        }
    }

    /** Shows what the readings tell. */
    abstract void show();
}
