package aficion.convert;

import aficion.convert.Conversion.Action;
import aficion.convert.Conversion.PartChange;
import aficion.convert.Conversion.Why;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;

/**
 * What a part becomes at other volts. What takes its power by its volts takes the same power: the
 * current goes down, and the ohms up with the square, as the volts go up.
 */
final class OtherVolts {
    private final Volts before;
    private final Volts system;
    private final double times;

    OtherVolts(Volts before, Volts system) {
        this.before = before;
        this.system = system;
        this.times = system.value() / before.value();
    }

    /** A part as it becomes, and what is done with it. */
    record Judged(Kind kind, Action action, Why why, List<Quantity> figures) {
        static Judged stays(Kind kind) {
            return new Judged(kind, Action.STAYS, Why.INDIFFERENT, List.of());
        }

        static Judged replaced(Kind kind, Quantity... figures) {
            return new Judged(kind, Action.REPLACE, Why.OTHER_VOLTS, List.of(figures));
        }

        PartChange of(PartId part) {
            return new PartChange(part, action, why, figures);
        }
    }

    /** What becomes of a part. */
    Judged judged(Part part) {
        return times == 1 ? Judged.stays(part.kind()) : judged(part.kind());
    }

    private Volts volts(Volts made) {
        return new Volts(made.value() * times);
    }

    private Amps amps(Amps drawn) {
        return new Amps(drawn.value() / times);
    }

    private Ohms ohms(Ohms wound) {
        return new Ohms(wound.value() * times * times);
    }

    private Judged judged(Kind kind) {
        return switch (kind) {
            case SourceKind source -> source(source);
            case GuardKind _ -> Judged.stays(kind);
            case ControlKind control -> control(control);
            case LoadKind load -> load(load);
            case JoinKind join -> join(join);
        };
    }

    private Judged source(SourceKind kind) {
        return switch (kind) {
            case SourceKind.Battery battery ->
                    Judged.replaced(
                            new SourceKind.Battery(
                                    volts(battery.nominal()),
                                    battery.internal(),
                                    battery.capacity()),
                            volts(battery.nominal()));
            case SourceKind.BenchSupply supply ->
                    new Judged(
                            new SourceKind.BenchSupply(volts(supply.set()), amps(supply.limit())),
                            Action.STAYS,
                            Why.INDIFFERENT,
                            List.of(volts(supply.set())));
            case SourceKind.Alternator source ->
                    Judged.replaced(
                            new SourceKind.Alternator(
                                    volts(source.setPoint()),
                                    amps(source.rated()),
                                    ohms(source.field()),
                                    source.pulleys(),
                                    source.style()),
                            volts(source.setPoint()),
                            amps(source.rated()));
            case SourceKind.FieldRegulator regulator ->
                    Judged.replaced(
                            new SourceKind.FieldRegulator(volts(regulator.setPoint())),
                            volts(regulator.setPoint()));
            case SourceKind.Dynamo source ->
                    Judged.replaced(
                            new SourceKind.Dynamo(
                                    amps(source.rated()),
                                    ohms(source.field()),
                                    source.pulleys(),
                                    source.cutIn()),
                            amps(source.rated()));
            case SourceKind.ControlBox box ->
                    Judged.replaced(
                            new SourceKind.ControlBox(
                                    volts(box.setPoint()), volts(box.cutIn()), box.rating()),
                            volts(box.setPoint()));
            case SourceKind.Flywheel wheel -> Judged.stays(wheel);
            case SourceKind.RegulatorRectifier regulator ->
                    Judged.replaced(
                            new SourceKind.RegulatorRectifier(
                                    regulator.bridge(), volts(regulator.setPoint())),
                            volts(regulator.setPoint()));
        };
    }

    private Judged control(ControlKind kind) {
        return switch (kind) {
            case ControlKind.Relay relay ->
                    Judged.replaced(
                            new ControlKind.Relay(
                                    volts(relay.rated()),
                                    ohms(relay.coil()),
                                    relay.pickUp(),
                                    relay.dropOut(),
                                    relay.makes(),
                                    relay.breaks(),
                                    relay.suppression()),
                            volts(relay.rated()));
            case ControlKind.LatchingRelay relay ->
                    Judged.replaced(
                            new ControlKind.LatchingRelay(
                                    volts(relay.rated()), ohms(relay.coil()), relay.makes()),
                            volts(relay.rated()));
            case ControlKind.Flasher flasher ->
                    Judged.replaced(
                            new ControlKind.Flasher(
                                    flasher.form(),
                                    flasher.load(),
                                    volts(flasher.rated()),
                                    flasher.rate()),
                            volts(flasher.rated()));
            case ControlKind.Module module ->
                    Judged.replaced(
                            new ControlKind.Module(
                                    volts(module.rated()),
                                    module.rest(),
                                    module.inputs(),
                                    module.outputs()),
                            volts(module.rated()));
            case ControlKind.IgnitionBox box ->
                    Judged.replaced(
                            new ControlKind.IgnitionBox(
                                    box.form(), box.cylinders(), box.dwell(), amps(box.draws())),
                            system);
            case ControlKind.Switch _, ControlKind.LevelSwitch _, ControlKind.Points _ ->
                    Judged.stays(kind);
        };
    }

    private Judged load(LoadKind kind) {
        return switch (kind) {
            case LoadKind.Lamp lamp ->
                    Judged.replaced(
                            new LoadKind.Lamp(volts(lamp.test()), lamp.filaments()),
                            lamp.filaments().getFirst().watts(),
                            volts(lamp.test()));
            case LoadKind.WarningLamp lamp ->
                    Judged.replaced(
                            new LoadKind.WarningLamp(lamp.watts(), volts(lamp.test())),
                            lamp.watts(),
                            volts(lamp.test()));
            case LoadKind.LedLamp lamp ->
                    Judged.replaced(
                            new LoadKind.LedLamp(volts(lamp.rated()), lamp.watts()),
                            volts(lamp.rated()));
            case LoadKind.Motor motor ->
                    Judged.replaced(
                            new LoadKind.Motor(
                                    amps(motor.running()),
                                    volts(motor.rated()),
                                    motor.starts(),
                                    motor.excitation(),
                                    motor.turned()),
                            volts(motor.rated()),
                            amps(motor.running()));
            case LoadKind.WiperMotor motor ->
                    Judged.replaced(
                            new LoadKind.WiperMotor(
                                    motor.level(),
                                    amps(motor.running()),
                                    volts(motor.rated()),
                                    motor.starts()),
                            volts(motor.rated()));
            case LoadKind.TwoSpeedMotor motor ->
                    Judged.replaced(
                            new LoadKind.TwoSpeedMotor(
                                    amps(motor.low()),
                                    amps(motor.high()),
                                    volts(motor.rated()),
                                    motor.starts(),
                                    motor.lowFirst()),
                            volts(motor.rated()));
            case LoadKind.Starter starter ->
                    new Judged(starter, Action.STAYS, Why.CRANKS_FASTER, List.of(system));
            case LoadKind.IgnitionCoil coil -> coil(coil);
            case LoadKind.Gauge gauge -> gauge(gauge);
            case LoadKind.Voltmeter meter ->
                    Judged.replaced(
                            new LoadKind.Voltmeter(volts(meter.range())), volts(meter.range()));
            case LoadKind.Load load ->
                    Judged.replaced(
                            new LoadKind.Load(demand(load.demand()), volts(load.rated())),
                            volts(load.rated()));
            case LoadKind.Buzzer buzzer ->
                    Judged.replaced(
                            new LoadKind.Buzzer(volts(buzzer.rated()), amps(buzzer.draws())),
                            volts(buzzer.rated()));
            case LoadKind.Heater heater ->
                    Judged.replaced(
                            new LoadKind.Heater(
                                    ohms(heater.cold()), ohms(heater.warm()), heater.warms()),
                            ohms(heater.cold()));
            case LoadKind.Ammeter _, LoadKind.Magneto _ -> Judged.stays(kind);
        };
    }

    private Demand demand(Demand demand) {
        return switch (demand) {
            case Demand.InWatts watts -> watts;
            case Demand.InAmps(var drawn) -> new Demand.InAmps(amps(drawn));
        };
    }

    /** A coil of the same current: as many times the ohms as the volts are. */
    private Judged coil(LoadKind.IgnitionCoil coil) {
        var primary = new Ohms(coil.primary().value() * times);
        return Judged.replaced(
                new LoadKind.IgnitionCoil(primary, coil.inductance(), coil.leads()), primary);
    }

    /** A gauge keeps its scale behind what takes up the volts that are too many. */
    private Judged gauge(LoadKind.Gauge gauge) {
        double more = system.value() - before.value();
        if (more < 0) {
            return Judged.replaced(gauge);
        }
        double current = gauge.fullScale().value();
        var dropper = new Ohms(more / current);
        return new Judged(
                new LoadKind.Gauge(
                        new Ohms(gauge.winding().value() + dropper.value()),
                        gauge.fullScale(),
                        gauge.movement(),
                        gauge.family()),
                Action.DROPPER,
                Why.CALIBRATED,
                List.of(dropper, new Watts(more * current)));
    }

    private Judged join(JoinKind kind) {
        return switch (kind) {
            case JoinKind.Resistor resistor ->
                    Judged.replaced(
                            new JoinKind.Resistor(new Ohms(resistor.resistance().value() * times)),
                            new Ohms(resistor.resistance().value() * times));
            case JoinKind.Splice _,
                    JoinKind.Connector _,
                    JoinKind.EarthPoint _,
                    JoinKind.Diode _,
                    JoinKind.Stabiliser _,
                    JoinKind.Sender _,
                    JoinKind.Capacitor _ ->
                    Judged.stays(kind);
        };
    }
}
