package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.stream.Stream;

/** Two-speed motors whose high speed runs alone in some state though the low one must run first. */
public final class InterlockRule implements Rule {
    private static final double RUNS = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part ->
                        part.kind() instanceof LoadKind.TwoSpeedMotor motor
                                && motor.lowFirst()
                                && assessment.worst().points().stream()
                                        .anyMatch(point ->
                                                runs(point, part.id(), "53b", motor.high())
                                                        && !runs(
                                                                point,
                                                                part.id(),
                                                                "53",
                                                                motor.low())))
                .map(part -> new Finding.HighBeforeLow(part.id()));
    }

    private static boolean runs(OperatingPoint point, PartId part, String speed, Amps full) {
        return point.through(part, speed).map(Amps::value).map(Math::abs).orElse(0.0)
                > RUNS * full.value();
    }
}
