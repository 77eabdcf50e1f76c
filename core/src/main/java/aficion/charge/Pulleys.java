package aficion.charge;

import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;

/**
 * The pulleys of a source: it turns as often more as its pulley is smaller.
 *
 * @param crank diameter on the crankshaft
 * @param source diameter on the source
 */
public record Pulleys(Metres crank, Metres source) {
    /**
     * @throws IllegalArgumentException when one of them has no size
     */
    public Pulleys {
        if (!(crank.value() > 0) || !(source.value() > 0)) {
            throw new IllegalArgumentException("a pulley has a diameter");
        }
    }

    /** Turns of the source for each of the engine: D₁/D₂. */
    public Ratio ratio() {
        return new Ratio(crank.value() / source.value());
    }

    /** How fast the source turns at an engine speed. */
    public Rpm source(Rpm engine) {
        return new Rpm(engine.value() * ratio().value());
    }

    /**
     * How long a belt is over both, whose shafts are so far apart: 2c + π(D₁+D₂)/2 + (D₁−D₂)²/4c.
     *
     * @throws IllegalArgumentException when the pulleys would touch
     */
    public Metres belt(Metres apart) {
        double sum = crank.value() + source.value();
        if (apart.value() <= sum / 2) {
            throw new IllegalArgumentException("the pulleys touch at that distance");
        }
        double difference = crank.value() - source.value();
        return new Metres(
                2 * apart.value()
                        + Math.PI * sum / 2
                        + difference * difference / (4 * apart.value()));
    }

    /** The angle that the belt wraps the smaller pulley, degrees: 180 − 2·asin(|D₁−D₂|/2c). */
    public double wrap(Metres apart) {
        double difference = Math.abs(crank.value() - source.value());
        return 180 - 2 * Math.toDegrees(Math.asin(difference / (2 * apart.value())));
    }
}
