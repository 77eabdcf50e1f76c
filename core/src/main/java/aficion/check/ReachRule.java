package aficion.check;

import aficion.job.Unguarded;
import aficion.quantity.Metres;
import aficion.size.Assessment;
import java.util.stream.Stream;

/**
 * Leads stated to end at their guard that are longer than within reach of the source: about 180 mm
 * (HANDBOOK section 2, typical), here {@value #REACH} m for the ends to be made.
 */
final class ReachRule implements Rule {
    private static final double REACH = 0.25;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.job().wires().stream()
                .filter(wire -> wire.unguarded().filter(Unguarded.WITHIN_REACH::equals).isPresent())
                .filter(wire -> wire.length().metres().value() > REACH)
                .map(wire ->
                        new Finding.GuardFar(
                                wire.id(), new Metres(wire.length().metres().value())));
    }
}
