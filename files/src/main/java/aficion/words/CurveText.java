package aficion.words;

import aficion.job.OutputCurve;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import java.util.ArrayList;
import java.util.Optional;
import java.util.stream.Collectors;

/** The curve of a source as it is written: pairs of speed and amps, with commas between. */
public final class CurveText {
    private CurveText() {}

    /** The curve as it is read back. */
    public static String of(OutputCurve curve) {
        return curve.points().stream()
                .map(point ->
                        UserUnits.plain(point.at().value())
                                + " "
                                + UserUnits.plain(point.gives().value()))
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
}
