package aficion.desktop.power;

import aficion.desktop.screen.Papers;
import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.PaperFormat;
import aficion.files.sheet.ShapeFiles;
import aficion.job.Design;
import aficion.job.Sums;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Metres;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import aficion.words.WorkingWords;
import aficion.working.Working;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
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
 * A part of a page of sums: what is noted in it is kept with the job, what cannot be so is said and
 * changes nothing; fields, buttons and figures look alike in all of them.
 */
abstract class SumBox extends VBox {
    private static final double MILLI = 1000;

    final Workbench bench;

    SumBox(Workbench bench, double apart) {
        super(apart);
        this.bench = bench;
    }

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
        return card(new VBox(6), heading, nodes);
    }

    /** Makes a card of a box. */
    static VBox card(VBox card, String heading, Node... nodes) {
        card.getChildren().add(Texts.caption(Words.of(heading)));
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

    /**
     * Numbers that are written in a field.
     *
     * @param parted what stands between them
     * @param form the key of what is said of any other text
     */
    static List<Double> numbers(TextField field, String parted, String form) {
        return Arrays.stream(field.getText().strip().split(parted))
                .map(each -> {
                    var number = UserUnits.parseNumber(each);
                    if (number.isEmpty()) {
                        throw new IllegalArgumentException(Words.of(form));
                    }
                    return number.getAsDouble();
                })
                .toList();
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

    /** Shows a shape at its own size, on as many sheets as it takes, before it is printed. */
    static void showTiles(Papers papers, String file, Function<Design, ShapeFiles.Named> shape) {
        papers.show(
                file,
                true,
                design -> FullSizeFiles.Kind.TILES.of(shape.apply(design).files(), PaperFormat.A4));
    }

    /** How a figure was reached, on one line. */
    final String working(Working working) {
        return WorkingWords.line(working, bench.units());
    }
}
