package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Quiet;
import aficion.check.finding.Rule;
import aficion.check.polarity.PolarityRule;
import aficion.check.polarity.VoltageRule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Position;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Positions of a control in which leads are joined and nothing ever flows, whatever else is on: its
 * feed hangs on another terminal. Not where what hangs there is found otherwise, nor where it stops
 * a magneto or tells a module something: those currents are not followed.
 */
public final class IdlePositionRule implements Rule {
    private static final double FLOWS = 1e-3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var idle =
                Quiet.found(
                        assessment,
                        IdlePositionRule.class,
                        sight(assessment),
                        List.<Idle>of(),
                        () -> idle(assessment));
        if (idle.isEmpty()) {
            return Stream.empty();
        }
        var otherwise =
                Rule.named(
                        assessment,
                        new ConnectionRule(),
                        new NeverWorksRule(),
                        new ParkRule(),
                        new VoltageRule(),
                        new PolarityRule());
        return idle.stream()
                .filter(each ->
                        each.ends(assessment.design())
                                .map(Terminal::part)
                                .noneMatch(otherwise::contains))
                .map(each ->
                        new PathFinding.PositionIdle(
                                each.part.id(), each.position.name(), remedies(assessment, each)));
    }

    /** A position of a switch in which nothing flows. */
    private record Idle(Part part, Position position) {
        /** The terminals that hang on what it joins. */
        Stream<Terminal> ends(Design design) {
            return position.joins().stream()
                    .flatMap(contact -> Stream.of(contact.one(), contact.other()))
                    .flatMap(pin -> Netlist.joined(design, part.terminal(pin)).stream());
        }
    }

    /** In which states something flows through the contacts of which switches. */
    private static Object sight(Assessment assessment) {
        int[] contacts =
                assessment.design().parts().stream()
                        .filter(part -> part.kind() instanceof ControlKind.Switch)
                        .flatMap(part -> assessment.netlist().inside(part.id()).values().stream())
                        .mapToInt(branch -> branch)
                        .toArray();
        return Quiet.sight(
                assessment,
                contacts.length,
                (point, answers, from) -> {
                    for (int i = 0; i < contacts.length; i++) {
                        if (flows(point, contacts[i])) {
                            answers.set(from + i);
                        }
                    }
                });
    }

    private static boolean flows(OperatingPoint point, int contact) {
        return Math.abs(point.branchAmps(contact)) > FLOWS;
    }

    private static List<Idle> idle(Assessment assessment) {
        return assessment.netlist().controls().controls().stream()
                .flatMap(control -> idle(assessment, control))
                .toList();
    }

    /** The positions of a control that are taken up in some state and in which nothing flows. */
    private static Stream<Idle> idle(Assessment assessment, Control control) {
        return control.positions().stream()
                .map(Position::name)
                .filter(position -> isStill(assessment, control, position))
                .flatMap(position -> joining(assessment, control, position).limit(1));
    }

    private static boolean isStill(Assessment assessment, Control control, String position) {
        var netlist = assessment.netlist();
        var contacts =
                joined(assessment.design(), control, position)
                        .flatMap(each ->
                                each.position.joins().stream()
                                        .map(Object::toString)
                                        .map(netlist.inside(each.part.id())::get))
                        .toList();
        var points = assessment.worst().points();
        Predicate<OperatingPoint> taken =
                point -> Controls.position(control, point.conditions()).equals(position);
        return points.stream().anyMatch(taken)
                && points.stream()
                        .filter(taken)
                        .noneMatch(point ->
                                contacts.stream().anyMatch(contact -> flows(point, contact)));
    }

    /** The switches of a control, with what each joins in a position. */
    private static Stream<Idle> joined(Design design, Control control, String position) {
        return design.parts().stream()
                .flatMap(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                        && hand.control().equals(control.name())
                                ? hand.position(position).map(at -> new Idle(part, at)).stream()
                                : Stream.empty());
    }

    /** What of that leads on at both its ends; nothing where one of them is not followed. */
    private static Stream<Idle> joining(Assessment assessment, Control control, String position) {
        var design = assessment.design();
        var own =
                control.positions().stream()
                        .flatMap(each -> joined(design, control, each.name()))
                        .map(each -> each.part.id())
                        .distinct()
                        .flatMap(part -> assessment.netlist().inside(part).values().stream())
                        .collect(Collectors.toSet());
        var ends = ends(assessment);
        return joined(design, control, position)
                .map(each ->
                        new Idle(
                                each.part,
                                leading(assessment, each.part, each.position, own, ends)))
                .filter(each -> !each.position.joins().isEmpty())
                .filter(each -> each.ends(design).noneMatch(end -> isUnfollowed(design, end)));
    }

    private static boolean isUnfollowed(Design design, Terminal end) {
        var kind = design.part(end.part()).kind();
        return kind instanceof LoadKind.Magneto
                || kind instanceof ControlKind.Module module && module.inputs().contains(end.pin());
    }

    /** What a way is to lead to: the poles, earth and what wants to be fed. */
    private static BitSet ends(Assessment assessment) {
        var design = assessment.design();
        var ends = new BitSet();
        ends.set(0);
        Stream.concat(
                        design.parts().stream()
                                .filter(part -> part.kind().hasPoles())
                                .flatMap(part -> part.terminals().stream()),
                        Wants.of(assessment).stream()
                                .flatMap(want -> Stream.of(want.feedEnd(), want.backEnd())))
                .forEach(end -> ends.set(assessment.netlist().node(end)));
        return ends;
    }

    private static Position leading(
            Assessment assessment, Part part, Position position, Set<Integer> own, BitSet ends) {
        return new Position(
                position.name(),
                position.springs(),
                position.joins().stream()
                        .filter(contact ->
                                Stream.of(contact.one(), contact.other())
                                        .map(part::terminal)
                                        .allMatch(end -> leads(assessment, end, own, ends)))
                        .toList());
    }

    /** Whether with everything else closed a terminal leads to one of those ends. */
    private static boolean leads(
            Assessment assessment, Terminal end, Set<Integer> own, BitSet ends) {
        return assessment
                .worst()
                .metal()
                .closed(assessment.netlist().node(end), own::contains)
                .intersects(ends);
    }

    /** The feed put on another terminal, where every position then does something. */
    private static List<Edit> remedies(Assessment assessment, Idle idle) {
        var hand = (ControlKind.Switch) idle.part.kind();
        return hand.contacts().stream()
                .<Edit>map(contact ->
                        new PartEdit.Exchange(idle.part.id(), contact.one(), contact.other()))
                .filter(exchange -> {
                    var after = assessment.after(exchange.apply(assessment.design()));
                    return !after.worst().isShortedMoreThan(assessment.worst())
                            && new NeverWorksRule().check(after).findAny().isEmpty()
                            && after.netlist().controls().find(hand.control()).stream()
                                    .flatMap(control -> idle(after, control))
                                    .findAny()
                                    .isEmpty();
                })
                .limit(1)
                .toList();
    }
}
