package aficion.words;

import aficion.job.Pickup;
import aficion.job.Pulleys;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import aficion.shape.Chords;
import aficion.shape.Pulses;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Says how shapes are set out: marks round a shaft, pulses, pulleys and belt. */
public final class ShapeWords {
    private static final double FIFTY = 50;

    private final UserUnits units;

    public ShapeWords(UserUnits units) {
        this.units = units;
    }

    /** Ratio of the pulleys, and how fast the source turns at a speed of the engine. */
    public Working ratio(Pulleys pulleys, Rpm engine) {
        var origin = pulleys.measured() ? Origin.MEASURED : Origin.ASSUMED;
        return new Working(
                Working.Topic.RATIO,
                "i = D\u2081/D\u2082; n\u2082 = i\u00b7n\u2081",
                List.of(
                        new Given("D\u2081", pulleys.crank(), origin),
                        new Given("D\u2082", pulleys.source(), origin),
                        new Given("n\u2081", engine, Origin.JOB)),
                List.of(
                        new Step("n\u2082", pulleys.source(engine)),
                        new Step("i", pulleys.ratio())),
                Optional.empty(),
                Words.of("source.geometry"));
    }

    /** The belt and how far it wraps, where the shafts were measured. */
    public String belt(Pulleys pulleys) {
        return pulleys.belt()
                .map(belt ->
                        Words.of(
                                "shape.belt",
                                units.fine(belt),
                                Math.round(pulleys.wrap().orElse(180.0))))
                .orElse(Words.of("shape.belt.open"));
    }

    /** The way between two marks of a shaft. */
    public Working chord(Pickup pickup) {
        var chords = Chords.of(pickup.shaft(), Math.max(2, pickup.marks()));
        return new Working(
                Working.Topic.CHORD,
                "s = D\u00b7sin(180\u00b0/n)",
                List.of(
                        new Given("D", pickup.shaft(), Origin.MEASURED),
                        new Given("n", new Ratio(pickup.marks()), Origin.JOB)),
                List.of(new Step("s", chords.step())),
                Optional.empty(),
                Words.of("source.geometry"));
    }

    /** In which order the marks are struck. */
    public static List<String> striking(Chords chords) {
        var said = new ArrayList<String>();
        for (int i = 1; i < chords.marks().size(); i++) {
            var mark = chords.marks().get(i);
            int from = 0;
            while (chords.marks().get(from).place() != mark.from()) {
                from++;
            }
            said.add(Words.of(mark.back() ? "shape.back" : "shape.on", i + 1, from + 1));
        }
        return said;
    }

    /** How often it pulses, where the sensor stands. */
    public String pulses(Pickup pickup) {
        return Words.of(
                "shape.pulses",
                String.format(Locale.ROOT, "%.2f", Pulses.metre(pickup)),
                String.format(Locale.ROOT, "%.1f", Pulses.second(pickup, FIFTY)),
                units.print(Pulses.gap()),
                units.print(Pulses.fromJoint(pickup)));
    }
}
