package aficion.desktop.log;

import aficion.desktop.field.Field;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.WorkListings;
import aficion.job.Circuit;
import aficion.job.Diary;
import aficion.job.Diary.Entry;
import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.About;
import aficion.quantity.UserUnits;
import aficion.words.PlanWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What was written as the work went, the latest first. Space closes what was open, Delete takes an
 * entry away, undo brings it back.
 */
final class DiaryView extends VBox {
    private final Workbench bench;
    private final Clockwork clock;
    private final TableView<Entry> table = new TableView<>();
    private final ComboBox<Diary.Sort> sort =
            Choices.of(List.of(Diary.Sort.values()), each -> Words.of("entry", each));
    private final ComboBox<Optional<Circuit>> circuit =
            Choices.of(
                    new ArrayList<>(List.of(Optional.<Circuit>empty())),
                    each -> each.map(Circuit::name).orElse(Words.of("diary.circuit")));
    private final TextField minutes;
    private final TextField words;
    private final TextField why;
    private final Trouble trouble = new Trouble();
    private final VBox beside = new VBox(7);
    private final Button start;
    private final PhotoStrip photographs;

    DiaryView(Surroundings with, Clockwork clock) {
        super(9);
        this.bench = with.bench();
        this.clock = clock;
        this.photographs = new PhotoStrip(bench, with.papers());
        setId("diary");
        minutes = Fields.of("diary-minutes", Words.of("diary.minutes"), 5, this::note);
        words = Fields.of("diary-words", Words.of("diary.words"), 30, this::note);
        why = Fields.of("diary-why", Words.of("diary.why"), 20, this::note);
        sort.setId("diary-sort");
        circuit.setId("diary-circuit");
        table.setId("diary-table");
        Tables.dress(table, Words.of("diary.none"));
        Tables.column(table, Words.of("list.when"), each -> WorkListings.when(each.at()));
        Tables.column(table, Words.of("list.sort"), DiaryView::sort);
        Tables.column(table, Words.of("list.circuit"), this::circuit);
        Tables.column(
                table,
                Words.of("list.time"),
                each -> each.minutes() > 0 ? PlanWords.time(each.minutes()) : "");
        Tables.column(table, Words.of("list.words"), Entry::words);
        Tables.column(table, Words.of("list.reason"), Entry::why);
        Tables.widths(table, 130, 90, 130, 64, 300, 170);
        table.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                chosen().filter(each -> each.sort() == Diary.Sort.OPEN).ifPresent(this::turn);
                event.consume();
            } else if (event.getCode() == KeyCode.DELETE) {
                chosen().ifPresent(each -> diary(About.ENTRY, diary -> diary.without(each)));
                event.consume();
            }
        });
        table.getSelectionModel().selectedItemProperty().addListener((_, _, _) -> aside());
        VBox.setVgrow(table, Priority.ALWAYS);
        var note = Texts.button(Words.of("diary.note"), "main-button", this::note);
        note.setId("diary-note");
        var form = new FlowPane(8, 8, sort, circuit, minutes, words, why, note);
        form.setAlignment(Pos.CENTER_LEFT);
        start = Texts.button("", "main-button", () -> clock.turn(Optional.empty()));
        start.setId("diary-clock");
        start.setMaxWidth(Double.MAX_VALUE);
        beside.getStyleClass().add("inspector-body");
        getChildren()
                .addAll(Heads.of("diary", with.command(), Texts.spring()), form, trouble, table);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private static String sort(Entry entry) {
        return entry.closed()
                ? Words.of("entry.closed", Words.of("entry", entry.sort()))
                : Words.of("entry", entry.sort());
    }

    private String circuit(Entry entry) {
        return entry.circuit().flatMap(bench.design()::find).map(Circuit::name).orElse("");
    }

    private Optional<Entry> chosen() {
        return Optional.ofNullable(table.getSelectionModel().getSelectedItem());
    }

    private void diary(About about, UnaryOperator<Diary> change) {
        bench.perform(new WorkEdit.Write(about, change));
    }

    private void turn(Entry entry) {
        diary(About.ENTRY, diary -> diary.with(entry.closed(!entry.closed()), entry));
    }

    private void note() {
        try {
            var took = minutes.getText().strip();
            var entry =
                    new Entry(
                            bench.clock().instant(),
                            sort.getValue(),
                            circuit.getValue().map(Circuit::id),
                            Optional.empty(),
                            took.isEmpty()
                                    ? 0
                                    : (int)
                                            Math.round(
                                                    ProbePage.number(
                                                            minutes, Words.of("diary.minutes"))),
                            words.getText().strip(),
                            why.getText().strip(),
                            List.of(),
                            false);
            trouble.say("");
            diary(About.ENTRY, diary -> diary.with(entry));
            for (var field : List.of(minutes, words, why)) {
                field.clear();
            }
            words.requestFocus();
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("diary.refused", e.getMessage()));
        }
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        var items =
                Stream.concat(
                                Stream.of(Optional.<Circuit>empty()),
                                bench.design().circuits().stream().map(Optional::of))
                        .toList();
        if (!items.equals(List.copyOf(circuit.getItems()))) {
            circuit.getItems().setAll(items);
            circuit.setValue(bench.focus().get().flatMap(bench.design()::find));
        }
        int at = table.getSelectionModel().getSelectedIndex();
        table.getItems().setAll(bench.job().work().diary().entries().reversed());
        table.getSelectionModel()
                .select(Math.clamp(at, 0, Math.max(0, table.getItems().size() - 1)));
        aside();
    }

    private void refreshClock() {
        start.setText(
                clock.running().isPresent()
                        ? Words.of("clock.stop", clock.minutes())
                        : Words.of("clock.start"));
    }

    /** The clock, the price of an hour, and the photographs of the chosen entry. */
    Node aside() {
        refreshClock();
        var diary = bench.job().work().diary();
        var rate =
                new Field(
                        "diary-rate",
                        Words.of("diary.rate"),
                        diary.rate().map(UserUnits::plain).orElse(""),
                        this::rate,
                        Words.of("diary.rate.refused"));
        beside.getChildren()
                .setAll(
                        Texts.wrapped(
                                Words.of("diary.title", PlanWords.time(diary.minutes())),
                                "inspector-title"),
                        start,
                        rate,
                        Texts.rule(),
                        Texts.caption(Words.of("photograph.head")));
        var entry = chosen();
        if (entry.isPresent()) {
            photographs.show(
                    entry.get().photographs(), photograph -> add(entry.get(), photograph.file()));
            beside.getChildren().add(photographs);
        } else {
            beside.getChildren().add(Texts.wrapped(Words.of("diary.choose"), "quiet"));
        }
        return beside;
    }

    private boolean rate(String text) {
        if (text.isEmpty()) {
            diary(About.RATE, diary -> diary.costing(Optional.empty()));
            return true;
        }
        var money = UserUnits.parseNumber(text);
        if (money.isEmpty() || money.getAsDouble() < 0) {
            return false;
        }
        diary(About.RATE, diary -> diary.costing(Optional.of(money.getAsDouble())));
        return true;
    }

    private void add(Entry entry, String file) {
        var files = new ArrayList<>(entry.photographs());
        files.add(file);
        var more =
                new Entry(
                        entry.at(),
                        entry.sort(),
                        entry.circuit(),
                        entry.task(),
                        entry.minutes(),
                        entry.words(),
                        entry.why(),
                        files,
                        entry.closed());
        diary(About.PHOTOGRAPH, diary -> diary.with(more, entry));
    }
}
