package aficion.quantity;

/** Inductance, in henries. Refuses values that are not finite. */
public record Henries(double value) implements Quantity {
    public Henries {
        Quantity.requireFinite(value, Unit.HENRY);
    }

    @Override
    public Unit unit() {
        return Unit.HENRY;
    }
}
