package aficion.convert;

import aficion.check.Findings;
import aficion.check.Mending;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.check.finding.Subject;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Vehicle;
import aficion.job.Vehicle.Pole;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A design taken to other volts, to the other earthed pole, or to both. Every part is judged: what
 * stays, what is replaced and by what, whose leads are exchanged, what gets a dropper. At other
 * volts currents go down as the volts go up; so wires and guards that carried them go on doing so.
 * What is found of the result and was not found before is mended by its own remedies.
 *
 * @param design as it becomes
 * @param changes of every part, in the order of the design
 */
public record Conversion(Design design, List<PartChange> changes) {
    /** So often what is found is mended and looked at again. */
    private static final int ROUNDS = 10;

    /** What is done with a part. */
    public enum Action {
        STAYS,
        /** Its two leads change places. */
        EXCHANGE,
        /** Its residual field is turned by flashing. */
        REPOLARISE,
        REPLACE,
        /** It stays behind a resistor. */
        DROPPER,
        /** It is put in the other way round. */
        TURN,
        /** What was found of it afterwards was mended by its remedy. */
        MEND
    }

    /** Why. */
    public enum Why {
        /** It does not mind volts or poles. */
        INDIFFERENT,
        /** It is made for the old volts. */
        OTHER_VOLTS,
        /** It would carry what it carried, at more: it cranks faster, for short. */
        CRANKS_FASTER,
        /** The earthed pole is the other one. */
        OTHER_POLE,
        /** It would read backwards. */
        READS_BACKWARDS,
        /** The spark is to stay negative at the plug. */
        SPARK,
        /** It would turn the other way. */
        TURNS_BACK,
        /** It dies the wrong way round. */
        DIES_REVERSED,
        /** The field keeps the old pole until it is flashed. */
        RESIDUAL_FIELD,
        /** Its gauge is calibrated for the old volts. */
        CALIBRATED,
        /** It was found to be wrong afterwards. */
        FOUND
    }

    /**
     * What is done with a part.
     *
     * @param figures what it becomes, or what its resistor is: ohms and watts, or volts and amps
     */
    public record PartChange(PartId part, Action action, Why why, List<Quantity> figures) {
        public PartChange {
            figures = List.copyOf(figures);
        }
    }

    public Conversion {
        changes = List.copyOf(changes);
    }

    /**
     * A design at other volts, with another pole earthed.
     *
     * @throws IllegalArgumentException when both are what they were, or plus is to be earthed where
     *     an alternator has its minus at its case
     */
    public static Conversion of(Design design, Volts system, Pole earthed) {
        var vehicle = design.vehicle();
        if (vehicle.system().equals(system) && vehicle.earthed() == earthed) {
            throw new IllegalArgumentException("it has those volts and that pole already");
        }
        boolean alternator =
                design.parts().stream()
                        .anyMatch(part -> part.kind() instanceof SourceKind.Alternator);
        if (alternator && earthed == Pole.POSITIVE && vehicle.earthed() == Pole.NEGATIVE) {
            throw new IllegalArgumentException(
                    "the case of its alternator is minus; put a dynamo in before plus is earthed");
        }
        return new Converting(design, system, earthed).conversion();
    }

    private record Judged(Kind kind, Action action, Why why, List<Quantity> figures) {
        static Judged stays(Kind kind) {
            return new Judged(kind, Action.STAYS, Why.INDIFFERENT, List.of());
        }

        static Judged replaced(Kind kind, Quantity... figures) {
            return new Judged(kind, Action.REPLACE, Why.OTHER_VOLTS, List.of(figures));
        }
    }

    /** One conversion. */
    private static final class Converting {
        private final Design before;
        private final Volts system;
        private final Pole earthed;
        private final double times;
        private final boolean turned;
        private final Map<PartId, PartChange> changes = new LinkedHashMap<>();

        Converting(Design before, Volts system, Pole earthed) {
            this.before = before;
            this.system = system;
            this.earthed = earthed;
            this.times = system.value() / before.vehicle().system().value();
            this.turned = before.vehicle().earthed() != earthed;
        }

        Conversion conversion() {
            var vehicle = before.vehicle();
            var design =
                    before.withVehicle(
                            new Vehicle(
                                    vehicle.name(),
                                    vehicle.year(),
                                    system,
                                    earthed,
                                    vehicle.sort()));
            var parts = new ArrayList<Part>();
            for (var part : design.parts()) {
                var judged = times == 1 ? Judged.stays(part.kind()) : judged(part.kind());
                parts.add(part.withKind(judged.kind));
                note(part.id(), judged.action, judged.why, judged.figures);
            }
            design = design.withParts(parts);
            if (turned) {
                design = turn(design);
            }
            design = mend(design);
            return new Conversion(design, List.copyOf(changes.values()));
        }

        private void note(PartId part, Action action, Why why, List<Quantity> figures) {
            changes.put(part, new PartChange(part, action, why, figures));
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
                                new SourceKind.BenchSupply(
                                        volts(supply.set()), amps(supply.limit())),
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
                                        box.form(),
                                        box.cylinders(),
                                        box.dwell(),
                                        amps(box.draws())),
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
            double more = system.value() - before.vehicle().system().value();
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
                                new JoinKind.Resistor(
                                        new Ohms(resistor.resistance().value() * times)),
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

        /**
         * The battery turned, and with it all that has a plus of its own: as every voltage changes
         * its sign, so does what each of them sees once its leads have changed places.
         */
        private Design turn(Design design) {
            var turned = design;
            for (var part : design.parts()) {
                var sides = sides(part.kind());
                if (sides.isPresent() && isWired(design, part, sides.get())) {
                    var pins = sides.get();
                    turned = new PartEdit.Exchange(part.id(), pins.one, pins.other).apply(turned);
                    also(part.id(), pins.action, pins.why);
                } else if (sides.isPresent()) {
                    note(part.id(), Action.REPLACE, sides.get().why, List.of());
                } else if (part.kind() instanceof SourceKind.Dynamo) {
                    also(part.id(), Action.REPOLARISE, Why.RESIDUAL_FIELD);
                }
            }
            return turned;
        }

        /** Whether wires lead to both: what returns through its case cannot be turned. */
        private static boolean isWired(Design design, Part part, Sides sides) {
            return part.mount().isEmpty()
                    && Stream.of(sides.one, sides.other)
                            .noneMatch(pin -> design.wiresAt(part.terminal(pin)).isEmpty());
        }

        private void also(PartId part, Action action, Why why) {
            var before = changes.get(part);
            if (before == null || before.action() == Action.STAYS) {
                note(part, action, why, List.of());
            }
        }

        /** The pins whose wires change places, and why. */
        private record Sides(String one, String other, Action action, Why why) {
            static Optional<Sides> of(String one, String other, Why why) {
                return Optional.of(new Sides(one, other, Action.EXCHANGE, why));
            }
        }

        /** The sides of what has a plus of its own; empty for what is the same both ways. */
        private static Optional<Sides> sides(Kind kind) {
            return switch (kind) {
                case SourceKind.Battery _ ->
                        Optional.of(new Sides("+", "-", Action.TURN, Why.OTHER_POLE));
                case SourceKind.BenchSupply _ -> Sides.of("+", "-", Why.DIES_REVERSED);
                case SourceKind.RegulatorRectifier _ -> Sides.of("B+", "B-", Why.DIES_REVERSED);
                case LoadKind.Ammeter _ -> Sides.of("A", "B", Why.READS_BACKWARDS);
                case LoadKind.Voltmeter _ -> Sides.of("+", "31", Why.READS_BACKWARDS);
                case LoadKind.LedLamp _, LoadKind.Buzzer _ ->
                        Sides.of("+", "31", Why.DIES_REVERSED);
                case LoadKind.Motor motor when motor.hasMagnet() ->
                        Sides.of("+", "31", Why.TURNS_BACK);
                case LoadKind.IgnitionCoil _ -> Sides.of("15", "1", Why.SPARK);
                case ControlKind.Relay relay when isDiode(relay) ->
                        Sides.of("86", "85", Why.DIES_REVERSED);
                case JoinKind.Diode diode ->
                        Sides.of(diode.pins().get(0), diode.pins().get(1), Why.DIES_REVERSED);
                case SourceKind _, GuardKind _, ControlKind _, LoadKind _, JoinKind _ ->
                        Optional.empty();
            };
        }

        private static boolean isDiode(ControlKind.Relay relay) {
            return relay.suppression()
                    .filter(how -> how != ControlKind.Suppression.RESISTOR)
                    .isPresent();
        }

        /** Mends what is found now and was not before, by the remedies that do no harm. */
        private Design mend(Design converted) {
            var known =
                    Findings.of(Assessment.of(before)).stream()
                            .map(Finding::about)
                            .collect(Collectors.toSet());
            var design = converted;
            for (int round = 0; round < ROUNDS; round++) {
                var assessment = Assessment.of(design);
                var fresh =
                        Findings.of(assessment).stream()
                                .filter(finding ->
                                        finding.severity().compareTo(Severity.ADVISE) <= 0)
                                .filter(finding -> !known.contains(finding.about()))
                                .filter(finding -> !finding.remedies().isEmpty())
                                .toList();
                var next = apply(assessment, fresh);
                if (next.equals(design)) {
                    return design;
                }
                design = next;
            }
            return design;
        }

        /**
         * A remedy for each that is found, at once; of those that bring a part, which all would
         * call theirs alike, one alone, and none besides.
         */
        private Design apply(Assessment assessment, List<Finding> fresh) {
            var design = assessment.design();
            var touched = new HashSet<Subject>();
            for (var finding : Mending.offered(assessment, fresh)) {
                if (finding.remedies().isEmpty() || !touched.add(finding.subject())) {
                    continue;
                }
                var remedy = finding.remedies().getFirst();
                boolean brings =
                        remedy.apply(assessment.design()).parts().size()
                                != assessment.design().parts().size();
                if (!brings || design == assessment.design()) {
                    design = remedy.apply(design);
                    mended(finding);
                }
                if (brings) {
                    return design;
                }
            }
            return design;
        }

        private void mended(Finding finding) {
            if (finding instanceof Finding.AboutPart about) {
                var why = Stream.of(finding).map(Converting::why).findFirst().orElse(Why.FOUND);
                note(
                        about.part(),
                        why == Why.FOUND ? Action.MEND : Action.EXCHANGE,
                        why,
                        Optional.ofNullable(changes.get(about.part()))
                                .map(PartChange::figures)
                                .orElse(List.of()));
            }
        }

        private static Why why(Finding finding) {
            return switch (finding) {
                case Finding.CoilReversed _ -> Why.SPARK;
                case Finding.ReadsBackwards _ -> Why.READS_BACKWARDS;
                case Finding.RunsBackwards _ -> Why.TURNS_BACK;
                case Finding.PolarityReversed _, Finding.SuppressionReversed _ -> Why.DIES_REVERSED;
                default -> Why.FOUND;
            };
        }
    }
}
