package aficion.sweep;

import aficion.catalogue.TimeBand;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Wire;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Kelvins;
import aficion.quantity.Ohms;
import aficion.quantity.Seconds;
import aficion.size.HeatBalance;
import aficion.size.WorstCase;
import aficion.solve.Network;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;

/**
 * Tries every fault in every state. The vehicle is at rest in the state when the fault comes, so
 * relays that have pulled in hold as they would; a fault that changes nothing there is not solved.
 *
 * <p>A wire chafed to earth leads all that battery, leads and joints let through. The guard that
 * opens is the one that needs least time at its slowest edge; a conductor passes its limit when
 * I²·t reaches (k·S)² before that (IEC 60364-5-54, adiabatic), or, when no guard opens, within
 * {@value #FOR_GOOD} s. What is left of the current when the guard has opened is tried again.
 */
public final class Sweep {
    /** A dead short, ohms. */
    private static final double DEAD_SHORT = 0.002;

    /** So long no heat is said to leave a conductor, seconds. */
    private static final double ADIABATIC = 5;

    /** A current that has not grown by as much is not the fault's. */
    private static final double GROWN = 1.5;

    private static final double NOTHING = 1e-6;
    private static final double NO_VOLTS = 0.02;
    private static final int MOST_GUARDS = 8;

    /** What a bad joint adds. */
    private static final List<Ohms> BAD = List.of(new Ohms(0.1), new Ohms(1));

    private final Netlist netlist;
    private final Job job;
    private final Network network;
    private final Solver solver;
    private final Works works;
    private final int[] wires;
    private final double[] limits;
    private final double[] carries;
    private final double[] before;
    private final int[] fuses;
    private final Map<Fault, Effect> worst = new LinkedHashMap<>();

    /**
     * What a short at a node does in the state at hand: the same for every wire that ends there.
     */
    private final Map<Integer, List<Consequence>> shorted = new HashMap<>();

    private Sweep(Netlist netlist) {
        this.netlist = netlist;
        this.job = netlist.job();
        this.network = new Network(netlist, Conditions.REST);
        this.solver = new Solver(network);
        this.works = new Works(netlist, network);
        this.wires = job.wires().stream().mapToInt(netlist::branch).toArray();
        this.limits = job.wires().stream().mapToDouble(Sweep::limit).toArray();
        this.before = new double[wires.length];
        this.carries = job.wires().stream().mapToDouble(Sweep::carries).toArray();
        this.fuses =
                IntStream.range(0, netlist.size())
                        .filter(i -> network.branch(i) instanceof Branch.Trip)
                        .toArray();
    }

    /** (k·S)², in A²·s. */
    private static double limit(Wire wire) {
        double heat = wire.insulation().adiabaticConstant() * wire.conductor().copper().value();
        return heat * heat;
    }

    /** What warms a wire to the limit of its cover where it runs, in amps. */
    private static double carries(Wire wire) {
        double rise = wire.insulation().limit().value() - wire.zone().ambient().value();
        return HeatBalance.carries(wire.conductor(), wire.zone().ambient(), new Kelvins(rise))
                .result()
                .value();
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
        var order = new LinkedHashMap<Fault, Integer>();
        allFaults().forEach(fault -> order.put(fault, order.size()));
        return worst.values().stream()
                .sorted(
                        Comparator.comparing(Effect::danger)
                                .thenComparing(effect -> order.get(effect.fault())))
                .toList();
    }

    private List<Fault> allFaults() {
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
        return faults;
    }

    private void inState(Conditions state) {
        network.calm();
        network.meet(state);
        network.rest();
        if (!solver.comesToRest()) {
            return;
        }
        works.remember(network);
        shorted.clear();
        for (int i = 0; i < wires.length; i++) {
            before[i] = Math.abs(network.amps(wires[i]));
        }
        var base = network.remember();
        for (var wire : job.wires()) {
            int branch = netlist.branch(wire);
            chafed(state, base, wire, branch);
            if (Math.abs(network.amps(branch)) > NOTHING) {
                broken(state, base, new Fault.Broken(wire.id()), branch);
                for (var more : BAD) {
                    double ohms = ((Branch.Resistance) network.branch(branch)).ohms();
                    network.disturb(branch, 1 / (ohms + more.value()), 0, 0);
                    settled(state, new Fault.BadJoint(wire.id(), more));
                    network.recall(base);
                }
            }
        }
        for (var part : job.parts()) {
            if (part.kind() instanceof JoinKind.EarthPoint) {
                int joint = netlist.inside(part.id()).get("joint");
                broken(state, base, new Fault.EarthLost(part.id()), joint);
            }
        }
    }

    private void broken(Conditions state, Network.Memory base, Fault fault, int branch) {
        if (Math.abs(network.amps(branch)) <= NOTHING) {
            return;
        }
        network.disturb(branch, 0, 0, 0);
        settled(state, fault);
        network.recall(base);
    }

    /** What has changed once everything has come to rest. */
    private void settled(Conditions state, Fault fault) {
        var found = new ArrayList<Consequence>();
        if (solver.comesToRest()) {
            works.awakened(network, found);
            works.compare(network, found);
        } else {
            found.add(new Consequence.Restless());
        }
        keep(state, fault, found);
    }

    private void chafed(Conditions state, Network.Memory base, Wire wire, int branch) {
        double ohms = ((Branch.Resistance) network.branch(branch)).ohms();
        double from = Math.abs(network.volts(netlist.a(branch)));
        double to = Math.abs(network.volts(netlist.b(branch)));
        for (var place : Fault.Place.values()) {
            double felt =
                    switch (place) {
                        case FIRST_END -> from;
                        case MIDDLE -> Math.max(from, to);
                        case SECOND_END -> to;
                    };
            if (felt < NO_VOLTS) {
                continue;
            }
            var fault = new Fault.Chafed(wire.id(), place);
            int node = place == Fault.Place.FIRST_END ? netlist.a(branch) : netlist.b(branch);
            var same = place == Fault.Place.MIDDLE ? null : shorted.get(node);
            if (same != null) {
                keep(state, fault, same);
                continue;
            }
            switch (place) {
                case FIRST_END -> network.disturb(branch, 1 / ohms, 1 / DEAD_SHORT, 0);
                case SECOND_END -> network.disturb(branch, 1 / ohms, 0, 1 / DEAD_SHORT);
                case MIDDLE -> {
                    double leg = ohms / 2 + 2 * DEAD_SHORT;
                    double link = ohms + ohms * ohms / 4 / DEAD_SHORT;
                    network.disturb(branch, 1 / link, 1 / leg, 1 / leg);
                }
            }
            var found = new ArrayList<Consequence>();
            burning(found);
            keep(state, fault, found);
            network.recall(base);
            if (place != Fault.Place.MIDDLE) {
                shorted.put(node, found);
            }
        }
    }

    /** Lets guards open one after another while what flows harms; then what has changed. */
    private void burning(List<Consequence> found) {
        for (int guard = 0; guard < MOST_GUARDS; guard++) {
            if (!solver.movesCoils()) {
                found.add(new Consequence.Restless());
                return;
            }
            if (guard == 0) {
                works.awakened(network, found);
            }
            int first = firstToOpen();
            double within = first < 0 ? Double.POSITIVE_INFINITY : seconds(first);
            burnt(within).ifPresent(found::add);
            if (first < 0) {
                break;
            }
            var part = netlist.partOf(first).orElseThrow();
            found.add(
                    new Consequence.Opens(
                            new FuseSeat(part, netlist.roleOf(first)),
                            new Amps(Math.abs(network.amps(first))),
                            new Seconds(within)));
            network.fuse(first, false);
        }
        works.compare(network, found);
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

    /** The wire that passes its limit first within a time. */
    private Optional<Consequence> burnt(double within) {
        int weakest = -1;
        double soonest = Math.min(within, ADIABATIC);
        int hottest = -1;
        double most = 1;
        for (int i = 0; i < wires.length; i++) {
            double amps = Math.abs(network.amps(wires[i]));
            if (amps < GROWN * before[i]) {
                continue;
            }
            double lasts = limits[i] / (amps * amps);
            if (lasts < soonest) {
                soonest = lasts;
                weakest = i;
            }
            if (amps > most * carries[i]) {
                most = amps / carries[i];
                hottest = i;
            }
        }
        if (weakest >= 0) {
            return Optional.of(
                    new Consequence.Burns(
                            job.wires().get(weakest).id(),
                            new Amps(Math.abs(network.amps(wires[weakest]))),
                            new Seconds(soonest)));
        }
        return hottest >= 0 && within > ADIABATIC
                ? Optional.of(
                        new Consequence.Overheats(
                                job.wires().get(hottest).id(),
                                new Amps(Math.abs(network.amps(wires[hottest]))),
                                new Amps(carries[hottest])))
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
