package aficion.job;

/**
 * A diode between two pins of a part, which limits no current one way.
 *
 * @param anode the pin that current comes in by
 * @param cathode the pin that it leaves by
 */
public record Valve(String anode, String cathode) {
    /** The name of its branch. */
    public String role() {
        return anode + "-" + cathode;
    }
}
