package aficion.desktop.power;

import aficion.charge.AnotherSource;
import aficion.charge.AnotherSource.Answer;
import aficion.charge.AnotherSource.Candidate;
import aficion.charge.AnotherSource.Offer;
import aficion.charge.Balance;
import aficion.charge.Situation;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.files.Candidates;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Work;
import aficion.job.edit.Noted;
import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.Asked;
import aficion.words.PowerWords;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/**
 * Pulleys and curve of the source that is there; the other sources of the shelf held against it,
 * one row each, worked out one after the other; and what putting one in would change.
 */
final class AnotherSourceBox extends SumBox {
    private final Papers papers;
    private final Runnable redraw;
    private final GridPane table = new GridPane(8, 2);
    private final ToggleGroup rows = new ToggleGroup();
    private final Label busy = Texts.wrapped("", "quiet");
    private final VBox put = new VBox(4);
    private final List<Answer> answers = new ArrayList<>();
    private Optional<Situation> situation = Optional.empty();
    private Optional<Offer> chosen = Optional.empty();
    private Optional<Job> held = Optional.empty();
    private int asked;

    AnotherSourceBox(Surroundings with, Runnable redraw) {
        super(with.bench(), 7);
        this.papers = with.papers();
        this.redraw = redraw;
        setId("another-source");
        busy.setId("another-busy");
        table.setId("another-table");
        put.setId("another-put");
        getChildren()
                .addAll(
                        Texts.wrapped(Words.of("power.another"), "inspector-title"),
                        button("another-go", "power.another.go", "outline-button", this::hold),
                        busy,
                        table,
                        put);
    }

    /** What the source that is chosen would give. */
    Optional<Balance> chosen() {
        return chosen.map(Offer::balance);
    }

    /** Shows what is known for a situation. */
    void show(Situation now) {
        boolean other = !situation.equals(Optional.of(now));
        boolean stale = held.filter(this::isSame).isEmpty();
        situation = Optional.of(now);
        if (other || stale) {
            forget();
        }
        if (AnotherSource.source(bench.design()).isEmpty()) {
            busy.setText(Words.of("power.another.none"));
        }
    }

    /** Whether what was worked out of a job still holds. */
    private boolean isSame(Job job) {
        return job.design() == bench.design() && job.work().sums() == bench.job().work().sums();
    }

    private void forget() {
        asked++;
        answers.clear();
        chosen = Optional.empty();
        held = Optional.of(bench.job());
        table.getChildren().clear();
        put.getChildren().clear();
        busy.setText(Words.of("power.another.hint"));
    }

    /** Works out one candidate after the other; pressed again while it does, it stops. */
    private void hold() {
        if (!answers.isEmpty() || situation.isEmpty()) {
            forget();
            return;
        }
        asked++;
        int asking = asked;
        var job = bench.job();
        var now = situation.orElseThrow();
        busy.setText(Words.of("power.another.begin"));
        bench.ask()
                .prepareAssessed(
                        assessment ->
                                AnotherSource.of(job.with(assessment.design()), now, assessment)
                                        .map(another -> begun(another, assessment.design())),
                        begun -> {
                            if (asking == asked) {
                                begun.ifPresentOrElse(
                                        each -> begin(asking, each),
                                        () -> busy.setText(Words.of("power.another.none")));
                            }
                        });
    }

    /** What is held against what, and what is there itself. */
    private record Begun(AnotherSource another, Offer fitted, List<Candidate> candidates) {}

    private Begun begun(AnotherSource another, Design design) {
        return new Begun(another, another.fitted(), Candidates.of(design, papers.shelf()));
    }

    private void begin(int asking, Begun begun) {
        add(new Answer.Offered(begun.fitted()));
        if (begun.candidates().isEmpty()) {
            busy.setText(Words.of("power.another.nobody"));
        } else {
            next(asking, begun, 0);
        }
    }

    private void next(int asking, Begun begun, int at) {
        int all = begun.candidates().size();
        busy.setText(Words.of("power.another.busy", at, all));
        if (at < all) {
            bench.ask()
                    .prepare(
                            _ -> begun.another().answer(begun.candidates().get(at)),
                            answer -> {
                                if (asking == asked) {
                                    add(answer);
                                    next(asking, begun, at + 1);
                                }
                            });
        }
    }

    private void add(Answer answer) {
        if (answers.isEmpty()) {
            int column = 0;
            for (var head : List.of("name", "idle", "even", "lead", "guard")) {
                var caption = Texts.caption(Words.of("offer." + head));
                caption.setMinWidth(USE_PREF_SIZE);
                table.add(caption, column++, 0);
            }
        }
        answers.add(answer);
        int row = answers.size();
        switch (answer) {
            case Answer.Refused(var candidate, var why) ->
                    table.add(
                            Texts.wrapped(
                                    brief(candidate) + ": " + Words.of("offer.refused", why),
                                    "quiet"),
                            0,
                            row,
                            5,
                            1);
            case Answer.Offered(var offer) -> row(offer, row);
        }
    }

    private String brief(Candidate candidate) {
        return new PowerWords(bench.units()).brief(candidate.kind());
    }

    private void row(Offer offer, int row) {
        boolean fitted = offer.edit().isEmpty();
        var name =
                new ToggleButton(
                        fitted
                                ? Words.of("offer.fitted", brief(offer.candidate()))
                                : brief(offer.candidate()));
        name.setId("offer-" + offer.candidate().id());
        name.getStyleClass().setAll("toggle-button", "offer");
        name.setWrapText(true);
        name.setMaxWidth(118);
        name.setToggleGroup(rows);
        name.setOnAction(
                _ -> choose(name.isSelected() && !fitted ? Optional.of(offer) : Optional.empty()));
        var speech = new Speech(bench.design(), bench.units());
        var units = bench.units();
        table.add(name, 0, row);
        cell(offer.balance().idle().map(point -> units.print(point.source())).orElse(""), 1, row);
        cell(
                offer.balance()
                        .breaksEven()
                        .map(rpm -> String.valueOf(Math.round(rpm.value())))
                        .orElse(Words.of("offer.never")),
                2,
                row);
        cell(offer.lead().map(speech::size).orElse(""), 3, row);
        cell(offer.guard().map(units::print).orElse(Words.of("offer.unguarded")), 4, row);
    }

    private void cell(String words, int column, int row) {
        var cell = Texts.label(words, "condensed");
        cell.setMinWidth(USE_PREF_SIZE);
        table.add(cell, column, row);
    }

    private void choose(Optional<Offer> offer) {
        chosen = offer;
        put.getChildren().clear();
        offer.ifPresent(this::showPut);
        redraw.run();
    }

    private void showPut(Offer offer) {
        var words = new PowerWords(bench.units());
        var units = bench.units();
        put.getChildren()
                .addAll(
                        Texts.rule(),
                        Texts.wrapped(Words.of("offer.chosen", offer.candidate().name()), "strong"),
                        button("offer-put", "offer.put", "main-button", () -> put(offer)));
        offer.balance()
                .cruise()
                .ifPresent(point ->
                        put.getChildren()
                                .add(
                                        Texts.figure(
                                                Words.of("offer.cruise"),
                                                units.print(point.source()))));
        offer.takes()
                .ifPresent(watts ->
                        put.getChildren()
                                .add(Texts.figure(Words.of("offer.takes"), units.print(watts))));
        offer.ammeter()
                .ifPresent(amps ->
                        put.getChildren()
                                .add(Texts.figure(Words.of("offer.ammeter"), units.print(amps))));
        if (offer.atTop().isPresent()) {
            put.getChildren()
                    .add(
                            Texts.wrapped(
                                    words.limit(offer),
                                    offer.isTooFast() ? "danger-text" : "quiet"));
        }
        words.changes(offer, bench.design())
                .forEach(line -> put.getChildren().add(Texts.wrapped("\u2022 " + line)));
        var speech = new Speech(offer.edit().orElseThrow().apply(bench.design()), units);
        if (offer.left().isEmpty()) {
            put.getChildren().add(Texts.wrapped(Words.of("offer.left.none"), "good-text"));
        }
        offer.left()
                .forEach(finding ->
                        put.getChildren()
                                .add(
                                        Texts.wrapped(
                                                Words.of("offer.left", speech.title(finding)),
                                                "danger-text")));
    }

    /**
     * Puts it in as one step; what was there before is what was found, where nothing was noted. The
     * pulleys that were measured stay.
     */
    private void put(Offer offer) {
        var before = bench.design();
        var edit = offer.edit().orElseThrow();
        var notes = new ArrayList<WorkEdit>(List.of(asFound(bench.job().work(), before)));
        var measured = AnotherSource.source(before).map(part -> sums().pulleys().get(part.id()));
        var made = AnotherSource.source(edit.apply(before));
        if (measured.isPresent() && made.isPresent()) {
            notes.add(
                    new WorkEdit.SetDown(
                            Asked.PULLEYS, sums -> sums.with(made.get().id(), measured.get())));
        }
        bench.perform(new Noted(edit, notes));
    }

    /** What was there before a change is what was found, unless that was said. */
    static WorkEdit asFound(Work work, Design before) {
        var found = work.found().or(() -> Optional.of(before));
        return new WorkEdit.NoteSurvey(WorkEdit.About.FOUND, survey -> survey.with(found));
    }
}
