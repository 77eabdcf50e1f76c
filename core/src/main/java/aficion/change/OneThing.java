package aficion.change;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.LampTable;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Action;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.Diary;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Survey;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.RunLength;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The smallest job around one lamp circuit of a vehicle that exists: battery, guard, switch, lamps
 * and their earth, with the leads as they were found. It is kept as found, so that whatever is done
 * to it is a change.
 *
 * @param vehicle it is on
 * @param circuit what the circuit is called
 * @param guard marking of its fuse, as found; empty where there is none
 * @param rating what the switch may carry
 * @param lamps how many there are
 * @param watts of each lamp
 * @param lead size of its leads, as found
 * @param toSwitch length of the lead from the fuse to the switch
 * @param toLamp length of the lead from the switch to each lamp
 */
public record OneThing(
        Vehicle vehicle,
        String circuit,
        Optional<Amps> guard,
        Amps rating,
        int lamps,
        Watts watts,
        WireSize lead,
        Metres toSwitch,
        Metres toLamp) {
    private static final int MOST = 8;
    private static final double FARTHEST = 30;
    private static final CircuitId ONE = new CircuitId("1");
    private static final String LIGHTS = "lights";

    /** Internal resistance of a 12 V car battery, ohms (typical). */
    private static final double INTERNAL = 0.006;

    /** From the battery to the fuse, from a lamp to the body: metres, as mostly found (typical). */
    private static final double SHORT = 0.3;

    /**
     * @throws IllegalArgumentException when there is no lamp, or more than eight, or a lead is
     *     longer than 30 m
     */
    public OneThing {
        if (lamps < 1 || lamps > MOST) {
            throw new IllegalArgumentException("there are 1 to 8 lamps, not " + lamps);
        }
        for (var length : List.of(toSwitch, toLamp)) {
            if (!(length.value() > 0 && length.value() <= FARTHEST)) {
                throw new IllegalArgumentException("a lead is up to 30 m long");
            }
        }
    }

    /** The job. */
    public Job job() {
        var design =
                new Design(
                        vehicle,
                        HouseRules.USUAL,
                        List.of(new Circuit(ONE, 1, circuit, Circuit.Drops.STRICT)),
                        parts(),
                        wires(),
                        Optional.empty());
        return new Job(
                design, Work.NONE.with(Survey.NONE.with(Optional.of(design))).with(Diary.NONE));
    }

    private List<Part> parts() {
        var system = vehicle.system();
        var parts = new ArrayList<Part>();
        parts.add(
                part(
                        "B1",
                        "Battery",
                        new SourceKind.Battery(system, new Ohms(INTERNAL * system.value() / 12))));
        parts.add(part("E1", "Body", new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001))));
        guard.ifPresent(
                amps -> parts.add(part("F1", "Fuse", new GuardKind.Fuse(FuseType.BLADE, amps))));
        parts.add(
                part(
                        "S1",
                        "Switch",
                        new ControlKind.Switch(
                                Action.LEVER,
                                LIGHTS,
                                List.of("30", "56"),
                                List.of(
                                        new Position("off", false, List.of()),
                                        new Position(
                                                "on", false, List.of(new Contact("30", "56")))),
                                rating)));
        var test = LampTable.testVoltage(system, watts);
        for (int i = 1; i <= lamps; i++) {
            parts.add(
                    part(
                            "H" + i,
                            "Lamp " + i,
                            new LoadKind.Lamp(
                                    new Volts(test.value()),
                                    List.of(new LoadKind.Filament("56", watts)))));
        }
        return parts;
    }

    private static Part part(String id, String name, Kind kind) {
        return new Part(new PartId(id), name, Zone.CABIN, Optional.empty(), kind);
    }

    private List<Wire> wires() {
        var wires = new ArrayList<Wire>();
        var live = vehicle.livePin();
        var strap =
                new Wire(
                        new WireId("w1"),
                        "1",
                        ONE,
                        end("B1", vehicle.earthedPin(), Termination.POST_CLAMP),
                        end("E1", "E", Termination.RING_M8),
                        new Cut(thick(), Insulation.PVC105, WireColour.plain(Colour.BLACK)),
                        new Laid.Stated(new RunLength.Measured(new Metres(SHORT)), Zone.CABIN));
        wires.add(strap);
        if (guard.isPresent()) {
            wires.add(wire(wires, "B1." + live, "F1.1", new Metres(SHORT), Colour.BROWN));
            wires.add(wire(wires, "F1.2", "S1.30", toSwitch, Colour.BROWN));
        } else {
            wires.add(wire(wires, "B1." + live, "S1.30", toSwitch, Colour.BROWN));
        }
        for (int i = 1; i <= lamps; i++) {
            wires.add(wire(wires, "S1.56", "H" + i + ".56", toLamp, Colour.BLUE));
            wires.add(wire(wires, "H" + i + ".31", "E1.E", new Metres(SHORT), Colour.BLACK));
        }
        return wires;
    }

    /** What straps a battery to the body: never thinner than 16 mm². */
    private static WireSize thick() {
        return WireSize.parse("16mm2").orElseThrow();
    }

    private Wire wire(List<Wire> wires, String from, String to, Metres length, Colour colour) {
        int number = wires.size() + 1;
        var one = Terminal.parse(from).orElseThrow();
        var other = Terminal.parse(to).orElseThrow();
        return new Wire(
                new WireId("w" + number),
                String.valueOf(number),
                ONE,
                end(one),
                end(other),
                new Cut(lead, Insulation.PVC105, WireColour.plain(colour)),
                new Laid.Stated(new RunLength.Measured(length), Zone.CABIN));
    }

    private static End end(Terminal at) {
        return switch (at.part().value().charAt(0)) {
            case 'B' -> new End(at, Termination.RING_M8);
            case 'E' -> new End(at, Termination.RING_M6);
            default -> new End(at, Termination.BLADE_6_3);
        };
    }

    private static End end(String part, String pin, Termination termination) {
        return new End(new Terminal(new PartId(part), pin), termination);
    }
}
