package aficion.size;

import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import java.util.Optional;

/**
 * What the sources do at an operating point.
 *
 * @param drawn what the vehicle takes: what the batteries give and the alternators give, less what
 *     charges a battery
 * @param generated what the alternators give
 * @param battery what the batteries give; below zero when they are charged
 * @param volts at the battery's poles; empty without a battery
 */
public record Supply(Amps drawn, Amps generated, Amps battery, Optional<Volts> volts) {

    public static Supply of(OperatingPoint point) {
        double battery = 0;
        double generated = 0;
        Optional<Volts> volts = Optional.empty();
        for (var part : point.netlist().design().parts()) {
            switch (part.kind()) {
                case SourceKind.Battery _, SourceKind.BenchSupply _ -> {
                    battery -= through(point, part, "output");
                    volts = volts.or(() -> point.across(part.id(), "output"));
                }
                case SourceKind.Alternator _, SourceKind.Dynamo _ ->
                        generated += Math.abs(through(point, part, "output"));
                case SourceKind.Flywheel(var winding, _, _)
                        when winding == SourceKind.Flywheel.Winding.LIGHTING ->
                        generated += Math.abs(through(point, part, "output"));
                case SourceKind.RegulatorRectifier rectifier ->
                        generated += rectified(point, part, rectifier);
                default -> {}
            }
        }
        return new Supply(
                new Amps(battery + generated), new Amps(generated), new Amps(battery), volts);
    }

    /** What its bridge gives, less what its regulator takes. */
    private static double rectified(
            OperatingPoint point, Part part, SourceKind.RegulatorRectifier rectifier) {
        double bridge =
                rectifier.inputs().stream()
                        .mapToDouble(input -> through(point, part, input + "-B+"))
                        .sum();
        return bridge - through(point, part, "shunt");
    }

    private static double through(OperatingPoint point, Part part, String role) {
        return point.through(part.id(), role).map(Amps::value).orElse(0.0);
    }
}
