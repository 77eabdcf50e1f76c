package aficion.size;

import aficion.job.Kind;
import aficion.job.Part;
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
        for (var part : point.netlist().job().parts()) {
            double given = given(point, part);
            if (part.kind() instanceof Kind.Battery) {
                battery += given;
                volts = volts.or(() -> point.across(part.id(), "output"));
            } else if (part.kind() instanceof Kind.Alternator) {
                generated += Math.abs(given);
            }
        }
        return new Supply(
                new Amps(battery + generated), new Amps(generated), new Amps(battery), volts);
    }

    private static double given(OperatingPoint point, Part part) {
        return point.through(part.id(), "output").map(amps -> -amps.value()).orElse(0.0);
    }
}
