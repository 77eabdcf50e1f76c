package aficion.solve;

import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * What a netlist answers under each set of conditions, each worked out once. A netlist of the same
 * topology with other wires takes over what it can: by the compensation theorem a branch that
 * becomes ΔR more acts like a source of I·ΔR in it, with the I that it carried, and nowhere do
 * volts change by more. Where that is next to nothing, at rest and on the way to it, and with all
 * that was taken over so before, the answer stays. What found no rest is tried anew: nothing is
 * known of what flowed.
 *
 * <p>May be asked by several threads; one is answered at a time.
 */
public final class Answers {
    /** Volts by which an answer may be off, a millionth. */
    private static final double OFF = 1e-6;

    private final Solver solver;
    private final Map<Conditions, Answer> demands = new HashMap<>();
    private final Map<Conditions, Answer> solutions = new HashMap<>();

    /**
     * @param most the largest current of each wire on the way to the outcome, amps
     * @param off what it may be off already, volts
     */
    private record Answer(Outcome outcome, float[] most, double off) {
        /** The same for another netlist, where it holds. */
        Optional<Answer> of(Netlist next, Netlist netlist, Conditions conditions, int[] changed) {
            if (!(outcome instanceof Outcome.Solved(var point))) {
                return Optional.empty();
            }
            double more = off;
            for (int wire : changed) {
                double ohms = next.ohms(wire, conditions) - netlist.ohms(wire, conditions);
                more += most[wire] * Math.abs(ohms);
            }
            return more > OFF
                    ? Optional.empty()
                    : Optional.of(new Answer(new Outcome.Solved(point.of(next)), most, more));
        }
    }

    /** Answers for a netlist of which nothing is known yet. */
    public Answers(Netlist netlist) {
        this(new Solver(netlist));
    }

    private Answers(Solver solver) {
        this.solver = solver;
    }

    /** The answers for a netlist of the same topology, those that still hold among them. */
    public synchronized Answers of(Netlist next) {
        var answers = new Answers(solver.of(next));
        keep(demands, next, answers.demands);
        keep(solutions, next, answers.solutions);
        return answers;
    }

    private void keep(Map<Conditions, Answer> from, Netlist next, Map<Conditions, Answer> to) {
        int[] changed = next.changedFrom(netlist());
        from.forEach((conditions, answer) ->
                answer.of(next, netlist(), conditions, changed)
                        .ifPresent(kept -> to.put(conditions, kept)));
    }

    /** What is answered for. */
    public Netlist netlist() {
        return solver.netlist();
    }

    /** The operating point under the conditions, or why there is none ({@link Solver#solve}). */
    public synchronized Outcome solve(Conditions conditions) {
        return answer(solutions, conditions, Solver::solve);
    }

    /** What the vehicle asks for under the conditions ({@link Solver#demand}). */
    public synchronized Outcome demand(Conditions conditions) {
        return answer(demands, conditions, Solver::demand);
    }

    /** The same while relays that cannot come to rest are in, or are out; not kept. */
    public synchronized Outcome demand(Conditions conditions, List<PartId> restless, boolean in) {
        return solver.demand(conditions, restless, in);
    }

    /** A solver of its own for what no conditions say. */
    public Solver solver() {
        return solver.of(netlist());
    }

    private Outcome answer(
            Map<Conditions, Answer> known,
            Conditions conditions,
            BiFunction<Solver, Conditions, Outcome> how) {
        var answer = known.get(conditions);
        if (answer == null) {
            var most = new float[netlist().wires()];
            solver.note(most);
            answer = new Answer(how.apply(solver, conditions), most, 0);
            known.put(conditions, answer);
        }
        return answer.outcome;
    }
}
