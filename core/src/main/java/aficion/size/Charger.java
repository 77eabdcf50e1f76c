package aficion.size;

import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
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
 * @param back the terminal it takes it back at
 * @param batteries the live poles it may charge
 * @param earthed the earthed poles of the same batteries
 */
record Charger(
        Terminal output,
        Terminal back,
        Amps rated,
        List<Terminal> batteries,
        List<Terminal> earthed) {
    /** A part as one; empty for what does not charge. */
    static Optional<Charger> of(Design design, Part part) {
        if (!(part.kind() instanceof SourceKind)) {
            return Optional.empty();
        }
        boolean negative = design.vehicle().earthed() == Vehicle.Pole.NEGATIVE;
        var poles = poles(design, design.vehicle().livePin());
        var earthed = poles(design, design.vehicle().earthedPin());
        return switch (part.kind()) {
            case SourceKind.Alternator alternator ->
                    Optional.of(
                            new Charger(
                                    part.terminal("B+"),
                                    part.terminal("31"),
                                    alternator.rated(),
                                    poles,
                                    earthed));
            case SourceKind.Dynamo dynamo ->
                    Optional.of(
                            new Charger(
                                    part.terminal("D"),
                                    part.terminal("31"),
                                    dynamo.rated(),
                                    poles,
                                    earthed));
            case SourceKind.RegulatorRectifier _ ->
                    design.parts().stream()
                            .filter(each -> each.kind() instanceof SourceKind.Flywheel)
                            .map(each -> ((SourceKind.Flywheel) each.kind()).amps())
                            .findFirst()
                            .map(amps ->
                                    new Charger(
                                            part.terminal(negative ? "B+" : "B-"),
                                            part.terminal(negative ? "B-" : "B+"),
                                            amps,
                                            poles,
                                            earthed));
            case SourceKind.Battery _,
                    SourceKind.BenchSupply _,
                    SourceKind.FieldRegulator _,
                    SourceKind.ControlBox _,
                    SourceKind.Flywheel _,
                    GuardKind _,
                    ControlKind _,
                    LoadKind _,
                    JoinKind _ ->
                    Optional.empty();
        };
    }

    private static List<Terminal> poles(Design design, String pin) {
        return design.parts().stream()
                .filter(each -> each.kind() instanceof SourceKind.Battery)
                .map(each -> each.terminal(pin))
                .toList();
    }
}
