package aficion.job;

import java.util.Optional;

/**
 * A terminal of a part.
 *
 * @param part the part
 * @param pin the marking on it, as in DIN 72552 where that has one
 */
public record Terminal(PartId part, String pin) {
    public Terminal {
        Names.require(pin);
    }

    /**
     * Reads {@code H1.56b}: the part before the first point, the pin after it; empty when there is
     * no such text.
     */
    public static Optional<Terminal> parse(String text) {
        int point = text.indexOf('.');
        if (point <= 0) {
            return Optional.empty();
        }
        var part = text.substring(0, point);
        var pin = text.substring(point + 1);
        return Names.isIdentity(part) && Names.isName(pin)
                ? Optional.of(new Terminal(new PartId(part), pin))
                : Optional.empty();
    }

    @Override
    public String toString() {
        return part + "." + pin;
    }
}
