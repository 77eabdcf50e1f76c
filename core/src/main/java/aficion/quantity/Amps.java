package aficion.quantity;

/** Electric current, in amperes. Refuses values that are not finite. */
public record Amps(double value) implements Quantity {
    public Amps {
        Quantity.requireFinite(value, Unit.AMPERE);
    }

    @Override
    public Unit unit() {
        return Unit.AMPERE;
    }
}
