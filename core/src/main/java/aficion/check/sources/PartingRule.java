package aficion.check.sources;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Vehicle;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.size.Assessment;
import aficion.size.Metal;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What parts the battery from a source that charges: an isolator, a relay in the output lead. The
 * volts of the source leap (load dump) unless its field dies with it; and where the ignition is fed
 * on by the source, the engine does not stop.
 */
public final class PartingRule implements Rule {
    private static final double SPARKS = 0.3;
    private static final double GIVES = 0.1;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var answers = assessment.answers();
        var found = new LinkedHashSet<Finding>();
        for (var source : assessment.design().parts()) {
            var out = source.kind().chargingPin();
            if (out.isEmpty()) {
                continue;
            }
            running(assessment, source, out.get())
                    .forEach(running ->
                            moved(assessment, running.conditions()).stream()
                                    .flatMap(parted -> demanded(answers, parted))
                                    .filter(parted -> alive(parted, source))
                                    .filter(parted ->
                                            !charges(assessment, parted, source, out.get()))
                                    .forEach(parted ->
                                            judge(
                                                    assessment,
                                                    source,
                                                    out.get(),
                                                    running,
                                                    parted,
                                                    found)));
        }
        return found.stream();
    }

    /** The points at which a source charges the battery. */
    private static Stream<OperatingPoint> running(Assessment assessment, Part source, String out) {
        return assessment.worst().bases().stream()
                .filter(base -> base.conditions().engine().value() > 0)
                .filter(base -> base.conditions().charge().value() == 1)
                .filter(base ->
                        !OperatingStates.isOff(assessment.netlist().controls(), base.conditions()))
                .filter(base -> gives(base, source) && charges(assessment, base, source, out));
    }

    /** Each control, moved to each of its lasting positions in turn. */
    private static List<Conditions> moved(Assessment assessment, Conditions running) {
        return assessment.netlist().controls().controls().stream()
                .flatMap(control ->
                        control.positions().stream()
                                .filter(position -> !position.springs())
                                .map(position -> running.with(control.name(), position.name())))
                .filter(state -> !state.equals(running))
                .map(state -> state.after(running))
                .toList();
    }

    private static Stream<OperatingPoint> demanded(Answers answers, Conditions state) {
        return answers.demand(state) instanceof Outcome.Solved(var point)
                ? Stream.of(point)
                : Stream.empty();
    }

    private static void judge(
            Assessment assessment,
            Part source,
            String out,
            OperatingPoint running,
            OperatingPoint parted,
            LinkedHashSet<Finding> found) {
        var state = parted.conditions();
        var by = by(assessment, source, out, running, parted);
        if (found.stream().noneMatch(each -> isDump(each, source, by))) {
            found.add(new SourceFinding.LoadDump(source.id(), by, state));
        }
        boolean off = OperatingStates.isOff(assessment.netlist().controls(), state);
        if (!off && assessment.design().part(by).kind() instanceof ControlKind.Switch) {
            ignition(assessment, parted)
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
                            found.add(new SourceFinding.IsolatorDoesNotStop(by, coil, state)));
        }
    }

    private static boolean isDump(Finding finding, Part source, PartId by) {
        return finding instanceof SourceFinding.LoadDump(var part, var other, _)
                && part.equals(source.id())
                && other.equals(by);
    }

    /** Whether its output reaches a battery that is at earth with its other pole. */
    private static boolean charges(
            Assessment assessment, OperatingPoint point, Part source, String out) {
        var design = assessment.design();
        boolean negative = design.vehicle().earthed() == Vehicle.Pole.NEGATIVE;
        var live =
                source.terminal(
                        source.kind() instanceof SourceKind.RegulatorRectifier && !negative
                                ? "B-"
                                : out);
        var batteries =
                design.parts().stream()
                        .filter(part -> part.kind() instanceof SourceKind.Battery)
                        .toList();
        return leadsToEarth(assessment, assessment.worst().metal().in(point), live, batteries);
    }

    /** Whether a terminal leads to earth by one of some batteries, or by several in series. */
    private static boolean leadsToEarth(
            Assessment assessment, Metal.Bond bond, Terminal from, List<Part> batteries) {
        var netlist = assessment.netlist();
        var vehicle = assessment.design().vehicle();
        for (var battery : batteries) {
            int live = netlist.node(battery.terminal(vehicle.livePin()));
            if (bond.together(netlist.node(from), live)) {
                var back = battery.terminal(vehicle.earthedPin());
                var others = batteries.stream().filter(each -> each != battery).toList();
                if (bond.earthed(netlist.node(back))
                        || leadsToEarth(assessment, bond, back, others)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean gives(OperatingPoint point, Part source) {
        return source.kind() instanceof SourceKind.RegulatorRectifier
                || point.through(source.id(), "output")
                        .filter(amps -> Math.abs(amps.value()) > GIVES)
                        .isPresent();
    }

    /** Whether a source still makes volts of its own. */
    private static boolean alive(OperatingPoint point, Part source) {
        var output = point.netlist().inside(source.id()).get("output");
        return source.kind() instanceof SourceKind.RegulatorRectifier
                || output != null && point.conducts(output);
    }

    /** The switch that was moved, or the relay that let go with it. */
    private static PartId by(
            Assessment assessment,
            Part source,
            String out,
            OperatingPoint running,
            OperatingPoint parted) {
        var netlist = assessment.netlist();
        var metal = assessment.worst().metal();
        var bond = metal.in(parted);
        for (int i = 0; i < netlist.size(); i++) {
            boolean opened =
                    metal.joins(running, i)
                            && !metal.joins(parted, i)
                            && !bond.together(netlist.a(i), netlist.b(i));
            var part = netlist.partOf(i);
            if (opened && part.isPresent() && atSource(assessment, bond, i, source, out)) {
                return part.get();
            }
        }
        return moved(assessment.design(), running.conditions(), parted.conditions())
                .orElse(source.id());
    }

    /** The switch, not the key, that stands elsewhere in another state. */
    private static Optional<PartId> moved(Design design, Conditions one, Conditions other) {
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && !design.isKey(hand)
                                && !Objects.equals(
                                        one.positions().get(hand.control()),
                                        other.positions().get(hand.control())))
                .map(Part::id)
                .findFirst();
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
        return assessment.design().parts().stream()
                .filter(part -> part.kind().ignites())
                .filter(part ->
                        Stream.of("body", "rest")
                                .flatMap(role -> point.through(part.id(), role).stream())
                                .anyMatch(amps -> Math.abs(amps.value()) > SPARKS / 10))
                .map(Part::id)
                .findFirst();
    }
}
