package aficion.netlist;

import aficion.job.LoadKind;
import aficion.netlist.Conditions.Aspect;
import java.util.List;

/** The branches of what the current is for. */
final class LoadBranches {
    /** Blades that nothing is said of lie at rest. */
    private static final double HALF_WAY = 0.5;

    private static final double SOLENOID_CONTACT = 0.0005;

    /** A cranking motor begins with this share of its resistance and speeds up in this time. */
    private static final double STANDING_STARTER = 0.4;

    private static final double STARTER_SECONDS = 0.15;

    /** Mechanical time constant of a small motor, seconds, typical. */
    private static final double MOTOR_SECONDS = 0.25;

    /** What an ammeter drops at full scale, volts, typical. */
    private static final double AMMETER_DROP = 0.06;

    /** What a panel voltmeter draws, ohms for each volt of its range, typical. */
    private static final double VOLTMETER = 50;

    /** The share of a lamp's rated volts that its diodes take, and their thermal volts. */
    private static final double LED_SHARE = 0.75;

    private static final double LED_THERMAL_SHARE = 0.013;

    private LoadBranches() {}

    static void add(PartBuilder part, LoadKind load) {
        switch (load) {
            case LoadKind.Lamp(var test, var filaments) ->
                    filaments.forEach(filament ->
                            filament(
                                    part,
                                    filament.pin(),
                                    "31",
                                    test.value(),
                                    filament.watts().value()));
            case LoadKind.WarningLamp(var watts, var test) ->
                    filament(part, "1", "2", test.value(), watts.value());
            case LoadKind.LedLamp(var rated, var watts) ->
                    diodes(part, rated.value(), watts.value() / rated.value());
            case LoadKind.Buzzer(var rated, var draws) ->
                    oneWay(part, rated.value(), draws.value());
            case LoadKind.Motor motor ->
                    part.bending(
                            "body",
                            motor(
                                    part,
                                    "+",
                                    motor.rated().value(),
                                    motor.running().value(),
                                    motor.windings().value()));
            case LoadKind.WiperMotor wiper -> wiper(part, wiper);
            case LoadKind.TwoSpeedMotor motor -> {
                var low = motor.low();
                var high = motor.high();
                double volts = motor.rated().value();
                part.bending(
                        "53", motor(part, "53", volts, low.value(), motor.windings(low).value()));
                part.bending(
                        "53b",
                        motor(part, "53b", volts, high.value(), motor.windings(high).value()));
            }
            case LoadKind.Starter starter -> starter(part, starter);
            case LoadKind.IgnitionCoil coil ->
                    part.fixed("body", "15", "1", coil.primary().value());
            case LoadKind.Gauge gauge -> part.fixed("body", "B", "T", gauge.winding().value());
            case LoadKind.Ammeter(var range) ->
                    part.fixed("A-B", "A", "B", AMMETER_DROP / range.value());
            case LoadKind.Voltmeter(var range) ->
                    part.fixed("body", "+", "31", VOLTMETER * range.value());
            case LoadKind.Load any -> part.fixed("body", "+", "31", any.resistance().value());
            case LoadKind.Heater(var cold, var warm, var warms) ->
                    part.bending(
                            "body",
                            new Branch.Warming(
                                    part.node("+"),
                                    part.node("31"),
                                    warm.value(),
                                    cold.value(),
                                    warms.value()));
            case LoadKind.Magneto(var primary) -> part.fixed("body", "kill", "31", primary.value());
        }
    }

    private static void wiper(PartBuilder part, LoadKind.WiperMotor wiper) {
        part.bending(
                "body",
                motor(
                        part,
                        "53",
                        wiper.rated().value(),
                        wiper.running().value(),
                        wiper.windings().value()));
        int feed = part.node("53a");
        int park = part.node("31b");
        part.following(
                "53a-31b",
                feed,
                park,
                Aspect.LEVELS,
                conditions ->
                        new Branch.Contact(
                                feed,
                                park,
                                ControlBranches.SWITCH_CONTACT,
                                conditions.level(wiper.level()) > HALF_WAY));
    }

    private static void filament(
            PartBuilder part, String feed, String back, double volts, double watts) {
        part.bending(
                feed, new Branch.Filament(part.node(feed), part.node(back), volts, watts / volts));
    }

    private static Branch motor(
            PartBuilder part, String feed, double volts, double running, double windings) {
        return new Branch.Motor(
                part.node(feed), part.node("31"), volts, running, windings, MOTOR_SECONDS);
    }

    private static void diodes(PartBuilder part, double rated, double amps) {
        int inner = part.innerNode();
        double thermal = LED_THERMAL_SHARE * rated;
        double saturation = amps / Math.expm1(LED_SHARE * rated / thermal);
        part.fixed("+", part.node("+"), inner, (1 - LED_SHARE) * rated / amps);
        part.bending(
                "body", new Branch.Rectifier(inner, part.node("31"), saturation, thermal, amps));
    }

    private static void oneWay(PartBuilder part, double rated, double amps) {
        int inner = part.innerNode();
        part.fixed("+", part.node("+"), inner, rated / amps);
        part.bending("body", JoinBranches.diode(inner, part.node("31"), 10 * amps));
    }

    private static void starter(PartBuilder part, LoadKind.Starter starter) {
        int feed = part.node("30");
        int trigger = part.node("50");
        int earth = part.node("31");
        int motor = part.innerNode();
        double nominal = part.net().nominal();
        int coil = part.coil(new Coil(trigger, earth, 0.6 * nominal, 0.3 * nominal));
        var pulled = List.of(new Branch.Need(coil, true));
        part.fixed("coil", trigger, earth, starter.solenoid().value());
        part.contact("contact", feed, motor, SOLENOID_CONTACT, pulled);
        double running = starter.motor().value();
        part.bending(
                "motor",
                new Branch.Warming(
                        motor, earth, running, STANDING_STARTER * running, STARTER_SECONDS));
        part.contact("30-15a", feed, part.node("15a"), SOLENOID_CONTACT, pulled);
    }
}
