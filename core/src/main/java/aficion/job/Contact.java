package aficion.job;

/** Two pins that a position joins. */
public record Contact(String one, String other) {
    public Contact {
        if (one.equals(other)) {
            throw new IllegalArgumentException(
                    "a contact joins two pins, not " + one + " to itself");
        }
    }

    @Override
    public String toString() {
        return one + "-" + other;
    }
}
