package aficion.convert;

import aficion.charge.Situation;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What the thickest current at a part is before a change and after it, and what is lost in the wire
 * that loses most at it, with all on that can be on, on a wet night.
 */
public record Currents(Amps before, Amps after, Volts lostBefore, Volts lostAfter) {
    private static final double SOME = 0.005;

    /** Of every part that carries some, before or after, by its name in both. */
    public static Map<PartId, Currents> of(Design before, Design after) {
        var one = night(before);
        var other = night(after);
        var found = new LinkedHashMap<PartId, Currents>();
        for (var part : before.parts()) {
            var id = part.id();
            double was = amps(before, one, id);
            double is = amps(after, other, id);
            if (was > SOME || is > SOME) {
                found.put(
                        id,
                        new Currents(
                                new Amps(was),
                                new Amps(is),
                                new Volts(lost(before, one, id)),
                                new Volts(lost(after, other, id))));
            }
        }
        return found;
    }

    private static Optional<OperatingPoint> night(Design design) {
        return Situation.find(design, Situation.WET_NIGHT)
                .flatMap(night ->
                        new Solver(Netlist.of(design)).solve(night.conditions())
                                        instanceof Outcome.Solved(var point)
                                ? Optional.of(point)
                                : Optional.empty());
    }

    private static double amps(Design design, Optional<OperatingPoint> point, PartId part) {
        return most(design, part, wire -> point.map(solved -> solved.through(wire).value()));
    }

    private static double lost(Design design, Optional<OperatingPoint> point, PartId part) {
        return most(design, part, wire -> point.map(solved -> solved.lostIn(wire).value()));
    }

    /** The most of a figure among the wires at a part, by amount; 0 where it is not there. */
    private static double most(
            Design design, PartId part, Function<Wire, Optional<Double>> figure) {
        return design.find(part).stream()
                .flatMap(found -> found.terminals().stream())
                .flatMap(at -> design.wiresAt(at).stream())
                .mapToDouble(wire -> Math.abs(figure.apply(wire).orElse(0.0)))
                .max()
                .orElse(0);
    }
}
