package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.WorkListings;
import aficion.job.Diary;
import aficion.job.Photograph;
import aficion.job.edit.WorkEdit;
import aficion.plan.Plan;
import aficion.plan.Task;
import aficion.words.PlanWords;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** A task: what can hurt at it, why now, what is to hand, what comes after, what was written. */
final class TaskCard extends VBox {
    private final Workbench bench;
    private final Clockwork clock;
    private final Consumer<Task> turn;
    private final PhotoStrip photographs;
    private final Button start;
    private final TextField words = new TextField();
    private Optional<Task> task = Optional.empty();

    TaskCard(Surroundings with, Clockwork clock, Consumer<Task> turn) {
        super(7);
        this.bench = with.bench();
        this.clock = clock;
        this.turn = turn;
        setId("task-card");
        getStyleClass().add("inspector-body");
        photographs = new PhotoStrip(bench, with.papers());
        start = Texts.button("", "main-button", () -> clock.turn(task.map(Task::key)));
        start.setId("log-clock");
        start.setMaxWidth(Double.MAX_VALUE);
        words.setId("task-words");
        words.setPromptText(Words.of("task.words"));
        words.setOnAction(_ -> write(words.getText().strip(), List.of()));
        getChildren().add(Texts.wrapped(Words.of("task.none"), "quiet"));
    }

    /** Shows a task of a plan; empty where it is no more. */
    void show(Plan plan, Optional<Task> chosen) {
        task = chosen;
        getChildren().clear();
        if (chosen.isEmpty()) {
            getChildren().add(Texts.wrapped(Words.of("task.none"), "quiet"));
            return;
        }
        var of = chosen.get();
        var say = new PlanWords(bench.design(), bench.units());
        getChildren()
                .addAll(
                        Texts.wrapped(say.name(of), "inspector-title"),
                        Texts.label(PlanWords.time(plan.pace().left(of)), "quiet"));
        PlanWords.caution(of)
                .ifPresent(text -> getChildren().add(Texts.wrapped(text, "log-caution")));
        var waits = plan.waits(of);
        section(waits.isEmpty() ? "task.why" : "task.waits");
        if (waits.isEmpty()) {
            var reasons = say.reasons(of);
            lines(reasons.isEmpty() ? List.of(Words.of("task.free")) : reasons);
        } else {
            lines(
                    waits.stream()
                            .map(before ->
                                    Words.of(
                                            "task.after",
                                            plan.find(before.key()).map(say::name).orElse(""),
                                            Words.of("why", before.why())))
                            .toList());
        }
        var hand = say.toHand(of);
        if (!hand.isEmpty()) {
            section("task.hand");
            lines(hand.stream().map(each -> "\u2022 " + each).toList());
        }
        var next = plan.next(of).stream().map(say::name).toList();
        if (!next.isEmpty()) {
            section("task.next");
            getChildren()
                    .add(
                            Texts.wrapped(
                                    next.stream().limit(3).collect(Collectors.joining(" \u00b7 ")),
                                    "quiet"));
        }
        var done =
                Texts.button(
                        Words.of(of.isDone() ? "task.undo" : "task.do"),
                        "outline-button",
                        () -> turn.accept(of));
        done.setId("task-done");
        done.setMaxWidth(Double.MAX_VALUE);
        getChildren().add(done);
        diary(of);
    }

    private void section(String key) {
        getChildren().addAll(Texts.rule(), Texts.caption(Words.of(key)));
    }

    private void lines(List<String> lines) {
        lines.forEach(line -> getChildren().add(Texts.wrapped(line)));
    }

    private void diary(Task of) {
        section("task.diary");
        boolean runs = clock.running().isPresent();
        start.setText(runs ? Words.of("clock.stop", clock.minutes()) : Words.of("clock.start"));
        getChildren().addAll(start, words);
        entries(of).forEach(entry -> getChildren().add(said(entry)));
        var files = entries(of).flatMap(entry -> entry.photographs().stream()).toList();
        photographs.show(files, photograph -> write("", List.of(photograph)));
        getChildren().add(photographs);
    }

    private Stream<Diary.Entry> entries(Task of) {
        return bench.job().work().diary().entries().stream()
                .filter(entry -> entry.task().filter(of.key()::equals).isPresent());
    }

    private static Label said(Diary.Entry entry) {
        var text =
                entry.minutes() > 0 && entry.words().isBlank()
                        ? PlanWords.time(entry.minutes())
                        : entry.words();
        return Texts.wrapped(Words.of("task.said", WorkListings.when(entry.at()), text), "quiet");
    }

    private void write(String text, List<Photograph> pictures) {
        if (text.isEmpty() && pictures.isEmpty()) {
            return;
        }
        var entry =
                new Diary.Entry(
                        bench.clock().instant(),
                        Diary.Sort.WORK,
                        task.flatMap(Task::circuit),
                        task.map(Task::key),
                        0,
                        text,
                        "",
                        pictures.stream().map(Photograph::file).toList(),
                        false);
        words.clear();
        bench.perform(new WorkEdit.Write(WorkEdit.About.ENTRY, diary -> diary.with(entry)));
    }
}
