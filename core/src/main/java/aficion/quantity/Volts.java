package aficion.quantity;

/** Electric potential difference, in volts. Refuses values that are not finite. */
public record Volts(double value) implements Quantity {
    public Volts {
        Quantity.requireFinite(value, Unit.VOLT);
    }

    @Override
    public Unit unit() {
        return Unit.VOLT;
    }
}
