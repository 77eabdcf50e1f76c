package aficion.job;

/** The identity of a circuit in its job. */
public record CircuitId(String value) {
    public CircuitId {
        Names.requireIdentity(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
