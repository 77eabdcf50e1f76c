package aficion.check.protection;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.PartId;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.size.WorstCase.Short;
import java.util.List;
import java.util.stream.Stream;

/** Batteries whose poles bare metal joins, named by the switch or relay that closes the way. */
public final class ShortRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.worst().shorts().stream()
                .map(found -> finding(assessment.netlist(), found))
                .distinct();
    }

    private static Finding finding(Netlist netlist, Short found) {
        var parts =
                found.way().stream().flatMap(branch -> netlist.partOf(branch).stream()).toList();
        return new PathFinding.DeadShort(
                closing(netlist, parts, found), amps(found), found.conditions());
    }

    /** What the sources give in all, or what flows on the way where one gives to another. */
    private static Amps amps(Short found) {
        double drawn = Math.abs(Supply.of(found.point()).drawn().value());
        return new Amps(
                found.way().stream()
                        .mapToDouble(branch -> Math.abs(found.point().branchAmps(branch)))
                        .reduce(drawn, Math::max));
    }

    /** The last switch or relay on the way, the last part on it, or where a wire of it ends. */
    private static PartId closing(Netlist netlist, List<PartId> parts, Short found) {
        return parts.stream()
                .filter(part -> netlist.design().part(part).kind() instanceof ControlKind)
                .reduce((_, later) -> later)
                .or(() -> parts.stream().reduce((_, later) -> later))
                .or(() ->
                        netlist.wireOf(found.way().getLast())
                                .map(wire -> netlist.design().wire(wire).to().terminal().part()))
                .orElseThrow();
    }
}
