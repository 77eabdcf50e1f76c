package aficion.quantity;

/** Time, in seconds. Refuses values that are not finite. */
public record Seconds(double value) implements Quantity {
    public Seconds {
        Quantity.requireFinite(value, Unit.SECOND);
    }

    @Override
    public Unit unit() {
        return Unit.SECOND;
    }
}
