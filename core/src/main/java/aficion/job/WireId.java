package aficion.job;

/** The identity of a wire in its job. It never changes; the number on the label may. */
public record WireId(String value) {
    public WireId {
        Names.requireIdentity(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
