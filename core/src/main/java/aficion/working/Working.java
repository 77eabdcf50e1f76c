package aficion.working;

import aficion.quantity.Quantity;
import java.util.List;
import java.util.Optional;

/**
 * How a figure was reached.
 *
 * @param topic what the figure is; the key under which screens find their words
 * @param formula the formula in symbols, such as {@code ΔV = I · ρ · L / A}
 * @param givens the inputs, each with its origin, in the order of the formula
 * @param steps the results on the way, the figure itself last
 * @param limit what the figure is held against, when it is
 * @param source the author or standard the formula is taken from
 */
public record Working(
        Topic topic,
        String formula,
        List<Given> givens,
        List<Step> steps,
        Optional<Limit> limit,
        String source) {

    public Working {
        givens = List.copyOf(givens);
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a working without a result");
        }
    }

    /** What a working is about. */
    public enum Topic {
        AMPACITY,
        SHORT_TIME,
        DROP,
        GUARD,
        BUNDLE,
        RATIO,
        BELT,
        BALLAST,
        COIL,
        ARC,
        CHORD,
        PULSES,
        NEEDLE,
        RESISTOR
    }

    /** Where an input came from. */
    public enum Origin {
        SOLVED,
        MEASURED,
        ASSUMED,
        TABLE,
        HOUSE_RULE,
        JOB,
        WORKED
    }

    /** An input: its symbol, its value and where the value came from. */
    public record Given(String symbol, Quantity value, Origin origin) {}

    /** A result on the way: its symbol and value. */
    public record Step(String symbol, Quantity value) {}

    /** What the figure must not pass. */
    public record Limit(Quantity value, boolean kept) {}

    /** The figure itself. */
    public Quantity result() {
        return steps.getLast().value();
    }
}
