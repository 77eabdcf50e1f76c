package aficion.check.earthing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
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
        var netlist = assessment.netlist();
        int branch = netlist.inside(part.id()).get("body");
        int feed = netlist.node(part.terminal("+"));
        int back = netlist.node(part.terminal("31"));
        return assessment.worst().volts(branch).largest() > RUNS * system
                && assessment.worst().points().stream()
                        .filter(point -> Math.abs(point.branchVolts(branch)) < 0.1)
                        .filter(point -> isFar(point, feed, LIVE * system))
                        .filter(point -> isFar(point, back, LIVE * system))
                        .anyMatch(point -> !isFed(assessment, point, back));
    }

    /** Whether metal leads to it from a live pole, as to both ends of a motor that reverses. */
    private static boolean isFed(Assessment assessment, OperatingPoint point, int node) {
        return assessment.worst().metal().in(point).live(node);
    }

    private static boolean isFar(OperatingPoint point, int node, double live) {
        return !point.floats(node) && Math.abs(point.nodeVolts(node)) > live;
    }
}
