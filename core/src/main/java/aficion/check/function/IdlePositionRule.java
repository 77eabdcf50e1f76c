package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.check.polarity.PolarityRule;
import aficion.check.polarity.VoltageRule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Positions of a control in which leads are joined and nothing ever flows, whatever else is on: its
 * feed hangs on another terminal. Not where what hangs there is found otherwise, nor where it stops
 * a magneto, whose own current is not followed.
 */
public final class IdlePositionRule implements Rule {
    private static final double FLOWS = 1e-3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var idle = idle(assessment);
        if (idle.isEmpty()) {
            return Stream.empty();
        }
        var otherwise = foundOtherwise(assessment);
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

    private static List<Idle> idle(Assessment assessment) {
        var design = assessment.design();
        return assessment.netlist().controls().controls().stream()
                .flatMap(control ->
                        control.positions().stream()
                                .map(Position::name)
                                .filter(name -> isIdle(assessment, control, name))
                                .flatMap(name -> joining(assessment, control, name).limit(1)))
                .filter(each -> each.ends(design).noneMatch(end -> isUnfollowed(design, end)))
                .toList();
    }

    private static boolean isUnfollowed(Design design, Terminal end) {
        var kind = design.part(end.part()).kind();
        return kind instanceof LoadKind.Magneto
                || kind instanceof ControlKind.Module module && module.inputs().contains(end.pin());
    }

    /** The contacts that a switch closes in a position and that lead on at both their ends. */
    private static Stream<Idle> joining(Assessment assessment, Control control, String position) {
        var design = assessment.design();
        var own = contacts(design, assessment.netlist(), control);
        var ends = ends(assessment);
        return switches(design, control)
                .flatMap(part ->
                        ((ControlKind.Switch) part.kind())
                                .position(position).stream()
                                        .map(at ->
                                                new Idle(
                                                        part,
                                                        leading(assessment, part, at, own, ends))))
                .filter(each -> !each.position.joins().isEmpty());
    }

    private static Stream<Part> switches(Design design, Control control) {
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && hand.control().equals(control.name()));
    }

    private static Set<Integer> contacts(Design design, Netlist netlist, Control control) {
        return switches(design, control)
                .flatMap(part -> netlist.inside(part.id()).values().stream())
                .collect(Collectors.toSet());
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
                        Wants.of(design).stream()
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

    /** Whether it is taken up in some state, and no contact that it closes ever carries. */
    private static boolean isIdle(Assessment assessment, Control control, String position) {
        var netlist = assessment.netlist();
        var contacts =
                switches(assessment.design(), control)
                        .flatMap(part ->
                                ((ControlKind.Switch) part.kind())
                                        .position(position).stream()
                                                .flatMap(at -> at.joins().stream())
                                                .map(Object::toString)
                                                .map(netlist.inside(part.id())::get))
                        .toList();
        var taken =
                assessment.worst().points().stream()
                        .filter(point ->
                                Controls.position(control, point.conditions()).equals(position))
                        .toList();
        return !contacts.isEmpty()
                && !taken.isEmpty()
                && taken.stream()
                        .noneMatch(point ->
                                contacts.stream()
                                        .anyMatch(contact ->
                                                Math.abs(point.branchAmps(contact)) > FLOWS))
                && joining(assessment, control, position).findAny().isPresent();
    }

    private static Set<PartId> foundOtherwise(Assessment assessment) {
        return Stream.of(
                        new ConnectionRule(),
                        new NeverWorksRule(),
                        new ParkRule(),
                        new VoltageRule(),
                        new PolarityRule())
                .flatMap(rule -> rule.check(assessment))
                .flatMap(finding -> finding.subject().named().stream())
                .collect(Collectors.toSet());
    }

    /** The feed put on another terminal, where every position then does something. */
    private static List<Edit> remedies(Assessment assessment, Idle idle) {
        var hand = (ControlKind.Switch) idle.part.kind();
        return hand.contacts().stream()
                .map(contact ->
                        new PartEdit.Exchange(idle.part.id(), contact.one(), contact.other()))
                .filter(exchange -> mends(assessment, hand.control(), exchange))
                .limit(1)
                .map(Edit.class::cast)
                .toList();
    }

    private static boolean mends(
            Assessment assessment, String control, PartEdit.Exchange exchange) {
        var after = assessment.after(exchange.apply(assessment.design()));
        Optional<Control> moved = after.netlist().controls().find(control);
        return after.worst().shorts().size() <= assessment.worst().shorts().size()
                && new NeverWorksRule().check(after).findAny().isEmpty()
                && moved.stream()
                        .flatMap(each ->
                                each.positions().stream()
                                        .filter(at -> isIdle(after, each, at.name())))
                        .findAny()
                        .isEmpty();
    }
}
