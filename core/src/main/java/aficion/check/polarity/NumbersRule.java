package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.check.finding.Subject;
import aficion.check.polarity.Workings.Sink;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.edit.Edit;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Leads that have taken each other's place by the numbers of their terminals, told by what works
 * when: dip where main is meant, left for right, tail for stop. Also lamps that return by a
 * filament and ways of a plug that hold each other's leads: what is coupled there later meets the
 * wrong one.
 */
public final class NumbersRule implements Rule {
    private static final String RETURN = "31";

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var workings = Workings.of(assessment);
        var found = new LinkedHashSet<Finding>();
        for (var part : design.parts()) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                switched(assessment, workings, part, hand, found);
                passed(assessment, workings, part, hand, found);
            }
            if (part.kind().lightPins().size() == 2) {
                lone(assessment, workings, part, found);
                returning(assessment, part, found);
            }
            if (part.kind() instanceof JoinKind.Connector plug) {
                plugged(assessment, part, plug, found);
            }
        }
        return found.stream();
    }

    /** A switch all of whose lamps do what the other of its terminals says. */
    private static void switched(
            Assessment assessment,
            Workings workings,
            Part part,
            ControlKind.Switch hand,
            Set<Finding> found) {
        pairs(hand.pins())
                .filter(pair -> workings.tally(pair.one, pair.other).isCrossed())
                .filter(pair -> !isLone(workings, pair))
                .forEach(pair -> add(assessment, part, pair, found));
    }

    /** Terminals of a switch that has others, past which what they are for works. */
    private static void passed(
            Assessment assessment,
            Workings workings,
            Part part,
            ControlKind.Switch hand,
            Set<Finding> found) {
        var control = assessment.netlist().controls().find(hand.control()).orElseThrow();
        boolean told =
                found.stream()
                        .anyMatch(each -> each.subject().equals(new Subject.OfPart(part.id())));
        hand.pins().stream()
                .filter(pin -> !told && Workings.tells(pin) && !Workings.feeds(hand, pin))
                .filter(pin ->
                        assessment.design().wiresAt(part.terminal(pin)).isEmpty()
                                ? workings.needs(control, pin)
                                        || isAtOther(assessment.design(), workings, part, pin)
                                : workings.passes(control, pin))
                .map(pin -> new PathFinding.NumberPassed(part.id(), pin))
                .forEach(found::add);
    }

    /** Whether something of a number hangs on another terminal of a switch. */
    private static boolean isAtOther(Design design, Workings workings, Part part, String number) {
        return part.terminals().stream()
                .filter(at -> !at.pin().equals(number))
                .flatMap(at -> Netlist.joined(design, at).stream())
                .anyMatch(at ->
                        workings.sinks().stream()
                                .anyMatch(sink ->
                                        sink.isOf(number)
                                                && sink.part().terminal(sink.number()).equals(at)));
    }

    /** The only lamp of its kind, where its filaments do what the other's number says. */
    private static void lone(
            Assessment assessment, Workings workings, Part part, Set<Finding> found) {
        pairs(part.kind().lightPins())
                .filter(pair -> workings.tally(part, pair.one, pair.other).isCrossed())
                .filter(pair -> isLone(workings, pair))
                .forEach(pair -> add(assessment, part, pair, found));
    }

    /** What exchanging the two leads puts right is told, with that. */
    private static void add(Assessment assessment, Part part, Pair pair, Set<Finding> found) {
        var remedies = Exchanges.feeds(assessment.design(), part, pair.one, pair.other);
        remedies.stream()
                .map(edit -> Workings.of(assessment.after(edit.apply(assessment.design()))))
                .map(after -> after.tally(pair.one, pair.other))
                .filter(tally -> tally.own() > 0 && tally.other() == 0)
                .forEach(_ ->
                        found.add(
                                new PathFinding.NumbersExchanged(
                                        part.id(), pair.one, pair.other, remedies)));
    }

    private record Pair(String one, String other) {}

    private static Stream<Pair> pairs(List<String> pins) {
        var telling = pins.stream().filter(Workings::tells).toList();
        return telling.stream()
                .flatMap(one ->
                        telling.stream()
                                .skip(telling.indexOf(one) + 1L)
                                .map(other -> new Pair(one, other)));
    }

    /** Whether one part alone has both numbers, and no other has either. */
    private static boolean isLone(Workings workings, Pair pair) {
        return holders(workings, pair.one).equals(holders(workings, pair.other))
                && holders(workings, pair.one).size() == 1;
    }

    private static Set<Part> holders(Workings workings, String number) {
        return workings.sinks().stream()
                .filter(sink -> sink.isOf(number))
                .map(Sink::part)
                .collect(Collectors.toSet());
    }

    /** A lamp whose filament lies at earth for good, and whose return does not. */
    private static void returning(Assessment assessment, Part part, Set<Finding> found) {
        if (!isAtEarth(assessment, part, RETURN)) {
            part.kind().lightPins().stream()
                    .filter(pin -> isAtEarth(assessment, part, pin))
                    .map(pin -> exchanged(assessment.design(), part, pin, RETURN))
                    .forEach(found::add);
        }
    }

    private static Finding exchanged(Design design, Part part, String one, String other) {
        List<Edit> remedies = Exchanges.feeds(design, part, one, other);
        return new PathFinding.NumbersExchanged(part.id(), one, other, remedies);
    }

    private static boolean isAtEarth(Assessment assessment, Part part, String pin) {
        return assessment
                .worst()
                .metal()
                .alwaysJoins(assessment.netlist().node(part.terminal(pin)), 0);
    }

    /** Two ways of a plug each of which holds what the other's number says. */
    private static void plugged(
            Assessment assessment, Part part, JoinKind.Connector plug, Set<Finding> found) {
        var ways = plug.ways();
        for (int i = 0; i < ways.size(); i++) {
            for (var other : ways.subList(i + 1, ways.size())) {
                var one = ways.get(i);
                if (holds(assessment, part, one, other) && holds(assessment, part, other, one)) {
                    found.add(exchanged(assessment.design(), part, one + "a", other + "a"));
                }
            }
        }
    }

    /** Whether a way holds what another's number says, and not what its own does. */
    private static boolean holds(Assessment assessment, Part plug, String way, String other) {
        var numbers = numbers(assessment, plug, way);
        return numbers.contains(other) && !numbers.contains(way);
    }

    private static Set<String> numbers(Assessment assessment, Part plug, String way) {
        var design = assessment.design();
        var numbers =
                Netlist.joined(design, plug.terminal(way + "a")).stream()
                        .filter(at -> design.part(at.part()).kind() instanceof LoadKind.Lamp)
                        .map(at -> at.pin())
                        .collect(Collectors.toSet());
        if (isAtEarth(assessment, plug, way + "a")) {
            numbers.add(RETURN);
        }
        return numbers;
    }
}
