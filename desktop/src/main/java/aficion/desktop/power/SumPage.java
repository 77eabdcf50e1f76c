package aficion.desktop.power;

import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.Design;
import aficion.job.Sums;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Metres;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import aficion.working.Working;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A page of sums: fields whose figures are kept with the job, what is worked out of them, and what
 * stands beside. It is shown anew whenever the job is another.
 */
abstract class SumPage extends VBox {
    private static final double MILLI = 1000;

    final Workbench bench;
    final VBox beside = new VBox(7);
    private final ScrollPane aside = new ScrollPane(beside);
    private Optional<Design> worked = Optional.empty();
    private Optional<Sums> set = Optional.empty();

    SumPage(Workbench bench, String id) {
        super(9);
        this.bench = bench;
        setId(id);
        aside.getStyleClass().addAll("inspector", "inspector-scroll");
        aside.setFitToWidth(true);
        aside.setFocusTraversable(false);
        beside.getStyleClass().add("inspector-body");
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    final Node aside() {
        return aside;
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        boolean known =
                worked.filter(design -> design == bench.design()).isPresent()
                        && set.filter(sums -> sums == sums()).isPresent();
        if (!known) {
            worked = Optional.of(bench.design());
            set = Optional.of(sums());
            work();
        }
    }

    /** Works out what is shown, and shows it. */
    abstract void work();

    final Sums sums() {
        return bench.job().work().sums();
    }

    final String print(Quantity quantity) {
        return bench.units().print(quantity);
    }

    /**
     * Sets something down; what cannot be so is said and changes nothing.
     *
     * @param refused the key of what is said then
     */
    final void setDown(
            WorkEdit.Asked about, Trouble trouble, String refused, UnaryOperator<Sums> change) {
        attempt(
                trouble,
                refused,
                () -> {
                    var changed = change.apply(sums());
                    bench.perform(new WorkEdit.SetDown(about, _ -> changed));
                });
    }

    /** Does something that may not be so; what is wrong is said. */
    static void attempt(Trouble trouble, String refused, Runnable action) {
        try {
            action.run();
            trouble.say("");
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of(refused, String.valueOf(e.getMessage())));
        }
    }

    static TextField field(String id, String words, int wide, Runnable entered) {
        var field = Fields.of(id, Words.of(words), wide, entered);
        field.setMinHeight(USE_PREF_SIZE);
        field.setPromptText("");
        return field;
    }

    /** What a field is called. */
    private static String name(TextField field) {
        return field.getAccessibleText();
    }

    static Button button(String id, String words, String style, Runnable action) {
        var button = Texts.button(Words.of(words), style, action);
        button.setId(id);
        button.setMinWidth(USE_PREF_SIZE);
        return button;
    }

    static FlowPane row(Node... nodes) {
        var row = new FlowPane(8, 6);
        for (var node : nodes) {
            row.getChildren().add(node instanceof TextField field ? named(field) : node);
        }
        row.setAlignment(Pos.CENTER_LEFT);
        row.setRowValignment(VPos.BOTTOM);
        row.setMinHeight(USE_PREF_SIZE);
        return row;
    }

    /** A field under its name. */
    static VBox named(TextField field) {
        return new VBox(1, Texts.label(name(field), "figure-name"), field);
    }

    /** What is longer than the room, in a pane that scrolls. */
    static ScrollPane scroll(Node... nodes) {
        var body = new VBox(10, nodes);
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("sum-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        return scroll;
    }

    /** A card with a heading. */
    static VBox card(String heading, Node... nodes) {
        var card = new VBox(6, Texts.caption(Words.of(heading)));
        card.getChildren().addAll(nodes);
        card.getStyleClass().add("sum-card");
        card.setMinHeight(USE_PREF_SIZE);
        return card;
    }

    /** A number that is written in a field, by the name of the field. */
    static double number(TextField field) {
        return UserUnits.parseNumber(field.getText().strip())
                .orElseThrow(() ->
                        new IllegalArgumentException(
                                Words.of("identify.number", name(field), field.getText())));
    }

    /** A length in a field that a calliper reads: millimetres, where it says nothing else. */
    final Metres millimetres(TextField field) {
        var text = field.getText().strip();
        var plain = UserUnits.parseNumber(text);
        return (plain.isPresent()
                        ? Optional.of(new Metres(plain.getAsDouble() / MILLI))
                        : bench.units().parseLength(text))
                .orElseThrow(() ->
                        new IllegalArgumentException(
                                Words.of("identify.number", name(field), text)));
    }

    static String millimetres(Metres length) {
        return UserUnits.plain(Math.round(1e4 * length.value()) / 10.0);
    }

    /** Writes into a field what is kept, unless somebody writes there. */
    static void put(TextField field, Supplier<String> text) {
        if (!field.isFocused()) {
            field.setText(text.get());
        }
    }

    static List<Label> lines(List<String> said) {
        return said.stream().map(each -> Texts.wrapped(each)).toList();
    }

    private String fine(Quantity quantity) {
        return quantity instanceof Metres length ? bench.units().fine(length) : print(quantity);
    }

    /** How a figure was reached, on one line. */
    final String working(Working working) {
        return Words.of(
                "working.line",
                Words.of("topic", working.topic()),
                working.formula(),
                working.givens().stream()
                        .map(given -> given.symbol() + " " + fine(given.value()))
                        .collect(Collectors.joining(", ")),
                working.steps().stream()
                        .map(step -> step.symbol() + " = " + fine(step.value()))
                        .collect(Collectors.joining(", ")));
    }
}
