package aficion.size;

import aficion.fault.Fault;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.solve.Answers;
import aficion.solve.Solver;
import aficion.solve.Track;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * What dead shorts at the far end of wires draw. One that draws far more than is asked for does so
 * while wires are cut but a little otherwise.
 */
final class DeadShort {
    /** So many times what is asked for is far more. */
    private static final double FAR = 1.25;

    /** By such a share of a vehicle's volts those that drive it may be otherwise. */
    private static final double NEAR = 0.1;

    /** What a short drew, and what wires carried in it. */
    private record Known(Netlist netlist, Conditions when, Amps draws, Track track) {
        boolean holds(Netlist now, Conditions state, Amps enough) {
            double volts = track.changed(netlist, now, now.changedFrom(netlist), when);
            return state.equals(when)
                    && draws.value() >= FAR * enough.value()
                    && volts <= NEAR * now.design().vehicle().system().value();
        }
    }

    private final Map<WireId, Known> known = new ConcurrentHashMap<>();

    /** What is known of an assessment and of all that becomes of it by other sizes. */
    static DeadShort of(Assessment assessment) {
        return assessment.lasting(DeadShort.class, DeadShort::new);
    }

    /** See {@link Assessment#shorted}. */
    Optional<Amps> draws(Assessment assessment, Wire wire, Supplier<Solver> solver, Amps enough) {
        var netlist = assessment.netlist();
        var when =
                assessment
                        .worst()
                        .steady(wire)
                        .map(peak -> peak.point().conditions())
                        .orElse(Conditions.REST)
                        .withEngine(new Rpm(0))
                        .withCharge(new Ratio(1));
        var before = known.get(wire.id());
        if (before != null && before.holds(netlist, when, enough)) {
            return Optional.of(before.draws);
        }
        var track = new Track(netlist.wires());
        double most = most(assessment.answers(), netlist.branch(wire), when, solver, enough, track);
        if (most <= 0) {
            return Optional.empty();
        }
        var draws = new Amps(most);
        known.put(wire.id(), new Known(netlist, when, draws, track));
        return Optional.of(draws);
    }

    private static double most(
            Answers answers,
            int branch,
            Conditions when,
            Supplier<Solver> made,
            Amps enough,
            Track track) {
        double whole = 1 / answers.netlist().ohms(branch, when);
        double bare = 1 / Fault.DEAD_SHORT.value();
        var solver = made.get();
        var network = solver.network();
        answers.demand(when).settled().ifPresentOrElse(solver::stand, () -> solver.arrive(when));
        double most = 0;
        for (boolean first : new boolean[] {true, false}) {
            network.disturb(branch, whole, first ? bare : 0, first ? 0 : bare);
            if (most < enough.value() && solver.movesCoils()) {
                track.note(network);
                most = Math.max(most, Math.abs(network.amps(branch)));
            }
        }
        network.calm();
        return most;
    }
}
