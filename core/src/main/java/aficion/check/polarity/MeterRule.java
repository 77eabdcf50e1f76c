package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.stream.Stream;

/**
 * Ammeters that read charge, from A to B, while the battery gives, or discharge while it is
 * charged, or while the source gives in whose lead they are, judged where they carry enough to
 * read; and voltmeters that read below zero, but for those whose case is their earth: they were
 * made for the pole that is.
 */
public final class MeterRule implements Rule {
    private static final double READABLE = 0.05;

    /** Two currents that differ by less, as a share, are one. */
    private static final double SAME = 0.01;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        switch (part.kind()) {
                            case LoadKind.Ammeter _ when mostlyLies(assessment, part) ->
                                    Stream.of(backwards(assessment, part, "A", "B"));
                            case LoadKind.Voltmeter meter
                                    when part.mount().isEmpty()
                                            && readsBelowZero(assessment, part, meter) ->
                                    Stream.of(backwards(assessment, part, "+", "31"));
                            case SourceKind _, GuardKind _, ControlKind _, LoadKind _, JoinKind _ ->
                                    Stream.empty();
                        });
    }

    private static Finding backwards(Assessment assessment, Part part, String one, String other) {
        return new Finding.ReadsBackwards(
                part.id(), Exchanges.of(assessment.design(), part, one, other));
    }

    private static boolean readsBelowZero(
            Assessment assessment, Part part, LoadKind.Voltmeter meter) {
        var span = assessment.worst().volts(assessment.netlist().inside(part.id()).get("body"));
        double below = -span.least().value();
        return below > READABLE * meter.range().value() && below > span.most().value();
    }

    /** Whether it lies in more states than it tells the truth in. */
    private static boolean mostlyLies(Assessment assessment, Part part) {
        var points = assessment.worst().bases();
        boolean ofSource = isOfSource(points, part);
        return points.stream()
                        .mapToDouble(point -> Math.signum(agreement(point, part, ofSource)))
                        .sum()
                < 0;
    }

    /** Whether all that the sources give goes through it, whenever they give something. */
    private static boolean isOfSource(List<OperatingPoint> points, Part part) {
        var giving = points.stream().filter(point -> tells(part, generated(point))).toList();
        return !giving.isEmpty()
                && giving.stream()
                        .allMatch(point ->
                                Math.abs(Math.abs(reads(point, part)) - generated(point))
                                        < SAME * generated(point));
    }

    private static double generated(OperatingPoint point) {
        return Supply.of(point).generated().value();
    }

    private static double reads(OperatingPoint point, Part part) {
        return point.through(part.id(), "A-B").map(Amps::value).orElse(0.0);
    }

    private static boolean tells(Part part, double amps) {
        return Math.abs(amps) > READABLE * ((LoadKind.Ammeter) part.kind()).range().value();
    }

    /**
     * Above 0 where the reading tells the truth, below where it lies, 0 where it tells nothing. In
     * the lead of the source it tells what that gives.
     */
    private static double agreement(OperatingPoint point, Part part, boolean ofSource) {
        double reads = reads(point, part);
        double said = ofSource ? generated(point) : -Supply.of(point).battery().value();
        return tells(part, reads) && tells(part, said) ? reads * said : 0;
    }
}
