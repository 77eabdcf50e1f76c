package aficion.check.earthing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What runs and is switched behind itself: in some state both its ends are live and nothing flows,
 * in another it runs. A chafe of the wire to its switch makes it run by itself.
 */
public final class EarthSwitchRule implements Rule {
    private static final double LIVE = 0.8;
    private static final double RUNS = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> runs(part) && switchedBehind(assessment, part))
                .map(part -> new Finding.SwitchedInEarth(part.id()));
    }

    private static boolean runs(Part part) {
        return part.kind() instanceof LoadKind.Load
                || part.kind() instanceof LoadKind.Motor
                || part.kind() instanceof LoadKind.Heater;
    }

    private static boolean switchedBehind(Assessment assessment, Part part) {
        double system = assessment.design().vehicle().system().value();
        var span = assessment.worst().volts(part.id(), "body");
        boolean works =
                span.filter(volts ->
                                Math.max(volts.most().value(), -volts.least().value())
                                        > RUNS * system)
                        .isPresent();
        return works
                && assessment.worst().points().stream()
                        .anyMatch(point ->
                                waits(point, part, LIVE * system)
                                        && !isFed(assessment, point, part.terminal("31")));
    }

    /** Whether metal leads to it from a live pole, as to both ends of a motor that reverses. */
    private static boolean isFed(Assessment assessment, OperatingPoint point, Terminal end) {
        return assessment.worst().metal().in(point).live(assessment.netlist().node(end));
    }

    private static boolean waits(OperatingPoint point, Part part, double live) {
        double across = point.across(part.id(), "body").map(Volts::value).orElse(0.0);
        return Math.abs(across) < 0.1
                && far(point.voltsAt(part.terminal("+")), live)
                && far(point.voltsAt(part.terminal("31")), live);
    }

    private static boolean far(Optional<Volts> volts, double live) {
        return volts.filter(found -> Math.abs(found.value()) > live).isPresent();
    }
}
