package aficion.job;

import aficion.catalogue.FuseType;
import aficion.quantity.Amps;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a part does electrically, in the order of the path: sources, guards, controls, loads, and
 * what joins them. A new kind is one record in its group and the places the compiler then names.
 * Pins follow DIN 72552 where it has a number.
 */
public sealed interface Kind permits SourceKind, GuardKind, ControlKind, LoadKind, JoinKind {

    /** Every pin, in the order they are drawn. */
    List<String> pins();

    /** The pin that is the metal case, for kinds that may return through it. */
    default Optional<String> casePin() {
        return pins().contains("31") ? Optional.of("31") : Optional.empty();
    }

    /** The pins that may be left without a wire. */
    default Set<String> sparePins() {
        return Set.of();
    }

    /** The size of the stud a pin mostly is (typical); empty for blades and where it varies. */
    default Optional<String> stud(String pin) {
        return Optional.empty();
    }

    /** Where fuses sit in it. */
    default List<Seat> seats() {
        return List.of();
    }

    /** The pins that it joins, always or at times, without limiting the current. */
    default List<Pass> passes() {
        return List.of();
    }

    /**
     * Diodes inside it that lead from pin to pin beside what it passes.
     *
     * @param earthed the pole of the vehicle that lies at earth
     */
    default List<Valve> valves(Vehicle.Pole earthed) {
        return List.of();
    }

    /** Whether its two terminals are the poles that feed all else: a battery, a bench supply. */
    default boolean hasPoles() {
        return false;
    }

    /** Whether it is there to be fed: it cannot work unless both its ends reach the source. */
    default boolean consumes() {
        return false;
    }

    /** Whether the spark needs it. */
    default boolean ignites() {
        return false;
    }

    /** The level that it follows, such as that of the fuel; empty for what feels none. */
    default Optional<String> feels() {
        return Optional.empty();
    }

    /** Whether it is the same both ways round, so that its leads may be exchanged. */
    default boolean alikeBothWays() {
        return false;
    }

    /** The branches inside that turn, by what they are, each with what it draws while it runs. */
    default Map<String, Amps> turning() {
        return Map.of();
    }

    /** Whether a magnet turns in it: then it gives current where something else turns it. */
    default boolean hasMagnet() {
        return false;
    }

    /** The pins that are fed for it to give light. */
    default List<String> lightPins() {
        return List.of();
    }

    /** The pin that charging current comes from; empty for what does not charge. */
    default Optional<String> chargingPin() {
        return Optional.empty();
    }

    /**
     * A fuse in its seat.
     *
     * @param way the name of the way of a fuse box; empty for a single fuse
     */
    record Seat(String way, String in, String out, FuseType type, Amps marking) {
        /** Whether the fuse begins or ends at a pin. */
        public boolean meets(String pin) {
            return in.equals(pin) || out.equals(pin);
        }
    }

    /**
     * Two pins that are joined, always or at times.
     *
     * @param rating what the contact may carry, where it has one
     */
    record Pass(String one, String other, Optional<Amps> rating) {
        /** Joined for good. */
        public static Pass solid(String one, String other) {
            return new Pass(one, other, Optional.empty());
        }

        /** A way through a contact that may be open. */
        public static Pass contact(String one, String other, Amps rating) {
            return new Pass(one, other, Optional.of(rating));
        }

        /** The name its branch has inside the part. */
        public String role() {
            return one + "-" + other;
        }

        /** The pin it joins a pin to, when it does. */
        public Optional<String> across(String pin) {
            if (pin.equals(one)) {
                return Optional.of(other);
            }
            return pin.equals(other) ? Optional.of(one) : Optional.empty();
        }
    }
}
