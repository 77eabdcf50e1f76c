package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Action;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.size.Assessment;
import aficion.solve.Answers;
import java.util.ArrayList;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Stop lamps that light only while something beside their own switch is on, what a push sounds or
 * runs only with the lights on, and gauges that read only while something beside the key is on.
 */
public final class NeedsOtherRule implements Rule {
    private static final String STOP = "54";
    private static final Set<String> LIGHTS = Set.of("58", "56");
    private static final Set<Action> OWN = Set.of(Action.PEDAL, Action.PUSH);
    private static final double LIT = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return Wants.of(assessment).stream()
                .filter(want -> stops(want) || runs(want) || reads(want))
                .flatMap(want -> found(assessment, want).stream());
    }

    private static boolean stops(Wants want) {
        return want.part().kind() instanceof LoadKind.Lamp && want.role().equals(STOP);
    }

    private static boolean runs(Wants want) {
        return want.part().kind() instanceof LoadKind.Load
                || want.part().kind() instanceof LoadKind.Buzzer
                || want.part().kind() instanceof LoadKind.Motor;
    }

    private static boolean reads(Wants want) {
        return want.part().kind() instanceof LoadKind.Gauge;
    }

    private static Optional<Finding> found(Assessment assessment, Wants want) {
        var answers = assessment.answers();
        return assessment
                .worst()
                .largest(want.part().id(), want.role())
                .map(peak -> peak.point().conditions())
                .filter(state -> works(answers, state, want))
                .flatMap(state -> other(assessment.netlist().controls(), answers, state, want))
                .filter(name -> !runs(want) || lights(assessment.design(), name))
                .map(name -> new PathFinding.NeedsOther(want.part().id(), want.feed(), name));
    }

    /** Whether a control works a switch of lights. */
    private static boolean lights(Design design, String control) {
        return design.parts().stream()
                .anyMatch(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && hand.control().equals(control)
                                && hand.pins().stream().anyMatch(LIGHTS::contains));
    }

    /** What has to be on beside the switch of its own, where two things have to be. */
    private static Optional<String> other(
            Controls controls, Answers answers, Conditions state, Wants want) {
        var needed = new ArrayList<Control>();
        for (var control : controls.controls()) {
            boolean moved = !Controls.position(control, state).equals(control.rest());
            if (moved
                    && control.action() != Action.KEY
                    && !works(answers, state.with(control.name(), control.rest()), want)) {
                needed.add(control);
            }
        }
        boolean level =
                controls.levels().stream()
                        .filter(state.levels()::containsKey)
                        .anyMatch(name ->
                                !works(
                                        answers,
                                        state.withLevel(name, 1 - state.level(name)),
                                        want));
        if (reads(want)) {
            return needed.stream().map(Control::name).findFirst();
        }
        boolean own = needed.stream().map(Control::action).anyMatch(OWN::contains);
        return needed.size() + (level ? 1 : 0) < 2 || !stops(want) && !own
                ? Optional.empty()
                : needed.stream()
                        .filter(control -> !OWN.contains(control.action()))
                        .findFirst()
                        .or(() -> needed.stream().findFirst())
                        .map(Control::name);
    }

    private static boolean works(Answers answers, Conditions state, Wants want) {
        return answers.demand(state)
                .settled()
                .filter(point ->
                        point.light(want.part().id(), want.role())
                                .map(light -> light.value() > LIT)
                                .orElseGet(() -> want.metIn(point)))
                .isPresent();
    }
}
