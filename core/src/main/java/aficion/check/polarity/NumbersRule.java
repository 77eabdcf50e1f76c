package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Quiet;
import aficion.check.finding.Rule;
import aficion.check.polarity.Workings.Sink;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
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
        return Quiet.found(
                assessment,
                NumbersRule.class,
                Workings.sight(assessment),
                new Judged(List.of(), false),
                () -> judged(assessment))
                .found
                .stream();
    }

    /** What is found, and whether two are exchanged whose exchange does not put all right. */
    private record Judged(List<Finding> found, boolean doubts) {}

    private static Judged judged(Assessment assessment) {
        var trial =
                new Trial(
                        assessment,
                        assessment.design(),
                        Workings.of(assessment),
                        new AtomicBoolean());
        var found = assessment.design().parts().stream().flatMap(trial::found).toList();
        return new Judged(found, trial.doubts.get());
    }

    private static List<String> telling(List<String> pins) {
        return pins.stream().filter(Workings::tells).toList();
    }

    /**
     * What is asked of the parts of a design, by what works in it.
     *
     * @param doubts whether two are exchanged whose exchange does not put all right
     */
    private record Trial(
            Assessment assessment, Design design, Workings workings, AtomicBoolean doubts) {

        Stream<Finding> found(Part part) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                return atSwitch(part, hand).stream();
            }
            if (part.kind() instanceof JoinKind.Connector plug) {
                return atPlug(part, plug);
            }
            return part.kind().lightPins().size() == 2
                    ? Stream.concat(atLoneLamp(part), returning(part))
                    : Stream.empty();
        }

        /** All of its lamps do what the other of its terminals says; or what they do past it. */
        private List<Finding> atSwitch(Part part, ControlKind.Switch hand) {
            var exchanged =
                    Exchanges.pairs(telling(hand.pins()))
                            .filter(pair -> workings.tally(pair.one(), pair.other()).isCrossed())
                            .filter(pair -> !isLone(pair))
                            .filter(pair -> isPutRight(part, pair))
                            .map(pair -> exchanged(part, pair.one(), pair.other()))
                            .toList();
            return exchanged.isEmpty()
                    ? Stream.concat(passed(part, hand).stream(), unswitched(part, hand)).toList()
                    : exchanged;
        }

        /** Lamps that do not follow a switch which works the others of their number. */
        private Stream<Finding> unswitched(Part part, ControlKind.Switch hand) {
            var controls = assessment.netlist().controls();
            var control = controls.find(hand.control()).orElseThrow();
            return telling(hand.pins()).stream()
                    .filter(pin -> !Workings.feeds(hand, pin))
                    .flatMap(pin ->
                            workings.passing(controls, control, pin).stream()
                                    .map(lamp ->
                                            new PathFinding.NotSwitched(
                                                    lamp.id(), pin, part.id())));
        }

        /** Terminals past which what they are for works. */
        private List<Finding> passed(Part part, ControlKind.Switch hand) {
            var control = assessment.netlist().controls().find(hand.control()).orElseThrow();
            return telling(hand.pins()).stream()
                    .filter(pin -> !Workings.feeds(hand, pin))
                    .filter(pin ->
                            design.wiresAt(part.terminal(pin)).isEmpty()
                                    ? workings.needs(control, pin) || isAtOther(part, pin)
                                    : workings.passes(control, pin))
                    .<Finding>map(pin -> new PathFinding.NumberPassed(part.id(), pin))
                    .toList();
        }

        /** Whether something of a number hangs on another terminal of a switch. */
        private boolean isAtOther(Part part, String number) {
            var sinks =
                    workings.sinks().stream()
                            .filter(sink -> sink.isOf(number))
                            .map(sink -> sink.part().terminal(sink.number()))
                            .collect(Collectors.toSet());
            return part.terminals().stream()
                    .filter(at -> !at.pin().equals(number))
                    .flatMap(at -> Netlist.joined(design, at).stream())
                    .anyMatch(sinks::contains);
        }

        /** The only lamp of its kind, where its filaments do what the other's number says. */
        private Stream<Finding> atLoneLamp(Part part) {
            return Exchanges.pairs(telling(part.kind().lightPins()))
                    .filter(pair -> workings.tally(part, pair.one(), pair.other()).isCrossed())
                    .filter(this::isLone)
                    .filter(pair -> isPutRight(part, pair))
                    .map(pair -> exchanged(part, pair.one(), pair.other()));
        }

        /** Whether all is as its numbers say once the two leads are exchanged. */
        private boolean isPutRight(Part part, Exchanges.Pair pair) {
            boolean right =
                    Exchanges.feeds(design, part, pair.one(), pair.other()).stream()
                            .map(edit -> Workings.of(assessment.after(edit.apply(design))))
                            .map(after -> after.tally(pair.one(), pair.other()))
                            .anyMatch(tally -> tally.own() > 0 && tally.other() == 0);
            doubts.compareAndSet(false, !right);
            return right;
        }

        /** Whether one part alone has both numbers, and no other has either. */
        private boolean isLone(Exchanges.Pair pair) {
            var holders = holders(pair.one());
            return holders.size() == 1 && holders.equals(holders(pair.other()));
        }

        private Set<Part> holders(String number) {
            return workings.sinks().stream()
                    .filter(sink -> sink.isOf(number))
                    .map(Sink::part)
                    .collect(Collectors.toSet());
        }

        /** A lamp whose filament lies at earth for good, and whose return does not. */
        private Stream<Finding> returning(Part part) {
            return isAtEarth(part.terminal(RETURN))
                    ? Stream.empty()
                    : part.kind().lightPins().stream()
                            .filter(pin -> isAtEarth(part.terminal(pin)))
                            .map(pin -> exchanged(part, pin, RETURN));
        }

        /** Two ways of a plug each of which holds what the other's number says. */
        private Stream<Finding> atPlug(Part part, JoinKind.Connector plug) {
            var ways =
                    plug.ways().stream()
                            .filter(way -> way.equals(RETURN) || Workings.tells(way))
                            .toList();
            var held =
                    ways.stream()
                            .collect(
                                    Collectors.toMap(
                                            Function.identity(),
                                            way -> numbers(part.terminal(way + "a"))));
            return Exchanges.pairs(ways)
                    .filter(pair ->
                            holds(held, pair.one(), pair.other())
                                    && holds(held, pair.other(), pair.one()))
                    .map(pair -> exchanged(part, pair.one() + "a", pair.other() + "a"));
        }

        /** Whether a way holds what another's number says, and not what its own does. */
        private static boolean holds(Map<String, Set<String>> held, String way, String other) {
            return held.get(way).contains(other) && !held.get(way).contains(way);
        }

        /** The numbers of the lamps on a terminal; that of a return where it is at earth. */
        private Set<String> numbers(Terminal terminal) {
            var numbers =
                    Netlist.joined(design, terminal).stream()
                            .filter(at -> design.part(at.part()).kind() instanceof LoadKind.Lamp)
                            .map(Terminal::pin)
                            .collect(Collectors.toSet());
            if (isAtEarth(terminal)) {
                numbers.add(RETURN);
            }
            return numbers;
        }

        private boolean isAtEarth(Terminal terminal) {
            int node = assessment.netlist().node(terminal);
            return assessment.worst().metal().alwaysJoins(node, 0);
        }

        private Finding exchanged(Part part, String one, String other) {
            return new PathFinding.NumbersExchanged(
                    part.id(), one, other, Exchanges.feeds(design, part, one, other));
        }
    }
}
