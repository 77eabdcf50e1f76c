package aficion.quantity;

/** Speed of rotation, in turns a minute. Refuses values that are not finite. */
public record Rpm(double value) implements Quantity {
    public Rpm {
        Quantity.requireFinite(value, Unit.RPM);
    }

    @Override
    public Unit unit() {
        return Unit.RPM;
    }
}
