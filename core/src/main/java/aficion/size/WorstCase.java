package aficion.size;

import aficion.job.Job;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
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
    private final Map<String, List<Wire>> bundles;
    private final Peak[] steady;
    private final Peak[] held;
    private final List<Trouble> troubles;
    private final List<OperatingPoint> bases;
    private final Map<String, Warmest> warmest;
    private final double[] leastVolts;
    private final double[] mostVolts;

    /** The largest current of a branch, with its direction, and the state it flows in. */
    public record Peak(Amps amps, OperatingPoint point) {}

    /** A state that has no operating point. */
    public record Trouble(Conditions conditions, Outcome outcome) {}

    /** The least and the most volts across a branch, over all states. */
    public record Span(Volts least, Volts most) {}

    /** The lasting state in which the wires of a bundle lose most. */
    private record Warmest(double lost, OperatingPoint point) {}

    private WorstCase(Netlist netlist) {
        this.netlist = netlist;
        this.bundles = Bundle.of(netlist.job());
        this.steady = new Peak[netlist.size()];
        this.held = new Peak[netlist.size()];
        this.troubles = new ArrayList<>();
        this.bases = new ArrayList<>();
        this.warmest = new LinkedHashMap<>();
        this.leastVolts = new double[netlist.size()];
        this.mostVolts = new double[netlist.size()];
    }

    /** Solves every state of a job; {@code solver} is of that job's netlist. */
    public static WorstCase of(Solver solver) {
        var job = solver.netlist().job();
        var worst = new WorstCase(solver.netlist());
        for (var base : bases(job, solver)) {
            for (var state : OperatingStates.withSources(job, base)) {
                if (solver.solve(state) instanceof Outcome.Solved(var point)) {
                    worst.bases.add(point);
                }
            }
        }
        for (var state : states(solver)) {
            var peaks = OperatingStates.isHeld(job, state) ? worst.held : worst.steady;
            switch (solver.solve(state)) {
                case Outcome.Solved(var point) -> {
                    worst.raise(peaks, point);
                    if (peaks == worst.steady) {
                        worst.warm(point);
                    }
                }
                case Outcome.Chattering chattering ->
                        worst.troubles.add(new Trouble(state, chattering));
                case Outcome.Unsolvable unsolvable ->
                        worst.troubles.add(new Trouble(state, unsolvable));
            }
        }
        return worst;
    }

    /** Every state a job is judged in, each once. */
    public static Set<Conditions> states(Solver solver) {
        var job = solver.netlist().job();
        var bases = bases(job, solver);
        var states = new LinkedHashSet<Conditions>();
        for (var circuit : job.circuits()) {
            for (var basis : bases) {
                OperatingStates.of(job, circuit.id(), basis)
                        .forEach(state -> states.addAll(OperatingStates.withSources(job, state)));
            }
        }
        return states;
    }

    /** At rest; and for each position of the key everything else where it loads the source most. */
    private static Set<Conditions> bases(Job job, Solver solver) {
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
        return bases;
    }

    private static double drawn(Solver solver, Conditions state) {
        return solver.solve(state) instanceof Outcome.Solved(var point)
                ? Supply.of(point).drawn().value()
                : 0;
    }

    private void raise(Peak[] peaks, OperatingPoint point) {
        for (int branch = 0; branch < peaks.length; branch++) {
            double amps = point.branchAmps(branch);
            double volts = point.branchVolts(branch);
            leastVolts[branch] = Math.min(leastVolts[branch], volts);
            mostVolts[branch] = Math.max(mostVolts[branch], volts);
            if (peaks[branch] == null
                    || Math.abs(amps) > Math.abs(peaks[branch].amps().value()) * (1 + 1e-9)) {
                peaks[branch] = new Peak(new Amps(amps), point);
            }
        }
    }

    private void warm(OperatingPoint point) {
        for (var bundle : bundles.entrySet()) {
            double lost = 0;
            for (var wire : bundle.getValue()) {
                lost +=
                        Math.abs(point.lostIn(wire).value() * point.through(wire).value())
                                / wire.length().metres().value();
            }
            var now = new Warmest(lost, point);
            warmest.merge(
                    bundle.getKey(),
                    now,
                    (before, after) -> after.lost > before.lost ? after : before);
        }
    }

    /** The lasting state in which a bundle gets warmest; empty when it is never solved. */
    public Optional<OperatingPoint> warmest(String bundle) {
        return Optional.ofNullable(warmest.get(bundle)).map(Warmest::point);
    }

    /** States that could not be solved; nothing is known of them. */
    public List<Trouble> troubles() {
        return List.copyOf(troubles);
    }

    /**
     * The states with most on: at rest, and for each position of the key everything else where it
     * loads the source most; each with the sources it may meet.
     */
    public List<OperatingPoint> bases() {
        return List.copyOf(bases);
    }

    /** What volts a branch inside a part sees, over all states. */
    public Optional<Span> volts(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role))
                .map(branch ->
                        new Span(new Volts(leastVolts[branch]), new Volts(mostVolts[branch])));
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
