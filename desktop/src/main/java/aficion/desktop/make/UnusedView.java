package aficion.desktop.make;

import aficion.catalogue.Colour;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.ColourChoices;
import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.UnusedLead;
import aficion.job.WireColour;
import aficion.job.edit.WorkEdit;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Leads of a bought loom that nothing needs: noted once, with what was done with each. */
final class UnusedView extends VBox {
    private final Workbench bench;
    private final TableView<UnusedLead> table = new TableView<>();
    private final TextField name = new TextField();
    private final TextField where = new TextField();
    private final ComboBox<UnusedLead.Done> done;
    private final ComboBox<Optional<Colour>> colour;
    private final Label trouble = Texts.wrapped("", "danger-text");

    /**
     * @param command does what the window can be asked for, by the key of its words
     */
    UnusedView(Workbench bench, Consumer<String> command) {
        super(10);
        this.bench = bench;
        setId("make-unused");
        name.setId("unused-name");
        name.setPromptText(Words.of("unused.name"));
        name.setPrefColumnCount(8);
        where.setId("unused-where");
        where.setPromptText(Words.of("unused.where"));
        where.setPrefColumnCount(14);
        done = Choices.of(List.of(UnusedLead.Done.values()), each -> Words.of("unused", each));
        done.setId("unused-done");
        colour = ColourChoices.orNone(Words.of("stock.colour"));
        colour.setId("unused-colour");
        name.setOnAction(_ -> note());
        where.setOnAction(_ -> note());
        table.setId("unused-table");
        Tables.dress(table, Words.of("unused.none"));
        Tables.column(table, Words.of("list.lead"), UnusedLead::name);
        Tables.column(
                table,
                Words.of("list.colour"),
                lead -> lead.colour().map(bench.speech()::longColour).orElse(""));
        Tables.column(table, Words.of("list.where"), UnusedLead::where);
        Tables.column(table, Words.of("list.done"), lead -> Words.of("unused", lead.done()));
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DELETE) {
                forget();
                event.consume();
            }
        });
        VBox.setVgrow(table, Priority.ALWAYS);
        var noting = Texts.button(Words.of("unused.note"), "main-button", this::note);
        noting.setId("unused-note");
        var forgetting = Texts.button(Words.of("unused.forget"), "plain-button", this::forget);
        forgetting.setId("unused-forget");
        var form = new FlowPane(10, 8, name, colour, where, done, noting, forgetting);
        form.setAlignment(Pos.CENTER_LEFT);
        var head = Heads.of("unused", command, Texts.spring());
        getChildren().addAll(head, form, trouble, table);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private void refresh() {
        if (getScene() != null) {
            table.getItems().setAll(bench.job().work().unused());
        }
    }

    private void note() {
        try {
            var lead =
                    new UnusedLead(
                            name.getText().strip(),
                            colour.getValue().map(WireColour::plain),
                            where.getText().strip(),
                            done.getValue());
            trouble.setText("");
            bench.perform(new WorkEdit.NoteUnused(lead));
            name.clear();
            where.clear();
            name.requestFocus();
        } catch (IllegalArgumentException e) {
            trouble.setText(Words.of("unused.refused"));
        }
    }

    private void forget() {
        Optional.ofNullable(table.getSelectionModel().getSelectedItem())
                .ifPresent(lead -> bench.perform(new WorkEdit.ForgetUnused(lead)));
    }
}
