package aficion.bench.reason;

import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.Optional;

/**
 * What is seen or heard of one load, without an instrument.
 *
 * @param role the pin of a lamp that is fed, or what inside the part works
 */
public record Sign(PartId part, String role, Look look) {
    /** From such a share of its full current on a motor turns and a horn sounds. */
    private static final double WORKS = 0.5;

    /** What a load does. */
    public enum Look {
        /** No light, not even a glow. */
        DARK,
        /** Less light than it should give. */
        DIM,
        /** The light it should give. */
        BURNS,
        /** More light than it should give. */
        BRIGHT,
        /** It goes on and off. */
        BLINKS,
        /** It stands still, or is silent. */
        STILL,
        /** It turns, or sounds. */
        WORKS
    }

    /** What is seen of the loads of a list of parts; what shows nothing is left out. */
    public static List<Sign> of(OperatingPoint point, List<Part> parts) {
        return parts.stream().flatMap(part -> of(point, part).stream()).toList();
    }

    /** The same whatever it does. */
    public boolean isOf(Sign other) {
        return part.equals(other.part) && role.equals(other.role);
    }

    /** Whether anything of it works. */
    public boolean isAwake() {
        return switch (look) {
            case DARK, STILL -> false;
            case DIM, BURNS, BRIGHT, BLINKS, WORKS -> true;
        };
    }

    /** The same, blinking. */
    public Sign blinking() {
        return new Sign(part, role, Look.BLINKS);
    }

    private static List<Sign> of(OperatingPoint point, Part part) {
        var lit =
                lit(part.kind()).stream()
                        .flatMap(pin ->
                                point.light(part.id(), pin).stream()
                                        .map(light ->
                                                new Sign(part.id(), pin, look(light.value()))))
                        .toList();
        return lit.isEmpty() ? moved(point, part).stream().toList() : lit;
    }

    /** The pins that a lamp is fed at; a warning lamp gives light whichever way it is fed. */
    public static List<String> lit(Kind kind) {
        return kind instanceof LoadKind.WarningLamp
                ? List.of(kind.pins().getFirst())
                : kind.lightPins();
    }

    private static Look look(double share) {
        return switch (Sight.of(share)) {
            case DARK -> Look.DARK;
            case DIM -> Look.DIM;
            case RIGHT -> Look.BURNS;
            case BRIGHT -> Look.BRIGHT;
        };
    }

    /** What turns or sounds. */
    private static Optional<Sign> moved(OperatingPoint point, Part part) {
        var full = part.kind().turning();
        var turns =
                full.entrySet().stream()
                        .map(each ->
                                amps(point, part, each.getKey()) >= WORKS * each.getValue().value())
                        .reduce(Boolean::logicalOr);
        return turns.or(() ->
                        rated(part.kind())
                                .map(volts -> across(point, part) >= WORKS * volts.value()))
                .map(works -> new Sign(part.id(), "", works ? Look.WORKS : Look.STILL));
    }

    /** The volts of what is fed to sound or to work; empty for all else. */
    private static Optional<Volts> rated(Kind kind) {
        if (kind instanceof LoadKind.Buzzer buzzer) {
            return Optional.of(buzzer.rated());
        }
        return kind instanceof LoadKind.Load load ? Optional.of(load.rated()) : Optional.empty();
    }

    /** Of a buzzer, which has a diode inside, across what sounds. */
    private static double across(OperatingPoint point, Part part) {
        var role = part.kind() instanceof LoadKind.Buzzer ? "+" : "body";
        return point.across(part.id(), role).map(volts -> Math.abs(volts.value())).orElse(0.0);
    }

    private static double amps(OperatingPoint point, Part part, String role) {
        return point.through(part.id(), role).map(amps -> Math.abs(amps.value())).orElse(0.0);
    }
}
