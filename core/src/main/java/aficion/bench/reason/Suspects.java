package aficion.bench.reason;

import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What may be wrong with a circuit: its wires, their ends, its earths, guards, contacts, coils and
 * loads, what sits next to each other exchanged or touching, and parts other than were meant. The
 * weights are of the trade: ends and earths fail most.
 */
final class Suspects {
    /** What a joint that has gone bad adds. */
    private static final Ohms BAD = Fault.BAD.getLast();

    private static final double OFTEN = 3;
    private static final double SOMETIMES = 2;
    private static final double SELDOM = 1;
    private static final double RARE = 0.5;

    /** Lamps that are mistaken for one another, watts. */
    private static final double SMALL = 5;

    private static final double LARGE = 21;

    /** Where a part has no more leads any two may be exchanged, else those beside each other. */
    private static final int FEW = 4;

    private final Netlist netlist;
    private final Design design;
    private final List<Wire> wires;
    private final List<Suspect> found = new ArrayList<>();
    private final Set<Integer> nodes = new HashSet<>();

    /** The nodes that some terminal of the vehicle is. */
    private final Set<Integer> named;

    private Suspects(Netlist netlist, CircuitId circuit) {
        this.netlist = netlist;
        this.design = netlist.design();
        this.wires = design.wiresOf(circuit);
        wires.forEach(wire -> wire.terminals().forEach(at -> nodes.add(netlist.node(at))));
        for (var part : design.partsOf(circuit)) {
            part.kind().casePin().map(part::terminal).map(netlist::node).ifPresent(nodes::add);
        }
        named =
                design.parts().stream()
                        .flatMap(part -> part.terminals().stream())
                        .map(netlist::node)
                        .collect(Collectors.toSet());
    }

    /** What may be wrong with a circuit, nothing first. */
    static List<Suspect> of(Netlist netlist, CircuitId circuit) {
        var suspects = new Suspects(netlist, circuit);
        suspects.gather(circuit);
        return List.copyOf(suspects.found);
    }

    private void gather(CircuitId circuit) {
        found.add(Suspect.NOTHING);
        wires.forEach(this::wire);
        var parts = new LinkedHashSet<>(design.partsOf(circuit));
        design.partsOf(circuit).stream()
                .flatMap(part -> part.mount().stream())
                .map(design::part)
                .forEach(parts::add);
        parts.forEach(this::part);
    }

    private void wire(Wire wire) {
        add(OFTEN, new Fault.Broken(wire.id()));
        add(OFTEN, new Fault.BadJoint(wire.id(), BAD));
        add(SELDOM, new Fault.Chafed(wire.id(), Fault.Place.FIRST_END));
        add(SELDOM, new Fault.Chafed(wire.id(), Fault.Place.SECOND_END));
    }

    private void add(double weight, Fault fault) {
        found.add(new Suspect(fault, weight));
    }

    private void part(Part part) {
        switch (part.kind()) {
            case JoinKind.EarthPoint _ -> {
                add(OFTEN, new Fault.EarthLost(part.id()));
                add(OFTEN, new Fault.PoorEarth(part.id(), BAD));
            }
            case SourceKind.Battery battery -> tired(part, battery);
            case LoadKind.Lamp lamp -> {
                inside(part);
                otherLamp(part, lamp);
                neighbours(part);
            }
            case JoinKind.Splice _ -> {}
            case JoinKind _, SourceKind _, GuardKind _, ControlKind _, LoadKind _ -> {
                inside(part);
                neighbours(part);
            }
        }
    }

    private void tired(Part part, SourceKind.Battery battery) {
        add(
                SELDOM,
                new Fault.Another(
                        part.id(),
                        new SourceKind.Battery(
                                new Volts(0.9 * battery.nominal().value()),
                                new Ohms(10 * battery.internal().value()),
                                battery.capacity())));
    }

    private void otherLamp(Part part, LoadKind.Lamp lamp) {
        add(
                RARE,
                new Fault.Another(
                        part.id(),
                        new LoadKind.Lamp(new Volts(lamp.test().value() / 2), lamp.filaments())));
        add(
                RARE,
                new Fault.Another(
                        part.id(),
                        new LoadKind.Lamp(
                                lamp.test(),
                                lamp.filaments().stream()
                                        .map(each ->
                                                new LoadKind.Filament(
                                                        each.pin(),
                                                        new Watts(
                                                                each.watts().value() > SMALL + 5
                                                                        ? SMALL
                                                                        : LARGE)))
                                        .toList())));
    }

    /** What is inside a part between nodes that this circuit's wires reach. */
    private void inside(Part part) {
        boolean relay =
                part.kind() instanceof ControlKind.Relay
                        || part.kind() instanceof ControlKind.LatchingRelay;
        if (relay) {
            add(SOMETIMES, new Fault.DeadCoil(part.id()));
        }
        netlist.inside(part.id())
                .forEach((role, branch) -> {
                    if (ours(branch) && !(relay && (role.equals("coil") || role.equals("set")))) {
                        branch(part.id(), role, branch);
                    }
                });
    }

    private boolean ours(int branch) {
        return near(netlist.a(branch)) && near(netlist.b(branch));
    }

    /** Where this circuit's wires come to, or a node inside a part. */
    private boolean near(int node) {
        return node == 0 || nodes.contains(node) || !named.contains(node);
    }

    private void branch(PartId part, String role, int branch) {
        switch (netlist.branch(branch, Conditions.REST)) {
            case Branch.FuseBranch _ -> add(SOMETIMES, new Fault.Blown(new FuseSeat(part, role)));
            case Branch.Contact _, Branch.Driven _ -> {
                add(SOMETIMES, new Fault.Dead(part, role));
                add(SOMETIMES, new Fault.Burnt(part, role, BAD));
                add(SELDOM, new Fault.Stuck(part, role));
            }
            case Branch.Blinker _ -> add(SOMETIMES, new Fault.Dead(part, role));
            case Branch.Resistance _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Limited _,
                    Branch.ControlledResistance _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.Capacitance _ ->
                    add(SOMETIMES, new Fault.Dead(part, role));
        }
    }

    /** Pins beside each other whose leads may be exchanged, or that may touch. */
    private void neighbours(Part part) {
        var led =
                part.terminals().stream()
                        .filter(at ->
                                design.wiresAt(at).stream().anyMatch(wire -> wires.contains(wire)))
                        .toList();
        for (int i = 0; i < led.size(); i++) {
            for (int j = i + 1; j < led.size(); j++) {
                if (j == i + 1 || led.size() <= FEW) {
                    exchanged(led.get(i), led.get(j));
                }
            }
            if (i + 1 < led.size() && !mates(part, led.get(i), led.get(i + 1))) {
                add(RARE, new Fault.Touching(led.get(i), led.get(i + 1)));
            }
        }
    }

    /** The two ends of one way of a guard or connector: what joins them touches anyway. */
    private boolean mates(Part part, Terminal one, Terminal other) {
        return netlist.inside(part.id()).values().stream()
                .anyMatch(branch ->
                        Set.of(netlist.a(branch), netlist.b(branch))
                                        .equals(Set.of(netlist.node(one), netlist.node(other)))
                                && netlist.branch(branch, Conditions.REST)
                                        instanceof Branch.FuseBranch);
    }

    private void exchanged(Terminal one, Terminal other) {
        boolean alike =
                netlist.node(one) == netlist.node(other)
                        || design.part(one.part()).kind().alikeBothWays();
        if (!alike) {
            add(SELDOM, new Fault.Exchanged(one, other));
        }
    }
}
