package aficion.bench.practice;

import aficion.fault.Fault;
import aficion.netlist.Conditions;
import java.util.ArrayList;
import java.util.List;

/**
 * A round: what is hidden, and what was done to find it.
 *
 * @param hidden what is wrong
 * @param done in order
 * @param named what was named and is wrong indeed
 * @param guesses how often something was named that is not
 */
public record Round(
        Difficulty difficulty, Hidden hidden, List<Done> done, List<Fault> named, int guesses) {
    /** What naming the wrong thing costs: it is taken apart and put together again. */
    static final double WRONG = 5;

    public Round {
        done = List.copyOf(done);
        named = List.copyOf(named);
    }

    /** A round that begins. */
    public static Round of(Difficulty difficulty, Hidden hidden) {
        return new Round(difficulty, hidden, List.of(), List.of(), 0);
    }

    /**
     * Something that was done.
     *
     * @param state how everything stood
     * @param minutes what it cost
     */
    public record Done(Act act, Conditions state, Answer answer, double minutes) {}

    /** The same with one act more. */
    public Round with(Done act) {
        var all = new ArrayList<>(done);
        all.add(act);
        return new Round(difficulty, hidden, all, named, guesses);
    }

    /** The same with something named; what is named a second time changes nothing. */
    public Round naming(Fault fault) {
        if (named.contains(fault)) {
            return this;
        }
        if (!hidden.faults().contains(fault)) {
            return new Round(difficulty, hidden, done, named, guesses + 1);
        }
        var all = new ArrayList<>(named);
        all.add(fault);
        return new Round(difficulty, hidden, done, all, guesses);
    }

    /** Whether all that is wrong was named. */
    public boolean isFound() {
        return named.size() == hidden.faults().size();
    }

    /** What is left of what is hidden once what was named is mended. */
    public List<Fault> left() {
        return hidden.faults().stream().filter(fault -> !named.contains(fault)).toList();
    }

    /** What it cost so far. */
    public double minutes() {
        return done.stream().mapToDouble(Done::minutes).sum() + WRONG * guesses;
    }
}
