package aficion.quantity;

/** Charge, in ampere-hours. Refuses values that are not finite. */
public record AmpereHours(double value) implements Quantity {
    public AmpereHours {
        Quantity.requireFinite(value, Unit.AMPERE_HOUR);
    }

    @Override
    public Unit unit() {
        return Unit.AMPERE_HOUR;
    }
}
