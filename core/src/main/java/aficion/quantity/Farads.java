package aficion.quantity;

/** Capacitance, in farads. Refuses values that are not finite. */
public record Farads(double value) implements Quantity {
    public Farads {
        Quantity.requireFinite(value, Unit.FARAD);
    }

    @Override
    public Unit unit() {
        return Unit.FARAD;
    }
}
