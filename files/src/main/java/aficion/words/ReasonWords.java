package aficion.words;

import aficion.bench.reason.Belief.Speaks;
import aficion.bench.reason.Measure;
import aficion.bench.reason.NextReading.Advice;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sight;
import aficion.bench.reason.Suspect;
import aficion.bench.reason.Telltale;
import aficion.bench.reason.Wiggle;
import aficion.job.Design;
import aficion.quantity.Amps;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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

    /** A reading, and what it showed. */
    public String reading(Reading reading) {
        return switch (reading.what()) {
            case Measure.VoltsAt(var at) ->
                    showed(
                            Words.of("practice.act.volts", at),
                            speech.say(new Volts(reading.value())));
            case Measure.AmpsIn(var wire) ->
                    showed(
                            Words.of("practice.act.amps", speech.number(wire)),
                            speech.say(new Amps(reading.value())));
            case Measure.LightOf(var part, var pin) ->
                    showed(
                            Words.of("reason.lamp", part, pin),
                            Words.of("sight", Sight.of(reading.value())));
            case Measure.Told(var telltale) ->
                    showed(
                            told(telltale),
                            Words.of(reading.value() > 0 ? "reason.so" : "reason.notSo"));
        };
    }

    private static String showed(String what, String value) {
        return Words.of("practice.read", what, value);
    }

    private String told(Telltale telltale) {
        return switch (telltale) {
            case Telltale.FuseGone(var guard) -> Words.of("reason.gone", guard);
            case Telltale.Warm(var wire) -> Words.of("reason.lead.warm", speech.number(wire));
            case Telltale.Fast(var flasher) -> Words.of("reason.fast", flasher);
            case Telltale.Restless _ -> Words.of("reason.restless");
            case Telltale.Moves(var part) -> Words.of("reason.changes", part);
            case Telltale.Warms(var part) -> Words.of("reason.warms", part);
            case Telltale.Loads _ -> Words.of("reason.loads");
            case Telltale.AsDrawn _ -> Words.of("reason.asDrawn");
        };
    }

    /** What speaks for something, and what against it. */
    public String speaks(List<Speaks> speaks) {
        return Stream.of(
                        joined("reason.for", speaks.stream().filter(each -> each.tells() > 0)),
                        joined("reason.against", speaks.stream().filter(each -> each.tells() < 0)))
                .flatMap(Optional::stream)
                .collect(Collectors.joining("; "));
    }

    private Optional<String> joined(String words, Stream<Speaks> speaks) {
        var all = speaks.map(each -> reading(each.reading())).collect(Collectors.joining(", "));
        return all.isEmpty() ? Optional.empty() : Optional.of(Words.of(words, all));
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
