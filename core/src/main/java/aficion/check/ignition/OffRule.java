package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.job.Part;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WorstCase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Ignition that is fed although the key is off, in whatever state that leaves: through the charge
 * lamp of an alternator still excited, a hazard switch with the signals left on. While the engine
 * turns it keeps running. What the wind turns is {@link WindRule}.
 */
public final class OffRule implements Rule {
    /** Current that still makes a spark, amps. */
    static final double SPARKS = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .filter(part -> part.kind().ignites())
                .flatMap(part -> fed(assessment, part).map(peak -> found(part, peak)).stream());
    }

    private static Optional<WorstCase.Peak> fed(Assessment assessment, Part part) {
        return assessment
                .worst()
                .keyOff(part.id(), "body")
                .filter(peak -> Math.abs(peak.amps().value()) > SPARKS);
    }

    private static Finding found(Part part, WorstCase.Peak peak) {
        var amps = new Amps(Math.abs(peak.amps().value()));
        var state = peak.point().conditions();
        boolean turns = state.engine().value() > 0;
        return turns
                ? new Finding.KeepsRunning(part.id(), amps, List.of())
                : new SourceFinding.FedWithKeyOff(part.id(), amps, state);
    }
}
