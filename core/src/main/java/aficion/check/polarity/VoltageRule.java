package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Conditions;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Parts made for other volts: a 6 V lamp on 12 V dies, a 12 V relay on 6 V does not pull in, a
 * regulator of other volts boils or starves the battery. Of batteries in series their sum counts.
 */
public final class VoltageRule implements Rule {
    private static final double LEAST = 0.75;
    private static final double MOST = 1.35;

    /** What a regulator is set to, as a share of the nominal volts. */
    private static final double LEAST_SET = 1.1;

    private static final double MOST_SET = 1.28;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return Stream.concat(
                design.parts().stream()
                        .flatMap(part ->
                                Stream.concat(
                                                outside(design, made(part.kind()), LEAST, MOST),
                                                outside(
                                                        design,
                                                        set(part.kind()),
                                                        LEAST_SET,
                                                        MOST_SET))
                                        .map(volts -> found(design, part, volts))),
                batteries(assessment));
    }

    private static Finding found(Design design, Part part, Volts made) {
        return new Finding.WrongVoltage(part.id(), made, design.vehicle().system());
    }

    private static Stream<Volts> outside(
            Design design, Optional<Volts> volts, double least, double most) {
        double system = design.vehicle().system().value();
        return volts.stream()
                .filter(found -> found.value() < least * system || found.value() > most * system);
    }

    /**
     * The battery at whose pole the volts of all that are in series stand, where they are wrong.
     */
    private static Stream<Finding> batteries(Assessment assessment) {
        var design = assessment.design();
        if (!(assessment.answers().demand(Conditions.REST) instanceof Outcome.Solved(var point))) {
            return Stream.empty();
        }
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .filter(part -> isLast(design, point, part))
                .flatMap(part ->
                        outside(design, Optional.of(new Volts(reached(point, part))), LEAST, MOST)
                                .map(volts ->
                                        found(design, part, new Volts(Math.rint(volts.value())))));
    }

    /** Nominal volts, fewer than a charged battery shows, at the pole furthest from earth. */
    private static double reached(OperatingPoint point, Part battery) {
        var vehicle = point.netlist().design().vehicle();
        double charged = vehicle.rested().value() / vehicle.system().value();
        double nominal = ((SourceKind.Battery) battery.kind()).nominal().value();
        return Math.max(
                nominal,
                battery.terminals().stream()
                        .flatMap(pole -> point.voltsAt(pole).stream())
                        .mapToDouble(volts -> Math.abs(volts.value()) / charged)
                        .max()
                        .orElse(0));
    }

    private static boolean isLast(Design design, OperatingPoint point, Part battery) {
        double mine = reached(point, battery);
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery && part != battery)
                .noneMatch(other -> reached(point, other) > mine + 1);
    }

    private static Optional<Volts> set(Kind kind) {
        return switch (kind) {
            case SourceKind.Alternator alternator
                    when alternator.wakes() != SourceKind.Alternator.Style.EXTERNAL ->
                    Optional.of(alternator.setPoint());
            case SourceKind.FieldRegulator regulator -> Optional.of(regulator.setPoint());
            case SourceKind.ControlBox box -> Optional.of(box.setPoint());
            case SourceKind.RegulatorRectifier regulator -> Optional.of(regulator.setPoint());
            case SourceKind.Battery _,
                    SourceKind.BenchSupply _,
                    SourceKind.Alternator _,
                    SourceKind.Dynamo _,
                    SourceKind.Flywheel _,
                    GuardKind _,
                    ControlKind _,
                    LoadKind _,
                    JoinKind _ ->
                    Optional.empty();
        };
    }

    private static Optional<Volts> made(Kind kind) {
        return switch (kind) {
            case ControlKind.Relay relay -> Optional.of(relay.rated());
            case ControlKind.LatchingRelay relay -> Optional.of(relay.rated());
            case ControlKind.Flasher flasher -> Optional.of(flasher.rated());
            case ControlKind.Module module -> Optional.of(module.rated());
            case LoadKind.Lamp lamp -> Optional.of(lamp.test());
            case LoadKind.WarningLamp lamp -> Optional.of(lamp.test());
            case LoadKind.LedLamp lamp -> Optional.of(lamp.rated());
            case LoadKind.Buzzer buzzer -> Optional.of(buzzer.rated());
            case LoadKind.Motor motor -> Optional.of(motor.rated());
            case LoadKind.WiperMotor motor -> Optional.of(motor.rated());
            case LoadKind.TwoSpeedMotor motor -> Optional.of(motor.rated());
            case LoadKind.Load load -> Optional.of(load.rated());
            case SourceKind _,
                    GuardKind _,
                    ControlKind.Switch _,
                    ControlKind.LevelSwitch _,
                    ControlKind.Points _,
                    ControlKind.IgnitionBox _,
                    LoadKind.Starter _,
                    LoadKind.IgnitionCoil _,
                    LoadKind.Gauge _,
                    LoadKind.Ammeter _,
                    LoadKind.Voltmeter _,
                    LoadKind.Heater _,
                    LoadKind.Magneto _,
                    JoinKind _ ->
                    Optional.empty();
        };
    }
}
