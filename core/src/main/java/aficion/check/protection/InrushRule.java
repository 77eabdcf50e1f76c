package aficion.check.protection;

import aficion.catalogue.TimeBand;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.PartId;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Seconds;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.simulate.SimulationEvent;
import aficion.size.Assessment;
import aficion.size.FlowPath;
import aficion.size.Guard;
import aficion.solve.OperatingPoint;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Fuses that carry what lasts but open on the rush of cold lamps and standing motors: everything is
 * switched on at once, and the fuse is the fastest of its kind.
 */
public final class InrushRule implements Rule {
    private static final Seconds RUSH = new Seconds(3);

    @Override
    public Stream<Finding> check(Assessment assessment) {
        Map<FuseSeat, Finding> found = new LinkedHashMap<>();
        assessment.worst().bases().stream()
                .map(OperatingPoint::conditions)
                .filter(state -> state.engine().value() == 0 && state.charge().value() == 1)
                .filter(state -> !state.equals(Conditions.REST))
                .flatMap(state -> opened(assessment, state))
                .forEach(opened ->
                        finding(assessment, opened)
                                .ifPresent(each -> found.putIfAbsent(opened.fuse(), each)));
        return found.values().stream();
    }

    private static Stream<SimulationEvent.Opened> opened(Assessment assessment, Conditions state) {
        var course =
                Simulation.run(
                        assessment.answers().solver().network(),
                        Script.of(Conditions.REST, state, RUSH),
                        TimeBand.Edge.FASTEST,
                        List.of(),
                        _ -> true);
        return course.happenings().stream()
                .flatMap(happening ->
                        happening instanceof SimulationEvent.Opened opened
                                ? Stream.of(opened)
                                : Stream.empty());
    }

    private static Optional<Finding> finding(Assessment assessment, SimulationEvent.Opened opened) {
        var part = assessment.design().part(opened.fuse().part());
        return part.kind().seats().stream()
                .filter(seat -> seat.way().equals(opened.fuse().way()))
                .map(seat -> Guard.Fitted.of(part, seat))
                .filter(fuse -> !GuardOpensRule.opens(assessment, fuse))
                .findFirst()
                .map(fuse ->
                        new Finding.FuseOpensOnInrush(
                                fuse.seat(),
                                load(assessment, fuse),
                                opened.at(),
                                larger(assessment, fuse)));
    }

    private static Optional<PartId> load(Assessment assessment, Guard.Fitted fuse) {
        var seat = fuse.seat();
        return assessment
                .worst()
                .steady(seat.part(), seat.way())
                .flatMap(peak ->
                        FlowPath.load(
                                peak.point(),
                                assessment.netlist().inside(seat.part()).get(seat.way())));
    }

    /** The next larger fuse; where the wires behind it do not carry it, they follow. */
    private static List<Edit> larger(Assessment assessment, Guard.Fitted fuse) {
        return LargerFuse.of(
                assessment.design(),
                fuse,
                (type, marking) -> type.carries(marking).value() > fuse.carries().value() * 1.01);
    }
}
