package aficion.desktop.plan;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.files.WireList;
import aficion.files.WireList.Column;
import aficion.files.WireList.Problem;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A wire list from elsewhere before it is taken in: which column is what, what becomes of it, and
 * what in it cannot be used, row by row.
 */
public final class ImportView extends BorderPane {
    private static final int NONE = -1;

    private final Workbench bench;
    private final WireList list;
    private final String name;
    private final Runnable close;
    private final Map<Column, ComboBox<Integer>> columns = new EnumMap<>(Column.class);
    private final ListView<String> problems = new ListView<>();
    private final Label says = Texts.wrapped("", "strong");
    private final Button take;
    private Optional<WireList.Plan> ready = Optional.empty();

    /**
     * @param name what its circuit is called where the list says nothing
     * @param close puts this view away
     */
    public ImportView(Workbench bench, String name, WireList list, Runnable close) {
        this.bench = bench;
        this.name = name;
        this.list = list;
        this.close = close;
        setId("import");
        getStyleClass().add("recipes");
        take = Texts.button(Words.of("import.take"), "main-button", this::take);
        take.setId("import-take");
        take.setDefaultButton(true);
        says.setId("import-says");
        problems.setId("import-problems");
        problems.getStyleClass().add("recipe-list");
        problems.setAccessibleText(Words.of("import.problems"));
        setLeft(matching());
        var head =
                new VBox(
                        6,
                        Texts.label(Words.of("import.title", name), "sheet-title"),
                        says,
                        Texts.caption(Words.of("import.problems")));
        head.getStyleClass().add("recipe-head");
        VBox.setVgrow(problems, Priority.ALWAYS);
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        var bottom = new HBox(12, Texts.spring(), back, take);
        bottom.getStyleClass().add("recipe-bottom");
        setCenter(new VBox(head, problems, bottom));
        plan();
    }

    private VBox matching() {
        var box = new VBox(10, Texts.label(Words.of("import.columns"), "sheet-title"));
        var matched = list.matched();
        var choices = new ArrayList<Integer>(List.of(NONE));
        for (int i = 0; i < list.headings().size(); i++) {
            choices.add(i);
        }
        for (var column : Column.values()) {
            var choice =
                    Choices.of(
                            choices,
                            at ->
                                    at == NONE
                                            ? Words.of("import.none")
                                            : Words.of(
                                                    "import.column",
                                                    list.headings().get(at),
                                                    sample(at)));
            choice.getSelectionModel().select(matched.getOrDefault(column, NONE));
            choice.setMaxWidth(Double.MAX_VALUE);
            choice.setId("import-" + column.name().toLowerCase(java.util.Locale.ROOT));
            choice.setAccessibleText(Words.of("import.column", column, ""));
            choice.valueProperty().addListener((_, _, _) -> plan());
            columns.put(column, choice);
            box.getChildren()
                    .add(
                            new VBox(
                                    3,
                                    Texts.label(Words.of("import", column), "figure-name"),
                                    choice));
        }
        box.getStyleClass().addAll("recipe-choice", "recipe-head");
        box.setAlignment(Pos.TOP_LEFT);
        return box;
    }

    /** What stands in a column, so that it can be told. */
    private String sample(int at) {
        return list.rows().stream()
                .filter(row -> row.size() > at && !row.get(at).isBlank())
                .findFirst()
                .map(row -> row.get(at))
                .orElse("");
    }

    private Map<Column, Integer> chosen() {
        var chosen = new EnumMap<Column, Integer>(Column.class);
        columns.forEach((column, choice) -> {
            if (choice.getValue() != NONE) {
                chosen.put(column, choice.getValue());
            }
        });
        return chosen;
    }

    private void plan() {
        var matched = chosen();
        take.setDisable(true);
        bench.ask().work(design -> list.plan(design, matched, bench.units(), name), this::show);
    }

    private void show(WireList.Plan plan) {
        ready = Optional.of(plan);
        says.setText(Words.of("import.says", plan.wires(), list.rows().size()));
        take.setDisable(plan.wires() == 0);
        problems.getItems().setAll(plan.problems().stream().map(ImportView::words).toList());
    }

    private static String words(Problem problem) {
        return Words.of("import.trouble." + problem.trouble(), problem.row(), problem.text());
    }

    private void take() {
        ready.ifPresent(plan -> bench.perform(plan.edit()));
        close.run();
    }
}
