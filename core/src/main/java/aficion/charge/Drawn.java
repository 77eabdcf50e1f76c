package aficion.charge;

import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What a load draws in a situation.
 *
 * @param amps while it is on
 * @param share of the time that it is
 */
public record Drawn(PartId part, Amps amps, double share) {
    private static final double SOME = 0.05;

    /** On the mean. */
    public Amps mean() {
        return new Amps(amps.value() * share);
    }

    /** Every load that draws something in a situation, at an engine speed, the largest first. */
    public static List<Drawn> of(Design design, Situation situation, Rpm engine) {
        var solver = new Solver(Netlist.of(design));
        var state =
                situation.turns()
                        ? situation.conditions().withEngine(engine)
                        : situation.conditions();
        var drawn = new ArrayList<>(drawn(solver, design, state, 1));
        for (var share : situation.shares()) {
            var worked = state.with(share.control(), share.position());
            drawn(solver, design, worked, share.share()).stream()
                    .filter(each ->
                            drawn.stream().noneMatch(other -> other.part().equals(each.part())))
                    .toList()
                    .forEach(drawn::add);
        }
        drawn.sort(Comparator.comparingDouble((Drawn each) -> each.mean().value()).reversed());
        return drawn;
    }

    private static List<Drawn> drawn(Solver solver, Design design, Conditions state, double share) {
        if (!(solver.solve(state) instanceof Outcome.Solved(var point))) {
            return List.of();
        }
        return design.parts().stream()
                .filter(part -> part.kind() instanceof LoadKind)
                .filter(part -> !(part.kind() instanceof LoadKind.Ammeter))
                .map(part -> new Drawn(part.id(), into(design, point, part), share))
                .filter(each -> each.amps().value() > SOME)
                .toList();
    }

    /** What wires bring to a part; where its case returns it, that is all there is to see. */
    private static Amps into(Design design, OperatingPoint point, Part part) {
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
        return new Amps(Math.max(in, out));
    }
}
