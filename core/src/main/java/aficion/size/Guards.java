package aficion.size;

import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.solve.OperatingPoint;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Which fuse guards which wire. Followed over the design as if every switch and relay were closed:
 * from the live poles to the first fuses, from those to the next, never through what limits the
 * current.
 */
public final class Guards {
    /** How far a lead to its guard may be, metres: about 0.18 (typical), and its ends. */
    public static final double REACH = 0.3;

    private final Design design;
    private final List<Terminal> live;
    private final Map<Terminal, Inside> insides = new HashMap<>();
    private final Map<WireId, Guard> guards = new HashMap<>();
    private final Sides sides;

    private Guards(Design design) {
        this.design = design;
        this.live = liveTerminals(design);
        for (var part : design.parts()) {
            for (var terminal : part.terminals()) {
                insides.put(terminal, inside(part, terminal.pin()));
            }
        }
        design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.ControlBox)
                .forEach(this::fieldOf);
        sides = new Sides(new LinkedHashSet<>(live), this::onward);
        atEarth();
        liveSide();
        earthSide();
        design.wires().forEach(wire -> guards.putIfAbsent(wire.id(), new Guard.BehindLoad()));
    }

    /**
     * A control box feeds the field from where the dynamo comes in, until its cut-out has opened;
     * for good where a live pole comes in there.
     */
    private void fieldOf(Part box) {
        var in = box.terminal("D");
        var out = box.terminal("A");
        var fed =
                flood(
                        live,
                        terminal ->
                                onwardByAll(terminal)
                                        .filter(next ->
                                                !(terminal.equals(out) && next.equals(in))));
        if (fed.contains(in)) {
            insides.computeIfPresent(in, (_, inside) -> inside.leadingTo(box.terminal("F")));
        }
    }

    private Stream<Terminal> onwardByAll(Terminal terminal) {
        var inside = insides.get(terminal);
        return Stream.of(
                        onward(terminal).stream().map(Sides.Way::to),
                        inside.valves.stream(),
                        inside.crossings.stream().map(Crossing::beyond))
                .flatMap(next -> next);
    }

    /** The guards of a design, and of every other whose wires end where they do in it. */
    public static Guards in(Design design) {
        return new Guards(design);
    }

    /** A guard that what is asked of it opens. */
    public record Opened(FuseSeat seat, Amps demand) {}

    /** Of the guards that what is asked for opens, the one that is overloaded most. */
    public static Optional<Opened> opened(OperatingPoint point) {
        var netlist = point.netlist();
        Opened worst = null;
        double most = 1;
        for (int i = 0; i < netlist.size(); i++) {
            double amps = Math.abs(point.branchAmps(i));
            if (point.branch(i) instanceof Branch.FuseBranch fuse && amps >= most * fuse.opens()) {
                most = amps / fuse.opens();
                var part = netlist.partOf(i).orElseThrow();
                worst = new Opened(new FuseSeat(part, netlist.roleOf(i)), new Amps(amps));
            }
        }
        return Optional.ofNullable(worst);
    }

    /** The guards that nothing guards: those nearest to the live poles. */
    List<Guard.Fitted> first() {
        return guards(reach(live).fuses);
    }

    /**
     * The one guard an unguarded lead leads to, by way of joints; empty where it serves several.
     */
    public Optional<Guard.Fitted> next(Wire wire) {
        var fuses = beyond(wire).guards();
        return fuses.size() == 1 ? Optional.of(fuses.getFirst()) : Optional.empty();
    }

    /**
     * The fuse that a short lead ends at, which bounds its load: within reach of what feeds it
     * (docs/SOURCES.md), so that a short is all that can harm it.
     */
    public Optional<Guard.Fitted> ending(Wire wire, Guard guard) {
        if (wire.length().metres().value() > REACH) {
            return Optional.empty();
        }
        return wire.terminals().stream()
                .flatMap(end ->
                        part(end).kind().seats().stream()
                                .filter(seat -> seat.meets(end.pin()))
                                .map(seat -> Guard.Fitted.of(part(end), seat)))
                .filter(fuse ->
                        !(guard instanceof Guard.Guarded(var fuses) && fuses.contains(fuse)))
                .findFirst();
    }

    /** What lies on the side of a live lead away from the source. */
    record Beyond(List<Guard.Fitted> guards, Set<Terminal> terminals) {}

    /**
     * What a live lead leads to, on the side away from the source, through joints and contacts as
     * if closed, up to the next guards; nothing where both its sides come to the source.
     */
    Beyond beyond(Wire wire) {
        if (!sides.meets(wire.from().terminal())) {
            var side = reach(List.of(wire.to().terminal()), Optional.of(wire), true);
            return new Beyond(guards(side.fuses), side.terminals);
        }
        var terminals = sides.beyond(wire.id());
        return new Beyond(
                guards(
                        terminals.stream()
                                .flatMap(terminal -> insides.get(terminal).crossings.stream())
                                .toList()),
                new LinkedHashSet<>(terminals));
    }

    private static List<Guard.Fitted> guards(Collection<Crossing> crossings) {
        return crossings.stream().map(Crossing::fuse).distinct().toList();
    }

    /** The wires that a terminal gives to before the first guards, as if everything were closed. */
    Set<WireId> givenBy(Terminal terminal) {
        return reach(List.of(terminal)).wires;
    }

    /** The end of an unguarded lead that the source feeds; its first where both are fed. */
    public End fed(Wire wire) {
        return sides.meets(wire.from().terminal())
                        && !sides.isBeyond(wire.from().terminal(), wire.id())
                ? wire.from()
                : wire.to();
    }

    /** The guard of every wire. */
    public Map<WireId, Guard> ofWires() {
        return Map.copyOf(guards);
    }

    /** The guard of one wire. */
    public Guard of(WireId wire) {
        return Objects.requireNonNull(guards.get(wire));
    }

    private Part part(Terminal terminal) {
        return design.part(terminal.part());
    }

    /**
     * A guard of what hangs together stands between it and a live pole on some way, be it by way of
     * other guards; what leads on from it to other things does not.
     */
    private void liveSide() {
        var fed = new Fed();
        fed.wires()
                .forEach((wire, regions) ->
                        guards.putIfAbsent(
                                wire,
                                regions.get(0)
                                        ? new Guard.Unguarded()
                                        : new Guard.Guarded(fed.feeding(regions))));
    }

    /** What hangs together between guards, from the live poles on; those are in the first. */
    private final class Fed {
        private final List<Reach> regions = new ArrayList<>();
        private final Map<Terminal, Integer> region = new HashMap<>();
        private final List<List<Way>> ways = new ArrayList<>();
        private final Map<BitSet, List<Guard.Fitted>> feeding = new HashMap<>();

        Fed() {
            add(live, reach(live));
            for (int i = 0; i < regions.size(); i++) {
                ways.add(
                        regions.get(i).fuses.stream()
                                .map(each -> new Way(each.fuse(), region(each.beyond())))
                                .toList());
            }
        }

        private int region(Terminal start) {
            if (!region.containsKey(start)) {
                add(List.of(start), reach(List.of(start)));
            }
            return Objects.requireNonNull(region.get(start));
        }

        /** Where no valve leads, each terminal of a region leads to the whole of it. */
        private void add(List<Terminal> starts, Reach reach) {
            boolean valves =
                    reach.terminals.stream()
                            .map(insides::get)
                            .anyMatch(each -> !each.valves.isEmpty());
            (valves ? starts : reach.terminals)
                    .forEach(terminal -> region.putIfAbsent(terminal, regions.size()));
            regions.add(reach);
        }

        /** The regions that each wire lies in. */
        Map<WireId, BitSet> wires() {
            var found = new HashMap<WireId, BitSet>();
            for (int i = 0; i < regions.size(); i++) {
                for (var wire : regions.get(i).wires) {
                    found.computeIfAbsent(wire, _ -> new BitSet()).set(i);
                }
            }
            return found;
        }

        /** The guards from whose other side a way leads to a live pole that does not come here. */
        List<Guard.Fitted> feeding(BitSet here) {
            return feeding.computeIfAbsent(
                    here,
                    _ -> {
                        var live = live(here);
                        return live.stream()
                                .mapToObj(ways::get)
                                .flatMap(List::stream)
                                .filter(way -> here.get(way.to))
                                .map(Way::fuse)
                                .distinct()
                                .toList();
                    });
        }

        /** The regions that a live pole feeds but by way of those here. */
        private BitSet live(BitSet here) {
            var live = new BitSet();
            var open = new ArrayDeque<>(List.of(0));
            live.set(0);
            while (!open.isEmpty()) {
                for (var way : ways.get(open.remove())) {
                    if (!here.get(way.to) && !live.get(way.to)) {
                        live.set(way.to);
                        open.add(way.to);
                    }
                }
            }
            return live;
        }
    }

    /** A fuse by which a region feeds another. */
    private record Way(Guard.Fitted fuse, int to) {}

    /** What lies at earth whatever is closed: cables of earthed poles, straps, earths of cases. */
    private void atEarth() {
        flood(
                        earthTerminals(),
                        terminal ->
                                design.wiresAt(terminal).stream()
                                        .map(wire -> wire.beyond(terminal).terminal()))
                .stream()
                .flatMap(terminal -> design.wiresAt(terminal).stream())
                .forEach(wire -> guards.putIfAbsent(wire.id(), new Guard.EarthSide()));
    }

    /** What can be come to from some terminals. */
    private static Set<Terminal> flood(
            Collection<Terminal> starts, Function<Terminal, Stream<Terminal>> onward) {
        var seen = new HashSet<>(starts);
        var open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            onward.apply(open.remove()).filter(seen::add).forEach(open::add);
        }
        return seen;
    }

    private void earthSide() {
        reach(earthTerminals(), Optional.empty(), false)
                .wires
                .forEach(wire -> guards.putIfAbsent(wire, new Guard.EarthSide()));
    }

    private List<Terminal> earthTerminals() {
        var starts = new ArrayList<Terminal>();
        for (var part : design.parts()) {
            if (part.kind() instanceof JoinKind.EarthPoint) {
                starts.add(part.terminal("E"));
            }
            if (part.kind().hasPoles()) {
                starts.add(part.terminal(design.vehicle().earthedPin()));
            }
            part.mount()
                    .ifPresent(_ -> starts.add(part.terminal(part.kind().casePin().orElseThrow())));
        }
        return starts;
    }

    private static List<Terminal> liveTerminals(Design design) {
        var starts = new ArrayList<Terminal>();
        for (var part : design.parts()) {
            if (part.kind().hasPoles()) {
                starts.add(part.terminal(design.vehicle().livePin()));
            }
        }
        return starts;
    }

    /** What leads on from a terminal without passing a fuse. */
    private List<Sides.Way> onward(Terminal terminal) {
        return Stream.concat(
                        design.wiresAt(terminal).stream()
                                .map(wire ->
                                        new Sides.Way(
                                                wire.beyond(terminal).terminal(),
                                                Optional.of(wire.id()))),
                        insides.get(terminal).joined.stream()
                                .map(other -> new Sides.Way(other, Optional.empty())))
                .toList();
    }

    /** A fuse met from one side, and the terminal on its other. */
    private record Crossing(Guard.Fitted fuse, Terminal beyond) {}

    /**
     * What a terminal leads to inside its part: other terminals, the same by valves that lead on
     * from the live pole, and through fuses.
     */
    private record Inside(List<Terminal> joined, List<Terminal> valves, List<Crossing> crossings) {
        Inside leadingTo(Terminal more) {
            var all = new ArrayList<>(valves);
            all.add(more);
            return new Inside(joined, all, crossings);
        }
    }

    private record Reach(Set<Terminal> terminals, Set<WireId> wires, Set<Crossing> fuses) {}

    private Reach reach(Collection<Terminal> starts) {
        return reach(starts, Optional.empty(), true);
    }

    /** What terminals are joined to but by a wire; from the live pole by way of valves too. */
    private Reach reach(Collection<Terminal> starts, Optional<Wire> without, boolean byValves) {
        var found =
                new Reach(
                        new LinkedHashSet<>(starts), new LinkedHashSet<>(), new LinkedHashSet<>());
        var open = new ArrayDeque<>(starts);
        while (!open.isEmpty()) {
            var terminal = open.remove();
            var inside = insides.get(terminal);
            for (var wire : design.wiresAt(terminal)) {
                if (without.map(Wire::id).filter(wire.id()::equals).isPresent()) {
                    continue;
                }
                found.wires.add(wire.id());
                add(wire.from().terminal(), found, open);
                add(wire.to().terminal(), found, open);
            }
            inside.joined.forEach(other -> add(other, found, open));
            if (byValves) {
                inside.valves.forEach(other -> add(other, found, open));
            }
            found.fuses.addAll(inside.crossings);
        }
        return found;
    }

    private static void add(Terminal next, Reach found, Collection<Terminal> open) {
        if (found.terminals.add(next)) {
            open.add(next);
        }
    }

    private Inside inside(Part part, String pin) {
        return new Inside(throughPart(part, pin), valves(part, pin), crossings(part, pin));
    }

    /** What the diodes of a part let through from the live pole at a terminal. */
    private List<Terminal> valves(Part part, String pin) {
        var earthed = design.vehicle().earthed();
        return part.kind().valves(earthed).stream()
                .flatMap(valve ->
                        earthed == Vehicle.Pole.NEGATIVE
                                ? onward(pin, valve.anode(), valve.cathode())
                                : onward(pin, valve.cathode(), valve.anode()))
                .map(part::terminal)
                .toList();
    }

    private static Stream<String> onward(String pin, String from, String to) {
        return pin.equals(from) ? Stream.of(to) : Stream.empty();
    }

    /**
     * The terminals that a terminal is joined to inside its part without anything that limits the
     * current.
     */
    private static List<Terminal> throughPart(Part part, String pin) {
        return part.kind().passes().stream()
                .flatMap(pass -> pass.across(pin).stream())
                .map(part::terminal)
                .toList();
    }

    private static List<Crossing> crossings(Part part, String pin) {
        return part.kind().seats().stream()
                .filter(seat -> seat.meets(pin))
                .map(seat ->
                        new Crossing(
                                Guard.Fitted.of(part, seat),
                                part.terminal(seat.in().equals(pin) ? seat.out() : seat.in())))
                .toList();
    }
}
