package aficion.check;

import aficion.job.Action;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Optional;
import java.util.stream.Stream;

/** Stop lamps that light only while something beside their own switch is on. */
final class NeedsOtherRule implements Rule {
    private static final String STOP = "54";
    private static final double LIT = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var solver = new Solver(assessment.netlist());
        return assessment.design().parts().stream()
                .filter(NeedsOtherRule::stops)
                .flatMap(part -> found(assessment, solver, part).stream());
    }

    private static boolean stops(Part part) {
        return part.kind() instanceof LoadKind.Lamp(_, var filaments)
                && filaments.stream().anyMatch(filament -> filament.pin().equals(STOP));
    }

    private static Optional<Finding> found(Assessment assessment, Solver solver, Part part) {
        return assessment
                .worst()
                .largest(part.id(), STOP)
                .map(peak -> peak.point().conditions())
                .filter(state -> lit(solver, state, part))
                .flatMap(state -> other(assessment, solver, state, part))
                .map(name -> new PathFinding.NeedsOther(part.id(), STOP, name));
    }

    /** What has to be on beside the stop switch, where two things have to be. */
    private static Optional<String> other(
            Assessment assessment, Solver solver, Conditions state, Part part) {
        var controls = Controls.of(assessment.design());
        var needed = new ArrayList<Control>();
        for (var control : controls.controls()) {
            boolean moved = !Controls.position(control, state).equals(control.rest());
            if (moved
                    && control.action() != Action.KEY
                    && !lit(solver, state.with(control.name(), control.rest()), part)) {
                needed.add(control);
            }
        }
        boolean level =
                controls.levels().stream()
                        .filter(state.levels()::containsKey)
                        .anyMatch(name ->
                                !lit(solver, state.withLevel(name, 1 - state.level(name)), part));
        return needed.size() + (level ? 1 : 0) < 2
                ? Optional.empty()
                : needed.stream()
                        .filter(control -> control.action() != Action.PEDAL)
                        .findFirst()
                        .or(() -> needed.stream().findFirst())
                        .map(Control::name);
    }

    private static boolean lit(Solver solver, Conditions state, Part part) {
        return solver.demand(state) instanceof Outcome.Solved(var point)
                && point.light(part.id(), STOP).filter(light -> light.value() > LIT).isPresent();
    }
}
