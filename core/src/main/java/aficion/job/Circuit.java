package aficion.job;

/**
 * A circuit: what is planned, made and tested together.
 *
 * @param id its identity
 * @param number its place in the working order, from 1
 * @param name what it is, in the user's words
 * @param drops how much voltage it may lose
 */
public record Circuit(CircuitId id, int number, String name, Drops drops) {
    /**
     * How much voltage a circuit may lose: charging, headlamps, ignition, gauges are strict, the
     * rest ordinary.
     */
    public enum Drops {
        STRICT,
        ORDINARY
    }

    /** The same with another rule for the volts its wires may lose. */
    public Circuit withDrops(Drops changed) {
        return new Circuit(id, number, name, changed);
    }

    /** The same by another name. */
    public Circuit withName(String changed) {
        return new Circuit(id, number, changed, drops);
    }
}
