package aficion.check.finding;

import aficion.netlist.Conditions;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.solve.Track;
import java.util.Collection;
import java.util.List;
import java.util.stream.Collectors;

/** The states that were looked at once, and what wires carried in them. */
final class Past {
    private final List<OperatingPoint> points;
    private final Track track;

    /** One state for each warmth of the air, which is all that wires heed. */
    private final Collection<Conditions> airs;

    private Past(List<OperatingPoint> points) {
        this.points = points;
        this.track = new Track(points.isEmpty() ? 0 : points.getFirst().netlist().wires());
        points.forEach(track::note);
        this.airs =
                points.stream()
                        .map(OperatingPoint::conditions)
                        .collect(Collectors.toMap(Conditions::air, state -> state, (one, _) -> one))
                        .values();
    }

    /** That of an assessment. */
    static Past of(Assessment assessment) {
        return assessment.once(Past.class, () -> new Past(assessment.worst().points()));
    }

    /** The states. */
    List<OperatingPoint> points() {
        return points;
    }

    /**
     * By how many volts anything may be otherwise in any state of an assessment of other wires, by
     * the compensation theorem; without end where something has moved otherwise.
     */
    double changed(Assessment assessment) {
        return assessment.once(this, () -> changed(assessment.worst().points()));
    }

    private double changed(List<OperatingPoint> now) {
        if (now.isEmpty() || !isSwitchedAs(now)) {
            return Double.POSITIVE_INFINITY;
        }
        var before = points.getFirst().netlist();
        var after = now.getFirst().netlist();
        int[] wires = after.changedFrom(before);
        return airs.stream()
                .mapToDouble(air -> track.changed(before, after, wires, air))
                .max()
                .orElseThrow();
    }

    private boolean isSwitchedAs(List<OperatingPoint> now) {
        boolean same = now.size() == points.size();
        for (int i = 0; same && i < points.size(); i++) {
            same = now.get(i).isSwitchedAs(points.get(i));
        }
        return same;
    }
}
