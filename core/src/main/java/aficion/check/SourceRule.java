package aficion.check;

import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.size.Assessment;
import aficion.size.Supply;
import java.util.Comparator;
import java.util.stream.Stream;

/**
 * Sources that at road speed, with everything on that stays on and a full battery, give less than
 * is drawn.
 */
final class SourceRule implements Rule {
    private static final double PAYS = 0.5;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var source = assessment.job().parts().stream().filter(SourceRule::charges).findFirst();
        return source.stream()
                .flatMap(part ->
                        assessment.worst().bases().stream()
                                .filter(point ->
                                        point.conditions().engine().value() > 0
                                                && point.conditions().charge().value() == 1)
                                .map(Supply::of)
                                .filter(supply -> supply.generated().value() > PAYS)
                                .max(Comparator.comparingDouble(supply -> supply.drawn().value()))
                                .filter(supply -> supply.battery().value() > PAYS)
                                .map(supply ->
                                        new Finding.SourceTooSmall(
                                                part.id(), supply.drawn(), supply.generated()))
                                .stream());
    }

    private static boolean charges(Part part) {
        return part.kind() instanceof SourceKind.Alternator
                || part.kind() instanceof SourceKind.Dynamo
                || part.kind() instanceof SourceKind.RegulatorRectifier;
    }
}
