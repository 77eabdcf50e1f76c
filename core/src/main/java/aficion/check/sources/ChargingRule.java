package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.OperatingStates;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Batteries that get more volts than their regulator is set to, because it feels fewer: a sense
 * lead behind a drop, a field that nothing governs; and sense leads that go nowhere.
 */
public final class ChargingRule implements Rule {
    /** What a battery may get over its set point, share of it. */
    private static final double OVER = 0.025;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return Stream.concat(over(assessment), missing(assessment));
    }

    private static Stream<Finding> over(Assessment assessment) {
        var source =
                assessment.design().parts().stream()
                        .filter(part -> setPoint(part).isPresent())
                        .findFirst();
        return source.stream()
                .flatMap(part ->
                        assessment.design().parts().stream()
                                .filter(each -> each.kind() instanceof SourceKind.Battery)
                                .flatMap(battery -> over(assessment, part, battery).stream())
                                .limit(1));
    }

    private static Optional<Finding> over(Assessment assessment, Part source, Part battery) {
        double share =
                ((SourceKind.Battery) battery.kind()).nominal().value()
                        / assessment.design().vehicle().system().value();
        double set = setPoint(source).orElseThrow() * Math.min(1, share);
        return assessment.worst().bases().stream()
                .filter(point ->
                        point.conditions().engine().value() > 0
                                && !OperatingStates.isOff(
                                        assessment.netlist().controls(), point.conditions()))
                .filter(point -> volts(point, battery) > (1 + OVER) * set)
                .max(Comparator.comparingDouble(point -> volts(point, battery)))
                .map(point ->
                        new SourceFinding.Overcharged(
                                source.id(),
                                new Volts(volts(point, battery)),
                                new Volts(set),
                                point.conditions()));
    }

    private static double volts(OperatingPoint point, Part battery) {
        return point.across(battery.id(), "output").map(Volts::value).orElse(0.0);
    }

    private static Optional<Double> setPoint(Part part) {
        return switch (part.kind()) {
            case SourceKind.Alternator alternator -> Optional.of(alternator.setPoint().value());
            case SourceKind.ControlBox box -> Optional.of(box.setPoint().value());
            case SourceKind.RegulatorRectifier regulator ->
                    Optional.of(regulator.setPoint().value());
            case SourceKind.Battery _,
                    SourceKind.BenchSupply _,
                    SourceKind.FieldRegulator _,
                    SourceKind.Dynamo _,
                    SourceKind.Flywheel _,
                    GuardKind _,
                    ControlKind _,
                    LoadKind _,
                    JoinKind _ ->
                    Optional.empty();
        };
    }

    private static Stream<Finding> missing(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part ->
                        part.kind() instanceof SourceKind.Alternator alternator
                                && alternator.wakes() == SourceKind.Alternator.Style.SWITCHED
                                && assessment.design().wiresAt(part.terminal("S")).isEmpty())
                .map(part -> new SourceFinding.SenseMissing(part.id()));
    }
}
