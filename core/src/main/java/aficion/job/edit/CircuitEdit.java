package aficion.job.edit;

import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Wire;
import java.util.List;
import java.util.stream.Collectors;

/** A change of one circuit. */
public sealed interface CircuitEdit extends Edit {

    /** Adds a circuit. */
    record AddCircuit(Circuit circuit) implements CircuitEdit {
        @Override
        public Design apply(Design design) {
            return design.withCircuits(Changing.with(design.circuits(), circuit));
        }
    }

    /** Adds circuits with their parts and wires at once. */
    record AddHarness(List<Circuit> circuits, List<Part> parts, List<Wire> wires)
            implements CircuitEdit {
        public AddHarness {
            circuits = List.copyOf(circuits);
            parts = List.copyOf(parts);
            wires = List.copyOf(wires);
        }

        @Override
        public Design apply(Design design) {
            return new Design(
                    design.vehicle(),
                    design.rules(),
                    Changing.with(design.circuits(), circuits),
                    Changing.with(design.parts(), parts),
                    Changing.with(design.wires(), wires),
                    design.body());
        }
    }

    /** Calls a circuit otherwise. */
    record RenameCircuit(CircuitId circuit, String name) implements CircuitEdit {
        @Override
        public Design apply(Design design) {
            return Changing.circuit(design, circuit, found -> found.withName(name));
        }
    }

    /** Lets a circuit lose more volts, or less. */
    record AllowDrop(CircuitId circuit, Circuit.Drops drops) implements CircuitEdit {
        @Override
        public Design apply(Design design) {
            return Changing.circuit(design, circuit, found -> found.withDrops(drops));
        }
    }

    /** Takes a circuit out, with its wires and the parts that no other reaches. */
    record RemoveCircuit(CircuitId circuit) implements CircuitEdit {
        @Override
        public Design apply(Design design) {
            var own = design.partsOf(circuit).stream().map(Part::id).collect(Collectors.toSet());
            var wires =
                    design.wires().stream()
                            .filter(wire -> !wire.circuit().equals(circuit))
                            .toList();
            for (var wire : wires) {
                wire.terminals().forEach(end -> own.remove(end.part()));
            }
            for (var part : design.parts()) {
                if (!own.contains(part.id())) {
                    part.mount().ifPresent(own::remove);
                }
            }
            design.circuit(circuit);
            return new Design(
                    design.vehicle(),
                    design.rules(),
                    design.circuits().stream().filter(kept -> !kept.id().equals(circuit)).toList(),
                    design.parts().stream().filter(kept -> !own.contains(kept.id())).toList(),
                    wires,
                    design.body());
        }
    }
}
