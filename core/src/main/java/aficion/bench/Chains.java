package aficion.bench;

import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Wires that are measured at one go, from the first end to the last: those that meet, and those on
 * both sides of a fuse, of a connector, or of a switch that is worked.
 */
final class Chains {
    private final Design design;
    private final List<Conditions> states;
    private final Set<Wire> left;

    private Chains(Design design, List<Wire> wires, List<Conditions> states) {
        this.design = design;
        this.states = states;
        this.left = new LinkedHashSet<>(wires);
    }

    /**
     * Some wires, one after another.
     *
     * @param state how the switches between them are worked
     */
    record Chain(List<WireId> wires, Terminal from, Terminal to, Conditions state) {
        Chain {
            wires = List.copyOf(wires);
        }
    }

    /**
     * The chains of some wires, each wire in one.
     *
     * @param states that the switches can be put in
     */
    static List<Chain> of(Design design, List<Wire> wires, List<Conditions> states) {
        var chains = new Chains(design, wires, states);
        var found = new ArrayList<Chain>();
        while (!chains.left.isEmpty()) {
            found.add(chains.next());
        }
        return found;
    }

    /** One end of a chain in the making, with the states that let current through all of it. */
    private record Open(Terminal at, List<Conditions> states) {}

    private Chain next() {
        var first = left.iterator().next();
        left.remove(first);
        var wires = new ArrayList<>(List.of(first));
        var forwards = grown(wires, new Open(first.to().terminal(), states), false);
        var both = grown(wires, new Open(first.from().terminal(), forwards.states), true);
        return new Chain(
                wires.stream().map(Wire::id).toList(),
                both.at,
                forwards.at,
                both.states.isEmpty() ? Conditions.REST : both.states.getFirst());
    }

    private Open grown(List<Wire> wires, Open end, boolean before) {
        var open = end;
        for (var on = on(open); on.isPresent(); on = on(open)) {
            var wire = on.get().wire;
            left.remove(wire);
            wires.add(before ? 0 : wires.size(), wire);
            open = new Open(wire.beyond(on.get().at).terminal(), on.get().states);
        }
        return open;
    }

    /** A wire that goes on where a chain ends, and where it begins there. */
    private record Next(Wire wire, Terminal at, List<Conditions> states) {}

    private Optional<Next> on(Open end) {
        return Stream.concat(Stream.of(end), through(end))
                .flatMap(from ->
                        left.stream()
                                .filter(wire -> wire.terminals().contains(from.at))
                                .map(wire -> new Next(wire, from.at, from.states)))
                .findFirst();
    }

    /** What is reached through the part that a chain ends at. */
    private Stream<Open> through(Open end) {
        var part = design.part(end.at.part());
        var pin = end.at.pin();
        var joined =
                part.kind() instanceof JoinKind.Connector
                        ? part.kind().passes().stream()
                        : part.kind().seats().stream()
                                .map(seat -> Kind.Pass.solid(seat.in(), seat.out()));
        var seats =
                joined.flatMap(pass -> pass.across(pin).stream())
                        .map(other -> new Open(part.terminal(other), end.states));
        return part.kind() instanceof ControlKind.Switch hand
                ? Stream.concat(seats, worked(end, hand))
                : seats;
    }

    private Stream<Open> worked(Open end, ControlKind.Switch hand) {
        return hand.pins().stream()
                .filter(other -> !other.equals(end.at.pin()))
                .map(other ->
                        new Open(
                                new Terminal(end.at.part(), other),
                                end.states.stream()
                                        .filter(state -> joins(hand, state, end.at.pin(), other))
                                        .toList()))
                .filter(open -> !open.states.isEmpty());
    }

    private boolean joins(ControlKind.Switch hand, Conditions state, String one, String other) {
        return Controls.of(design)
                .find(hand.control())
                .flatMap(control -> control.position(Controls.position(control, state)))
                .filter(position ->
                        position.joins().stream()
                                .anyMatch(contact ->
                                        Set.of(contact.one(), contact.other())
                                                .equals(Set.of(one, other))))
                .isPresent();
    }
}
