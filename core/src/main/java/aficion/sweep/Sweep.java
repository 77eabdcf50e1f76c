package aficion.sweep;

import aficion.catalogue.TimeBand;
import aficion.catalogue.Zone;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Seconds;
import aficion.size.Guard;
import aficion.size.Guards;
import aficion.size.ShortCircuit;
import aficion.size.WorstCase;
import aficion.solve.Expectation;
import aficion.solve.Network;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Tries every fault in every state. The vehicle is at rest in the state when the fault comes, so
 * relays that have pulled in hold as they would; a fault that changes nothing there is not solved.
 *
 * <p>A wire chafed to earth leads all that battery, leads and joints let through. The guard that
 * opens is the one that needs least time at its slowest edge; a conductor passes its limit when
 * I²·t reaches (k·S)² before that (IEC 60364-5-54, adiabatic), or its cover gets too hot where that
 * takes longer ({@link ShortCircuit}). What is left of the current when the guard has opened is
 * tried again.
 */
public final class Sweep {
    /** A dead short, ohms. */
    private static final double DEAD_SHORT = 0.002;

    private static final double ADIABATIC = ShortCircuit.ADIABATIC;

    /** What has opened within so many seconds was not seen to run or glow. */
    private static final double SEEN = 0.5;

    /** A current that has not grown by as much is not the fault's. */
    private static final double GROWN = 1.5;

    /** So long a starter is turned at a time, seconds (typical). */
    private static final double CRANKED = 5;

    private static final double NOTHING = 1e-6;
    private static final double NO_VOLTS = 0.02;

    /** How far the engine may stand from the body while it is cranked, share of the volts. */
    private static final double ENGINE_VOLTS = 0.1;

    private static final int MOST_GUARDS = 8;

    /** What a bad joint adds. */
    private static final List<Ohms> BAD = List.of(new Ohms(0.1), new Ohms(1));

    private final Netlist netlist;
    private final Job job;
    private final Network network;
    private final Solver solver;
    private final Expectation expectation;
    private final Works works;
    private final int[] wires;
    private final ShortCircuit[] stands;
    private final double[] overload;
    private final double[] before;
    private final int[] fuses;
    private final Map<Fault, Integer> order;
    private final Map<Fault, Effect> worst = new LinkedHashMap<>();

    /**
     * What a short at a node does in the state at hand: the same for every wire that ends there.
     */
    private final Map<Integer, Reached> shorted = new HashMap<>();

    /** What follows a guard that has opened in the state at hand. */
    private final Map<Opened, Reached> opened = new HashMap<>();

    /** Where the last search without a guard ended. */
    private final Map<Integer, Network.Memory> lastWithout = new HashMap<>();

    private Network.Memory base;

    /** How long the state at hand may last, seconds. */
    private double holds = Double.POSITIVE_INFINITY;

    /** What lies bare at the moment, or did last. */
    private Bare bare = new Bare(Branch.NONE, 0, 0, 0, 0);

    /** Where the last short came to: the next is mostly its neighbour. */
    private Network.Memory lastShort;

    private Sweep(Netlist netlist) {
        this.netlist = netlist;
        this.job = netlist.job();
        this.order = order(job);
        this.network = new Network(netlist, Conditions.REST, Network.Accuracy.ROUGH);
        this.solver = new Solver(network);
        this.expectation = new Expectation(network);
        this.works = new Works(netlist, network);
        this.base = network.remember();
        this.lastShort = base;
        this.wires = job.wires().stream().mapToInt(netlist::branch).toArray();
        this.stands = job.wires().stream().map(ShortCircuit::of).toArray(ShortCircuit[]::new);
        this.overload = new double[wires.length];
        var guards = Guards.of(job);
        for (int i = 0; i < wires.length; i++) {
            overload[i] =
                    bounds(job.wires().get(i), guards)
                            .mapToDouble(stands[i]::overload)
                            .max()
                            .orElse(0);
        }
        this.before = new double[wires.length];
        this.fuses =
                IntStream.range(0, netlist.size())
                        .filter(i -> network.branch(i) instanceof Branch.Trip)
                        .toArray();
    }

    /** The guards that bound what a wire is overloaded with: its own, or the one it leads to. */
    private Stream<Guard.Fitted> bounds(Wire wire, Map<WireId, Guard> guards) {
        var guard = guards.get(wire.id());
        var own = guard instanceof Guard.Unguarded ? Guards.next(job, wire) : guard.fuse();
        return Stream.concat(own.stream(), Guards.ending(job, wire, guard).stream());
    }

    /**
     * What every fault does in the state where it is worst, worst first; faults without consequence
     * are left out. Equal dangers stand in the order of the job.
     *
     * @param goOn asked with the share done after each state; false ends it early, with what is
     *     known
     */
    public static List<Effect> of(
            Netlist netlist, Collection<Conditions> states, DoublePredicate goOn) {
        var sweep = new Sweep(netlist);
        int done = 0;
        for (var state : states) {
            sweep.inState(state);
            if (!goOn.test((double) ++done / states.size())) {
                break;
            }
        }
        return sweep.ranked();
    }

    /** The same over all operating states of the job, to its end. */
    public static List<Effect> of(Netlist netlist) {
        return of(netlist, WorstCase.states(new Solver(netlist)), _ -> true);
    }

    private List<Effect> ranked() {
        return worst.values().stream()
                .sorted(
                        Comparator.comparing(Effect::danger)
                                .thenComparing(effect -> order.get(effect.fault())))
                .toList();
    }

    /** Every fault and its place in the order of the job. */
    private static Map<Fault, Integer> order(Job job) {
        var faults = new ArrayList<Fault>();
        for (var wire : job.wires()) {
            for (var place : Fault.Place.values()) {
                faults.add(new Fault.Chafed(wire.id(), place));
            }
            faults.add(new Fault.Broken(wire.id()));
            BAD.forEach(more -> faults.add(new Fault.BadJoint(wire.id(), more)));
        }
        for (var part : job.parts()) {
            if (part.kind() instanceof JoinKind.EarthPoint) {
                faults.add(new Fault.EarthLost(part.id()));
            }
        }
        var order = new LinkedHashMap<Fault, Integer>();
        faults.forEach(fault -> order.put(fault, order.size()));
        return order;
    }

    private void inState(Conditions state) {
        network.calm();
        solver.arrive(state);
        if (!solver.comesToRest()) {
            return;
        }
        holds = lasts(state);
        works.remember(network);
        for (int i = 0; i < wires.length; i++) {
            before[i] = Math.abs(network.amps(wires[i]));
        }
        base = network.remember();
        var poorer = poorer();
        shorted.clear();
        opened.clear();
        lastWithout.clear();
        lastShort = base;
        job.wires().forEach(wire -> chafed(state, wire));
        poorer.forEach(fault -> {
            network.disturb(fault.branch(), fault.conductance(), 0, 0);
            keep(state, fault.fault(), settled());
            network.recall(base);
        });
    }

    /** How long a state may last: what a hand holds, and nobody cranks for long. */
    private double lasts(Conditions state) {
        boolean turns =
                job.parts().stream()
                        .filter(part -> LoadKind.cranks(part.kind()))
                        .flatMap(part -> netlist.inside(part.id()).entrySet().stream())
                        .filter(role ->
                                role.getKey().equals("motor") || role.getKey().equals("body"))
                        .anyMatch(role -> Math.abs(network.amps(role.getValue())) > NOTHING);
        if (turns) {
            return CRANKED;
        }
        return OperatingStates.isHeld(job, state)
                ? job.rules().shortTime().value()
                : Double.POSITIVE_INFINITY;
    }

    /** A branch that conducts less, or not at all. */
    private record Poorer(Fault fault, int branch, double conductance) {}

    /** What may matter of broken wires, bad joints and lost earths in the state at hand. */
    private List<Poorer> poorer() {
        return order.keySet().stream()
                .flatMap(fault -> poorer(fault).stream())
                .filter(fault -> Math.abs(network.amps(fault.branch())) > NOTHING)
                .filter(fault -> !harmless(fault.branch(), fault.conductance()))
                .toList();
    }

    private Optional<Poorer> poorer(Fault fault) {
        return switch (fault) {
            case Fault.Broken(var wire) ->
                    Optional.of(new Poorer(fault, netlist.branch(job.wire(wire)), 0));
            case Fault.BadJoint(var wire, var more) -> {
                int branch = netlist.branch(job.wire(wire));
                yield Optional.of(new Poorer(fault, branch, 1 / (ohms(branch) + more.value())));
            }
            case Fault.EarthLost(var earth) ->
                    Optional.of(new Poorer(fault, netlist.inside(earth).get("joint"), 0));
            case Fault.Chafed _ -> Optional.empty();
        };
    }

    private double ohms(int wire) {
        return ((Branch.Resistance) network.branch(wire)).ohms();
    }

    /** Whether even twice the change it leads to, were all slopes to stay, changes nothing. */
    private boolean harmless(int branch, double conductance) {
        if (!expectation.of(branch, conductance)) {
            return false;
        }
        for (int coil = 0; coil < network.coils(); coil++) {
            if (expectation.moves(coil)) {
                return false;
            }
        }
        for (int fuse : fuses) {
            if (network.whole(fuse)
                    && Math.abs(expectation.amps(fuse))
                            >= ((Branch.Trip) network.branch(fuse)).opens()) {
                return false;
            }
        }
        var found = new ArrayList<Consequence>();
        works.awakened(expectation::amps, found);
        works.compare(expectation::amps, found);
        return found.isEmpty();
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

    /** A wire that lies bare against the body: what it is then between its ends, and from each. */
    private record Bare(
            int branch, double conductance, double toEarthA, double toEarthB, double half) {}

    /** The current of the half of a chafed wire that carries more, where it is chafed half way. */
    private double halves() {
        double a = network.volts(netlist.a(bare.branch));
        double b = network.volts(netlist.b(bare.branch));
        double middle = (a + b) / (2 + bare.half / DEAD_SHORT);
        return Math.max(Math.abs(a - middle), Math.abs(b - middle)) / bare.half;
    }

    private Bare bare(int branch, Fault.Place place) {
        double ohms = ohms(branch);
        return switch (place) {
            case FIRST_END -> new Bare(branch, 1 / ohms, 1 / DEAD_SHORT, 0, 0);
            case SECOND_END -> new Bare(branch, 1 / ohms, 0, 1 / DEAD_SHORT, 0);
            case MIDDLE -> {
                double leg = ohms / 2 + 2 * DEAD_SHORT;
                double link = ohms + ohms * ohms / 4 / DEAD_SHORT;
                yield new Bare(branch, 1 / link, 1 / leg, 1 / leg, ohms / 2);
            }
        };
    }

    private void disturb(Bare chafed) {
        bare = chafed;
        network.disturb(bare.branch, bare.conductance, bare.toEarthA, bare.toEarthB);
    }

    /**
     * Whether what a chafe touches has no volts anyway; on the engine, which is earth to what is
     * earthed there.
     */
    private boolean dead(Bare bare, Network.Memory state, Zone zone) {
        double none =
                zone == Zone.ON_ENGINE ? ENGINE_VOLTS * job.vehicle().system().value() : NO_VOLTS;
        double a = bare.toEarthA > 0 ? state.volts(netlist.a(bare.branch)) : 0;
        double b = bare.toEarthB > 0 ? state.volts(netlist.b(bare.branch)) : 0;
        return Math.abs(a) < none && Math.abs(b) < none;
    }

    private void chafed(Conditions state, Wire wire) {
        int branch = netlist.branch(wire);
        for (var place : Fault.Place.values()) {
            var bare = bare(branch, place);
            if (!dead(bare, base, wire.zone())) {
                var reached =
                        switch (place) {
                            case FIRST_END ->
                                    shorted.computeIfAbsent(netlist.a(branch), _ -> burning(bare));
                            case MIDDLE -> burning(bare);
                            case SECOND_END ->
                                    shorted.computeIfAbsent(netlist.b(branch), _ -> burning(bare));
                        };
                lastShort = reached.state();
                keep(state, new Fault.Chafed(wire.id(), place), reached.consequences());
            }
        }
    }

    /** What a chafe does: with everything whole, then as guards open one after another. */
    private Reached burning(Bare bare) {
        disturb(bare);
        network.beginFrom(lastShort);
        var found = new ArrayList<Consequence>();
        boolean rests = solver.movesCoils();
        var state = network.remember();
        if (!rests) {
            found.add(new Consequence.Restless());
        } else {
            int first = opens(found);
            if (first < 0 || seconds(first) > SEEN) {
                works.awakened(network::amps, found);
            }
            if (first < 0) {
                works.compare(network::amps, found);
            } else {
                found.addAll(after(first, bare, state));
            }
        }
        network.recall(base);
        return new Reached(state, found);
    }

    /**
     * What follows when the first guard has opened. What it leaves without volts may lie against
     * the body or not: then all that follows is the guard's doing, worked out once.
     */
    private List<Consequence> after(int guard, Bare bare, Network.Memory before) {
        var alone =
                opened.computeIfAbsent(
                        new Opened(guard, solver.coils()),
                        _ -> {
                            network.calm();
                            return without(guard);
                        });
        if (dead(bare, alone.state(), Zone.CABIN)) {
            return alone.consequences();
        }
        network.recall(before);
        disturb(bare);
        return without(guard).consequences();
    }

    /** A guard that has opened, and the coils that were pulled in when it did. */
    private record Opened(int guard, BitSet coils) {}

    /** Where the network has come to, and what has happened on the way. */
    private record Reached(Network.Memory state, List<Consequence> consequences) {}

    /** Opens a guard, and others after it while what flows harms. */
    private Reached without(int guard) {
        var found = new ArrayList<Consequence>();
        network.beginFrom(lastWithout.getOrDefault(guard, base));
        int open = guard;
        for (int turn = 0; open >= 0 && turn < MOST_GUARDS; turn++) {
            network.fuse(open, false);
            if (!solver.movesCoils()) {
                found.add(new Consequence.Restless());
                return new Reached(network.remember(), found);
            }
            open = opens(found);
        }
        works.awakened(network::amps, found);
        works.compare(network::amps, found);
        var state = network.remember();
        lastWithout.put(guard, state);
        return new Reached(state, found);
    }

    /** The guard that opens next, and what burns before it does; −1 where none opens. */
    private int opens(List<Consequence> found) {
        int first = firstToOpen();
        double within = first < 0 ? Double.POSITIVE_INFINITY : seconds(first);
        burnt(within).ifPresent(found::add);
        if (first >= 0) {
            var part = netlist.partOf(first).orElseThrow();
            found.add(
                    new Consequence.Opens(
                            new FuseSeat(part, netlist.roleOf(first)),
                            new Amps(Math.abs(network.amps(first))),
                            new Seconds(within)));
        }
        return first;
    }

    private double seconds(int fuse) {
        var trip = (Branch.Trip) network.branch(fuse);
        return trip.type().seconds(trip.marking(), network.amps(fuse), TimeBand.Edge.SLOWEST);
    }

    private int firstToOpen() {
        int first = -1;
        double soonest = Double.POSITIVE_INFINITY;
        for (int fuse : fuses) {
            if (network.whole(fuse) && seconds(fuse) < soonest) {
                soonest = seconds(fuse);
                first = fuse;
            }
        }
        return first;
    }

    private double amps(int wire) {
        boolean halved =
                bare.half > 0 && bare.branch == wires[wire] && network.disturbed(bare.branch);
        return halved ? halves() : Math.abs(network.amps(wires[wire]));
    }

    /** The wire that passes its limit first within a time, or while a hand holds the state. */
    private Optional<Consequence> burnt(double opens) {
        double within = Math.min(opens, holds);
        int weakest = -1;
        double soonest = Math.min(within, ADIABATIC);
        int hottest = -1;
        double most = 1;
        for (int i = 0; i < wires.length; i++) {
            double amps = amps(i);
            if (amps < GROWN * before[i]) {
                continue;
            }
            double lasts = stands[i].stands() / (amps * amps);
            if (lasts < soonest) {
                soonest = lasts;
                weakest = i;
            }
            double allowed = Math.max(overload[i], stands[i].carries(within));
            if (within > ADIABATIC && amps > most * allowed) {
                most = amps / allowed;
                hottest = i;
            }
        }
        if (weakest >= 0) {
            return Optional.of(
                    new Consequence.Burns(
                            job.wires().get(weakest).id(),
                            new Amps(amps(weakest)),
                            new Seconds(soonest)));
        }
        return hottest >= 0
                ? Optional.of(
                        new Consequence.Overheats(
                                job.wires().get(hottest).id(),
                                new Amps(amps(hottest)),
                                new Amps(stands[hottest].forGood())))
                : Optional.empty();
    }

    private void keep(Conditions state, Fault fault, List<Consequence> found) {
        if (found.isEmpty()) {
            return;
        }
        var ordered = new ArrayList<>(found);
        ordered.sort(Comparator.comparing(Consequence::danger));
        var effect = new Effect(fault, state, ordered);
        worst.merge(
                fault,
                effect,
                (before, now) -> now.danger().compareTo(before.danger()) < 0 ? now : before);
    }
}
