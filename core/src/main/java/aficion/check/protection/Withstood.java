package aficion.check.protection;

import aficion.catalogue.TimeBand;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Seconds;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.simulate.SimulationEvent;
import aficion.size.Assessment;
import aficion.solve.Answers;
import aficion.solve.Network;
import aficion.solve.OperatingPoint;
import aficion.solve.Track;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Which rushes open guards. One that opens none, nor would with guards a quarter smaller, opens
 * none while wires are cut so little otherwise that a guard may see a tenth more at the most.
 */
final class Withstood {
    private static final Seconds RUSH = new Seconds(3);

    /** So many times as much rushes through each guard for its marking. */
    private static final double MORE = 1.25;

    /** By such a share of a vehicle's volts, or of what lasts in a guard, all may be otherwise. */
    private static final double NEAR = 0.1;

    /** Less lasts in no guard that is heeded, amps. */
    private static final double NOTHING = 0.01;

    /** A rush that was withstood: what lasts after it, and what wires carried in it. */
    private record Run(OperatingPoint lasting, Track track) {
        boolean isNear(OperatingPoint now) {
            var before = lasting.netlist();
            var after = now.netlist();
            double volts =
                    track.changed(before, after, after.changedFrom(before), now.conditions());
            double system = after.design().vehicle().system().value();
            return now.isSwitchedAs(lasting)
                    && Answers.SURE * volts <= NEAR * system
                    && IntStream.range(0, after.size())
                            .filter(i -> now.branch(i) instanceof Branch.FuseBranch)
                            .allMatch(i -> isNear(now.branchAmps(i), lasting.branchAmps(i)));
        }

        private static boolean isNear(double amps, double known) {
            return Math.abs(amps - known) <= NEAR * Math.max(NOTHING, Math.abs(known));
        }
    }

    private final Map<Conditions, Run> runs = new ConcurrentHashMap<>();

    private Withstood() {}

    /** That of an assessment and of all that becomes of it by other sizes. */
    static Withstood of(Assessment assessment) {
        return assessment.lasting(Withstood.class, Withstood::new);
    }

    /** The guards that open at their fastest when all of a state is switched on at once. */
    Stream<SimulationEvent.Opened> opened(Assessment assessment, Conditions state) {
        var answers = assessment.answers();
        return answers.demand(state)
                        .settled()
                        .filter(lasting -> isKnown(lasting) || withstands(answers, lasting))
                        .isPresent()
                ? Stream.empty()
                : opened(answers.solver().network(), state);
    }

    /**
     * Whether a rush was withstood that is the same but for little, told by what lasts after it.
     */
    boolean isKnown(OperatingPoint lasting) {
        var known = runs.get(lasting.conditions());
        return known != null && known.isNear(lasting);
    }

    private boolean withstands(Answers answers, OperatingPoint lasting) {
        var network = answers.solver().network();
        strain(network);
        var track = new Track(network.netlist().wires());
        boolean withstands =
                run(network, lasting.conditions(), track).stream()
                        .noneMatch(event ->
                                event instanceof SimulationEvent.Opened
                                        || event instanceof SimulationEvent.Lost);
        if (withstands) {
            runs.put(lasting.conditions(), new Run(lasting, track));
        }
        return withstands;
    }

    private static void strain(Network network) {
        for (int i = 0; i < network.netlist().size(); i++) {
            if (network.branch(i) instanceof Branch.FuseBranch fuse) {
                var smaller = new Amps(fuse.marking().value() / MORE);
                network.set(
                        i,
                        new Branch.FuseBranch(
                                fuse.a(), fuse.b(), fuse.type(), smaller, fuse.whole()));
            }
        }
    }

    /** The same of a network that is at rest, which is worked on. */
    static Stream<SimulationEvent.Opened> opened(Network network, Conditions state) {
        return run(network, state, new Track(network.netlist().wires())).stream()
                .flatMap(event ->
                        event instanceof SimulationEvent.Opened opened
                                ? Stream.of(opened)
                                : Stream.empty());
    }

    private static List<SimulationEvent> run(Network network, Conditions state, Track track) {
        var ebb = new Ebb(network);
        var result =
                Simulation.run(
                        network,
                        Script.of(Conditions.REST, state, RUSH),
                        TimeBand.Edge.FASTEST,
                        List.of(),
                        _ -> {
                            track.note(network);
                            return !ebb.isOver();
                        });
        track.note(network);
        return result.events();
    }
}
