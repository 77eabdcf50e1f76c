package aficion.convert;

import aficion.convert.Conversion.Action;
import aficion.convert.Conversion.PartChange;
import aficion.convert.Conversion.Why;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A design with its battery turned, and with it all that has a plus of its own: as every voltage
 * changes its sign, so does what each of them sees once its leads have changed places.
 */
final class OtherPole {
    private OtherPole() {}

    /** What is turned of a part; empty where nothing is. */
    static Optional<Turned> turned(Design design, Part part) {
        if (part.kind() instanceof SourceKind.Dynamo) {
            return Optional.of(
                    new Turned(Optional.empty(), part.id(), Action.REPOLARISE, Why.RESIDUAL_FIELD));
        }
        return sides(part.kind())
                .map(pins ->
                        isWired(design, part, pins)
                                ? new Turned(
                                        Optional.of(
                                                new PartEdit.Exchange(
                                                        part.id(), pins.one, pins.other)),
                                        part.id(),
                                        pins.action,
                                        pins.why)
                                : new Turned(
                                        Optional.empty(), part.id(), Action.REPLACE, pins.why));
    }

    /**
     * One part turned.
     *
     * @param edit exchanges its leads; empty where it stays as it is wired
     */
    record Turned(Optional<Edit> edit, PartId part, Action action, Why why) {
        /** Over what was said of it: another one in its place is wired the right way at once. */
        PartChange over(Optional<PartChange> said) {
            return said.filter(before -> before.action() != Action.STAYS)
                    .map(before ->
                            action == Action.REPLACE
                                    ? new PartChange(part, action, why, before.figures())
                                    : before)
                    .orElseGet(() -> new PartChange(part, action, why, List.of()));
        }
    }

    /** Whether wires lead to both: what returns through its case cannot be turned. */
    private static boolean isWired(Design design, Part part, Sides sides) {
        return part.mount().isEmpty()
                && Stream.of(sides.one, sides.other)
                        .noneMatch(pin -> design.wiresAt(part.terminal(pin)).isEmpty());
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
            case LoadKind.LedLamp _, LoadKind.Buzzer _ -> Sides.of("+", "31", Why.DIES_REVERSED);
            case LoadKind.Motor motor when motor.hasMagnet() -> Sides.of("+", "31", Why.TURNS_BACK);
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
}
