package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A magneto stops when its kill lead is earthed: with everything at rest a closed path must lead
 * from there to earth, and volts must never reach it.
 */
public final class MagnetoRule implements Rule {
    private static final double FED = 1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Magneto)
                .flatMap(part ->
                        Stream.concat(
                                assessment.worst().volts(part.id(), "body").stream()
                                        .map(span ->
                                                Math.max(
                                                        span.most().value(), -span.least().value()))
                                        .filter(volts -> volts > FED)
                                        .map(volts ->
                                                new Finding.MagnetoFed(
                                                        part.id(), new Volts(volts))),
                                assessment.worst().bases().stream()
                                        .filter(point -> point.conditions().equals(Conditions.REST))
                                        .limit(1)
                                        .filter(point ->
                                                !earthed(
                                                        point,
                                                        point.netlist().node(part.terminal("kill")),
                                                        point.netlist()
                                                                .inside(part.id())
                                                                .get("body")))
                                        .map(_ -> new Finding.MagnetoNeverStops(part.id()))));
    }

    /** Whether conducting branches other than the primary lead to earth. */
    private static boolean earthed(OperatingPoint point, int kill, int primary) {
        Netlist netlist = point.netlist();
        var reached = new TreeSet<>(List.of(kill));
        boolean grown = true;
        while (grown) {
            grown = false;
            for (int branch = 0; branch < netlist.size(); branch++) {
                if (branch != primary && point.conducts(branch) && !netlist.isSource(branch)) {
                    boolean a = reached.contains(netlist.a(branch));
                    boolean b = reached.contains(netlist.b(branch));
                    if (a != b) {
                        reached.add(a ? netlist.b(branch) : netlist.a(branch));
                        grown = true;
                    }
                }
            }
        }
        return reached.contains(0);
    }
}
