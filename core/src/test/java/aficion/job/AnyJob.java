package aficion.job;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.Zone;
import aficion.netlist.Conditions;
import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Farads;
import aficion.quantity.Henries;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;

/**
 * Parts of every kind thrown together and wired at random, valid but senseless: open, shorted,
 * floating and looped circuits among them, reversed batteries, alternators that feed alternators.
 * The same seed gives the same job and the same conditions.
 */
public final class AnyJob {
    private static final List<String> SIZES = List.of("0.5mm2", "1mm2", "2.5mm2", "10mm2");

    private final Random random;
    private final double system;
    private final DesignBuilder builder;
    private final List<String> pins = new ArrayList<>(List.of("B1.+", "B1.+", "E1.E", "E2.E"));
    private final List<Supplier<Kind>> kinds;
    private int number;

    private AnyJob(long seed) {
        random = new Random(seed * 31);
        system = pick(6.0, 12.0, 24.0);
        builder = new DesignBuilder(system);
        kinds =
                List.of(
                        this::battery,
                        () -> new SourceKind.BenchSupply(volts(), amps()),
                        this::alternator,
                        () -> new SourceKind.FieldRegulator(volts(1.2)),
                        () -> new SourceKind.Dynamo(amps(), ohms(), pulleys(), new Rpm(1000)),
                        () ->
                                new SourceKind.ControlBox(
                                        new Volts(1.2 * system), new Volts(1.05 * system), amps()),
                        () ->
                                new SourceKind.Flywheel(
                                        any(SourceKind.Flywheel.Winding.values()),
                                        amps(),
                                        new Rpm(2500)),
                        () ->
                                new SourceKind.RegulatorRectifier(
                                        any(SourceKind.RegulatorRectifier.Bridge.values()),
                                        volts(1.2)),
                        () -> new GuardKind.Fuse(any(FuseType.values()), amps()),
                        this::fuseBox,
                        this::hand,
                        this::relay,
                        () -> new ControlKind.LatchingRelay(volts(), coil(), amps()),
                        () ->
                                new ControlKind.LevelSwitch(
                                        "level", share(), random.nextBoolean(), amps()),
                        () ->
                                new ControlKind.Flasher(
                                        any(ControlKind.Flasher.Form.values()),
                                        watts(),
                                        volts(),
                                        90),
                        this::module,
                        () -> new ControlKind.Points(4, new Ratio(0.6)),
                        () ->
                                new ControlKind.IgnitionBox(
                                        any(ControlKind.IgnitionBox.Form.values()),
                                        4,
                                        new Ratio(0.4),
                                        amps()),
                        this::lamp,
                        () -> new LoadKind.WarningLamp(new Watts(2), volts(1.1)),
                        () ->
                                new LoadKind.Motor(
                                        amps(),
                                        volts(),
                                        Optional.of(new Ratio(6)),
                                        maybe(any(LoadKind.Excitation.values())),
                                        maybe(true)),
                        () ->
                                new LoadKind.TwoSpeedMotor(
                                        new Amps(2),
                                        new Amps(3),
                                        volts(),
                                        Optional.empty(),
                                        random.nextBoolean()),
                        () ->
                                new LoadKind.WiperMotor(
                                        "wiper", new Amps(3), volts(), maybe(new Ratio(3))),
                        () -> new LoadKind.Starter(new Ohms(0.05), new Ohms(1)),
                        () -> new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.008)),
                        () ->
                                new LoadKind.Gauge(
                                        new Ohms(60),
                                        new Amps(0.1),
                                        maybe(any(LoadKind.Gauge.Movement.values())),
                                        Optional.empty()),
                        () -> new LoadKind.Ammeter(amps()),
                        () -> new LoadKind.Voltmeter(volts(1.5)),
                        () -> new LoadKind.Load(new Demand.InAmps(amps()), volts()),
                        () -> new LoadKind.LedLamp(volts(), watts()),
                        () -> new LoadKind.Buzzer(volts(), new Amps(0.3)),
                        () -> new LoadKind.Heater(new Ohms(0.6), new Ohms(1.4), new Seconds(20)),
                        () -> new LoadKind.Magneto(new Ohms(0.8)),
                        JoinKind.Splice::new,
                        () -> new JoinKind.Connector(List.of("1", "2"), amps()),
                        () -> new JoinKind.EarthPoint(any(JoinKind.Mass.values()), new Ohms(0.002)),
                        () -> new JoinKind.Resistor(ohms()),
                        () -> new JoinKind.Diode(amps()),
                        () -> new JoinKind.Stabiliser(volts(0.83)),
                        () ->
                                new JoinKind.Sender(
                                        "level",
                                        new Ohms(240),
                                        new Ohms(33),
                                        Optional.empty(),
                                        Optional.empty()),
                        () -> new JoinKind.Capacitor(new Farads(2.2e-7)));
        if (random.nextInt(4) == 0) {
            builder.positiveEarth();
        }
    }

    /** A job for a seed: a battery, two earth points and up to 40 other parts. */
    public static Design of(long seed) {
        return new AnyJob(seed).build();
    }

    /** Conditions for a job: any position of every control, any level, speed, charge and air. */
    public static Conditions conditions(Design design, long seed) {
        var random = new Random(seed * 17);
        var conditions = Conditions.REST;
        for (var part : design.parts()) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                var positions = hand.positions();
                var position = positions.get(random.nextInt(positions.size()));
                conditions = conditions.with(hand.control(), position.name());
            }
        }
        return conditions
                .withLevel("level", random.nextDouble())
                .withEngine(new Rpm(random.nextInt(3) == 0 ? 0 : random.nextInt(6000)))
                .withCharge(new Ratio(random.nextDouble()))
                .withAir(new Celsius(random.nextInt(-20, 45)));
    }

    private Design build() {
        builder.battery(0.006).earth("E2").wire("B1.-", "E1.E", "25mm2", 0.3);
        int parts = 3 + random.nextInt(38);
        for (int i = 0; i < parts; i++) {
            add(any(kinds).get());
        }
        for (int i = parts + random.nextInt(2 * parts); i > 0; i--) {
            var from = any(pins);
            var to = any(pins);
            if (!from.equals(to)) {
                builder.wire(from, to, any(SIZES), 0.1 + random.nextDouble(4));
            }
        }
        return dressed(builder.build());
    }

    /** The same in any place, with any cover, colour, end and stud. */
    private Design dressed(Design design) {
        return design.withParts(design.parts().stream().map(this::dressed).toList())
                .withWires(design.wires().stream().map(this::dressed).toList());
    }

    private Part dressed(Part part) {
        var studs = Map.of(any(part.kind().pins()), any(List.of("m4", "m5", "m8")));
        return new Part(
                part.id(),
                part.name(),
                any(Zone.values()),
                part.mount(),
                part.kind(),
                maybe(studs));
    }

    private Wire dressed(Wire wire) {
        return new Wire(
                wire.id(),
                wire.number(),
                wire.circuit(),
                dressed(wire.from()),
                dressed(wire.to()),
                new Cut(
                        wire.size(),
                        any(Insulation.values()),
                        new WireColour(any(Colour.values()), maybe(any(Colour.values())))),
                new Laid.Stated(
                        wire.length(),
                        any(Zone.values()),
                        maybe(any(List.of("one", "two"))),
                        maybe(new Metres(random.nextDouble()))),
                random.nextInt(8) == 0 ? Optional.of(any(Unguarded.values())) : wire.unguarded(),
                wire.pinned());
    }

    private End dressed(End end) {
        return new End(end.terminal(), new Termination(any(Terminals.all()).key()));
    }

    private void add(Kind kind) {
        var id = "X" + ++number;
        boolean mounts = kind.casePin().filter(pin -> random.nextInt(3) > 0).isPresent();
        if (mounts) {
            builder.mounted(id, random.nextBoolean() ? "E1" : "E2", kind);
        } else {
            builder.part(id, kind);
        }
        kind.pins().forEach(pin -> pins.add(id + "." + pin));
    }

    private Kind battery() {
        var capacity = new SourceKind.Capacity(new AmpereHours(40), new Ratio(1.2));
        return new SourceKind.Battery(volts(), new Ohms(0.01), maybe(capacity));
    }

    private Kind alternator() {
        return new SourceKind.Alternator(
                volts(1.18),
                amps(),
                new Ohms(4),
                pulleys(),
                maybe(any(SourceKind.Alternator.Style.values())));
    }

    private Kind fuseBox() {
        return new GuardKind.FuseBox(
                List.of(
                        new GuardKind.Way("1", any(FuseType.values()), amps()),
                        new GuardKind.Way("2", any(FuseType.values()), amps())));
    }

    private Kind hand() {
        var control = "s" + number;
        return new ControlKind.Switch(
                any(Action.values()),
                control,
                List.of("1", "2", "3"),
                List.of(
                        new Position("off", false, List.of()),
                        new Position("one", false, List.of(new Contact("1", "2"))),
                        new Position(
                                "two",
                                true,
                                List.of(new Contact("1", "2"), new Contact("2", "3")))),
                amps());
    }

    private Kind relay() {
        return new ControlKind.Relay(
                volts(),
                coil(),
                new Ratio(0.6),
                new Ratio(0.2),
                amps(),
                maybe(amps()),
                maybe(any(ControlKind.Suppression.values())));
    }

    private Kind module() {
        var needs = List.of(new ControlKind.Need("in", random.nextBoolean()));
        return new ControlKind.Module(
                volts(),
                new Amps(0.02),
                List.of("in"),
                List.of(
                        new ControlKind.Output(
                                "out", any(ControlKind.Side.values()), amps(), needs),
                        new ControlKind.Output(
                                "low",
                                any(ControlKind.Side.values()),
                                amps(),
                                needs,
                                maybe(new Seconds(30)))));
    }

    private Kind lamp() {
        return new LoadKind.Lamp(
                volts(1.1),
                List.of(
                        new LoadKind.Filament("58", watts()),
                        new LoadKind.Filament("54", watts())));
    }

    private Volts volts() {
        return volts(1);
    }

    /** Mostly those of the vehicle, now and then another's. */
    private Volts volts(double share) {
        return new Volts(share * (random.nextInt(8) == 0 ? pick(6.0, 12.0, 24.0) : system));
    }

    private Amps amps() {
        return new Amps(0.5 + random.nextInt(40));
    }

    private Ohms ohms() {
        return new Ohms(0.5 + random.nextDouble(20));
    }

    private Ohms coil() {
        return new Ohms(60 + random.nextDouble(60));
    }

    private Watts watts() {
        return new Watts(1 + random.nextInt(60));
    }

    private Ratio share() {
        return new Ratio(random.nextDouble());
    }

    private Ratio pulleys() {
        return new Ratio(1.5 + random.nextDouble());
    }

    private <T> Optional<T> maybe(T value) {
        return random.nextBoolean() ? Optional.of(value) : Optional.empty();
    }

    private double pick(Double... values) {
        return any(values);
    }

    private <T> T any(T[] values) {
        return values[random.nextInt(values.length)];
    }

    private <T> T any(List<T> values) {
        return values.get(random.nextInt(values.size()));
    }
}
