package aficion.quantity;

/** Temperature difference, in kelvins. Refuses values that are not finite. */
public record Kelvins(double value) implements Quantity {
    public Kelvins {
        Quantity.requireFinite(value, Unit.KELVIN);
    }

    @Override
    public Unit unit() {
        return Unit.KELVIN;
    }
}
