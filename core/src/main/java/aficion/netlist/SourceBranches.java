package aficion.netlist;

import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Conditions.Aspect;
import aficion.quantity.Rpm;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** The branches of what current comes from, and of what governs it. */
final class SourceBranches {
    /** What feeds an alternator's D+ once it charges, ohms. */
    private static final double FIELD_DIODES = 0.05;

    /** The most the field diodes of an alternator give at D+, amps, typical. */
    private static final double FIELD_DIODES_GIVE = 5;

    /**
     * Share of the nominal volts at its own output below which a source that feeds its own field
     * has none left: shorted, it gives next to nothing (typical).
     */
    private static final double FIELD_DIES = 0.2;

    private static final double ALTERNATOR_INNER = 0.006;
    private static final double SUPPLY_INNER = 0.005;

    /** The sense lead and the switched lead of an alternator draw next to nothing, ohms. */
    private static final double SENSE = 10_000;

    private static final double SWITCHED_LEAD = 1_000;

    /** With the key on and the engine still, the field is fed at a share of its current. */
    private static final double FIELD_AT_REST = 4;

    /** An alternator whose field nothing governs runs away to this many times its set point. */
    private static final double RUNAWAY = 1.3;

    private static final double FIELD_CONTACT = 0.05;

    /** Armature of a dynamo, ohms, typical. */
    private static final double ARMATURE = 0.3;

    private static final double DYNAMO_INNER = 0.02;

    /** Share of its volts that a dynamo has from what magnetism it kept (typical). */
    private static final double RESIDUAL = 0.08;

    /** Share of the nominal volts at the field from which a dynamo builds itself up. */
    private static final double BUILDS = 0.06;

    /** Share of the nominal volts at the field below which it loses itself again. */
    private static final double HOLDS = 0.05;

    /**
     * What an ampere that a dynamo gives takes from the volts that keep its field, volts: into less
     * than so many ohms it loses itself (typical).
     */
    private static final double COLLAPSES = 0.06;

    private static final double CUT_OUT_CONTACT = 0.003;
    private static final double BOX_WINDINGS = 40;

    /** Share of its closing volts at which a cut-out lets go. */
    private static final double CUT_OUT_OPENS = 0.75;

    /** What an ampere through a cut-out adds to its pull, or takes from it, volts (typical). */
    private static final double CUT_OUT_PER_AMP = 2;

    private static final double STATOR = 0.2;

    /** A flywheel coil without load reaches this many times the nominal volts. */
    private static final double OPEN_VOLTS = 4;

    private static final double BRIDGE_AMPS = 20;

    /** A shunt regulator takes what is too much through this resistance. */
    private static final double SHUNT = 0.02;

    private static final double GIVES_NOTHING = 1e9;

    private SourceBranches() {}

    static void add(PartBuilder part, SourceKind source) {
        switch (source) {
            case SourceKind.Battery battery -> battery(part, battery);
            case SourceKind.BenchSupply(var set, var limit) -> {
                var supply =
                        new Branch.Limited(
                                part.node("+"),
                                part.node("-"),
                                set.value(),
                                SUPPLY_INNER,
                                limit.value(),
                                List.of(),
                                1,
                                Optional.empty());
                part.source(supply.a(), supply.b(), List.of(), Set.of(), _ -> supply);
            }
            case SourceKind.Alternator alternator -> alternator(part, alternator);
            case SourceKind.FieldRegulator _ -> part.fixed("D+-DF", "D+", "DF", FIELD_CONTACT);
            case SourceKind.Dynamo dynamo -> dynamo(part, dynamo);
            case SourceKind.ControlBox box -> controlBox(part, box);
            case SourceKind.Flywheel flywheel -> flywheel(part, flywheel);
            case SourceKind.RegulatorRectifier rectifier -> rectifier(part, rectifier);
        }
    }

    private static void battery(PartBuilder part, SourceKind.Battery battery) {
        int a = part.node("+");
        int b = part.node("-");
        double nominal = battery.nominal().value();
        double internal = battery.internal().value();
        part.source(
                a,
                b,
                List.of(),
                Set.of(Aspect.CHARGE, Aspect.AIR),
                conditions ->
                        new Branch.Source(
                                a,
                                b,
                                SourceCurves.restVolts(nominal, conditions.charge().value()),
                                SourceCurves.givingOhms(
                                        internal,
                                        conditions.charge().value(),
                                        conditions.air().value()),
                                SourceCurves.fillingOhms(
                                        nominal, internal, conditions.charge().value())));
    }

    private static void alternator(PartBuilder part, SourceKind.Alternator alternator) {
        switch (alternator.wakes()) {
            case LAMP -> {
                int coil = woken(part, alternator, "D+");
                var needs = List.of(pulled(coil), pulled(alive(part, alternator)));
                field(part, alternator, "D+", coil, needs);
                output(part, alternator, needs, alternator.setPoint().value(), Optional.empty());
            }
            case EXTERNAL -> {
                int coil = woken(part, alternator, "DF");
                var needs = List.of(pulled(coil));
                field(part, alternator, "DF", coil, needs);
                external(part, alternator, needs);
            }
            case SWITCHED -> switched(part, alternator);
            case ONE_WIRE ->
                    output(
                            part,
                            alternator,
                            List.of(pulled(alive(part, alternator))),
                            alternator.setPoint().value(),
                            Optional.empty());
        }
    }

    private static Branch.Need pulled(int coil) {
        return new Branch.Need(coil, true);
    }

    /**
     * The coil that stands for an output that feeds its own field: once its volts have died in a
     * short, they stay dead. A field fed from elsewhere, and magnets, go on.
     */
    private static int alive(PartBuilder part, SourceKind.Alternator alternator) {
        double least = FIELD_DIES * part.net().nominal();
        int out = part.node("B+");
        int earth = part.node("31");
        return part.coil(conditions ->
                new Coil(
                                out,
                                earth,
                                amps(alternator, conditions) > 0 ? least : Double.MAX_VALUE,
                                0.6 * least)
                        .after(0));
    }

    /** The coil that stands for a field that has built up. */
    private static int woken(PartBuilder part, SourceKind.Alternator alternator, String pin) {
        int field = part.node(pin);
        int earth = part.node("31");
        double wakes = SourceCurves.WAKING_FIELD_CURRENT * alternator.field().value();
        return part.coil(conditions ->
                new Coil(
                                field,
                                earth,
                                amps(alternator, conditions) > 0 ? wakes : Double.MAX_VALUE,
                                wakes / 2)
                        .after(0));
    }

    private static void field(
            PartBuilder part,
            SourceKind.Alternator alternator,
            String pin,
            int coil,
            List<Branch.Need> needs) {
        int out = part.node("B+");
        int excited = part.node("D+");
        part.contact(
                "field", part.node(pin), part.node("31"), alternator.field().value(), coil, false);
        part.source(
                "trio",
                excited,
                out,
                needs,
                Set.of(),
                _ ->
                        new Branch.Limited(
                                excited,
                                out,
                                0,
                                FIELD_DIODES,
                                FIELD_DIODES_GIVE,
                                needs,
                                part.net().sign,
                                Optional.empty()));
    }

    private static void external(
            PartBuilder part, SourceKind.Alternator alternator, List<Branch.Need> needs) {
        var regulator =
                joined(part, "DF", kind -> kind.kind() instanceof SourceKind.FieldRegulator);
        var sense =
                regulator.map(found ->
                        new Branch.Sense(
                                part.net().nodeOf.get(found.terminal("D+")), part.node("31")));
        double volts =
                regulator
                        .map(found -> ((SourceKind.FieldRegulator) found.kind()).setPoint().value())
                        .orElse(RUNAWAY * alternator.setPoint().value());
        output(part, alternator, needs, volts, sense);
    }

    private static void switched(PartBuilder part, SourceKind.Alternator alternator) {
        int ignition = part.node("IG");
        int earth = part.node("31");
        double half = 0.5 * part.net().nominal();
        int awake = part.coil(new Coil(ignition, earth, half, 0.8 * half).after(0));
        int charging =
                part.coil(conditions ->
                        new Coil(
                                        ignition,
                                        earth,
                                        amps(alternator, conditions) > 0 ? half : Double.MAX_VALUE,
                                        0.8 * half)
                                .after(0));
        var waiting = List.of(new Branch.Need(awake, true), new Branch.Need(charging, false));
        part.fixed("lead", ignition, earth, SWITCHED_LEAD);
        part.contact(
                "field",
                part.node("B+"),
                earth,
                FIELD_AT_REST * alternator.field().value(),
                waiting);
        part.contact("lamp", part.node("L"), earth, FIELD_CONTACT, waiting);
        part.fixed("sense", part.node("S"), earth, SENSE);
        boolean sensed = part.net().isWired(part.part().terminal("S"));
        output(
                part,
                alternator,
                List.of(pulled(charging), pulled(alive(part, alternator))),
                alternator.setPoint().value(),
                sensed ? Optional.of(new Branch.Sense(part.node("S"), earth)) : Optional.empty());
    }

    private static void output(
            PartBuilder part,
            SourceKind.Alternator alternator,
            List<Branch.Need> needs,
            double volts,
            Optional<Branch.Sense> sense) {
        int out = part.node("B+");
        int earth = part.node("31");
        int sign = part.net().sign;
        part.source(
                out,
                earth,
                needs,
                Set.of(Aspect.ENGINE, Aspect.AIR),
                conditions ->
                        new Branch.Limited(
                                out,
                                earth,
                                SourceCurves.warmed(volts, conditions.air().value()),
                                ALTERNATOR_INNER,
                                amps(alternator, conditions),
                                needs,
                                sign,
                                sense));
    }

    private static double amps(SourceKind.Alternator alternator, Conditions conditions) {
        double rpm = conditions.engine().value() * alternator.pulleys().value();
        boolean asleep =
                alternator.wakes() == SourceKind.Alternator.Style.ONE_WIRE
                        && rpm < SourceCurves.SELF_WAKING_RPM;
        return asleep ? 0 : SourceCurves.amps(alternator, new Rpm(rpm));
    }

    private static void dynamo(PartBuilder part, SourceKind.Dynamo dynamo) {
        int out = part.node("D");
        int field = part.node("F");
        int earth = part.node("31");
        int sign = part.net().sign;
        double nominal = part.net().nominal();
        var box = joined(part, "D", kind -> kind.kind() instanceof SourceKind.ControlBox);
        double held =
                box.map(found -> ((SourceKind.ControlBox) found.kind()).setPoint().value())
                        .orElse(Double.MAX_VALUE);
        part.fixed("field", field, earth, dynamo.field().value());
        int coil = part.nextCoil();
        int output = part.nextBranch();
        var needs = List.of(pulled(coil), pulled(coil + 1));
        part.source(
                out,
                earth,
                needs,
                Set.of(Aspect.ENGINE),
                conditions ->
                        new Branch.Limited(
                                out,
                                earth,
                                Math.min(
                                        held,
                                        SourceCurves.dynamoVolts(
                                                nominal, speed(dynamo, conditions))),
                                DYNAMO_INNER,
                                SourceCurves.amps(dynamo, shaft(dynamo, conditions)),
                                needs,
                                sign,
                                Optional.empty()));
        part.coil(conditions ->
                new Coil(
                                field,
                                earth,
                                speed(dynamo, conditions) > RESIDUAL
                                        ? BUILDS * nominal
                                        : Double.MAX_VALUE,
                                HOLDS * nominal)
                        .after(0));
        part.coil(
                new Coil(out, earth, BUILDS * nominal, BUILDS * nominal / 2)
                        .helpedBy(output, sign * COLLAPSES)
                        .after(0));
        int armature = part.innerNode();
        part.contact("unexcited", out, armature, FIELD_CONTACT, coil, false);
        part.bending(
                "armature",
                armature,
                earth,
                Set.of(Aspect.ENGINE),
                conditions ->
                        new Branch.Source(
                                armature,
                                earth,
                                sign * RESIDUAL * nominal * Math.min(2, speed(dynamo, conditions)),
                                ARMATURE,
                                ARMATURE));
    }

    /** The speed of a dynamo as a share of the one at which it cuts in. */
    private static double speed(SourceKind.Dynamo dynamo, Conditions conditions) {
        return shaft(dynamo, conditions).value() / dynamo.cutIn().value();
    }

    private static Rpm shaft(SourceKind.Dynamo dynamo, Conditions conditions) {
        return new Rpm(conditions.engine().value() * dynamo.pulleys().value());
    }

    private static void controlBox(PartBuilder part, SourceKind.ControlBox box) {
        int dynamo = part.node("D");
        int out = part.node("A");
        int earth = part.node("E");
        int coil = part.nextCoil();
        int contact = part.nextBranch();
        part.contact("D-A", dynamo, out, CUT_OUT_CONTACT, coil, true);
        double closes = box.cutIn().value();
        part.coil(
                new Coil(dynamo, earth, closes, CUT_OUT_OPENS * closes)
                        .helpedBy(contact, part.net().sign * CUT_OUT_PER_AMP));
        part.fixed("windings", dynamo, earth, BOX_WINDINGS);
        part.fixed("D-F", dynamo, part.node("F"), FIELD_CONTACT);
        part.fixed("A-A1", out, part.node("A1"), CUT_OUT_CONTACT);
    }

    private static void flywheel(PartBuilder part, SourceKind.Flywheel flywheel) {
        switch (flywheel.winding()) {
            case SINGLE -> stator(part, flywheel, "G1", "G2", 1, Netlist.OUTPUT);
            case LIGHTING -> stator(part, flywheel, "L", "31", 1, Netlist.OUTPUT);
            case THREE_PHASE -> {
                stator(part, flywheel, "G1", "G2", 0.5, Netlist.OUTPUT);
                stator(part, flywheel, "G1", "G3", 0.5, "third");
            }
        }
    }

    /** Of each turn the half that a diode on the side of the live pole lets through. */
    private static void stator(
            PartBuilder part,
            SourceKind.Flywheel flywheel,
            String from,
            String to,
            double share,
            String role) {
        boolean turned = part.net().sign < 0 != isAtEarth(part, from);
        int a = part.node(turned ? to : from);
        int b = part.node(turned ? from : to);
        boolean lamps = flywheel.winding() == SourceKind.Flywheel.Winding.LIGHTING;
        double open = lamps ? SourceCurves.LIGHTING_VOLTS : OPEN_VOLTS;
        double nominal = part.net().nominal();
        part.bending(
                role,
                a,
                b,
                Set.of(Aspect.ENGINE),
                conditions -> {
                    double speed = conditions.engine().value() / flywheel.full().value();
                    return new Branch.Limited(
                            a,
                            b,
                            open * nominal * Math.min(1, speed),
                            STATOR,
                            share * SourceCurves.amps(flywheel, conditions.engine()),
                            List.of(),
                            1,
                            Optional.empty());
                });
    }

    private static boolean isAtEarth(PartBuilder part, String pin) {
        return part.net().joinedTo(part.part().terminal(pin)).stream()
                .map(part.net()::part)
                .anyMatch(other -> other.kind() instanceof JoinKind.EarthPoint);
    }

    private static void rectifier(PartBuilder part, SourceKind.RegulatorRectifier rectifier) {
        int plus = part.node("B+");
        int minus = part.node("B-");
        for (var valve : rectifier.valves(part.net().design.vehicle().earthed())) {
            part.bending(valve.role(), JoinBranches.diode(part, valve, BRIDGE_AMPS));
        }
        int sense = part.node("S");
        part.fixed("sense", sense, part.net().sign > 0 ? minus : plus, SENSE);
        Optional<Branch.Sense> felt =
                part.net().isWired(part.part().terminal("S"))
                        ? Optional.of(
                                part.net().sign > 0
                                        ? new Branch.Sense(sense, minus)
                                        : new Branch.Sense(plus, sense))
                        : Optional.empty();
        part.bending(
                "shunt",
                new Branch.Source(
                        plus, minus, rectifier.setPoint().value(), GIVES_NOTHING, SHUNT, felt));
    }

    private static Optional<Part> joined(PartBuilder part, String pin, Predicate<Part> wanted) {
        return part.net().joinedTo(part.part().terminal(pin)).stream()
                .map(part.net()::part)
                .filter(wanted)
                .findFirst();
    }
}
