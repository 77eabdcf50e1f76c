package aficion.words;

import aficion.bench.reason.Belief;
import aficion.bench.reason.Measure;
import aficion.bench.reason.NextReading.Advice;
import aficion.bench.reason.Pairs;
import aficion.bench.reason.Suspect;
import aficion.job.Design;
import aficion.quantity.Amps;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import java.util.stream.Collectors;

/** Says what may be wrong, and what is read next and why. */
public final class ReasonWords {
    private static final int TOLD = 3;

    private final Design design;
    private final Speech speech;

    public ReasonWords(Design design, UserUnits units) {
        this.design = design;
        this.speech = new Speech(design, units);
    }

    /** What may be wrong. */
    public String suspect(Suspect suspect) {
        return suspect.faults().isEmpty()
                ? Words.of("reason.nothing")
                : suspect.faults().stream()
                        .map(speech::fault)
                        .collect(Collectors.joining(Words.of("reason.and")));
    }

    /** Why a reading is taken: what it may show, and how much of what is left each would leave. */
    public String why(Advice advice) {
        return Words.of(
                "reason.why",
                advice.outcomes().stream()
                        .limit(TOLD)
                        .map(outcome -> outcome(advice.what(), outcome.value(), outcome.suspects()))
                        .collect(Collectors.joining(", ")));
    }

    private String outcome(Measure what, double value, int suspects) {
        return switch (what) {
            case Measure.VoltsAt _ ->
                    Words.of("reason.outcome", speech.say(new Volts(value)), suspects);
            case Measure.AmpsIn _ ->
                    Words.of("reason.outcome", speech.say(new Amps(value)), suspects);
            case Measure.LightOf _, Measure.Glance _ -> Words.of("reason.outcome.seen", suspects);
        };
    }

    /** What is said where nothing that can be read tells more. */
    public String nothingMore() {
        return Words.of("reason.enough");
    }

    /** A word that what was read is not of the vehicle as drawn; empty where it may be. */
    public String unexplained(Belief belief) {
        return Pairs.explained(belief) ? "" : Words.of("reason.unexplained") + " ";
    }

    /** Where something is read. */
    public String where(Measure what) {
        return switch (what) {
            case Measure.VoltsAt(var at) -> Words.of("reason.at", at, speech.name(at.part()));
            case Measure.AmpsIn(var wire) -> Words.of("reason.in", design.wire(wire).number());
            case Measure.LightOf(var part, _) -> Words.of("reason.look", speech.name(part));
            case Measure.Glance _ -> Words.of("reason.glance");
        };
    }
}
