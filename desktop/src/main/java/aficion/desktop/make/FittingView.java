package aficion.desktop.make;

import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.harness.FittingList;
import aficion.harness.FittingList.Line;
import aficion.job.edit.WorkEdit;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is seen to as parts are fitted, line by line, ticked with Space or a press. */
final class FittingView extends VBox {
    private final Workbench bench;
    private final TableView<Line> table = new TableView<>();
    private final Label left = Texts.label("", "quiet");

    /**
     * @param command does what the window can be asked for, by the key of its words
     */
    FittingView(Workbench bench, Consumer<String> command) {
        super(10);
        this.bench = bench;
        setId("make-fitting");
        left.setId("fitting-left");
        table.setId("fitting-table");
        Tables.dress(table, Words.of("fitting.none"));
        Tables.column(table, Words.of("list.seen"), line -> isDone(line) ? "\u2713" : "\u25a1");
        Tables.column(table, Words.of("list.part"), line -> line.part().value());
        Tables.column(
                table, Words.of("list.what"), line -> bench.design().part(line.part()).name());
        Tables.column(
                table,
                Words.of("list.where"),
                line -> bench.speech().standing(bench.design().part(line.part())));
        Tables.column(table, Words.of("list.line"), bench.speech()::fitting);
        Tables.widths(table, 60, 70, 190, 170, 480);
        Tables.ticks(table, this::turn);
        VBox.setVgrow(table, Priority.ALWAYS);
        var tick = Texts.button(Words.of("fitting.tick"), "main-button", this::turn);
        tick.setId("fitting-tick");
        getChildren().addAll(Heads.of("fitting", command, left, Texts.spring(), tick), table);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    @Override
    public void requestFocus() {
        table.requestFocus();
    }

    private boolean isDone(Line line) {
        return bench.job().work().fitted().contains(line.fitted());
    }

    private void refresh() {
        if (getScene() != null) {
            bench.ask().prepare(FittingList::of, this::show);
        }
    }

    private void show(List<Line> lines) {
        int chosen = table.getSelectionModel().getSelectedIndex();
        table.getItems().setAll(lines);
        table.getSelectionModel().select(Math.clamp(chosen, 0, Math.max(0, lines.size() - 1)));
        left.setText(
                Words.of(
                        "fitting.left", lines.stream().filter(this::isDone).count(), lines.size()));
    }

    /** Ticks the chosen line and goes on to the next, or takes its tick away. */
    private void turn() {
        Optional.ofNullable(table.getSelectionModel().getSelectedItem())
                .ifPresent(line -> {
                    boolean done = !isDone(line);
                    bench.perform(new WorkEdit.Fit(line.fitted(), done));
                    if (done) {
                        table.getSelectionModel().selectNext();
                        table.scrollTo(table.getSelectionModel().getSelectedIndex());
                    }
                });
    }
}
