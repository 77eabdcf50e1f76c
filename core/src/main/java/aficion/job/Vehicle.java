package aficion.job;

import aficion.quantity.Volts;
import java.util.Optional;

/**
 * The vehicle the job is on.
 *
 * @param name maker's and model's name, in the user's words
 * @param year the year it was made
 * @param system nominal volts: 6, 12 or 24
 * @param earthed the battery pole that is joined to the body
 * @param sort what kind of vehicle it is, where that has been said
 */
public record Vehicle(String name, int year, Volts system, Pole earthed, Optional<Sort> sort) {
    /** Volts of a 12 V vehicle with a charged battery at rest (HANDBOOK, typical). */
    private static final double RESTED = 12.6;

    /** Volts of a 12 V vehicle that runs and charges (HANDBOOK, typical). */
    private static final double RUNNING = 14.2;

    /** Volts that a battery of 12 V is to hold while it cranks (HANDBOOK, typical). */
    private static final double CRANKING = 9.6;

    private static final double NOMINAL = 12;

    public Vehicle {
        if (system.value() != 6 && system.value() != 12 && system.value() != 24) {
            throw new IllegalArgumentException(
                    "a vehicle has 6, 12 or 24 V, not " + system.value());
        }
    }

    /** The pin of a battery that is live. */
    public String livePin() {
        return earthed == Pole.NEGATIVE ? "+" : "-";
    }

    /** The pin of a battery that is joined to the body. */
    public String earthedPin() {
        return earthed == Pole.NEGATIVE ? "-" : "+";
    }

    private Volts inProportion(double volts) {
        return new Volts(volts * system.value() / NOMINAL);
    }

    /** What its charged battery shows at rest. */
    public Volts rested() {
        return inProportion(RESTED);
    }

    /** What it has while it runs and charges. */
    public Volts running() {
        return inProportion(RUNNING);
    }

    /** What its battery is to hold while the engine is cranked. */
    public Volts cranking() {
        return inProportion(CRANKING);
    }

    /** A vehicle of a kind that has not been said. */
    public Vehicle(String name, int year, Volts system, Pole earthed) {
        this(name, year, system, earthed, Optional.empty());
    }

    /** What is rewired. */
    public enum Sort {
        CAR(1),
        MOTORCYCLE(0.5),
        TRACTOR(0.8);

        private final double reach;

        Sort(double reach) {
            this.reach = reach;
        }

        /** How far its wires run, as a share of those of a car (typical). */
        public double reach() {
            return reach;
        }
    }

    /** A pole of the battery. */
    public enum Pole {
        NEGATIVE,
        POSITIVE
    }
}
