package aficion.words;

import aficion.bench.reason.NextReading.Advice;
import aficion.bench.reason.Suspect;
import aficion.bench.reason.Wiggle;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import java.util.stream.Collectors;

/** Says what may be wrong, and what is read next and why. */
public final class ReasonWords {
    private static final int TOLD = 3;

    private final Speech speech;

    public ReasonWords(Design design, UserUnits units) {
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
                        .map(outcome ->
                                Words.of(
                                        "reason.outcome",
                                        outcome.volts()
                                                .map(speech::say)
                                                .orElse(Words.of("reason.restless")),
                                        outcome.suspects()))
                        .collect(Collectors.joining(", ")));
    }

    /** Where to move leads while what goes wrong is watched. */
    public String wiggle(Wiggle wiggle) {
        return Words.of(
                "reason.wiggle", wiggle.part(), speech.name(wiggle.part()), wiggle.weight());
    }

    /** What is said where nothing that can be read tells more. */
    public String nothingMore() {
        return Words.of("reason.enough");
    }

    /** Where it is read. */
    public String where(Advice advice) {
        return Words.of("reason.at", advice.at(), speech.name(advice.at().part()));
    }
}
