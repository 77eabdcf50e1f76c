package aficion.job;

/**
 * The short name of a part, unique in its job, as written on the drawing: {@code H1}, {@code K2}.
 */
public record PartId(String value) {
    public PartId {
        Names.requireIdentity(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
