package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Warning lamps whose name says that they tell of main beam and that are lit while a headlamp is on
 * and main beam is not: fed before the dip switch, or from dip beam.
 */
public final class TellTaleRule implements Rule {
    private static final Pattern NAME =
            Pattern.compile("\\b(main|high)[ -]?beam\\b", Pattern.CASE_INSENSITIVE);
    private static final String MAIN = "56a";
    private static final String DIP = "56b";
    private static final double LIT = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return Wants.of(assessment.design()).stream()
                .filter(want -> tells(want.part()))
                .flatMap(want ->
                        assessment.worst().points().stream()
                                .filter(want::metIn)
                                .filter(point -> isLit(point, DIP) && !isLit(point, MAIN))
                                .limit(1)
                                .map(point ->
                                        new PathFinding.TellsWrongly(
                                                want.part().id(),
                                                point.conditions(),
                                                moved(assessment, want))));
    }

    private static boolean tells(Part part) {
        return (part.kind() instanceof LoadKind.WarningLamp
                        || part.kind() instanceof LoadKind.LedLamp)
                && NAME.matcher(part.name()).find();
    }

    /** Whether some filament of a number is lit. */
    private static boolean isLit(OperatingPoint point, String number) {
        return point.netlist().design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Lamp)
                .flatMap(part -> point.light(part.id(), number).stream())
                .anyMatch(light -> light.value() > LIT);
    }

    /** Its feed, led to main beam of the switch that it comes from. */
    private static List<Edit> moved(Assessment assessment, Wants want) {
        var design = assessment.design();
        var feed = want.part().terminal(want.feed());
        return design.wiresAt(feed).stream()
                .flatMap(wire -> {
                    var from = wire.beyond(feed).terminal();
                    var part = design.part(from.part());
                    return part.kind().pins().contains(MAIN) && !from.pin().equals(MAIN)
                            ? Stream.<Edit>of(WireEdit.MoveEnd.of(wire, from, part.terminal(MAIN)))
                            : Stream.empty();
                })
                .limit(1)
                .toList();
    }
}
