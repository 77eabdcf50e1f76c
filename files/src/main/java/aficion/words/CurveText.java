package aficion.words;

import aficion.job.OutputCurve;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import java.util.ArrayList;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The curve of a source as it is written: pairs of speed and amps, with commas between. */
public final class CurveText {
    private CurveText() {}

    /** Before the fastest that its shaft may turn. */
    private static final String MOST = "max";

    /** The curve as it is read back. */
    public static String of(OutputCurve curve) {
        return Stream.concat(
                        curve.points().stream()
                                .map(point ->
                                        UserUnits.plain(point.at().value())
                                                + " "
                                                + UserUnits.plain(point.gives().value())),
                        curve.limit().stream()
                                .map(limit -> MOST + " " + UserUnits.plain(limit.value())))
                .collect(Collectors.joining(", "));
    }

    /**
     * Reads one; empty where nothing is written.
     *
     * @throws IllegalArgumentException when it is no such text, or no curve
     */
    public static Optional<OutputCurve> read(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        var points = new ArrayList<OutputCurve.Point>();
        var limit = Optional.<Rpm>empty();
        for (var pair : text.strip().split("\\s*[,;]\\s*")) {
            var figures = pair.strip().split("\\s+");
            double last = number(figures[figures.length - 1]);
            if (figures.length != 2) {
                throw new IllegalArgumentException(Words.of("power.curve.form"));
            }
            if (figures[0].equals(MOST)) {
                limit = Optional.of(new Rpm(last));
            } else {
                points.add(new OutputCurve.Point(new Rpm(number(figures[0])), new Amps(last)));
            }
        }
        return Optional.of(new OutputCurve(points, limit));
    }

    private static double number(String text) {
        return UserUnits.parseNumber(text)
                .orElseThrow(() -> new IllegalArgumentException(Words.of("power.curve.form")));
    }
}
