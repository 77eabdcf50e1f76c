package aficion.job;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Everything the user has stated about one vehicle. Immutable; what is computed is computed from
 * it.
 *
 * @param vehicle the vehicle
 * @param rules the house rules
 * @param circuits in working order
 * @param parts every part
 * @param wires every wire
 * @param bench every bench run, oldest first
 * @param accepted every finding that the user lets stand; it ends with what it is about, since
 *     names are used again
 */
public record Job(
        Vehicle vehicle,
        HouseRules rules,
        List<Circuit> circuits,
        List<Part> parts,
        List<Wire> wires,
        List<BenchRun> bench,
        List<Acceptance> accepted) {

    /**
     * @throws InvalidJob when names repeat or a wire, a mount or a bench run points at nothing; it
     *     lists every problem
     */
    public Job {
        circuits = List.copyOf(circuits);
        parts = List.copyOf(parts);
        wires = List.copyOf(wires);
        bench = List.copyOf(bench);
        accepted = Acceptance.of(accepted, parts, wires);
        var problems = JobProblem.of(circuits, parts, wires, bench);
        if (!problems.isEmpty()) {
            throw new InvalidJob(problems);
        }
    }

    /** A job on that vehicle with nothing in it. */
    public static Job empty(Vehicle vehicle, HouseRules rules) {
        return new Job(vehicle, rules, List.of(), List.of(), List.of(), List.of(), List.of());
    }

    public Optional<Part> find(PartId id) {
        return parts.stream().filter(part -> part.id().equals(id)).findFirst();
    }

    public Optional<Wire> find(WireId id) {
        return wires.stream().filter(wire -> wire.id().equals(id)).findFirst();
    }

    public Optional<Circuit> find(CircuitId id) {
        return circuits.stream().filter(circuit -> circuit.id().equals(id)).findFirst();
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

    public List<Wire> wiresOf(CircuitId circuit) {
        return wires.stream().filter(wire -> wire.circuit().equals(circuit)).toList();
    }

    /** The parts that the wires of a circuit reach, in the order of the job. */
    public List<Part> partsOf(CircuitId circuit) {
        var reached =
                wiresOf(circuit).stream()
                        .flatMap(wire -> wire.terminals().stream())
                        .map(Terminal::part)
                        .collect(Collectors.toSet());
        return parts.stream().filter(part -> reached.contains(part.id())).toList();
    }

    public List<Wire> wiresAt(Terminal terminal) {
        return wires.stream().filter(wire -> wire.terminals().contains(terminal)).toList();
    }

    /** The latest bench run of a circuit. */
    public Optional<BenchRun> latestRun(CircuitId circuit) {
        return bench.stream()
                .filter(run -> run.circuit().equals(circuit))
                .reduce((_, later) -> later);
    }

    public Job withParts(List<Part> changed) {
        return new Job(vehicle, rules, circuits, changed, wires, bench, accepted);
    }

    public Job withWires(List<Wire> changed) {
        return new Job(vehicle, rules, circuits, parts, changed, bench, accepted);
    }

    public Job withCircuits(List<Circuit> changed) {
        return new Job(vehicle, rules, changed, parts, wires, bench, accepted);
    }

    public Job withBench(List<BenchRun> changed) {
        return new Job(vehicle, rules, circuits, parts, wires, changed, accepted);
    }

    public Job withAccepted(List<Acceptance> changed) {
        return new Job(vehicle, rules, circuits, parts, wires, bench, changed);
    }

    public Job withVehicle(Vehicle changed) {
        return new Job(changed, rules, circuits, parts, wires, bench, accepted);
    }

    public Job withRules(HouseRules changed) {
        return new Job(vehicle, changed, circuits, parts, wires, bench, accepted);
    }
}
