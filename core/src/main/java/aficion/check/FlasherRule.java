package aficion.check;

import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Thermal flasher units whose lamps are not the ones they are made for, on one side or the other:
 * judged in every position of the key with each control of their circuits moved in turn.
 */
final class FlasherRule implements Rule {
    private static final double LEAST = 0.85;
    private static final double MOST = 1.3;
    private static final double ON = 1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.job().parts().stream()
                .flatMap(part ->
                        part.kind() instanceof ControlKind.Flasher flasher
                                        && flasher.form() == ControlKind.Flasher.Form.THERMAL
                                ? wrong(assessment, part, flasher)
                                : Stream.empty());
    }

    private static Stream<Finding> wrong(
            Assessment assessment, Part part, ControlKind.Flasher flasher) {
        var solver = new Solver(Netlist.of(assessment.job()));
        double made = flasher.load().value();
        return states(assessment, part).stream()
                .flatMap(state -> load(solver, state, part, flasher).stream())
                .filter(watts -> watts > ON && (watts < LEAST * made || watts > MOST * made))
                .max(Comparator.comparingDouble(watts -> Math.abs(Math.log(watts / made))))
                .<Finding>map(watts ->
                        new Finding.FlasherLoad(part.id(), new Watts(watts), flasher.load()))
                .stream();
    }

    private static Optional<Double> load(
            Solver solver, Conditions state, Part part, ControlKind.Flasher flasher) {
        return solver.solve(state) instanceof Outcome.Solved(var point)
                ? point.through(part.id(), "49-49a")
                        .map(Amps::value)
                        .map(amps -> Math.abs(amps) * flasher.rated().value())
                : Optional.empty();
    }

    private static Set<Conditions> states(Assessment assessment, Part part) {
        var job = assessment.job();
        var states = new LinkedHashSet<Conditions>();
        var keys = new LinkedHashSet<>(Set.of(Conditions.REST));
        Controls.of(job)
                .key()
                .ifPresent(key ->
                        key.positions()
                                .forEach(position ->
                                        keys.add(
                                                Conditions.REST.with(
                                                        key.name(), position.name()))));
        for (var circuit : new Subject.OfPart(part.id()).circuits(job)) {
            for (var control : Controls.of(job, circuit).controls()) {
                for (var position : control.positions()) {
                    keys.forEach(key -> states.add(key.with(control.name(), position.name())));
                }
            }
        }
        states.addAll(keys);
        return states;
    }
}
