package aficion.netlist;

import aficion.catalogue.Conductor;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Joints;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions.Aspect;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Takes a design apart into nodes and branches: one node for each terminal and each mass. */
final class NetlistBuilder {
    /** A clean case bolted to metal, typical, ohms. */
    private static final double MOUNT = 0.001;

    final Design design;
    final Map<Terminal, Integer> nodeOf = new HashMap<>();
    final Map<WireId, Integer> branchOf = new HashMap<>();
    final List<Netlist.Slot> slots = new ArrayList<>();
    final List<Netlist.CoilSlot> coils = new ArrayList<>();
    final Map<PartId, Map<String, Integer>> inside = new HashMap<>();

    /** The node of the engine's metal. */
    final int engine;

    /** 1 where the live side is above earth, −1 where it is below. */
    final int sign;

    int nodes = 1;

    NetlistBuilder(Design design) {
        this.design = design;
        this.engine = nodes++;
        this.sign = design.vehicle().earthed() == Vehicle.Pole.NEGATIVE ? 1 : -1;
        for (var part : design.parts()) {
            for (var terminal : part.terminals()) {
                nodeOf.put(terminal, nodes++);
            }
        }
    }

    Netlist build() {
        design.wires().forEach(this::wire);
        for (var part : design.parts()) {
            var builder = new PartBuilder(this, part);
            switch (part.kind()) {
                case SourceKind source -> SourceBranches.add(builder, source);
                case GuardKind guard -> ControlBranches.fuses(builder, guard);
                case ControlKind control -> ControlBranches.add(builder, control);
                case LoadKind load -> LoadBranches.add(builder, load);
                case JoinKind join -> JoinBranches.add(builder, join);
            }
        }
        for (var part : design.parts()) {
            part.mount().ifPresent(earth -> mount(part, earth));
        }
        return new Netlist(this);
    }

    private void wire(Wire wire) {
        int a = nodeOf.get(wire.from().terminal());
        int b = nodeOf.get(wire.to().terminal());
        branchOf.put(wire.id(), add(wire(design, wire, a, b)));
    }

    /** What a wire between two nodes is: its copper as warm as the air, and what joins its ends. */
    static Netlist.Slot wire(Design design, Wire wire, int a, int b) {
        double cold = wire.conductor().perMetre().value() * wire.length().metres().value();
        double joints = 2 * design.rules().joint().value();
        return new Netlist.Slot(
                a,
                b,
                false,
                List.of(),
                Set.of(Aspect.AIR),
                conditions ->
                        new Branch.Resistance(
                                a, b, cold * Conductor.warmth(conditions.air().value()) + joints));
    }

    private void mount(Part part, PartId earth) {
        var pin = part.kind().casePin().orElseThrow();
        var builder = new PartBuilder(this, part);
        builder.fixed("mount", builder.node(pin), nodeOf.get(new Terminal(earth, "E")), MOUNT);
    }

    double nominal() {
        return design.vehicle().system().value();
    }

    boolean isWired(Terminal terminal) {
        return !design.wiresAt(terminal).isEmpty();
    }

    /** The terminals joined to one by wires, splices and connectors, itself first. */
    Set<Terminal> joinedTo(Terminal start) {
        return Joints.joined(design, start);
    }

    Part part(Terminal terminal) {
        return design.part(terminal.part());
    }

    void inside(Part part, String role, int branch) {
        inside.computeIfAbsent(part.id(), _ -> new LinkedHashMap<>()).put(role, branch);
    }

    int add(Netlist.Slot slot) {
        slots.add(slot);
        return slots.size() - 1;
    }
}
