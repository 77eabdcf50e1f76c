package aficion.check;

import aficion.job.LoadKind;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import java.util.stream.Stream;

/**
 * Ignition that is fed although the key is off, because the engine still turns what charges:
 * through the charge lamp, mostly. A diode in the lamp's lead stops it.
 */
final class BackfeedRule implements Rule {
    private static final double SPARKS = 0.3;
    private static final Conditions TURNING = Conditions.REST.withEngine(new Rpm(2000));

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        boolean ignites =
                job.parts().stream().anyMatch(part -> part.kind() instanceof LoadKind.IgnitionCoil);
        if (!ignites
                || !(new Solver(Netlist.of(job)).solve(TURNING)
                        instanceof Outcome.Solved(var point))) {
            return Stream.empty();
        }
        return job.parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.IgnitionCoil)
                .flatMap(part ->
                        point.through(part.id(), "body").stream()
                                .filter(amps -> Math.abs(amps.value()) > SPARKS)
                                .map(amps ->
                                        new Finding.KeepsRunning(
                                                part.id(),
                                                new Amps(Math.abs(amps.value())),
                                                List.of())));
    }
}
