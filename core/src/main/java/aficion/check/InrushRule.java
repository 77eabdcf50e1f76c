package aficion.check;

import aficion.catalogue.TimeBand;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Seconds;
import aficion.simulate.Happening;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.size.Assessment;
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
final class InrushRule implements Rule {
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

    private static Stream<Happening.Opened> opened(Assessment assessment, Conditions state) {
        var course =
                Simulation.run(
                        assessment.netlist(),
                        Script.of(Conditions.REST, state, RUSH),
                        TimeBand.Edge.FASTEST,
                        List.of(),
                        _ -> true);
        return course.happenings().stream()
                .flatMap(happening ->
                        happening instanceof Happening.Opened opened
                                ? Stream.of(opened)
                                : Stream.empty());
    }

    private static Optional<Finding> finding(Assessment assessment, Happening.Opened opened) {
        var part = assessment.job().part(opened.fuse().part());
        return part.kind().seats().stream()
                .filter(seat -> seat.way().equals(opened.fuse().way()))
                .map(seat -> Guard.Fitted.of(part, seat))
                .filter(fuse -> lasting(assessment, fuse) <= fuse.carries().value())
                .findFirst()
                .map(fuse ->
                        new Finding.FuseOpensOnInrush(
                                fuse.seat(), opened.at(), larger(assessment, fuse)));
    }

    private static double lasting(Assessment assessment, Guard.Fitted fuse) {
        return assessment
                .worst()
                .steady(fuse.seat().part(), fuse.seat().way())
                .map(peak -> Math.abs(peak.amps().value()))
                .orElse(0.0);
    }

    /** The next larger fuse, where the wires behind it carry it. */
    private static List<Edit> larger(Assessment assessment, Guard.Fitted fuse) {
        var wire = assessment.weakestBehind(fuse).map(Amps::value).orElse(0.0);
        return fuse.type().markings().stream()
                .filter(marking -> marking.value() > fuse.marking().value())
                .limit(1)
                .filter(marking -> fuse.type().carries(marking).value() <= wire)
                .<Edit>map(
                        marking -> new Edit.FitFuse(fuse.seat().part(), fuse.seat().way(), marking))
                .toList();
    }
}
