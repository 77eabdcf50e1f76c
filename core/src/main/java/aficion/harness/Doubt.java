package aficion.harness;

import aficion.job.Wire;
import aficion.job.edit.BodyEdit;
import aficion.quantity.Metres;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * What hangs on the length of a run that nobody has measured: how far it may be off, how much wire
 * that moves, and which wires would be another size.
 *
 * @param off how far its length may be off, either way
 * @param copper that many metres of wire more or less
 * @param sizes the wires that would need another size were it as long or as short as it may be
 */
public record Doubt(RunId run, Metres length, Metres off, Metres copper, List<Wire> sizes) {
    /** A wire of another size moves as much as that many metres: it is bought, not cut, anew. */
    private static final double SIZE_COUNTS = 5;

    public Doubt {
        sizes = List.copyOf(sizes);
    }

    private double moves() {
        return copper.value() + SIZE_COUNTS * sizes.size();
    }

    /**
     * The runs to measure first, by what their doubt moves; none that nothing rides.
     *
     * @param goOn asked before each run; false ends it early, with nothing
     */
    public static Optional<List<Doubt>> ranked(Assessment assessment, BooleanSupplier goOn) {
        var design = assessment.design();
        var doubts = new ArrayList<Doubt>();
        if (design.body().isPresent()) {
            var plan = design.body().get().plan();
            for (var run : plan.runs()) {
                if (!goOn.getAsBoolean()) {
                    return Optional.empty();
                }
                var length = plan.length(run);
                if (length instanceof RunLength.Assumed(var assumed)
                        && !design.riders().get(run.id()).isEmpty()) {
                    doubts.add(of(assessment, run, assumed));
                }
            }
        }
        doubts.sort(Comparator.comparingDouble(Doubt::moves).reversed());
        return Optional.of(List.copyOf(doubts));
    }

    private static Doubt of(Assessment assessment, Run run, Metres length) {
        double off = Plan.DOUBT * length.value();
        var riders = assessment.design().riders().get(run.id());
        var shorter = assessed(assessment, run.id(), length.value() - off);
        var longer = assessed(assessment, run.id(), length.value() + off);
        var sizes =
                assessment.design().wires().stream()
                        .filter(wire -> !needed(shorter, wire).equals(needed(longer, wire)))
                        .toList();
        return new Doubt(run.id(), length, new Metres(off), new Metres(off * riders.size()), sizes);
    }

    private static Assessment assessed(Assessment assessment, RunId run, double metres) {
        return assessment.after(
                new BodyEdit.Measure(run, Optional.of(new Metres(metres)))
                        .apply(assessment.design()));
    }

    private static Optional<Metres> needed(Assessment assessment, Wire wire) {
        return assessment
                .sizing(wire.id())
                .flatMap(WireSizing::needed)
                .map(conductor -> conductor.outside());
    }
}
