package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.ignite.Ignition;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WorstCase;
import aficion.solve.OperatingPoint;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Coils and their ballast: a coil made for one that draws more than points stand without it (about
 * 4 A, docs/SOURCES.md, here with the volts of charging and of a still engine), in the lasting
 * positions of the key; and a ballast that stays in while the starter turns.
 */
public final class CoilRule implements Rule {
    private static final double SAME = 0.02;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.IgnitionCoil)
                .flatMap(part ->
                        Stream.of(
                                        overfed(assessment, part),
                                        ballastInStart(assessment, part),
                                        besideBox(assessment.design(), part))
                                .flatMap(Optional::stream));
    }

    /** By what the coil draws, or all that hang on the same points. */
    private static Optional<Finding> overfed(Assessment assessment, Part coil) {
        return meets(assessment, coil, kind -> kind instanceof ControlKind.Points)
                .flatMap(points ->
                        Stream.of(coil, points)
                                .flatMap(part ->
                                        assessment.worst().steady(part.id(), "body").stream())
                                .map(peak -> Math.abs(peak.amps().value()))
                                .max(Comparator.naturalOrder()))
                .filter(amps -> amps > Ignition.POINTS_STAND)
                .map(amps ->
                        new SourceFinding.CoilOverfed(
                                coil.id(), new Amps(amps), new Amps(Ignition.POINTS_STAND)));
    }

    private static Optional<Finding> besideBox(Design design, Part coil) {
        var joined = Netlist.joined(design, coil.terminal("1"));
        var box = switching(design, joined, ControlKind.IgnitionBox.class);
        return switching(design, joined, ControlKind.Points.class)
                .flatMap(points ->
                        box.map(found -> new PathFinding.PointsBesideBox(points.id(), found.id())));
    }

    /** The part of a kind whose own terminal 1 is among those. */
    private static Optional<Part> switching(
            Design design, Set<Terminal> joined, Class<? extends ControlKind> kind) {
        return joined.stream()
                .filter(at -> at.pin().equals("1"))
                .map(at -> design.part(at.part()))
                .filter(part -> kind.isInstance(part.kind()))
                .findFirst();
    }

    private static Optional<Finding> ballastInStart(Assessment assessment, Part coil) {
        var ballast = meets(assessment, coil, kind -> kind instanceof JoinKind.Resistor);
        return ballast.flatMap(resistor ->
                cranking(assessment)
                        .filter(point -> through(point, coil) > SAME)
                        .filter(point ->
                                Math.abs(through(point, coil) - through(point, resistor)) < SAME)
                        .findFirst()
                        .map(_ -> new SourceFinding.BallastInStart(coil.id(), resistor.id())));
    }

    private static Stream<OperatingPoint> cranking(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Starter)
                .flatMap(part -> assessment.worst().held(part.id(), "motor").stream())
                .map(WorstCase.Peak::point);
    }

    private static double through(OperatingPoint point, Part part) {
        return point.through(part.id(), "body").map(Amps::value).map(Math::abs).orElse(0.0);
    }

    private static Optional<Part> meets(Assessment assessment, Part coil, Predicate<Kind> wanted) {
        var design = assessment.design();
        return coil.terminals().stream()
                .flatMap(pin -> Netlist.joined(design, pin).stream())
                .map(Terminal::part)
                .distinct()
                .map(design::part)
                .filter(part -> wanted.test(part.kind()))
                .findFirst();
    }
}
