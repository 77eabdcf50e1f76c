package aficion.netlist;

import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.Terminal;
import aficion.netlist.Conditions.Aspect;
import aficion.netlist.Conditions.FuseSeat;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Set;

/** The branches of what opens and closes, fuses among them. */
final class ControlBranches {
    /** A closed switch contact, typical, ohms. */
    static final double SWITCH_CONTACT = 0.005;

    /** A closed relay contact, typical, ohms. */
    private static final double RELAY_CONTACT = 0.003;

    private static final double FLASHER_CONTACT = 0.02;
    private static final double MODULE_CONTACT = 0.01;

    /** What a resistor across a relay's coil has, ohms, typical. */
    private static final double SUPPRESSOR = 680;

    private static final double SUPPRESSION_DIODE_AMPS = 1;

    /** What a module's input draws, ohms to its earth, typical. */
    private static final double INPUT = 47_000;

    /** What the clock of a flasher draws, ohms, typical. */
    private static final double CLOCK = 2_000;

    private static final double POINTS_LEAST = 0.005;
    private static final double TRANSISTOR_LEAST = 0.1;
    private static final double TRANSISTOR_OFF = 1e6;
    private static final double FULL_RPM = 6000;

    private ControlBranches() {}

    static void fuses(PartBuilder part, GuardKind guard) {
        for (var seat : guard.seats()) {
            int a = part.node(seat.in());
            int b = part.node(seat.out());
            var id = new FuseSeat(part.part().id(), seat.way());
            part.following(
                    seat.way(),
                    a,
                    b,
                    Aspect.PULLED,
                    conditions ->
                            new Branch.FuseBranch(
                                    a,
                                    b,
                                    seat.type(),
                                    seat.marking(),
                                    !conditions.pulled().contains(id)));
        }
    }

    static void add(PartBuilder part, ControlKind control) {
        switch (control) {
            case ControlKind.Switch hand -> hand(part, hand);
            case ControlKind.Relay relay -> relay(part, relay);
            case ControlKind.LatchingRelay relay -> latching(part, relay);
            case ControlKind.LevelSwitch level -> level(part, level);
            case ControlKind.Flasher flasher -> flasher(part, flasher);
            case ControlKind.Module module -> module(part, module);
            case ControlKind.Points points -> points(part, points);
            case ControlKind.IgnitionBox box -> box(part, box);
        }
    }

    private static void hand(PartBuilder part, ControlKind.Switch hand) {
        var positions = part.net().design.positions(hand);
        for (var contact : hand.contacts()) {
            int a = part.node(contact.one());
            int b = part.node(contact.other());
            part.following(
                    contact.toString(),
                    a,
                    b,
                    Aspect.POSITIONS,
                    conditions ->
                            new Branch.Contact(
                                    a,
                                    b,
                                    SWITCH_CONTACT,
                                    joins(hand, positions.getFirst(), contact, conditions)));
        }
    }

    private static boolean joins(
            ControlKind.Switch hand, Position rest, Contact contact, Conditions conditions) {
        var name = conditions.positions().getOrDefault(hand.control(), rest.name());
        return hand.position(name).orElse(rest).joins().contains(contact);
    }

    private static void relay(PartBuilder part, ControlKind.Relay relay) {
        int live = part.node("86");
        int back = part.node("85");
        double rated = relay.rated().value();
        int coil =
                part.coil(
                        new Coil(
                                live,
                                back,
                                relay.pickUp().value() * rated,
                                relay.dropOut().value() * rated));
        part.fixed("coil", live, back, relay.coil().value());
        relay.suppression()
                .ifPresent(suppression ->
                        suppression
                                .valve()
                                .ifPresentOrElse(
                                        valve ->
                                                part.bending(
                                                        "suppressor",
                                                        JoinBranches.diode(
                                                                part,
                                                                valve,
                                                                SUPPRESSION_DIODE_AMPS)),
                                        () -> part.fixed("suppressor", live, back, SUPPRESSOR)));
        int common = part.node("30");
        part.contact("30-87", common, part.node("87"), RELAY_CONTACT, coil, true);
        if (relay.breaks().isPresent()) {
            part.contact("30-87a", common, part.node("87a"), RELAY_CONTACT, coil, false);
        }
    }

    private static void latching(PartBuilder part, ControlKind.LatchingRelay relay) {
        int earth = part.node("31");
        double pickUp = 0.6 * relay.rated().value();
        double dropOut = 0.2 * relay.rated().value();
        int latch = part.nextCoil();
        part.coil(new Coil(part.node("S"), earth, pickUp, dropOut).latchedUntil(latch + 1));
        part.coil(new Coil(part.node("R"), earth, pickUp, dropOut));
        part.fixed("set", part.node("S"), earth, relay.coil().value());
        part.fixed("reset", part.node("R"), earth, relay.coil().value());
        part.contact("30-87", part.node("30"), part.node("87"), RELAY_CONTACT, latch, true);
    }

    private static void level(PartBuilder part, ControlKind.LevelSwitch level) {
        int a = part.node("1");
        int b = part.node("31");
        part.following(
                "1-31",
                a,
                b,
                Aspect.LEVELS,
                conditions ->
                        new Branch.Contact(
                                a, b, SWITCH_CONTACT, above(level, conditions) != level.opens()));
    }

    /** Whether a level has moved a switch, or has come back but not far enough. */
    private static boolean above(ControlKind.LevelSwitch level, Conditions conditions) {
        double now = conditions.level(level.level());
        if (now > level.actsAt()) {
            return true;
        }
        return now > level.releasesAt()
                && conditions.before().filter(earlier -> above(level, earlier)).isPresent();
    }

    private static void flasher(PartBuilder part, ControlKind.Flasher flasher) {
        int feed = part.node("49");
        int out = part.node("49a");
        double period = 60 / flasher.rate();
        double rated = flasher.rated().value();
        switch (flasher.form()) {
            case THERMAL ->
                    part.bending(
                            "49-49a",
                            new Branch.Blinker(
                                    feed,
                                    out,
                                    FLASHER_CONTACT,
                                    new Branch.Rhythm.Heated(
                                            flasher.load().value() / rated, period)));
            case ELECTRONIC -> {
                int earth = part.node("31");
                int inner = part.innerNode();
                int clock = part.coil(new Coil(feed, earth, 0.5 * rated, 0.3 * rated).after(0));
                part.fixed("clock", feed, earth, CLOCK);
                part.contact("feed", feed, inner, FLASHER_CONTACT / 2, clock, true);
                part.bending(
                        "49-49a",
                        new Branch.Blinker(
                                inner,
                                out,
                                FLASHER_CONTACT / 2,
                                new Branch.Rhythm.Clocked(period)));
            }
        }
    }

    private static void module(PartBuilder part, ControlKind.Module module) {
        int feed = part.node("15");
        int earth = part.node("31");
        double rated = module.rated().value();
        part.fixed("rest", feed, earth, rated / module.rest().value());
        int awake = part.coil(felt(part, "15", rated));
        var coils = new HashMap<String, Integer>();
        for (var pin : module.inputs()) {
            part.fixed(pin, part.node(pin), earth, INPUT);
        }
        module.outputs().stream()
                .filter(output -> output.holds().isEmpty())
                .flatMap(output -> output.needs().stream())
                .map(ControlKind.Need::input)
                .distinct()
                .forEach(pin -> coils.put(pin, part.coil(felt(part, pin, rated))));
        for (var output : module.outputs()) {
            var needs = new ArrayList<>(List.of(new Branch.Need(awake, true)));
            for (var need : output.needs()) {
                int coil =
                        output.holds()
                                .map(seconds ->
                                        part.coil(
                                                felt(part, need.input(), rated)
                                                        .holding(seconds.value())))
                                .orElseGet(() -> coils.get(need.input()));
                needs.add(new Branch.Need(coil, need.high()));
            }
            boolean live = output.side() == ControlKind.Side.LIVE;
            part.contact(
                    (live ? "15-" : "31-") + output.pin(),
                    live ? feed : earth,
                    part.node(output.pin()),
                    MODULE_CONTACT,
                    needs);
        }
    }

    /** What a module takes for high at one of its pins. */
    private static Coil felt(PartBuilder part, String pin, double rated) {
        return new Coil(part.node(pin), part.node("31"), 0.5 * rated, 0.4 * rated).after(0);
    }

    private static void points(PartBuilder part, ControlKind.Points points) {
        int a = part.node("1");
        int b = part.node("31");
        double henries = inductanceAt(part, "1");
        part.bending(
                "body",
                a,
                b,
                Set.of(Aspect.ENGINE),
                conditions -> {
                    double rpm = conditions.engine().value();
                    return rpm < 1
                            ? new Branch.Resistance(a, b, POINTS_LEAST)
                            : new Branch.ControlledResistance(
                                    a,
                                    b,
                                    POINTS_LEAST,
                                    dwell(
                                            points.dwell().value(),
                                            points.cylinders(),
                                            rpm,
                                            henries));
                });
    }

    private static void box(PartBuilder part, ControlKind.IgnitionBox box) {
        int feed = part.node("15");
        int coil = part.node("1");
        int earth = part.node("31");
        double nominal = part.net().nominal();
        double draws = box.draws().value();
        switch (box.form()) {
            case DISCHARGE -> {
                part.bending(
                        "body",
                        feed,
                        earth,
                        Set.of(Aspect.ENGINE),
                        conditions -> {
                            double share = Math.min(1, conditions.engine().value() / FULL_RPM);
                            return new Branch.Resistance(
                                    feed, earth, nominal / (draws * (0.2 + 0.8 * share)));
                        });
                part.fixed("spark", coil, earth, TRANSISTOR_OFF);
            }
            case TRANSISTOR -> {
                int inner = part.innerNode();
                int awake = part.coil(new Coil(feed, earth, 0.4 * nominal, 0.3 * nominal).after(0));
                double henries = inductanceAt(part, "1");
                part.fixed("rest", feed, earth, nominal / draws);
                part.contact("awake", inner, earth, 0.001, awake, true);
                part.bending(
                        "body",
                        coil,
                        inner,
                        Set.of(Aspect.ENGINE),
                        conditions -> {
                            double rpm = conditions.engine().value();
                            return rpm < 1
                                    ? new Branch.Resistance(coil, inner, TRANSISTOR_OFF)
                                    : new Branch.ControlledResistance(
                                            coil,
                                            inner,
                                            TRANSISTOR_LEAST,
                                            dwell(
                                                    box.dwell().value(),
                                                    box.cylinders(),
                                                    rpm,
                                                    henries));
                        });
            }
        }
    }

    /** A four-stroke sparks cylinders / 2 times a turn. */
    private static Branch.Law dwell(double share, int cylinders, double rpm, double henries) {
        return new Branch.Law.Dwell(share, 120 / (rpm * cylinders), henries);
    }

    /** The inductance of the coil whose terminal is joined to a pin. */
    private static double inductanceAt(PartBuilder part, String pin) {
        for (Terminal terminal : part.net().joinedTo(part.part().terminal(pin))) {
            if (part.net().part(terminal).kind() instanceof LoadKind.IgnitionCoil coil) {
                return coil.inductance().value();
            }
        }
        return 0;
    }
}
