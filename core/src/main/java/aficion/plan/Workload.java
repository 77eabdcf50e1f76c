package aficion.plan;

import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.forming.Loom;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.quantity.Amps;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What of a job is worked: the wires and parts of each circuit that do not stay as they were found,
 * and the looms that they ride. A part is fitted with the first circuit that it is in.
 */
final class Workload {
    /** A load that takes more waits for what gives it, amps (typical). */
    private static final double LARGE = 8;

    private final List<Circuit> circuits;
    private final List<Loom> looms;
    private final List<Change> changes;
    private final Map<CircuitId, List<Part>> parts = new LinkedHashMap<>();
    private final Map<CircuitId, List<Wire>> wires = new LinkedHashMap<>();
    private final Set<WireId> worked = new HashSet<>();
    private final Map<Integer, List<Wire>> riders = new HashMap<>();

    Workload(Job job) {
        var design = job.design();
        circuits =
                design.circuits().stream()
                        .sorted(Comparator.comparingInt(Circuit::number))
                        .toList();
        changes = ChangeList.of(job);
        looms = Loom.of(design);
        var staying =
                changes.stream()
                        .filter(change -> change.sort() == Change.Sort.STAYS)
                        .map(Workload::of)
                        .collect(Collectors.toSet());
        var given = new HashSet<PartId>();
        for (var circuit : circuits) {
            var ours =
                    design.wiresOf(circuit.id()).stream()
                            .filter(wire -> !staying.contains(wire.id()))
                            .toList();
            wires.put(circuit.id(), ours);
            ours.forEach(wire -> worked.add(wire.id()));
            parts.put(
                    circuit.id(),
                    design.partsOf(circuit.id()).stream()
                            .filter(part -> !(part.kind() instanceof JoinKind.Splice))
                            .filter(part -> !staying.contains(part.id()))
                            .filter(part -> given.add(part.id()))
                            .toList());
        }
        looms.forEach(loom -> riders.put(loom.number(), ridersOf(loom)));
    }

    private static Object of(Change change) {
        return switch (change) {
            case Change.OfPart part -> part.part().id();
            case Change.OfWire wire -> wire.wire().id();
            case Change.OfLead lead -> lead.lead().name();
        };
    }

    private List<Wire> ridersOf(Loom loom) {
        return loom.strands().stream()
                .flatMap(strand -> strand.dress().riders().stream())
                .filter(this::isWorked)
                .distinct()
                .toList();
    }

    /** By their numbers. */
    List<Circuit> circuits() {
        return circuits;
    }

    List<Loom> looms() {
        return looms;
    }

    List<Change> changes() {
        return changes;
    }

    /** Whether there is nothing to work. */
    boolean isEmpty() {
        return worked.isEmpty() && changes.isEmpty();
    }

    List<Wire> wires(CircuitId circuit) {
        return wires.getOrDefault(circuit, List.of());
    }

    List<Part> parts(CircuitId circuit) {
        return parts.getOrDefault(circuit, List.of());
    }

    boolean isWorked(Wire wire) {
        return worked.contains(wire.id());
    }

    /** How many worked wires ride a loom. */
    int riders(Loom loom) {
        return riders.getOrDefault(loom.number(), List.of()).size();
    }

    /** The circuits whose worked wires ride a loom. */
    List<CircuitId> circuitsOf(Loom loom) {
        return riders.getOrDefault(loom.number(), List.of()).stream()
                .map(Wire::circuit)
                .distinct()
                .toList();
    }

    /** The looms that the worked wires of a circuit ride. */
    List<Loom> loomsOf(CircuitId circuit) {
        return looms.stream().filter(loom -> circuitsOf(loom).contains(circuit)).toList();
    }

    /** The circuits that give what a circuit takes much of; none where it takes little. */
    List<CircuitId> givers(CircuitId circuit) {
        var ours = parts(circuit);
        if (!takesMuch(ours) || givesCurrent(ours)) {
            return List.of();
        }
        return circuits.stream()
                .map(Circuit::id)
                .filter(each -> !each.equals(circuit) && givesCurrent(parts(each)))
                .toList();
    }

    private static boolean givesCurrent(List<Part> parts) {
        return parts.stream()
                .anyMatch(part ->
                        part.kind() instanceof SourceKind && part.kind().chargingPin().isPresent());
    }

    private static boolean takesMuch(List<Part> parts) {
        return parts.stream()
                .filter(part -> !(part.kind() instanceof LoadKind.Starter))
                .flatMap(part -> part.kind().turning().values().stream())
                .mapToDouble(Amps::value)
                .anyMatch(amps -> amps >= LARGE);
    }
}
