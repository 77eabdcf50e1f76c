package aficion.identify;

import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where a design can be fed from: the free and shared outputs of fuses, joints, the key switch and
 * the battery's live post, each with when it is live. Found out as a meter would, by turning the
 * key with everything else at rest, once with the fuses of single circuits in and once with them
 * pulled.
 */
public final class Feeds {
    /** A larger fuse guards a feed even where nothing hangs on it yet (typical). */
    private static final Amps SMALL = new Amps(30);

    private static final String ANY = "";

    private final Design design;
    private final Solver solver;
    private final Map<String, Set<Terminal>> live = new HashMap<>();
    private final Set<Terminal> unfused = new HashSet<>();
    private final List<Offer> offers = new ArrayList<>();

    /**
     * A terminal to be fed from.
     *
     * @param fused whether the fuse of a circuit stands before it
     * @param own whether it is the output of such a fuse
     * @param wires how many wires lead away from it or to it
     */
    public record Offer(Terminal terminal, Feed feed, boolean fused, boolean own, int wires) {}

    private Feeds(Design design) {
        this.design = design;
        this.solver = new Solver(Netlist.of(design));
    }

    /** The feeds of a design, in its order. */
    public static List<Offer> of(Design design) {
        var feeds = new Feeds(design);
        feeds.measure();
        feeds.sort();
        return feeds.offers;
    }

    /**
     * The best terminal for a feed: with a fuse, the output of one that feeds nothing yet; without,
     * a joint before all else; of several the one with the fewest wires.
     */
    public static Optional<Terminal> best(List<Offer> offers, Feed feed, boolean fused) {
        return offers.stream()
                .filter(offer -> offer.feed() == feed && offer.fused() == fused)
                .filter(offer -> !fused || offer.own() && offer.wires() == 0)
                .min(
                        Comparator.comparing(
                                        (Offer offer) -> offer.terminal().pin().equals("J") ? 0 : 1)
                                .thenComparing(Offer::wires))
                .map(Offer::terminal);
    }

    private void measure() {
        var last = lastFuses();
        for (var position : positions()) {
            var conditions = turned(position);
            live.put(position, liveIn(conditions));
            for (var seat : last) {
                conditions = conditions.withPulled(seat, true);
            }
            unfused.addAll(liveIn(conditions));
        }
    }

    private Optional<ControlKind.Switch> key() {
        return design.parts().stream()
                .map(Part::kind)
                .filter(ControlKind.Switch.class::isInstance)
                .map(ControlKind.Switch.class::cast)
                .filter(design::isKey)
                .findFirst();
    }

    private List<String> positions() {
        return key().map(key -> key.positions().stream().map(Position::name).toList())
                .orElse(List.of(ANY));
    }

    /** The fuses that feed no other fuse: those of single circuits. */
    private List<FuseSeat> lastFuses() {
        var seats = new ArrayList<FuseSeat>();
        for (var part : design.parts()) {
            part.kind().seats().stream()
                    .filter(seat -> seat.marking().value() <= SMALL.value())
                    .filter(seat -> !leadsOnlyOnwards(part.terminal(seat.out())))
                    .forEach(seat -> seats.add(new FuseSeat(part.id(), seat.way())));
        }
        var states =
                positions().stream()
                        .map(this::turned)
                        .map(state -> Map.entry(state, liveIn(state)))
                        .toList();
        return seats.stream()
                .filter(seat ->
                        states.stream()
                                .noneMatch(state ->
                                        feedsOthers(seat, state.getKey(), state.getValue())))
                .toList();
    }

    /**
     * Whether joints and the key switch, turned on, are all that stands behind a fuse so far: then
     * it is a main one, however small.
     */
    private boolean leadsOnlyOnwards(Terminal out) {
        var seen = new HashSet<>(Set.of(out));
        var open = new ArrayDeque<>(Set.of(out));
        while (!open.isEmpty()) {
            var at = open.remove();
            for (var next : onwards(at)) {
                var kind = design.part(next.part()).kind();
                boolean onwards =
                        kind instanceof JoinKind.Splice
                                || kind instanceof JoinKind.Connector
                                || kind instanceof GuardKind
                                || kind instanceof ControlKind.Switch hand && design.isKey(hand);
                if (!onwards) {
                    return false;
                }
                if (seen.add(next) && !(kind instanceof GuardKind)) {
                    open.add(next);
                }
            }
        }
        return seen.size() > 1;
    }

    /** What a terminal is joined to: by wires, in a connector, and in the key switch turned on. */
    private Set<Terminal> onwards(Terminal at) {
        var next = new HashSet<Terminal>();
        design.wiresAt(at).forEach(wire -> next.addAll(wire.terminals()));
        var part = design.part(at.part());
        switch (part.kind()) {
            case ControlKind.Switch hand ->
                    hand.positions().stream()
                            .filter(position -> !position.springs())
                            .flatMap(position -> position.joins().stream())
                            .filter(joined ->
                                    joined.one().equals(at.pin())
                                            || joined.other().equals(at.pin()))
                            .forEach(joined -> {
                                next.add(part.terminal(joined.one()));
                                next.add(part.terminal(joined.other()));
                            });
            case JoinKind.Connector connector ->
                    connector.passes().stream()
                            .flatMap(pass -> pass.across(at.pin()).stream())
                            .forEach(pin -> next.add(part.terminal(pin)));
            case SourceKind _, GuardKind _, ControlKind _, LoadKind _, JoinKind _ -> {}
        }
        next.remove(at);
        return next;
    }

    /** Whether the output of another fuse goes dead when one is pulled. */
    private boolean feedsOthers(FuseSeat seat, Conditions state, Set<Terminal> before) {
        var after = liveIn(state.withPulled(seat, true));
        return before.stream()
                .filter(terminal -> design.part(terminal.part()).kind() instanceof GuardKind)
                .filter(terminal -> !isOutput(terminal, seat))
                .anyMatch(terminal -> !after.contains(terminal));
    }

    private boolean isOutput(Terminal terminal, FuseSeat seat) {
        return terminal.part().equals(seat.part())
                && (seat.way().isEmpty() || terminal.pin().equals(seat.way() + "b"));
    }

    private Conditions turned(String position) {
        return position.equals(ANY)
                ? Conditions.REST
                : Conditions.REST.with(key().orElseThrow().control(), position);
    }

    private Set<Terminal> liveIn(Conditions conditions) {
        var found = new HashSet<Terminal>();
        if (solver.solve(conditions) instanceof Outcome.Solved(var point)) {
            double half = design.vehicle().system().value() / 2;
            for (var terminal : candidates()) {
                if (point.voltsAt(terminal).filter(v -> Math.abs(v.value()) > half).isPresent()) {
                    found.add(terminal);
                }
            }
        }
        return found;
    }

    private List<Terminal> candidates() {
        var found = new ArrayList<Terminal>();
        for (var part : design.parts()) {
            switch (part.kind()) {
                case GuardKind.Fuse _ -> found.add(part.terminal("2"));
                case GuardKind.FuseBox(var ways) ->
                        ways.forEach(way -> found.add(part.terminal(way.out())));
                case JoinKind.Splice _ -> found.addAll(part.terminals());
                case ControlKind.Switch hand when design.isKey(hand) ->
                        found.addAll(part.terminals());
                case SourceKind.Battery _ -> found.add(part.terminal(design.vehicle().livePin()));
                case ControlKind _, LoadKind _, JoinKind _, SourceKind _ -> {}
            }
        }
        return found;
    }

    private void sort() {
        for (var terminal : candidates()) {
            feed(terminal)
                    .ifPresent(feed -> {
                        var kind = design.part(terminal.part()).kind();
                        boolean fused = !unfused.contains(terminal);
                        offers.add(
                                new Offer(
                                        terminal,
                                        feed,
                                        fused,
                                        fused && kind instanceof GuardKind,
                                        design.wiresAt(terminal).size()));
                    });
        }
    }

    private Optional<Feed> feed(Terminal terminal) {
        var positions = positions();
        if (live.get(positions.getFirst()).contains(terminal)) {
            return Optional.of(Feed.ALWAYS);
        }
        var key = key();
        if (key.isEmpty()) {
            return Optional.empty();
        }
        var lasting = key.get().positions().stream().filter(position -> !position.springs());
        boolean runs =
                lasting.map(Position::name).anyMatch(name -> live.get(name).contains(terminal));
        var start =
                key.get().positions().stream().filter(Position::springs).reduce((_, last) -> last);
        boolean starts = start.filter(last -> live.get(last.name()).contains(terminal)).isPresent();
        if (runs) {
            return Optional.of(start.isEmpty() || starts ? Feed.IGNITION : Feed.ACCESSORY);
        }
        return starts ? Optional.of(Feed.START) : Optional.empty();
    }
}
