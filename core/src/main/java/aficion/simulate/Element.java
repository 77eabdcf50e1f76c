package aficion.simulate;

import aficion.solve.Network;

/**
 * A branch that remembers: one number that changes over time by a rate that follows from the volts
 * and amps. A step guesses the number at its end from the rate at its beginning; how far the rate
 * at the end has turned tells how wrong the guess is.
 */
abstract class Element {
    final int branch;

    /** The number, at the beginning of the step. */
    double value;

    /** The number at the end of the step. */
    double next;

    private final double tolerance;
    private double rate;

    /** The rate at the end of the step, once it is solved. */
    private double then;

    private double steepness;

    Element(int branch, double tolerance) {
        this.branch = branch;
        this.tolerance = tolerance;
    }

    /** Takes the value of a vehicle at rest. */
    abstract void settle(Network network);

    /** Makes its branch what it is at a value, for a step of that length. */
    abstract void apply(Network network, double at, double step);

    /** The rate of change at a value, by what the network was solved for. */
    abstract double rate(Network network, double at);

    /** How the rate changes with the value, zero or below; what keeps a long step stable. */
    double steepness() {
        return 0;
    }

    /** Keeps a value within what it can be. */
    double bounded(double wanted) {
        return wanted;
    }

    /** Remembers the rate at the beginning of a step. */
    void look(Network network) {
        rate = rate(network, value);
    }

    void guess(double step) {
        steepness = steepness();
        next = bounded(value + step * rate / (1 - step * steepness));
    }

    /** How wrong the guess is, as a multiple of what is allowed. */
    double error(Network network, double step) {
        then = rate(network, next);
        return step / 2 * Math.abs(then - rate) / (1 - step * steepness) / tolerance;
    }

    /** Goes on from the end of the step, of which it was asked how wrong it is. */
    void accept(Network network) {
        value = next;
        rate = then;
    }

    /**
     * Moves a contact of its own when it is time.
     *
     * @return whether it did
     */
    boolean act(Network network, double now) {
        return false;
    }

    /** When it will want to act, by the rate it has now; infinite when it will not. */
    double due(double now) {
        return Double.POSITIVE_INFINITY;
    }

    /** When a value that changes at the rate it has now reaches another. */
    final double reaches(double now, double wanted) {
        double left = wanted - value;
        return rate * left > 0 ? now + left / rate : Double.POSITIVE_INFINITY;
    }
}
