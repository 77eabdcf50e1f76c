package aficion.check;

import aficion.job.Action;
import aficion.job.ControlKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Vehicle;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.OperatingStates;
import aficion.size.Assessment;
import aficion.size.Metal;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What parts the battery from a source that charges: an isolator, a relay in the output lead. The
 * volts of the source leap (load dump) unless its field dies with it; and where the ignition is fed
 * on by the source, the engine does not stop.
 */
final class PartingRule implements Rule {
    private static final double SPARKS = 0.3;
    private static final double GIVES = 0.1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var solver = new Solver(assessment.netlist());
        var found = new LinkedHashSet<Finding>();
        for (var source : assessment.job().parts()) {
            var out = output(source);
            if (out.isEmpty()) {
                continue;
            }
            for (var running : running(assessment, solver, source, out.get())) {
                for (var parted : moved(assessment, running)) {
                    judge(assessment, solver, source, out.get(), running, parted, found);
                }
            }
        }
        return found.stream();
    }

    private static Optional<String> output(Part part) {
        return switch (part.kind()) {
            case SourceKind.Alternator _, SourceKind.RegulatorRectifier _ -> Optional.of("B+");
            case SourceKind.Dynamo _ -> Optional.of("D");
            default -> Optional.empty();
        };
    }

    /** The states in which a source charges the battery. */
    private static List<Conditions> running(
            Assessment assessment, Solver solver, Part source, String out) {
        var states = new ArrayList<Conditions>();
        for (var base : assessment.worst().bases()) {
            var state = base.conditions();
            boolean turns =
                    state.engine().value() > 0
                            && state.charge().value() == 1
                            && !OperatingStates.isOff(assessment.job(), state);
            if (turns
                    && solver.demand(state) instanceof Outcome.Solved(var point)
                    && gives(point, source)
                    && charges(assessment, point, source, out)) {
                states.add(state);
            }
        }
        return states;
    }

    /** Each control, moved to each of its lasting positions in turn. */
    private static List<Conditions> moved(Assessment assessment, Conditions running) {
        return Controls.of(assessment.job()).controls().stream()
                .flatMap(control ->
                        control.positions().stream()
                                .filter(position -> !position.springs())
                                .map(position -> running.with(control.name(), position.name())))
                .filter(state -> !state.equals(running))
                .map(state -> state.after(running))
                .toList();
    }

    private static void judge(
            Assessment assessment,
            Solver solver,
            Part source,
            String out,
            Conditions running,
            Conditions parted,
            LinkedHashSet<Finding> found) {
        if (!(solver.demand(parted) instanceof Outcome.Solved(var point))
                || charges(assessment, point, source, out)
                || !alive(point, source)) {
            return;
        }
        var by = by(assessment, solver, source, out, running, parted);
        if (found.stream().noneMatch(each -> isDump(each, source, by))) {
            found.add(new SourceFinding.LoadDump(source.id(), by, parted));
        }
        boolean off = OperatingStates.isOff(assessment.job(), parted);
        if (!off && assessment.job().part(by).kind() instanceof ControlKind.Switch) {
            ignition(assessment, point)
                    .filter(_ ->
                            found.stream()
                                    .noneMatch(each ->
                                            each
                                                            instanceof
                                                            SourceFinding.IsolatorDoesNotStop(
                                                                    var part,
                                                                    _,
                                                                    _)
                                                    && part.equals(by)))
                    .ifPresent(coil ->
                            found.add(new SourceFinding.IsolatorDoesNotStop(by, coil, parted)));
        }
    }

    private static boolean isDump(Finding finding, Part source, PartId by) {
        return finding instanceof SourceFinding.LoadDump(var part, var other, _)
                && part.equals(source.id())
                && other.equals(by);
    }

    /** Whether its output reaches the live pole of a battery that is at earth with its other. */
    private static boolean charges(
            Assessment assessment, OperatingPoint point, Part source, String out) {
        var netlist = assessment.netlist();
        var bond = assessment.worst().metal().in(point);
        boolean negative = assessment.job().vehicle().earthed() == Vehicle.Pole.NEGATIVE;
        int live =
                netlist.node(
                        source.terminal(
                                source.kind() instanceof SourceKind.RegulatorRectifier && !negative
                                        ? "B-"
                                        : out));
        return assessment.job().parts().stream()
                        .filter(part -> part.kind() instanceof SourceKind.Battery)
                        .anyMatch(part ->
                                bond.together(
                                        live, netlist.node(part.terminal(negative ? "+" : "-"))))
                && !bond.batteries(live).isEmpty()
                && circuit(assessment, bond);
    }

    /** Whether some battery has its other pole at earth, by way of others in series or not. */
    private static boolean circuit(Assessment assessment, Metal.Bond bond) {
        var netlist = assessment.netlist();
        return assessment.job().parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .flatMap(part -> part.terminals().stream())
                .anyMatch(pole -> bond.earthed(netlist.node(pole)));
    }

    private static boolean gives(OperatingPoint point, Part source) {
        return switch (source.kind()) {
            case SourceKind.RegulatorRectifier _ -> true;
            default ->
                    point.through(source.id(), "output")
                            .filter(amps -> Math.abs(amps.value()) > GIVES)
                            .isPresent();
        };
    }

    /** Whether a source still makes volts of its own. */
    private static boolean alive(OperatingPoint point, Part source) {
        var netlist = point.netlist();
        return switch (source.kind()) {
            case SourceKind.RegulatorRectifier _ -> true;
            default -> {
                var output = netlist.inside(source.id()).get("output");
                yield output != null && point.conducts(output);
            }
        };
    }

    /** The switch that was moved, or the relay that let go with it. */
    private static PartId by(
            Assessment assessment,
            Solver solver,
            Part source,
            String out,
            Conditions running,
            Conditions parted) {
        var job = assessment.job();
        var netlist = assessment.netlist();
        if (solver.demand(running) instanceof Outcome.Solved(var before)
                && solver.demand(parted) instanceof Outcome.Solved(var after)) {
            var bond = assessment.worst().metal().in(after);
            for (int i = 0; i < netlist.size(); i++) {
                boolean opened =
                        assessment.worst().metal().joins(before, i)
                                && !assessment.worst().metal().joins(after, i)
                                && !bond.together(netlist.a(i), netlist.b(i));
                var part = netlist.partOf(i);
                if (opened && part.isPresent() && atSource(assessment, bond, i, source, out)) {
                    return part.get();
                }
            }
        }
        return job.parts().stream()
                .filter(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && hand.action() != Action.KEY)
                .filter(part ->
                        !parted.positions()
                                .getOrDefault(((ControlKind.Switch) part.kind()).control(), "")
                                .equals(
                                        running.positions()
                                                .getOrDefault(
                                                        ((ControlKind.Switch) part.kind())
                                                                .control(),
                                                        "")))
                .map(Part::id)
                .findFirst()
                .orElse(source.id());
    }

    private static boolean atSource(
            Assessment assessment, Metal.Bond bond, int branch, Part source, String out) {
        var netlist = assessment.netlist();
        int live = netlist.node(source.terminal(out));
        return bond.together(netlist.a(branch), live)
                || bond.together(netlist.b(branch), live)
                || bond.earthed(netlist.a(branch)) != bond.earthed(netlist.b(branch));
    }

    private static Optional<PartId> ignition(Assessment assessment, OperatingPoint point) {
        return assessment.job().parts().stream()
                .filter(part ->
                        part.kind() instanceof LoadKind.IgnitionCoil
                                || part.kind() instanceof ControlKind.IgnitionBox)
                .filter(part ->
                        Stream.of("body", "rest")
                                .flatMap(role -> point.through(part.id(), role).stream())
                                .anyMatch(amps -> Math.abs(amps.value()) > SPARKS / 10))
                .map(Part::id)
                .findFirst();
    }
}
