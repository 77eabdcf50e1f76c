package aficion.check;

import aficion.job.Job;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WorstCase;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Ignition that is fed although the key is off, in whatever state that leaves: through the charge
 * lamp of an alternator still excited, a hazard switch with the signals left on, a fan that turns
 * in the wind. While the engine turns it keeps running.
 */
final class OffRule implements Rule {
    /** Current that still makes a spark, amps. */
    private static final double SPARKS = 0.3;

    /** Share of its speed at which a fan turns in the wind, typical. */
    private static final double WIND = 0.6;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.job().parts().stream()
                .filter(part -> part.kind().ignites())
                .flatMap(part ->
                        fed(assessment, part)
                                .or(() -> blown(assessment, part))
                                .map(peak -> found(part, peak))
                                .stream());
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

    /** The same with each permanent-magnet motor turned by the wind in turn. */
    private static Optional<WorstCase.Peak> blown(Assessment assessment, Part ignition) {
        var netlist = assessment.netlist();
        var state = Conditions.REST.withEngine(OperatingStates.ROAD);
        if (!OperatingStates.isOff(assessment.job(), state) || !hasKey(assessment.job())) {
            return Optional.empty();
        }
        for (var part : assessment.job().parts()) {
            if (part.kind() instanceof LoadKind.Motor motor && turnsByItself(motor)) {
                var solver = new Solver(netlist);
                solver.arrive(state);
                int branch = netlist.inside(part.id()).get("body");
                double emf = WIND * (motor.rated().value() - drop(motor));
                double ohms = motor.windings().value();
                double sign = Math.signum(turnedTo(assessment, part));
                solver.network().straighten(branch, 1 / ohms, -sign * emf / ohms);
                if (solver.movesCoils()) {
                    double amps = solver.network().amps(netlist.inside(ignition.id()).get("body"));
                    if (Math.abs(amps) > SPARKS) {
                        return OperatingPoint.of(state, solver.network())
                                .map(point -> new WorstCase.Peak(new Amps(amps), point));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static boolean hasKey(Job job) {
        return Controls.of(job).key().isPresent();
    }

    private static boolean turnsByItself(LoadKind.Motor motor) {
        return motor.excitation().orElse(LoadKind.Excitation.MAGNET) == LoadKind.Excitation.MAGNET;
    }

    private static double drop(LoadKind.Motor motor) {
        return motor.windings().value() * motor.running().value();
    }

    /** The volts it is driven with: the wind turns it the same way. */
    private static double turnedTo(Assessment assessment, Part part) {
        return assessment
                .worst()
                .volts(part.id(), "body")
                .map(span ->
                        span.most().value() >= -span.least().value()
                                ? span.most().value()
                                : span.least().value())
                .orElse(0.0);
    }
}
