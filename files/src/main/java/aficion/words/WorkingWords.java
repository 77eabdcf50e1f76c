package aficion.words;

import aficion.quantity.Metres;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.working.Working;
import java.util.stream.Collectors;

/** Says how a figure was reached, lengths as a calliper shows them. */
public final class WorkingWords {
    private WorkingWords() {}

    /** The formula, what stands in it, and what comes of it, on one line. */
    public static String line(Working working, UserUnits units) {
        return Words.of(
                "working.line",
                Words.of("topic", working.topic()),
                working.formula(),
                working.givens().stream()
                        .map(given -> given.symbol() + " " + fine(given.value(), units))
                        .collect(Collectors.joining(", ")),
                working.steps().stream()
                        .map(step -> step.symbol() + " = " + fine(step.value(), units))
                        .collect(Collectors.joining(", ")));
    }

    private static String fine(Quantity quantity, UserUnits units) {
        return quantity instanceof Metres length ? units.fine(length) : units.print(quantity);
    }
}
