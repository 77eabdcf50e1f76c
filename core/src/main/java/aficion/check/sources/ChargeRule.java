package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.check.function.ConnectionRule;
import aficion.check.polarity.Exchanges;
import aficion.check.polarity.PolarityRule;
import aficion.check.polarity.VoltageRule;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.edit.Edit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.stream.Stream;

/**
 * What ought to charge and gives nothing at road speed, whatever the key: no field, no feed. Where
 * every source gives, the batteries that get nothing of it.
 */
public final class ChargeRule implements Rule {
    private static final double GIVES = 0.1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var still =
                sources(assessment)
                        .filter(part -> !(part.kind() instanceof SourceKind.RegulatorRectifier))
                        .filter(part -> !gives(assessment, part))
                        .<Finding>map(part -> new SourceFinding.NeverCharges(part.id()))
                        .toList();
        return still.isEmpty() ? uncharged(assessment) : still.stream();
    }

    private static Stream<Part> sources(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind().chargingPin().isPresent());
    }

    private static boolean gives(Assessment assessment, Part part) {
        return assessment.worst().bases().stream()
                .anyMatch(point -> Math.abs(output(point, part.id())) > GIVES);
    }

    /** Not where a source or what governs it is found unconnected or connected wrong. */
    private static Stream<Finding> uncharged(Assessment assessment) {
        var first = sources(assessment).findFirst();
        if (first.isEmpty() || running(assessment).findAny().isEmpty()) {
            return Stream.empty();
        }
        var empty =
                assessment.design().parts().stream()
                        .filter(part -> part.kind() instanceof SourceKind.Battery)
                        .filter(battery -> !isCharged(assessment, battery))
                        .toList();
        return empty.isEmpty() || isFoundOtherwise(assessment)
                ? Stream.empty()
                : empty.stream()
                        .map(battery ->
                                new SourceFinding.NeverCharged(
                                        battery.id(),
                                        first.get().id(),
                                        remedies(assessment, battery)));
    }

    private static boolean isFoundOtherwise(Assessment assessment) {
        return Rule.named(assessment, new ConnectionRule(), new VoltageRule(), new PolarityRule())
                .stream()
                .anyMatch(part -> assessment.design().part(part).kind() instanceof SourceKind);
    }

    /** Whether current goes into a battery in some state on the road. */
    private static boolean isCharged(Assessment assessment, Part battery) {
        return running(assessment).anyMatch(point -> output(point, battery.id()) > Supply.FILLS);
    }

    private static Stream<OperatingPoint> running(Assessment assessment) {
        return assessment.worst().bases().stream()
                .filter(point -> point.conditions().engine().value() > 0)
                .filter(point -> point.conditions().charge().value() == 1);
    }

    private static double output(OperatingPoint point, PartId part) {
        return point.through(part, "output").map(Amps::value).orElse(0.0);
    }

    /** Two leads of a source put in each other's place, where that makes it charge. */
    private static List<Edit> remedies(Assessment assessment, Part battery) {
        var design = assessment.design();
        return sources(assessment)
                .flatMap(source -> Exchanges.ofLeads(design, source))
                .filter(exchange -> {
                    var after = assessment.after(exchange.apply(design));
                    return isCharged(after, battery)
                            && !after.worst().isShortedMoreThan(assessment.worst());
                })
                .limit(1)
                .toList();
    }
}
