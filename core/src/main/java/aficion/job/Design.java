package aficion.job;

import aficion.catalogue.Zone;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.StationId;
import aficion.route.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What is to be built: the vehicle, the rules it is built by, its circuits, parts and wires.
 * Immutable; everything that is computed is computed from it. Parts, wires and circuits are found
 * by identity, and wires by terminal, without a search.
 */
public final class Design {
    private final Vehicle vehicle;
    private final HouseRules rules;
    private final List<Circuit> circuits;
    private final List<Part> parts;
    private final List<Wire> wires;
    private final Optional<Body> body;
    private volatile @Nullable Map<RunId, List<Wire>> riders;
    private volatile @Nullable Set<String> mains;

    /** Where parts stand, as it was asked. */
    private final Map<PartId, StationId> stations;

    private final Map<CircuitId, Circuit> circuitById;
    private final Map<PartId, Part> partById;
    private final Map<WireId, Wire> wireById;
    private final Map<Terminal, List<Wire>> wiresAt;
    private final Map<PartId, List<Part>> mountedOn;

    /** A design of which nothing is known of the vehicle's body. */
    public Design(
            Vehicle vehicle,
            HouseRules rules,
            List<Circuit> circuits,
            List<Part> parts,
            List<Wire> wires) {
        this(vehicle, rules, circuits, parts, wires, Optional.empty());
    }

    /**
     * @param circuits in working order
     * @param wires those that are laid along the body are as long and as hot as it makes them
     * @throws InvalidJob when names repeat or a wire or a mount points at nothing, or a wire is
     *     laid along a body that is not there; it lists every problem
     */
    public Design(
            Vehicle vehicle,
            HouseRules rules,
            List<Circuit> circuits,
            List<Part> parts,
            List<Wire> wires,
            Optional<Body> body) {
        this(vehicle, rules, circuits, parts, wires, body, new ConcurrentHashMap<>());
    }

    /**
     * @param stations of the same parts in the same body, as far as they are known
     */
    private Design(
            Vehicle vehicle,
            HouseRules rules,
            List<Circuit> circuits,
            List<Part> parts,
            List<Wire> wires,
            Optional<Body> body,
            Map<PartId, StationId> stations) {
        this.stations = stations;
        this.vehicle = vehicle;
        this.rules = rules;
        this.circuits = List.copyOf(circuits);
        this.parts = List.copyOf(parts);
        var problems = JobProblem.of(circuits, parts, wires, body);
        if (!problems.isEmpty()) {
            throw new InvalidJob(problems);
        }
        this.circuitById = byId(circuits, Circuit::id);
        this.partById = byId(parts, Part::id);
        this.body = body.map(each -> each.of(partById));
        this.wires = wires.stream().map(this::laid).toList();
        this.wireById = byId(this.wires, Wire::id);
        this.mountedOn = new HashMap<>();
        for (var part : parts) {
            part.mount()
                    .ifPresent(earth ->
                            mountedOn.computeIfAbsent(earth, _ -> new ArrayList<>()).add(part));
        }
        this.wiresAt = new HashMap<>();
        for (var wire : this.wires) {
            for (var terminal : wire.terminals()) {
                wiresAt.computeIfAbsent(terminal, _ -> new ArrayList<>(2)).add(wire);
            }
        }
        wiresAt.replaceAll((_, ending) -> List.copyOf(ending));
        mountedOn.replaceAll((_, cases) -> List.copyOf(cases));
    }

    /** A wire as the body lays it, where it is laid along it. */
    private Wire laid(Wire wire) {
        if (!(wire.laid() instanceof Laid.Routed routed)) {
            return wire;
        }
        var now = way(wire).map(routed::on).orElse(routed);
        return now.equals(routed) ? wire : wire.withLaid(now);
    }

    private static <K, T> Map<K, T> byId(List<T> things, Function<T, K> id) {
        return things.stream()
                .collect(
                        Collectors.toMap(
                                id, Function.identity(), (one, _) -> one, LinkedHashMap::new));
    }

    /** A design of that vehicle with nothing in it. */
    public static Design empty(Vehicle vehicle, HouseRules rules) {
        return new Design(vehicle, rules, List.of(), List.of(), List.of());
    }

    /** What vehicle it is. */
    public Vehicle vehicle() {
        return vehicle;
    }

    /** How the house works. */
    public HouseRules rules() {
        return rules;
    }

    /** The circuits in working order. */
    public List<Circuit> circuits() {
        return circuits;
    }

    /** Every part, in the order they came. */
    public List<Part> parts() {
        return parts;
    }

    /** Every wire, in the order they came. */
    public List<Wire> wires() {
        return wires;
    }

    /** The vehicle as the harness lies in it, where that has been said. */
    public Optional<Body> body() {
        return body;
    }

    /** How a new wire is laid: along the body where there is one, else as stated. */
    public Laid laid(RunLength length, Zone zone) {
        return body.isPresent() ? Laid.Routed.cheapest() : new Laid.Stated(length, zone);
    }

    /** How a wire gets from end to end along the body; one with a length of its own as well. */
    public Optional<Way> way(Wire wire) {
        return body.map(lies ->
                lies.way(
                        station(lies, wire.from()),
                        station(lies, wire.to()),
                        wire.laid() instanceof Laid.Routed routed
                                ? routed.via()
                                : Optional.empty()));
    }

    private StationId station(Body body, End end) {
        return stations.computeIfAbsent(end.terminal().part(), part -> body.station(part(part)));
    }

    /** The wires that ride each run of the body, in the order of both; none where nothing does. */
    public Map<RunId, List<Wire>> riders() {
        var known = riders;
        if (known == null) {
            var found = new LinkedHashMap<RunId, List<Wire>>();
            body.ifPresent(lies ->
                    lies.plan().runs().forEach(run -> found.put(run.id(), new ArrayList<>())));
            for (var wire : wires) {
                way(wire)
                        .ifPresent(way ->
                                way.runs().stream()
                                        .distinct()
                                        .forEach(run -> found.get(run).add(wire)));
            }
            known = found;
            riders = known;
        }
        return known;
    }

    /** The part of an identity; empty when there is none. */
    public Optional<Part> find(PartId id) {
        return Optional.ofNullable(partById.get(id));
    }

    /** The wire of an identity; empty when there is none. */
    public Optional<Wire> find(WireId id) {
        return Optional.ofNullable(wireById.get(id));
    }

    /** The circuit of an identity; empty when there is none. */
    public Optional<Circuit> find(CircuitId id) {
        return Optional.ofNullable(circuitById.get(id));
    }

    /**
     * @throws IllegalArgumentException when there is no such part
     */
    public Part part(PartId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("no part " + id));
    }

    /**
     * @throws IllegalArgumentException when there is no such wire
     */
    public Wire wire(WireId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("no wire " + id));
    }

    /**
     * @throws IllegalArgumentException when there is no such circuit
     */
    public Circuit circuit(CircuitId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("no circuit " + id));
    }

    /** The terminal that a text such as {@code H1.56b} names; empty where there is none. */
    public Optional<Terminal> terminal(String text) {
        return Terminal.parse(text)
                .filter(at ->
                        find(at.part())
                                .filter(part -> part.kind().pins().contains(at.pin()))
                                .isPresent());
    }

    /** The part of that name; empty where there is none, or it is no name. */
    public Optional<Part> named(String id) {
        return parts.stream().filter(part -> part.id().value().equals(id)).findFirst();
    }

    /** The wire of that identity; empty where there is none, or it is none. */
    public Optional<Wire> identified(String id) {
        return wires.stream().filter(wire -> wire.id().value().equals(id)).findFirst();
    }

    /** The first wire whose labels say that; empty where none does. */
    public Optional<Wire> labelled(String number) {
        return wires.stream().filter(wire -> wire.number().equals(number)).findFirst();
    }

    /** The wires of a circuit, in the order they came; none when there is no such circuit. */
    public List<Wire> wiresOf(CircuitId circuit) {
        return wires.stream().filter(wire -> wire.circuit().equals(circuit)).toList();
    }

    /** The parts that the wires of a circuit reach, in the order of the design. */
    public List<Part> partsOf(CircuitId circuit) {
        var reached = new HashSet<PartId>();
        wiresOf(circuit)
                .forEach(
                        wire -> wire.terminals().forEach(terminal -> reached.add(terminal.part())));
        return parts.stream().filter(part -> reached.contains(part.id())).toList();
    }

    /** The wires that end on a terminal, in the order of the design. */
    public List<Wire> wiresAt(Terminal terminal) {
        return wiresAt.getOrDefault(terminal, List.of());
    }

    /** Whether a switch parts the battery from the vehicle: an isolator, a battery key. */
    public boolean isMain(ControlKind.Switch hand) {
        return isMain(hand.control());
    }

    /** Whether the switches of a control part the battery from the vehicle. */
    public boolean isMain(String control) {
        var known = mains;
        if (known == null) {
            known = MainSwitches.of(this);
            mains = known;
        }
        return known.contains(control);
    }

    /** Whether a switch is a key that governs what works, not one that parts the battery. */
    public boolean isKey(ControlKind.Switch hand) {
        return hand.action() == Action.KEY && !isMain(hand);
    }

    /**
     * The positions of a switch, the one it rests in first. A main switch rests where it joins:
     * parted from its battery nothing of a vehicle could be judged.
     */
    public List<Position> positions(ControlKind.Switch hand) {
        return isMain(hand)
                ? hand.positions().stream()
                        .sorted(Comparator.comparing(position -> position.joins().isEmpty()))
                        .toList()
                : hand.positions();
    }

    /** The parts whose case is bolted to an earth point, in the order of the design. */
    public List<Part> mountedOn(PartId earth) {
        return mountedOn.getOrDefault(earth, List.of());
    }

    /**
     * The same with other parts; refused as {@link InvalidJob} where a wire would hang in the air.
     */
    public Design withParts(List<Part> changed) {
        return new Design(vehicle, rules, circuits, changed, wires, body);
    }

    /**
     * The same with other wires; refused as {@link InvalidJob} where an end would hang in the air.
     */
    public Design withWires(List<Wire> changed) {
        var next = new Design(vehicle, rules, circuits, parts, changed, body, stations);
        if (isLedAs(next)) {
            next.mains = mains;
            next.riders = ridersOf(next);
        }
        return next;
    }

    /**
     * The riders of the same wires cut otherwise; null where it is not known that they ride alike.
     */
    private @Nullable Map<RunId, List<Wire>> ridersOf(Design next) {
        var known = riders;
        boolean alike =
                known != null
                        && IntStream.range(0, wires.size())
                                .allMatch(
                                        i -> wires.get(i).laid().equals(next.wires.get(i).laid()));
        if (!alike) {
            return null;
        }
        var riding = new LinkedHashMap<RunId, List<Wire>>();
        known.forEach((run, there) ->
                riding.put(run, there.stream().map(wire -> next.wire(wire.id())).toList()));
        return riding;
    }

    /** Whether its wires are those of another design, each in its circuit and between its ends. */
    public boolean isLedAs(Design other) {
        return wires.size() == other.wires.size()
                && IntStream.range(0, wires.size())
                        .allMatch(i -> wires.get(i).isLedAs(other.wires.get(i)));
    }

    /** The same with other circuits; refused as {@link InvalidJob} where a wire would have none. */
    public Design withCircuits(List<Circuit> changed) {
        return new Design(vehicle, rules, changed, parts, wires, body, stations);
    }

    /** The same on another vehicle. */
    public Design withVehicle(Vehicle changed) {
        return new Design(changed, rules, circuits, parts, wires, body);
    }

    /**
     * The same in another body, or in none: then what was laid along it keeps the length it had.
     */
    public Design withBody(Optional<Body> changed) {
        var now =
                changed.isPresent()
                        ? wires
                        : wires.stream().map(wire -> wire.withLaid(wire.laid().apart())).toList();
        return new Design(vehicle, rules, circuits, parts, now, changed);
    }

    /** The same in another house. */
    public Design withRules(HouseRules changed) {
        return new Design(vehicle, changed, circuits, parts, wires, body);
    }

    @Override
    public boolean equals(Object other) {
        return this == other
                || other instanceof Design design
                        && vehicle.equals(design.vehicle)
                        && rules.equals(design.rules)
                        && circuits.equals(design.circuits)
                        && parts.equals(design.parts)
                        && wires.equals(design.wires)
                        && body.equals(design.body);
    }

    @Override
    public int hashCode() {
        return Objects.hash(vehicle, rules, circuits, parts, wires, body);
    }

    @Override
    public String toString() {
        return "Design of "
                + vehicle.name()
                + ": "
                + circuits.size()
                + " circuits, "
                + parts.size()
                + " parts, "
                + wires.size()
                + " wires";
    }
}
