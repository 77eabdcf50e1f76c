package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.function.ConnectionRule;
import aficion.check.polarity.PolarityRule;
import aficion.check.polarity.VoltageRule;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.stream.Stream;

/**
 * What ought to charge and gives nothing at road speed, whatever the key: no field, no feed. Where
 * every source gives, the batteries that get nothing of it.
 */
public final class ChargeRule implements Rule {
    private static final double GIVES = 0.1;

    /** Into a battery on the road, amps; less comes by way of a lamp (typical). */
    private static final double FILLS = 0.5;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var still =
                sources(assessment)
                        .filter(part -> !(part.kind() instanceof SourceKind.RegulatorRectifier))
                        .filter(part -> !gives(assessment, part))
                        .<Finding>map(part -> new Finding.NeverCharges(part.id()))
                        .toList();
        if (!still.isEmpty() || isFoundOtherwise(assessment)) {
            return still.stream();
        }
        return uncharged(assessment);
    }

    private static Stream<Part> sources(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind().chargingPin().isPresent());
    }

    /** Whether a source or what governs it is found unconnected or connected wrong. */
    private static boolean isFoundOtherwise(Assessment assessment) {
        return Stream.of(new ConnectionRule(), new VoltageRule(), new PolarityRule())
                .flatMap(rule -> rule.check(assessment))
                .flatMap(finding -> finding.subject().named().stream())
                .anyMatch(part -> assessment.design().part(part).kind() instanceof SourceKind);
    }

    private static boolean gives(Assessment assessment, Part part) {
        return assessment.worst().bases().stream()
                .anyMatch(point -> Math.abs(output(point, part.id())) > GIVES);
    }

    private static Stream<Finding> uncharged(Assessment assessment) {
        return sources(assessment)
                .limit(1)
                .flatMap(source ->
                        assessment.design().parts().stream()
                                .filter(part -> part.kind() instanceof SourceKind.Battery)
                                .filter(battery ->
                                        running(assessment).findAny().isPresent()
                                                && !isCharged(assessment, battery))
                                .map(battery ->
                                        new Finding.NeverCharged(
                                                battery.id(),
                                                source.id(),
                                                remedies(assessment, battery))));
    }

    /** Whether current goes into a battery in some state on the road. */
    private static boolean isCharged(Assessment assessment, Part battery) {
        return running(assessment).anyMatch(point -> output(point, battery.id()) > FILLS);
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
        return sources(assessment)
                .flatMap(ChargeRule::exchanges)
                .filter(exchange -> mends(assessment, battery, exchange))
                .limit(1)
                .map(Edit.class::cast)
                .toList();
    }

    private static Stream<PartEdit.Exchange> exchanges(Part source) {
        var pins = source.kind().pins();
        return pins.stream()
                .flatMap(one ->
                        pins.stream()
                                .skip(pins.indexOf(one) + 1L)
                                .map(other -> new PartEdit.Exchange(source.id(), one, other)));
    }

    private static boolean mends(Assessment assessment, Part battery, PartEdit.Exchange exchange) {
        var design = assessment.design();
        var source = design.part(exchange.part());
        boolean wired =
                Stream.of(exchange.one(), exchange.other())
                        .noneMatch(pin -> design.wiresAt(source.terminal(pin)).isEmpty());
        if (!wired) {
            return false;
        }
        var after = assessment.after(exchange.apply(design));
        return isCharged(after, battery)
                && after.worst().shorts().size() <= assessment.worst().shorts().size();
    }
}
