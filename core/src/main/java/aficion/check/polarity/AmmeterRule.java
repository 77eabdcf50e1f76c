package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import java.util.stream.Stream;

/**
 * Ammeters that read charge, from A to B, while the battery gives, or discharge while it is
 * charged; judged where they carry enough to read.
 */
public final class AmmeterRule implements Rule {
    private static final double READABLE = 0.05;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Ammeter)
                .filter(part -> wrong(assessment, part) > right(assessment, part))
                .map(part ->
                        new Finding.ReadsBackwards(
                                part.id(), Exchanges.of(assessment.design(), part, "A", "B")));
    }

    private static long wrong(Assessment assessment, Part part) {
        return assessment.worst().bases().stream()
                .filter(point -> agreement(point, part) < 0)
                .count();
    }

    private static long right(Assessment assessment, Part part) {
        return assessment.worst().bases().stream()
                .filter(point -> agreement(point, part) > 0)
                .count();
    }

    /** Above 0 where the reading tells the truth, below where it lies, 0 where it tells nothing. */
    private static double agreement(OperatingPoint point, Part part) {
        double range = ((LoadKind.Ammeter) part.kind()).range().value();
        double charge = -Supply.of(point).battery().value();
        double reads = point.through(part.id(), "A-B").map(Amps::value).orElse(0.0);
        boolean tells = Math.abs(reads) > READABLE * range && Math.abs(charge) > READABLE * range;
        return tells ? reads * charge : 0;
    }
}
