package aficion.check;

import aficion.job.ControlKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.Optional;
import java.util.stream.Stream;

/** Parts made for other volts: a 6 V lamp on 12 V dies, a 12 V relay on 6 V does not pull in. */
final class VoltageRule implements Rule {
    private static final double LEAST = 0.75;
    private static final double MOST = 1.35;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var system = assessment.job().vehicle().system();
        return assessment.job().parts().stream()
                .flatMap(part ->
                        made(part.kind()).stream()
                                .filter(volts ->
                                        volts.value() < LEAST * system.value()
                                                || volts.value() > MOST * system.value())
                                .map(volts -> new Finding.WrongVoltage(part.id(), volts, system)));
    }

    private static Optional<Volts> made(Kind kind) {
        return switch (kind) {
            case SourceKind.Battery battery -> Optional.of(battery.nominal());
            case ControlKind.Relay relay -> Optional.of(relay.rated());
            case ControlKind.LatchingRelay relay -> Optional.of(relay.rated());
            case ControlKind.Flasher flasher -> Optional.of(flasher.rated());
            case ControlKind.Module module -> Optional.of(module.rated());
            case LoadKind.Lamp lamp -> Optional.of(lamp.test());
            case LoadKind.WarningLamp lamp -> Optional.of(lamp.test());
            case LoadKind.LedLamp lamp -> Optional.of(lamp.rated());
            case LoadKind.Buzzer buzzer -> Optional.of(buzzer.rated());
            case LoadKind.Motor motor -> Optional.of(motor.rated());
            case LoadKind.TwoSpeedMotor motor -> Optional.of(motor.rated());
            case LoadKind.Load load -> Optional.of(load.rated());
            default -> Optional.empty();
        };
    }
}
