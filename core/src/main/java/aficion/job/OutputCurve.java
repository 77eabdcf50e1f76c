package aficion.job;

import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import java.util.List;
import java.util.Optional;

/**
 * What a source gives by its speed, as its maker states it or as it was measured: straight between
 * the points, nothing below the first, as at the last above it.
 *
 * @param points by rising speed of its own shaft; of a flywheel alternator, of the engine
 * @param limit the fastest it may turn
 */
public record OutputCurve(List<Point> points, Optional<Rpm> limit) {
    /** So much at a speed. */
    public record Point(Rpm at, Amps gives) {}

    /**
     * @throws IllegalArgumentException when it has fewer than two points, or they do not rise in
     *     speed, or one gives less than nothing
     */
    public OutputCurve {
        points = List.copyOf(points);
        if (points.size() < 2) {
            throw new IllegalArgumentException("a curve has two points at least");
        }
        for (int i = 0; i < points.size(); i++) {
            boolean rises = i == 0 || points.get(i).at().value() > points.get(i - 1).at().value();
            if (!rises || !(points.get(i).gives().value() >= 0)) {
                throw new IllegalArgumentException(
                        "the points of a curve rise in speed, and give no less than nothing");
            }
        }
    }

    /** The same speeds with so many times as much. */
    public OutputCurve times(double more) {
        return new OutputCurve(
                points.stream()
                        .map(point -> new Point(point.at, new Amps(more * point.gives.value())))
                        .toList(),
                limit);
    }

    /** What it gives at a speed. */
    public Amps at(Rpm speed) {
        if (speed.value() < points.getFirst().at().value()) {
            return new Amps(0);
        }
        for (int i = 1; i < points.size(); i++) {
            var from = points.get(i - 1);
            var to = points.get(i);
            if (speed.value() < to.at().value()) {
                double share =
                        (speed.value() - from.at().value()) / (to.at().value() - from.at().value());
                return new Amps(
                        from.gives().value() + share * (to.gives().value() - from.gives().value()));
            }
        }
        return points.getLast().gives();
    }
}
