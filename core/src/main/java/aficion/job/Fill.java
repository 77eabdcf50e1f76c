package aficion.job;

import aficion.quantity.Ohms;

/**
 * What a sender showed at a level: of a tank, so many litres; of a temperature, so many degrees.
 *
 * @param level litres, or °C
 */
public record Fill(double level, Ohms shows) {
    /**
     * @throws IllegalArgumentException when either is no number, or the ohms are below nothing
     */
    public Fill {
        if (!Double.isFinite(level) || !(shows.value() >= 0)) {
            throw new IllegalArgumentException("a level and its ohms are numbers");
        }
    }
}
