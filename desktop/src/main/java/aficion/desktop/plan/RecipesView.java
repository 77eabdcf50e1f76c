package aficion.desktop.plan;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.files.Library;
import aficion.files.RecipeBook;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.edit.Edit;
import aficion.job.edit.History;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.recipe.Insertion.Fit;
import aficion.recipe.Question;
import aficion.recipe.Recipe;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.value.ChangeListener;
import javafx.collections.FXCollections;
import javafx.collections.transformation.FilteredList;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Circuits to start from: what each is, the few things it has to know, and the path it will make in
 * this vehicle, alive, before it is put in.
 */
public final class RecipesView extends BorderPane {
    private final Workbench bench;
    private final Workbench preview;
    private final Runnable close;
    private final FilteredList<Recipe> recipes =
            new FilteredList<>(FXCollections.observableList(all()));
    private final ListView<Recipe> list = new ListView<>(recipes);
    private final Label name = Texts.label("", "sheet-title");
    private final Label says = Texts.wrapped("", "quiet");
    private final FlowPane questions = new FlowPane(16, 8);
    private final Label brings = Texts.wrapped("");
    private final Button insert;
    private final Map<String, String> answers = new HashMap<>();
    private final ChangeListener<History> asking = (_, _, _) -> ask();
    private Optional<Fit.Fits> ready = Optional.empty();
    private boolean open = true;

    /**
     * @param path draws the path of a bench
     * @param close puts this view away
     */
    public RecipesView(Workbench bench, Function<Workbench, Node> path, Runnable close) {
        this.bench = bench;
        this.preview = bench.beside();
        this.close = close;
        setId("recipes");
        getStyleClass().add("recipes");
        insert = Texts.button(Words.of("recipes.insert"), "main-button", this::insert);
        insert.setId("recipe-insert");
        brings.setId("recipe-brings");
        setLeft(choice());
        setCenter(chosen(path.apply(preview)));
        list.getSelectionModel()
                .selectedItemProperty()
                .addListener((_, _, recipe) -> choose(recipe));
        bench.history().addListener(asking);
        addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        insert.setDisable(true);
    }

    /** The user's own recipes, then those that ship. */
    private static List<Recipe> all() {
        var all = new ArrayList<>(Library.usual().recipes());
        all.addAll(RecipeBook.shipped());
        return all;
    }

    /** Begins with the first recipe the vehicle lacks; the list takes the keyboard. */
    public void begin() {
        var names = bench.job().circuits().stream().map(Circuit::name).toList();
        recipes.stream()
                .filter(recipe -> !names.contains(recipe.circuit()))
                .findFirst()
                .ifPresent(recipe -> {
                    list.getSelectionModel().select(recipe);
                    list.scrollTo(recipe);
                });
        list.requestFocus();
    }

    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            close.run();
            event.consume();
        }
    }

    private VBox choice() {
        var search = new TextField();
        search.setId("recipe-search");
        search.setPromptText(Words.of("recipes.search"));
        search.setAccessibleText(Words.of("recipes.search"));
        search.textProperty().addListener((_, _, text) -> filter(text));
        list.setId("recipe-list");
        list.getStyleClass().add("recipe-list");
        list.setAccessibleText(Words.of("recipes.title"));
        list.setCellFactory(_ -> new Cell());
        VBox.setVgrow(list, Priority.ALWAYS);
        var head = new VBox(8, Texts.label(Words.of("recipes.title"), "sheet-title"), search);
        head.getStyleClass().add("recipe-head");
        var box = new VBox(head, list);
        box.getStyleClass().add("recipe-choice");
        return box;
    }

    private void filter(String text) {
        var wanted = text.strip().toLowerCase(Locale.ROOT);
        recipes.setPredicate(recipe ->
                (recipe.name()
                                + " "
                                + recipe.says()
                                + " "
                                + Words.of("recipe.group", recipe.group()))
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted));
        list.getSelectionModel().selectFirst();
    }

    private VBox chosen(Node path) {
        VBox.setVgrow(path, Priority.ALWAYS);
        questions.setId("recipe-questions");
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        back.setId("recipe-close");
        HBox.setHgrow(brings, Priority.ALWAYS);
        brings.setMaxWidth(Double.MAX_VALUE);
        var bottom = new HBox(12, brings, back, insert);
        bottom.getStyleClass().add("recipe-bottom");
        var head = new VBox(6, name, says, questions);
        head.getStyleClass().add("recipe-head");
        return new VBox(head, path, bottom);
    }

    private static final class Cell extends ListCell<Recipe> {
        @Override
        protected void updateItem(Recipe recipe, boolean empty) {
            super.updateItem(recipe, empty);
            setGraphic(null);
            setText(null);
            if (empty || recipe == null) {
                return;
            }
            setId("recipe-" + recipe.id());
            setGraphic(
                    new VBox(
                            1,
                            Texts.label(recipe.name(), "circuit-name"),
                            Texts.label(Words.of("recipe.group", recipe.group()), "quiet")));
            setAccessibleText(recipe.name() + ", " + recipe.says());
        }
    }

    private void choose(Recipe recipe) {
        answers.clear();
        questions.getChildren().clear();
        if (recipe == null) {
            name.setText(Words.of("recipes.none"));
            says.setText("");
            offer(Optional.empty());
            return;
        }
        name.setText(recipe.name());
        says.setText(recipe.says());
        for (var question : recipe.questions()) {
            questions.getChildren().add(question(question));
        }
        ask();
    }

    private Node question(Question question) {
        var field =
                switch (question) {
                    case Question.Choice choice -> options(choice);
                    case Question.Amount amount -> amount(amount);
                };
        field.setId("question-" + question.id());
        field.setAccessibleText(question.ask());
        return new VBox(3, Texts.label(question.ask(), "figure-name"), field);
    }

    private Node options(Question.Choice choice) {
        var box = Choices.of(choice.options(), Question.Option::name);
        choice.options().stream()
                .filter(option -> option.id().equals(choice.usual()))
                .forEach(box.getSelectionModel()::select);
        box.valueProperty().addListener((_, _, option) -> answer(choice, option.id()));
        return box;
    }

    private Node amount(Question.Amount amount) {
        var field = new TextField(amount.usual());
        field.setPrefColumnCount(5);
        field.textProperty().addListener((_, _, text) -> answer(amount, text.strip()));
        var row = new HBox(6, field, Texts.label(amount.unit(), "quiet"));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void answer(Question question, String answer) {
        answers.put(question.id(), answer);
        ask();
    }

    /** Asks for the circuit as it would become; says what is wrong with an answer at once. */
    private void ask() {
        var recipe = list.getSelectionModel().getSelectedItem();
        if (recipe == null || getScene() == null) {
            return;
        }
        var wrong =
                recipe.questions().stream()
                        .filter(question ->
                                !question.takes(
                                        answers.getOrDefault(question.id(), question.usual())))
                        .findFirst();
        if (wrong.isPresent()) {
            offer(Optional.empty());
            brings.setText(refusal(wrong.get()));
            return;
        }
        insert.setDisable(true);
        brings.setText(Words.of("recipes.working"));
        bench.ask().fit(recipe, Map.copyOf(answers), this::show);
    }

    private static String refusal(Question question) {
        return switch (question) {
            case Question.Amount amount ->
                    Words.of(
                            "recipes.amount",
                            amount.ask(),
                            amount.least(),
                            amount.most(),
                            amount.unit());
            case Question.Choice choice -> choice.ask();
        };
    }

    private void show(Fit fit) {
        if (!open) {
            return;
        }
        switch (fit) {
            case Fit.Fits fits -> {
                offer(Optional.of(fits));
                brings.setText(summary(fits));
            }
            case Fit.Lacks(var places) -> {
                offer(Optional.empty());
                brings.setText(
                        Words.of(
                                "recipes.lacks",
                                String.join(
                                        "; ",
                                        places.stream().map(bench.speech()::place).toList())));
            }
        }
    }

    private String summary(Fit.Fits fits) {
        var job = fits.job();
        var own = job.wiresOf(fits.circuit().id());
        var resized =
                edits(fits.edit()).stream()
                        .filter(edit ->
                                edit instanceof Edit.Resize(var wire, _)
                                        && bench.job().find(wire).isPresent())
                        .map(edit -> job.wire(((Edit.Resize) edit).wire()).number())
                        .distinct()
                        .toList();
        int parts = job.parts().size() - bench.job().parts().size();
        return Words.of("recipes.brings", own.size(), parts)
                + (resized.isEmpty()
                        ? ""
                        : " " + Words.of("recipes.thickens", String.join(", ", resized)));
    }

    private static List<Edit> edits(Edit edit) {
        return edit instanceof Edit.Together(_, var edits) ? edits : List.of(edit);
    }

    private void offer(Optional<Fit.Fits> fits) {
        ready = fits;
        insert.setDisable(fits.isEmpty());
        fits.ifPresentOrElse(
                found -> {
                    preview.take(found.job());
                    preview.focus().set(Optional.of(found.circuit().id()));
                    preview.conditions().set(on(found));
                },
                () -> preview.focus().set(Optional.empty()));
    }

    /** Everything of the circuit switched on as far as it stays by itself, the key in run. */
    private Conditions on(Fit.Fits fits) {
        var conditions = bench.conditions().get();
        for (var control : Controls.of(fits.job()).controls()) {
            var lasting =
                    control.positions().stream().filter(position -> !position.springs()).toList();
            conditions = conditions.with(control.name(), lasting.getLast().name());
        }
        return conditions;
    }

    private void insert() {
        ready.ifPresent(fits -> {
            close.run();
            bench.perform(fits.edit());
            focus(fits.circuit());
        });
    }

    private void focus(Circuit circuit) {
        CircuitId id = circuit.id();
        bench.selection().set(new Selection.Nothing());
        bench.focus().set(Optional.of(id));
    }

    /** Ends the preview; the view is not to be shown again. */
    public void dispose() {
        open = false;
        bench.history().removeListener(asking);
        preview.close();
    }
}
