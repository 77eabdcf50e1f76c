package aficion.netlist;

import aficion.catalogue.Conductor;
import aficion.catalogue.FuseType;
import aficion.job.Contact;
import aficion.job.Job;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions.Aspect;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * Takes a job apart into nodes and branches: one node for each terminal and each mass, one case for
 * each kind of part.
 */
final class NetlistBuilder {
    /** A closed switch contact, typical, ohms. */
    private static final double SWITCH_CONTACT = 0.005;

    /** A closed relay or solenoid contact, typical, ohms. */
    private static final double RELAY_CONTACT = 0.003;

    private static final double SOLENOID_CONTACT = 0.0005;

    /** One way of a connector, typical, ohms. */
    private static final double CONNECTOR_WAY = 0.002;

    /** A clean case bolted to metal, typical, ohms. */
    private static final double MOUNT = 0.001;

    /** What joins an alternator's output to its D+ once it charges, ohms. */
    private static final double FIELD_DIODES = 0.05;

    private static final double ALTERNATOR_INNER = 0.006;
    private static final double OPEN_POINTS_LEAST = 0.005;
    private static final double STABILISER_LEAST = 0.05;

    /**
     * k·T/q at 300 K from the exact constants of the SI, times an ideality of 1.8 for a silicon
     * rectifier.
     */
    private static final double DIODE_THERMAL = 1.8 * 1.380649e-23 * 300 / 1.602176634e-19;

    final Job job;
    final Map<Terminal, Integer> nodeOf = new HashMap<>();
    final Map<WireId, Integer> branchOf = new HashMap<>();
    final List<Netlist.Slot> slots = new ArrayList<>();
    final List<Netlist.CoilSlot> coils = new ArrayList<>();
    final Map<PartId, Map<String, Integer>> inside = new HashMap<>();
    int nodes = 1;
    private final int engine;
    private final int sign;

    NetlistBuilder(Job job) {
        this.job = job;
        this.engine = nodes++;
        this.sign = job.vehicle().earthed() == Vehicle.Pole.NEGATIVE ? 1 : -1;
        for (var part : job.parts()) {
            for (var terminal : part.terminals()) {
                nodeOf.put(terminal, nodes++);
            }
        }
    }

    Netlist build() {
        job.wires().forEach(this::wire);
        job.parts().forEach(this::part);
        for (var part : job.parts()) {
            part.mount().ifPresent(earth -> mount(part, earth));
        }
        return new Netlist(this);
    }

    private void wire(Wire wire) {
        double cold = wire.conductor().perMetre().value() * wire.length().metres().value();
        double joints = 2 * job.rules().joint().value();
        int a = nodeOf.get(wire.from().terminal());
        int b = nodeOf.get(wire.to().terminal());
        int index =
                add(
                        new Netlist.Slot(
                                a,
                                b,
                                false,
                                List.of(),
                                Set.of(Aspect.AIR),
                                conditions ->
                                        new Branch.Resistance(
                                                a,
                                                b,
                                                cold * Conductor.warmth(conditions.air().value())
                                                        + joints)));
        branchOf.put(wire.id(), index);
    }

    private void mount(Part part, PartId earth) {
        var pin = part.kind().casePin().orElseThrow();
        fixed(part, "mount", node(part, pin), nodeOf.get(new Terminal(earth, "E")), MOUNT);
    }

    private void part(Part part) {
        switch (part.kind()) {
            case Kind.Battery battery -> battery(part, battery);
            case Kind.Alternator alternator -> alternator(part, alternator);
            case Kind.Starter starter -> starter(part, starter);
            case Kind.Switch hand -> hand(part, hand);
            case Kind.Fuse(var type, var marking) -> fuse(part, "", "1", "2", type, marking);
            case Kind.FuseBox(var ways) ->
                    ways.forEach(way ->
                            fuse(
                                    part,
                                    way.name(),
                                    way.in(),
                                    way.out(),
                                    way.family(),
                                    way.marking()));
            case Kind.Relay relay -> relay(part, relay);
            case Kind.Lamp(var test, var filaments) ->
                    filaments.forEach(filament ->
                            filament(
                                    part,
                                    filament.pin(),
                                    "31",
                                    test.value(),
                                    filament.watts().value()));
            case Kind.WarningLamp(var watts, var test) ->
                    filament(part, "1", "2", test.value(), watts.value());
            case Kind.Motor(var running, var rated) ->
                    fixed(part, "body", "+", "31", rated.value() / running.value());
            case Kind.IgnitionCoil coil -> fixed(part, "body", "15", "1", coil.primary().value());
            case Kind.Points points -> points(part, points);
            case Kind.Sender sender -> sender(part, sender);
            case Kind.Gauge gauge -> fixed(part, "body", "B", "T", gauge.winding().value());
            case Kind.Stabiliser stabiliser -> stabiliser(part, stabiliser);
            case Kind.Resistor(var resistance) -> fixed(part, "body", "1", "2", resistance.value());
            case Kind.Diode diode -> diode(part, diode);
            case Kind.Load load -> fixed(part, "body", "+", "31", load.resistance().value());
            case Kind.Splice() -> {}
            case Kind.Connector(var ways, _) ->
                    ways.forEach(way -> fixed(part, way, way + "a", way + "b", CONNECTOR_WAY));
            case Kind.EarthPoint(var mass, var joint) ->
                    fixed(
                            part,
                            "joint",
                            node(part, "E"),
                            mass == Kind.Mass.BODY ? 0 : engine,
                            joint.value());
        }
    }

    private void battery(Part part, Kind.Battery battery) {
        int a = node(part, "+");
        int b = node(part, "-");
        bending(
                part,
                Netlist.OUTPUT,
                a,
                b,
                Set.of(Aspect.CHARGE),
                conditions ->
                        new Branch.Source(
                                a,
                                b,
                                SourceCurves.restVolts(
                                        battery.nominal().value(), conditions.charge().value()),
                                battery.internal().value(),
                                SourceCurves.fillingOhms(
                                        battery.nominal().value(),
                                        battery.internal().value(),
                                        conditions.charge().value())));
    }

    private void alternator(Part part, Kind.Alternator alternator) {
        int out = node(part, "B+");
        int field = node(part, "D+");
        int earth = node(part, "31");
        int coil = coils.size();
        double wakes = SourceCurves.WAKING_FIELD_CURRENT * alternator.field().value();
        coils.add(
                new Netlist.CoilSlot(
                        part.id(),
                        conditions ->
                                new Coil(
                                        field,
                                        earth,
                                        output(alternator, conditions) > 0
                                                ? wakes
                                                : Double.MAX_VALUE,
                                        wakes / 2)));
        moved(part, "field", field, earth, alternator.field().value(), coil, false);
        moved(part, "trio", out, field, FIELD_DIODES, coil, true);
        inside(
                part,
                Netlist.OUTPUT,
                add(
                        new Netlist.Slot(
                                out,
                                earth,
                                true,
                                List.of(coil),
                                Set.of(Aspect.ENGINE),
                                conditions ->
                                        new Branch.Limited(
                                                out,
                                                earth,
                                                alternator.setPoint().value(),
                                                ALTERNATOR_INNER,
                                                output(alternator, conditions),
                                                coil,
                                                sign,
                                                Branch.NONE))));
    }

    private static double output(Kind.Alternator alternator, Conditions conditions) {
        return SourceCurves.alternatorAmps(
                alternator.rated().value(),
                conditions.engine().value() * alternator.pulleys().value());
    }

    private void starter(Part part, Kind.Starter starter) {
        int feed = node(part, "30");
        int trigger = node(part, "50");
        int earth = node(part, "31");
        int motor = nodes++;
        double nominal = job.vehicle().system().value();
        int coil = coil(part, trigger, earth, 0.6 * nominal, 0.3 * nominal);
        fixed(part, "coil", trigger, earth, starter.solenoid().value());
        moved(part, "contact", feed, motor, SOLENOID_CONTACT, coil, true);
        fixed(part, "motor", motor, earth, starter.motor().value());
    }

    private void hand(Part part, Kind.Switch hand) {
        for (var contact : hand.contacts()) {
            int a = node(part, contact.one());
            int b = node(part, contact.other());
            add(
                    part,
                    contact.toString(),
                    a,
                    b,
                    Aspect.POSITIONS,
                    conditions ->
                            new Branch.Contact(
                                    a, b, SWITCH_CONTACT, joins(hand, contact, conditions)));
        }
    }

    private static boolean joins(Kind.Switch hand, Contact contact, Conditions conditions) {
        var rest = hand.positions().getFirst();
        var name = conditions.positions().getOrDefault(hand.control(), rest.name());
        return hand.position(name).orElse(rest).joins().contains(contact);
    }

    private void fuse(Part part, String way, String in, String out, FuseType type, Amps marking) {
        int a = node(part, in);
        int b = node(part, out);
        var seat = new FuseSeat(part.id(), way);
        add(
                part,
                way,
                a,
                b,
                Aspect.PULLED,
                conditions ->
                        new Branch.Trip(a, b, type, marking, !conditions.pulled().contains(seat)));
    }

    private void relay(Part part, Kind.Relay relay) {
        int coil =
                coil(
                        part,
                        node(part, "86"),
                        node(part, "85"),
                        relay.pickUp().value() * relay.rated().value(),
                        relay.dropOut().value() * relay.rated().value());
        fixed(part, "coil", "86", "85", relay.coil().value());
        int common = node(part, "30");
        int makes = node(part, "87");
        moved(part, "30-87", common, makes, RELAY_CONTACT, coil, true);
        if (relay.breaks().isPresent()) {
            int breaks = node(part, "87a");
            moved(part, "30-87a", common, breaks, RELAY_CONTACT, coil, false);
        }
    }

    private void filament(Part part, String feed, String back, double volts, double watts) {
        int a = node(part, feed);
        int b = node(part, back);
        var filament = new Branch.Filament(a, b, volts, watts / volts);
        bending(part, feed, a, b, Set.of(), _ -> filament);
    }

    private void points(Part part, Kind.Points points) {
        int a = node(part, "1");
        int b = node(part, "31");
        double henries = inductanceAt(new Terminal(part.id(), "1"));
        bending(
                part,
                "body",
                a,
                b,
                Set.of(Aspect.ENGINE),
                conditions -> {
                    double rpm = conditions.engine().value();
                    return rpm < 1
                            ? new Branch.Resistance(a, b, OPEN_POINTS_LEAST)
                            : new Branch.Settling(
                                    a,
                                    b,
                                    OPEN_POINTS_LEAST,
                                    new Branch.Law.Dwell(
                                            points.dwell().value(),
                                            120 / (rpm * points.cylinders()),
                                            henries));
                });
    }

    /**
     * The inductance of the coil whose terminal 1 is joined to the terminal by wires, splices and
     * connectors.
     */
    private double inductanceAt(Terminal start) {
        var open = new ArrayDeque<>(List.of(start));
        var seen = new HashSet<>(open);
        while (!open.isEmpty()) {
            var terminal = open.remove();
            var part = job.part(terminal.part());
            if (part.kind() instanceof Kind.IgnitionCoil(_, var inductance)) {
                return inductance.value();
            }
            job.wiresAt(terminal).stream()
                    .flatMap(wire -> wire.terminals().stream())
                    .filter(seen::add)
                    .forEach(open::add);
            if (part.kind() instanceof Kind.Connector) {
                var pin = terminal.pin();
                var facing =
                        new Terminal(
                                part.id(),
                                pin.substring(0, pin.length() - 1)
                                        + (pin.endsWith("a") ? "b" : "a"));
                if (seen.add(facing)) {
                    open.add(facing);
                }
            }
        }
        return 0;
    }

    private void sender(Part part, Kind.Sender sender) {
        int a = node(part, "T");
        int b = node(part, "31");
        double least = sender.least().value();
        double most = sender.most().value();
        add(
                part,
                "body",
                a,
                b,
                Aspect.LEVELS,
                conditions -> {
                    double level = conditions.levels().getOrDefault(sender.level(), 0.5);
                    return new Branch.Resistance(
                            a, b, Math.max(0.01, least + (most - least) * level));
                });
    }

    private void stabiliser(Part part, Kind.Stabiliser stabiliser) {
        int in = node(part, "B");
        int out = node(part, "I");
        int earth = node(part, "31");
        bending(
                part,
                "body",
                in,
                out,
                Set.of(),
                _ ->
                        new Branch.Settling(
                                in,
                                out,
                                STABILISER_LEAST,
                                new Branch.Law.MeanVolts(earth, stabiliser.mean().value())));
        fixed(part, "heater", out, earth, SourceCurves.STABILISER_HEATER);
    }

    private void diode(Part part, Kind.Diode diode) {
        int a = node(part, "A");
        int b = node(part, "K");
        double saturation = diode.rating().value() / Math.expm1(0.95 / DIODE_THERMAL);
        bending(
                part,
                "body",
                a,
                b,
                Set.of(),
                _ -> new Branch.Rectifier(a, b, saturation, DIODE_THERMAL));
    }

    private int coil(Part part, int a, int b, double pickUp, double dropOut) {
        var coil = new Coil(a, b, pickUp, dropOut);
        coils.add(new Netlist.CoilSlot(part.id(), _ -> coil));
        return coils.size() - 1;
    }

    private void fixed(Part part, String role, String from, String to, double ohms) {
        fixed(part, role, node(part, from), node(part, to), ohms);
    }

    private void fixed(Part part, String role, int a, int b, double ohms) {
        var branch = new Branch.Resistance(a, b, ohms);
        inside(part, role, add(new Netlist.Slot(a, b, false, List.of(), Set.of(), _ -> branch)));
    }

    private void add(
            Part part,
            String role,
            int a,
            int b,
            Aspect heeds,
            Function<Conditions, Branch> under) {
        inside(part, role, add(new Netlist.Slot(a, b, false, List.of(), Set.of(heeds), under)));
    }

    /** A branch that may bend, or change its resistance from step to step. */
    private void bending(
            Part part,
            String role,
            int a,
            int b,
            Set<Aspect> heeds,
            Function<Conditions, Branch> under) {
        inside(part, role, add(new Netlist.Slot(a, b, true, List.of(), heeds, under)));
    }

    /** A contact that one coil works. */
    private void moved(
            Part part, String role, int a, int b, double ohms, int coil, boolean whenPulled) {
        var contact = new Branch.Driven(a, b, ohms, List.of(new Branch.Need(coil, whenPulled)));
        inside(
                part,
                role,
                add(new Netlist.Slot(a, b, false, List.of(coil), Set.of(), _ -> contact)));
    }

    private void inside(Part part, String role, int branch) {
        inside.computeIfAbsent(part.id(), _ -> new LinkedHashMap<>()).put(role, branch);
    }

    private int add(Netlist.Slot slot) {
        slots.add(slot);
        return slots.size() - 1;
    }

    private int node(Part part, String pin) {
        return nodeOf.get(part.terminal(pin));
    }
}
