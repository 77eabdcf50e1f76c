package aficion.quantity;

/** A pure number: a share, a factor, a ratio. Refuses values that are not finite. */
public record Ratio(double value) implements Quantity {
    public Ratio {
        Quantity.requireFinite(value, Unit.ONE);
    }

    @Override
    public Unit unit() {
        return Unit.ONE;
    }
}
