package aficion.size;

import aficion.job.PartId;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The largest current of every branch over the operating states of all circuits: once for what may
 * last, once for what a hand has to hold.
 *
 * <p>States of a circuit: {@link OperatingStates#of}, with all other switches at rest and again
 * with all others where they load the source most, each with battery alone, with the engine on the
 * road, and so with a flat battery.
 */
public final class WorstCase {
    private final Netlist netlist;
    private final Peak[] steady;
    private final Peak[] held;
    private final List<Trouble> troubles;

    /** The largest current of a branch, with its direction, and the state it flows in. */
    public record Peak(Amps amps, OperatingPoint point) {}

    /** A state that has no operating point. */
    public record Trouble(Conditions conditions, Outcome outcome) {}

    private WorstCase(Netlist netlist, Peak[] steady, Peak[] held, List<Trouble> troubles) {
        this.netlist = netlist;
        this.steady = steady;
        this.held = held;
        this.troubles = List.copyOf(troubles);
    }

    /** Solves every state of a job; {@code solver} is of that job's netlist. */
    public static WorstCase of(Solver solver) {
        var netlist = solver.netlist();
        var job = netlist.job();
        var steady = new Peak[netlist.size()];
        var held = new Peak[netlist.size()];
        var troubles = new ArrayList<Trouble>();
        for (var state : states(solver)) {
            var peaks = OperatingStates.isHeld(job, state) ? held : steady;
            switch (solver.solve(state)) {
                case Outcome.Solved(var point) -> raise(peaks, point);
                case Outcome.Chattering chattering -> troubles.add(new Trouble(state, chattering));
                case Outcome.Unsolvable unsolvable -> troubles.add(new Trouble(state, unsolvable));
            }
        }
        return new WorstCase(netlist, steady, held, troubles);
    }

    /** Every state a job is judged in, each once. */
    public static Set<Conditions> states(Solver solver) {
        var job = solver.netlist().job();
        var keys =
                Controls.of(job)
                        .key()
                        .map(key ->
                                key.positions().stream()
                                        .map(position ->
                                                Conditions.REST.with(key.name(), position.name()))
                                        .toList())
                        .orElse(List.of(Conditions.REST));
        var bases = new LinkedHashSet<>(List.of(Conditions.REST));
        for (var key : keys) {
            bases.add(OperatingStates.heaviest(job, key, state -> drawn(solver, state)));
        }
        var states = new LinkedHashSet<Conditions>();
        for (var circuit : job.circuits()) {
            for (var basis : bases) {
                OperatingStates.of(job, circuit.id(), basis)
                        .forEach(state -> states.addAll(OperatingStates.withSources(job, state)));
            }
        }
        return states;
    }

    private static double drawn(Solver solver, Conditions state) {
        return solver.solve(state) instanceof Outcome.Solved(var point)
                ? Supply.of(point).drawn().value()
                : 0;
    }

    private static void raise(Peak[] peaks, OperatingPoint point) {
        for (int branch = 0; branch < peaks.length; branch++) {
            double amps = point.branchAmps(branch);
            if (peaks[branch] == null
                    || Math.abs(amps) > Math.abs(peaks[branch].amps().value()) * (1 + 1e-9)) {
                peaks[branch] = new Peak(new Amps(amps), point);
            }
        }
    }

    /** States that could not be solved; nothing is known of them. */
    public List<Trouble> troubles() {
        return troubles;
    }

    /** The largest lasting current of a wire; empty when no state could be solved. */
    public Optional<Peak> steady(Wire wire) {
        return Optional.ofNullable(steady[netlist.branch(wire)]);
    }

    /** The largest current of a wire while a hand holds something. */
    public Optional<Peak> held(Wire wire) {
        return Optional.ofNullable(held[netlist.branch(wire)]);
    }

    /** The largest lasting current of a branch inside a part. */
    public Optional<Peak> steady(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role)).map(branch -> steady[branch]);
    }

    /** The largest current of a branch inside a part, lasting or held. */
    public Optional<Peak> largest(PartId part, String role) {
        var held =
                Optional.ofNullable(netlist.inside(part).get(role))
                        .map(branch -> this.held[branch]);
        var steady = steady(part, role);
        return held.isPresent()
                        && (steady.isEmpty()
                                || Math.abs(held.get().amps().value())
                                        > Math.abs(steady.get().amps().value()))
                ? held
                : steady;
    }
}
