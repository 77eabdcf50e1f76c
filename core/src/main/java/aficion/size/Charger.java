package aficion.size;

import aficion.job.Job;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Vehicle;
import aficion.quantity.Amps;
import java.util.List;
import java.util.Optional;

/**
 * What charges, by its rating.
 *
 * @param output the terminal it gives at
 * @param rated the most it gives
 * @param batteries the live poles it may charge
 */
record Charger(Terminal output, Amps rated, List<Terminal> batteries) {
    /** A part as one; empty for what does not charge. */
    static Optional<Charger> of(Job job, Part part) {
        boolean negative = job.vehicle().earthed() == Vehicle.Pole.NEGATIVE;
        var poles =
                job.parts().stream()
                        .filter(each -> each.kind() instanceof SourceKind.Battery)
                        .map(each -> each.terminal(negative ? "+" : "-"))
                        .toList();
        return switch (part.kind()) {
            case SourceKind.Alternator alternator ->
                    Optional.of(new Charger(part.terminal("B+"), alternator.rated(), poles));
            case SourceKind.Dynamo dynamo ->
                    Optional.of(new Charger(part.terminal("D"), dynamo.rated(), poles));
            case SourceKind.RegulatorRectifier _ ->
                    job.parts().stream()
                            .filter(each -> each.kind() instanceof SourceKind.Flywheel)
                            .map(each -> ((SourceKind.Flywheel) each.kind()).amps())
                            .findFirst()
                            .map(amps ->
                                    new Charger(
                                            part.terminal(negative ? "B+" : "B-"), amps, poles));
            default -> Optional.empty();
        };
    }
}
