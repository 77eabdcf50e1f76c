package aficion.desktop.practice;

import aficion.bench.reason.FaultTable;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.fault.Fault;
import aficion.words.PracticeWords;
import aficion.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.collections.FXCollections;
import javafx.collections.transformation.FilteredList;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What may be wrong, found by a few letters; the one that is meant is named. */
final class NamingPane extends VBox {
    private final TextField find = new TextField();
    private final ListView<Fault> faults = new ListView<>();
    private final HBox buttons;

    /**
     * @param name takes what is named
     * @param giveUp ends the round
     */
    NamingPane(Consumer<Fault> name, Runnable giveUp) {
        super(8);
        find.setId("practice-find");
        find.setPromptText(Words.of("practice.find"));
        faults.setId("practice-faults");
        faults.setPrefHeight(210);
        buttons = new HBox(10, naming(name), give(giveUp));
    }

    private Button naming(Consumer<Fault> name) {
        var button =
                Texts.button(
                        Words.of("practice.name"),
                        "main-button",
                        () -> name.accept(faults.getSelectionModel().getSelectedItem()));
        button.setId("practice-name");
        button.disableProperty().bind(faults.getSelectionModel().selectedItemProperty().isNull());
        return button;
    }

    private static Button give(Runnable giveUp) {
        var button = Texts.button(Words.of("practice.give"), "plain-button", giveUp);
        button.setId("practice-give");
        return button;
    }

    /** Asks which of the faults of a table it is. */
    void ask(FaultTable table, PracticeWords words) {
        var shown = new FilteredList<>(FXCollections.observableArrayList(faults(table)));
        shown.predicateProperty()
                .bind(
                        Bindings.createObjectBinding(
                                () -> fault -> isMeant(words.fault(fault), find.getText()),
                                find.textProperty()));
        faults.setCellFactory(_ -> wrapped(words));
        faults.setItems(shown);
        getChildren().setAll(find, faults, buttons);
    }

    /** Asks nothing. */
    void rest() {
        getChildren().clear();
    }

    private static List<Fault> faults(FaultTable table) {
        return table.suspects().stream()
                .flatMap(suspect -> suspect.faults().stream())
                .distinct()
                .toList();
    }

    /** A cell that says a fault on as many lines as it takes. */
    private static ListCell<Fault> wrapped(PracticeWords words) {
        var cell = Choices.<Fault>cell(words::fault);
        cell.setWrapText(true);
        cell.setPrefWidth(0);
        return cell;
    }

    private static boolean isMeant(String fault, String text) {
        var said = fault.toLowerCase(Locale.ROOT);
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split("\\s+")).allMatch(said::contains);
    }
}
