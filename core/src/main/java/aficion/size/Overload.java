package aficion.size;

import aficion.catalogue.FuseType;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.WorkshopPractice;
import java.util.Optional;

/** What opens on overload by the rule of the house (docs/SOURCES.md). */
public final class Overload {
    private Overload() {}

    /** Whether it must not stay dead: motors, the fan among them, and headlamps. */
    public static boolean mustReturn(Kind kind) {
        return kind instanceof LoadKind.Motor
                || kind instanceof LoadKind.WiperMotor
                || kind instanceof LoadKind.TwoSpeedMotor
                || kind instanceof LoadKind.Lamp lamp
                        && lamp.filaments().stream()
                                .anyMatch(filament -> filament.pin().startsWith("56"));
    }

    /**
     * The self-resetting breaker for a fuse before what must not stay dead, where the house wants
     * it.
     */
    public static Optional<GuardKind> returning(HouseRules rules, GuardKind kind, String way) {
        return rules.workBy(WorkshopPractice.SELF_RESETTING)
                ? breaker(kind, way, FuseType.BREAKER_SELF)
                : Optional.empty();
    }

    /** The breaker by hand for the main fuse, where the house isolates with one. */
    public static Optional<GuardKind> isolating(HouseRules rules, GuardKind kind) {
        return rules.workBy(WorkshopPractice.MANUAL_BREAKER)
                ? breaker(kind, "", FuseType.BREAKER_MANUAL)
                : Optional.empty();
    }

    /**
     * The smallest breaker that carries as much; empty in place of a breaker, or where none does.
     */
    private static Optional<GuardKind> breaker(GuardKind kind, String way, FuseType type) {
        return kind.seats().stream()
                .filter(seat -> seat.way().equals(way))
                .filter(seat -> seat.type().resets() == FuseType.Reset.NEVER)
                .flatMap(seat ->
                        type.smallestCarrying(seat.type().carries(seat.marking())).stream()
                                .map(marking -> kind.fitted(way, type, marking)))
                .findFirst();
    }
}
