package aficion.desktop.log;

import aficion.catalogue.Threads;
import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.Diary;
import aficion.job.Diary.Fastener;
import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.About;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** How tight the bolts of this vehicle are made; a typical figure stands by until one is known. */
final class FastenersPage extends VBox {
    private final Workbench bench;
    private final TextField name;
    private final TextField thread;
    private final TextField torque;
    private final TextField with;
    private final Label typical = Texts.wrapped("", "quiet");
    private final Trouble trouble = new Trouble();
    private final TableView<Fastener> table = new TableView<>();

    FastenersPage(Workbench bench, Consumer<String> command) {
        super(10);
        this.bench = bench;
        setId("fasteners");
        name = Fields.of("fastener-name", Words.of("fastener.name"), 16, this::note);
        thread = Fields.of("fastener-thread", Words.of("list.thread"), 7, this::note);
        torque = Fields.of("fastener-torque", Words.of("list.newtonMetres"), 6, this::note);
        with = Fields.of("fastener-with", Words.of("fastener.with"), 22, this::note);
        thread.textProperty().addListener((_, _, _) -> hint());
        table.setId("fastener-table");
        Tables.dress(table, Words.of("fastener.none"));
        Tables.column(table, Words.of("list.fastener"), Fastener::name);
        Tables.column(table, Words.of("list.thread"), Fastener::thread);
        Tables.column(table, Words.of("list.newtonMetres"), each -> UserUnits.plain(each.torque()));
        Tables.column(table, Words.of("list.with"), Fastener::with);
        Tables.widths(table, 220, 90, 80, 320);
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DELETE) {
                Optional.ofNullable(table.getSelectionModel().getSelectedItem())
                        .ifPresent(each -> write(diary -> diary.without(each)));
                event.consume();
            }
        });
        VBox.setVgrow(table, Priority.ALWAYS);
        var note = Texts.button(Words.of("identify.note"), "main-button", this::note);
        note.setId("fastener-note");
        var form = new FlowPane(8, 8, name, thread, torque, with, note);
        form.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(Heads.of("torque", command, Texts.spring()), form, typical, trouble, table);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
        hint();
    }

    @Override
    public void requestFocus() {
        name.requestFocus();
    }

    private void write(UnaryOperator<Diary> change) {
        bench.perform(new WorkEdit.Write(About.FASTENER, change));
    }

    /** What is typical of the thread that is written. */
    private void hint() {
        var wanted = plain(thread.getText());
        var known =
                Threads.all().stream()
                        .filter(each -> !wanted.isEmpty() && plain(each.name()).equals(wanted))
                        .map(each ->
                                Words.of(
                                        "fastener.typical",
                                        each.strength(),
                                        UserUnits.plain(each.torque())))
                        .collect(Collectors.joining(" \u00b7 "));
        typical.setText(
                known.isEmpty() ? Words.of("torque.maker") : Words.of("fastener.hint", known));
    }

    private static String plain(String text) {
        return text.replaceAll("\\s", "").toUpperCase(Locale.ROOT);
    }

    private void note() {
        try {
            var fastener =
                    new Fastener(
                            name.getText().strip(),
                            thread.getText().strip(),
                            ProbePage.number(torque, Words.of("list.newtonMetres")),
                            with.getText().strip());
            trouble.say("");
            write(diary -> diary.with(fastener));
            name.clear();
            torque.clear();
            with.clear();
            name.requestFocus();
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("identify.refused", e.getMessage()));
        }
    }

    private void refresh() {
        if (getScene() != null) {
            table.getItems().setAll(bench.job().work().diary().fasteners());
        }
    }
}
