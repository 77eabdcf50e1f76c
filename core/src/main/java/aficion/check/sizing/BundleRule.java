package aficion.check.sizing;

import aficion.catalogue.Conductors;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Celsius;
import aficion.size.Assessment;
import java.util.List;
import java.util.stream.Stream;

/** Bundles in whose middle a wire gets too hot, though each may be cool enough alone. */
public final class BundleRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.bundles().stream()
                .filter(bundle -> !bundle.working().limit().orElseThrow().kept())
                .map(bundle ->
                        new Finding.BundleTooHot(
                                bundle.hottest().id(),
                                bundle.name(),
                                new Celsius(bundle.working().result().value()),
                                new Celsius(bundle.working().limit().orElseThrow().value().value()),
                                thicker(bundle.heaviest())));
    }

    /** The wire that loses most, one size up. */
    private static List<Edit> thicker(Wire wire) {
        return Conductors.of(wire.size().standard()).stream()
                .filter(conductor ->
                        conductor.copper().value() > 1.01 * wire.conductor().copper().value())
                .limit(1)
                .<Edit>map(conductor -> new WireEdit.Resize(wire.id(), conductor.size()))
                .toList();
    }
}
