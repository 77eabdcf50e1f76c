package aficion.benchmarks;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Action;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Cut;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.RunLength;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Vehicles of any size, the same for the same seed. A bus runs from the battery; each branch
 * circuit hangs on it by a fuse, a switch and a connector and feeds three lamps, a load behind a
 * diode, and by a spare wire its neighbour; every fourth one is switched by a relay. About 1.3
 * branches a node, 14 % of them lamps, 5 % diodes.
 */
public final class Vehicles {
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final int NODES_A_CIRCUIT = 18;

    private final Random random;
    private final List<Part> parts = new ArrayList<>();
    private final List<Wire> wires = new ArrayList<>();

    private Vehicles(long seed) {
        random = new Random(seed);
    }

    /** A vehicle of about that many nodes. */
    public static Design of(int nodes, long seed) {
        var vehicle = new Vehicles(seed);
        vehicle.grow(Math.max(1, nodes / NODES_A_CIRCUIT));
        return new Design(
                new Vehicle("generated", 1960, new Volts(12), Vehicle.Pole.NEGATIVE),
                HouseRules.USUAL,
                List.of(new Circuit(CIRCUIT, 1, "all", Circuit.Drops.ORDINARY)),
                vehicle.parts,
                vehicle.wires);
    }

    /** Two switches of three on, the same for the same seed. */
    public static Conditions busy(Design design, long seed) {
        var random = new Random(seed);
        var conditions = Conditions.REST;
        for (var part : design.parts()) {
            if (part.kind() instanceof ControlKind.Switch hand && random.nextInt(3) > 0) {
                conditions = conditions.with(hand.control(), "on");
            }
        }
        return conditions;
    }

    /** The same with the first switch thrown. */
    public static Conditions switched(Conditions conditions) {
        return conditions.with("s1", conditions.positions().containsKey("s1") ? "off" : "on");
    }

    private void grow(int circuits) {
        part("B1", new SourceKind.Battery(new Volts(12), new Ohms(0.006)));
        part("E0", new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001)));
        wire("B1.-", "E0.E", "25mm2");
        part("J0", new JoinKind.Splice());
        wire("B1.+", "J0.J", "16mm2");
        for (int i = 1; i <= circuits; i++) {
            circuit(i);
        }
    }

    private void circuit(int i) {
        part("J" + i, new JoinKind.Splice());
        wire("J" + (i - 1) + ".J", "J" + i + ".J", "16mm2");
        part("F" + i, new GuardKind.Fuse(FuseType.BLADE, new Amps(30)));
        wire("J" + i + ".J", "F" + i + ".1", "2.5mm2");
        part("S" + i, onOff("s" + i));
        wire("F" + i + ".2", "S" + i + ".1", "2.5mm2");
        part("X" + i, new JoinKind.Connector(List.of("1"), new Amps(20)));
        if (i % 4 == 0) {
            relay(i);
        } else {
            wire("S" + i + ".2", "X" + i + ".1a", "2.5mm2");
        }
        part("E" + i, new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001)));
        part("M" + i, new JoinKind.Splice());
        wire("X" + i + ".1b", "M" + i + ".J", "2.5mm2");
        for (int lamp = 0; lamp < 3; lamp++) {
            lamp("H" + i + "-" + lamp, i, lamp);
        }
        part("D" + i, new JoinKind.Diode(new Amps(6)));
        mounted(
                "L" + i,
                i,
                new LoadKind.Load(
                        new Demand.InAmps(new Amps(0.5 + 2 * random.nextDouble())), new Volts(12)));
        wire("M" + i + ".J", "D" + i + ".A", "1mm2");
        wire("D" + i + ".K", "L" + i + ".+", "1mm2");
        if (i > 1) {
            wire("M" + (i - 1) + ".J", "M" + i + ".J", "0.5mm2");
            wire("X" + (i - 1) + ".1a", "X" + i + ".1a", "0.5mm2");
        }
    }

    private void relay(int i) {
        part(
                "K" + i,
                new ControlKind.Relay(
                        new Volts(12),
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.empty()));
        wire("S" + i + ".2", "K" + i + ".86", "0.5mm2");
        wire("K" + i + ".85", "E" + (i - 1) + ".E", "0.5mm2");
        wire("J" + i + ".J", "K" + i + ".30", "2.5mm2");
        wire("K" + i + ".87", "X" + i + ".1a", "2.5mm2");
    }

    private void lamp(String id, int circuit, int place) {
        var filament = new LoadKind.Filament("58", new Watts(new double[] {5, 10, 21}[place]));
        mounted(id, circuit, new LoadKind.Lamp(new Volts(13.5), List.of(filament)));
        wire("M" + circuit + ".J", id + ".58", "1mm2");
    }

    private static Kind onOff(String control) {
        return new ControlKind.Switch(
                Action.LEVER,
                control,
                List.of("1", "2"),
                List.of(
                        new Position("off", false, List.of()),
                        new Position("on", false, List.of(new Contact("1", "2")))),
                new Amps(20));
    }

    private void part(String id, Kind kind) {
        parts.add(new Part(new PartId(id), id, Zone.CABIN, Optional.empty(), kind));
    }

    private void mounted(String id, int earth, Kind kind) {
        var point = Optional.of(new PartId("E" + earth));
        parts.add(new Part(new PartId(id), id, Zone.CABIN, point, kind));
    }

    private void wire(String from, String to, String size) {
        int number = wires.size() + 1;
        wires.add(
                new Wire(
                        new WireId("w" + number),
                        String.valueOf(number),
                        CIRCUIT,
                        end(from),
                        end(to),
                        new Cut(
                                WireSize.parse(size).orElseThrow(),
                                Insulation.PVC105,
                                WireColour.plain(Colour.RED)),
                        new Laid.Stated(
                                new RunLength.Measured(new Metres(0.3 + 3 * random.nextDouble())),
                                Zone.CABIN)));
    }

    private static End end(String terminal) {
        return new End(Terminal.parse(terminal).orElseThrow(), Termination.BLADE_6_3);
    }
}
