package aficion.sweep;

import aficion.job.JoinKind;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.size.WorstCase;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;

/**
 * Tries every fault in every state. The vehicle is at rest in the state when the fault comes, so
 * relays that have pulled in hold as they would; a fault that changes nothing there is not solved.
 *
 * <p>States are shared out among as many {@link Round}s as there are processors, each with a
 * network of its own. A round knows the worst of every fault in the states it has been through, and
 * solves only what may be worse; what comes out does not depend on how many rounds there are.
 */
public final class Sweep {
    /** What a bad joint adds. */
    private static final List<Ohms> BAD = List.of(new Ohms(0.1), new Ohms(1));

    private final Netlist netlist;
    private final List<Conditions> states;
    private final List<Poorer> poorer;
    private final Scorching.Limits limits;
    private final AtomicInteger done = new AtomicInteger();
    private final AtomicBoolean stopped = new AtomicBoolean();

    private Sweep(Netlist netlist, Collection<Conditions> states) {
        this.netlist = netlist;
        this.states = List.copyOf(states);
        this.poorer = poorer(netlist);
        this.limits = Scorching.Limits.of(netlist);
    }

    /**
     * What every fault does in the state where it is worst, worst first; faults without consequence
     * are left out. Equal dangers stand in the order of the job.
     *
     * @param goOn asked now and then with the share done, on the thread that calls; false ends it
     *     early, with what is known
     */
    public static List<Effect> of(
            Netlist netlist, Collection<Conditions> states, DoublePredicate goOn) {
        return new Sweep(netlist, states).ranked(goOn);
    }

    /** The same over all operating states of the design, to its end. */
    public static List<Effect> of(Netlist netlist) {
        return of(netlist, WorstCase.states(new Solver(netlist)), _ -> true);
    }

    /** Every broken wire, bad joint and lost earth, in the order of the job. */
    private static List<Poorer> poorer(Netlist netlist) {
        var poorer = new ArrayList<Poorer>();
        for (var wire : netlist.design().wires()) {
            int branch = netlist.branch(wire);
            poorer.add(new Poorer(new Fault.Broken(wire.id()), branch, Poorer.GONE));
            BAD.forEach(more ->
                    poorer.add(
                            new Poorer(new Fault.BadJoint(wire.id(), more), branch, more.value())));
        }
        for (var part : netlist.design().parts()) {
            if (part.kind() instanceof JoinKind.EarthPoint) {
                int joint = netlist.inside(part.id()).get("joint");
                poorer.add(new Poorer(new Fault.EarthLost(part.id()), joint, Poorer.GONE));
            }
        }
        return poorer;
    }

    /** The place of every fault: by wire, chafed before broken before bad; then the earths. */
    private Map<Fault, Integer> order() {
        var order = new HashMap<Fault, Integer>();
        for (var wire : netlist.design().wires()) {
            for (var place : Fault.Place.values()) {
                order.put(new Fault.Chafed(wire.id(), place), order.size());
            }
            order.put(new Fault.Broken(wire.id()), order.size());
            BAD.forEach(more -> order.put(new Fault.BadJoint(wire.id(), more), order.size()));
        }
        poorer.forEach(weak -> order.putIfAbsent(weak.fault(), order.size()));
        return order;
    }

    private List<Effect> ranked(DoublePredicate goOn) {
        var order = order();
        return worst(goOn).values().stream()
                .map(Round.Found::effect)
                .sorted(
                        Comparator.comparing(Effect::danger)
                                .thenComparing(effect -> order.get(effect.fault())))
                .toList();
    }

    private Map<Fault, Round.Found> worst(DoublePredicate goOn) {
        int rounds = Math.clamp(states.size(), 1, Runtime.getRuntime().availableProcessors());
        var others =
                IntStream.range(1, rounds)
                        .mapToObj(first ->
                                CompletableFuture.supplyAsync(
                                        () -> through(first, rounds, _ -> true)))
                        .toList();
        var worst = throughHere(rounds, goOn);
        for (var other : others) {
            other.join().forEach((fault, found) -> worst.merge(fault, found, Round.Found::worse));
        }
        return worst;
    }

    /** The round of the thread that asks; what ends it ends the others. */
    private Map<Fault, Round.Found> throughHere(int rounds, DoublePredicate goOn) {
        boolean whole = false;
        try {
            var worst = through(0, rounds, goOn);
            whole = true;
            return worst;
        } finally {
            stopped.compareAndSet(false, !whole);
        }
    }

    /** Goes through the states that fall to one of the rounds. */
    private Map<Fault, Round.Found> through(int mine, int rounds, DoublePredicate goOn) {
        var round = new Round(netlist, poorer, limits);
        for (int i = 0; i < states.size() && !stopped.get(); i++) {
            if (falls(i, rounds) == mine) {
                round.through(states.get(i), i);
                if (!goOn.test((double) done.incrementAndGet() / states.size())) {
                    stopped.set(true);
                }
            }
        }
        return round.worst();
    }

    /**
     * The round that a state falls to: its digits in the number of rounds, summed (the sequence of
     * Thue and Morse), which shares out fairly whatever comes again and again.
     */
    private static int falls(int state, int rounds) {
        int sum = 0;
        for (int rest = state; rounds > 1 && rest > 0; rest /= rounds) {
            sum += rest % rounds;
        }
        return sum % rounds;
    }
}
