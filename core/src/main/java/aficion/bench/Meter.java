package aficion.bench;

import aficion.catalogue.Zone;
import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.verb.Connection;
import java.util.List;
import java.util.Optional;

/**
 * What a meter or a test lamp shows between two terminals. Each is a part of its own that is put on
 * a copy of the design, so that it loads the circuit as it does in the hand.
 */
public final class Meter {
    /** What an ohmmeter drives its current with: too little for a diode to conduct (typical). */
    private static final Volts DRIVES = new Volts(0.2);

    private static final Amps AT_MOST = new Amps(0.01);

    /** Beyond this a meter shows that it is over its range. */
    private static final double OVER_RANGE = 2e7;

    private static final Watts TEST_LAMP = new Watts(5);

    /** What a meter is read to, of a volt, an ohm or an amp. */
    private static final double DIGITS = 1000;

    private Meter() {}

    /** A value as a meter shows it: to the thousandth, and nothing is not less than nothing. */
    public static double shown(double value) {
        return Math.rint(DIGITS * value) / DIGITS + 0.0;
    }

    /** Volts of the red probe above the black one; empty where one of them floats. */
    public static Optional<Volts> volts(OperatingPoint point, Terminal red, Terminal black) {
        return point.voltsAt(red)
                .flatMap(high ->
                        point.voltsAt(black).map(low -> new Volts(high.value() - low.value())));
    }

    /**
     * Ohms between two terminals with the switches as they stand, the engine at rest and the
     * earthed lead off the battery; empty when they are over the range.
     */
    public static Optional<Ohms> ohms(
            Design design, Conditions conditions, Terminal red, Terminal black) {
        return ohms(design, List.of(), conditions, red, black);
    }

    /** The same with something wrong. */
    public static Optional<Ohms> ohms(
            Design design,
            List<Fault> faults,
            Conditions conditions,
            Terminal red,
            Terminal black) {
        if (red.equals(black)) {
            return Optional.of(new Ohms(0));
        }
        var dead = batteryOff(design);
        var still = conditions.withEngine(new Rpm(0));
        var plain = measured(dead, faults, still, red, black);
        // A piece of the circuit that hangs free of the body is measured against its own earth.
        return plain.or(() -> measured(earthed(dead, black), faults, still, red, black))
                .filter(ohms -> ohms.value() < OVER_RANGE);
    }

    private static Optional<Ohms> measured(
            Design design,
            List<Fault> faults,
            Conditions conditions,
            Terminal red,
            Terminal black) {
        var meter =
                NewNames.part(
                        design, "MM", Zone.CABIN, new SourceKind.BenchSupply(DRIVES, AT_MOST));
        var with = clipped(design, meter, red, black);
        if (!(new Solver(faulty(with, faults)).solve(conditions)
                instanceof Outcome.Solved(var point))) {
            return Optional.empty();
        }
        var volts = volts(point, red, black);
        var lead = with.wiresAt(meter.terminal("+")).getFirst();
        double amps = Math.abs(point.through(lead).value());
        return volts.filter(_ -> amps > 0).map(across -> new Ohms(Math.abs(across.value()) / amps));
    }

    /** What is wrong with a lead that is off the battery does not matter. */
    private static Netlist faulty(Design design, List<Fault> faults) {
        var netlist = Netlist.of(design);
        for (var fault : faults) {
            boolean off = fault instanceof Fault.OfWire of && design.find(of.wire()).isEmpty();
            netlist = off ? netlist : Faulty.of(netlist, fault);
        }
        return netlist;
    }

    private static Design batteryOff(Design design) {
        var earthed = design.vehicle().earthedPin();
        return design.withWires(
                design.wires().stream()
                        .filter(wire ->
                                wire.terminals().stream()
                                        .noneMatch(end ->
                                                end.pin().equals(earthed)
                                                        && design.part(end.part()).kind()
                                                                instanceof SourceKind.Battery))
                        .toList());
    }

    private static Design earthed(Design design, Terminal at) {
        var point =
                NewNames.part(
                        design,
                        "ME",
                        Zone.CABIN,
                        new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001)));
        var with = new PartEdit.AddPart(point).apply(withCircuit(design));
        return new WireEdit.AddWire(
                        Connection.between(with, circuit(with), at, point.terminal("E")))
                .apply(with);
    }

    /**
     * How bright a test lamp of 5 W burns, as a share of its full light, and what it draws.
     *
     * @param point the state of the whole vehicle with the lamp in it
     */
    public record Lit(Ratio light, Amps draws, OperatingPoint point) {}

    /** A test lamp with its tip and its clip; empty where nothing comes to rest with it. */
    public static Optional<Lit> lamp(
            Design design, Conditions conditions, Terminal tip, Terminal clip) {
        return lamp(design, List.of(), conditions, tip, clip);
    }

    /** The same with something wrong. */
    public static Optional<Lit> lamp(
            Design design, List<Fault> faults, Conditions conditions, Terminal tip, Terminal clip) {
        Kind kind =
                new LoadKind.Lamp(
                        StandIns.rated(design), List.of(new LoadKind.Filament("1", TEST_LAMP)));
        var lamp = NewNames.part(design, "TL", Zone.CABIN, kind);
        var with = clipped(design, lamp, tip, clip);
        return new Solver(faulty(with, faults)).solve(conditions)
                        instanceof Outcome.Solved(var point)
                ? Optional.of(
                        new Lit(
                                point.light(lamp.id(), "1").orElse(new Ratio(0)),
                                new Amps(
                                        Math.abs(
                                                point.through(lamp.id(), "1")
                                                        .map(Amps::value)
                                                        .orElse(0.0))),
                                point))
                : Optional.empty();
    }

    /** The design with a part of two pins clipped to two terminals. */
    private static Design clipped(Design design, Part part, Terminal first, Terminal second) {
        var now = new PartEdit.AddPart(part).apply(withCircuit(design));
        var circuit = circuit(now);
        var pins = part.terminals();
        for (var lead : List.of(first, second)) {
            var pin = lead == first ? pins.getFirst() : pins.getLast();
            now = new WireEdit.AddWire(Connection.between(now, circuit, pin, lead)).apply(now);
        }
        return now;
    }

    private static CircuitId circuit(Design design) {
        return design.circuits().getFirst().id();
    }

    /** A design that has a circuit for the leads of a meter. */
    private static Design withCircuit(Design design) {
        return design.circuits().isEmpty()
                ? design.withCircuits(
                        List.of(NewNames.circuit(design, "meter", Circuit.Drops.ORDINARY)))
                : design;
    }
}
