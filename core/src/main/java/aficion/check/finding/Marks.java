package aficion.check.finding;

import aficion.check.finding.Quiet.Across;
import aficion.netlist.Conditions;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Which volts come up to their marks in which states, and how far from them they keep. Where wires
 * are cut otherwise and nothing has moved, what keeps far enough is told without looking at it.
 */
final class Marks {
    private final List<OperatingPoint> points;
    private final List<Across> asked;
    private final List<BitSet> reached;

    /** The volts that each keeps from its mark at least. */
    private final double[] apart;

    /** The most that each wire carries, amps. */
    private final double[] most;

    /** One state for each warmth of the air, which is all that wires heed. */
    private final Collection<Conditions> airs;

    Marks(List<OperatingPoint> points, List<Across> asked) {
        this.points = points;
        this.asked = asked;
        this.reached = asked.stream().map(each -> reached(points, each)).toList();
        this.apart = asked.stream().mapToDouble(each -> apart(points, each)).toArray();
        this.most =
                IntStream.range(0, points.isEmpty() ? 0 : points.getFirst().netlist().wires())
                        .mapToDouble(wire -> most(points, wire))
                        .toArray();
        this.airs =
                points.stream()
                        .map(OperatingPoint::conditions)
                        .collect(Collectors.toMap(Conditions::air, state -> state, (one, _) -> one))
                        .values();
    }

    private static double most(List<OperatingPoint> points, int wire) {
        return points.stream()
                .mapToDouble(point -> Math.abs(point.branchAmps(wire)))
                .max()
                .orElseThrow();
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

    /** The same in the same states of other wires; empty where most had to be looked at anew. */
    Optional<List<BitSet>> reachedAt(List<OperatingPoint> now) {
        double near = Answers.SURE * changed(now);
        long known = Arrays.stream(apart).filter(each -> each > near).count();
        if (2 * known < apart.length) {
            return Optional.empty();
        }
        return Optional.of(
                IntStream.range(0, apart.length)
                        .mapToObj(
                                i -> apart[i] > near ? reached.get(i) : reached(now, asked.get(i)))
                        .toList());
    }

    /**
     * By how many volts anything may have changed in any state, by the compensation theorem;
     * without end where something has moved otherwise.
     */
    private double changed(List<OperatingPoint> now) {
        if (now.isEmpty() || !isSwitchedAs(now)) {
            return Double.POSITIVE_INFINITY;
        }
        var before = points.getFirst().netlist();
        var after = now.getFirst().netlist();
        double volts = 0;
        for (int wire : after.changedFrom(before)) {
            double ohms = 0;
            for (var air : airs) {
                ohms = Math.max(ohms, Math.abs(after.ohms(wire, air) - before.ohms(wire, air)));
            }
            volts += most[wire] * ohms;
        }
        return volts;
    }

    private boolean isSwitchedAs(List<OperatingPoint> now) {
        boolean same = now.size() == points.size();
        for (int i = 0; same && i < points.size(); i++) {
            same = now.get(i).isSwitchedAs(points.get(i));
        }
        return same;
    }
}
