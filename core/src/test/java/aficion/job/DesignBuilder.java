package aficion.job;

import aficion.catalogue.Colour;
import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.RunLength;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Builds small jobs for tests. Wires are numbered 1, 2, 3 in the order they are added. */
public final class DesignBuilder {
    private final double system;
    private Vehicle.Pole earthed = Vehicle.Pole.NEGATIVE;
    private Optional<Vehicle.Sort> sort = Optional.empty();
    private HouseRules rules = HouseRules.USUAL;
    private final List<Circuit> circuits = new ArrayList<>();
    private final List<Part> parts = new ArrayList<>();
    private final List<Wire> wires = new ArrayList<>();
    private Circuit.Drops drops = Circuit.Drops.ORDINARY;
    private Insulation insulation = Insulation.PVC105;
    private Zone zone = Zone.CABIN;

    public DesignBuilder(double system) {
        this.system = system;
        circuits.add(new Circuit(new CircuitId("1"), 1, "test", drops));
    }

    /**
     * A 12 V vehicle with a battery B1 (6 mΩ) whose earthed pole is strapped to E1 by wire 1 (0.3 m
     * of 25 mm²).
     */
    public static DesignBuilder twelveVolts() {
        return new DesignBuilder(12).battery(0.006).wire("B1.-", "E1.E", "25mm2", 0.3);
    }

    public DesignBuilder positiveEarth() {
        earthed = Vehicle.Pole.POSITIVE;
        return this;
    }

    /** Says what kind of vehicle it is. */
    public DesignBuilder sort(Vehicle.Sort said) {
        sort = Optional.of(said);
        return this;
    }

    public DesignBuilder battery(double ohms) {
        return part("B1", new SourceKind.Battery(new Volts(system), new Ohms(ohms))).earth("E1");
    }

    public DesignBuilder strict() {
        circuits.set(0, new Circuit(new CircuitId("1"), 1, "test", Circuit.Drops.STRICT));
        return this;
    }

    public DesignBuilder rules(HouseRules changed) {
        rules = changed;
        return this;
    }

    public DesignBuilder zone(Zone changed) {
        zone = changed;
        return this;
    }

    public DesignBuilder insulation(Insulation changed) {
        insulation = changed;
        return this;
    }

    public DesignBuilder earth(String id) {
        return part(id, new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001)));
    }

    public DesignBuilder part(String id, Kind kind) {
        parts.add(new Part(new PartId(id), id, zone, Optional.empty(), kind));
        return this;
    }

    /** A part with a name of its own, its case bolted to E1 where it has one that returns. */
    public DesignBuilder named(String id, String name, Kind kind) {
        var mount = kind.casePin().map(_ -> new PartId("E1"));
        parts.add(new Part(new PartId(id), name, zone, mount, kind));
        return this;
    }

    /** A part whose case is bolted to an earth point. */
    public DesignBuilder mounted(String id, String earth, Kind kind) {
        parts.add(new Part(new PartId(id), id, zone, Optional.of(new PartId(earth)), kind));
        return this;
    }

    public DesignBuilder lamp(String id, double watts) {
        var filament = new LoadKind.Filament("58", new Watts(watts));
        return mounted(id, "E1", new LoadKind.Lamp(new Volts(13.5), List.of(filament)));
    }

    /** A one-wire alternator of 14.2 V. */
    public DesignBuilder alternator(String id, double amps) {
        return mounted(
                id,
                "E1",
                new SourceKind.Alternator(
                        new Volts(14.2),
                        new Amps(amps),
                        new Ohms(4),
                        new Ratio(2.5),
                        Optional.of(SourceKind.Alternator.Style.ONE_WIRE)));
    }

    /** A flywheel G1 of 10 A led to two terminals of its regulator N1. */
    public DesignBuilder flywheel(String one, String other) {
        return part(
                        "G1",
                        new SourceKind.Flywheel(
                                SourceKind.Flywheel.Winding.SINGLE, new Amps(10), new Rpm(3000)))
                .part(
                        "N1",
                        new SourceKind.RegulatorRectifier(
                                SourceKind.RegulatorRectifier.Bridge.FULL_WAVE, new Volts(14.4)))
                .wire("G1.G1", "N1." + one, "2.5mm2", 0.5)
                .wire("G1.G2", "N1." + other, "2.5mm2", 0.5);
    }

    /** A dynamo G1 of 22 A, and its control box N1, which gives to a terminal. */
    public DesignBuilder dynamo(String output) {
        return mounted(
                        "G1",
                        "E1",
                        new SourceKind.Dynamo(
                                new Amps(22),
                                new Ohms(6),
                                new Ratio(1.5),
                                new Rpm(1000),
                                Optional.empty()))
                .mounted(
                        "N1",
                        "E1",
                        new SourceKind.ControlBox(new Volts(14.4), new Volts(12.7), new Amps(22)))
                .wire("G1.D", "N1.D", "4mm2", 1)
                .wire("G1.F", "N1.F", "1.5mm2", 1)
                .wire("N1.A", output, "4mm2", 1);
    }

    /** A relay at the end of 30 m of thin wire: its own load takes the volts that hold it. */
    public static DesignBuilder buzzing() {
        return twelveVolts()
                .relay("K1")
                .load("X1", 60)
                .wire("B1.+", "K1.86", "0.5mm2", 30)
                .wire("K1.86", "K1.30", "25mm2", 0.1)
                .wire("K1.87", "X1.+", "25mm2", 0.1)
                .wire("K1.85", "E1.E", "1mm2", 0.1);
    }

    public DesignBuilder load(String id, double amps) {
        return mounted(
                id, "E1", new LoadKind.Load(new Demand.InAmps(new Amps(amps)), new Volts(system)));
    }

    public DesignBuilder fuse(String id, double marking) {
        return part(id, new GuardKind.Fuse(FuseType.BLADE, new Amps(marking)));
    }

    public DesignBuilder onOff(String id, String control, double rating) {
        return part(id, lever(control, rating));
    }

    public DesignBuilder push(String id, String control, double rating) {
        return part(id, toggle(control, rating, Action.PUSH, true));
    }

    /** A key: off, run, and start for as long as it is held; 30 to 15 and 50. */
    public static ControlKind.Switch offRunStart() {
        return new ControlKind.Switch(
                Action.KEY,
                "key",
                List.of("30", "15", "50"),
                List.of(
                        new Position("off", false, List.of()),
                        new Position("run", false, List.of(new Contact("30", "15"))),
                        new Position(
                                "start",
                                true,
                                List.of(new Contact("30", "15"), new Contact("30", "50")))),
                new Amps(30));
    }

    /** That key S1 at the battery, a load X9 behind a push S9, go, where it cranks. */
    public DesignBuilder keyed() {
        return part("S1", offRunStart())
                .push("S9", "go", 5)
                .load("X9", 2)
                .wire("B1.+", "S1.30", "2.5mm2", 1)
                .wire("S1.50", "S9.1", "1mm2", 1)
                .wire("S9.2", "X9.+", "1mm2", 1);
    }

    /** A stop switch that joins 1 and 2 while its pedal, brake, is pressed. */
    public static ControlKind.Switch pedal() {
        return toggle("brake", 10, Action.PEDAL, true);
    }

    /** A lever that joins 1 and 2. */
    public static ControlKind.Switch lever(String control, double rating) {
        return toggle(control, rating, Action.LEVER, false);
    }

    /** A lever that is off, or in one of those positions. */
    public static ControlKind.Switch selector(
            String control, double rating, Position... positions) {
        var all = new ArrayList<>(List.of(new Position("off", false, List.of())));
        all.addAll(List.of(positions));
        var pins =
                all.stream()
                        .flatMap(position -> position.joins().stream())
                        .flatMap(contact -> Stream.of(contact.one(), contact.other()))
                        .distinct()
                        .toList();
        return new ControlKind.Switch(Action.LEVER, control, pins, all, new Amps(rating));
    }

    /** A position that stays, and the two pins that it joins. */
    public static Position joins(String name, String from, String to) {
        return new Position(name, false, List.of(new Contact(from, to)));
    }

    private static ControlKind.Switch toggle(
            String control, double rating, Action action, boolean springs) {
        return new ControlKind.Switch(
                action,
                control,
                List.of("1", "2"),
                List.of(
                        new Position("off", false, List.of()),
                        new Position("on", springs, List.of(new Contact("1", "2")))),
                new Amps(rating));
    }

    /** A make relay of 90 Ω that pulls in at 60 % and lets go at 20 %, contact 30 A. */
    public DesignBuilder relay(String id) {
        return relay(id, 90);
    }

    /** The same with a coil of so many ohms. */
    public DesignBuilder relay(String id, double ohms) {
        return part(
                id,
                new ControlKind.Relay(
                        new Volts(12),
                        new Ohms(ohms),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.empty()));
    }

    public DesignBuilder wire(String from, String to, String size, double metres) {
        int number = wires.size() + 1;
        wires.add(
                new Wire(
                        new WireId("w" + number),
                        String.valueOf(number),
                        new CircuitId("1"),
                        new End(Terminal.parse(from).orElseThrow(), end(size)),
                        new End(Terminal.parse(to).orElseThrow(), end(size)),
                        new Cut(
                                WireSize.parse(size).orElseThrow(),
                                insulation,
                                WireColour.plain(Colour.RED)),
                        new Laid.Stated(new RunLength.Measured(new Metres(metres)), zone)));
        return this;
    }

    private static Termination end(String size) {
        double copper = Conductors.get(WireSize.parse(size).orElseThrow()).copper().value();
        return copper <= Termination.BLADE_6_3.fitting().takes().value()
                ? Termination.BLADE_6_3
                : Termination.LUG;
    }

    /** Gives the last wire other ends, by the keys of the terminals' table. */
    public DesignBuilder ends(String from, String to) {
        return last(wire -> wire.withFrom(end(wire.from(), from)).withTo(end(wire.to(), to)));
    }

    private static End end(End was, String termination) {
        return new End(was.terminal(), new Termination(termination));
    }

    /** Gives the last wire another colour. */
    public DesignBuilder coloured(WireColour colour) {
        return last(wire -> wire.withColour(colour));
    }

    /** States of the last wire that it goes without a guard. */
    public DesignBuilder stated(Unguarded why) {
        return last(wire -> wire.withUnguarded(Optional.of(why)));
    }

    /** Puts the last wire into a bundle. */
    public DesignBuilder inBundle(String name) {
        return last(wire -> wire.withLaid(wire.laid().with(Optional.of(name))));
    }

    private DesignBuilder last(UnaryOperator<Wire> changed) {
        wires.add(changed.apply(wires.removeLast()));
        return this;
    }

    public Design build() {
        return new Design(
                new Vehicle("test vehicle", 1960, new Volts(system), earthed, sort),
                rules,
                circuits,
                parts,
                wires);
    }
}
