package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Action;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.size.Assessment;
import aficion.solve.Answers;
import aficion.solve.Outcome;
import java.util.ArrayList;
import java.util.Optional;
import java.util.stream.Stream;

/** Stop lamps that light only while something beside their own switch is on. */
public final class NeedsOtherRule implements Rule {
    private static final String STOP = "54";
    private static final double LIT = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var answers = assessment.answers();
        return assessment.design().parts().stream()
                .filter(NeedsOtherRule::stops)
                .flatMap(part -> found(assessment, answers, part).stream());
    }

    private static boolean stops(Part part) {
        return part.kind() instanceof LoadKind.Lamp(_, var filaments)
                && filaments.stream().anyMatch(filament -> filament.pin().equals(STOP));
    }

    private static Optional<Finding> found(Assessment assessment, Answers answers, Part part) {
        return assessment
                .worst()
                .largest(part.id(), STOP)
                .map(peak -> peak.point().conditions())
                .filter(state -> lit(answers, state, part))
                .flatMap(state -> other(assessment, answers, state, part))
                .map(name -> new PathFinding.NeedsOther(part.id(), STOP, name));
    }

    /** What has to be on beside the stop switch, where two things have to be. */
    private static Optional<String> other(
            Assessment assessment, Answers answers, Conditions state, Part part) {
        var controls = Controls.of(assessment.design());
        var needed = new ArrayList<Control>();
        for (var control : controls.controls()) {
            boolean moved = !Controls.position(control, state).equals(control.rest());
            if (moved
                    && control.action() != Action.KEY
                    && !lit(answers, state.with(control.name(), control.rest()), part)) {
                needed.add(control);
            }
        }
        boolean level =
                controls.levels().stream()
                        .filter(state.levels()::containsKey)
                        .anyMatch(name ->
                                !lit(answers, state.withLevel(name, 1 - state.level(name)), part));
        return needed.size() + (level ? 1 : 0) < 2
                ? Optional.empty()
                : needed.stream()
                        .filter(control -> control.action() != Action.PEDAL)
                        .findFirst()
                        .or(() -> needed.stream().findFirst())
                        .map(Control::name);
    }

    private static boolean lit(Answers answers, Conditions state, Part part) {
        return answers.demand(state) instanceof Outcome.Solved(var point)
                && point.light(part.id(), STOP).filter(light -> light.value() > LIT).isPresent();
    }
}
