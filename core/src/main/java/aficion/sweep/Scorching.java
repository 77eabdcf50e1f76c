package aficion.sweep;

import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Seconds;
import aficion.size.Guard;
import aficion.size.Guards;
import aficion.size.ShortCircuit;
import aficion.solve.Network;
import java.util.HashMap;
import java.util.Optional;
import java.util.stream.Stream;

/** What every wire stands, and which passes its limit first with what flows in a network. */
final class Scorching {
    /** A current that has not grown by as much is not the fault's. */
    private static final double GROWN = 1.5;

    private final Network network;
    private final Limits limits;
    private final double[] before;
    private int[] flat = {};

    /**
     * What the wires of a design stand, in its order: the same in every state.
     *
     * @param overload what each is overloaded with at the most before a guard opens, amps
     */
    record Limits(WireId[] wires, int[] branches, ShortCircuit[] stands, double[] overload) {
        static Limits of(Netlist netlist) {
            var design = netlist.design();
            var guards = Guards.in(design);
            var known = new HashMap<Laying, ShortCircuit>();
            var stands =
                    design.wires().stream()
                            .map(wire ->
                                    known.computeIfAbsent(
                                            Laying.of(wire), _ -> ShortCircuit.of(wire)))
                            .toArray(ShortCircuit[]::new);
            var overload = new double[stands.length];
            for (int i = 0; i < stands.length; i++) {
                overload[i] =
                        bounds(guards, design.wires().get(i))
                                .mapToDouble(stands[i]::overload)
                                .max()
                                .orElse(0);
            }
            return new Limits(
                    design.wires().stream().map(Wire::id).toArray(WireId[]::new),
                    design.wires().stream().mapToInt(netlist::branch).toArray(),
                    stands,
                    overload);
        }
    }

    /** What a wire stands follows from its conductor, its cover and where it runs. */
    private record Laying(WireSize size, Insulation cover, Zone zone) {
        static Laying of(Wire wire) {
            return new Laying(wire.size(), wire.insulation(), wire.zone());
        }
    }

    Scorching(Network network, Limits limits) {
        this.network = network;
        this.limits = limits;
        this.before = new double[limits.branches.length];
    }

    /** The guards that bound what a wire is overloaded with: its own, or the one it leads to. */
    private static Stream<Guard.Fitted> bounds(Guards guards, Wire wire) {
        var guard = guards.of(wire.id());
        var own = guard instanceof Guard.Unguarded ? guards.next(wire) : guard.fuse();
        return Stream.concat(own.stream(), guards.ending(wire, guard).stream());
    }

    /** Remembers what every wire carries before the faults, and which batteries are flat. */
    void remember(Conditions state) {
        flat =
                state.charge().value() > 0
                        ? new int[0]
                        : network.netlist()
                                .sources()
                                .filter(i -> network.branch(i) instanceof Branch.Source)
                                .toArray();
        for (int i = 0; i < before.length; i++) {
            before[i] = Math.abs(network.amps(limits.branches[i]));
        }
    }

    private double amps(int wire, Chafe chafe) {
        return limits.branches[wire] == chafe.branch() && chafe.isHalved(network)
                ? chafe.halves(network)
                : Math.abs(network.amps(limits.branches[wire]));
    }

    /** What flat batteries give: for seconds at most, amps. */
    private double lent() {
        double lent = 0;
        for (int battery : flat) {
            lent += Math.max(0, -network.amps(battery));
        }
        return lent;
    }

    /**
     * The wire that passes its limit first within a time. A flat battery gives nothing for longer.
     *
     * @param within seconds
     * @param chafe what lies bare meanwhile, or did last
     */
    Optional<Consequence> burnt(double within, Chafe chafe) {
        int weakest = -1;
        double soonest = Math.min(within, ShortCircuit.ADIABATIC);
        int hottest = -1;
        double most = 1;
        double lent = lent();
        for (int i = 0; i < before.length; i++) {
            double amps = amps(i, chafe);
            if (amps < GROWN * before[i]) {
                continue;
            }
            if (limits.stands[i].stands() < soonest * amps * amps) {
                soonest = limits.stands[i].stands() / (amps * amps);
                weakest = i;
            }
            double lasting = amps - lent;
            if (within > ShortCircuit.ADIABATIC && lasting > most * limits.stands[i].forGood()) {
                double allowed = Math.max(limits.overload[i], limits.stands[i].carries(within));
                if (lasting > most * allowed) {
                    most = lasting / allowed;
                    hottest = i;
                }
            }
        }
        if (weakest >= 0) {
            return Optional.of(
                    new Consequence.Burns(
                            limits.wires[weakest],
                            new Amps(amps(weakest, chafe)),
                            new Seconds(soonest)));
        }
        return hottest < 0
                ? Optional.empty()
                : Optional.of(
                        new Consequence.Overheats(
                                limits.wires[hottest],
                                new Amps(amps(hottest, chafe)),
                                new Amps(limits.stands[hottest].forGood())));
    }
}
