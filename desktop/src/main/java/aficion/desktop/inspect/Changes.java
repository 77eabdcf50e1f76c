package aficion.desktop.inspect;

import aficion.catalogue.WireSize;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Part;
import aficion.job.RunLength;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.words.Words;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * What can be changed of what is chosen, in place: written figures with their units, and what takes
 * it away. What does not fit is said beside it and changes nothing.
 */
final class Changes extends VBox {
    private final Workbench bench;

    private Changes(Workbench bench) {
        super(6);
        this.bench = bench;
    }

    static Changes of(Workbench bench, Wire wire) {
        var changes = new Changes(bench);
        var id = wire.id();
        changes.field("number", wire.number(), text -> number(wire, text));
        changes.field(
                "size",
                wire.size().toString(),
                text -> WireSize.parse(text).map(size -> new Edit.Resize(id, size)));
        changes.field(
                "length",
                bench.units().print(wire.length().metres()),
                text ->
                        bench.units()
                                .parseLength(text)
                                .filter(metres -> metres.value() > 0)
                                .map(metres ->
                                        new Edit.SetLength(id, new RunLength.Measured(metres))));
        changes.buttons(
                changes.button("turn", new Edit.TurnRound(id)),
                changes.button("remove", new Edit.RemoveWire(id)));
        return changes;
    }

    static Changes of(Workbench bench, Part part) {
        var changes = new Changes(bench);
        changes.field(
                "name",
                part.name(),
                text ->
                        text.isBlank()
                                ? Optional.empty()
                                : Optional.of(new Edit.Rename(part.id(), text)));
        changes.buttons(changes.button("remove", new Edit.RemovePart(part.id())));
        return changes;
    }

    private static Optional<Edit> number(Wire wire, String text) {
        return text.isBlank() ? Optional.empty() : Optional.of(new Edit.Renumber(wire.id(), text));
    }

    private void buttons(Node... buttons) {
        var row = new HBox(8, buttons);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(row);
    }

    private Node button(String what, Edit edit) {
        var button =
                Texts.button(Words.of("change." + what), "plain-button", () -> bench.perform(edit));
        button.setId("change-" + what);
        return button;
    }

    private void field(String what, String value, Function<String, Optional<? extends Edit>> read) {
        var field = new TextField(value);
        field.setId("change-" + what);
        field.setAccessibleText(Words.of("change." + what));
        field.setPrefColumnCount(11);
        var trouble = Texts.wrapped("", "danger-text");
        trouble.setManaged(false);
        field.setOnAction(_ -> commit(field, value, read, trouble, what));
        field.focusedProperty()
                .addListener((_, _, focused) -> {
                    if (!focused) {
                        commit(field, value, read, trouble, what);
                    }
                });
        field.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                field.setText(value);
                trouble.setManaged(false);
                trouble.setText("");
                event.consume();
            }
        });
        var row =
                new HBox(
                        8,
                        Texts.label(Words.of("change." + what), "figure-name"),
                        Texts.spring(),
                        field);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(row, trouble);
    }

    private void commit(
            TextField field,
            String value,
            Function<String, Optional<? extends Edit>> read,
            Label trouble,
            String what) {
        var text = field.getText().strip();
        if (text.equals(value)) {
            return;
        }
        try {
            var edit = read.apply(text);
            if (edit.isPresent()) {
                bench.perform(edit.get());
                return;
            }
        } catch (IllegalArgumentException refused) {
            // The same words serve: the field says what it takes.
        }
        trouble.setText(Words.of("change." + what + ".refused"));
        trouble.setManaged(true);
    }
}
