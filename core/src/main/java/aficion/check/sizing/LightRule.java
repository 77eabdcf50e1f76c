package aficion.check.sizing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.stream.Stream;

/**
 * Filaments that even at their best, with the engine on the road, give too little of their light.
 */
public final class LightRule implements Rule {
    private static final double DIM = 0.75;
    private static final double LIT = 0.3;
    private static final double POWER = 3.4;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind() instanceof LoadKind.Lamp(var test, var filaments)
                                ? filaments.stream()
                                        .flatMap(filament ->
                                                assessment
                                                        .worst()
                                                        .volts(part.id(), filament.pin())
                                                        .stream())
                                        .map(span ->
                                                Math.max(
                                                        span.most().value(), -span.least().value()))
                                        .filter(volts -> volts > LIT * test.value())
                                        .filter(volts -> light(volts, test) < DIM)
                                        .limit(1)
                                        .map(volts ->
                                                new Finding.LampDim(
                                                        part.id(),
                                                        new Ratio(light(volts, test)),
                                                        new Volts(volts)))
                                : Stream.<Finding>empty());
    }

    private static double light(double volts, Volts test) {
        return Math.pow(volts / test.value(), POWER);
    }
}
