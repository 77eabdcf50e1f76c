package aficion.job;

import aficion.quantity.Volts;

/**
 * The vehicle the job is on.
 *
 * @param name maker's and model's name, in the user's words
 * @param year the year it was made
 * @param system nominal volts: 6, 12 or 24
 * @param earthed the battery pole that is joined to the body
 */
public record Vehicle(String name, int year, Volts system, Pole earthed) {
    public Vehicle {
        if (system.value() != 6 && system.value() != 12 && system.value() != 24) {
            throw new IllegalArgumentException(
                    "a vehicle has 6, 12 or 24 V, not " + system.value());
        }
    }

    /** A pole of the battery. */
    public enum Pole {
        NEGATIVE,
        POSITIVE
    }
}
