package aficion.check.polarity;

import aficion.job.Action;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What works in which state, by the numbers of terminals, and which numbers the switches close in
 * it: main and dip, side and head, left and right, slow and fast, stop and tail.
 */
final class Workings {
    /** Numbers that say what a lead is for (DIN 72552). */
    private static final Set<String> NUMBERS =
            Set.of("56", "56a", "56b", "58", "54", "55", "L", "R", "53", "53b", "50", "19");

    private static final String STOP = "54";

    /** The share of its rated volts from which a thing works. */
    private static final double WORKS = 0.3;

    private final List<Sink> sinks;
    private final List<State> states;

    /** A terminal whose number says when it is to work. */
    record Sink(Part part, String number) {
        /** Whether it is to work by that number: both beams by that of the headlamps. */
        boolean isOf(String other) {
            return number.equals(other) || other.equals("56") && number.startsWith("56");
        }
    }

    /** What the switches close in a state, and what works in it. */
    private record State(Conditions conditions, Set<String> closed, Set<Sink> working) {}

    /**
     * How often one of two numbers worked by itself.
     *
     * @param own while its own number was closed
     * @param other while the other's was closed, and its own not
     */
    record Tally(int own, int other) {
        /** Whether they have taken each other's place, wherever they can be told apart. */
        boolean isCrossed() {
            return own == 0 && other > 0;
        }
    }

    private Workings(List<Sink> sinks, List<State> states) {
        this.sinks = sinks;
        this.states = states;
    }

    /** Whether a number of a terminal says what it is for. */
    static boolean tells(String number) {
        return NUMBERS.contains(number);
    }

    /** The workings of a design in every state that could be solved, from its battery. */
    static Workings of(Assessment assessment) {
        var sinks =
                assessment.design().parts().stream()
                        .flatMap(part -> sinks(part).map(pin -> new Sink(part, pin)))
                        .toList();
        var closing = closing(assessment.design());
        var states =
                assessment.worst().points().stream()
                        .filter(point -> point.conditions().engine().value() == 0)
                        .map(point ->
                                new State(
                                        point.conditions(),
                                        closed(point, closing),
                                        working(point, sinks)))
                        .toList();
        return new Workings(sinks, states);
    }

    /** What has a number that tells. */
    List<Sink> sinks() {
        return sinks;
    }

    private static Stream<String> sinks(Part part) {
        if (part.kind() instanceof LoadKind.Starter) {
            return Stream.of("50");
        }
        return part.kind() instanceof LoadKind.TwoSpeedMotor
                ? Stream.of("53", "53b")
                : part.kind().lightPins().stream().filter(Workings::tells);
    }

    /** By control and position, the numbers that are closed. */
    private static Map<List<String>, Set<String>> closing(Design design) {
        var closing = new HashMap<List<String>, Set<String>>();
        for (var part : design.parts()) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                boolean pedal =
                        hand.action() == Action.PEDAL
                                && hand.pins().stream().noneMatch(Workings::tells);
                for (var position : hand.positions()) {
                    var closed =
                            closing.computeIfAbsent(
                                    List.of(hand.control(), position.name()), _ -> new HashSet<>());
                    position.joins().stream()
                            .flatMap(contact -> Stream.of(contact.one(), contact.other()))
                            .filter(pin -> tells(pin) && !feeds(hand, pin))
                            .forEach(closed::add);
                    if (pedal && !position.joins().isEmpty()) {
                        closed.add(STOP);
                    }
                }
            }
        }
        return closing;
    }

    /** Whether a pin is what all contacts of a switch that has several share. */
    static boolean feeds(ControlKind.Switch hand, String pin) {
        return hand.contacts().size() > 1
                && hand.contacts().stream()
                        .allMatch(contact ->
                                contact.one().equals(pin) || contact.other().equals(pin));
    }

    private static Set<String> closed(
            OperatingPoint point, Map<List<String>, Set<String>> closing) {
        return point.netlist().controls().controls().stream()
                .map(control ->
                        List.of(control.name(), Controls.position(control, point.conditions())))
                .flatMap(key -> closing.getOrDefault(key, Set.of()).stream())
                .collect(Collectors.toSet());
    }

    private static Set<Sink> working(OperatingPoint point, Collection<Sink> sinks) {
        return sinks.stream().filter(sink -> works(point, sink)).collect(Collectors.toSet());
    }

    private static boolean works(OperatingPoint point, Sink sink) {
        double system = point.netlist().design().vehicle().system().value();
        var netlist = point.netlist();
        var branch = netlist.inside(sink.part.id()).get(sink.number);
        double volts =
                branch == null
                        ? point.nodeVolts(netlist.node(sink.part.terminal(sink.number)))
                        : point.branchVolts(branch);
        return Math.abs(volts) > WORKS * system;
    }

    /** How often, of some terminals, one of two numbers worked without the other. */
    Tally tally(Collection<Sink> among, String one, String other) {
        int own = 0;
        int crossed = 0;
        for (var state : states) {
            boolean works = among.stream().anyMatch(sink -> isOn(state, sink, one));
            if (works != among.stream().anyMatch(sink -> isOn(state, sink, other))) {
                boolean closed = state.closed.contains(works ? one : other);
                own += closed ? 1 : 0;
                crossed += !closed && state.closed.contains(works ? other : one) ? 1 : 0;
            }
        }
        return new Tally(own, crossed);
    }

    private static boolean isOn(State state, Sink sink, String number) {
        return sink.isOf(number) && state.working.contains(sink);
    }

    /** Whether something of a number works in some state. */
    boolean works(String number) {
        return states.stream().anyMatch(state -> works(state, number));
    }

    private boolean works(State state, String number) {
        return sinks.stream().anyMatch(sink -> isOn(state, sink, number));
    }

    /**
     * Whether what is of a number works just as well whether a control closes it or not, all else
     * alike, wherever it works at all.
     */
    boolean passes(Control control, String number) {
        var alike =
                states.stream()
                        .collect(
                                Collectors.groupingBy(state ->
                                        state.conditions.with(control.name(), control.rest())))
                        .values()
                        .stream()
                        .filter(group -> group.stream().anyMatch(state -> works(state, number)))
                        .filter(group -> differ(group, state -> state.closed.contains(number)))
                        .toList();
        return !alike.isEmpty()
                && alike.stream().noneMatch(group -> differ(group, state -> works(state, number)));
    }

    private static boolean differ(List<State> states, Predicate<State> what) {
        return states.stream().map(what::test).distinct().count() > 1;
    }
}
