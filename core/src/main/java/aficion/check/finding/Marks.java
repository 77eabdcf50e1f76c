package aficion.check.finding;

import aficion.check.finding.Quiet.Across;
import aficion.size.Assessment;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Which volts come up to their marks in which states, and how far from them they keep. Where wires
 * are cut otherwise and nothing has moved, what keeps far enough is told without looking at it.
 */
final class Marks {
    private final Past past;
    private final List<Across> asked;
    private final List<BitSet> reached;

    /** The volts that each keeps from its mark at least. */
    private final double[] apart;

    Marks(Past past, List<Across> asked) {
        var points = past.points();
        this.past = past;
        this.asked = asked;
        this.reached = asked.stream().map(each -> reached(points, each)).toList();
        this.apart = asked.stream().mapToDouble(each -> apart(points, each)).toArray();
    }

    private static BitSet reached(List<OperatingPoint> points, Across asked) {
        var reached = new BitSet(points.size());
        for (int i = 0; i < points.size(); i++) {
            reached.set(i, asked.volts(points.get(i)) >= asked.least());
        }
        return reached;
    }

    private static double apart(List<OperatingPoint> points, Across asked) {
        double apart = Double.POSITIVE_INFINITY;
        for (var point : points) {
            apart = Math.min(apart, Math.abs(asked.volts(point) - asked.least()));
        }
        return apart;
    }

    /** Of each that was asked, the states in which it comes up to its mark, by their number. */
    List<BitSet> reached() {
        return reached;
    }

    /**
     * The same in the same states of an assessment of other wires; empty where most had to be
     * looked at anew.
     */
    Optional<List<BitSet>> reachedIn(Assessment now) {
        double near = Answers.SURE * past.changed(now);
        long known = Arrays.stream(apart).filter(each -> each > near).count();
        if (2 * known < apart.length) {
            return Optional.empty();
        }
        var points = now.worst().points();
        return Optional.of(
                IntStream.range(0, apart.length)
                        .mapToObj(i ->
                                apart[i] > near ? reached.get(i) : reached(points, asked.get(i)))
                        .toList());
    }
}
