package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Asides;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Diary;
import aficion.job.Photograph;
import aficion.job.Work.Stage;
import aficion.words.PlanWords;
import aficion.words.Words;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What goes into the book that is handed over, what is still missing in it, and its print. */
final class HandOverView extends VBox {
    private final Workbench bench;
    private final Surroundings with;
    private final VBox holds = new VBox(6);
    private final VBox lacks = new VBox(6);

    HandOverView(Surroundings with) {
        super(12);
        this.bench = with.bench();
        this.with = with;
        setId("handover");
        holds.setId("handover-holds");
        lacks.setId("handover-lacks");
        holds.getStyleClass().add("log-card");
        lacks.getStyleClass().add("log-card");
        var print = press("menu.print.handOver", "handover.print", "main-button");
        print.setId("handover-print");
        var card = press("menu.print.card", "handover.card", "outline-button");
        card.setId("handover-card");
        var tests = press("menu.print.tests", "handover.tests", "outline-button");
        getChildren()
                .addAll(
                        Texts.label(Words.of("handover.head"), "sheet-title"),
                        new FlowPane(10, 8, print, card, tests),
                        holds,
                        lacks);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private Node press(String command, String words, String style) {
        Consumer<String> ask = with.command();
        return Texts.button(Words.of(words), style, () -> ask.accept(command));
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        var work = bench.job().work();
        var diary = work.diary();
        holds.getChildren()
                .setAll(
                        Texts.caption(Words.of("handover.in")),
                        Texts.figure(
                                Words.of("handover.decisions"),
                                count(
                                        diary.entries().stream()
                                                .filter(each -> each.sort() == Diary.Sort.DECISION)
                                                .count())),
                        Texts.figure(
                                Words.of("handover.tested"),
                                Words.of(
                                        "handover.of",
                                        bench.design().circuits().stream()
                                                .filter(each ->
                                                        work.done(each.id()).contains(Stage.TESTED))
                                                .count(),
                                        bench.design().circuits().size())),
                        Texts.figure(Words.of("handover.accepted"), count(work.accepted().size())),
                        Texts.figure(Words.of("make.tab.unused"), count(work.allUnused().size())),
                        Texts.figure(
                                Words.of("handover.photographs"),
                                count(work.survey().photographs().size())),
                        Texts.figure(Words.of("handover.time"), PlanWords.time(diary.minutes())));
        lacks.getChildren().setAll(Texts.caption(Words.of("handover.open")));
        diary.entries().stream()
                .filter(each -> each.sort() == Diary.Sort.OPEN && !each.closed())
                .forEach(each -> lacks.getChildren().add(Texts.wrapped(each.words())));
        work.survey().photographs().stream()
                .filter(each -> with.papers().find(each.file()).isEmpty())
                .map(Photograph::words)
                .forEach(each ->
                        lacks.getChildren()
                                .add(
                                        Texts.wrapped(
                                                Words.of("photograph.missing", each),
                                                "danger-text")));
        if (bench.design().rules().law().isEmpty()) {
            lacks.getChildren().add(Texts.wrapped(Words.of("handover.law"), "danger-text"));
        }
        if (lacks.getChildren().size() == 1) {
            lacks.getChildren().add(Texts.wrapped(Words.of("handover.none"), "good-text"));
        }
    }

    private static String count(long number) {
        return String.valueOf(number);
    }

    Node aside() {
        return Asides.of(
                Words.of("handover.title"), Words.of("sheet.caution"), Words.of("handover.help"));
    }
}
