package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.Subject;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Thermal flasher units whose lamps are not the ones they are made for, on one side or the other:
 * judged in every position of the key with each control of their circuits moved in turn.
 */
public final class FlasherRule implements Rule {
    private static final double LEAST = 0.85;
    private static final double MOST = 1.3;
    private static final double ON = 1;
    private static final double DRAWS = 0.3;
    private static final double LEAKS = 0.01;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind() instanceof ControlKind.Flasher flasher
                                        && flasher.form() == ControlKind.Flasher.Form.THERMAL
                                ? wrong(assessment, part, flasher)
                                : Stream.empty());
    }

    private static Stream<Finding> wrong(
            Assessment assessment, Part part, ControlKind.Flasher flasher) {
        var solver = assessment.answers().solver();
        double made = flasher.load().value();
        return states(assessment, part).stream()
                .flatMap(state -> load(solver, state, part, flasher).stream())
                .filter(watts -> watts > ON && (watts < LEAST * made || watts > MOST * made))
                .max(Comparator.comparingDouble(watts -> Math.abs(Math.log(watts / made))))
                .<Finding>map(watts ->
                        new Finding.FlasherLoad(part.id(), new Watts(watts), flasher.load()))
                .stream();
    }

    /**
     * What hangs on a flasher in a state, by its rating: what draws, and no longer does once the
     * flasher's contact is open.
     */
    private static Optional<Double> load(
            Solver solver, Conditions state, Part part, ControlKind.Flasher flasher) {
        var netlist = solver.netlist();
        int contact = netlist.inside(part.id()).get("49-49a");
        if (!(solver.demand(state) instanceof Outcome.Solved(var point))) {
            return Optional.empty();
        }
        var network = solver.network();
        network.blink(contact, false);
        boolean found = network.solve();
        double watts =
                IntStream.range(0, netlist.size())
                        .filter(i -> draws(point.branch(i), point.branchAmps(i)))
                        .filter(i -> !draws(point.branch(i), network.amps(i)))
                        .mapToDouble(i -> watts(point.branch(i), point.branchAmps(i), flasher))
                        .sum();
        network.blink(contact, true);
        return found ? Optional.of(watts) : Optional.empty();
    }

    private static boolean draws(Branch branch, double amps) {
        return switch (branch) {
            case Branch.Filament lamp -> Math.abs(amps) > DRAWS * lamp.ratedAmps();
            case Branch.Rectifier _ -> Math.abs(amps) > LEAKS;
            default -> false;
        };
    }

    private static double watts(Branch branch, double amps, ControlKind.Flasher flasher) {
        return branch instanceof Branch.Filament lamp
                ? lamp.ratedVolts() * lamp.ratedAmps()
                : Math.abs(amps) * flasher.rated().value();
    }

    private static Set<Conditions> states(Assessment assessment, Part part) {
        var design = assessment.design();
        var states = new LinkedHashSet<Conditions>();
        var keys = OperatingStates.keys(assessment.netlist().controls(), Conditions.REST);
        for (var circuit : new Subject.OfPart(part.id()).circuits(design)) {
            for (var control : Controls.of(design, circuit).controls()) {
                for (var position : control.positions()) {
                    keys.forEach(key -> states.add(key.with(control.name(), position.name())));
                }
            }
        }
        states.addAll(keys);
        return states;
    }
}
