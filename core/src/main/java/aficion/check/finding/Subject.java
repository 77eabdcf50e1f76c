package aficion.check.finding;

import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.route.StationId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What a finding is about. */
public sealed interface Subject {

    record OfWire(WireId wire) implements Subject {}

    record OfPart(PartId part) implements Subject {}

    record OfTerminal(Terminal terminal) implements Subject {}

    record OfStation(StationId station) implements Subject {}

    /** The name it is kept under: a wire's identity, a part or a terminal. */
    default String place() {
        return switch (this) {
            case OfWire(var wire) -> wire.value();
            case OfPart(var part) -> part.value();
            case OfTerminal(var terminal) -> terminal.toString();
            case OfStation(var station) -> station.value();
        };
    }

    /** The part it names; none for wires and stations. */
    default Optional<PartId> named() {
        return switch (this) {
            case OfWire _, OfStation _ -> Optional.empty();
            case OfPart(var part) -> Optional.of(part);
            case OfTerminal(var terminal) -> Optional.of(terminal.part());
        };
    }

    /** The circuits it belongs to, in working order. */
    default List<CircuitId> circuits(Design design) {
        return switch (this) {
            case OfWire(var wire) -> List.of(design.wire(wire).circuit());
            case OfPart(var part) -> of(design, part);
            case OfTerminal(var terminal) -> of(design, terminal.part());
            case OfStation(var station) -> of(design, station);
        };
    }

    private static List<CircuitId> of(Design design, StationId station) {
        return design.wires().stream()
                .filter(wire ->
                        design.way(wire)
                                .filter(way -> way.stations().contains(station))
                                .isPresent())
                .map(wire -> wire.circuit())
                .distinct()
                .toList();
    }

    /** Of what has no wire of its own, those of what is bolted to it. */
    private static List<CircuitId> of(Design design, PartId part) {
        var own = of(design, Set.of(part));
        return own.isEmpty() ? of(design, bolted(design, part)) : own;
    }

    private static Set<PartId> bolted(Design design, PartId earth) {
        return design.mountedOn(earth).stream().map(Part::id).collect(Collectors.toSet());
    }

    private static List<CircuitId> of(Design design, Set<PartId> parts) {
        return design.wires().stream()
                .filter(wire ->
                        wire.terminals().stream()
                                .anyMatch(terminal -> parts.contains(terminal.part())))
                .map(wire -> wire.circuit())
                .distinct()
                .toList();
    }
}
