package aficion.desktop.shell;

import aficion.check.finding.Severity;
import aficion.desktop.theme.Marks;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.words.Words;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The circuits in working order, each with its progress and its worst finding. Choosing one puts it
 * in focus.
 */
public final class CircuitList extends VBox {
    private final Workbench bench;
    private final ListView<Circuit> list = new ListView<>();
    private final Button dangers;
    private boolean following;

    public CircuitList(Workbench bench, Runnable add, Runnable showFindings) {
        this.bench = bench;
        getStyleClass().add("side");
        list.setId("circuits");
        list.getStyleClass().add("circuits");
        list.setAccessibleText(Words.of("circuits.title"));
        list.setCellFactory(_ -> new Cell());
        list.getSelectionModel()
                .selectedItemProperty()
                .addListener((_, _, chosen) -> {
                    if (chosen != null && !following) {
                        bench.selection().set(new Selection.Nothing());
                        bench.focus().set(Optional.of(chosen.id()));
                    }
                });
        dangers = Texts.button("", "dangers-button", showFindings);
        dangers.setId("dangers");
        var head = new HBox(Texts.caption(Words.of("circuits.title")), Texts.spring(), dangers);
        head.getStyleClass().add("side-head");
        VBox.setVgrow(list, Priority.ALWAYS);
        var adding = Texts.button(Words.of("circuits.add"), "outline-button", add);
        adding.setId("add-circuit");
        adding.setMaxWidth(Double.MAX_VALUE);
        var foot = new VBox(adding);
        foot.getStyleClass().add("side-foot");
        getChildren().addAll(head, list, foot);
        bench.history().addListener((_, _, _) -> refresh());
        bench.assessed().addListener((_, _, _) -> refresh());
        bench.focus().addListener((_, _, _) -> follow());
        refresh();
    }

    @Override
    public void requestFocus() {
        list.requestFocus();
    }

    private void refresh() {
        following = true;
        var circuits =
                bench.design().circuits().stream()
                        .sorted(Comparator.comparingInt(Circuit::number))
                        .toList();
        if (!list.getItems().equals(circuits)) {
            list.getItems().setAll(circuits);
        }
        list.refresh();
        following = false;
        follow();
        bench.assessed()
                .get()
                .ifPresent(found -> {
                    dangers.setText(Words.of("circuits.dangers", found.dangers()));
                    dangers.getStyleClass().removeAll("danger-text", "good-text");
                    dangers.getStyleClass().add(found.dangers() == 0 ? "good-text" : "danger-text");
                });
    }

    private void follow() {
        following = true;
        bench.focus()
                .get()
                .ifPresent(id ->
                        list.getItems().stream()
                                .filter(circuit -> circuit.id().equals(id))
                                .findFirst()
                                .ifPresent(circuit -> list.getSelectionModel().select(circuit)));
        following = false;
    }

    private final class Cell extends ListCell<Circuit> {
        @Override
        protected void updateItem(Circuit circuit, boolean empty) {
            super.updateItem(circuit, empty);
            setText(null);
            setGraphic(null);
            setAccessibleText(null);
            if (empty || circuit == null) {
                return;
            }
            setId("circuit-" + circuit.number());
            setPrefWidth(0);
            var name = Texts.label(circuit.name(), "circuit-name");
            var middle = new VBox(5, name, Marks.pips(bench.job().work().done(circuit.id())));
            HBox.setHgrow(middle, Priority.ALWAYS);
            var number = Texts.label(String.valueOf(circuit.number()), "circuit-number");
            var row = new HBox(8, number, middle);
            row.setStyle("-fx-alignment: center-left;");
            var assessed = bench.assessed().get();
            assessed.flatMap(found -> found.worst(circuit.id()))
                    .ifPresent(worst ->
                            row.getChildren()
                                    .add(finding(assessed.orElseThrow(), circuit.id(), worst)));
            setGraphic(row);
            setAccessibleText(spoken(circuit, assessed));
        }

        private HBox finding(Assessed assessed, CircuitId circuit, Severity worst) {
            long count =
                    assessed.of(circuit).stream()
                            .filter(finding -> finding.severity() == worst)
                            .count();
            var number =
                    Texts.label(
                            String.valueOf(count),
                            worst == Severity.DANGER ? "danger-text" : "brass-text");
            var box = new HBox(5, Marks.of(worst), number);
            box.setStyle("-fx-alignment: center-right;");
            return box;
        }

        private String spoken(Circuit circuit, Optional<Assessed> assessed) {
            var stages = bench.job().work().done(circuit.id());
            var done =
                    stages.isEmpty()
                            ? Words.of("circuits.done.none")
                            : Words.of(
                                    "circuits.done.access",
                                    stages.stream()
                                            .map(stage -> Words.of("stage", stage))
                                            .collect(Collectors.joining(", ")));
            var worst =
                    assessed.flatMap(found -> found.worst(circuit.id()))
                            .map(severity ->
                                    Words.of(
                                            "circuits.finding.access",
                                            Words.of("severity", severity),
                                            assessed.orElseThrow().of(circuit.id()).size()))
                            .orElse(Words.of("circuits.finding.none"));
            return Words.of("circuits.item.access", circuit.number(), circuit.name(), done, worst);
        }
    }
}
