package aficion.check.polarity;

import aficion.check.finding.Quiet;
import aficion.job.Action;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Position;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Controls.Control;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
    private final Map<String, Map<String, Set<String>>> closing;

    /** A terminal whose number says when it is to work. */
    record Sink(Part part, String number) {
        /** Whether it is to work by that number: both beams by that of the headlamps. */
        boolean isOf(String other) {
            return number.equals(other) || other.equals("56") && number.startsWith("56");
        }
    }

    /** What the switches close in a state, and which of the sinks work in it. */
    private record State(Conditions conditions, Set<String> closed, BitSet working) {}

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

    private Workings(
            List<Sink> sinks, List<State> states, Map<String, Map<String, Set<String>>> closing) {
        this.sinks = sinks;
        this.states = states;
        this.closing = closing;
    }

    /** Whether a number of a terminal says what it is for. */
    static boolean tells(String number) {
        return NUMBERS.contains(number);
    }

    /** All that its answers follow from beside the parts. */
    static Object sight(Assessment assessment) {
        double least = Math.nextUp(least(assessment.design()));
        List<Ends> ends =
                assessment.lasting(
                        Workings.class,
                        () ->
                                sinks(assessment.design()).stream()
                                        .map(sink -> ends(assessment.netlist(), sink))
                                        .toList());
        return Quiet.volts(
                assessment,
                ends.stream().map(each -> new Quiet.Across(each.one, each.other, least)).toList());
    }

    private static double least(Design design) {
        return WORKS * design.vehicle().system().value();
    }

    private static List<Sink> sinks(Design design) {
        return design.parts().stream()
                .flatMap(part -> sinks(part).map(pin -> new Sink(part, pin)))
                .toList();
    }

    /** The workings of a design in every state that could be solved, from its battery. */
    static Workings of(Assessment assessment) {
        var sinks = sinks(assessment.design());
        if (sinks.isEmpty()) {
            return new Workings(List.of(), List.of(), Map.of());
        }
        var closing = closing(assessment.design());
        var controls = assessment.netlist().controls();
        double least = least(assessment.design());
        var ends = sinks.stream().map(sink -> ends(assessment.netlist(), sink)).toList();
        var states =
                assessment.worst().points().stream()
                        .filter(point -> point.conditions().engine().value() == 0)
                        .map(point ->
                                new State(
                                        point.conditions(),
                                        closed(controls, point.conditions(), closing),
                                        working(point, ends, least)))
                        .toList();
        return new Workings(sinks, states, closing);
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

    /** By control and position, the numbers that are closed; only what closes some. */
    private static Map<String, Map<String, Set<String>>> closing(Design design) {
        var closing = new HashMap<String, Map<String, Set<String>>>();
        for (var part : design.parts()) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                for (var position : hand.positions()) {
                    var closed = closed(hand, position);
                    if (!closed.isEmpty()) {
                        closing.computeIfAbsent(hand.control(), _ -> new HashMap<>())
                                .computeIfAbsent(position.name(), _ -> new HashSet<>())
                                .addAll(closed);
                    }
                }
            }
        }
        return closing;
    }

    private static Set<String> closed(ControlKind.Switch hand, Position position) {
        var closed =
                position.joins().stream()
                        .flatMap(contact -> Stream.of(contact.one(), contact.other()))
                        .filter(pin -> tells(pin) && !feeds(hand, pin))
                        .collect(Collectors.toSet());
        boolean pedal =
                hand.action() == Action.PEDAL && hand.pins().stream().noneMatch(Workings::tells);
        if (pedal && !position.joins().isEmpty()) {
            closed.add(STOP);
        }
        return closed;
    }

    /** Whether a pin is what all contacts of a switch that has several share. */
    static boolean feeds(ControlKind.Switch hand, String pin) {
        return hand.contacts().size() > 1
                && hand.contacts().stream()
                        .allMatch(contact ->
                                contact.one().equals(pin) || contact.other().equals(pin));
    }

    private static Set<String> closed(
            Controls controls, Conditions state, Map<String, Map<String, Set<String>>> closing) {
        var closed = new HashSet<String>();
        for (var control : controls.controls()) {
            if (closing.containsKey(control.name())) {
                closed.addAll(closed(control, state, closing));
            }
        }
        return closed;
    }

    private static Set<String> closed(
            Control control, Conditions state, Map<String, Map<String, Set<String>>> closing) {
        return closing.getOrDefault(control.name(), Map.of())
                .getOrDefault(Controls.position(control, state), Set.of());
    }

    /** The nodes between which a sink sees its volts; from its terminal to earth where unknown. */
    private record Ends(int one, int other) {
        boolean isFed(OperatingPoint point, double least) {
            return Math.abs(point.nodeVolts(one) - point.nodeVolts(other)) > least;
        }
    }

    private static Ends ends(Netlist netlist, Sink sink) {
        var branch = netlist.inside(sink.part.id()).get(sink.number);
        return branch == null
                ? new Ends(netlist.node(sink.part.terminal(sink.number)), 0)
                : new Ends(netlist.a(branch), netlist.b(branch));
    }

    private static BitSet working(OperatingPoint point, List<Ends> sinks, double least) {
        var working = new BitSet();
        for (int i = 0; i < sinks.size(); i++) {
            working.set(i, sinks.get(i).isFed(point, least));
        }
        return working;
    }

    /** How often, of all terminals, one of two numbers worked without the other. */
    Tally tally(String one, String other) {
        return tally(numbered(one), numbered(other), one, other);
    }

    /** The same of those of a part alone. */
    Tally tally(Part part, String one, String other) {
        return tally(of(part, numbered(one)), of(part, numbered(other)), one, other);
    }

    private BitSet numbered(String number) {
        var found = new BitSet();
        IntStream.range(0, sinks.size()).filter(i -> sinks.get(i).isOf(number)).forEach(found::set);
        return found;
    }

    private BitSet of(Part part, BitSet among) {
        var found = new BitSet();
        among.stream().filter(i -> sinks.get(i).part() == part).forEach(found::set);
        return found;
    }

    private Tally tally(BitSet ones, BitSet others, String one, String other) {
        int own = 0;
        int crossed = 0;
        for (var state : states) {
            boolean works = state.working.intersects(ones);
            if (works != state.working.intersects(others)) {
                boolean closed = state.closed.contains(works ? one : other);
                own += closed ? 1 : 0;
                crossed += !closed && state.closed.contains(works ? other : one) ? 1 : 0;
            }
        }
        return new Tally(own, crossed);
    }

    /** Whether what is of a number works, and only while a control closes some number. */
    boolean needs(Control control, String number) {
        var numbered = numbered(number);
        var working = states.stream().filter(state -> state.working.intersects(numbered)).toList();
        return !working.isEmpty()
                && working.stream()
                        .noneMatch(state -> closed(control, state.conditions, closing).isEmpty());
    }

    /**
     * Whether what is of a number works just as well whether a control closes it or not, all else
     * alike, wherever it works at all.
     */
    boolean passes(Control control, String number) {
        return passes(control, number, numbered(number));
    }

    /**
     * The lamps of a number that do so while others of it do as that control says; not those with a
     * switch of their own, whose number says nothing.
     */
    List<Part> passing(Controls controls, Control control, String number) {
        var lamps =
                numbered(number).stream()
                        .filter(i -> sinks.get(i).part.kind() instanceof LoadKind.Lamp)
                        .boxed()
                        .collect(
                                Collectors.partitioningBy(i -> passes(control, number, single(i))));
        boolean others = lamps.get(false).stream().anyMatch(i -> follows(control, number, i));
        return others
                ? lamps.get(true).stream()
                        .filter(i -> controls.controls().stream().noneMatch(own -> isOwn(own, i)))
                        .map(i -> sinks.get(i).part)
                        .distinct()
                        .toList()
                : List.of();
    }

    /** Whether a control that closes no number works a sink. */
    private boolean isOwn(Control control, int sink) {
        return control.action() != Action.KEY
                && !closing.containsKey(control.name())
                && alike(control).anyMatch(group -> differ(group, each -> each.working.get(sink)));
    }

    /** The states in groups that differ in a control alone. */
    private Stream<List<State>> alike(Control control) {
        return states.stream()
                .collect(
                        Collectors.groupingBy(
                                state -> state.conditions.with(control.name(), control.rest())))
                .values()
                .stream();
    }

    private static BitSet single(int sink) {
        var found = new BitSet();
        found.set(sink);
        return found;
    }

    /** Whether a sink works in some state, and in none but those in which its number is closed. */
    private boolean follows(Control control, String number, int sink) {
        var working = states.stream().filter(state -> state.working.get(sink)).toList();
        return !working.isEmpty()
                && working.stream()
                        .allMatch(state ->
                                closed(control, state.conditions, closing).contains(number));
    }

    private boolean passes(Control control, String number, BitSet numbered) {
        Predicate<State> works = state -> state.working.intersects(numbered);
        boolean worksPast =
                states.stream()
                        .filter(works)
                        .anyMatch(state ->
                                !closed(control, state.conditions, closing).contains(number));
        if (!worksPast) {
            return false;
        }
        var changing =
                alike(control)
                        .filter(group -> group.stream().anyMatch(works))
                        .filter(group -> differ(group, state -> state.closed.contains(number)))
                        .toList();
        return !changing.isEmpty() && changing.stream().noneMatch(group -> differ(group, works));
    }

    private static boolean differ(List<State> states, Predicate<State> what) {
        return states.stream().map(what::test).distinct().count() > 1;
    }
}
