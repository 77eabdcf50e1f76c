package aficion.desktop.plan;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.files.Library;
import aficion.files.RecipeBook;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.Wire;
import aficion.job.edit.History;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.recipe.Insertion.Fit;
import aficion.recipe.Question;
import aficion.recipe.Recipe;
import aficion.words.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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
    private final Finder<Recipe> finder;
    private final List<Recipe> recipes;
    private final Label name = Texts.label("", "sheet-title");
    private final Label says = Texts.wrapped("", "quiet");
    private final FlowPane questions = new FlowPane(16, 8);
    private final Label brings = Texts.wrapped("");
    private final Button insert;
    private final Map<String, String> answers = new HashMap<>();
    private final ChangeListener<History> prompts = (_, _, _) -> ask();
    private Optional<Fit.Fits> ready = Optional.empty();
    private boolean open = true;

    /**
     * @param library the user's own recipes
     * @param path draws the path of a bench
     * @param close puts this view away
     */
    public RecipesView(
            Workbench bench, Library library, Function<Workbench, Node> path, Runnable close) {
        this.bench = bench;
        this.preview = bench.beside();
        this.close = close;
        setId("recipes");
        getStyleClass().add("recipes");
        insert = Texts.button(Words.of("recipes.insert"), "main-button", this::insert);
        insert.setId("recipe-insert");
        brings.setId("recipe-brings");
        finder =
                new Finder<>(
                        "recipe",
                        "recipes",
                        new Finder.Naming<>(
                                Recipe::id,
                                Recipe::name,
                                RecipesView::group,
                                recipe -> recipe.says() + " " + group(recipe)),
                        this::choose);
        var own = library.recipes();
        recipes = Stream.concat(own.all().stream(), RecipeBook.shipped().stream()).toList();
        finder.fill(recipes, own.unread());
        setLeft(finder);
        setCenter(chosen(path.apply(preview)));
        bench.history().addListener(prompts);
        addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        insert.setDisable(true);
    }

    /** Begins with the first recipe the vehicle lacks; the list takes the keyboard. */
    public void begin() {
        var names = bench.design().circuits().stream().map(Circuit::name).toList();
        recipes.stream()
                .filter(recipe -> !names.contains(recipe.circuit()))
                .findFirst()
                .ifPresent(finder::choose);
        finder.ready();
    }

    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            close.run();
            event.consume();
        }
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

    private static String group(Recipe recipe) {
        return Words.of("recipe.group", recipe.group());
    }

    private void choose(Optional<Recipe> chosen) {
        answers.clear();
        questions.getChildren().clear();
        if (chosen.isEmpty()) {
            name.setText(Words.of("recipes.none"));
            says.setText("");
            offer(Optional.empty());
            return;
        }
        var recipe = chosen.get();
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
        return new VBox(3, Texts.label(question.ask(), "figure-name"), field);
    }

    private String usual(Question question) {
        return question.usual(bench.design().rules());
    }

    private static Node named(Node field, Question question) {
        field.setId("question-" + question.id());
        field.setAccessibleText(question.ask());
        return field;
    }

    private Node options(Question.Choice choice) {
        var box = Choices.of(choice.options(), Question.Option::name);
        choice.options().stream()
                .filter(option -> option.id().equals(usual(choice)))
                .forEach(box.getSelectionModel()::select);
        box.valueProperty().addListener((_, _, option) -> answer(choice, option.id()));
        return named(box, choice);
    }

    private Node amount(Question.Amount amount) {
        var field = new TextField(usual(amount));
        field.setPrefColumnCount(5);
        field.textProperty().addListener((_, _, text) -> answer(amount, text.strip()));
        var row = new HBox(6, named(field, amount), Texts.label(amount.unit(), "quiet"));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void answer(Question question, String answer) {
        answers.put(question.id(), answer);
        ask();
    }

    /** Asks for the circuit as it would become; says what is wrong with an answer at once. */
    private void ask() {
        var chosen = finder.chosen();
        if (chosen.isEmpty() || getScene() == null) {
            return;
        }
        var recipe = chosen.get();
        var wrong =
                recipe.questions().stream()
                        .filter(question ->
                                !question.takes(
                                        answers.getOrDefault(question.id(), usual(question))))
                        .findFirst();
        if (wrong.isPresent()) {
            bench.ask().fitNoMore();
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

    /** What it brings, and what it changes of what is there. */
    private String summary(Fit.Fits fits) {
        var before = bench.design();
        var after = fits.design();
        var thickened =
                before.wires().stream()
                        .filter(wire -> !after.wire(wire.id()).size().equals(wire.size()))
                        .map(Wire::number);
        var led =
                before.wires().stream()
                        .filter(wire -> !after.wire(wire.id()).terminals().equals(wire.terminals()))
                        .map(Wire::number);
        var refitted =
                before.parts().stream()
                        .filter(part -> !after.part(part.id()).kind().equals(part.kind()))
                        .map(part -> part.id().value());
        int wires = after.wiresOf(fits.circuit().id()).size();
        int parts = after.parts().size() - before.parts().size();
        return Words.of("recipes.brings", wires, parts)
                + changes("recipes.thickens", thickened)
                + changes("recipes.leads", led)
                + changes("recipes.refits", refitted);
    }

    private static String changes(String key, Stream<String> what) {
        var names = String.join(", ", what.toList());
        return names.isEmpty() ? "" : " " + Words.of(key, names);
    }

    private void offer(Optional<Fit.Fits> fits) {
        ready = fits;
        insert.setDisable(fits.isEmpty());
        fits.ifPresentOrElse(
                found -> {
                    preview.take(Job.of(found.design()));
                    preview.focus().set(Optional.of(found.circuit().id()));
                    preview.conditions().set(on(found));
                },
                () -> preview.focus().set(Optional.empty()));
    }

    /** Everything of the circuit switched on as far as it stays by itself, the key in run. */
    private Conditions on(Fit.Fits fits) {
        var conditions = bench.conditions().get();
        for (var control : Controls.of(fits.design()).controls()) {
            var lasting =
                    control.positions().stream().filter(position -> !position.springs()).toList();
            conditions = conditions.with(control.name(), lasting.getLast().name());
        }
        return conditions;
    }

    private void insert() {
        ready.ifPresent(fits -> {
            close.run();
            bench.perform(fits.step());
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
        bench.history().removeListener(prompts);
        preview.close();
    }
}
