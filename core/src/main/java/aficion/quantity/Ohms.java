package aficion.quantity;

/** Electrical resistance, in ohms. Refuses values that are not finite. */
public record Ohms(double value) implements Quantity {
    public Ohms {
        Quantity.requireFinite(value, Unit.OHM);
    }

    @Override
    public Unit unit() {
        return Unit.OHM;
    }
}
