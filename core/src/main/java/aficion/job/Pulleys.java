package aficion.job;

import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import java.util.Optional;

/**
 * The pulleys of a source: it turns as often more as its pulley is smaller.
 *
 * @param crank diameter on the crankshaft
 * @param source diameter on the source
 * @param apart how far the shafts are from each other, where that was measured
 * @param measured whether they were; else they are assumed, which is said
 */
public record Pulleys(Metres crank, Metres source, Optional<Metres> apart, boolean measured) {
    /**
     * @throws IllegalArgumentException when one of them has no size, or they would touch
     */
    public Pulleys {
        Positive.require("crank pulley", crank);
        Positive.require("pulley of the source", source);
        if (apart.filter(way -> way.value() <= (crank.value() + source.value()) / 2).isPresent()) {
            throw new IllegalArgumentException("the pulleys touch at that distance");
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
     * How long a belt is over both: 2c + π(D₁+D₂)/2 + (D₁−D₂)²/4c; empty where it is not known how
     * far the shafts are apart.
     */
    public Optional<Metres> belt() {
        double sum = crank.value() + source.value();
        double difference = crank.value() - source.value();
        return apart.map(way ->
                new Metres(
                        2 * way.value()
                                + Math.PI * sum / 2
                                + difference * difference / (4 * way.value())));
    }

    /** The angle that the belt wraps the smaller pulley, degrees: 180 − 2·asin(|D₁−D₂|/2c). */
    public Optional<Double> wrap() {
        double difference = Math.abs(crank.value() - source.value());
        return apart.map(
                way -> 180 - 2 * Math.toDegrees(Math.asin(difference / (2 * way.value()))));
    }
}
