package aficion.sweep;

import aficion.fault.Fault;
import aficion.job.JoinKind;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.size.WorstCase;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;

/**
 * Tries every fault of a design in every state it is asked for. The vehicle is at rest in the state
 * when the fault comes, so relays that have pulled in hold as they would; a fault that changes
 * nothing there is not solved.
 *
 * <p>States are shared out among as many {@link Round}s as there are processors, each with a
 * network of its own; a state alone is shared out too, by its faults. A round knows the worst of
 * every fault in the states it has been through, and solves only what may be worse; what comes out
 * does not depend on how many rounds there are.
 *
 * <p>Kept with a design, it keeps what is worked out once: what guards and stands each wire, the
 * order of every network. Any thread may ask.
 */
public final class Sweep {
    private final Netlist netlist;
    private final List<Poorer> poorer;
    private final Scorching.Limits limits;
    private final Map<Fault, Integer> order;
    private final Queue<Round> idle = new ConcurrentLinkedQueue<>();

    private Sweep(Netlist netlist) {
        this.netlist = netlist;
        this.poorer = poorer(netlist);
        this.limits = Scorching.Limits.of(netlist);
        this.order = order();
    }

    /** The faults of a design, ready to be tried. */
    public static Sweep of(Netlist netlist) {
        return new Sweep(netlist);
    }

    /**
     * What every fault does in the state where it is worst, worst first; faults without consequence
     * are left out. Equal dangers stand in the order of the job.
     *
     * @param goOn asked at the start and now and then with the share done, on the thread that
     *     calls; false ends it early, with what is known
     */
    public List<Effect> effects(Collection<Conditions> states, DoublePredicate goOn) {
        return new Run(states)
                .worst(goOn).values().stream()
                        .map(Round.Found::effect)
                        .sorted(
                                Comparator.comparing(Effect::danger)
                                        .thenComparing(effect -> order.get(effect.fault())))
                        .toList();
    }

    /** The same over all operating states of the design, to its end. */
    public List<Effect> effects() {
        return effects(WorstCase.states(netlist), _ -> true);
    }

    /** Every broken wire, bad joint and lost earth, in the order of the job. */
    private static List<Poorer> poorer(Netlist netlist) {
        var poorer = new ArrayList<Poorer>();
        for (var wire : netlist.design().wires()) {
            int branch = netlist.branch(wire);
            poorer.add(new Poorer(new Fault.Broken(wire.id()), branch, Poorer.GONE));
            Fault.BAD.forEach(more ->
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
            Fault.BAD.forEach(more -> order.put(new Fault.BadJoint(wire.id(), more), order.size()));
        }
        poorer.forEach(weak -> order.putIfAbsent(weak.fault(), order.size()));
        return order;
    }

    /** Once through some states. */
    private final class Run {
        private final List<Conditions> states;

        /** Into how many shares the faults of a state fall. */
        private final int shares;

        private final AtomicInteger next = new AtomicInteger();
        private final AtomicInteger done = new AtomicInteger();
        private final AtomicBoolean stopped = new AtomicBoolean();

        Run(Collection<Conditions> states) {
            this.states = List.copyOf(states);
            this.shares = this.states.size() == 1 ? 2 : 1;
        }

        Map<Fault, Round.Found> worst(DoublePredicate goOn) {
            int rounds = Math.clamp(tasks(), 1, Runtime.getRuntime().availableProcessors());
            var others =
                    IntStream.range(1, rounds)
                            .mapToObj(_ -> CompletableFuture.supplyAsync(() -> through(_ -> true)))
                            .toList();
            var worst = throughHere(goOn);
            for (var other : others) {
                other.join()
                        .forEach((fault, found) -> worst.merge(fault, found, Round.Found::worse));
            }
            return worst;
        }

        private int tasks() {
            return states.size() * shares;
        }

        /** The round of the thread that asks; what ends it ends the others. */
        private Map<Fault, Round.Found> throughHere(DoublePredicate goOn) {
            boolean whole = false;
            try {
                var worst = through(goOn);
                whole = true;
                return worst;
            } finally {
                stopped.compareAndSet(false, !whole);
            }
        }

        private boolean goesOn(DoublePredicate goOn) {
            if (!stopped.get() && !goOn.test((double) done.get() / tasks())) {
                stopped.set(true);
            }
            return !stopped.get();
        }

        /** Takes one task after another, in their order, until all are taken. */
        private Map<Fault, Round.Found> through(DoublePredicate goOn) {
            var round =
                    Optional.ofNullable(idle.poll())
                            .orElseGet(() -> new Round(netlist, poorer, limits));
            while (goesOn(goOn)) {
                int task = next.getAndIncrement();
                if (task >= tasks()) {
                    break;
                }
                int state = task / shares;
                round.through(states.get(state), state, task % shares, shares);
                done.incrementAndGet();
            }
            var worst = round.taken();
            idle.add(round);
            return worst;
        }
    }
}
