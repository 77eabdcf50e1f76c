package aficion.desktop.log;

import aficion.change.Repinning;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.FoundBox;
import aficion.job.edit.WorkEdit;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A plug that is to fit another device: both as they were noted in the survey, and the moves. */
final class PlugPage extends VBox {
    private static final double WAY = 82;
    private static final double FACE = 346;

    private final Workbench bench;
    private final ComboBox<Optional<FoundBox>> from = choice("plug-from");
    private final ComboBox<Optional<FoundBox>> to = choice("plug-to");
    private final FlowPane faceFrom = new FlowPane(4, 4);
    private final FlowPane faceTo = new FlowPane(4, 4);
    private final VBox notes = new VBox(3);
    private final TableView<Repinning.Step> table = new TableView<>();

    PlugPage(Surroundings with) {
        super(10);
        this.bench = with.bench();
        setId("plug");
        table.setId("plug-table");
        notes.setId("plug-notes");
        Tables.dress(table, Words.of("plug.none"));
        Tables.column(table, Words.of("list.ticked"), each -> isDone(each) ? "\u2713" : "\u25a1");
        Tables.column(table, Words.of("list.change"), each -> Words.of("repin", each.action()));
        Tables.column(table, Words.of("list.item"), Repinning.Step::function);
        Tables.column(table, Words.of("list.from"), Repinning.Step::from);
        Tables.column(table, Words.of("list.to"), Repinning.Step::to);
        Tables.column(table, Words.of("list.colour"), Repinning.Step::colour);
        Tables.widths(table, 60, 90, 220, 80, 80, 140);
        Tables.ticks(table, this::turn);
        VBox.setVgrow(table, Priority.ALWAYS);
        from.setOnAction(_ -> show());
        to.setOnAction(_ -> show());
        var choose =
                new HBox(
                        10,
                        Texts.label(Words.of("plug.from"), "figure-name"),
                        from,
                        Texts.label(Words.of("plug.to"), "figure-name"),
                        to);
        var print = Texts.button(Words.of("plug.print"), "plain-button", () -> print(with));
        print.setId("plug-print");
        choose.getChildren().addAll(Texts.spring(), print);
        choose.setAlignment(Pos.CENTER_LEFT);
        var faces =
                new HBox(
                        18,
                        new VBox(4, Texts.caption(Words.of("plug.face.from")), faceFrom),
                        new VBox(4, Texts.caption(Words.of("plug.face.to")), faceTo));
        faceFrom.setPrefWrapLength(FACE);
        faceTo.setPrefWrapLength(FACE);
        getChildren()
                .addAll(
                        Texts.wrapped(Words.of("plug.how"), "quiet"),
                        choose,
                        faces,
                        notes,
                        table,
                        Texts.wrapped(Words.of("plug.proof"), "quiet"));
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private static ComboBox<Optional<FoundBox>> choice(String id) {
        ComboBox<Optional<FoundBox>> choice =
                Choices.of(
                        new ArrayList<>(List.of(Optional.<FoundBox>empty())),
                        each -> each.map(FoundBox::name).orElse(Words.of("plug.choose")));
        choice.setId(id);
        return choice;
    }

    @Override
    public void requestFocus() {
        from.requestFocus();
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        var plugs = new ArrayList<Optional<FoundBox>>();
        plugs.add(Optional.empty());
        bench.job().work().survey().boxes().stream()
                .filter(box -> box.sort() == FoundBox.Sort.PLUG)
                .forEach(box -> plugs.add(Optional.of(box)));
        for (var choice : List.of(from, to)) {
            var name =
                    Optional.ofNullable(choice.getValue())
                            .flatMap(each -> each.map(FoundBox::name));
            choice.getItems().setAll(plugs);
            choice.setValue(
                    plugs.stream()
                            .filter(each -> each.map(FoundBox::name).equals(name))
                            .findFirst()
                            .orElse(Optional.empty()));
        }
        show();
    }

    private void print(Surroundings with) {
        var was = chosen(from);
        var wants = chosen(to);
        if (was.isPresent() && wants.isPresent()) {
            with.papers().show(was.get(), wants.get());
        }
    }

    private static Optional<FoundBox> chosen(ComboBox<Optional<FoundBox>> choice) {
        return Optional.ofNullable(choice.getValue()).flatMap(each -> each);
    }

    private void show() {
        notes.getChildren().clear();
        table.getItems().clear();
        face(faceFrom, chosen(from));
        face(faceTo, chosen(to));
        if (chosen(from).isEmpty() || chosen(to).isEmpty()) {
            return;
        }
        try {
            var found = Repinning.of(chosen(from).get().seats(), chosen(to).get().seats());
            table.getItems().setAll(found.steps());
            found.notes()
                    .forEach(note ->
                            notes.getChildren()
                                    .add(Texts.wrapped(IdentifyWords.note(note), "brass-text")));
        } catch (IllegalArgumentException e) {
            notes.getChildren()
                    .add(Texts.wrapped(Words.of("box.refused", e.getMessage()), "danger-text"));
        }
    }

    /** The face from the wire side: each way with its number and what is in it. */
    private static void face(FlowPane face, Optional<FoundBox> box) {
        face.getChildren()
                .setAll(
                        box.stream()
                                .flatMap(each -> each.seats().stream())
                                .map(PlugPage::way)
                                .toList());
    }

    private static Node way(FoundBox.Seat seat) {
        Label number = Texts.label(seat.way(), "strong");
        Label what = Texts.label(seat.what().isBlank() ? "\u2013" : seat.what(), "condensed");
        Label colour = Texts.label(seat.colour(), "condensed", "quiet");
        var box = new VBox(number, what, colour);
        box.getStyleClass().add("log-link");
        box.setPrefWidth(WAY);
        return box;
    }

    private String key(Repinning.Step step) {
        return "repin/"
                + chosen(to).map(FoundBox::name).orElse("")
                + "/"
                + step.action()
                + "/"
                + step.from()
                + "/"
                + step.to();
    }

    private boolean isDone(Repinning.Step step) {
        return bench.job().work().diary().isDone(key(step));
    }

    private void turn() {
        Optional.ofNullable(table.getSelectionModel().getSelectedItem())
                .ifPresent(step -> {
                    int at = table.getSelectionModel().getSelectedIndex();
                    boolean done = !isDone(step);
                    var key = key(step);
                    bench.perform(
                            new WorkEdit.Write(
                                    WorkEdit.About.TICK, diary -> diary.with(key, done)));
                    table.getSelectionModel().select(done ? at + 1 : at);
                });
    }
}
