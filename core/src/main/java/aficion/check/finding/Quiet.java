package aficion.check.finding;

import aficion.netlist.Conditions;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * What rules looked at when there was nothing to be found: as long as wires end where they do and a
 * rule sees the same, there is nothing again, however wires are cut and laid.
 */
public final class Quiet {
    private final Map<Class<?>, Object> seen = new ConcurrentHashMap<>();
    private final Map<List<Across>, Marks> marks = new ConcurrentHashMap<>();
    private volatile List<Conditions> states = List.of();

    /** That of an assessment and of all that becomes of it by other sizes. */
    private static Quiet of(Assessment assessment) {
        return assessment.lasting(Quiet.class, Quiet::new);
    }

    /**
     * What a rule looks for; nothing at once where it sees just what it saw when there was nothing.
     *
     * @param sight all that whether there is anything follows from beside where wires end
     */
    public static <T> T found(
            Assessment assessment,
            Class<? extends Rule> rule,
            Object sight,
            T nothing,
            Supplier<T> how) {
        var seen = of(assessment).seen;
        if (sight.equals(seen.get(rule))) {
            return nothing;
        }
        var found = how.get();
        if (found.equals(nothing)) {
            seen.put(rule, sight);
        }
        return found;
    }

    /** What is asked of a state. */
    public interface Asked {
        /** Sets, from a number on, that of each thing which is so in it. */
        void answer(OperatingPoint point, BitSet answers, int from);
    }

    /** The states that are asked, the same list as long as they are the same. */
    private List<Conditions> states(List<OperatingPoint> points) {
        var known = states;
        boolean same = known.size() == points.size();
        for (int i = 0; same && i < known.size(); i++) {
            same = known.get(i).equals(points.get(i).conditions());
        }
        if (!same) {
            known = points.stream().map(OperatingPoint::conditions).toList();
            states = known;
        }
        return known;
    }

    /** What was asked of some states, and the answers. */
    private record Sight(List<Conditions> states, Object answers) {}

    /** Two nodes, and the volts between them from which something is so. */
    public record Across(int one, int other, double least) {
        double volts(OperatingPoint point) {
            return Math.abs(point.nodeVolts(one) - point.nodeVolts(other));
        }
    }

    /** Between which nodes there are so many volts in which states. */
    public static Object volts(Assessment assessment, List<Across> asked) {
        var points = assessment.worst().points();
        var quiet = of(assessment);
        var reached =
                Optional.ofNullable(quiet.marks.get(asked))
                        .flatMap(known -> known.reachedAt(points))
                        .orElseGet(() -> quiet.marked(points, asked));
        return new Sight(quiet.states(points), reached);
    }

    private List<BitSet> marked(List<OperatingPoint> points, List<Across> asked) {
        var fresh = new Marks(points, asked);
        marks.put(asked, fresh);
        return fresh.reached();
    }

    /**
     * So many things, asked of every state that could be solved; the same where all answers are.
     */
    public static Object sight(Assessment assessment, int things, Asked asked) {
        var points = assessment.worst().points();
        var answers = new BitSet(points.size() * things);
        int from = 0;
        for (var point : points) {
            asked.answer(point, answers, from);
            from += things;
        }
        return new Sight(of(assessment).states(points), answers);
    }
}
