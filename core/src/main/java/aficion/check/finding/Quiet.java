package aficion.check.finding;

import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.BitSet;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * What rules looked at when there was nothing to be found: as long as wires end where they do and a
 * rule sees the same, there is nothing again, however wires are cut and laid.
 */
public final class Quiet {
    private final Map<Class<?>, Object> seen = new ConcurrentHashMap<>();
    private final Map<List<Across>, Marks> marks = new ConcurrentHashMap<>();
    private final Map<Class<?>, Set<Wire>> fine = new ConcurrentHashMap<>();
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

    /**
     * What a rule finds of each wire, where that follows from the wire itself and from where all
     * end; a wire of which there was nothing is not asked again.
     */
    public static Stream<Finding> ofWires(
            Assessment assessment,
            Class<? extends Rule> rule,
            Function<Wire, Stream<Finding>> how) {
        var fine = of(assessment).fine.computeIfAbsent(rule, _ -> identities());
        return assessment.design().wires().stream()
                .filter(wire -> !fine.contains(wire))
                .flatMap(wire -> {
                    var found = how.apply(wire).toList();
                    if (found.isEmpty()) {
                        fine.add(wire);
                    }
                    return found.stream();
                });
    }

    private static Set<Wire> identities() {
        return Collections.synchronizedSet(Collections.newSetFromMap(new IdentityHashMap<>()));
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
        var quiet = of(assessment);
        var reached =
                Optional.ofNullable(quiet.marks.get(asked))
                        .flatMap(known -> known.reachedIn(assessment))
                        .orElseGet(() -> quiet.marked(Past.of(assessment), asked));
        return new Sight(quiet.states(assessment.worst().points()), reached);
    }

    private List<BitSet> marked(Past past, List<Across> asked) {
        var fresh = new Marks(past, asked);
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
