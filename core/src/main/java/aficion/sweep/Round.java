package aficion.sweep;

import aficion.catalogue.Zone;
import aficion.fault.Fault;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.solve.Network;
import aficion.solve.Solver;
import aficion.solve.SuperpositionEstimate;
import aficion.sweep.Consequence.Danger;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Tries every fault in one state after another, on a network of its own, and keeps the worst of
 * each.
 *
 * <p>A wire chafed to earth leads all that battery, leads and joints let through. The guard that
 * opens is the one that needs least time at its slowest edge; a conductor passes its limit when
 * I²·t reaches (k·S)² before that (IEC 60364-5-54, adiabatic), or its cover gets too hot where that
 * takes longer ({@link aficion.size.ShortCircuit}). What is left of the current when the guard has
 * opened is tried again.
 */
final class Round {
    /** What has opened within so many seconds was not seen to run or glow. */
    private static final double SEEN = 0.5;

    /** So long a starter is turned at a time, seconds (typical). */
    private static final double CRANKED = 5;

    private static final double NOTHING = 1e-6;
    private static final int MOST_GUARDS = 8;

    private final Netlist netlist;
    private final Design design;
    private final Network network;
    private final Solver solver;
    private final SuperpositionEstimate expectation;
    private final LoadBaseline works;
    private final Guardians guards;
    private final Scorching scorching;
    private final List<Poorer> poorer;
    private final Map<Fault, Found> worst = new LinkedHashMap<>();
    private final List<Consequence> expected = new ArrayList<>();

    /**
     * What a short at a node does in the state at hand: the same for every wire that ends there.
     */
    private final Map<Integer, Reached> shorted = new HashMap<>();

    /** What follows a guard that has opened in the state at hand. */
    private final Map<Opened, Reached> opened = new HashMap<>();

    /** Where the last search without a guard ended. */
    private final Map<Integer, Network.Memory> lastWithout = new HashMap<>();

    private final Network.Memory fresh;
    private Network.Memory base;

    /** How long the state at hand may last, seconds. */
    private double holds = Double.POSITIVE_INFINITY;

    /** What lies bare at the moment, or did last. */
    private Chafe chafe = Chafe.NONE;

    /** Where the last short came to: the next is mostly its neighbour. */
    private Network.Memory lastShort;

    /** What a fault does in the state of that place among all. */
    record Found(Effect effect, int state) {
        Found worse(Found other) {
            int danger = effect.danger().compareTo(other.effect.danger());
            return danger < 0 || danger == 0 && state <= other.state ? this : other;
        }
    }

    /** A guard that has opened, and the coils that were pulled in when it did. */
    private record Opened(int guard, BitSet coils) {}

    /** Where the network has come to, and what has happened on the way. */
    private record Reached(Network.Memory state, List<Consequence> consequences) {}

    Round(Netlist netlist, List<Poorer> poorer, Scorching.Limits limits) {
        this.netlist = netlist;
        this.design = netlist.design();
        this.network = new Network(netlist, Conditions.REST, Network.Accuracy.ROUGH);
        this.solver = new Solver(network);
        this.expectation = new SuperpositionEstimate(network);
        this.works = new LoadBaseline(netlist, network);
        this.guards = new Guardians(netlist, network);
        this.scorching = new Scorching(network, limits);
        this.fresh = network.remember();
        this.base = fresh;
        this.lastShort = base;
        this.poorer = List.copyOf(poorer);
    }

    /**
     * The worst of every fault since this was asked last, then forgotten here; faults without
     * consequence are left out.
     */
    Map<Fault, Found> taken() {
        var taken = new LinkedHashMap<>(worst);
        worst.clear();
        return taken;
    }

    /**
     * Tries the faults of one of several equal shares, wire by wire, in a state that is come to.
     *
     * @param place the place of the state among all
     */
    void through(Conditions state, int place, int share, int shares) {
        network.startOver(fresh);
        solver.arrive(state);
        if (!solver.comesToRest()) {
            return;
        }
        holds = lasts(state);
        works.remember(network);
        scorching.remember(state);
        base = network.remember();
        var wires = share(design.wires(), share, shares);
        var matters = matters(share(poorer, share, shares));
        shorted.clear();
        opened.clear();
        lastWithout.clear();
        lastShort = base;
        for (var wire : wires) {
            for (var where : Fault.Place.values()) {
                chafed(wire, where, state, place);
            }
        }
        for (var each : matters) {
            network.disturb(each.branch(), conductance(each), 0, 0);
            keep(each.fault(), settled(), state, place);
            network.recall(base);
        }
    }

    private static <T> List<T> share(List<T> all, int share, int shares) {
        return all.subList(all.size() * share / shares, all.size() * (share + 1) / shares);
    }

    /** How long a state may last: what a hand holds, and nobody cranks for long. */
    private double lasts(Conditions state) {
        if (netlist.cranking().anyMatch(branch -> Math.abs(network.amps(branch)) > NOTHING)) {
            return CRANKED;
        }
        return OperatingStates.isHeld(netlist.controls(), state)
                ? design.rules().shortTime().value()
                : Double.POSITIVE_INFINITY;
    }

    private @Nullable Danger known(Fault fault) {
        var found = worst.get(fault);
        return found == null ? null : found.effect.danger();
    }

    /** What may be worse of broken wires, bad joints and lost earths than is known of them. */
    private List<Poorer> matters(List<Poorer> mine) {
        var matters = new ArrayList<Poorer>();
        int asked = Branch.NONE;
        for (var each : mine) {
            var known = known(each.fault());
            if (known == Danger.BURNS || Math.abs(network.amps(each.branch())) <= NOTHING) {
                continue;
            }
            if (each.branch() != asked) {
                expectation.at(each.branch());
                asked = each.branch();
            }
            if (mayBeWorse(each, known)) {
                matters.add(each);
            }
        }
        return matters;
    }

    private double conductance(Poorer fault) {
        return fault.conductance(ohms(fault.branch()));
    }

    private double ohms(int branch) {
        return ((Branch.Resistance) network.branch(branch)).ohms();
    }

    /**
     * Whether twice the change it leads to, were all slopes to stay, moves a coil, overloads a
     * guard or does worse than is known.
     */
    private boolean mayBeWorse(Poorer fault, @Nullable Danger known) {
        if (!expectation.of(conductance(fault))) {
            return true;
        }
        for (int coil = 0; coil < network.coils(); coil++) {
            if (expectation.moves(coil)) {
                return true;
            }
        }
        if (guards.overloaded(expectation::amps) || misleads(known)) {
            return true;
        }
        expected.clear();
        works.awakened(expectation::amps, expected);
        works.compare(expectation::amps, expected);
        for (var each : expected) {
            if (known == null || each.danger().compareTo(known) < 0) {
                return true;
            }
        }
        return false;
    }

    /** Twice the change takes a needle to rest that half of it may leave anywhere. */
    private boolean misleads(@Nullable Danger known) {
        boolean worse = known == null || Danger.MISLEADS.compareTo(known) < 0;
        return worse && works.moved(expectation::amps);
    }

    /** What has changed once everything has come to rest. */
    private List<Consequence> settled() {
        var found = new ArrayList<Consequence>();
        if (solver.comesToRest()) {
            works.awakened(network::amps, found);
            works.compare(network::amps, found);
        } else {
            found.add(new Consequence.Restless());
        }
        return found;
    }

    private void chafed(Wire wire, Fault.Place where, Conditions state, int place) {
        var fault = new Fault.Chafed(wire.id(), where);
        int branch = netlist.branch(wire);
        var bare = Chafe.of(netlist, branch, ohms(branch), where);
        if (known(fault) == Danger.BURNS || touchesNothing(bare, base, wire.zone())) {
            return;
        }
        var reached =
                switch (where) {
                    case FIRST_END -> shorted.computeIfAbsent(bare.a(), _ -> burning(bare));
                    case MIDDLE -> burning(bare);
                    case SECOND_END -> shorted.computeIfAbsent(bare.b(), _ -> burning(bare));
                };
        lastShort = reached.state;
        keep(fault, reached.consequences, state, place);
    }

    private boolean touchesNothing(Chafe bare, Network.Memory state, Zone zone) {
        return bare.touchesNothing(state, zone, design.vehicle().system().value());
    }

    private void disturb(Chafe bare) {
        chafe = bare;
        bare.disturb(network);
    }

    /** What a chafe does: with everything whole, then as guards open one after another. */
    private Reached burning(Chafe bare) {
        disturb(bare);
        network.beginFrom(lastShort);
        var found = new ArrayList<Consequence>();
        boolean rests = solver.movesCoils();
        var state = network.remember();
        if (!rests) {
            found.add(new Consequence.Restless());
        } else {
            var first = opens(found);
            if (first.filter(opening -> opening.within() <= SEEN).isEmpty()) {
                works.awakened(network::amps, found);
            }
            if (first.isEmpty()) {
                works.compare(network::amps, found);
            } else {
                found.addAll(after(first.get().branch(), bare, state));
            }
        }
        network.recall(base);
        return new Reached(state, found);
    }

    /**
     * What follows when the first guard has opened. What it leaves without volts may lie against
     * the body or not: then all that follows is the guard's doing, worked out once.
     */
    private List<Consequence> after(int guard, Chafe bare, Network.Memory before) {
        var alone =
                opened.computeIfAbsent(
                        new Opened(guard, solver.coils()),
                        _ -> {
                            network.calm();
                            return without(guard);
                        });
        if (touchesNothing(bare, alone.state, Zone.CABIN)) {
            return alone.consequences;
        }
        network.recall(before);
        disturb(bare);
        return without(guard).consequences;
    }

    /** Opens a guard, and others after it while what flows harms. */
    private Reached without(int guard) {
        var found = new ArrayList<Consequence>();
        network.beginFrom(lastWithout.getOrDefault(guard, base));
        var open = Optional.of(guard);
        for (int turn = 0; open.isPresent() && turn < MOST_GUARDS; turn++) {
            network.fuse(open.get(), false);
            if (!solver.movesCoils()) {
                found.add(new Consequence.Restless());
                return new Reached(network.remember(), found);
            }
            open = opens(found).map(Guardians.Opening::branch);
        }
        works.awakened(network::amps, found);
        works.compare(network::amps, found);
        var state = network.remember();
        lastWithout.put(guard, state);
        return new Reached(state, found);
    }

    /** The guard that opens next, and what burns before it does, or while a hand holds. */
    private Optional<Guardians.Opening> opens(List<Consequence> found) {
        var first = guards.next();
        double within = first.map(Guardians.Opening::within).orElse(Double.POSITIVE_INFINITY);
        scorching.burnt(Math.min(within, holds), chafe).ifPresent(found::add);
        first.ifPresent(opening -> found.add(opening.consequence()));
        return first;
    }

    private void keep(Fault fault, List<Consequence> found, Conditions state, int place) {
        if (found.isEmpty()) {
            return;
        }
        var ordered = new ArrayList<>(found);
        ordered.sort(Comparator.comparing(Consequence::danger));
        var now = new Found(new Effect(fault, state, ordered), place);
        worst.merge(fault, now, Found::worse);
    }
}
