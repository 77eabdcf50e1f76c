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
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.files.Candidates;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.OutputCurve;
import aficion.job.Part;
import aficion.job.Pulleys;
import aficion.job.SourceKind;
import aficion.job.Work;
import aficion.job.edit.Noted;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.Asked;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import aficion.words.PowerWords;
import aficion.words.ShapeWords;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/**
 * Pulleys and curve of the source that is there; the other sources of the shelf held against it,
 * one row each, worked out one after the other; and what putting one in would change.
 */
final class AnotherSourceBox extends VBox {
    private final Workbench bench;
    private final Papers papers;
    private final Runnable redraw;
    private final TextField crank;
    private final TextField source;
    private final TextField apart;
    private final CheckBox measured = new CheckBox(Words.of("power.pulleys.measured"));
    private final TextField curve;
    private final VBox ratio = new VBox(3);
    private final GridPane table = new GridPane(8, 2);
    private final ToggleGroup rows = new ToggleGroup();
    private final Label busy = Texts.wrapped("", "quiet");
    private final VBox put = new VBox(4);
    private final Trouble trouble = new Trouble();
    private final List<Answer> answers = new ArrayList<>();
    private Optional<Situation> situation = Optional.empty();
    private Optional<Offer> chosen = Optional.empty();
    private Optional<Job> held = Optional.empty();
    private int asked;

    AnotherSourceBox(Surroundings with, Runnable redraw) {
        super(7);
        this.bench = with.bench();
        this.papers = with.papers();
        this.redraw = redraw;
        setId("another-source");
        crank = SumPage.field("pulley-crank", "power.pulleys.crank", 6, this::pulleys);
        source = SumPage.field("pulley-source", "power.pulleys.source", 6, this::pulleys);
        apart = SumPage.field("pulley-apart", "power.pulleys.apart", 8, this::pulleys);
        curve = SumPage.field("source-curve", "power.curve", 22, this::curve);
        measured.setId("pulley-measured");
        measured.setSelected(true);
        busy.setId("another-busy");
        table.setId("another-table");
        put.setId("another-put");
        getChildren()
                .addAll(
                        Texts.wrapped(Words.of("power.another"), "inspector-title"),
                        SumPage.button(
                                "another-go", "power.another.go", "outline-button", this::hold),
                        busy,
                        table,
                        put,
                        Texts.rule(),
                        Texts.caption(Words.of("power.pulleys")),
                        SumPage.row(crank, source, apart, measured),
                        SumPage.button(
                                "pulley-note",
                                "power.pulleys.note",
                                "outline-button",
                                this::pulleys),
                        ratio,
                        Texts.caption(Words.of("power.curve")),
                        Texts.wrapped(Words.of("power.curve.hint"), "quiet"),
                        curve,
                        trouble);
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
        var fitted = AnotherSource.source(bench.design());
        fitted.ifPresentOrElse(this::showPulleys, () -> ratio.getChildren().clear());
        if (fitted.isEmpty()) {
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

    private void showPulleys(Part fitted) {
        var words = new ShapeWords(bench.units());
        var noted = Optional.ofNullable(bench.job().work().sums().pulleys().get(fitted.id()));
        var stands = AnotherSource.ratio(fitted);
        boolean belted = stands.isPresent();
        List.of(crank, source, apart, measured).forEach(each -> each.setDisable(!belted));
        noted.ifPresent(pulleys -> {
            SumPage.put(crank, () -> SumPage.millimetres(pulleys.crank()));
            SumPage.put(source, () -> SumPage.millimetres(pulleys.source()));
            SumPage.put(apart, () -> pulleys.apart().map(SumPage::millimetres).orElse(""));
            measured.setSelected(pulleys.measured());
        });
        SumPage.put(curve, () -> curve(fitted.kind()).map(this::says).orElse(""));
        var speeds = Balance.speeds(bench.design().vehicle(), bench.job().work().sums());
        ratio.getChildren().clear();
        if (!belted) {
            ratio.getChildren()
                    .add(Texts.wrapped(Words.of("power.pulleys.none.flywheel"), "quiet"));
            return;
        }
        if (noted.isEmpty()) {
            ratio.getChildren()
                    .add(
                            Texts.wrapped(
                                    Words.of(
                                            "power.pulleys.none",
                                            bench.units().print(stands.get())),
                                    "quiet"));
        }
        noted.ifPresent(pulleys -> {
            var print = bench.units();
            ratio.getChildren()
                    .addAll(
                            Texts.figure(Words.of("power.ratio"), print.print(pulleys.ratio())),
                            Texts.figure(
                                    Words.of("plot.idle", Math.round(speeds.idle().value())),
                                    print.print(pulleys.source(speeds.idle()))),
                            Texts.figure(
                                    Words.of("plot.top", Math.round(speeds.top().value())),
                                    print.print(pulleys.source(speeds.top()))),
                            Texts.wrapped(words.belt(pulleys), "quiet"));
            if (Math.abs(pulleys.ratio().value() - stands.get().value()) > 0.005) {
                var set =
                        Texts.button(
                                Words.of("power.pulleys.set", print.print(pulleys.ratio())),
                                "outline-button",
                                () -> turn(fitted, pulleys));
                set.setId("pulley-set");
                ratio.getChildren().add(set);
            }
        });
        ratio.getChildren().add(Texts.wrapped(Words.of("power.ratio.use"), "quiet"));
    }

    private void turn(Part fitted, Pulleys pulleys) {
        bench.perform(
                new PartEdit.Refit(
                        fitted.id(),
                        AnotherSource.turning((SourceKind) fitted.kind(), pulleys.ratio())));
    }

    private void pulleys() {
        AnotherSource.source(bench.design())
                .ifPresent(fitted ->
                        SumPage.attempt(
                                trouble,
                                "power.pulleys.refused",
                                () -> {
                                    var noted =
                                            new Pulleys(
                                                    millimetres(crank),
                                                    millimetres(source),
                                                    apart.getText().isBlank()
                                                            ? Optional.empty()
                                                            : Optional.of(millimetres(apart)),
                                                    measured.isSelected());
                                    bench.perform(
                                            new WorkEdit.SetDown(
                                                    Asked.PULLEYS,
                                                    sums -> sums.with(fitted.id(), noted)));
                                }));
    }

    private static Metres millimetres(TextField field) {
        return new Metres(SumPage.number(field) / 1000);
    }

    private static Optional<OutputCurve> curve(Object kind) {
        return switch (kind) {
            case SourceKind.Alternator of -> of.curve();
            case SourceKind.Dynamo of -> of.curve();
            case SourceKind.Flywheel of -> of.curve();
            default -> Optional.empty();
        };
    }

    private String says(OutputCurve kept) {
        return String.join(
                ", ",
                kept.points().stream()
                        .map(point ->
                                UserUnits.plain(point.at().value())
                                        + " "
                                        + UserUnits.plain(point.gives().value()))
                        .toList());
    }

    /** What its maker states, or what was measured, goes before what is typical. */
    private void curve() {
        AnotherSource.source(bench.design())
                .ifPresent(fitted ->
                        SumPage.attempt(
                                trouble,
                                "power.curve.refused",
                                () ->
                                        bench.perform(
                                                new PartEdit.Refit(
                                                        fitted.id(),
                                                        AnotherSource.giving(
                                                                (SourceKind) fitted.kind(),
                                                                read(curve.getText()))))));
    }

    private static Optional<OutputCurve> read(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        var points = new ArrayList<OutputCurve.Point>();
        for (var pair : text.strip().split("\\s*[,;]\\s*")) {
            var figures = pair.strip().split("\\s+");
            var rpm = UserUnits.parseNumber(figures[0]);
            var amps = UserUnits.parseNumber(figures[figures.length - 1]);
            if (figures.length != 2 || rpm.isEmpty() || amps.isEmpty()) {
                throw new IllegalArgumentException(Words.of("power.curve.form"));
            }
            points.add(
                    new OutputCurve.Point(
                            new Rpm(rpm.getAsDouble()), new Amps(amps.getAsDouble())));
        }
        return Optional.of(new OutputCurve(points, Optional.empty()));
    }

    /** Works out one candidate after the other; pressed again while it does, it stops. */
    private void hold() {
        if (!answers.isEmpty() || situation.isEmpty()) {
            forget();
            return;
        }
        var candidates = Candidates.of(bench.design(), papers.shelf());
        if (candidates.isEmpty()) {
            busy.setText(
                    Words.of(
                            AnotherSource.source(bench.design()).isEmpty()
                                    ? "power.another.none"
                                    : "power.another.nobody"));
            return;
        }
        asked++;
        busy.setText(Words.of("power.another.busy", 0, candidates.size()));
        next(asked, candidates, 0);
    }

    private void next(int asking, List<Candidate> candidates, int at) {
        var job = bench.job();
        var now = situation.orElseThrow();
        bench.ask()
                .prepareAssessed(
                        assessment ->
                                AnotherSource.of(job.with(assessment.design()), now, assessment)
                                        .<Answer>map(another ->
                                                at == 0
                                                        ? new Answer.Offered(another.fitted())
                                                        : another.answer(candidates.get(at - 1))),
                        answer -> {
                            if (asking == asked) {
                                answer.ifPresent(this::add);
                                busy.setText(Words.of("power.another.busy", at, candidates.size()));
                                if (at < candidates.size()) {
                                    next(asking, candidates, at + 1);
                                }
                            }
                        });
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
                        SumPage.button("offer-put", "offer.put", "main-button", () -> put(offer)));
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

    /** Puts it in as one step; what was there before is what was found, where nothing was noted. */
    private void put(Offer offer) {
        var before = bench.design();
        bench.perform(
                new Noted(
                        offer.edit().orElseThrow(), List.of(asFound(bench.job().work(), before))));
    }

    /** What was there before a change is what was found, unless that was said. */
    static WorkEdit asFound(Work work, Design before) {
        var found = work.found().or(() -> Optional.of(before));
        return new WorkEdit.NoteSurvey(WorkEdit.About.FOUND, survey -> survey.with(found));
    }
}
