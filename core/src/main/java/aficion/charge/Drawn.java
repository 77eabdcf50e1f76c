package aficion.charge;

import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a load draws in a situation.
 *
 * @param amps while it is on
 * @param share of the time that it is
 */
public record Drawn(PartId part, Amps amps, double share) {
    private static final double SOME = 0.05;

    /** What it takes while it is on, at some volts. */
    public Watts watts(Volts across) {
        return new Watts(amps.value() * across.value());
    }

    /** On the mean. */
    public Amps mean() {
        return new Amps(amps.value() * share);
    }

    /**
     * Every load that draws something in a situation, at an engine speed, the largest first. One
     * that draws more for a share of the time is there twice: with what it always draws, and with
     * what it draws more.
     */
    public static List<Drawn> of(Design design, Situation situation, Rpm engine) {
        var solver = new Solver(Netlist.of(design));
        var state =
                situation.turns()
                        ? situation.conditions().withEngine(engine)
                        : situation.conditions();
        var plain = drawn(solver, design, state);
        var drawn = new ArrayList<Drawn>();
        plain.forEach((part, amps) -> add(drawn, part, amps, 1));
        for (var share : situation.shares()) {
            drawn(solver, design, state.with(share.control(), share.position()))
                    .forEach((part, amps) ->
                            add(drawn, part, amps - plain.getOrDefault(part, 0.0), share.share()));
        }
        drawn.sort(Comparator.comparingDouble((Drawn each) -> each.mean().value()).reversed());
        return drawn;
    }

    private static void add(List<Drawn> drawn, PartId part, double amps, double share) {
        if (amps > SOME) {
            drawn.add(new Drawn(part, new Amps(amps), share));
        }
    }

    private static Map<PartId, Double> drawn(Solver solver, Design design, Conditions state) {
        var drawn = new LinkedHashMap<PartId, Double>();
        if (solver.solve(state) instanceof Outcome.Solved(var point)) {
            design.parts().stream()
                    .filter(part -> part.kind() instanceof LoadKind)
                    .filter(part -> !(part.kind() instanceof LoadKind.Ammeter))
                    .forEach(part -> drawn.put(part.id(), into(design, point, part)));
        }
        return drawn;
    }

    /** What wires bring to a part; where its case returns it, that is all there is to see. */
    private static double into(Design design, OperatingPoint point, Part part) {
        double in = 0;
        double out = 0;
        for (var terminal : part.terminals()) {
            for (var wire : design.wiresAt(terminal)) {
                double amps = point.through(wire).value();
                double towards = wire.to().terminal().equals(terminal) ? amps : -amps;
                in += Math.max(0, towards);
                out += Math.max(0, -towards);
            }
        }
        return Math.max(in, out);
    }
}
