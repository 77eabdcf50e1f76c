package aficion.quantity;

/** Temperature, in degrees Celsius. Refuses values that are not finite. */
public record Celsius(double value) implements Quantity {
    public Celsius {
        Quantity.requireFinite(value, Unit.CELSIUS);
    }

    @Override
    public Unit unit() {
        return Unit.CELSIUS;
    }
}
