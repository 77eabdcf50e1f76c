package aficion.words;

import aficion.bench.practice.Act;
import aficion.bench.practice.Answer;
import aficion.bench.practice.Difficulty;
import aficion.bench.practice.Played;
import aficion.bench.practice.Practice;
import aficion.bench.practice.Round;
import aficion.bench.reason.Sight;
import aficion.fault.Fault;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/** Says what is done and seen in practice, and how it went. */
public final class PracticeWords {
    private static final int LAST = 5;

    private final Speech speech;
    private final ReasonWords reason;

    public PracticeWords(Design design, UserUnits units) {
        this.speech = new Speech(design, units);
        this.reason = new ReasonWords(design, units);
    }

    /** What may be wrong. */
    public String fault(Fault fault) {
        return speech.fault(fault);
    }

    /** A time, in minutes. */
    public String minutes(double minutes) {
        return Words.of("practice.minutes", Math.round(10 * minutes) / 10.0);
    }

    /** What was done, how everything stood, what it showed and what it cost. */
    public String done(Round.Done done) {
        return Words.of(
                "practice.done",
                act(done.act()),
                speech.conditions(done.state()),
                answer(done.answer()),
                minutes(done.minutes()));
    }

    private String act(Act act) {
        return switch (act) {
            case Act.Volts(var at) -> Words.of("practice.act.volts", at);
            case Act.Lamp(var at) -> Words.of("practice.act.lamp", at);
            case Act.Amps(var feed) -> Words.of("practice.act.amps", speech.number(feed));
            case Act.Glance _ -> Words.of("practice.act.glance");
            case Act.Look(var part) -> Words.of("practice.act.look", part);
            case Act.Wiggle(var part) -> Words.of("practice.act.wiggle", part);
        };
    }

    private String answer(Answer answer) {
        return switch (answer) {
            case Answer.ShowsVolts(var volts) -> speech.say(volts);
            case Answer.ShowsAmps(var amps) -> speech.say(amps);
            case Answer.Burns(var light) -> Words.of("sight", Sight.of(light.value()));
            case Answer.Does(var signs) -> speech.signs(signs);
            case Answer.Seen(var faults) ->
                    faults.isEmpty()
                            ? Words.of("practice.well")
                            : faults.stream()
                                    .map(speech::fault)
                                    .collect(Collectors.joining(Words.of("reason.and")));
            case Answer.Changes(var changes) ->
                    Words.of(changes ? "practice.changes" : "practice.stays");
            case Answer.Restless _ -> Words.of("reason.restless");
        };
    }

    /** A reading of a way, and how much it left. */
    public String step(Practice.Step step) {
        return Words.of(
                "practice.step",
                reason.reading(step.reading()),
                speech.conditions(step.reading().state()),
                step.left());
    }

    /** What was wrong, and how long it took. */
    public String was(Round round) {
        var what =
                round.hidden().faults().stream()
                        .map(speech::fault)
                        .collect(Collectors.joining(Words.of("reason.and")));
        return Words.of(
                round.isFound() ? "practice.found" : "practice.given",
                what,
                minutes(round.minutes()),
                round.guesses());
    }

    /** The best of each difficulty, and the last rounds. */
    public List<String> record(List<Played> rounds) {
        var lines = new ArrayList<String>();
        for (var difficulty : Difficulty.values()) {
            rounds.stream()
                    .filter(round -> round.found() && round.difficulty() == difficulty)
                    .min(Comparator.comparingDouble(Played::minutes))
                    .map(round ->
                            Words.of(
                                    "practice.best",
                                    Words.of("practice.level", difficulty),
                                    line(round)))
                    .ifPresent(lines::add);
        }
        rounds.reversed().stream().limit(LAST).map(this::line).forEach(lines::add);
        if (lines.isEmpty()) {
            lines.add(Words.of("practice.record.none"));
        }
        return lines;
    }

    private String line(Played round) {
        return Words.of(
                round.found() ? "practice.played" : "practice.played.given",
                round.circuit(),
                round.vehicle(),
                minutes(round.minutes()),
                round.acts());
    }
}
