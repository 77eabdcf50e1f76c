package aficion.quantity;

/** Power, in watts. Refuses values that are not finite. */
public record Watts(double value) implements Quantity {
    public Watts {
        Quantity.requireFinite(value, Unit.WATT);
    }

    @Override
    public Unit unit() {
        return Unit.WATT;
    }
}
