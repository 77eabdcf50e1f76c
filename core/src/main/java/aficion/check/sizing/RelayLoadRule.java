package aficion.check.sizing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Stream;

/** One relay a fan: relays without whose contact two motors or more stand still. */
public final class RelayLoadRule implements Rule {
    private static final double RUNS = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof ControlKind.Relay)
                .flatMap(part ->
                        assessment.worst().largest(part.id(), "30-87").stream()
                                .map(peak -> stopped(assessment, part, peak.point()))
                                .filter(motors -> motors > 1)
                                .map(motors ->
                                        new Finding.TwoMotorsOneRelay(
                                                part.id(), (int) (long) motors)));
    }

    /** How many motors that run in a state stand still once a relay's contact is open. */
    private static long stopped(Assessment assessment, Part relay, OperatingPoint point) {
        var netlist = assessment.netlist();
        int contact = netlist.inside(relay.id()).get("30-87");
        var running =
                assessment.design().parts().stream()
                        .filter(part -> runs(assessment, part, point::branchAmps))
                        .toList();
        if (!point.conducts(contact) || running.size() < 2) {
            return 0;
        }
        var solver = assessment.answers().solver();
        solver.stand(point);
        var network = solver.network();
        network.disturb(contact, 0, 0, 0);
        if (!network.solve()) {
            return 0;
        }
        return running.stream().filter(part -> !runs(assessment, part, network::amps)).count();
    }

    private static boolean runs(Assessment assessment, Part part, IntToDoubleFunction amps) {
        var inside = assessment.netlist().inside(part.id());
        return part.kind().turning().entrySet().stream()
                .anyMatch(turns ->
                        Math.abs(amps.applyAsDouble(inside.get(turns.getKey())))
                                > RUNS * turns.getValue().value());
    }
}
