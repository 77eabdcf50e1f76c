package aficion.quantity;

/** Length, in metres. Refuses values that are not finite. */
public record Metres(double value) implements Quantity {
    public Metres {
        Quantity.requireFinite(value, Unit.METRE);
    }

    @Override
    public Unit unit() {
        return Unit.METRE;
    }
}
