package aficion.check.earthing;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Action;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls.Control;
import aficion.netlist.OperatingStates;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.size.Assessment;
import aficion.size.GaugeReading;
import aficion.solve.Answers;
import aficion.solve.Outcome;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Gauges that do not hold still: thermal ones fed unstabilised, which follow the charging, and
 * those that a load moves by what it loses in an earth they share.
 */
public final class GaugeRule implements Rule {
    /**
     * What a thermal gauge may move between a still and a charging engine, share of its reading.
     */
    private static final double STEADY = 0.06;

    /** What a load may move a gauge, share of its scale. */
    private static final double MOVED = 0.05;

    private static final double READS = 0.1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var answers = assessment.answers();
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind() instanceof LoadKind.Gauge gauge
                                ? Stream.of(
                                                atEarth(assessment, part),
                                                unsteady(assessment, answers, part, gauge),
                                                moved(assessment, answers, part, gauge))
                                        .flatMap(Optional::stream)
                                : Stream.empty());
    }

    private static Optional<Finding> atEarth(Assessment assessment, Part part) {
        int sender = assessment.netlist().node(part.terminal("T"));
        return Optional.of(part.id())
                .filter(_ -> assessment.worst().metal().alwaysJoins(sender, 0))
                .map(PathFinding.GaugeAtEarth::new);
    }

    private static Optional<Finding> unsteady(
            Assessment assessment, Answers answers, Part part, LoadKind.Gauge gauge) {
        if (gauge.movement().orElse(LoadKind.Gauge.Movement.THERMAL)
                != LoadKind.Gauge.Movement.THERMAL) {
            return Optional.empty();
        }
        return on(assessment, answers, part, gauge)
                .map(state -> state.withEngine(new Rpm(0)))
                .flatMap(state -> {
                    var still = reads(answers, state, part, gauge);
                    var charging =
                            reads(answers, state.withEngine(OperatingStates.ROAD), part, gauge);
                    return still.filter(reading -> reading > READS)
                            .flatMap(before -> charging.map(after -> after / before - 1));
                })
                .filter(share -> Math.abs(share) > STEADY)
                .map(share -> new PathFinding.GaugeUnsteady(part.id(), new Ratio(Math.abs(share))));
    }

    /** The state in which a gauge reads most. */
    private static Optional<Conditions> on(
            Assessment assessment, Answers answers, Part part, LoadKind.Gauge gauge) {
        return assessment
                .worst()
                .steady(part.id(), "body")
                .map(peak -> peak.point().conditions())
                .filter(state -> reads(answers, state, part, gauge).isPresent());
    }

    private static Optional<Finding> moved(
            Assessment assessment, Answers answers, Part part, LoadKind.Gauge gauge) {
        return on(assessment, answers, part, gauge)
                .flatMap(state -> {
                    var loads = new ArrayList<Control>();
                    var quiet = state;
                    for (var control : assessment.netlist().controls().controls()) {
                        var without = quiet.with(control.name(), control.rest());
                        if (control.action() != Action.KEY
                                && !assessment.design().isMain(control.name())
                                && reads(answers, without, part, gauge)
                                        .filter(reading -> reading > READS)
                                        .isPresent()) {
                            quiet = without;
                            loads.add(control);
                        }
                    }
                    return moved(assessment, answers, part, gauge, quiet, loads);
                });
    }

    /** What moves it of what is switched on by itself; what it is itself fed by moves nothing. */
    private static Optional<Finding> moved(
            Assessment assessment,
            Answers answers,
            Part part,
            LoadKind.Gauge gauge,
            Conditions quiet,
            List<Control> loads) {
        return reads(answers, quiet, part, gauge)
                .flatMap(before ->
                        loads.stream()
                                .flatMap(control ->
                                        control.positions().stream()
                                                .filter(position -> !position.springs())
                                                .map(position ->
                                                        quiet.with(
                                                                control.name(), position.name())))
                                .flatMap(each ->
                                        mover(assessment, answers, each, part, gauge, before)
                                                .stream())
                                .findFirst());
    }

    private static Optional<Finding> mover(
            Assessment assessment,
            Answers answers,
            Conditions state,
            Part part,
            LoadKind.Gauge gauge,
            double before) {
        if (!(answers.demand(state) instanceof Outcome.Solved(var point))) {
            return Optional.empty();
        }
        double moves = Math.abs(GaugeReading.of(point, part, gauge).value() - before);
        if (moves <= MOVED) {
            return Optional.empty();
        }
        PartId heaviest =
                assessment.design().parts().stream()
                        .filter(each -> each.kind().consumes())
                        .max(
                                Comparator.comparingDouble(each ->
                                        assessment.netlist().inside(each.id()).values().stream()
                                                .mapToDouble(branch ->
                                                        Math.abs(point.branchAmps(branch)))
                                                .max()
                                                .orElse(0)))
                        .map(Part::id)
                        .orElseThrow();
        return Optional.of(new PathFinding.GaugeMoved(part.id(), heaviest, new Ratio(moves)));
    }

    private static Optional<Double> reads(
            Answers answers, Conditions state, Part part, LoadKind.Gauge gauge) {
        return answers.demand(state)
                .settled()
                .map(point -> GaugeReading.of(point, part, gauge).value());
    }
}
