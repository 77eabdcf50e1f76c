package aficion.solve;

import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * What a netlist answers under each set of conditions, each worked out once. A netlist of the same
 * topology with other wires takes over what it can: by the compensation theorem a branch that
 * becomes ΔR more acts like a source of I·ΔR in it, with the I that it carried, and nowhere do
 * volts change by more ({@link Track#changed}). Where that is next to nothing, at rest and on the
 * way to it, and with all that was taken over so before, the answer stays. Where it is more, but so
 * little that every coil moves as it did, what is asked for is looked for from where it was. What
 * found no rest is tried anew: nothing is known of what flowed.
 *
 * <p>May be asked by several threads; one is answered at a time.
 */
public final class Answers {
    /** Volts by which an answer may be off, a millionth. */
    private static final double OFF = 1e-6;

    /**
     * So many times what volts may have changed by must lie between them and a coil's move or a
     * mark.
     */
    public static final double SURE = 10;

    private final Solver solver;
    private final Map<Conditions, Answer> demands = new HashMap<>();
    private final Map<Conditions, Answer> solutions = new HashMap<>();

    /** What has been found from where it was, by what is live in it. */
    private final Map<Live, OperatingPoint> found = new HashMap<>();

    /**
     * @param track what happened on the way to the outcome
     * @param changed by how much volts may have changed since that way was gone, volts
     * @param off what the outcome may be off, volts
     */
    private record Answer(Outcome outcome, Track track, double changed, double off) {
        Answer(Outcome outcome, Track track) {
            this(outcome, track, 0, 0);
        }

        /** The same for another netlist, as good as it is there; empty where nothing is known. */
        Optional<Answer> of(Netlist next, Netlist netlist, Conditions conditions, int[] wires) {
            if (!(outcome instanceof Outcome.Solved(var point))) {
                return Optional.empty();
            }
            double more = track.changed(netlist, next, wires, conditions);
            return Optional.of(
                    new Answer(
                            new Outcome.Solved(point.of(next)), track, changed + more, off + more));
        }

        /** Whether the outcome may be taken as it is. */
        boolean holds() {
            return off <= OFF;
        }

        /** Where it was found, if no coil can have moved otherwise since. */
        Optional<OperatingPoint> near() {
            return outcome instanceof Outcome.Solved(var point) && SURE * changed < track.margin()
                    ? Optional.of(point)
                    : Optional.empty();
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

    /**
     * The operating point under the conditions, or why there is none ({@link Solver#solve}): what
     * is asked for, unless that opens a guard.
     */
    public synchronized Outcome solve(Conditions conditions) {
        return Optional.of(conditions)
                .filter(state -> state.before().isEmpty())
                .flatMap(state -> demand(state).settled())
                .filter(point -> !point.opensGuards())
                .<Outcome>map(Outcome.Solved::new)
                .orElseGet(() ->
                        answer(
                                solutions,
                                conditions,
                                before -> tracked(conditions, before, Solver::solve)));
    }

    /** What the vehicle asks for under the conditions ({@link Solver#demand}). */
    public synchronized Outcome demand(Conditions conditions) {
        return answer(
                demands,
                conditions,
                before ->
                        before.flatMap(this::again)
                                .orElseGet(() -> tracked(conditions, before, Solver::demand)));
    }

    /** The same while relays that cannot come to rest are in, or are out; not kept. */
    public synchronized Outcome demand(Conditions conditions, List<PartId> restless, boolean in) {
        return solver.demand(conditions, restless, in);
    }

    /** A solver of its own for what no conditions say. */
    public Solver solver() {
        return solver.of(netlist());
    }

    private static Outcome answer(
            Map<Conditions, Answer> known,
            Conditions conditions,
            Function<Optional<Answer>, Answer> how) {
        var before = Optional.ofNullable(known.get(conditions));
        var answer = before.filter(Answer::holds).orElseGet(() -> how.apply(before));
        known.put(conditions, answer);
        return answer.outcome;
    }

    /** From rest. */
    private Answer tracked(
            Conditions conditions,
            Optional<Answer> before,
            BiFunction<Solver, Conditions, Outcome> how) {
        var track = new Track(netlist().wires());
        solver.note(track);
        var found = how.apply(solver, conditions);
        return new Answer(
                before.map(known -> following(found, known.outcome)).orElse(found), track);
    }

    private static Outcome following(Outcome found, Outcome before) {
        return found instanceof Outcome.Solved(var point)
                        && before instanceof Outcome.Solved(var known)
                ? new Outcome.Solved(point.following(known))
                : found;
    }

    /** From where it was found before, where that is as good as from rest. */
    private Optional<Answer> again(Answer before) {
        return before.near()
                .flatMap(near -> {
                    var live = near.live();
                    return live.flatMap(each -> like(before, near, each))
                            .or(() -> near(before, near, live));
                });
    }

    /** What has been found already where the same is live. */
    private Optional<Answer> like(Answer before, OperatingPoint near, Live live) {
        return Optional.ofNullable(found.get(live))
                .map(known -> {
                    var point = OperatingPoint.like(known, near, live);
                    var track = new Track(before.track);
                    track.note(point);
                    return new Answer(new Outcome.Solved(point), track, before.changed, 0);
                });
    }

    private Optional<Answer> near(Answer before, OperatingPoint near, Optional<Live> live) {
        var track = new Track(before.track);
        solver.note(track);
        return solver.demandNear(near)
                .map(point -> {
                    live.ifPresent(each -> found.put(each, point));
                    return new Answer(new Outcome.Solved(point), track, before.changed, 0);
                });
    }
}
